package app.narrowgate.core.right;

import static app.narrowgate.core.right.Role.ASSISTANT;
import static app.narrowgate.core.right.Role.INSTRUCTOR;
import static app.narrowgate.core.right.Role.OWNER;
import static app.narrowgate.core.right.Role.STUDENT;

import app.narrowgate.core.check.Coded;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * Something that may be done in a gym, and by whom. This is the only place where that is said: the server, the client and
 * the page in the documents are made from it.
 */
public enum Right implements Coded {
    /** What a student opens on a phone as well. */
    READ_SHARED_MAPS("read the maps that are shared with students: places, odds, cards, what is held", OWNER, INSTRUCTOR,
            ASSISTANT, STUDENT),
    TRAIN("read cues in the trainer, and see one's own readings", OWNER, INSTRUCTOR, ASSISTANT, STUDENT),
    SEE_ONESELF("see what is kept about oneself, take it out, leave the gym", OWNER, INSTRUCTOR, ASSISTANT, STUDENT),
    READ_MAPS("read every map of the gym, its history, holes and drills, and keep a question", OWNER, INSTRUCTOR, ASSISTANT),
    SEE_PEOPLE("see the roster: names, levels, weights, who trains", OWNER, INSTRUCTOR, ASSISTANT),
    READ_CLASSES("read the plans of classes and who works with whom", OWNER, INSTRUCTOR, ASSISTANT),
    RUN_CLASSES("run classes on the mat and make links for screens and clickers", OWNER, INSTRUCTOR, ASSISTANT),
    KEEP_RECORD("log what happens on the mat, and read what the gym's record says", OWNER, INSTRUCTOR, ASSISTANT),
    PLAN_CLASSES("plan classes, change and remove them; ask for gates and repetitions, and decide on gates", OWNER, INSTRUCTOR),
    EDIT_MAPS("change maps, take changes back, begin and put away maps, read files in", OWNER, INSTRUCTOR),
    KEEP_DRILLS("keep drills in the gym's library and remove them", OWNER, INSTRUCTOR),
    TAKE_OUT("take maps, drills and lists out as files", OWNER, INSTRUCTOR),
    EDIT_PEOPLE("add people to the roster, change and remove them", OWNER, INSTRUCTOR),
    READ_HEALTH("read and write what hurts somebody; every reading is noted", OWNER, INSTRUCTOR),
    SHARE("make links for people without a sign-in, share maps with students", OWNER, INSTRUCTOR),
    MANAGE_MEMBERS("invite people, give roles, end their sessions, put them out", OWNER),
    READ_AUDIT("read who did what when", OWNER),
    MANAGE_GYM("name the gym, take all of it out as an archive, delete everything about a person", OWNER);

    private final String title;
    private final Set<Role> roles;

    Right(String title, Role... roles) {
        this.title = title;
        this.roles = Collections.unmodifiableSet(EnumSet.copyOf(List.of(roles)));
    }

    /** What may be done, in words that follow "may". */
    public String title() {
        return title;
    }

    /** Who may do it; nobody else. */
    public Set<Role> roles() {
        return roles;
    }
}
