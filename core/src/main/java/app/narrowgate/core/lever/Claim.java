package app.narrowgate.core.lever;

import app.narrowgate.core.check.Coded;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/** Which lever a sentence of a map speaks of, told by its words. */
public enum Claim implements Coded {
    HIP("shoulder\\b.*\\bhip bone"),
    GRIP("closed grip|thumb (closed |goes )?round|hook of the hand"),
    FRAME("\\bstrut\\b|straight arm on|right angle to the trunk|forearm bone|^frame on|elbow bone"),
    PRESS("crowbar|(press|push|strip)\\w* .*\\bat the ankle|low on the shin|\\bshin\\b.*\\blever\\b"),
    ARM("(hands?|grip|hold|low|bite down|trap|slide\\w*|take|hook\\w*|pull\\w*)\\b.*\\bwrist|two-on-one|far end of the lever");

    private final Pattern words;

    Claim(String words) {
        this.words = Pattern.compile(words);
    }

    /** The lever of which a sentence speaks; empty for none. Of two the more particular one. */
    public static Optional<Claim> of(String sentence) {
        String said = sentence.toLowerCase(Locale.ROOT);
        for (Claim claim : values()) {
            if (claim.words.matcher(said).find()) {
                return Optional.of(claim);
            }
        }
        return Optional.empty();
    }
}
