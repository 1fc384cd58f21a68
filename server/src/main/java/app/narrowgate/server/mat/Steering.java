package app.narrowgate.server.mat;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.lesson.ClassRequest;
import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.mat.MatPart;
import app.narrowgate.core.mat.MatRun;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.lesson.RunLessons;
import app.narrowgate.server.person.People;
import app.narrowgate.server.problem.NotFoundException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Does what somebody pressed. */
@Service
class Steering {

    private final MatStore mats;
    private final RunLessons lessons;
    private final People people;

    Steering(MatStore mats, RunLessons lessons, People people) {
        this.mats = mats;
        this.lessons = lessons;
        this.people = people;
    }

    /** What somebody who is signed in pressed. */
    MatStore.Kept press(UUID mapId, UUID lesson, Press press, SignedIn by) {
        mats.one(mapId, lesson);
        return mats.steer(lesson, press.id(), press.since(), Optional.of(by.id()), (kept, at) -> done(kept, press, at, by));
    }

    /**
     * What somebody pressed on a clicker.
     *
     * @throws RefusedException where a clicker does no such thing
     */
    MatStore.Kept click(UUID lesson, Press press) {
        if (!press.what().clicks()) {
            throw new RefusedException("A clicker goes on, goes back, and stops; for the rest the class is steered where somebody is signed in.");
        }
        return mats.steer(lesson, press.id(), press.since(), Optional.empty(), (kept, at) -> onTheClock(kept.run(), press, at));
    }

    private MatRun done(MatStore.Kept kept, Press press, Instant at, SignedIn by) {
        MatRun run = kept.run();
        return switch (press.what()) {
            case LOOK -> run.show(new MatRun.Look(id(press.place()), id(press.technique()), Optional.ofNullable(press.mistake())), at);
            case BREAK -> run.pauseAfter(Press.need(press.minutes(), "how long the break is"), at);
            case INSERT -> {
                RunLessons.Unplanned more = lessons.more(kept.map(), kept.lesson(), Press.need(press.unit(), "what is put in"),
                        Press.need(press.minutes(), "how long it lasts"), run.here(), by);
                yield run.insertAfter(kept.map().index(), more.line(), more.rounds(), at);
            }
            case COME -> come(kept, onTheRoster(press), at, by);
            case LEAVE -> leave(kept, onTheRoster(press), at, by);
            default -> onTheClock(run, press, at);
        };
    }

    private static MatRun onTheClock(MatRun run, Press press, Instant at) {
        return switch (press.what()) {
            case START -> run.start(at);
            case FORWARD -> run.forward(press.step(), at);
            case BACK -> run.back(press.step(), at);
            case STOP -> run.stop(at);
            case GO -> run.go(at);
            case TOGGLE -> toggled(run, at);
            case LONGER -> run.longer(press.step(), Press.need(press.seconds(), "by how much longer"), at);
            case SKIP -> run.skip(press.step(), at);
            case DROP -> run.drop(press.step(), at);
            case FINISH -> run.finish(at);
            default -> throw new IllegalStateException("Not on the clock: " + press.what());
        };
    }

    private static MatRun toggled(MatRun run, Instant at) {
        return switch (run.state()) {
            case READY -> run.start(at);
            case RUNNING -> run.stop(at);
            case STOPPED -> run.go(at);
            case OVER -> run;
        };
    }

    private UUID onTheRoster(Press press) {
        UUID person = Press.need(press.person(), "who it is");
        if (people.called(Set.of(person)).isEmpty()) {
            throw new NotFoundException("Nobody on the roster has the id " + person + ".");
        }
        return person;
    }

    private MatRun come(MatStore.Kept kept, UUID person, Instant at, SignedIn by) {
        MatRun run = kept.run();
        if (run.here().contains(person)) {
            return run;
        }
        if (run.here().size() >= ClassRequest.MOST_STUDENTS) {
            throw new RefusedException("At most %d people are in a class.".formatted(ClassRequest.MOST_STUDENTS));
        }
        List<UUID> here = new ArrayList<>(run.here());
        here.add(person);
        return people(kept, here, run.gone().stream().filter(one -> !one.equals(person)).toList(), at, by);
    }

    private MatRun leave(MatStore.Kept kept, UUID person, Instant at, SignedIn by) {
        MatRun run = kept.run();
        if (!run.here().contains(person)) {
            return run;
        }
        List<UUID> gone = new ArrayList<>(run.gone());
        // Whoever goes before it has begun was not there.
        if (run.state() != MatRun.State.READY) {
            gone.add(person);
        }
        return people(kept, run.here().stream().filter(one -> !one.equals(person)).toList(), gone, at, by);
    }

    private MatRun people(MatStore.Kept kept, List<UUID> here, List<UUID> gone, Instant at, SignedIn by) {
        List<Lesson.Planned> units = kept.run().parts().stream().filter(part -> part.section().isPresent())
                .map(part -> new Lesson.Planned(part.unit(), part.section().get(), part.minutes(), part.reactions())).toList();
        // What hurts whoever has come is minded before they are given a partner.
        Map<String, Set<UUID>> feeds = lessons.feeds(kept.map(), kept.lesson(), units, here, by);
        return kept.run().people(here, gone, part -> regrouped(kept, part, feeds.getOrDefault(part.unit(), part.feeds()), here, by), at);
    }

    private MatPart regrouped(MatStore.Kept kept, MatPart part, Set<UUID> feeds, List<UUID> here, SignedIn by) {
        if (part.section().isEmpty() || part.bouts().isEmpty()) {
            return part;
        }
        RunLessons.Part what = new RunLessons.Part(part.section().get(), part.drill(), feeds);
        return part.with(part.bouts().stream().map(groups -> lessons.regrouped(kept.map().id(), kept.lesson(), here, what, groups, by)).toList(), feeds);
    }

    private static Optional<Id> id(String value) {
        return value == null || value.isBlank() ? Optional.empty() : Optional.of(Id.of(value));
    }
}
