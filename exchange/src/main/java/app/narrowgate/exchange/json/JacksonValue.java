package app.narrowgate.exchange.json;

import app.narrowgate.exchange.fields.Value;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** A node of parsed JSON as a value to be read. */
public record JacksonValue(JsonNode node) implements Value {

    @Override
    public Kind kind() {
        return switch (node.getNodeType()) {
            case ARRAY -> Kind.LIST;
            case BOOLEAN -> Kind.TRUTH;
            case NULL -> Kind.NULL;
            case NUMBER -> Kind.NUMBER;
            case STRING -> Kind.TEXT;
            case OBJECT -> Kind.OBJECT;
            default -> Kind.NOTHING;
        };
    }

    @Override
    public List<String> names() {
        return List.copyOf(node.propertyNames());
    }

    @Override
    public Value get(String name) {
        JsonNode value = node.get(name);
        return value == null ? null : new JacksonValue(value);
    }

    @Override
    public int size() {
        return node.size();
    }

    @Override
    public List<Value> items() {
        return node.isArray() ? node.values().stream().<Value>map(JacksonValue::new).toList() : List.of();
    }

    @Override
    public String text() {
        return node.stringValue();
    }

    @Override
    public double number() {
        // Digits beyond a double's range are beyond every range.
        return node.asDoubleOpt().orElse(Double.POSITIVE_INFINITY);
    }

    @Override
    public boolean isTrue() {
        return node.booleanValue();
    }
}
