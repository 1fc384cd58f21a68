package app.narrowgate.core.lesson;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;

/**
 * Rounds to be paired.
 *
 * @param students who is here
 * @param rounds in order
 * @param together pairs that stay together in every round
 * @param apart pairs that never come together
 * @param odd what becomes of the one who is left over
 * @param before how often two were a pair lately; those who were not are missing
 * @param turn another number gives other pairs of about the same goodness
 */
public record PairRequest(List<Student> students, List<RoundWish> rounds, Set<Couple> together, Set<Couple> apart, Odd odd,
        Map<Couple, Integer> before, int turn) {

    /** Numbers of other pairs. */
    public static final Range TURNS = new Range(0, 999, "");

    /** What becomes of the one who is left over when an odd number is here. */
    public enum Odd implements Coded {
        /** They make a pair a group of three. */
        THREE,
        /** They rest, each in their turn. */
        REST
    }

    public PairRequest {
        students = List.copyOf(students);
        rounds = List.copyOf(rounds);
        together = Set.copyOf(together);
        apart = Set.copyOf(apart);
        before = Map.copyOf(before);
        TURNS.require("The number of the pairs", turn);
        if (students.size() > ClassRequest.MOST_STUDENTS) {
            throw new RefusedException("%d people are more than can be paired at once; at most %d.".formatted(students.size(), ClassRequest.MOST_STUDENTS));
        }
        Set<UUID> seen = new HashSet<>();
        for (Couple couple : together) {
            if (apart.contains(couple)) {
                throw new RefusedException("Two people cannot be kept together and apart; free one of the two.");
            }
            if (!seen.add(couple.one()) || !seen.add(couple.other())) {
                throw new RefusedException("Somebody is kept together with two people; free one of the two.");
            }
        }
    }
}
