package app.narrowgate.core.map;

import app.narrowgate.core.check.Text;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * What a coach says of a place beside its answers. Nothing of it moves the odds.
 *
 * @param alsoCalled other names that somebody may type
 * @param yours what each segment of yours should be doing meanwhile
 * @param feeder how a partner holds it well and safely
 * @param oneAnswer why there is only one answer, where there is; may be empty
 */
public record PlaceNotes(List<String> alsoCalled, Map<Segment, String> yours, Feeder feeder, String oneAnswer) {

    /** Nothing is said. */
    public static final PlaceNotes NONE = new PlaceNotes(List.of(), Map.of(), Feeder.NONE, "");

    /** More names than this nobody types. */
    public static final int MOST_NAMES = 12;

    public PlaceNotes {
        alsoCalled = names(alsoCalled);
        EnumMap<Segment, String> ordered = new EnumMap<>(Segment.class);
        ordered.putAll(yours);
        ordered.values().forEach(task -> Text.SENTENCE.require("What a limb of yours does", task));
        yours = Collections.unmodifiableMap(ordered);
        Text.SENTENCE.require("Why there is one answer", oneAnswer);
    }

    /** Other names, each a title. */
    static List<String> names(List<String> names) {
        names.forEach(name -> Text.TITLE.require("Another name", name));
        return List.copyOf(names);
    }
}
