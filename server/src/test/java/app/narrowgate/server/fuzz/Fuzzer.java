package app.narrowgate.server.fuzz;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.StringJoiner;
import tools.jackson.core.json.JsonWriteFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Makes requests from an API description: mostly of the right shape, with a few values in them that nobody expects. The
 * same seed makes the same requests.
 */
public final class Fuzzer {

    private static final JsonMapper JSON = JsonMapper.builder().enable(JsonWriteFeature.ESCAPE_NON_ASCII).build();

    /** Texts that have broken programs before. */
    private static final List<String> TEXTS = List.of("", " ", "\u0000", "a\u0000b", "\ud800", "x\udfff", "\u202egnol", "\u200b",
            "\u2028", "\r\nSet-Cookie: a=b", "<script>alert(1)</script>", "'; drop table map; --", "=1+1", "＝1", "../../secret",
            "NaN", "Infinity", "null", "𝕏", "e\u0301", "%00", "${7*7}", "{{7*7}}", "\\", "\"", "a".repeat(90), "b".repeat(5000));
    /** Numbers as they are written; not all are JSON. */
    private static final List<String> NUMBERS = List.of("-1", "0", "1", "2", "0.5", "1.0000001", "2147483647", "2147483648",
            "-9223372036854775809", "1e308", "1e400", "-0.0", "1".repeat(400), "NaN", "\"3\"", "null", "0.1e-400", "[]", "{}");
    private static final List<String> WRONG = List.of("null", "true", "[]", "{}", "[null]", "{\"\":\"\"}", "\"\"", "1", "[[[[]]]]");

    /**
     * One request.
     *
     * @param path with its query, encoded
     * @param body null for none
     */
    public record Request(String method, String path, String body) {
    }

    private record Operation(String method, String path, JsonNode node) {
    }

    private final SplittableRandom random;
    private final JsonNode description;
    private final List<Operation> operations = new ArrayList<>();
    private final Map<String, List<String>> known;

    /**
     * For a description.
     *
     * @param known values that exist, by the name of the parameter or field
     */
    public Fuzzer(String description, long seed, Map<String, List<String>> known) {
        this.description = JSON.readTree(description);
        this.random = new SplittableRandom(seed);
        this.known = known;
        this.description.get("paths").properties().forEach(path -> path.getValue().properties().stream()
                .filter(operation -> !isStream(operation.getValue())).forEach(operation ->
                operations.add(new Operation(operation.getKey().toUpperCase(java.util.Locale.ROOT), path.getKey(),
                        operation.getValue()))));
    }

    /** A stream has no end to wait for. */
    private static boolean isStream(JsonNode operation) {
        return operation.path("responses").toString().contains("text/event-stream");
    }

    int operations() {
        return operations.size();
    }

    /** The next request. */
    public Request next() {
        Operation operation = operations.get(random.nextInt(operations.size()));
        String path = operation.path;
        StringJoiner query = new StringJoiner("&", "?", "").setEmptyValue("");
        for (JsonNode parameter : operation.node.path("parameters")) {
            String name = parameter.get("name").stringValue();
            boolean inPath = parameter.get("in").stringValue().equals("path");
            if (inPath) {
                path = path.replace("{" + name + "}", encoded(parameterValue(name, parameter)));
            } else if (parameter.path("required").booleanValue(false) ? !chance(0.05) : chance(0.3)) {
                query.add(encoded(name) + "=" + encoded(parameterValue(name, parameter)));
                if (chance(0.03)) {
                    query.add(encoded(name) + "=" + encoded(pick(TEXTS)));
                }
            }
        }
        if (chance(0.02)) {
            query.add(encoded(pick(TEXTS)) + "=" + encoded(pick(TEXTS)));
        }
        JsonNode content = operation.node.path("requestBody").path("content").path("application/json").path("schema");
        String body = content.isMissingNode() ? null : chance(0.02) ? broken() : value("", content, 0);
        return new Request(operation.method, path + query, body);
    }

    private String broken() {
        return pick(List.of("", "{", "[", "nul", "{\"a\":}", "\u0000", "{\"a\":1,\"a\":2}", "[".repeat(3000), "\ufeff{}", "//"));
    }

    private String parameterValue(String name, JsonNode parameter) {
        JsonNode schema = resolved(parameter.path("schema"));
        if (known.containsKey(name) && chance(0.85)) {
            return pick(known.get(name));
        }
        JsonNode choices = schema.path("enum");
        if (choices.isArray() && chance(0.7)) {
            return choices.get(random.nextInt(choices.size())).asString();
        }
        String type = schema.path("type").asString("string");
        if ((type.equals("number") || type.equals("integer")) && chance(0.9)) {
            return pick(NUMBERS);
        }
        return pick(TEXTS);
    }

    /** A JSON value for a schema, as text. */
    private String value(String name, JsonNode given, int depth) {
        JsonNode schema = resolved(given);
        if (chance(0.02)) {
            return pick(WRONG);
        }
        JsonNode choices = schema.path("enum");
        if (choices.isArray() && !choices.isEmpty() && chance(0.85)) {
            return choices.get(random.nextInt(choices.size())).toString();
        }
        if (known.containsKey(name) && chance(0.8)) {
            String value = pick(known.get(name));
            if (!isNumber(schema)) {
                return JSON.writeValueAsString(value);
            }
            if (value.matches("\\d+")) {
                return value;
            }
            // The same name stands for an id elsewhere.
        }
        return switch (type(schema)) {
            case "object" -> object(schema, depth);
            case "array" -> array(name, schema, depth);
            case "integer", "number" -> chance(0.5) ? Integer.toString(random.nextInt(1, 20)) : pick(NUMBERS);
            case "boolean" -> Boolean.toString(random.nextBoolean());
            default -> JSON.writeValueAsString(chance(0.5) ? "Words " + random.nextInt(1000) : pick(TEXTS));
        };
    }

    private static boolean isNumber(JsonNode schema) {
        String type = type(schema);
        return type.equals("integer") || type.equals("number");
    }

    private static String type(JsonNode schema) {
        JsonNode type = schema.path("type");
        if (type.isArray()) {
            return type.get(0).stringValue();
        }
        return type.asString(schema.has("properties") ? "object" : "string");
    }

    private String object(JsonNode schema, int depth) {
        StringJoiner fields = new StringJoiner(",", "{", "}");
        if (depth < 6) {
            schema.path("properties").properties().forEach(property -> {
                if (chance(0.9)) {
                    fields.add(JSON.writeValueAsString(property.getKey()) + ":"
                            + value(property.getKey(), property.getValue(), depth + 1));
                }
            });
        }
        if (chance(0.02)) {
            fields.add("\"unknown\":1");
        }
        return fields.toString();
    }

    private String array(String name, JsonNode schema, int depth) {
        StringJoiner entries = new StringJoiner(",", "[", "]");
        for (int i = random.nextInt(4); i > 0 && depth < 6; i--) {
            entries.add(value(name, schema.path("items"), depth + 1));
        }
        return entries.toString();
    }

    private JsonNode resolved(JsonNode schema) {
        JsonNode at = schema;
        for (int steps = 0; at.has("$ref") && steps < 10; steps++) {
            String ref = at.get("$ref").stringValue();
            at = description.path("components").path("schemas").path(ref.substring(ref.lastIndexOf('/') + 1));
        }
        return at;
    }

    private boolean chance(double share) {
        return random.nextDouble() < share;
    }

    private <T> T pick(List<T> from) {
        return from.get(random.nextInt(from.size()));
    }

    /** A lone surrogate has no bytes in UTF-8; the encoder writes a question mark for it. */
    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
    }
}
