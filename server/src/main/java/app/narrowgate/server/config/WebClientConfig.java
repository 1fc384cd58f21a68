package app.narrowgate.server.config;

import java.io.IOException;
import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;

/**
 * Serves the web client from the jar. Files under {@code assets} carry a hash in their names and may be kept for ever;
 * any other path that is no file and not under {@code /api} is a view of the client, so it gets the start page.
 */
@Configuration(proxyBeanMethods = false)
class WebClientConfig implements WebMvcConfigurer {

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**").addResourceLocations("classpath:/static/assets/")
                .setCacheControl(CacheControl.maxAge(Duration.ofDays(365)).immutable());
        registry.addResourceHandler("/**").addResourceLocations("classpath:/static/")
                .setCacheControl(CacheControl.noCache())
                .resourceChain(false).addResolver(new StartPageResolver());
    }

    private static final class StartPageResolver extends PathResourceResolver {
        @Override
        protected Resource getResource(String path, Resource location) throws IOException {
            Resource file = path.isEmpty() ? null : super.getResource(path, location);
            if (file != null) {
                return file;
            }
            boolean view = !path.startsWith("api/") && !path.startsWith("actuator") && !path.contains(".");
            return view ? new ClassPathResource("/static/index.html") : null;
        }
    }
}
