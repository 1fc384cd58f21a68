package app.narrowgate.core.right;

import app.narrowgate.core.check.Coded;

/** What somebody is in a gym. Everybody who may sign in has one role in one gym. */
public enum Role implements Coded {
    /** Answers for the gym: its members, what is kept of them, and everything an instructor does. */
    OWNER("owner"),
    /** Makes the maps, teaches, and knows about injuries. */
    INSTRUCTOR("instructor"),
    /** Runs a class and logs what happened; is not told of anybody's health. */
    ASSISTANT("assistant"),
    /** Sees what is shared with students, and what is about themselves. */
    STUDENT("student");

    private final String title;

    Role(String title) {
        this.title = title;
    }

    /** What the role is called in a sentence. */
    public String title() {
        return title;
    }

    /** True where somebody of this role may do it. */
    public boolean may(Right right) {
        return right.roles().contains(this);
    }
}
