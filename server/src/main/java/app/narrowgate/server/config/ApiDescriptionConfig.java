package app.narrowgate.server.config;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import jakarta.annotation.Nullable;
import java.util.Arrays;
import java.util.List;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.PropertyCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Head of the API description; the rest comes from the controllers. */
@Configuration(proxyBeanMethods = false)
class ApiDescriptionConfig {

    private static final String OPTIONAL = "x-optional";

    @Bean
    OpenAPI apiDescription() {
        return new OpenAPI()
                .info(new Info().title("Narrow Gate").version("1")
                        .description("Maps of escapes, their odds, and the drills that follow from them."))
                .servers(List.of(new Server().url("/")));
    }

    /** Every field of a view or an edit is there unless it is marked as one that may be missing. */
    @Bean
    PropertyCustomizer markOptional() {
        return (property, type) -> {
            boolean optional = type.getCtxAnnotations() != null
                    && Arrays.stream(type.getCtxAnnotations()).anyMatch(Nullable.class::isInstance);
            if (property != null && optional) {
                property.addExtension(OPTIONAL, true);
            }
            return property;
        };
    }

    @Bean
    OpenApiCustomizer requireTheRest() {
        return api -> api.getComponents().getSchemas().values().forEach(ApiDescriptionConfig::requireTheRest);
    }

    private static void requireTheRest(Schema<?> schema) {
        if (schema.getProperties() == null) {
            return;
        }
        schema.getProperties().forEach((name, property) -> {
            boolean optional = property.getExtensions() != null && property.getExtensions().remove(OPTIONAL) != null;
            if (!optional && (schema.getRequired() == null || !schema.getRequired().contains(name))) {
                schema.addRequiredItem(name);
            }
        });
    }
}
