package app.narrowgate.e2e;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/** The demo gym's owner without a browser, who changes one fact of the first map again and again. */
final class Coach {

    private static final Pattern ID = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"");
    private static final Pattern REVISION = Pattern.compile("\"revision\":(\\d+)");

    private final Visitor visitor;
    private final String map;

    Coach(String address) {
        this(Visitor.signedIn(address, "tamsin", "open-the-gate"));
    }

    /** Somebody else who may change the first map of theirs. */
    Coach(Visitor visitor) {
        this.visitor = visitor;
        map = "/api/maps/" + first(ID, visitor.get("/api/maps"));
    }

    Visitor visitor() {
        return visitor;
    }

    /** Its address. */
    String map() {
        return map;
    }

    /** The ids of so many people on the roster. */
    List<String> people(int many) {
        return ID.matcher(Visitor.text(visitor.get("/api/people"))).results().limit(many).map(found -> found.group(1)).toList();
    }

    /** The newest revision that an answer about the map names. */
    static int revision(HttpResponse<byte[]> answer) {
        return Integer.parseInt(first(REVISION, answer));
    }

    /** Changes the fact on a revision of the map, with the same words in its history. */
    HttpResponse<byte[]> save(int revision, String words) {
        return visitor.send("POST", map + "/parts", """
                {"revision":%d,"summary":"%s","parts":[{"list":"facts","id":"often-changed","part":{"title":"%2$s"}}]}""".formatted(revision, words));
    }

    private static String first(Pattern pattern, HttpResponse<byte[]> answer) {
        String text = Visitor.text(answer);
        return pattern.matcher(text).results().map((MatchResult found) -> found.group(1)).findFirst()
                .orElseThrow(() -> new IllegalStateException("Not in the answer: %s in %.200s".formatted(pattern, text)));
    }
}
