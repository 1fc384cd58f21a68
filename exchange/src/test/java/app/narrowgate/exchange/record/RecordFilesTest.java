package app.narrowgate.exchange.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.drill.Role;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.record.Ending;
import app.narrowgate.core.record.Event;
import app.narrowgate.core.trait.Level;
import app.narrowgate.core.trait.Side;
import app.narrowgate.exchange.map.MapFolder;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class RecordFilesTest {

    private static final MapIndex MAP = MapIndex.of(MapFolder.read(Path.of("../demo/map")));
    private static final Instant NOW = Instant.parse("2026-10-01T00:00:00Z");
    private static final Map<String, UUID> ROSTER = new LinkedHashMap<>(Map.of("Ada Quill", new UUID(0, 1), "=Ben; Oak", new UUID(0, 2)));
    private static final Schema SCHEMA = schema();
    private static final String FIRST = "{\"format\":\"narrowgate-record/1\"}\n";
    private static final String ROUND = "{\"kind\":\"round\",\"at\":\"2026-09-14\",\"person\":\"Ada Quill\",\"start\":\"mount-low\",\"ending\":\"guard\"}";

    private static Schema schema() {
        try (InputStream file = RecordFilesTest.class.getResourceAsStream("/formats/narrowgate-record-1.schema.json")) {
            return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12).getSchema(file);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static UUID who(String said) {
        return Optional.ofNullable(ROSTER.get(said)).orElseThrow(() -> new RefusedException("Nobody is called “%s”.".formatted(said)));
    }

    private static String called(UUID id) {
        return ROSTER.entrySet().stream().filter(one -> one.getValue().equals(id)).map(Map.Entry::getKey).findFirst().orElseThrow();
    }

    private static List<Event> lines(String text) {
        return RecordJson.read(text, MAP, RecordFilesTest::who, NOW);
    }

    private static List<Event> table(String text) {
        return RecordCsv.read(text, MAP, RecordFilesTest::who, NOW);
    }

    private static List<Problem> faults(Runnable read) {
        ProblemsException refused = catchThrowableOfType(ProblemsException.class, read::run);
        assertThat(refused).as("refused").isNotNull();
        return refused.problems();
    }

    /** Events of all kinds on the demo's map, with everything that may stand in them and with as little as may. */
    private static List<Event> events() {
        Random random = new Random(7);
        List<Event> events = new ArrayList<>();
        List<Reaction> answers = MAP.map().reactions().stream().filter(one -> !one.responses().isEmpty()).toList();
        UUID ada = new UUID(0, 1);
        UUID ben = new UUID(0, 2);
        for (int i = 0; i < 200; i++) {
            Reaction answer = answers.get(random.nextInt(answers.size()));
            Instant at = NOW.minusSeconds(random.nextInt(10_000_000)).plusNanos(1000L * random.nextInt(1_000_000));
            UUID id = new UUID(random.nextLong(), random.nextLong());
            boolean full = random.nextBoolean();
            Optional<Side> side = full ? Optional.of(Side.values()[random.nextInt(2)]) : Optional.empty();
            events.add(switch (i % 8) {
                case 0 -> new Event.Round(id, at, Optional.of(ada), full ? Optional.of(ben) : Optional.empty(), answer.from(), side,
                        full ? new Ending(Optional.of(PlaceKind.TAP), Optional.of(MAP.map().outcomes().get(0).id())) : Ending.STILL_HELD,
                        full ? Optional.of(1 + random.nextInt(3600)) : Optional.empty(), full ? Optional.of(answer.id()) : Optional.empty(),
                        full ? Optional.of(answer.responses().get(0).id()) : Optional.empty(), false,
                        full ? Optional.of(random.nextInt(3001) / 10.0 - 150) : Optional.empty());
                case 1 -> new Event.Round(id, at, full ? Optional.empty() : Optional.of(ben), Optional.empty(), answer.from(), side,
                        Ending.in(PlaceKind.GUARD), Optional.empty(), Optional.empty(), Optional.empty(), full, Optional.empty());
                case 2 -> new Event.Repetitions(id, at, ben, answer.technique(), full ? Optional.of(answer.id()) : Optional.empty(), side,
                        Role.values()[random.nextInt(2)], 10, full ? Optional.of(7) : Optional.empty(),
                        full ? Optional.of("+elbow out, “late”") : Optional.empty());
                case 3 -> new Event.Attendance(id, at, ada);
                case 4 -> new Event.Reading(id, at, ada, answer.from(), answer.id(), answer.technique(), full, 1 + random.nextInt(12),
                        50 + random.nextInt(9000));
                case 5 -> new Event.GateDecision(id, at, ben, Level.NOVICE, answer.from(), Side.LEFT, full, full ? "" : "-late, every time");
                case 6 -> new Event.Keep(id, at, answer.id());
                default -> new Event.Void(id, at, events.get(random.nextInt(events.size())).id());
            });
        }
        return events;
    }

    @Test
    void whatWasWrittenComesBackUnchangedAndFitsTheSchema() {
        String text = RecordJson.write("Out from under", events(), RecordFilesTest::called);
        assertThat(lines(text)).isEqualTo(events());
        assertThat(text.lines()).allSatisfy(line -> assertThat(SCHEMA.validate(line, InputFormat.JSON)).as(line).isEmpty());
        assertThat(table(RecordCsv.write(events(), RecordFilesTest::called))).isEqualTo(events());
    }

    /** As spreadsheets of other countries give it back: common practice, no source. */
    @Test
    void aTableComesBackFromASpreadsheet() {
        String[] rows = RecordCsv.write(events(), RecordFilesTest::called).split("\r\n");
        StringBuilder back = new StringBuilder("\uFEFF");
        for (String row : rows) {
            List<String> cells = new ArrayList<>();
            try (org.apache.commons.csv.CSVParser parser = org.apache.commons.csv.CSVParser.parse(row, org.apache.commons.csv.CSVFormat.RFC4180)) {
                parser.iterator().next().forEach(cells::add);
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
            cells.add(cells.remove(0));
            for (String cell : cells) {
                String dialect = cell.equals("true") || cell.equals("false") ? cell.toUpperCase(java.util.Locale.ROOT)
                        : cell.matches("-?\\d+\\.\\d+") ? cell.replace('.', ',')
                        : cell.matches("\\d{4}-.*T.*Z") ? cell.replace('T', ' ').replace("Z", "") : cell;
                back.append('"').append(dialect.replace("\"", "\"\"")).append("\";");
            }
            back.setLength(back.length() - 1);
            back.append("\r\n");
        }
        back.append(";".repeat(RecordCsv.columns().size() - 1)).append("\r\n");
        assertThat(table(back.toString())).isEqualTo(events());
    }

    @Test
    void aTermThatWasKeptByHandIsRead() {
        List<Event> read = table("""
                Kind,At,Person,Start,Ending,Reaction
                Round,2026-09-14,Ada Quill,"Low, arms round your head",Guard,"Trap an arm and a foot, bridge over that shoulder"
                ROUND,2026-09-14 18:30,Ada Quill,mount-low,held,
                attendance,2026-09-14T18:30:00+02:00,Ada Quill,,,
                """);
        assertThat(read).extracting(Event::at).containsExactly(Instant.parse("2026-09-14T12:00:00Z"), Instant.parse("2026-09-14T18:30:00Z"),
                Instant.parse("2026-09-14T16:30:00Z"));
        Event.Round round = (Event.Round) read.get(0);
        assertThat(round.start()).isEqualTo(Id.of("mount-low"));
        assertThat(round.reaction()).isPresent().get().satisfies(id -> assertThat(MAP.reaction(id).orElseThrow().from()).isEqualTo(Id.of("mount-low")));
        assertThat(((Event.Round) read.get(1)).ending()).isEqualTo(Ending.STILL_HELD);
    }

    @Test
    void aLineWithoutAnIdIsGivenTheSameOneWheneverItIsRead() {
        String twice = FIRST + ROUND + "\n" + ROUND + "\n" + ROUND.replace("guard", "tap");
        List<UUID> ids = lines(twice).stream().map(Event::id).toList();
        assertThat(ids).doesNotHaveDuplicates().hasSize(3);
        assertThat(lines(twice).stream().map(Event::id).toList()).isEqualTo(ids);
        assertThat(table("kind,at,person,start,ending\nround,2026-09-14 12:00,ada quill,MOUNT-LOW,Guard".replace("ada quill", "Ada Quill")).get(0).id())
                .as("the same, said otherwise").isEqualTo(ids.get(0));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '>', value = {
        "guard\" > guards\" > ending", "2026-09-14 > 14.9.2026 > at", "2026-09-14 > 2026-10-03 > at", "2026-09-14 > 1989-12-31 > at",
        "Ada Quill > Ada Q > person",
        "mount-low > mount-lowest > start", "\"round\" > \"rounds\" > kind", "\"start\" > \"role\":\"first\",\"start\" > role",
        "\"start\" > \"seconds\":\"4\",\"start\" > seconds", "\"start\" > \"seconds\":4.5,\"start\" > seconds", "\"start\" > \"seconds\":0,\"start\" > kind",
        "\"start\" > \"seconds\":1e999,\"start\" > seconds", "\"start\" > \"gap\":151,\"start\" > kind", "\"start\" > \"nothing\":1,\"start\" > nothing",
        "\"start\" > \"id\":\"1-1-1-1-1\",\"start\" > id", "\"start\" > \"response\":\"x\",\"start\" > reaction",
        "\"start\" > \"partner\":\"Ada Quill\",\"start\" > kind",
        "\"start\" > \"endedIn\":\"nowhere\",\"start\" > endedIn", "\"start\":\"mount-low\", > \"x\":1,\"start\":\"mount-low\", > ''",
        "\"start\":\"mount-low\", > '' > start"})
    void whatIsWrongIsToldByItsLineAndField(String was, String is, String field) {
        String line = ROUND.replace(was, is);
        assertThat(line).isNotEqualTo(ROUND);
        List<Problem> faults = faults(() -> lines(FIRST + ROUND + "\n" + line));
        assertThat(faults).singleElement().satisfies(one -> assertThat(one.place()).isEqualTo(field.isEmpty() ? "line 3" : "line 3, " + field));
        assertThat(faults.get(0).message()).hasSizeGreaterThan(20).endsWith(".");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "\n", "[]", "{}", "{\"format\":\"narrowgate-record/2\"}", "{\"format\":\"narrowgate-map/1\"}",
        "{\"format\":\"narrowgate-record/1\",\"x\":1}",
        "kind,at\n"})
    void whatIsNoRecordIsRefused(String text) {
        assertThat(faults(() -> lines(text))).isNotEmpty();
    }

    @Test
    void brokenLinesAreToldEach() {
        assertThat(faults(() -> lines(FIRST + "{\"kind\":\n[]\n" + ROUND))).extracting(Problem::place).containsExactly("line 2", "line 3");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "at,person\n2026-09-14,Ada Quill", "kind,at,weight\nround,2026-09-14,3", "kind,at,kind\nround,2026-09-14,round",
        "kind,at,person,start,ending,seconds\nround,2026-09-14,Ada Quill,mount-low,guard,NaN",
        "kind,at,person,start,ending,nothing\nround,2026-09-14,Ada Quill,mount-low,guard,maybe",
        "kind,at,person,start,ending\nround,2026-09-14,\"Ada,mount-low,guard"})
    void whatIsNoSuchTableIsRefused(String text) {
        assertThat(faults(() -> table(text))).isNotEmpty();
    }

    @Test
    void anAnswerThatMayBeOneOfSeveralIsAskedFor() {
        Map<String, List<Reaction>> byTitle = MAP.map().reactions().stream().collect(java.util.stream.Collectors.groupingBy(MAP::reactionTitle));
        String title = byTitle.entrySet().stream().filter(one -> one.getValue().size() > 1).map(Map.Entry::getKey).sorted().findFirst().orElseThrow();
        assertThat(faults(() -> table("kind,at,reaction\nkeep,2026-09-14,\"%s\"".formatted(title)))).singleElement()
                .satisfies(one -> assertThat(one.message()).contains("several places", byTitle.get(title).get(0).id().value()));
    }
}
