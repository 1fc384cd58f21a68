package app.narrowgate.browser;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.body.Nudge;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.drill.CallOrder;
import app.narrowgate.core.drill.HouseTimes;
import app.narrowgate.core.drill.LookAlikes;
import app.narrowgate.core.drill.PracticeGraph;
import app.narrowgate.core.drill.ReadingDeck;
import app.narrowgate.core.fixture.RandomMaps;
import app.narrowgate.core.held.LikelySituations;
import app.narrowgate.core.map.Bearing;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Fact;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.map.Posture;
import app.narrowgate.core.map.Segment;
import app.narrowgate.core.odds.OddsSolver;
import app.narrowgate.core.odds.Overview;
import app.narrowgate.core.odds.SettingRequest;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.picture.Handled;
import app.narrowgate.core.picture.Postures;
import app.narrowgate.core.round.Passing;
import app.narrowgate.exchange.json.JacksonValue;
import app.narrowgate.exchange.map.MapFolder;
import app.narrowgate.exchange.map.MapJson;
import app.narrowgate.exchange.posture.PostureJson;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Writes down what this machine computes of the demo's map and of random ones, raw and unrounded, for the web client's tests
 * to replay on what was compiled for browsers. A fixture is written anew at every build: nothing old is ever agreed with.
 */
class ParityFixtureTest {

    private static final Path FIXTURES = Path.of("target", "parity");
    private static final Path HANDS = Path.of("target", "hands.json");
    private static final Path DEMO = Path.of("..", "demo", "map");
    private static final JsonMapper MAPPER = JsonMapper.builder().build();
    private static final int RANDOM_MAPS = 40;
    private static final int CARDS = 20;
    private static final int REPETITIONS = 7;

    @Test
    void theDemoIsWrittenDown() throws IOException {
        EscapeMap map = MapFolder.read(DEMO);
        List<ObjectNode> settings = new ArrayList<>();
        for (double read : new double[] {0, 0.25, 0.7, 1}) {
            settings.add(setting(read, 0.5));
        }
        for (double late : new double[] {0, 1.3, 4}) {
            settings.add(setting(0.25, late));
        }
        map.aims().forEach(aim -> settings.add(setting(0.25, 0.5).put("aim", aim.id().value())));
        map.matchups().forEach(matchup -> settings.add(setting(0.25, 0.5).put("matchup", matchup.id().value())));
        map.principles().forEach(principle -> principle.stances().forEach(stance -> {
            ObjectNode with = setting(0.25, 0.5);
            with.putArray("stance").add(principle.id() + "/" + stance.id());
            settings.add(with);
        }));
        ObjectNode odd = setting(0.1, 0.2).put("weightGap", 25.5).put("heightGap", -10).put("jacket", true).put("level", "novice")
                .put("age", "children").put("thinkBase", 0.31).put("thinkPerBit", 0.07);
        odd.putArray("injury").add("neck").add("shoulder");
        settings.add(odd);
        write("demo", map, settings);
    }

    /** Every posture of the demo's map with a hand, a knee and the head moved, each another way. */
    @Test
    void bodiesUnderAHandAreWrittenDown() throws IOException {
        EscapeMap map = MapFolder.read(DEMO);
        Postures postures = Postures.of(map);
        Random random = new Random(11);
        ArrayNode cases = JsonNodeFactory.instance.arrayNode();
        for (Posture posture : map.postures()) {
            Postures.Worked worked = postures.get(posture.id());
            Bodies lie = worked.bodies().rounded();
            for (Joint joint : List.of(Joint.HAND_LEFT, Joint.KNEE_RIGHT, Joint.HEAD)) {
                JointOf moved = new JointOf(random.nextBoolean() ? Player.YOU : Player.THEY, joint);
                double[] way = random.doubles(3, -.15, .15).toArray();
                Nudge nudge = Nudge.underTheHand(lie, moved, worked.view().way(way[0], way[1], way[2]));
                ObjectNode one = cases.addObject();
                one.set("posture", PostureJson.write(new Posture(posture.id(), posture.title(), "", Optional.of(worked.view()), Optional.empty(),
                        new Posture.Whole(lie))));
                one.put("joint", moved.toString());
                one.putArray("way").add(way[0]).add(way[1]).add(way[2]);
                one.set("moved", packed(HandledPacked.of(Handled.roughly(nudge.bodies(), worked.view()), nudge.let())));
            }
        }
        assertThat(cases.size()).isGreaterThan(100);
        Files.createDirectories(HANDS.getParent());
        Files.writeString(HANDS, MAPPER.writeValueAsString(cases));
    }

    @Test
    void randomMapsAreWrittenDown() throws IOException {
        for (int seed = 0; seed < RANDOM_MAPS; seed++) {
            Random random = new Random(seed);
            EscapeMap map = RandomMaps.map(random, 1 + random.nextInt(9), 4, 4);
            List<ObjectNode> settings = new ArrayList<>();
            for (double read : new double[] {0, random.nextInt(101) / 100.0, 1}) {
                settings.add(setting(read, random.nextInt(30) / 10.0));
            }
            for (Matchup matchup : map.matchups()) {
                settings.add(setting(0.5, 0).put("matchup", matchup.id().value()));
            }
            write("random-" + seed, map, settings);
        }
    }

    private static ObjectNode setting(double read, double late) {
        return JsonNodeFactory.instance.objectNode().put("read", read).put("late", late);
    }

    /** Something that somebody could tell, another thing from case to case. */
    private static ObjectNode marks(EscapeMap map, int turn) {
        ObjectNode marks = JsonNodeFactory.instance.objectNode();
        if (turn % 2 == 0) {
            marks.put("where", Bearing.values()[turn % Bearing.values().length].code());
        }
        marks.putArray("held").add(Segment.values()[turn % Segment.values().length].code());
        marks.putArray("free").add(Segment.values()[(turn + 1) % Segment.values().length].code());
        List<Fact> facts = map.facts();
        if (facts.size() > 1) {
            marks.putArray("so").add(facts.get(turn % facts.size()).id().value());
            marks.putArray("notSo").add(facts.get((turn + 1) % facts.size()).id().value());
        }
        return marks;
    }

    private static void write(String name, EscapeMap map, List<ObjectNode> settings) throws IOException {
        ObjectNode fixture = JsonNodeFactory.instance.objectNode();
        fixture.set("map", MapJson.writeSolvable(map));
        MapIndex index = MapIndex.of(MapJson.read(fixture.get("map")));
        ArrayNode cases = fixture.putArray("cases");
        for (ObjectNode setting : settings) {
            SettingRequest request = SettingReading.read(new JacksonValue(setting));
            SolvedMap solved = SolvedMap.of(index, request.on(index));
            ObjectNode one = cases.addObject();
            one.set("setting", setting);
            one.set("overview", packed(OverviewPacked.of(Overview.of(solved))));
            one.set("odds", packed(OddsPacked.of(OddsSolver.of(solved))));
            ObjectNode marks = marks(map, cases.size());
            one.set("marks", marks);
            PracticeGraph practised = PracticeGraph.of(solved, HouseTimes.USUAL);
            one.put("seed", cases.size()).set("deck", packed(DeckPacked.of(ReadingDeck.of(practised, CARDS, cases.size()))));
            int calls = 1 + cases.size() % CallOrder.MOST_CALLS;
            one.put("calls", calls).set("order", packed(CallsPacked.of(CallOrder.of(calls, REPETITIONS, cases.size()))));
            one.set("lookAlikes", packed(LookAlikesPacked.of(LookAlikes.of(practised))));
            one.set("held", packed(LikelyPacked.of(LikelySituations.of(index.map(), MarksReading.read(new JacksonValue(marks)), Passing.of(solved)))));
        }
        assertThat(cases.size()).isEqualTo(settings.size()).isPositive();
        Files.createDirectories(FIXTURES);
        Files.writeString(FIXTURES.resolve(name + ".json"), MAPPER.writeValueAsString(fixture));
    }

    /** As it is handed over; what is no number is null. */
    private static ObjectNode packed(Packed packed) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        ArrayNode figures = node.putArray("figures");
        Arrays.stream(packed.figures()).forEach(figure -> {
            if (Double.isFinite(figure)) {
                figures.add(figure);
            } else {
                figures.addNull();
            }
        });
        ArrayNode marks = node.putArray("marks");
        Arrays.stream(packed.marks()).forEach(marks::add);
        ArrayNode texts = node.putArray("texts");
        packed.texts().forEach(texts::add);
        return node;
    }
}
