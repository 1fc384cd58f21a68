package app.narrowgate.server.mat;

import app.narrowgate.core.drill.Role;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.mat.MatPart;
import app.narrowgate.core.mat.MatRun;
import app.narrowgate.core.mat.MatScript;
import app.narrowgate.core.mat.MatStep;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.lesson.PlannedLesson;
import app.narrowgate.server.lesson.RunLessons;
import app.narrowgate.server.map.StoredMap;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What is practised in today's class and who is with whom: as it runs, or as it is planned. */
@Service
public class Tonight {

    /**
     * Today's class.
     *
     * @param parts those that begin in a place, in order
     * @param now which of them is on the mat, or was last; empty where none has come yet
     */
    public record Rounds(UUID lesson, String title, List<Part> parts, Optional<Integer> now) {
    }

    /**
     * A part of it.
     *
     * @param live true where it is in earnest
     * @param pairs who is with whom
     */
    public record Part(Id place, boolean live, List<Pair> pairs) {
    }

    /** Two people, and who of them is below. */
    public record Pair(UUID bottom, UUID top) {
    }

    private final RunLessons lessons;
    private final MatStore mats;
    private final Clock clock;

    Tonight(RunLessons lessons, MatStore mats, Clock clock) {
        this.lessons = lessons;
        this.mats = mats;
        this.clock = clock;
    }

    /** The class of today on a map: the one that runs, else the first that is not over, else the last; empty where there is none. */
    public Optional<Rounds> on(StoredMap map, SignedIn by) {
        List<UUID> today = lessons.on(map.id(), LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC));
        List<MatStore.Kept> laidOut = today.stream().flatMap(id -> mats.find(id).stream()).toList();
        Optional<MatStore.Kept> runs = laidOut.stream().filter(kept -> kept.run().state() == MatRun.State.RUNNING || kept.run().state() == MatRun.State.STOPPED)
                .findFirst();
        Optional<UUID> next = today.stream().filter(id -> lessons.lesson(map.id(), id).came().isEmpty()).findFirst();
        Optional<UUID> chosen = runs.map(MatStore.Kept::lesson).or(() -> next).or(() -> today.stream().reduce((one, later) -> later));
        return chosen.map(id -> laidOut.stream().filter(kept -> kept.lesson().equals(id)).findFirst()
                .map(kept -> running(map, kept)).orElseGet(() -> planned(map, id, by)));
    }

    private Rounds running(StoredMap map, MatStore.Kept kept) {
        MatStep current = kept.run().current();
        boolean begun = kept.run().state() != MatRun.State.READY;
        List<Part> parts = new ArrayList<>();
        Optional<Integer> now = Optional.empty();
        for (MatPart part : kept.run().parts()) {
            boolean come = begun && part.steps().get(0).number() <= current.number();
            if (part.place().isPresent()) {
                if (come) {
                    now = Optional.of(parts.size());
                }
                parts.add(part(part, come && part.steps().contains(current) ? Optional.of(current) : Optional.empty()));
            }
        }
        return new Rounds(kept.lesson(), lessons.lesson(map.id(), kept.lesson()).title(), parts, now);
    }

    private Rounds planned(StoredMap map, UUID id, SignedIn by) {
        PlannedLesson planned = lessons.planned(map, id, by);
        List<MatPart> parts = planned.plan().map(plan -> MatScript.of(map.index(), plan, planned.rounds())).orElse(List.of());
        return new Rounds(id, lessons.lesson(map.id(), id).title(),
                parts.stream().filter(part -> part.place().isPresent()).map(part -> part(part, Optional.empty())).toList(), Optional.empty());
    }

    private static Part part(MatPart part, Optional<MatStep> now) {
        MatStep step = now.filter(one -> one.bottom().isPresent())
                .orElseGet(() -> part.steps().stream().filter(one -> one.bottom().isPresent()).findFirst().orElse(part.steps().get(0)));
        List<Pair> pairs = new ArrayList<>();
        if (step.bout() < part.bouts().size()) {
            for (List<UUID> group : part.bouts().get(step.bout())) {
                if (group.size() == 2) {
                    boolean first = step.bottom().filter(role -> role == Role.SECOND).isEmpty();
                    pairs.add(new Pair(group.get(first ? 0 : 1), group.get(first ? 1 : 0)));
                }
            }
            part.threes(step).forEach(three -> pairs.add(new Pair(three.bottom(), three.top())));
        }
        return new Part(part.place().orElseThrow(), part.section().filter(section -> section == Section.LIVE).isPresent(), pairs);
    }
}
