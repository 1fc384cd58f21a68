package app.narrowgate.server.mat;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.drill.Dial;
import app.narrowgate.core.drill.DrillKind;
import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.mat.MatPart;
import app.narrowgate.core.mat.MatRun;
import app.narrowgate.core.mat.MatStep;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/** Puts a running class into the words of its map. */
final class MatViews {

    private static final int MOST_CAUTIONS = 3;
    /** Mistakes that somebody at the mat's edge looks through. */
    private static final int MOST_MISTAKES = 12;

    private final MapIndex index;
    private final Map<UUID, String> names;

    /** @param names of those who are here, or were, as they are called */
    MatViews(MapIndex index, Map<UUID, String> names) {
        this.index = index;
        this.names = firstNames(names);
    }

    MatView of(UUID id, Lesson lesson, String gym, int version, MatRun run, Instant now) {
        return new MatView(id, lesson.title(), gym, version, now, run.state().code(), run.step(), run.left().toMillis(), run.ran().toMillis(),
                run.look().map(this::look).orElse(null), run.parts().stream().map(this::part).toList(), run.here().size(), run.begun().orElse(null),
                lesson.minutes());
    }

    /** First names; where two share one they are told apart by a number. */
    static Map<UUID, String> firstNames(Map<UUID, String> names) {
        Map<String, Integer> times = new HashMap<>();
        Map<UUID, String> first = new LinkedHashMap<>();
        names.forEach((id, name) -> {
            String one = name.strip().split("\\s+")[0];
            int time = times.merge(one, 1, Integer::sum);
            first.put(id, time == 1 ? one : one + " " + time);
        });
        return first;
    }

    private MatView.LookView look(MatRun.Look look) {
        Optional<Technique.Fault> mistake = look.technique().flatMap(index::technique)
                .flatMap(technique -> look.mistake().filter(i -> i < technique.faults().size()).map(technique.faults()::get));
        return new MatView.LookView(look.place().map(Id::value).orElse(null), look.place().map(this::placeTitle).orElse(null),
                mistake.map(Technique.Fault::sign).orElse(null), mistake.map(Technique.Fault::fix).orElse(null));
    }

    private MatView.MatPartView part(MatPart part) {
        return new MatView.MatPartView(part.unit(), part.section().map(Coded::code).orElse(null),
                part.drill().map(Coded::code).orElse(null), title(part), part.place().map(Id::value).orElse(null),
                part.place().map(this::placeTitle).orElse(null), held(part.place()), part.other().map(Id::value).orElse(null),
                part.other().map(this::placeTitle).orElse(null), held(part.other()), part.links().stream().map(this::answer).toList(),
                part.drill().map(DrillKind::feeder).orElse(null), part.drill().map(DrillKind::stop).orElse(null), cautions(part), mistakes(part),
                part.steps().stream().map(step -> step(part, step)).toList(),
                part.bouts().stream().map(groups -> groups.stream().map(group -> group.stream().map(this::name).toList()).toList()).toList(),
                part.inserted());
    }

    private Map<String, String> held(Optional<Id> place) {
        Map<String, String> held = new LinkedHashMap<>();
        place.flatMap(index::situation).ifPresent(one -> one.held().forEach((segment, by) -> held.put(segment.code(), by)));
        return held;
    }

    private String title(MatPart part) {
        if (part.section().isEmpty()) {
            return "Water";
        }
        return switch (part.section().get()) {
            case WARM_UP -> "Warm-up";
            case RECALL, NEW -> part.reactions().stream().map(this::reactionTitle).distinct().collect(Collectors.joining(", "));
            case CHAIN, LIVE, CALLED -> part.place().map(this::placeTitle).orElse("");
            case TALK -> "What stopped you?";
        };
    }

    /** A class outlives the places that it was planned in: of one that the map no longer has its id is left. */
    private String placeTitle(Id id) {
        return index.isPlace(id) ? index.placeTitle(id) : id.value();
    }

    private String reactionTitle(Id id) {
        return index.reaction(id).map(index::reactionTitle).orElse(id.value());
    }

    private MatView.AnswerView answer(LinkRef link) {
        Optional<Reaction> reaction = index.reaction(link.reaction());
        return new MatView.AnswerView(reaction.flatMap(one -> one.response(link.response())).map(response -> response.cue()).orElse(""),
                reaction.map(Reaction::from).map(this::placeTitle).orElse(""), reactionTitle(link.reaction()),
                reaction.flatMap(one -> one.response(link.response())).flatMap(response -> response.leads()).map(this::placeTitle).orElse(null));
    }

    private List<Technique> techniques(MatPart part) {
        return part.reactions().stream().map(index::reaction).flatMap(Optional::stream).map(Reaction::technique).distinct().map(index::technique)
                .flatMap(Optional::stream).toList();
    }

    private List<String> cautions(MatPart part) {
        Set<String> all = new LinkedHashSet<>();
        part.drill().map(DrillKind::caution).ifPresent(all::add);
        part.drill().filter(kind -> kind == DrillKind.DIAL).flatMap(kind -> part.place()).flatMap(place -> Dial.caution(index, place)).ifPresent(all::add);
        techniques(part).forEach(technique -> all.addAll(technique.cautions()));
        return all.stream().limit(MOST_CAUTIONS).toList();
    }

    private List<MatView.MistakeView> mistakes(MatPart part) {
        List<MatView.MistakeView> all = new ArrayList<>();
        if (part.section().filter(Section::practises).isPresent()) {
            for (Technique technique : techniques(part)) {
                for (int i = 0; i < technique.faults().size() && all.size() < MOST_MISTAKES; i++) {
                    Technique.Fault fault = technique.faults().get(i);
                    all.add(new MatView.MistakeView(technique.id().value(), i, technique.title(), fault.sign(), fault.fix()));
                }
            }
        }
        return all;
    }

    private MatView.MatStepView step(MatPart part, MatStep step) {
        return new MatView.MatStepView(step.number(), step.kind().code(), step.seconds(), step.side().map(Coded::code).orElse(null),
                step.bottom().map(Coded::code).orElse(null), step.movement().map(id -> index.title(PartKind.MOVEMENTS, id)).orElse(null), step.bout(),
                step.calls().stream().map(call -> new MatView.CallView(call.at(), part.links().indexOf(call.link()))).toList(),
                part.notches(step),
                part.threes(step).stream().map(one -> new MatView.ThreeView(name(one.bottom()), name(one.top()), name(one.rests()))).toList());
    }

    private String name(UUID id) {
        return names.getOrDefault(id, "Somebody");
    }
}
