package app.narrowgate.core.mat;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.lesson.ClassPlan;
import app.narrowgate.core.lesson.PairedRound;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;

/**
 * A class as it runs. Where it is follows from the clock alone: what is kept is where it stood at one instant, and every screen works out the
 * rest ({@link #at}), so that nothing has to be sent while nobody steers. What somebody does says which step they mean; where the
 * class has gone on meanwhile it changes nothing, so that two may steer at once and a press that is sent twice counts once.
 *
 * @param parts in order; what has begun is never taken out
 * @param step the number of the step in which it stood
 * @param since when it stood so
 * @param left what was left of the step then; below zero where it waits for whoever teaches
 * @param ran how long the step had been running by then
 * @param look what all look at while it is stopped
 * @param done steps that have ended, in the order in which they ran; one that was begun again stands there twice
 * @param here who is here
 * @param gone who was here and has gone
 * @param next the number that the next new step is given
 * @param begun when it was begun
 */
public record MatRun(List<MatPart> parts, int step, State state, Instant since, Duration left, Duration ran, Optional<Look> look, List<Done> done,
        List<UUID> here, List<UUID> gone, int next, Optional<Instant> begun) {

    /** Seconds by which a step is made longer or shorter at once. */
    public static final Range LONGER = new Range(-600, 600, "seconds");
    /** Parts that a class may have, those put in included. */
    public static final int MOST_PARTS = 60;

    /** A step that is begun again within so long goes back to the one before. */
    private static final Duration JUST = Duration.ofSeconds(5);
    /** What is left of a step that was cut off is given back when somebody goes back to it, this much at least. */
    private static final Duration LEAST_LEFT = Duration.ofSeconds(10);
    /** So much is remembered of what ran; nobody goes back further. */
    private static final int MOST_DONE = 2_000;

    /** How it stands. */
    public enum State implements Coded {
        READY, RUNNING, STOPPED, OVER
    }

    /**
     * What all look at.
     *
     * @param place shown large; the part's own where it is missing
     * @param technique whose mistake is put right
     * @param mistake which of its mistakes, from 0; only with a technique
     */
    public record Look(Optional<Id> place, Optional<Id> technique, Optional<Integer> mistake) {
        public Look {
            if (technique.isPresent() != mistake.isPresent()) {
                throw new RefusedException("A mistake is one of a technique's; say both.");
            }
        }
    }

    /**
     * A step that has ended.
     *
     * @param from when it was begun
     * @param ran how long the clock ran in it
     * @param left what was cut off; zero or below where it came to its end
     */
    public record Done(int step, Instant from, Duration ran, Duration left) {
    }

    public MatRun {
        parts = List.copyOf(parts);
        done = List.copyOf(done);
        here = List.copyOf(here);
        gone = List.copyOf(gone);
    }

    /**
     * A class that has not begun.
     *
     * @throws RefusedException where nothing is planned
     */
    public static MatRun ready(List<MatPart> parts, List<UUID> here, Instant now) {
        if (parts.isEmpty()) {
            throw new RefusedException("Nothing is planned yet, so there is nothing to run. Say who is here first.");
        }
        List<MatStep> steps = parts.stream().flatMap(part -> part.steps().stream()).toList();
        return new MatRun(parts, steps.get(0).number(), State.READY, now, seconds(steps.get(0)), Duration.ZERO, Optional.empty(), List.of(), here,
                List.of(), steps.get(steps.size() - 1).number() + 1, Optional.empty());
    }

    /** Every step, in order. */
    public List<MatStep> steps() {
        return parts.stream().flatMap(part -> part.steps().stream()).toList();
    }

    /** The step in which it stood. */
    public MatStep current() {
        return steps().get(place());
    }

    private int place() {
        List<MatStep> steps = steps();
        for (int i = 0; i < steps.size(); i++) {
            if (steps.get(i).number() == step) {
                return i;
            }
        }
        throw new IllegalStateException("Step " + step + " is in no part");
    }

    private int partOf(int number) {
        for (int i = 0; i < parts.size(); i++) {
            if (parts.get(i).steps().stream().anyMatch(one -> one.number() == number)) {
                return i;
            }
        }
        throw new IllegalStateException("Step " + number + " is in no part");
    }

    private static Duration seconds(MatStep step) {
        return Duration.ofSeconds(step.seconds());
    }

    /**
     * As it stands at an instant. Steps follow each other by the clock but for those that wait; the last one waits in any case. At an
     * instant before the one at which it stood it stands as it did, and goes on from there: clocks are set back. Cost O(steps).
     */
    public MatRun at(Instant now) {
        if (state != State.RUNNING || now.equals(since)) {
            return this;
        }
        if (now.isBefore(since)) {
            return new MatRun(parts, step, state, now, left, ran, look, done, here, gone, next, begun);
        }
        List<MatStep> steps = steps();
        List<Done> ended = new ArrayList<>(done);
        int i = place();
        Instant from = since;
        Duration remains = left;
        Duration before = ran;
        while (i < steps.size() - 1 && !steps.get(i).kind().waits() && remains.compareTo(Duration.between(from, now)) <= 0) {
            Instant end = from.plus(remains);
            ended.add(new Done(steps.get(i).number(), end.minus(before).minus(remains), before.plus(remains), Duration.ZERO));
            i++;
            from = end;
            remains = seconds(steps.get(i));
            before = Duration.ZERO;
        }
        Duration passed = Duration.between(from, now);
        return new MatRun(parts, steps.get(i).number(), state, now, remains.minus(passed), before.plus(passed), look, few(ended), here, gone, next, begun);
    }

    private static List<Done> few(List<Done> done) {
        return done.subList(Math.max(0, done.size() - MOST_DONE), done.size());
    }

    /** Begins it. */
    public MatRun start(Instant now) {
        return state == State.READY ? new MatRun(parts, step, State.RUNNING, now, left, ran, look, done, here, gone, next, Optional.of(now)) : this;
    }

    /** Ends the step that whoever pressed saw, and begins the next; at the last one the class is over. */
    public MatRun forward(int seen, Instant now) {
        if (state == State.READY) {
            return start(now);
        }
        return steering(seen, now, was -> {
            int i = was.place();
            List<MatStep> steps = was.steps();
            return i == steps.size() - 1 ? was.ended(now) : was.to(steps.get(i + 1), now);
        });
    }

    /** Ends the part that whoever pressed saw, and begins the next; at the last one the class is over. */
    public MatRun skip(int seen, Instant now) {
        return steering(seen, now, was -> {
            int part = was.partOf(was.step);
            return part == parts.size() - 1 ? was.ended(now) : was.to(parts.get(part + 1).steps().get(0), now);
        });
    }

    /** Begins the step again; within its first seconds goes back to the one before it that ran, with what was cut off from that. */
    public MatRun back(int seen, Instant now) {
        return steering(seen, now, was -> was.ran.compareTo(JUST) > 0 ? was.to(was.current(), now) : was.before(now));
    }

    private MatRun before(Instant now) {
        List<MatStep> steps = steps();
        for (int i = place() - 1; i >= 0; i--) {
            MatStep one = steps.get(i);
            Optional<Done> last = done.stream().filter(was -> was.step() == one.number()).reduce((earlier, later) -> later);
            if (last.isPresent()) {
                Duration cut = last.get().left();
                return to(one, cut.compareTo(LEAST_LEFT) > 0 ? cut : seconds(one), now);
            }
        }
        return to(current(), now);
    }

    /** Stops the clock. */
    public MatRun stop(Instant now) {
        MatRun was = at(now);
        return was.state == State.RUNNING ? was.standing(State.STOPPED, now, was.look) : this;
    }

    /** Stops the clock, and has all look at something. */
    public MatRun show(Look at, Instant now) {
        MatRun was = at(now);
        return was.state == State.RUNNING || was.state == State.STOPPED ? was.standing(State.STOPPED, now, Optional.of(at)) : this;
    }

    /** Goes on: after a stop, or when it was ended too early. */
    public MatRun go(Instant now) {
        return state == State.STOPPED || state == State.OVER ? standing(State.RUNNING, now, Optional.empty()) : this;
    }

    /** Gives the step that whoever pressed saw more seconds, or fewer; something is left of it in any case. */
    public MatRun longer(int seen, int seconds, Instant now) {
        LONGER.require("What a step is longer", seconds);
        return steering(seen, now, was -> {
            Duration more = was.left.plusSeconds(seconds);
            boolean tooFew = seconds < 0 && more.compareTo(LEAST_LEFT) < 0;
            Duration kept = !tooFew ? more : was.left.compareTo(LEAST_LEFT) < 0 ? was.left : LEAST_LEFT;
            return new MatRun(parts, was.step, was.state, was.since, kept, was.ran, was.look, was.done, here, gone, next, begun);
        });
    }

    /** Ends the class. */
    public MatRun finish(Instant now) {
        MatRun was = at(now);
        return was.state == State.RUNNING || was.state == State.STOPPED ? was.ended(now) : this;
    }

    /** Puts a break in after the part in which it stands. */
    public MatRun pauseAfter(int minutes, Instant now) {
        return at(now).insert(MatScript.pause(minutes, next));
    }

    /** Puts something in after the part in which it stands that was not planned. */
    public MatRun insertAfter(MapIndex index, ClassPlan.Line line, List<PairedRound> bouts, Instant now) {
        return at(now).insert(MatScript.inserted(index, line, bouts, next));
    }

    private MatRun insert(MatPart part) {
        if (state == State.OVER) {
            throw new RefusedException("The class is over; go on with it before you put something in.");
        }
        if (parts.size() >= MOST_PARTS) {
            throw new RefusedException("At most %d parts are in a class; take one out first.".formatted(MOST_PARTS));
        }
        if (!part.unit().equals(MatPart.BREAK) && parts.stream().anyMatch(one -> one.unit().equals(part.unit()))) {
            throw new RefusedException("That is in this class already.");
        }
        List<MatPart> with = new ArrayList<>(parts);
        with.add(partOf(step) + 1, part);
        return new MatRun(with, step, state, since, left, ran, look, done, here, gone, next + part.steps().size(), begun);
    }

    /**
     * Takes a part out that has not begun.
     *
     * @param first the number of its first step
     * @throws RefusedException where it has begun
     */
    public MatRun drop(int first, Instant now) {
        MatRun was = at(now);
        List<MatPart> fewer = new ArrayList<>(was.parts);
        boolean out = fewer.removeIf(part -> part.steps().get(0).number() == first);
        if (!out) {
            return this;
        }
        Set<Integer> touched = new HashSet<>(was.done.stream().map(Done::step).toList());
        touched.add(was.step);
        MatPart part = was.parts.get(was.partOf(first));
        if (part.steps().stream().anyMatch(one -> touched.contains(one.number()))) {
            throw new RefusedException("That part has begun; skip it instead.");
        }
        return new MatRun(fewer, was.step, was.state, was.since, was.left, was.ran, was.look, was.done, here, gone, next, begun);
    }

    /** With others here, and other groups from the part on in which it stands; those of what is over stay as they were. */
    public MatRun people(List<UUID> nowHere, List<UUID> nowGone, UnaryOperator<MatPart> regrouped, Instant now) {
        MatRun was = at(now);
        int from = was.partOf(was.step);
        List<MatPart> other = new ArrayList<>(was.parts);
        for (int i = from; i < other.size(); i++) {
            other.set(i, regrouped.apply(other.get(i)));
        }
        return new MatRun(other, was.step, was.state, was.since, was.left, was.ran, was.look, was.done, nowHere, nowGone, next, begun);
    }

    /** Does something to the class as it stands, where it is still in the step that was seen. */
    private MatRun steering(int seen, Instant now, UnaryOperator<MatRun> deed) {
        MatRun was = at(now);
        return was.step == seen && (was.state == State.RUNNING || was.state == State.STOPPED) ? deed.apply(was) : this;
    }

    private MatRun to(MatStep other, Instant now) {
        return to(other, seconds(other), now);
    }

    private MatRun to(MatStep other, Duration remains, Instant now) {
        return new MatRun(parts, other.number(), State.RUNNING, now, remains, Duration.ZERO, Optional.empty(), withThis(), here, gone, next, begun);
    }

    private MatRun standing(State other, Instant now, Optional<Look> at) {
        return new MatRun(parts, step, other, now, left, ran, at, done, here, gone, next, begun);
    }

    private MatRun ended(Instant now) {
        return standing(State.OVER, now, Optional.empty());
    }

    private List<Done> withThis() {
        List<Done> all = new ArrayList<>(done);
        all.add(new Done(step, since.minus(ran), ran, left));
        return few(all);
    }

    /** What the clock ran in a step, each time it was begun; zero where it was not. */
    public Duration ranIn(MatStep one) {
        Duration now = one.number() == step && state != State.READY ? ran : Duration.ZERO;
        return done.stream().filter(was -> was.step() == one.number()).map(Done::ran).reduce(now, Duration::plus);
    }
}
