package app.narrowgate.core.review;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Whether a cue names something that can be seen or felt: a part of a body, a grip, a weight, a gap, or a movement of
 * the whole body with its direction. A convention of this project, by lists of English words; "their hip comes off
 * yours" and "they tip forward" pass, "they open" and "they sit" do not.
 */
final class Cues {

    private static final Set<String> BODY = words("head face chin jaw ear nose mouth eye neck throat shoulder collarbone arm "
            + "forearm armpit elbow wrist hand palm finger thumb fist knuckle chest breastbone belly trunk body back spine rib "
            + "hip seat pelvis tailbone waist thigh leg knee shin calf ankle foot heel toe instep lap side");
    private static final Set<String> TOUCH = words("weight grip hook mat floor balance posture frame underhook overhook "
            + "seatbelt collar lapel sleeve jacket cloth trousers gap space room base post pressure pull push breath "
            + "belt lock hands feet calves heavy light tight loose step sprawl air");
    private static final Set<String> MOTION = words("sit stand fall tip hop step walk run roll climb circle lean sprawl turn "
            + "drag drop slide come go jump rise ride");
    private static final Set<String> DIRECTION = words("up down back backward forward behind over under round across beside "
            + "away through off top front sideways past");
    private static final Pattern NO_LETTER = Pattern.compile("[^\\p{L}]+");

    private Cues() {
    }

    private static Set<String> words(String list) {
        return Arrays.stream(list.split(" ")).flatMap(word -> Stream.of(word, word + "s"))
                .collect(Collectors.toUnmodifiableSet());
    }

    /** True when the cue names something that can be seen or felt. */
    static boolean isPerceivable(String cue) {
        List<String> said = List.of(NO_LETTER.split(cue.toLowerCase(Locale.ROOT)));
        return said.stream().anyMatch(word -> BODY.contains(word) || TOUCH.contains(word))
                || said.stream().anyMatch(MOTION::contains) && said.stream().anyMatch(DIRECTION::contains);
    }
}
