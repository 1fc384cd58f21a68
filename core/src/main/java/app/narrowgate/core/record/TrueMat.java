package app.narrowgate.core.record;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.odds.Branch;
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;

/**
 * Rolls rounds on a map that is taken to be true, as they would come on the mat: for made-up gyms, whose record must lead back to that map.
 * Seeded. Unlike {@link app.narrowgate.core.round.RoundSimulation} people need not choose the best answer here.
 */
public final class TrueMat {

    private static final int MOST_EXCHANGES = 10_000;

    private final SolvedMap truth;
    private final PlaceKind[] kinds;
    private final SplittableRandom random;
    private final ToDoubleFunction<Reaction> chosen;

    /**
     * What happened in a round.
     *
     * @param kind in what kind of place it ended
     * @param counts what was tried in it, and what came of that
     * @param last the last answer that got going and what they did about it; empty where none did
     */
    public record Rolled(Id start, PlaceKind kind, Counts counts, Optional<LinkRef> last) {
    }

    /** Everybody chooses what is best. */
    public TrueMat(SolvedMap truth, SplittableRandom random) {
        this(truth, reaction -> truth.best(truth.place(reaction.from())).equals(Optional.of(reaction)) ? 1 : 0, random);
    }

    /** @param chosen how often each answer is chosen in its situation, relative to the others that are taught there */
    public TrueMat(SolvedMap truth, ToDoubleFunction<Reaction> chosen, SplittableRandom random) {
        this.chosen = chosen;
        this.truth = truth.converged();
        this.kinds = truth.kinds();
        this.random = random;
    }

    /** One round until it is over; empty where it never is. */
    public Optional<Rolled> roll(Id start) {
        Counts counts = new Counts();
        Optional<LinkRef> last = Optional.empty();
        Id at = start;
        for (int exchange = 0; exchange < MOST_EXCHANGES; exchange++) {
            Optional<Reaction> tried = choice(at);
            List<Branch> next = tried.isPresent() ? truth.branches(tried.get()) : truth.place(at) < truth.game().situations ? truth.branches(at) : List.of();
            if (next.isEmpty()) {
                PlaceKind kind = kinds[truth.place(at)];
                return kind == null ? Optional.empty() : Optional.of(new Rolled(start, kind, counts, last));
            }
            Branch branch = drawn(next);
            if (branch.cause() == Branch.Cause.RESPONSE) {
                counts.tried(branch.response().orElseThrow().reaction(), 1, 1);
                counts.answered(branch.response().orElseThrow(), 1);
                last = branch.response();
            } else if (branch.cause() == Branch.Cause.STUFFED && tried.isPresent()) {
                counts.tried(tried.get().id(), 1, 0);
            }
            at = branch.landing();
        }
        return Optional.empty();
    }

    private Branch drawn(List<Branch> branches) {
        double left = random.nextDouble();
        for (Branch branch : branches) {
            left -= branch.share();
            if (left < 0) {
                return branch;
            }
        }
        return branches.get(branches.size() - 1);
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

    /** So many rounds, from the starts as often as they are begun in; fewer where some are never over. */
    public List<Rolled> rolls(int many) {
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
}
