package app.narrowgate.core.drill;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Whether a drill fits a map: a drill may come from a file, or have been made before the map was changed. */
public final class DrillRules {

    private DrillRules() {
    }

    /** Everything that {@code drill} names and the map does not have, or cannot be practised, placed as in a drill file. */
    public static List<Problem> problems(MapIndex index, Drill drill) {
        List<Problem> problems = new ArrayList<>();
        drill.place().filter(place -> index.situation(place).isEmpty())
                .ifPresent(place -> problems.add(new Problem("/place", "No situation is called “%s”.".formatted(place))));
        Dial.fault(index, drill).ifPresent(fault -> problems.add(new Problem("/place", fault)));
        check(index, "opening", drill.opening(), problems);
        check(index, "links", drill.links(), problems);
        check(index, "finishes", drill.finishes(), problems);
        check(index, "extension", drill.extension(), problems);
        return problems;
    }

    /**
     * Nothing, where {@code drill} fits the map.
     *
     * @throws ProblemsException with all {@link #problems} otherwise
     */
    public static void require(MapIndex index, Drill drill) {
        List<Problem> problems = problems(index, drill);
        if (!problems.isEmpty()) {
            throw new ProblemsException(problems);
        }
    }

    private static void check(MapIndex index, String list, List<LinkRef> links, List<Problem> problems) {
        for (int at = 0; at < links.size(); at++) {
            String place = "/%s/%d".formatted(list, at);
            fault(index, links.get(at)).ifPresent(fault -> problems.add(new Problem(place, fault)));
        }
    }

    /** What is wrong with a link, in a sentence; empty when it can be practised. */
    static Optional<String> fault(MapIndex index, LinkRef link) {
        Optional<Reaction> reaction = index.reaction(link.reaction());
        if (reaction.isEmpty()) {
            return Optional.of("No answer is called “%s”.".formatted(link.reaction()));
        }
        if (reaction.get().isWrong()) {
            return Optional.of("“%s” is a mistake; it is looked at, not practised.".formatted(index.reactionTitle(reaction.get())));
        }
        return reaction.get().response(link.response())
                .map(response -> response.leads().isPresent() ? Optional.<String>empty()
                        : Optional.of("“%s”: nobody has answered this yet; say on the map where it leads.".formatted(response.cue())))
                .orElseGet(() -> Optional.of("“%s” has no response called “%s”."
                        .formatted(index.reactionTitle(reaction.get()), link.response())));
    }
}
