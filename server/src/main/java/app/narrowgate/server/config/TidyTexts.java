package app.narrowgate.server.config;

import app.narrowgate.core.check.Text;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.deser.jdk.StringDeserializer;

/** Every text of every body is composed and reads as it stands before anything looks at it; what is no text is refused. */
final class TidyTexts extends StringDeserializer {

    @Override
    public String deserialize(JsonParser parser, DeserializationContext context) throws JacksonException {
        String text = super.deserialize(parser, context);
        if (text == null) {
            return null;
        }
        if (Text.isBroken(text)) {
            throw context.weirdStringException(Text.shown(text), String.class, "half a character, or one that no text may hold");
        }
        return Text.tidy(text);
    }
}
