package dobbin.server.web;

import java.util.concurrent.TimeUnit;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** The interface's own files, and its addresses: every page of it is the one document, which looks where it is. */
@Controller
class Pages {
    @GetMapping({"/", "/reels/{reel}", "/reels/{reel}/{bench}"})
    String page() {
        return "forward:/index.html";
    }

    @Configuration
    static class Caching implements WebMvcConfigurer {
        /** Built files carry a hash in their names and never change; the document that names them may. */
        @Override
        public void addResourceHandlers(ResourceHandlerRegistry registry) {
            registry.addResourceHandler("/assets/**")
                    .addResourceLocations("classpath:/static/assets/")
                    .setCacheControl(CacheControl.maxAge(365, TimeUnit.DAYS).immutable());
            registry.addResourceHandler("/**")
                    .addResourceLocations("classpath:/static/")
                    .setCacheControl(CacheControl.noCache());
        }
    }
}
