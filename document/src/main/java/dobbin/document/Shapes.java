package dobbin.document;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.Nulls;
import dobbin.draw.Mark;
import dobbin.edit.Edit;
import dobbin.edit.Motion;
import dobbin.reel.Art;
import dobbin.reel.Backdrop;
import dobbin.reel.FrameContent;
import java.util.Arrays;
import java.util.List;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.jsontype.NamedType;

/** How core's values look as JSON. The core itself knows of none. */
public final class Shapes {
    /** Those that hold others come before them. */
    public static final List<Sealed> SEALED = List.of(
            new Sealed(Edit.class, ByType.class),
            new Sealed(Mark.class, ByType.class),
            new Sealed(FrameContent.class, ByKind.class),
            new Sealed(Art.class, ByKind.class),
            new Sealed(Backdrop.class, ByKind.class),
            new Sealed(Motion.class, ByKind.class));

    private Shapes() {}

    /** A sealed type whose values say in a property which kind they are: by the kind's name, the first letter small. */
    public record Sealed(Class<?> base, Class<?> shape) {
        public String property() {
            return shape.getAnnotation(JsonTypeInfo.class).property();
        }

        public List<Class<?>> kinds() {
            return Arrays.asList(base.getPermittedSubclasses());
        }

        public static String nameOf(Class<?> kind) {
            String name = kind.getSimpleName();
            return Character.toLowerCase(name.charAt(0)) + name.substring(1);
        }
    }

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
    interface ByType {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    interface ByKind {}

    /** Reads strictly, also what is null in a list, and writes equal values as equal bytes. */
    public static void addTo(JsonMapper.Builder builder) {
        for (Sealed union : SEALED) {
            builder.addMixIn(union.base, union.shape);
            union.kinds().forEach(kind -> builder.registerSubtypes(new NamedType(kind, Sealed.nameOf(kind))));
        }
        builder.enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                .enable(DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES)
                .changeDefaultNullHandling(usual -> usual.withContentNulls(Nulls.FAIL))
                .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
                .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT);
    }

    /** @return a mapper that knows these shapes and is set by nothing else */
    static JsonMapper mapper() {
        JsonMapper.Builder builder = JsonMapper.builder();
        addTo(builder);
        return builder.build();
    }
}
