package app.narrowgate.server.lesson;

import app.narrowgate.core.drill.DrillKind;
import app.narrowgate.core.lesson.ClassPlan;
import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.lesson.PairedRound;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.problem.NotFoundException;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What running a class needs of its plan, and what it gives back to it. */
@Service
public class RunLessons {

    /** Something that was not planned, with who works with whom. */
    public record Unplanned(ClassPlan.Line line, List<PairedRound> rounds) {
    }

    private final LessonStore lessons;
    private final LessonPlanner planner;

    RunLessons(LessonStore lessons, LessonPlanner planner) {
        this.lessons = lessons;
        this.planner = planner;
    }

    /**
     * A class as it is kept.
     *
     * @throws NotFoundException when there is none of that id
     */
    public Lesson lesson(UUID mapId, UUID id) {
        return lessons.one(mapId, id).lesson();
    }

    /** The classes of a day, the first first. */
    public List<UUID> on(UUID mapId, LocalDate day) {
        return lessons.between(mapId, day, day).stream().sorted(Comparator.comparing((LessonRow row) -> row.lesson().starts())).map(LessonRow::id).toList();
    }

    /** The state of a class as it is kept; another one after each change. */
    public int version(UUID mapId, UUID id) {
        return lessons.one(mapId, id).version();
    }

    /** A class with what comes of it now. */
    public PlannedLesson planned(StoredMap map, UUID id, SignedIn by) {
        return planner.plan(map, id, lesson(map.id(), id), by);
    }

    /**
     * Something more than was planned.
     *
     * @param here who is here now
     * @throws NotFoundException where the map has no such unit for them
     */
    public Unplanned more(StoredMap map, UUID id, String unit, int minutes, List<UUID> here, SignedIn by) {
        Lesson kept = lesson(map.id(), id);
        Map<String, Optional<Integer>> fixed = new LinkedHashMap<>(kept.fixed());
        fixed.put(unit, Optional.of(minutes));
        Lesson with = new Lesson(kept.title(), kept.day(), kept.starts(), kept.minutes(), kept.focus(), kept.aim(), kept.read(), kept.late(),
                kept.usual(), kept.own(), here, fixed, List.of(), Set.of(), kept.together(), kept.apart(), kept.odd(), kept.limit(), kept.turn(), List.of(),
                List.of());
        PlannedLesson planned = planner.plan(map, id, with, by);
        ClassPlan.Line line = planned.plan().stream().flatMap(plan -> plan.lines().stream()).filter(one -> one.unit().key().equals(unit)).findFirst()
                .orElseThrow(() -> new NotFoundException("Those who are here cannot practise that tonight; choose something else."));
        return new Unplanned(line, planned.rounds().getOrDefault(unit, List.of()));
    }

    /**
     * Who is never on the bottom in what is practised, such as for what hurts them on the day; a unit for which the map is not open to
     * anybody who is here any more is missing.
     *
     * @param units with the minutes that they are given
     * @param here who is here now
     */
    public Map<String, Set<UUID>> feeds(StoredMap map, UUID id, List<Lesson.Planned> units, List<UUID> here, SignedIn by) {
        Lesson with = lesson(map.id(), id).came(here, List.of()).planned(units);
        Map<String, Set<UUID>> feeds = new LinkedHashMap<>();
        planner.asItWas(map, id, with, by).plan().ifPresent(plan -> plan.lines()
                .forEach(line -> feeds.put(line.unit().key(), line.feeds())));
        return feeds;
    }

    /**
     * What a round is part of.
     *
     * @param feeds those who are never on the bottom in it
     */
    public record Part(Section section, Optional<DrillKind> drill, Set<UUID> feeds) {
    }

    /** The groups of a round once others are here; only those of whoever came or went change. */
    public List<List<UUID>> regrouped(UUID mapId, UUID id, List<UUID> here, Part part, List<List<UUID>> groups, SignedIn by) {
        Lesson kept = lesson(mapId, id);
        return planner.regrouped(kept.came(here, kept.came()), part, groups, by);
    }

    /** Keeps who was there and what came; a run that goes on after its end is kept anew at the next one. */
    @Transactional
    public void came(UUID mapId, UUID id, List<UUID> there, List<Lesson.Came> what, UUID by) {
        LessonRow row = lessons.one(mapId, id);
        lessons.change(mapId, id, row.version(), row.lesson().came(there, what), by);
    }
}
