package app.narrowgate.server.account;

import app.narrowgate.server.door.Keepable;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springframework.context.annotation.Bean;
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

    /** The description of each address says which right it needs, or that it is open, and whether its answer may stay on a device. */
    @Bean
    OperationCustomizer tellRights() {
        return (operation, method) -> {
            RightsInterceptor.needed(method).filter(right -> !RightsInterceptor.isOpen(method)).ifPresentOrElse(
                    right -> operation.addExtension("x-right", right.code()), () -> operation.addExtension("x-open", true));
            if (method.hasMethodAnnotation(Keepable.class)) {
                operation.addExtension("x-keepable", true);
            }
            return operation;
        };
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(rights).addPathPatterns("/api/**");
    }
}
