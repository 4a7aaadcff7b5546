package dobbin.server.web;

import dobbin.document.Shapes;
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
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Tells OpenAPI what it cannot see: the kinds of edits, and that fields are there unless said otherwise. */
@Configuration
@ConditionalOnProperty("springdoc.api-docs.enabled")
class OpenApiShape {
    @Bean
    OpenApiCustomizer shapes() {
        return api -> {
            Shapes.SEALED.forEach(union -> describeKinds(api, union));
            api.getComponents().getSchemas().values().forEach(OpenApiShape::requireAllFields);
            api.setInfo(new Info().title("Dobbin").version("1"));
            api.setServers(null);
        };
    }

    private static void describeKinds(OpenAPI api, Shapes.Sealed union) {
        ComposedSchema either = new ComposedSchema();
        Discriminator discriminator = new Discriminator().propertyName(union.property());
        for (Class<?> kind : union.kinds()) {
            var resolved = ModelConverters.getInstance().resolveAsResolvedSchema(new AnnotatedType(kind));
            resolved.referencedSchemas.forEach(api.getComponents()::addSchemas);
            String name = kind.getSimpleName();
            Schema<?> schema = resolved.schema;
            schema.setTypes(Set.of("object"));
            schema.addProperty(union.property(), new StringSchema()._enum(List.of(Shapes.Sealed.nameOf(kind))));
            api.getComponents().addSchemas(name, schema);
            either.addOneOfItem(new Schema<>().$ref("#/components/schemas/" + name));
            discriminator.mapping(Shapes.Sealed.nameOf(kind), "#/components/schemas/" + name);
        }
        either.setDiscriminator(discriminator);
        api.getComponents().addSchemas(union.base().getSimpleName(), either);
    }

    /** Nothing of ours is left out of an answer; what may be empty is null and says so. */
    private static void requireAllFields(Schema<?> schema) {
        Map<String, ?> properties = schema.getProperties();
        if (properties != null) {
            schema.setRequired(new ArrayList<>(properties.keySet()));
        }
    }
}
