package app.narrowgate.server.config;

import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.databind.cfg.CoercionAction;
import tools.jackson.databind.cfg.CoercionInputShape;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.type.LogicalType;

/** Bodies are read strictly, a number is no text whatever it could be turned into, and written quickly. */
@Configuration(proxyBeanMethods = false)
class JsonConfig {

    @Bean
    JsonMapperBuilderCustomizer strictTexts() {
        return builder -> builder.withCoercionConfig(LogicalType.Textual, texts -> texts
                .setCoercion(CoercionInputShape.Integer, CoercionAction.Fail)
                .setCoercion(CoercionInputShape.Float, CoercionAction.Fail)
                .setCoercion(CoercionInputShape.Boolean, CoercionAction.Fail));
    }

    @Bean
    JsonMapperBuilderCustomizer tidyTexts() {
        return builder -> builder.addModule(new SimpleModule("texts").addDeserializer(String.class, new TidyTexts()));
    }

    /** Odds are mostly numbers, and Java 17's own way of writing one takes several times as long. */
    @Bean
    JsonMapperBuilderCustomizer quickNumbers() {
        return builder -> builder.enable(StreamWriteFeature.USE_FAST_DOUBLE_WRITER);
    }
}
