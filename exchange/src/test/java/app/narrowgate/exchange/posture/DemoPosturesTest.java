package app.narrowgate.exchange.posture;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.body.Soundness;
import app.narrowgate.core.body.Nudge;
import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Transition;
import app.narrowgate.core.map.Bearing;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Part;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Posture;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.picture.BodyPart;
import app.narrowgate.core.picture.Drawing;
import app.narrowgate.core.picture.Picture;
import app.narrowgate.core.picture.Nudged;
import app.narrowgate.core.picture.Postures;
import app.narrowgate.exchange.map.MapFolder;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The postures of the demo's map: every place has one, and every one is possible. */
class DemoPosturesTest {

    private static final EscapeMap MAP = MapFolder.read(Path.of("../demo/map"));
    private static final Postures POSTURES = Postures.of(MAP);
    private static final double CENTIMETRE = .01 / 1.78;

    static Stream<Id> postures() {
        return MAP.postures().stream().map(Posture::id);
    }

    /** Rods within 0.7 %, limbs no more than 1.5 cm in each other beyond what flesh gives, no joint beyond its limit. */
    @ParameterizedTest
    @MethodSource("postures")
    void isPossible(Id posture) {
        Soundness sound = Soundness.of(POSTURES.get(posture).bodies());
        assertThat(sound.rod()).as("a bone's length").isLessThan(.007);
        assertThat(sound.overlap()).as("overlap of %s", sound.overlapping()).isLessThan(1.5 * CENTIMETRE);
        assertThat(sound.degrees()).as("joints beyond their limits: %s", sound.excesses()).isLessThan(5);
        assertThat(sound.under()).as("under the mat").isLessThan(.5 * CENTIMETRE);
        assertThat(sound.gap()).as("gap between %s", sound.gaping()).isLessThan(6 * CENTIMETRE);
    }

    @Test
    void everyPlaceButTheTapIsDrawn() {
        List<Id> undrawn = Stream.concat(MAP.situations().stream(), MAP.outcomes().stream()).map(Part::id)
                .filter(place -> POSTURES.ofPlace(place).isEmpty()).toList();
        assertThat(undrawn).allMatch(place -> MAP.outcomes().stream().anyMatch(o -> o.id().equals(place) && o.kind() == PlaceKind.TAP));
        // Not by its family's picture alone, which would make all its places look the same.
        assertThat(MAP.situations()).allMatch(situation -> situation.posture().isPresent());
    }

    @Test
    void noPostureIsThereForNothing() {
        Set<Id> told = Stream.of(MAP.situations().stream().flatMap(s -> s.posture().stream()),
                MAP.outcomes().stream().flatMap(o -> o.posture().stream()), MAP.families().stream().flatMap(f -> f.posture().stream()),
                MAP.postures().stream().flatMap(p -> p.base().stream())).flatMap(s -> s).collect(Collectors.toSet());
        assertThat(MAP.postures()).allMatch(posture -> told.contains(posture.id()));
    }

    /** Every one says what is seen, for who does not see it. */
    @ParameterizedTest
    @MethodSource("postures")
    void isToldInWords(Id posture) {
        assertThat(POSTURES.get(posture).says()).hasSizeGreaterThan(30).endsWith(".");
    }

    /** What is held near or far can only be told where they are on a side. Common practice, no source. */
    @Test
    void nearAndFarAreTheSideOnWhichTheyAre() {
        for (Situation situation : MAP.situations()) {
            Postures.Worked posture = POSTURES.get(situation.posture().orElseThrow());
            posture.near().ifPresent(side -> {
                double apart = posture.bodies().at(Player.THEY, Joint.HIP).getX() - posture.bodies().at(Player.YOU, Joint.HIP).getX();
                if (situation.bearing().equals(Optional.of(Bearing.ACROSS)) && Math.abs(apart) > .15) {
                    assertThat(side.name()).as(situation.id().value()).isEqualTo(apart > 0 ? "LEFT" : "RIGHT");
                }
            });
        }
    }

    /** What a picture shows wrongly is a tenth of a percent of it, in the mean of all; nowhere more than half a percent. */
    @Test
    void whatCoversIsInFront() {
        List<Double> wrong = MAP.postures().stream().map(posture -> POSTURES.get(posture.id()))
                .map(worked -> Drawing.wrong(worked.bodies(), worked.view())).toList();
        assertThat(wrong).allMatch(share -> share < .005);
        assertThat(wrong.stream().mapToDouble(d -> d).average().orElseThrow()).isLessThan(.001);
    }

    /** Heads show: of both players, in nine pictures of ten. */
    @Test
    void headsShow() {
        List<Id> hidden = MAP.postures().stream().filter(posture -> {
            Postures.Worked worked = POSTURES.get(posture.id());
            Picture picture = Drawing.of(worked.bodies(), worked.view());
            return picture.seen(Player.YOU, BodyPart.HEAD) < .12 || picture.seen(Player.THEY, BodyPart.HEAD) < .12;
        }).map(Posture::id).toList();
        assertThat(hidden).hasSizeLessThan(MAP.postures().size() / 9);
    }

    @Test
    void aMapWithoutOneFallsBackToTheFamilys() {
        Situation low = MapIndex.of(MAP).situation(Id.of("mount-high")).orElseThrow();
        Postures without = Postures.of(MAP.with(low.withPosture(Optional.empty())));
        assertThat(without.ofPlace(low.id())).contains(Id.of("mount-low"));
        assertThat(without.ofPlace(Id.of("tap"))).isEmpty();
    }

    /**
     * Hands, knees, feet and heads of the demo's postures taken some centimetres elsewhere, a seeded handful: bones keep
     * their length, bodies stay clear of each other in nearly all, and what is kept in the map is what was seen.
     */
    @Test
    void whatIsMovedByHandIsPossibleAndKept() {
        Random random = new Random(3);
        int clear = 0;
        int bends = 0;
        int nearer = 0;
        int tried = 60;
        for (int i = 0; i < tried; i++) {
            Posture posture = MAP.postures().get(random.nextInt(MAP.postures().size()));
            JointOf joint = new JointOf(random.nextBoolean() ? Player.YOU : Player.THEY,
                    Nudge.HANDLES.get(random.nextInt(Nudge.HANDLES.size())));
            Postures.Worked before = POSTURES.get(posture.id());
            double angle = 2 * Math.PI * random.nextDouble();
            Vector3D by = before.view().right().multiply(.07 * Math.cos(angle)).add(before.view().up().multiply(.07 * Math.sin(angle)));
            Nudged nudged = Nudged.of(POSTURES, posture, joint, by);
            Soundness sound = Soundness.of(nudged.nudge().bodies());
            assertThat(sound.rod()).as("%s %s", posture.id(), joint).isLessThan(.02);
            clear += sound.overlap() < 1.5 * CENTIMETRE ? 1 : 0;
            bends += sound.degrees() < 5 ? 1 : 0;
            Vector3D to = before.bodies().at(joint).add(by);
            nearer += nudged.nudge().bodies().at(joint).distance(to) < by.norm() / 2 ? 1 : 0;
            Bodies kept = Postures.of(MAP.with(nudged.posture())).get(posture.id()).bodies();
            for (Player player : Player.values()) {
                for (Joint one : Joint.values()) {
                    assertThat(kept.at(player, one).distance(nudged.nudge().bodies().at(player, one)))
                            .as("%s %s: %s", posture.id(), joint, one).isLessThan(.1 * CENTIMETRE);
                }
            }
            assertThat(nudged.whole()).isEqualTo(posture.base().isPresent() && nudged.posture().base().isEmpty());
        }
        assertThat(clear).isGreaterThan(tried * 95 / 100);
        assertThat(bends).isGreaterThan(tried * 85 / 100);
        assertThat(nearer).isGreaterThan(tried * 80 / 100);
    }

    /**
     * Every way an answer may go can be drawn: a seeded handful of them, with bones in their length and bodies clear of each
     * other in nearly all.
     */
    @Test
    void waysBetweenPlacesArePossible() {
        List<List<Id>> ways = new ArrayList<>(MAP.reactions().stream().flatMap(reaction -> reaction.responses().stream()
                .flatMap(response -> response.leads().stream()).map(lands -> List.of(reaction.from(), lands)))
                .filter(ends -> ends.stream().allMatch(place -> POSTURES.ofPlace(place).isPresent())).distinct().toList());
        Collections.shuffle(ways, new Random(14));
        long clear = ways.subList(0, 40).parallelStream().filter(ends -> {
            Transition way = Transition.of(POSTURES.get(POSTURES.ofPlace(ends.get(0)).orElseThrow()).bodies(),
                    POSTURES.get(POSTURES.ofPlace(ends.get(1)).orElseThrow()).bodies(), 2);
            assertThat(way.postures()).hasSize(4);
            return way.postures().subList(1, 3).stream().map(Soundness::of).peek(sound ->
                    assertThat(sound.rod()).as("%s", ends).isLessThan(.02)).allMatch(sound -> sound.overlap() < 1.5 * CENTIMETRE);
        }).count();
        assertThat(clear).isGreaterThanOrEqualTo(38);
    }
}
