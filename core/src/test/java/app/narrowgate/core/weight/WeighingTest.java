package app.narrowgate.core.weight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Contacts;
import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.body.Limb;
import app.narrowgate.core.body.LimbOf;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.body.Soundness;
import app.narrowgate.core.body.Relaxation;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.fixture.BodyFixture;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** What is reckoned with and what is not, on a posture that is easily told: you on your back, they stand across you. */
class WeighingTest {

    private static final UnaryOperator<Bodies> AS_IT_IS = rough -> rough;

    /** You flat on your back, head to +y; they upright at the given y, facing your head, feet on the mat. */
    private static Bodies standingAt(double y, List<Contacts.Rest> rests) {
        Map<Joint, Vector3D> you = new EnumMap<>(Joint.class);
        // A body that stands looking to +y, laid down backwards: up becomes away from the feet, before becomes up.
        BodyFixture.upright(0, -1).forEach((joint, at) -> you.put(joint, Vector3D.of(at.getX(), at.getZ() - .5, .06 - at.getY())));
        Set<JointOf> mat = new LinkedHashSet<>();
        for (Joint joint : List.of(Joint.ANKLE_LEFT, Joint.ANKLE_RIGHT, Joint.TOE_LEFT, Joint.TOE_RIGHT)) {
            mat.add(new JointOf(Player.THEY, joint));
        }
        return Bodies.of(you, BodyFixture.upright(y, 1), new Contacts(mat, rests, List.of()));
    }

    private static Weighing weighed(Bodies bodies, Change... done) {
        return Weighing.of(bodies, Set.of(done), AS_IT_IS);
    }

    @Test
    void whoTouchesNobodyRestsOnNobody() {
        Weighing weighing = weighed(standingAt(-.9, List.of()));
        assertThat(weighing.load().orElseThrow().likely()).isZero();
        assertThat(weighing.noLoad()).isEmpty();
        // Upright over both feet they tip to the front last, over the heels first: feet point to your head.
        Base base = weighing.base().orElseThrow();
        assertThat(base.degrees(Math.PI / 2)).isGreaterThan(base.degrees(-Math.PI / 2));
        assertThat(Way.Compass.of(weighing.bodies()).of(Vector3D.of(0, 1, 0))).isEqualTo(Way.HEAD);
    }

    /** With both hands free they catch themselves to the sides they have hands on. */
    @Test
    void aTrappedFootAndHandAreTakenAway() {
        Bodies bodies = standingAt(-.9, List.of());
        Weighing whole = weighed(bodies);
        Weighing trapped = weighed(bodies, Change.TRAP_FOOT_LEFT);
        assertThat(whole.supports().posts()).hasSize(4);
        assertThat(trapped.supports().posts()).extracting(post -> post.joint().joint())
                .containsExactly(Joint.ANKLE_RIGHT, Joint.TOE_RIGHT);
        // Looking to +y their left is to -x.
        assertThat(trapped.own().orElseThrow().degrees(Math.PI)).isLessThan(whole.own().orElseThrow().degrees(Math.PI) - 3);
        assertThat(trapped.bodies().at(Player.THEY, Joint.HEAD)).isEqualTo(bodies.at(Player.THEY, Joint.HEAD));
        assertThat(Trap.best(bodies).orElseThrow().weakest().degrees()).isLessThan(whole.base().orElseThrow().weakest().degrees());
    }

    @Test
    void onYourFeetNothingIsReckoned() {
        Weighing weighing = weighed(BodyFixture.standing());
        assertThat(weighing.load()).isEmpty();
        assertThat(weighing.base()).isEmpty();
        assertThat(weighing.own()).isEmpty();
        assertThat(weighing.noLoad()).contains(Weighing.Silence.STANDING);
        assertThat(weighing.noBase()).contains(Weighing.Silence.STANDING);
        assertThat(Trap.best(BodyFixture.standing())).isEmpty();
    }

    @Test
    void whoHasNothingOnTheMatRestsWholeOnYou() {
        Bodies bodies = standingAt(0, List.of(new Contacts.Rest(new LimbOf(Player.THEY, Limb.FOOT_LEFT),
                new LimbOf(Player.YOU, Limb.CHEST_RIGHT))));
        Map<JointOf, Vector3D> up = new LinkedHashMap<>();
        for (Joint joint : Joint.values()) {
            up.put(new JointOf(Player.THEY, joint), Vector3D.of(0, 0, .2));
        }
        Bodies lifted = bodies.with(new Contacts(Set.of(), bodies.contacts().rests(), List.of())).moved(up);
        Weighing weighing = weighed(lifted);
        assertThat(weighing.load().orElseThrow().least()).isEqualTo(1);
        assertThat(weighing.noBase()).contains(Weighing.Silence.ALL_ON_YOU);
    }

    @Test
    void whoLiesOrSitsHasNothingToTip() {
        Bodies bodies = standingAt(-.9, List.of());
        Bodies lying = bodies.with(new Contacts(Set.of(new JointOf(Player.THEY, Joint.SHOULDER_LEFT)), List.of(), List.of()));
        assertThat(weighed(lying).noBase()).contains(Weighing.Silence.LYING);
        assertThat(weighed(lying).noLoad()).contains(Weighing.Silence.LYING);
        Bodies sitting = bodies.with(new Contacts(Set.of(new JointOf(Player.THEY, Joint.HIP)), List.of(), List.of()));
        assertThat(weighed(sitting).noBase()).contains(Weighing.Silence.SITTING);
    }

    /** Leaning far out over one foot that is left they would have to hang on you. */
    @Test
    void whatStandsOnlyByPullHasNoLoad() {
        Bodies bodies = standingAt(-.9, List.of()).moved(Map.of(new JointOf(Player.THEY, Joint.WAIST), Vector3D.of(0, .9, 0),
                new JointOf(Player.THEY, Joint.NECK), Vector3D.of(0, .9, 0)));
        assertThat(weighed(bodies).noLoad()).contains(Weighing.Silence.NOT_WITHOUT_PULL);
        assertThat(weighed(bodies).base().orElseThrow().weakest().degrees()).isNegative();
    }

    @Test
    void whatMakesNoSenseIsPassedOver() {
        Bodies bodies = standingAt(-.9, List.of());
        // Upright no hand reaches the mat.
        assertThat(Change.of(bodies)).containsExactly(Change.TRAP_FOOT_LEFT, Change.TRAP_FOOT_RIGHT);
        Weighing passedOver = weighed(bodies, Change.KNEES_OFF, Change.HIPS_HIGHER, Change.TRAP_HAND_LEFT);
        assertThat(passedOver.bodies()).isEqualTo(bodies);
        assertThat(passedOver.supports()).isEqualTo(weighed(bodies).supports());
    }

    @Test
    void aChangeIsDoneAndTakenBack() {
        Set<Change> once = Change.toggled(Set.of(), Change.TRAP_HAND_LEFT);
        assertThat(once).containsExactly(Change.TRAP_HAND_LEFT);
        assertThat(Change.toggled(once, Change.SEAT_UP)).containsExactly(Change.TRAP_HAND_LEFT, Change.SEAT_UP);
        assertThat(Change.toggled(once, Change.TRAP_HAND_LEFT)).isEmpty();
    }

    /** On your side there is a front and a back instead of a right and a left. */
    @Test
    void directionsAreCalledAsYouWouldCallThem() {
        Bodies onTheBack = standingAt(-.9, List.of());
        Way.Compass compass = Way.Compass.of(onTheBack);
        // Lying on your back, head to +y, your left is to +x.
        assertThat(compass.of(Vector3D.of(1, 0, 0))).isEqualTo(Way.LEFT);
        assertThat(compass.of(Vector3D.of(-1, 1, 0))).isEqualTo(Way.HEAD_RIGHT);
        assertThat(compass.of(Vector3D.of(-1, -1, 5))).isEqualTo(Way.FEET_RIGHT);
        Map<Joint, Vector3D> turned = new EnumMap<>(Joint.class);
        onTheBack.of(Player.YOU).forEach((joint, at) -> turned.put(joint, Vector3D.of(at.getZ(), at.getY(), .3 - at.getX())));
        Way.Compass side = Way.Compass.of(Bodies.of(turned, onTheBack.of(Player.THEY), Contacts.NONE));
        assertThat(side.of(Vector3D.of(1, 0, 0))).isEqualTo(Way.FRONT);
        assertThat(side.of(Vector3D.of(-1, 0, 0))).isEqualTo(Way.BACK);
        assertThat(side.of(Vector3D.of(0, 1, 0))).isEqualTo(Way.HEAD);
        assertThat(side.of(Vector3D.of(-1, -1, 0))).isEqualTo(Way.FEET_BACK);
    }

    /** A taller partner has bones as long as their stature says, and is apart from you as before. */
    @Test
    void aTallerPartnerIsTallerInAllTheirBones() {
        Bodies taller = Weighing.sized(standingAt(-.9, List.of()), new Sizes(70, 1.6, 100, 2.0), Relaxation::of);
        assertThat(taller.size(Player.THEY)).isEqualTo(1.25);
        assertThat(Soundness.of(taller).rod()).isLessThan(.007);
        assertThat(taller.at(Player.THEY, Joint.HIP_LEFT).distance(taller.at(Player.THEY, Joint.KNEE_LEFT))).isCloseTo(.245 * 1.25, within(.003));
        assertThat(taller.at(Player.YOU, Joint.HIP_LEFT).distance(taller.at(Player.YOU, Joint.KNEE_LEFT))).isCloseTo(.245, within(.002));
        Bodies same = standingAt(-.9, List.of());
        assertThat(Weighing.sized(same, Sizes.AVERAGE, AS_IT_IS)).isSameAs(same);
    }

    @Test
    void whatNobodyWeighsIsRefused() {
        assertThatThrownBy(() -> new Sizes(0, 1.78, 80, 1.78)).isInstanceOf(RefusedException.class).hasMessageContaining("Your weight");
        assertThatThrownBy(() -> new Sizes(80, 1.78, 80, 3)).isInstanceOf(RefusedException.class).hasMessageContaining("Their stature");
        assertThatThrownBy(() -> new Sizes(80, Double.NaN, 80, 1.78)).isInstanceOf(RefusedException.class);
        assertThat(EnumSet.allOf(Change.class)).allMatch(change -> change.trapped().isEmpty() != change.code().startsWith("trap-"));
        assertThat(Optional.of(Sizes.AVERAGE.ratio())).contains(1.0);
    }
}
