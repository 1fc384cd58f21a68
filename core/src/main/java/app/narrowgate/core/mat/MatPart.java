package app.narrowgate.core.mat;

import app.narrowgate.core.drill.Dial;
import app.narrowgate.core.drill.DrillKind;
import app.narrowgate.core.drill.RotationOfThree;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import java.util.ArrayList;
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

    /**
     * A group of three in a turn.
     *
     * @param rests the third one, who watches
     */
    public record Three(UUID bottom, UUID top, UUID rests) {
    }

    /** Notches of a step, equally long; none where nothing is dialled in it. */
    public int notches(MatStep step) {
        return step.kind() == MatStep.Kind.ROUND && drill.equals(Optional.of(DrillKind.DIAL)) ? Dial.notches(step.seconds()) : 0;
    }

    /**
     * Who does what in every group of three while {@code step} lasts: they take turns through the whole part, and whoever only feeds leaves
     * the bottom to the next one. Nobody where the step is no turn, or the three only feed.
     */
    public List<Three> threes(MatStep step) {
        if (step.bottom().isEmpty() || bouts.isEmpty()) {
            return List.of();
        }
        long turn = steps.stream().filter(one -> one.kind() == MatStep.Kind.ROUND && one.number() < step.number()).count();
        List<List<UUID>> groups = bouts.get(Math.min(step.bout(), bouts.size() - 1));
        return groups.stream().filter(group -> group.size() == 3).map(group -> three(group, RotationOfThree.turn((int) turn))).flatMap(Optional::stream).toList();
    }

    private Optional<Three> three(List<UUID> group, RotationOfThree.Turn turn) {
        List<UUID> order = new ArrayList<>(List.of(group.get(turn.bottom()), group.get(turn.feeder()), group.get(turn.rests())));
        Optional<UUID> bottom = order.stream().filter(one -> !feeds.contains(one)).findFirst();
        bottom.ifPresent(order::remove);
        return bottom.map(one -> new Three(one, order.get(0), order.get(1)));
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
