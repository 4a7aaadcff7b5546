package dobbin.server.web;

import dobbin.document.Shapes;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Requests and answers have the shapes that documents have. */
@Configuration
class Json {
    @Bean
    JsonMapperBuilderCustomizer coreShapes() {
        return Shapes::addTo;
    }
}
