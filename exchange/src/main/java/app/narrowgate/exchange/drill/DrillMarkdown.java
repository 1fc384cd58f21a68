package app.narrowgate.exchange.drill;

import app.narrowgate.core.drill.Drill;
import app.narrowgate.core.drill.DrillDesigner;
import app.narrowgate.core.drill.DrillPlan;
import app.narrowgate.core.drill.DrillStep;
import app.narrowgate.core.drill.PracticeGraph;
import app.narrowgate.core.drill.Role;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.trait.Side;
import app.narrowgate.exchange.markdown.Markdown;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** A drill and one pair's plan of it as Markdown (CommonMark), to pass on in words. Not read back. */
public final class DrillMarkdown {

    private final MapIndex index;
    private final Drill drill;
    private final DrillPlan plan;
    private final Map<LinkRef, String> words;
    private final StringBuilder text = new StringBuilder();

    private DrillMarkdown(PracticeGraph graph, Drill drill, DrillPlan plan) {
        this.index = graph.solved().index();
        this.drill = drill;
        this.plan = plan;
        this.words = DrillDesigner.words(graph, plan.counts().keySet(), drill.words());
    }

    /** The text of {@code plan}, which was made from {@code drill} on {@code graph}. */
    public static String of(PracticeGraph graph, Drill drill, DrillPlan plan) {
        return new DrillMarkdown(graph, drill, plan).write();
    }

    private String write() {
        line("# " + Markdown.plain(drill.title()));
        line("%d minutes. %s".formatted(Math.round(plan.minutes()), drill.kind().feeder()));
        if (!drill.note().isEmpty()) {
            line(Markdown.plain(drill.note()));
        }
        line("**Tap early, let go at once.** " + drill.kind().caution());
        links();
        for (DrillPlan.Stretch stretch : plan.stretches()) {
            line("## " + (stretch.side() == Side.LEFT ? "Left side" : "Right side"));
            stretch(stretch.steps());
        }
        rounds();
        Set<String> cautions = new LinkedHashSet<>();
        plan.counts().keySet().forEach(link -> cautions.addAll(technique(link).cautions()));
        if (!cautions.isEmpty()) {
            line("## Take care");
            cautions.forEach(caution -> text.append("- ").append(Markdown.plain(caution)).append('\n'));
        }
        return text.toString();
    }

    private void links() {
        if (plan.counts().isEmpty()) {
            return;
        }
        line("| Call | They | You | You land in | 1 | 2 |\n|---|---|---|---|---|---|");
        text.setLength(text.length() - 1);
        plan.counts().forEach((link, counts) -> {
            Reaction reaction = index.reaction(link.reaction()).orElseThrow();
            var response = reaction.response(link.response()).orElseThrow();
            text.append("| %s | %s | %s | %s | %d | %d |\n".formatted(Markdown.plain(words.get(link)), Markdown.plain(response.cue()),
                    Markdown.plain(technique(link).title()), Markdown.plain(index.placeTitle(response.leads().orElseThrow())), counts[0], counts[1]));
        });
        text.append('\n');
    }

    /** One line a turn: who is on the bottom, and the calls. */
    private void stretch(List<DrillStep> steps) {
        Role bottom = null;
        List<String> calls = new ArrayList<>();
        for (DrillStep step : steps) {
            if (step.from().bottom() != bottom) {
                turn(bottom, calls);
                bottom = step.from().bottom();
            }
            step.link().ifPresent(link -> calls.add(Markdown.plain(words.get(link))));
            if (step.kind() == DrillStep.Kind.FAKE) {
                calls.add("(a fake)");
            }
        }
        turn(bottom, calls);
        text.append('\n');
    }

    private void turn(Role bottom, List<String> calls) {
        if (!calls.isEmpty()) {
            text.append("- %s below: %s\n".formatted(bottom == Role.FIRST ? "First" : "Second", String.join(", ", calls)));
            calls.clear();
        }
    }

    private void rounds() {
        if (plan.rounds().isEmpty()) {
            return;
        }
        line("| Side | Below | From | Seconds |\n|---|---|---|---|");
        text.setLength(text.length() - 1);
        plan.rounds().forEach(round -> text.append(String.format(Locale.ROOT, "| %s | %s | %s | %.0f |\n", round.side().code(),
                round.bottom().code(), Markdown.plain(index.placeTitle(round.place())), round.seconds())));
        text.append('\n');
    }

    private Technique technique(LinkRef link) {
        return index.technique(index.reaction(link.reaction()).orElseThrow().technique()).orElseThrow();
    }

    private void line(String line) {
        text.append(line).append("\n\n");
    }
}
