package app.narrowgate.core.record;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.odds.Branch;
import app.narrowgate.core.odds.SolvedMap;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.UUID;
import java.util.function.ToDoubleFunction;

/** Rolls rounds on a map that is known to be true. */
final class Mat {

    private final SolvedMap truth;
    private final PlaceKind[] kinds;
    private final SplittableRandom random;
    private final ToDoubleFunction<Reaction> chosen;

    /** What happened in a round. */
    record Rolled(Id start, PlaceKind kind, Counts counts, Optional<LinkRef> last) {

        /** As it is logged with one tap. */
        Event.Round logged() {
            return ExpectedCountsTest.round(start.value(), kind, null, null);
        }

        /** As it is logged with the last answer that got going, or with that none did. */
        Event.Round noted() {
            Event.Round round = ExpectedCountsTest.round(start.value(), kind, last.map(one -> one.reaction().value()).orElse(null),
                    last.map(one -> one.response().value()).orElse(null));
            return new Event.Round(round.id(), round.at(), round.person(), round.partner(), round.start(), round.side(), round.ending(), round.seconds(),
                    round.reaction(), round.response(), last.isEmpty(), round.gap());
        }
    }

    /** Everybody chooses what is best. */
    Mat(SolvedMap truth, long seed) {
        this(truth, reaction -> truth.best(truth.place(reaction.from())).equals(Optional.of(reaction)) ? 1 : 0, seed);
    }

    /** @param chosen how often each answer is chosen in its situation */
    Mat(SolvedMap truth, ToDoubleFunction<Reaction> chosen, long seed) {
        this.chosen = chosen;
        this.truth = truth;
        this.kinds = truth.kinds();
        this.random = new SplittableRandom(seed);
    }

    /** One round until it is over; empty where it never is. */
    Optional<Rolled> roll(Id start) {
        Counts counts = new Counts();
        Optional<LinkRef> last = Optional.empty();
        Id at = start;
        for (int exchange = 0; exchange < 10_000; exchange++) {
            Optional<Reaction> tried = choice(at);
            List<Branch> next = tried.isPresent() ? truth.branches(tried.get()) : truth.place(at) < truth.game().situations ? truth.branches(at) : List.of();
            if (next.isEmpty()) {
                PlaceKind kind = kinds[truth.place(at)];
                return kind == null ? Optional.empty() : Optional.of(new Rolled(start, kind, counts, last));
            }
            double left = random.nextDouble();
            int i = 0;
            while (i < next.size() - 1 && left >= next.get(i).share()) {
                left -= next.get(i++).share();
            }
            Branch branch = next.get(i);
            Id reaction = tried.map(Reaction::id).orElse(null);
            if (branch.cause() == Branch.Cause.RESPONSE) {
                counts.tried(reaction, 1, 1);
                counts.answered(branch.response().orElseThrow(), 1);
                last = branch.response();
            } else if (branch.cause() == Branch.Cause.STUFFED) {
                counts.tried(reaction, 1, 0);
            }
            at = branch.landing();
        }
        return Optional.empty();
    }

    private Optional<Reaction> choice(Id at) {
        boolean over = truth.place(at) >= truth.game().situations || truth.solution().choice(truth.place(at)).rests();
        List<Reaction> taught = over ? List.of() : truth.conditions().usable(truth.index().situation(at).orElseThrow());
        double left = random.nextDouble() * taught.stream().mapToDouble(chosen).sum();
        for (Reaction one : taught) {
            left -= chosen.applyAsDouble(one);
            if (left < 0) {
                return Optional.of(one);
            }
        }
        return Optional.empty();
    }

    /** So many rounds, from the starts as often as they are begun in. */
    List<Rolled> rolls(int many) {
        double[] starts = truth.starts();
        List<Rolled> all = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            double left = random.nextDouble();
            int place = 0;
            while (place < truth.game().situations - 1 && left >= starts[place]) {
                left -= starts[place++];
            }
            roll(truth.placeId(place)).ifPresent(all::add);
        }
        return all;
    }

    static Instant now() {
        return Instant.EPOCH;
    }

    static UUID somebody() {
        return new UUID(0, 1);
    }
}
