package app.narrowgate.core.lesson;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Id;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A class to be planned.
 *
 * @param minutes how long it lasts
 * @param students who is here
 * @param fixed units that come in any case, by their keys, in the order in which they were fixed; with their minutes, or empty where only that they
 *     come is fixed
 * @param wished units that come before others where there is room, by their keys, the first first: what a term asks for
 * @param out units that do not come
 * @param lately the reactions of the class before, to be recalled; empty where there was none
 * @param only true where nothing comes but what is fixed, for as long as it is fixed: for a class that is over
 */
public record ClassRequest(int minutes, Focus focus, ClassShape shape, List<Student> students, Map<String, Optional<Integer>> fixed,
        List<String> wished, Set<String> out, List<Id> lately, boolean only) {

    /** People in one class. */
    public static final int MOST_STUDENTS = 200;
    /** Minutes that may be fixed for one unit. */
    public static final Range FIXED = new Range(1, ClassShape.MINUTES.high(), "minutes");

    /** A class that is still to come and of which no term asks anything. */
    public ClassRequest(int minutes, Focus focus, ClassShape shape, List<Student> students, Map<String, Optional<Integer>> fixed, Set<String> out,
            List<Id> lately) {
        this(minutes, focus, shape, students, fixed, List.of(), out, lately, false);
    }

    public ClassRequest {
        ClassShape.MINUTES.require("The length of a class", minutes);
        students = List.copyOf(students);
        fixed = Collections.unmodifiableMap(new LinkedHashMap<>(fixed));
        wished = List.copyOf(wished);
        out = Set.copyOf(out);
        lately = List.copyOf(lately);
        fixed.forEach((key, given) -> given.ifPresent(m -> FIXED.require("The minutes of “%s”".formatted(key), m)));
        if (students.size() > MOST_STUDENTS) {
            throw new RefusedException("%d people are more than one class holds; plan two of at most %d.".formatted(students.size(), MOST_STUDENTS));
        }
        if (new HashSet<>(students.stream().map(Student::id).toList()).size() < students.size()) {
            throw new RefusedException("Somebody stands twice among those who are here.");
        }
    }
}
