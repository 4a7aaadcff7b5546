package dobbin.server.web;

import java.io.IOException;
import java.util.concurrent.TimeUnit;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;

/** The interface's own files, and its addresses: every page of it is the one document, which looks where it is. */
@Configuration
class Pages implements WebMvcConfigurer {
    private static final String FILES = "classpath:/static/";

    /** Built files carry a hash in their names and never change; the document that names them may. */
    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations(FILES + "assets/")
                .setCacheControl(CacheControl.maxAge(365, TimeUnit.DAYS).immutable());
        registry.addResourceHandler("/**")
                .addResourceLocations(FILES)
                .setCacheControl(CacheControl.noCache())
                .resourceChain(true)
                .addResolver(new FileOrDocument());
    }

    private static final class FileOrDocument extends PathResourceResolver {
        @Override
        protected Resource getResource(String path, Resource location) throws IOException {
            Resource file = super.getResource(path, location);
            return file == null && isPage(path) ? super.getResource("index.html", location) : file;
        }

        private static boolean isPage(String path) {
            return !path.matches("(api|v3)(/.*)?")
                    && !path.substring(path.lastIndexOf('/') + 1).contains(".");
        }
    }
}
