package dobbin.server.web;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import dobbin.edit.Edit;
import dobbin.edit.Motion;
import dobbin.reel.Art;
import dobbin.reel.Backdrop;
import dobbin.reel.FrameContent;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverters;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.ComposedSchema;
import io.swagger.v3.oas.models.media.Discriminator;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Tells OpenAPI what it cannot see: the kinds of edits, and that fields are there unless said otherwise. */
@Configuration
class OpenApiShape {
    @Bean
    OpenApiCustomizer shapes() {
        return api -> {
            describeKinds(api, Edit.class, Json.EditShape.class);
            describeKinds(api, FrameContent.class, Json.ContentShape.class);
            describeKinds(api, Art.class, Json.ArtShape.class);
            describeKinds(api, Backdrop.class, Json.BackdropShape.class);
            describeKinds(api, Motion.class, Json.MotionShape.class);
            api.getComponents().getSchemas().values().forEach(OpenApiShape::requireAllFields);
            api.setInfo(new Info().title("Dobbin").version("1"));
            api.setServers(null);
        };
    }

    /** @param shape the mix-in that names the kinds of {@code base} */
    private static void describeKinds(OpenAPI api, Class<?> base, Class<?> shape) {
        String property = shape.getAnnotation(JsonTypeInfo.class).property();
        ComposedSchema either = new ComposedSchema();
        Discriminator discriminator = new Discriminator().propertyName(property);
        for (var kind : shape.getAnnotation(JsonSubTypes.class).value()) {
            var resolved = ModelConverters.getInstance().resolveAsResolvedSchema(new AnnotatedType(kind.value()));
            resolved.referencedSchemas.forEach(api.getComponents()::addSchemas);
            String name = kind.value().getSimpleName();
            Schema<?> schema = resolved.schema;
            schema.setTypes(Set.of("object"));
            schema.addProperty(property, new StringSchema()._enum(List.of(kind.name())));
            api.getComponents().addSchemas(name, schema);
            either.addOneOfItem(new Schema<>().$ref("#/components/schemas/" + name));
            discriminator.mapping(kind.name(), "#/components/schemas/" + name);
        }
        either.setDiscriminator(discriminator);
        api.getComponents().addSchemas(base.getSimpleName(), either);
    }

    /** Nothing of ours is left out of an answer; what may be empty is null and says so. */
    private static void requireAllFields(Schema<?> schema) {
        Map<String, ?> properties = schema.getProperties();
        if (properties != null) {
            schema.setRequired(new ArrayList<>(properties.keySet()));
        }
    }
}
