package app.narrowgate.exchange.lesson;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.lesson.ClassPlan;
import app.narrowgate.core.lesson.ClassPlanner;
import app.narrowgate.core.lesson.ClassRequest;
import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.lesson.PairPlanner;
import app.narrowgate.core.lesson.PairRequest;
import app.narrowgate.core.lesson.PairedRound;
import app.narrowgate.core.lesson.RoundWish;
import app.narrowgate.core.lesson.Student;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.person.Person;
import app.narrowgate.core.trait.Injury;
import app.narrowgate.exchange.map.MapFolder;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** A class in words, on the demo's map. */
class LessonMarkdownTest {

    private static final MapIndex INDEX = MapIndex.of(MapFolder.read(Path.of("../demo/map")));
    private static final Lesson LESSON = LessonJson.read("""
            {"format":"narrowgate-class/1","title":"Mount *again*","day":"2026-11-27","starts":"19:30","minutes":60,"focus":{"family":"mount"},
             "usual":"step-by-step"}""");
    private static final Map<UUID, String> NAMES = Map.of(new UUID(0, 1), "Ash Grove", new UUID(0, 2), "Bel_Moor Hill", new UUID(0, 3), "Cor Dale");

    @Test
    void tellsLinesPairsAndCautionsByFirstNamesAndNothingThatHurtsAnybody() {
        List<Student> students = NAMES.entrySet().stream().map(one -> new Student(one.getKey(), Person.named(one.getValue()),
                Set.of(Injury.KNEE), Map.of(), false)).toList();
        ClassPlan plan = ClassPlanner.plan(new ClassRequest(60, LESSON.focus(), LESSON.shape(), students, Map.of("live:mount-low~dial", Optional.of(6)), Set.of(), List.of()),
                Setting.of(Id.of("guard-or-better")), setting -> SolvedMap.of(INDEX, setting));
        Map<String, List<PairedRound>> rounds = new HashMap<>();
        plan.lines().stream().filter(line -> line.unit().section().practises()).forEach(line -> rounds.put(line.unit().key(),
                PairPlanner.plan(new PairRequest(students, List.of(RoundWish.usual(line.unit().section(), Optional.empty(), 12, Set.of(), Set.of())), Set.of(), Set.of(),
                        PairRequest.Odd.THREE, Map.of(), 0))));
        String words = LessonMarkdown.of(INDEX, LESSON, Optional.of(plan), rounds, NAMES);
        assertThat(words).startsWith("# Mount \\*again\\*\n").contains("2026-11-27, 19:30. 60 minutes, 3 here.").contains("Tap early, let go at once")
                .contains("| 19:30 | ").contains("## Take care").contains("Dial, from Low, arms round your head").contains("At the lighter partner").contains("Bel\\_Moor").doesNotContain("Hill").doesNotContain("knee hurts");
        plan.lines().forEach(line -> assertThat(words).contains("| %s | %d |".formatted(LESSON.starts().plusMinutes(line.from()), line.minutes())));
    }

    @Test
    void aClassWithNobodySaysSo() {
        assertThat(LessonMarkdown.of(INDEX, LESSON, Optional.empty(), Map.of(), Map.of())).contains("Nobody is here yet").doesNotContain("|");
    }
}
