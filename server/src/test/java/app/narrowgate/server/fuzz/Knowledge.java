package app.narrowgate.server.fuzz;

import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestClient.Answer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.JsonNodeFactory;

/** What the one who fuzzes knows of the house: what exists in it, by the names under which the API asks for it. */
final class Knowledge {

    private static final JsonMapper JSON = new JsonMapper();
    /** Lists of what has an id, after the address of a map or alone, and the names under which such an id is asked for. */
    private static final Map<String, String> OF_A_MAP = Map.of("lesson", "/classes?from=2020-01-01&until=2040-01-01", "drill", "/drills",
            "term", "/terms", "question", "/questions", "version", "/versions", "importId", "/record/imports");
    private static final Map<String, String> OF_THE_GYM = Map.of("person", "/api/people", "you", "/api/people", "they", "/api/people",
            "here", "/api/people", "partner", "/api/people", "link", "/api/links", "invitation", "/api/invitations", "shape", "/api/class-shapes");
    private static final List<String> PARTS = List.of("facts", "families", "situations", "techniques", "reactions", "holds", "postures");
    private static final String LESSON = """
            {"title":"Mount","day":"2026-05-04","starts":"19:30","minutes":60,"family":"mount","read":0.25,"late":0.5,
            "usual":"step-by-step","here":["%s"],"fixed":[],"out":[],"together":[],"apart":[],"odd":"three","limit":12,"turn":0}""";
    private static final String DRILL = """
            {"kind":"live","title":"Low mount","place":"mount-low","links":[],"opening":[],"finishes":[],"extension":[],"fakes":[],
            "sides":["left"],"repetitions":6,"least":4,"most":6,"minutes":6,"seed":1,"note":""}""";
    private static final int SOME = 40;

    private final TestClient client;
    private final Fuzzer fuzzer;
    private final String first;
    /** What is known under a name that stands for an id as well, or for a word. */
    private final Map<String, List<JsonNode>> bodies = new HashMap<>();
    private String copy;

    Knowledge(TestClient client, Fuzzer fuzzer) {
        this.client = client;
        this.fuzzer = fuzzer;
        first = client.firstMap();
    }

    /** Makes a new copy of the first map with a class, a drill and a question, and looks at what else there is. */
    void renew() {
        copy = id(client.post("/api/maps/new", "{\"title\":\"For anything\",\"source\":\"copy\",\"from\":\"%s\"}".formatted(first)));
        String away = id(client.post("/api/maps/new", "{\"title\":\"Away\",\"source\":\"empty\"}"));
        client.put("/api/maps/" + away + "/archived?away=true", "");
        lookAt(copy);
        fuzzer.know("mapId", copy, copy, copy, copy, copy, copy, first, away);
        List.of("other", "from", "before", "map").forEach(name -> fuzzer.know(name, first, away, copy));
        learnRevision(client.get("/api/maps/" + copy).json());
    }

    /** What is in a map, and what belongs to it: classes, one of them on the mat, drills, terms, the record, its files. */
    void lookAt(String map) {
        String of = "/api/maps/" + map;
        fill(of);
        fuzzer.know("mapId", map);
        OF_A_MAP.forEach((name, list) -> fuzzer.know(name, Stream.concat(ids(of + list).stream(), bodies.getOrDefault(name, List.of()).stream()).toList()));
        OF_THE_GYM.forEach((name, list) -> fuzzer.know(name, ids(list)));
        fuzzer.know("member", client.get("/api/members").json().values().stream().filter(member -> !member.get("oneself").booleanValue())
                .map(member -> member.get("id")).toList());
        knowPartsOf(client.get(of + "/file").json());
        fuzzer.know("text", Stream.of("/api/people/table", of + "/links", of + "/record/table", of + "/record/lines", of + "/file")
                .map(file -> client.get(file).text()).toArray(String[]::new));
    }

    private void fill(String map) {
        List<JsonNode> people = ids("/api/people");
        if (people.isEmpty()) {
            people = List.of(client.post("/api/people", """
                    {"people":[{"name":"Pell Underhill","age":"adults","notes":""}]}""").json().findValue("id"));
        }
        String lesson = LESSON.formatted(people.get(0).stringValue());
        String kept = id(client.post(map + "/classes", "{\"id\":\"%s\",\"lesson\":%s}".formatted(UUID.randomUUID(), lesson)));
        client.post(map + "/classes/" + kept + "/mat", "");
        fuzzer.know("token", Stream.of("screen", "clicker").map(kind -> client.post(map + "/classes/" + kept + "/mat/links",
                "{\"kind\":\"%s\"}".formatted(kind)).json().get("token")).toList());
        client.post(map + "/drills", "{\"id\":\"%s\",\"drill\":%s}".formatted(UUID.randomUUID(), DRILL));
        client.post(map + "/questions", "{\"id\":\"%s\",\"situation\":\"mount-low\",\"words\":\"What then\"}".formatted(UUID.randomUUID()));
        bodies.put("lesson", List.of(JSON.readTree(lesson)));
        bodies.put("drill", List.of(JSON.readTree(DRILL)));
        bodies.put("often", List.of(JSON.readTree("{\"word\":\"often\"}"), JSON.readTree("{\"number\":0.3}")));
        String person = people.get(0).stringValue();
        bodies.put("events", Stream.generate(UUID::randomUUID).limit(SOME).map(id -> JSON.readTree("""
                {"id":"%s","kind":"round","at":"2026-05-04T18:00:00Z","person":"%s","start":"mount-low","ending":"tap"}""".formatted(id, person))).toList());
        bodies.put("setting", List.of(JSON.readTree("{\"read\":0.25,\"late\":0.5,\"stances\":[]}")));
        bodies.forEach(fuzzer::know);
    }

    private void knowPartsOf(JsonNode file) {
        List<JsonNode> parts = new ArrayList<>();
        for (String list : PARTS) {
            some(file, list).forEach(part -> parts.add(JsonNodeFactory.instance.objectNode().put("list", list)
                    .put("id", part.path("id").asString("new")).set("part", part)));
        }
        fuzzer.know("parts", parts);
        fuzzer.know("part", parts.stream().flatMap(part -> Stream.of(part.get("id"), part.get("part"))).toList());
        for (String list : List.of("situations", "reactions", "holds", "principles", "postures")) {
            fuzzer.know(list.substring(0, list.length() - 1), some(file, list).map(one -> one.get("id")).toList());
        }
        List<JsonNode> places = some(file, "situations").map(one -> one.get("id")).toList();
        List.of("place", "start", "to", "leads").forEach(name -> fuzzer.know(name, places));
        fuzzer.know("response", some(file, "reactions").flatMap(one -> one.path("responses").values().stream()).map(one -> one.get("id")).toList());
        fuzzer.know("matchup", "much-heavier");
        fuzzer.know("age", "children", "adults");
        fuzzer.know("level", "novice", "intermediate");
        fuzzer.know("name", "tamsin", "Before spring");
        fuzzer.know("injury", "knee", "neck");
        fuzzer.know("held", "head", "near-arm");
        fuzzer.know("free", "hips");
        fuzzer.know("weight", List.of(JsonNodeFactory.instance.numberNode(71.5)));
        fuzzer.know("height", List.of(JsonNodeFactory.instance.numberNode(174)));
    }

    private static Stream<JsonNode> some(JsonNode file, String list) {
        return file.path(list).values().stream().limit(SOME);
    }

    /** Of an answer to a request: what the copy's newest revision is now. */
    void learn(Fuzzer.Request request, Answer answer) {
        if (request.path().startsWith("/api/maps/" + copy) && answer.type().matches("application/json(;.*)?")) {
            learnRevision(answer.json());
            if (request.method().equals("POST") && request.path().contains("/runs") && answer.json().has("id")) {
                fuzzer.know("run", List.of(answer.json().get("id")));
            }
        }
    }

    private void learnRevision(JsonNode answer) {
        if (answer.path("revision").isInt()) {
            fuzzer.know("revision", List.of(answer.get("revision")));
        }
    }

    private static String id(Answer answer) {
        return answer.json().get("id").stringValue();
    }

    private List<JsonNode> ids(String list) {
        return client.get(list).json().values().stream().limit(SOME).map(one -> one.findValue("id")).filter(Objects::nonNull).toList();
    }
}
