package app.narrowgate.core.term;

import app.narrowgate.core.lesson.ClassShape;
import app.narrowgate.core.lesson.Focus;
import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.lesson.NewLinks;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.trait.Level;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;

/**
 * A class of the term that is still to come.
 *
 * @param focus what is new in it is of this; recalled is whatever is due
 * @param fresh new links that there is room for
 * @param recalls links to recall that there is room for
 * @param fixed reactions that whoever teaches it has fixed as new
 * @param recalled reactions that they have fixed to be recalled
 * @param out reactions that they have taken out, as new or as recalled
 */
public record ComingClass(UUID id, LocalDate day, Focus focus, int fresh, int recalls, Set<Id> fixed, Set<Id> recalled, Set<Id> out) {

    /** Minutes that a new link takes, as a class gives them; our estimate. */
    public static final int NEW_MINUTES = 9;
    /** Minutes that a recalled one takes. */
    public static final int RECALL_MINUTES = 4;

    public ComingClass {
        fixed = Set.copyOf(fixed);
        recalled = Set.copyOf(recalled);
        out = Set.copyOf(out);
    }

    /** The same with what its term asks for as fixed as what whoever teaches it has fixed. */
    public ComingClass asked(Lesson lesson) {
        Set<Id> asNew = new HashSet<>(reactions(Set.copyOf(lesson.term()), Section.NEW));
        asNew.addAll(fixed);
        Set<Id> again = new HashSet<>(reactions(Set.copyOf(lesson.term()), Section.RECALL));
        again.addAll(recalled);
        asNew.removeAll(out);
        again.removeAll(out);
        return new ComingClass(id, day, focus, fresh, recalls, asNew, again, out);
    }

    /**
     * A planned class with the room that its shape leaves.
     *
     * @param level of most who come; beginners are given fewer new links
     */
    public static ComingClass of(UUID id, Lesson lesson, Level level) {
        Set<Id> out = new HashSet<>(reactions(lesson.out(), Section.NEW));
        out.addAll(reactions(lesson.out(), Section.RECALL));
        return new ComingClass(id, lesson.day(), lesson.focus(), room(lesson.shape().of(Section.NEW), NEW_MINUTES, NewLinks.of(level)),
                room(lesson.shape().of(Section.RECALL), RECALL_MINUTES, Section.RECALL.mostUnits()),
                reactions(lesson.fixed().keySet(), Section.NEW), reactions(lesson.fixed().keySet(), Section.RECALL), out);
    }

    private static int room(ClassShape.Span span, int minutes, int most) {
        return Math.min(most, span.most() < ClassShape.LEAST_UNIT ? 0 : Math.max(1, span.most() / minutes));
    }

    private static Set<Id> reactions(Set<String> keys, Section section) {
        Set<Id> found = new HashSet<>();
        String begins = section.code() + ":";
        keys.stream().filter(key -> key.startsWith(begins) && Id.problem(key.substring(begins.length())).isEmpty())
                .forEach(key -> found.add(Id.of(key.substring(begins.length()))));
        return found;
    }
}
