package app.narrowgate.server.weight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.server.DemoMapTest;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The demo's places weighed, over HTTP on the real database. */
class WeightApiTest extends DemoMapTest {

    private static JsonNode weight(String query) {
        return client.get(map + "/weight/" + query).json();
    }

    private static double likely(JsonNode figures) {
        return figures.get("load").get("likely").doubleValue();
    }

    private static double weakest(JsonNode figures) {
        return figures.get("weakest").get("degrees").doubleValue();
    }

    @Test
    void aPlaceIsWeighedAndDrawnWithItsMarks() {
        JsonNode low = weight("mount-low");
        assertThat(likely(low.get("now"))).isBetween(20.0, 60.0);
        assertThat(low.get("now")).isEqualTo(low.get("first"));
        JsonNode drawing = low.get("drawing");
        assertThat(drawing.get("pieces").size()).isGreaterThan(24);
        JsonNode marks = low.get("marks");
        assertThat(marks.get("base").size()).isGreaterThan(5);
        assertThat(marks.get("weakest").size()).isEqualTo(2);
        for (JsonNode corner : marks.get("base")) {
            assertThat(corner.get("x").intValue()).isBetween(0, drawing.get("width").intValue());
            assertThat(corner.get("y").intValue()).isBetween(0, drawing.get("height").intValue());
        }
        // The centre hangs straight above its foot in the picture.
        assertThat(marks.get("centre").get("x")).isEqualTo(marks.get("foot").get("x"));
        assertThat(marks.get("centre").get("y").intValue()).isLessThan(marks.get("foot").get("y").intValue());
        assertThat(low.get("rose").get("spokes").size()).isEqualTo(72);
        double least = StreamSupport.stream(low.get("rose").get("spokes").spliterator(), false)
                .mapToDouble(spoke -> spoke.get("now").doubleValue()).min().orElseThrow();
        assertThat(least).isCloseTo(weakest(low.get("now")), within(2.5));
    }

    @Test
    void whatIsTrappedIsTakenAwayAndSaid() {
        JsonNode trapped = weight("mount-low?done=trap-hand-left&done=trap-foot-left");
        assertThat(weakest(trapped.get("now"))).isLessThan(weakest(trapped.get("first")) - 15);
        assertThat(trapped.get("now").get("weakest").get("way").stringValue()).isEqualTo("head-right");
        assertThat(likely(trapped.get("now"))).isGreaterThan(likely(trapped.get("first")) + 3);
        List<String> taken = new ArrayList<>();
        trapped.get("marks").get("posts").forEach(post -> {
            if (post.get("taken").booleanValue()) {
                taken.add(post.get("joint").stringValue());
            }
        });
        assertThat(taken).containsExactlyInAnyOrder("ankle-left", "toe-left", "elbow-left");
        for (JsonNode change : trapped.get("changes")) {
            String code = change.get("change").stringValue();
            assertThat(change.get("done").booleanValue()).isEqualTo(List.of("trap-hand-left", "trap-foot-left").contains(code));
            if (change.get("done").booleanValue()) {
                assertThat(change.get("then")).isEqualTo(trapped.get("now"));
            }
        }
    }

    /** Twice as heavy is twice the load and the same angle; somebody taller is drawn taller. */
    @Test
    void weightsAndStaturesCount() {
        JsonNode usual = weight("side-crossface");
        JsonNode heavy = weight("side-crossface?theirWeight=160");
        assertThat(likely(heavy.get("now"))).isCloseTo(2 * likely(usual.get("now")), within(1e-6));
        assertThat(weakest(heavy.get("now"))).isCloseTo(weakest(usual.get("now")), within(1e-9));
        assertThat(heavy.get("drawing")).isEqualTo(usual.get("drawing"));
        JsonNode tall = weight("side-crossface?theirStature=200&yourStature=160");
        assertThat(tall.get("drawing")).isNotEqualTo(usual.get("drawing"));
        assertThat(weight("mount-low?theirStature=200&yourStature=200").get("drawing")).isEqualTo(weight("mount-low").get("drawing"));
    }

    @Test
    void itIsSeenFromAboveAndFromTheOtherSide() {
        JsonNode above = weight("mount-low?view=above");
        JsonNode other = weight("mount-low?view=other");
        assertThat(above.get("drawing")).isNotEqualTo(other.get("drawing"));
        assertThat(above.get("now")).isEqualTo(other.get("now"));
        // From straight above the centre lies on its foot, and the rose is turned as the picture is.
        assertThat(above.get("marks").get("centre")).isEqualTo(above.get("marks").get("foot"));
        double there = above.get("rose").get("weakest").doubleValue();
        assertThat(Math.abs(there - other.get("rose").get("weakest").doubleValue())).isCloseTo(180, within(1e-6));
    }

    @Test
    void everyDrawnPlaceIsWeighed() {
        JsonNode all = client.get(map + "/weight").json();
        assertThat(all.size()).isEqualTo(client.get(map).json().get("situations").size());
        for (JsonNode one : all) {
            JsonNode figures = one.get("figures");
            assertThat(figures.hasNonNull("load")).isNotEqualTo(figures.hasNonNull("noLoad"));
            assertThat(figures.hasNonNull("weakest")).isNotEqualTo(figures.hasNonNull("noBase"));
        }
    }

    @Test
    void whatCannotBeIsRefusedInWords() {
        for (String bad : List.of("mount-low?done=trap-the-tail", "mount-low?yourWeight=0", "mount-low?theirWeight=NaN",
                "mount-low?theirStature=900", "mount-low?view=below", "mount-low?yourStature=tall")) {
            assertThat(client.get(map + "/weight/" + bad).status()).as(bad).isIn(400, 422);
        }
        assertThat(client.get(map + "/weight/mount-low?done=trap-the-tail").text()).contains("What is changed", "trap-hand-left");
        assertThat(client.get(map + "/weight/nowhere").status()).isEqualTo(404);
        assertThat(server.client().get(map + "/weight/mount-low").status()).isEqualTo(401);
    }
}
