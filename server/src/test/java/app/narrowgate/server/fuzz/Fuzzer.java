package app.narrowgate.server.fuzz;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.StringJoiner;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import tools.jackson.core.json.JsonWriteFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.JsonNodeFactory;

/**
 * Makes requests from an API description: some as the description asks, most with a few values in them that nobody expects. What is
 * known of the house stands where its name is asked for, whole or with a few values changed. The same seed and the same knowledge
 * make the same requests.
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
     * @param operation the address as the description has it
     * @param path with its query, encoded
     * @param body null for none
     */
    public record Request(String method, String operation, String path, String body) {
    }

    private record Operation(String method, String path, JsonNode node) {
    }

    /** How many of a request's values are not as they should be: none, a few, many. */
    private static final List<Double> WILD = List.of(0.0, 0.03, 0.15);
    private static final Map<String, Pattern> SHAPES = Map.of("uuid", Pattern.compile("[0-9a-f-]{36}"), "date", Pattern.compile("[0-9-]{10}"),
            "date-time", Pattern.compile("[0-9-]{10}T[0-9:.]+Z"));
    /** Where a number may have any size: that of chances, of counts, of weights. */
    private static final List<Integer> SPANS = List.of(1, 20, 200);
    private static final Pattern WORDS = Pattern.compile("[a-z-]+(\\|[a-z-]+)+");
    private static final int DEEPEST = 6;
    private static final int ENTRIES = 4;
    private static final LocalDate DAY = LocalDate.of(2026, 3, 2);

    private final SplittableRandom random;
    private final JsonNode description;
    private final List<Operation> operations = new ArrayList<>();
    private final Map<String, List<JsonNode>> known = new HashMap<>();
    private List<Double> wildness = WILD;
    private double wild;

    /** For a description. */
    public Fuzzer(String description, long seed) {
        this.description = JSON.readTree(description);
        this.random = new SplittableRandom(seed);
        this.description.get("paths").properties().forEach(path -> path.getValue().properties().stream()
                .filter(operation -> !isStream(operation.getValue())).forEach(operation ->
                operations.add(new Operation(operation.getKey().toUpperCase(Locale.ROOT), path.getKey(), operation.getValue()))));
    }

    /** From now on these values exist where a parameter, a field or what a list holds is called {@code name}. */
    public void know(String name, List<JsonNode> values) {
        known.put(name, values);
    }

    /** The same with texts. */
    public void know(String name, String... values) {
        know(name, Stream.of(values).<JsonNode>map(JsonNodeFactory.instance::stringNode).toList());
    }

    /** From now on nothing but reads, as the description asks for them. */
    public void onlyRead() {
        operations.removeIf(operation -> !operation.method.equals("GET"));
        wildness = List.of(0.0);
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
        wild = pick(wildness);
        String path = operation.path;
        StringJoiner query = new StringJoiner("&", "?", "").setEmptyValue("");
        for (JsonNode parameter : operation.node.path("parameters")) {
            String name = parameter.get("name").stringValue();
            boolean inPath = parameter.get("in").stringValue().equals("path");
            if (inPath) {
                path = path.replace("{" + name + "}", encoded(parameterValue(name, parameter)));
            } else if (parameter.path("required").booleanValue(false) ? !chance(wild) : chance(0.2)) {
                query.add(encoded(name) + "=" + encoded(parameterValue(name, parameter)));
                if (chance(wild)) {
                    query.add(encoded(name) + "=" + encoded(pick(TEXTS)));
                }
            }
        }
        if (chance(wild / 2)) {
            query.add(encoded(pick(TEXTS)) + "=" + encoded(pick(TEXTS)));
        }
        JsonNode content = operation.node.path("requestBody").path("content").path("application/json").path("schema");
        String body = content.isMissingNode() ? null : chance(wild / 2) ? broken() : value("", content, 0);
        return new Request(operation.method, operation.path, path + query, body);
    }

    private String broken() {
        return pick(List.of("", "{", "[", "nul", "{\"a\":}", "\u0000", "{\"a\":1,\"a\":2}", "[".repeat(3000), "\ufeff{}", "//"));
    }

    private String parameterValue(String name, JsonNode parameter) {
        JsonNode schema = resolved(parameter.path("schema"));
        if (chance(wild)) {
            return isNumber(schema) && chance(0.7) ? pick(NUMBERS) : pick(TEXTS);
        }
        JsonNode one = type(schema).equals("array") ? resolved(schema.path("items")) : schema;
        String value = value(name, one, DEEPEST);
        return value.startsWith("\"") ? JSON.readTree(value).stringValue() : value;
    }

    /** A JSON value for a schema, as text. */
    private String value(String name, JsonNode given, int depth) {
        JsonNode schema = resolved(given);
        if (chance(wild / 2)) {
            return pick(WRONG);
        }
        if (schema.path("type").isArray() && depth < DEEPEST && chance(0.6)) {
            return "null";
        }
        String type = type(schema);
        List<JsonNode> fitting = known.getOrDefault(name, List.of()).stream().filter(fits(type, schema)).toList();
        if (!fitting.isEmpty() && !chance(wild / 2)) {
            return changed(pick(fitting));
        }
        JsonNode choices = schema.path("enum");
        if (choices.isArray() && !choices.isEmpty() && !chance(wild)) {
            return choices.get(random.nextInt(choices.size())).toString();
        }
        return switch (type) {
            case "object" -> object(schema, depth);
            case "array" -> array(name, schema, depth);
            case "integer", "number" -> chance(wild) ? pick(NUMBERS) : number(type, schema);
            case "boolean" -> Boolean.toString(random.nextBoolean());
            default -> JSON.writeValueAsString(chance(wild) ? pick(TEXTS) : text(schema));
        };
    }

    private static Predicate<JsonNode> fits(String type, JsonNode schema) {
        Pattern shape = SHAPES.get(schema.path("format").asString(""));
        return value -> switch (type) {
            case "object" -> value.isObject();
            case "array" -> value.isArray();
            case "integer", "number" -> value.isNumber();
            case "boolean" -> value.isBoolean();
            default -> value.isString() && (shape == null || shape.matcher(value.stringValue()).matches());
        };
    }

    /** What exists, with some of its values changed. */
    private String changed(JsonNode value) {
        if (value.isObject()) {
            StringJoiner fields = new StringJoiner(",", "{", "}");
            value.properties().stream().filter(field -> !chance(wild / 4))
                    .forEach(field -> fields.add(JSON.writeValueAsString(field.getKey()) + ":" + changed(field.getValue())));
            return fields.toString();
        }
        if (value.isArray()) {
            StringJoiner entries = new StringJoiner(",", "[", "]");
            for (JsonNode entry : value) {
                for (int times = chance(wild / 4) ? random.nextInt(3) : 1; times > 0; times--) {
                    entries.add(changed(entry));
                }
            }
            return entries.toString();
        }
        if (!chance(wild)) {
            return value.toString();
        }
        return chance(0.2) ? pick(WRONG) : value.isNumber() ? pick(NUMBERS) : JSON.writeValueAsString(pick(TEXTS));
    }

    private String number(String type, JsonNode schema) {
        double least = schema.path("minimum").asDouble(0);
        double most = Math.max(least, schema.path("maximum").asDouble(least + pick(SPANS)));
        double value = least + random.nextDouble() * (most - least);
        return type.equals("integer") ? Long.toString(Math.round(value)) : Double.toString(value);
    }

    private String text(JsonNode schema) {
        return switch (schema.path("format").asString("")) {
            case "uuid" -> new UUID(random.nextLong(), random.nextLong()).toString();
            case "date" -> DAY.plusDays(random.nextInt(120)).toString();
            case "date-time" -> DAY.plusDays(random.nextInt(120)) + "T18:30:00Z";
            default -> {
                String pattern = schema.path("pattern").asString("");
                String words = WORDS.matcher(pattern).matches() ? pick(List.of(pattern.split("\\|"))) : "Words " + random.nextInt(1000);
                yield words.substring(0, Math.min(words.length(), schema.path("maxLength").asInt(words.length())));
            }
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
        if (depth < DEEPEST) {
            schema.path("properties").properties().forEach(property -> {
                if (!chance(wild / 2)) {
                    fields.add(JSON.writeValueAsString(property.getKey()) + ":"
                            + value(property.getKey(), property.getValue(), depth + 1));
                }
            });
        }
        if (chance(wild / 2)) {
            fields.add("\"unknown\":1");
        }
        return fields.toString();
    }

    private String array(String name, JsonNode schema, int depth) {
        StringJoiner entries = new StringJoiner(",", "[", "]");
        int many = chance(wild) ? random.nextInt(ENTRIES)
                : Math.max(schema.path("minItems").asInt(0), Math.min(random.nextInt(1, ENTRIES), schema.path("maxItems").asInt(ENTRIES)));
        for (int i = many; i > 0 && depth < DEEPEST; i--) {
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
