package app.narrowgate.core.lesson;

import app.narrowgate.core.person.Pairing;
import app.narrowgate.core.trait.Level;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * What it costs to put two together in a round, in whole points; house figures, our estimates, in the order of what must not be: what is
 * forbidden, what hurts, what is unfair, what is dull, what teaches little.
 */
final class PairCosts {

    /** Of what must not be. */
    static final long FORBIDDEN = 10_000_000;

    private static final long OVER_LIMIT = 20_000;
    private static final long PER_KG_OVER = 1_000;
    private static final long UNFAIR = 5_000;
    private static final long AGAIN = 2_500;
    private static final long LATELY = 60;
    private static final long PER_KG = 10;
    private static final long UNKNOWN = 60;
    private static final long BOTH_NEW = 400;
    private static final long BOTH_MISSED = 300;
    private static final long PER_LEVEL = 150;
    private static final long OTHER_PAIRS = 300;

    private final PairRequest request;
    private final Map<Couple, Integer> tonight = new HashMap<>();
    private final Map<UUID, Integer> leftOver = new HashMap<>();

    PairCosts(PairRequest request) {
        this.request = request;
    }

    /** True where two may work together in a round. */
    boolean may(RoundWish wish, Student one, Student other) {
        return !Pairing.mixesAges(one.person(), other.person()) && !request.apart().contains(new Couple(one.id(), other.id()))
                && !(wish.feedOnly().contains(one.id()) && wish.feedOnly().contains(other.id()));
    }

    /** What two cost; {@link #FORBIDDEN} where they may not. */
    long of(RoundWish wish, Student one, Student other) {
        if (!may(wish, one, other)) {
            return FORBIDDEN;
        }
        Couple couple = new Couple(one.id(), other.id());
        long cost = gap(one, other).map(kg -> Math.round(PER_KG * kg) + (kg > wish.limit()
                ? OVER_LIMIT + Math.round(PER_KG_OVER * (kg - wish.limit())) : 0)).orElse(UNKNOWN);
        cost += AGAIN * tonight.getOrDefault(couple, 0) + LATELY * Math.min(10, request.before().getOrDefault(couple, 0));
        cost += levels(wish, one.level(), other.level());
        cost += wish.missed().contains(one.id()) && wish.missed().contains(other.id()) ? BOTH_MISSED : 0;
        return cost + (request.turn() == 0 ? 0 : Math.floorMod(31L * couple.hashCode() + 7_919L * request.turn(), OTHER_PAIRS));
    }

    private static long levels(RoundWish wish, Level one, Level other) {
        boolean bothNew = one == Level.NOVICE && other == Level.NOVICE;
        return switch (wish.mix()) {
            case ALIKE -> PER_LEVEL * Math.abs(one.ordinal() - other.ordinal());
            case MIXED -> bothNew ? BOTH_NEW : one == other ? PER_LEVEL / 2 : 0;
            case ANY -> bothNew ? BOTH_NEW / 2 : 0;
        };
    }

    /** What being left over costs somebody: the more often it was their turn, the more. */
    long leftOver(UUID who) {
        return UNFAIR * leftOver.getOrDefault(who, 0);
    }

    /** Kilograms between two; empty unless both weights are known. */
    static Optional<Double> gap(Student one, Student other) {
        return one.person().weight().flatMap(a -> other.person().weight().map(b -> Math.abs(a - b)));
    }

    /** Remembers a round for those after it. */
    void count(PairedRound round) {
        for (PairedRound.Group group : round.groups()) {
            for (int i = 0; i < group.who().size(); i++) {
                for (int j = 0; j < i; j++) {
                    tonight.merge(new Couple(group.who().get(i), group.who().get(j)), 1, Integer::sum);
                }
            }
            if (group.who().size() != 2) {
                group.who().forEach(who -> leftOver.merge(who, 1, Integer::sum));
            }
        }
    }

    /** Forgets what was remembered. */
    void forget() {
        tonight.clear();
        leftOver.clear();
    }

    /** What speaks for two, or has to be minded with them, the weightiest first. */
    List<PairedRound.Why> why(RoundWish wish, Student one, Student other) {
        List<PairedRound.Why> why = new ArrayList<>();
        Couple couple = new Couple(one.id(), other.id());
        gap(one, other).filter(kg -> kg > wish.limit()).ifPresent(kg -> why.add(amount(PairedRound.Note.OVER_LIMIT, kg)));
        for (Student student : List.of(one, other)) {
            Student partner = student == one ? other : one;
            if (wish.feedOnly().contains(student.id())) {
                why.add(about(PairedRound.Note.FEEDS, student));
            }
            if (wish.missed().contains(student.id()) && !wish.missed().contains(partner.id())) {
                why.add(about(PairedRound.Note.SHOWN, student));
            }
            if (student.level() == Level.NOVICE && partner.level() != Level.NOVICE) {
                why.add(about(PairedRound.Note.NEW_WITH_EXPERIENCED, student));
            }
        }
        if (request.together().contains(couple)) {
            why.add(new PairedRound.Why(PairedRound.Note.TOGETHER, Optional.empty(), Optional.empty()));
        }
        if (one.level() == other.level()) {
            why.add(new PairedRound.Why(PairedRound.Note.ALIKE, Optional.empty(), Optional.empty()));
        }
        why.add(gap(one, other).filter(kg -> kg <= wish.limit()).map(kg -> amount(PairedRound.Note.APART, kg))
                .orElse(new PairedRound.Why(PairedRound.Note.WEIGHT_UNKNOWN, Optional.empty(), Optional.empty())));
        why.removeIf(note -> note.note() == PairedRound.Note.WEIGHT_UNKNOWN && gap(one, other).isPresent());
        if (tonight.getOrDefault(couple, 0) > 0 && !request.together().contains(couple)) {
            why.add(amount(PairedRound.Note.AGAIN, 1.0 + tonight.get(couple)));
        }
        if (request.before().getOrDefault(couple, 0) > 0) {
            why.add(amount(PairedRound.Note.LATELY, request.before().get(couple)));
        }
        return why;
    }

    private static PairedRound.Why amount(PairedRound.Note note, double amount) {
        return new PairedRound.Why(note, Optional.empty(), Optional.of(amount));
    }

    static PairedRound.Why about(PairedRound.Note note, Student student) {
        return new PairedRound.Why(note, Optional.of(student.id()), Optional.empty());
    }
}
