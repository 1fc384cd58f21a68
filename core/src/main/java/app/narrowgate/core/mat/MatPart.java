package app.narrowgate.core.mat;

import app.narrowgate.core.drill.DrillKind;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * A part of a class as it runs.
 *
 * @param unit the key of what is practised; {@link #BREAK} for a break
 * @param section empty for a break
 * @param place where it begins
 * @param other the other one of two places that are kept apart
 * @param links what is practised; where there is one place or many
 * @param drill how it is practised
 * @param steps in order, at least one
 * @param bouts who works with whom: groups of two, three, or one who rests; one list for each time that partners are changed, none where
 *     nobody has one
 * @param feeds those who are never on the bottom in it
 * @param inserted true for what was not planned
 */
public record MatPart(String unit, Optional<Section> section, Optional<Id> place, Optional<Id> other, List<LinkRef> links, Optional<DrillKind> drill,
        List<MatStep> steps, List<List<List<UUID>>> bouts, Set<UUID> feeds, boolean inserted) {

    /** The key of a break. */
    public static final String BREAK = "break";

    public MatPart {
        links = List.copyOf(links);
        steps = List.copyOf(steps);
        bouts = bouts.stream().map(groups -> groups.stream().map(List::copyOf).toList()).toList();
        feeds = Set.copyOf(feeds);
        if (steps.isEmpty()) {
            throw new IllegalArgumentException("A part without a step");
        }
    }

    /** The same with other groups, and others who only feed. */
    public MatPart with(List<List<List<UUID>>> groups, Set<UUID> feeding) {
        return new MatPart(unit, section, place, other, links, drill, steps, groups, feeding, inserted);
    }

    /** Minutes that it is planned for, at least one. */
    public int minutes() {
        return Math.max(1, Math.round(steps.stream().mapToInt(MatStep::seconds).sum() / 60f));
    }

    /** The reactions that are practised, each once. */
    public List<Id> reactions() {
        return links.stream().map(LinkRef::reaction).distinct().toList();
    }
}
