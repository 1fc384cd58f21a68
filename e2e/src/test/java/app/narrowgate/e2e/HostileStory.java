package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import com.google.gson.JsonPrimitive;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.LoadState;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Words that would be a program elsewhere stand in every name and sentence of a map, a person, a class and a drill: here they are words. */
class HostileStory extends Story {

    /** What begins an element, which no map takes. */
    private static final List<String> MARKUP = List.of("<img src=x onerror=executed()>", "<script>executed()</script>", "'\"><svg onload=executed()>");
    private static final List<String> PROGRAMS = List.of("javascript:executed()", "\" onload=executed() x=\"", "' onmouseover='executed()", "{{executed()}}",
            "${executed()}", "&lt;script&gt;executed()&lt;/script&gt;", "\\u003cscript\\u003e", "]]>--%>");
    private static final Pattern ID = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"");
    /** Of a sentence so much stays, for names to differ. */
    private static final int KEPT = 24;

    private int programs;

    /** The file of a map with a program at the end of each sentence; ids and what else has no space in it stay as they are. */
    private JsonElement poisoned(JsonElement part) {
        if (part.isJsonArray()) {
            for (int i = 0; i < part.getAsJsonArray().size(); i++) {
                part.getAsJsonArray().set(i, poisoned(part.getAsJsonArray().get(i)));
            }
        } else if (part.isJsonObject()) {
            JsonObject object = part.getAsJsonObject();
            for (Map.Entry<String, JsonElement> field : object.entrySet()) {
                field.setValue(poisoned(field.getValue()));
            }
        } else if (part.getAsJsonPrimitive().isString() && part.getAsString().contains(" ")) {
            return new JsonPrimitive(poisoned(part.getAsString()));
        }
        return part;
    }

    private String poisoned(String words) {
        programs++;
        return "%d %s %s".formatted(programs, words.substring(0, Math.min(KEPT, words.length())), PROGRAMS.get(programs % PROGRAMS.size()));
    }

    private static String id(HttpResponse<byte[]> answer) {
        taken(answer);
        Matcher id = ID.matcher(Visitor.text(answer));
        assertThat(id.find()).isTrue();
        return id.group(1);
    }

    @Test
    void wordsAreWordsInEveryView() {
        Coach coach = new Coach(app.address());
        Visitor visitor = coach.visitor();
        for (String markup : MARKUP) {
            String name = new JsonPrimitive("Tamsin " + markup).toString();
            assertThat(visitor.send("PUT", "/api/me/name", "{\"displayName\":%s}".formatted(name)).statusCode()).as(markup).isEqualTo(422);
            assertThat(visitor.send("POST", "/api/maps/new", "{\"title\":%s,\"source\":\"empty\"}".formatted(name)).statusCode()).as(markup).isEqualTo(422);
        }
        JsonElement file = JsonParser.parseString(Visitor.text(visitor.get(coach.map() + "/file")));
        String id = id(visitor.send("POST", "/api/maps", poisoned(file).toString()));
        assertThat(programs).as("of a map's sentences").isGreaterThan(500);
        fill(visitor, "/api/maps/" + id);

        Page page = browser.signedIn();
        page.addInitScript("window.executions = 0; window.executed = () => { window.executions++; };");
        for (String view : ViewsStory.VIEWS) {
            requireWords(page, "/map/" + id + view);
        }
        ViewsStory.OUTSIDE.forEach(view -> requireWords(page, view));
        page.navigate(app.address() + "/people");
        assertThat(page.getByText("Pell").first()).isVisible();
        assertThat(page.evaluate("executed(), window.executions")).as("one that did run would be seen").isEqualTo(1);
    }

    /** What somebody writes that is not in a map's file: a person, a class, a drill, a question, a version, one's own name; and a round. */
    private void fill(Visitor visitor, String map) {
        String person = id(visitor.send("POST", "/api/people", "{\"people\":[{\"name\":%s,\"age\":\"adults\",\"notes\":%s}]}".formatted(quoted("Pell"),
                quoted("Comes late"))));
        id(visitor.send("POST", map + "/classes", """
                {"id":"%s","lesson":{"title":%s,"day":"2032-05-04","starts":"19:30","minutes":60,"family":"mount","read":0.25,"late":0.5,
                "usual":"step-by-step","here":["%s"],"fixed":[],"out":[],"together":[],"apart":[],"odd":"three","limit":12,"turn":0}}"""
                .formatted(UUID.randomUUID(), quoted("Mount"), person)));
        id(visitor.send("POST", map + "/drills", """
                {"id":"%s","drill":{"kind":"live","title":%s,"place":"mount-low","links":[],"opening":[],"finishes":[],"extension":[],"fakes":[],
                "sides":["left"],"repetitions":6,"least":4,"most":6,"minutes":6,"seed":1,"note":%s}}"""
                .formatted(UUID.randomUUID(), quoted("Mount"), quoted("Slowly"))));
        id(visitor.send("POST", map + "/questions", "{\"id\":\"%s\",\"situation\":\"mount-low\",\"words\":%s}".formatted(UUID.randomUUID(), quoted("Why"))));
        taken(visitor.send("POST", map + "/versions", "{\"name\":%s,\"revision\":1}".formatted(quoted("First"))));
        taken(visitor.send("POST", map + "/record/events", """
                {"events":[{"id":"%s","kind":"round","at":"2026-05-04T18:00:00Z","person":"%s","start":"mount-low","ending":"tap"}]}"""
                .formatted(UUID.randomUUID(), person)));
        taken(visitor.send("PUT", "/api/me/name", "{\"displayName\":%s}".formatted(quoted("Tamsin"))));
    }

    private static void requireWords(Page page, String path) {
        page.navigate(app.address() + path);
        h1(page).waitFor();
        page.waitForLoadState(LoadState.NETWORKIDLE);
        assertThat(page.evaluate("window.executions")).as(path).isEqualTo(0);
        assertThat(page.locator("[onload], [onmouseover], [href^='javascript' i], [src^='javascript' i]").count()).as(path).isZero();
    }

    private static void taken(HttpResponse<byte[]> answer) {
        assertThat(answer.statusCode()).as(Visitor.text(answer)).isBetween(200, 299);
    }

    private String quoted(String words) {
        return new JsonPrimitive(poisoned(words)).toString();
    }
}
