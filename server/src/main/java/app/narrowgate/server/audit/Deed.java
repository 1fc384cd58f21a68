package app.narrowgate.server.audit;

import app.narrowgate.core.check.Coded;

/** What is noted for the owner of a gym. */
public enum Deed implements Coded {
    OPEN_GYM("opened the gym"),
    NAME_GYM("named the gym"),
    INVITE("made an invitation"),
    WITHDRAW_INVITATION("withdrew an invitation"),
    COME_IN("came in by an invitation"),
    GIVE_ROLE("gave another role to"),
    OFFER_PASSWORD("made a link for a new password for"),
    CHANGE_PASSWORD("chose a new password"),
    END_SESSIONS("signed out everywhere"),
    PUT_OUT("put out of the gym"),
    LEAVE("left the gym"),
    FORGET("had everything about them deleted:"),
    TAKE_OUT("took out as a file"),
    SHARE_MAP("shared with students"),
    UNSHARE_MAP("shares no longer with students"),
    SHARE_CARD("made a link to the card of"),
    WITHDRAW_LINK("withdrew a link to a card"),
    REMOVE_PERSON("took somebody off the roster"),
    READ_HEALTH("read what hurts"),
    WRITE_HEALTH("wrote down what hurts"),
    TAKE_OUT_PERSON("took out everything about"),
    TAKE_OUT_GYM("took out the whole gym as an archive"),
    PUT_IN("put the gym into this house"),
    RESTORE("restored the house");

    private final String title;

    Deed(String title) {
        this.title = title;
    }

    /** What was done, in words between who did it and to whom or what. */
    public String title() {
        return title;
    }
}
