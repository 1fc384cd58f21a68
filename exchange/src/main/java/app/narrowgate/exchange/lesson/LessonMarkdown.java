package app.narrowgate.exchange.lesson;

import app.narrowgate.core.drill.DrillKind;
import app.narrowgate.core.lesson.ClassPlan;
import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.lesson.PairedRound;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.lesson.Unit;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.Technique;
import app.narrowgate.exchange.markdown.Markdown;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * A class as Markdown (CommonMark), to pass on in words: its lines, the pairs by first names, and the cautions. Nothing that hurts anybody
 * stands in it. Not read back.
 */
public final class LessonMarkdown {

    private final MapIndex index;
    private final Lesson lesson;
    private final Map<UUID, String> names;
    private final StringBuilder text = new StringBuilder();

    private LessonMarkdown(MapIndex index, Lesson lesson, Map<UUID, String> names) {
        this.index = index;
        this.lesson = lesson;
        this.names = names;
    }

    /**
     * The text of a class.
     *
     * @param plan empty while nobody is here
     * @param rounds the pairs of the plan's lines, by their keys, some for each change of partners
     * @param names of those who are here
     */
    public static String of(MapIndex index, Lesson lesson, Optional<ClassPlan> plan, Map<String, List<PairedRound>> rounds, Map<UUID, String> names) {
        return new LessonMarkdown(index, lesson, names).write(plan, rounds);
    }

    private String write(Optional<ClassPlan> plan, Map<String, List<PairedRound>> rounds) {
        line("# " + Markdown.plain(lesson.title()));
        line("%s, %s. %d minutes, %d here.".formatted(lesson.day(), lesson.starts(), lesson.minutes(), names.size()));
        line("**Tap early, let go at once.** The instructor, the rules of the gym and the law come before this sheet.");
        if (plan.isEmpty()) {
            line("Nobody is here yet, so nothing is planned.");
            return text.toString();
        }
        line("| From | Minutes | What |\n|---|---|---|");
        text.setLength(text.length() - 1);
        for (ClassPlan.Line one : plan.get().lines()) {
            text.append("| %s | %d | %s |\n".formatted(lesson.starts().plusMinutes(one.from()), one.minutes(), Markdown.plain(title(one.unit(), plan.get()))));
        }
        text.append('\n');
        for (ClassPlan.Line one : plan.get().lines()) {
            if (one.unit().section().practises()) {
                detail(one, rounds.getOrDefault(one.unit().key(), List.of()), plan.get());
            }
        }
        cautions(plan.get());
        return text.toString();
    }

    /** What a unit is, in words. */
    private String title(Unit unit, ClassPlan plan) {
        String places = unit.apart().map(pair -> index.placeTitle(pair.one().situation()) + " or " + index.placeTitle(pair.other().situation()))
                .or(() -> unit.place().map(index::placeTitle)).orElse("");
        return switch (unit.section()) {
            case WARM_UP -> "Warm-up" + plan.warmUp().map(solo -> ": " + solo.movements().stream()
                    .map(id -> index.title(PartKind.MOVEMENTS, id)).collect(Collectors.joining(", "))).orElse("");
            case RECALL -> "Recall: " + answers(unit);
            case NEW -> "New: " + answers(unit);
            case CHAIN -> "Chain, from " + places;
            case CALLED -> "Called: " + places;
            case LIVE -> (unit.isDialled() ? "Dial, from " : unit.isGate() ? "Gate, from " : "Live, from ") + places;
            case TALK -> "Talk: what stopped you?";
        };
    }

    private String answers(Unit unit) {
        return unit.links().stream().map(LinkRef::reaction).distinct().map(this::answer).collect(Collectors.joining(", "));
    }

    private String answer(Id reaction) {
        return index.reaction(reaction).map(one -> index.reactionTitle(one) + " (" + index.placeTitle(one.from()) + ")").orElse(reaction.value());
    }

    private void detail(ClassPlan.Line one, List<PairedRound> rounds, ClassPlan plan) {
        line("## %s %s".formatted(lesson.starts().plusMinutes(one.from()), Markdown.plain(title(one.unit(), plan))));
        one.unit().drill().map(drill -> drill.kind()).ifPresent(this::kind);
        for (LinkRef link : one.unit().section() == Section.LIVE ? List.<LinkRef>of() : one.unit().links()) {
            index.reaction(link.reaction()).ifPresent(reaction -> text.append("- %s: %s\n".formatted(Markdown.plain(answer(reaction.id())),
                    Markdown.plain(reaction.response(link.response()).map(response -> response.cue()).orElse("")))));
        }
        text.append('\n');
        rounds.forEach(pairs -> line(pairs.groups().stream().map(group -> group.who().stream().map(this::firstName)
                .collect(Collectors.joining(" and ")) + (group.rests() ? " rests" : "")).collect(Collectors.joining(" · "))));
    }

    private void kind(DrillKind kind) {
        line("%s %s %s".formatted(kind.feeder(), "Counts: " + kind.counts(), "Stop: " + kind.stop()));
    }

    private void cautions(ClassPlan plan) {
        Set<String> cautions = new LinkedHashSet<>();
        plan.lines().stream().flatMap(one -> one.unit().drill().stream()).forEach(drill -> cautions.add(drill.kind().caution()));
        plan.lines().stream().flatMap(one -> one.unit().links().stream()).map(LinkRef::reaction).flatMap(id -> index.reaction(id).stream())
                .flatMap(reaction -> index.technique(reaction.technique()).stream()).map(Technique::cautions).forEach(cautions::addAll);
        if (!cautions.isEmpty()) {
            line("## Take care");
            cautions.forEach(caution -> text.append("- ").append(Markdown.plain(caution)).append('\n'));
        }
    }

    /** First names only: sheets lie about. */
    private String firstName(UUID id) {
        return Markdown.plain(names.getOrDefault(id, "Somebody").split(" ")[0]);
    }

    private void line(String words) {
        text.append(words).append("\n\n");
    }
}
