package app.narrowgate.core.round;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Tells a rolled round in words, a sentence a step. */
public final class StoryTeller {

    private StoryTeller() {
    }

    /** The sentences of {@code story}, which was rolled on {@code index}'s map. */
    public static List<String> tell(MapIndex index, RoundSimulation.Story story) {
        List<String> sentences = new ArrayList<>();
        for (RoundSimulation.Step step : story.steps()) {
            sentences.add("%.0f s, %s: %s".formatted(step.seconds(), index.placeTitle(step.situation()),
                    happened(index, plain(step))));
        }
        sentences.add(story.cutOff() ? "The round goes on." : "It ends: " + index.placeTitle(story.end()) + ".");
        return sentences;
    }

    /** The sentences of one of the commonest stories; {@code story} must be of {@code index}'s map. */
    public static List<String> tell(MapIndex index, CommonStories.Story story) {
        List<String> sentences = new ArrayList<>();
        for (CommonStories.Step step : story.steps()) {
            sentences.add("%s: %s".formatted(index.placeTitle(step.situation()), happened(index, step)));
        }
        sentences.add("It ends: " + index.placeTitle(story.end()) + ".");
        return sentences;
    }

    private static CommonStories.Step plain(RoundSimulation.Step step) {
        return new CommonStories.Step(step.situation(), step.reaction(), step.event(), step.response(), step.lands());
    }

    private static String happened(MapIndex index, CommonStories.Step step) {
        String lands = index.placeTitle(step.lands());
        String tried = step.reaction().flatMap(index::reaction).map(index::reactionTitle).orElse("");
        return switch (step.event()) {
            case WAITED -> "nothing is taught, they move on to “%s”.".formatted(lands);
            case TOO_SLOW -> "too slow for “%s”, they move on to “%s”.".formatted(tried, lands);
            case STUFFED -> step.lands().equals(step.situation())
                    ? "“%s” does not get going.".formatted(tried)
                    : "“%s” is stuffed and ends in “%s”.".formatted(tried, lands);
            case RESPONSE -> "“%s”, and %s: “%s”.".formatted(tried, cue(index, step), lands);
        };
    }

    private static String cue(MapIndex index, CommonStories.Step step) {
        Reaction reaction = step.reaction().flatMap(index::reaction).orElseThrow();
        String cue = step.response().flatMap((Id id) -> reaction.response(id)).map(Response::cue).orElse("they answer");
        return cue.substring(0, 1).toLowerCase(Locale.ROOT) + cue.substring(1);
    }
}
