package app.narrowgate.core.review;

import java.util.Arrays;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Whether a cue names something that can be seen or felt: a part of a body, a grip, a weight, a gap. A convention of
 * this project, by a list of English words; "their hip comes off yours" passes, "they open" does not.
 */
final class Cues {

    private static final Set<String> BODY = words("head face chin jaw ear nose mouth eye neck throat shoulder collarbone arm "
            + "forearm armpit elbow wrist hand palm finger thumb fist knuckle chest breastbone belly trunk body back spine rib "
            + "hip seat pelvis tailbone waist thigh leg knee shin calf ankle foot heel toe instep lap side");
    private static final Set<String> TOUCH = words("weight grip hook mat floor balance posture frame underhook overhook "
            + "seatbelt collar lapel sleeve belt jacket cloth trousers gap space room base post pressure pull push breath "
            + "belt lock hands feet calves heavy light tight loose step sprawl air");
    private static final Pattern NO_LETTER = Pattern.compile("[^\\p{L}]+");

    private Cues() {
    }

    private static Set<String> words(String list) {
        return Arrays.stream(list.split(" ")).flatMap(word -> Stream.of(word, word + "s"))
                .collect(Collectors.toUnmodifiableSet());
    }

    /** True when the cue names something that can be seen or felt. */
    static boolean isPerceivable(String cue) {
        return Arrays.stream(NO_LETTER.split(cue.toLowerCase(Locale.ROOT)))
                .anyMatch(word -> BODY.contains(word) || TOUCH.contains(word));
    }
}
