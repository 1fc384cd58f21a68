package app.narrowgate.server.account;

import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Stands the table of rights before every address. */
@Configuration(proxyBeanMethods = false)
class RightsConfig implements WebMvcConfigurer {

    private final RightsInterceptor rights;

    RightsConfig(RightsInterceptor rights) {
        this.rights = rights;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(rights).addPathPatterns("/api/**");
    }
}
