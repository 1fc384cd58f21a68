package app.narrowgate.exchange.posture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.body.Relaxation;
import app.narrowgate.core.body.Soundness;
import app.narrowgate.core.lever.Claim;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Posture;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.picture.Postures;
import app.narrowgate.core.weight.Readable;
import app.narrowgate.core.weight.Base;
import app.narrowgate.core.weight.Change;
import app.narrowgate.core.weight.Load;
import app.narrowgate.core.weight.Sizes;
import app.narrowgate.core.weight.Trap;
import app.narrowgate.core.weight.Way;
import app.narrowgate.core.weight.Weighing;
import app.narrowgate.exchange.map.MapFolder;
import java.nio.file.Path;
import app.narrowgate.core.map.MapIndex;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * The demo's places weighed, against what the trade says of them. Common practice, no source, for each of these: who is
 * heavy where, which way they go, what a trapped post changes.
 */
class DemoWeightsTest {

    private static final EscapeMap MAP = MapFolder.read(Path.of("../demo/map"));
    private static final Postures POSTURES = Postures.of(MAP);

    static Stream<Id> postures() {
        return MAP.postures().stream().map(Posture::id);
    }

    private static Bodies bodies(String posture) {
        return POSTURES.get(Id.of(posture)).bodies();
    }

    private static Weighing weighed(Bodies bodies, Change... done) {
        return Weighing.of(bodies, Set.of(done), rough -> Relaxation.of(rough, Relaxation.NUDGE, Map.of()));
    }

    private static Load load(String posture, Change... done) {
        return weighed(bodies(posture), done).load().orElseThrow();
    }

    private static double degrees(String posture, Change... done) {
        return weighed(bodies(posture), done).base().orElseThrow().weakest().degrees();
    }

    private static Way way(String posture, Change... done) {
        Weighing weighing = weighed(bodies(posture), done);
        Base.Lean weakest = weighing.base().orElseThrow().weakest();
        return Way.Compass.of(weighing.bodies()).of(Vector3D.of(Math.cos(weakest.azimuth()), Math.sin(weakest.azimuth()), 0));
    }

    /** The trapped arm's shoulder is where a bridge goes, and the foot of that side is worth trapping with it. */
    @Test
    void mountedLowTheyGoOverTheShoulderOfTheTrappedArm() {
        assertThat(degrees("mount-low")).isBetween(50.0, 65.0);
        // Their left hand is on the side of your right shoulder.
        assertThat(way("mount-low", Change.TRAP_HAND_LEFT, Change.TRAP_FOOT_LEFT)).isEqualTo(Way.HEAD_RIGHT);
        assertThat(way("mount-low", Change.TRAP_HAND_RIGHT, Change.TRAP_FOOT_RIGHT)).isEqualTo(Way.HEAD_LEFT);
        assertThat(degrees("mount-low", Change.TRAP_HAND_LEFT, Change.TRAP_FOOT_LEFT)).isBetween(28.0, 42.0);
        assertThat(Trap.best(bodies("mount-low")).orElseThrow().changes()).containsAnyOf(Change.TRAP_HAND_LEFT, Change.TRAP_HAND_RIGHT);
    }

    /** Sitting upright they catch themselves with their hands; a bridge without a trapped arm goes nowhere. */
    @Test
    void sittingUprightTheyPostWithTheirHands() {
        Weighing upright = weighed(bodies("mount-upright"));
        assertThat(upright.own().orElseThrow().weakest().degrees()).isLessThan(25);
        assertThat(upright.base().orElseThrow().weakest().degrees()).isGreaterThan(40);
        assertThat(degrees("mount-upright", Change.TRAP_HAND_LEFT)).isLessThan(45);
    }

    /** A scarf hold is heavy with the seat up and light with it down; it falls over backwards. */
    @Test
    void theSeatMakesTheScarfHoldHeavy() {
        double down = load("scarf-light").likely();
        assertThat(load("scarf-seat-up").likely()).isGreaterThan(down + .2);
        assertThat(load("scarf-light", Change.SEAT_UP).likely()).isGreaterThan(down + .2);
        assertThat(load("scarf-seat-up", Change.SEAT_DOWN).likely()).isLessThan(load("scarf-seat-up").likely() - .1);
        assertThat(degrees("scarf-seat-up")).isNegative();
        assertThat(way("scarf-seat-up")).isEqualTo(Way.LEFT);
    }

    @Test
    void kneesOffTheMatMakeTheCrossFaceHeavier() {
        assertThat(load("side-crossface", Change.KNEES_OFF).likely()).isGreaterThan(load("side-crossface").likely() + .05);
    }

    /** A knee ride is heavy and stands badly; who sprawls on your back rests on you. */
    @Test
    void theyAreHeavyWhereTheTradeSaysSo() {
        assertThat(load("knee-ride").likely()).isGreaterThan(.5);
        assertThat(weighed(bodies("knee-ride")).own().orElseThrow().weakest().degrees()).isNegative();
        assertThat(load("front-headlock").likely()).isGreaterThan(.6);
        assertThat(load("turtle-joined").likely()).isBetween(.5, .85);
        assertThat(load("back-belly-down").least()).isEqualTo(1);
        assertThat(load("side-early").likely()).isZero();
    }

    /** Behind a turtle they fall over its front. */
    @Test
    void behindATurtleTheyFallOverItsFront() {
        assertThat(way("turtle-joined")).isEqualTo(Way.HEAD);
        assertThat(degrees("turtle-joined")).isNegative();
    }

    /** Where pull carries weight there is no number: standing headlocks, hooks, legs round you. */
    @ParameterizedTest
    @CsvSource({"headlock-upright, STANDING", "headlock-bent, STANDING", "back-standing, STANDING", "back-lying, SITTING",
            "back-joined, SITTING", "triangle-locked, SITTING", "guillotine, SITTING", "arm-lock, SITTING",
            "open-guard, NOT_WITHOUT_PULL"})
    void wherePullCarriesThereIsNoNumber(String posture, Weighing.Silence why) {
        Weighing weighing = weighed(bodies(posture));
        assertThat(weighing.load()).isEmpty();
        assertThat(weighing.noLoad()).contains(why);
    }

    /** In a mirror every number stays and the sides swap. */
    @ParameterizedTest
    @MethodSource("postures")
    void aMirrorSwapsTheSidesAlone(Id posture) {
        Bodies one = POSTURES.get(posture).bodies();
        Weighing weighing = weighed(one);
        Weighing mirrored = weighed(one.mirrored());
        assertThat(mirrored.noLoad()).isEqualTo(weighing.noLoad());
        assertThat(mirrored.noBase()).isEqualTo(weighing.noBase());
        weighing.load().ifPresent(load -> {
            Load other = mirrored.load().orElseThrow();
            assertThat(other.likely()).isCloseTo(load.likely(), within(1e-4));
            assertThat(other.least()).isCloseTo(load.least(), within(1e-5));
            assertThat(other.most()).isCloseTo(load.most(), within(1e-5));
        });
        weighing.base().ifPresent(base -> {
            Base other = mirrored.base().orElseThrow();
            assertThat(other.weakest().degrees()).isCloseTo(base.weakest().degrees(), within(1e-6));
            assertThat(other.degrees(Math.PI - 1)).isCloseTo(base.degrees(1), within(1e-9));
        });
    }

    /** The likely load lies in its range, the range within a body's weight, and the base that lands is never the smaller. */
    @ParameterizedTest
    @MethodSource("postures")
    void isConsistent(Id posture) {
        Weighing weighing = weighed(POSTURES.get(posture).bodies());
        weighing.load().ifPresent(load -> {
            assertThat(load.likely()).isBetween(load.least(), load.most());
            assertThat(load.least()).isNotNegative();
            assertThat(load.most()).isLessThanOrEqualTo(1);
            assertThat(load.spots().values().stream().mapToDouble(share -> share).sum()).isCloseTo(load.likely(), within(1e-3));
        });
        assertThat(weighing.load().isPresent()).isNotEqualTo(weighing.noLoad().isPresent());
        assertThat(weighing.base().isPresent()).isNotEqualTo(weighing.noBase().isPresent());
        weighing.own().ifPresent(own -> {
            for (int i = 0; i < 36; i++) {
                double azimuth = 2 * Math.PI * i / 36;
                assertThat(weighing.base().orElseThrow().degrees(azimuth)).isGreaterThanOrEqualTo(own.degrees(azimuth) - 1e-9);
            }
        });
    }

    /** A change leaves two bodies that are possible. */
    @ParameterizedTest
    @MethodSource("postures")
    void whatIsChangedStaysPossible(Id posture) {
        Bodies bodies = POSTURES.get(posture).bodies();
        for (Change change : Change.of(bodies)) {
            Soundness sound = Soundness.of(weighed(bodies, change).bodies());
            assertThat(sound.rod()).as("a bone’s length after %s", change).isLessThan(.01);
            assertThat(sound.under()).as("under the mat after %s", change).isLessThan(.004);
            assertThat(sound.overlap()).as("overlap after %s: %s", change, sound.overlapping()).isLessThan(.02);
        }
    }

    /** A much taller partner is drawn and weighed as such, their bones in their own measure. */
    @ParameterizedTest
    @CsvSource({"mount-low, 1.95", "side-crossface, 2.05", "knee-ride, 1.60", "turtle-joined, 1.55", "closed-guard, 2.0"})
    void partnersOfAnyStatureArePossible(String posture, double stature) {
        Bodies sized = Weighing.sized(bodies(posture), new Sizes(75, 1.75, 90, stature), Relaxation::of);
        Soundness sound = Soundness.of(sized);
        assertThat(sound.rod()).isLessThan(.007);
        assertThat(sound.overlap()).as("%s", sound.overlapping()).isLessThan(.015);
        assertThat(sized.at(Player.THEY, Joint.KNEE_LEFT).distance(sized.at(Player.THEY, Joint.ANKLE_LEFT)))
                .isCloseTo(.246 * stature / 1.75, within(.003));
    }

    /**
     * The map's facts and its postures say the same, wherever a fact can be read off a posture: shoulders ahead of the hips,
     * a seat, a hand or a knee on the mat, lying on the belly, a chest that rests.
     */
    @Test
    void factsThatCanBeReadAreSoInThePosture() {
        Set<Readable> read = EnumSet.noneOf(Readable.class);
        List<String> otherwise = new ArrayList<>();
        for (Situation situation : MAP.situations()) {
            Bodies bodies = POSTURES.get(POSTURES.ofPlace(situation.id()).orElseThrow()).bodies();
            situation.facts().forEach((fact, so) -> Readable.of(MapIndex.of(MAP).fact(fact).orElseThrow().title())
                    .ifPresent(readable -> {
                        read.add(readable);
                        if (readable.isSo(bodies) != so) {
                            otherwise.add(situation.id() + ": " + readable + " is said to be " + so);
                        }
                    }));
        }
        assertThat(read).containsExactly(Readable.values());
        assertThat(otherwise).isEmpty();
    }

    /** Checkpoints that speak of a lever are found, each kind in a few places. */
    @Test
    void theMapsClaimsOfLeversAreFound() {
        List<Claim> found = MAP.techniques().stream().flatMap(t -> t.checkpoints().stream()).flatMap(line -> Claim.of(line).stream()).toList();
        assertThat(found).contains(Claim.ARM, Claim.FRAME, Claim.GRIP, Claim.HIP);
        assertThat(found).hasSizeBetween(20, 60);
    }
}
