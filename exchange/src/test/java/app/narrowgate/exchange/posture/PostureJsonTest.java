package app.narrowgate.exchange.posture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.body.Contacts;
import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.body.Limb;
import app.narrowgate.core.body.LimbOf;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.body.View;
import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.fixture.BodyFixture;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Posture;
import app.narrowgate.core.trait.Side;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is written is read, and what is wrong is told by its place. */
class PostureJsonTest {

    private static final Contacts CONTACTS = new Contacts(Set.of(new JointOf(Player.YOU, Joint.TOE_LEFT)),
            List.of(new Contacts.Rest(new LimbOf(Player.THEY, Limb.CHEST_LEFT), new LimbOf(Player.YOU, Limb.CHEST_RIGHT))),
            List.of(new Contacts.Grip(new JointOf(Player.THEY, Joint.HAND_LEFT), new LimbOf(Player.YOU, Limb.NECK), .25)));
    private static final Posture WHOLE = new Posture(Id.of("apart"), "Apart", "Both stand.", Optional.of(new View(-60, 12.5)),
            Optional.of(Side.LEFT), new Posture.Whole(BodyFixture.standing().rounded().with(CONTACTS)));
    private static final Posture LIKE = new Posture(Id.of("nearer"), "Nearer", "", Optional.empty(), Optional.empty(),
            new Posture.Like(Id.of("apart"), true, true, Map.of(new JointOf(Player.THEY, Joint.HAND_LEFT), Vector3D.of(0, -.1, .05)),
                    Optional.of(Contacts.NONE)));
    private static final Posture SAME = new Posture(Id.of("same"), "The same", "", Optional.empty(), Optional.empty(),
            new Posture.Like(Id.of("apart"), false, false, Map.of(), Optional.empty()));

    @Test
    void whatIsWrittenIsRead() {
        List<Posture> postures = List.of(WHOLE, LIKE, SAME);
        String written = PostureJson.writeFile(postures);
        assertThat(PostureJson.readFile(written)).isEqualTo(postures);
        assertThat(PostureJson.writeFile(PostureJson.readFile(written))).isEqualTo(written);
    }

    private static List<String> problems(String json) {
        try {
            PostureJson.readFile(json);
            return List.of();
        } catch (ProblemsException e) {
            return e.problems().stream().map(Problem::place).toList();
        }
    }

    /** One thing is made wrong in a file that is right, and told where it stands. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
            "\"head\"|\"hat\"|/postures/0/you/hat",
            "\"azimuth\" : -60.0|\"azimuth\" : 400|/postures/0/view/azimuth",
            "\"hand\" : \"they.hand-left\"|\"hand\" : \"they.knee-left\"|/postures/0/grips/0",
            "\"at\" : 0.25|\"at\" : 2|/postures/0/grips/0/at",
            "\"you.toe-left\"|\"toe-left\"|/postures/0/mat/0",
            "\"other\" : \"you.chest-right\"|\"other\" : \"they.chest-left\"|/postures/0/rests/0",
            "\"near\" : \"left\"|\"near\" : \"above\"|/postures/0/near",
            "\"swap\" : true|\"swap\" : \"yes\"|/postures/1/swap",
            "\"move\" : {|\"shove\" : {|/postures/1/shove",
    })
    void whatIsWrongIsToldByItsPlace(String right, String wrong, String place) {
        String json = PostureJson.writeFile(List.of(WHOLE, LIKE));
        assertThat(json).contains(right);
        assertThat(problems(json.replaceFirst(Pattern.quote(right), Matcher.quoteReplacement(wrong))))
                .contains(place);
    }

    @Test
    void aPointHasThreeNumbersWithinReach() {
        String head = "{\"format\":\"narrowgate-posture/1\",\"postures\":[{\"id\":\"a\",\"title\":\"A\",\"base\":\"b\",\"move\":{\"they\":{\"knee-left\":%s}}}]}";
        assertThat(problems(head.formatted("[0, 0.1, 0]"))).isEmpty();
        assertThat(problems(head.formatted("[0, 0.1]"))).containsExactly("/postures/0/move/they/knee-left");
        assertThat(problems(head.formatted("[0, 9, 0]"))).containsExactly("/postures/0/move/they/knee-left/1");
        assertThat(problems(head.formatted("[0, \"1\", 0]"))).containsExactly("/postures/0/move/they/knee-left/1");
    }

    /** What is told whole is drawn as it is told: a heap of joints is no body. */
    @Test
    void aBoneFarFromItsLengthIsRefused() {
        String head = "\"hand-left\" : [";
        String json = PostureJson.writeFile(List.of(WHOLE));
        int at = json.indexOf(head) + head.length();
        String off = json.substring(0, at) + "2, 2, 2" + json.substring(json.indexOf(']', at));
        assertThat(problems(json)).isEmpty();
        assertThat(problems(off)).containsExactly("/postures/0");
    }

    @Test
    void aPostureIsToldWholeOrFromAnother() {
        String both = "{\"format\":\"narrowgate-posture/1\",\"postures\":[{\"id\":\"a\",\"title\":\"A\",\"base\":\"b\",\"you\":{}}]}";
        assertThatThrownBy(() -> PostureJson.readFile(both)).isInstanceOf(ProblemsException.class);
        assertThat(problems(both)).containsExactly("/postures/0/base");
        assertThat(problems("{\"format\":\"narrowgate-posture/1\",\"postures\":[{\"id\":\"a\",\"title\":\"A\"}]}")).containsExactly("/postures/0/base");
        assertThat(problems("{\"format\":\"narrowgate-map/1\",\"postures\":[]}")).containsExactly("/format");
    }
}
