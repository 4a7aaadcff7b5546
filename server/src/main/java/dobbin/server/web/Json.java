package dobbin.server.web;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import dobbin.draw.Mark;
import dobbin.edit.Edit;
import dobbin.edit.Motion;
import dobbin.reel.Art;
import dobbin.reel.Backdrop;
import dobbin.reel.FrameContent;
import java.util.Arrays;
import java.util.List;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.jsontype.NamedType;

/** How core's values look as JSON. The core itself knows of none. */
@Configuration
public class Json {
    /** A sealed type whose values say in a property which kind they are: by the kind's name, the first letter small. */
    record Sealed(Class<?> base, Class<?> shape) {
        String property() {
            return shape.getAnnotation(JsonTypeInfo.class).property();
        }

        List<Class<?>> kinds() {
            return Arrays.asList(base.getPermittedSubclasses());
        }

        static String nameOf(Class<?> kind) {
            String name = kind.getSimpleName();
            return Character.toLowerCase(name.charAt(0)) + name.substring(1);
        }
    }

    /** Those that hold others come before them. */
    static final List<Sealed> SEALED = List.of(
            new Sealed(Edit.class, ByType.class),
            new Sealed(Mark.class, ByType.class),
            new Sealed(FrameContent.class, ByKind.class),
            new Sealed(Art.class, ByKind.class),
            new Sealed(Backdrop.class, ByKind.class),
            new Sealed(Motion.class, ByKind.class));

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
    interface ByType {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    interface ByKind {}

    @Bean
    public JsonMapperBuilderCustomizer coreShapes() {
        return builder -> {
            for (Sealed union : SEALED) {
                builder.addMixIn(union.base, union.shape);
                union.kinds().forEach(kind -> builder.registerSubtypes(new NamedType(kind, Sealed.nameOf(kind))));
            }
            builder.enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                    .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                    .enable(DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES)
                    .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT);
        };
    }
}
