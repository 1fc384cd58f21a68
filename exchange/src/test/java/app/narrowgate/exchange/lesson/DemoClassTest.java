package app.narrowgate.exchange.lesson;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.lesson.ClassPlan;
import app.narrowgate.core.lesson.ClassPlanner;
import app.narrowgate.core.lesson.ClassRequest;
import app.narrowgate.core.lesson.ClassShape;
import app.narrowgate.core.lesson.Focus;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.lesson.Student;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.person.PersonLine;
import app.narrowgate.core.trait.Injury;
import app.narrowgate.exchange.map.MapFolder;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Classes on the demo's map, for a room of all sizes and levels. */
class DemoClassTest {

    private static final MapIndex INDEX = MapIndex.of(MapFolder.read(Path.of("../demo/map")));
    private static final List<String> ROOM = List.of("66 kg, 172 cm, experienced, left", "91 kg, 188 cm, experienced, right",
            "59 kg, 164 cm, intermediate, right", "74 kg, 178 cm, intermediate, right", "62 kg, 171 cm, beginner, left",
            "103 kg, 193 cm, beginner, right", "84 kg, 181 cm, intermediate, left", "70 kg, 169 cm, beginner, right");

    private static List<Student> room(int people) {
        List<Student> students = new ArrayList<>();
        for (int i = 0; i < people; i++) {
            students.add(new Student(new UUID(0, i + 1), PersonLine.read("Somebody " + i + ", " + ROOM.get(i % ROOM.size())),
                    i == 3 ? Set.of(Injury.KNEE) : Set.of(), Map.of(), false));
        }
        return students;
    }

    private static ClassPlan plan(Focus focus, ClassShape.Usual shape, int minutes, List<Student> students) {
        return ClassPlanner.plan(new ClassRequest(minutes, focus, shape.of(minutes), students, Map.of(), Set.of(), List.of()),
                Setting.of(Id.of("guard-or-better")).withRead(0.25).withLate(0.5), setting -> SolvedMap.of(INDEX, setting));
    }

    @ParameterizedTest
    @ValueSource(strings = {"mount", "side", "back", "guard", "turtle", "headlock", "front-headlock"})
    void anHourOnAnyFamilyGainsSomethingAndIsFull(String family) {
        ClassPlan plan = plan(Focus.family(Id.of(family)), ClassShape.Usual.STEP_BY_STEP, 60, room(18));
        assertThat(plan.lines().stream().mapToInt(ClassPlan.Line::minutes).sum()).isEqualTo(60);
        assertThat(plan.after()).isGreaterThan(plan.now());
        assertThat(plan.lines()).anySatisfy(line -> assertThat(line.unit().section()).isEqualTo(Section.NEW));
        // Nothing that fewer than half could do comes by itself, and nobody who may not do something is among those who do.
        for (ClassPlan.Line line : plan.lines()) {
            assertThat(line.who().size() + line.not().size()).isEqualTo(18);
            assertThat(2 * line.who().size()).as(line.unit().key()).isGreaterThanOrEqualTo(18);
        }
    }

    @Test
    void theShapesOfTheHouseFillEveryLength() {
        for (ClassShape.Usual shape : ClassShape.Usual.values()) {
            for (int minutes : new int[] {20, 30, 45, 60, 75, 90, 120, 180}) {
                ClassPlan plan = plan(Focus.EVERYTHING, shape, minutes, room(8));
                assertThat(plan.lines().stream().mapToInt(ClassPlan.Line::minutes).sum()).as("%s, %d", shape, minutes).isEqualTo(minutes);
            }
        }
    }
}
