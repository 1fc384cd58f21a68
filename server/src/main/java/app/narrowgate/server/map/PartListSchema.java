package app.narrowgate.server.map;

import app.narrowgate.core.map.PartKind;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.media.StringSchema;
import org.springdoc.core.customizers.GlobalOpenApiCustomizer;
import org.springframework.stereotype.Component;

/** The names of a map's lists in the API description, so that a client that knows fewer or more does not build. */
@Component
public class PartListSchema implements GlobalOpenApiCustomizer {

    /** What a field refers to that holds the name of a list. */
    public static final String REF = "#/components/schemas/PartList";

    @Override
    public void customise(OpenAPI api) {
        StringSchema lists = new StringSchema();
        PartKind.ALL.forEach(kind -> lists.addEnumItem(kind.list()));
        api.getComponents().addSchemas("PartList", lists);
    }
}
