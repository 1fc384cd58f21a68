package app.narrowgate.core.finish;

import app.narrowgate.core.map.Hold;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Requirement.Need;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Stage;
import app.narrowgate.core.map.Word;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.trait.AgeGroup;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;

/**
 * A hold as a ladder: its needs in the order in which they are built, how likely it closes from each rung, and what each
 * taught denial does about it under a setting.
 *
 * <p>The chances are those of {@link Chances}: each need is met on its own, with the chance that stands on the map. Nothing
 * is known of what they switch to when it fails; that is what the odds of a place play.
 *
 * @param neverClosed true where nobody may close it in practice: a finish, when children are on the mat
 * @param rungs first built first; needs of which nobody has said when stand last, in the tree's order
 * @param closes chance in [0,1] that it closes, before anything is built; empty while a need's chance is not said
 * @param stages the stages at which something is built, or at which it is on, early first
 * @param most the stage whose best answer lowers the chance most for its work; empty where nothing lowers it
 */
public record Ladder(Hold hold, boolean neverClosed, List<Rung> rungs, OptionalDouble closes, List<Step> stages,
        Optional<Stage> most) {

    public Ladder {
        rungs = List.copyOf(rungs);
        stages = List.copyOf(stages);
    }

    /**
     * One need.
     *
     * @param number 1 for the first
     * @param insteadOf number of the earlier rung to which it is an alternative
     * @param gets chance in [0,1] that they get it when they go for it
     * @param closes chance in [0,1] that the hold closes once every need up to this one is met
     * @param importance {@link Chances#importance}, before anything is built
     * @param shareOfFailures {@link Chances#shareOfFailures}, before anything is built
     * @param answers what is taught against it, by stage, best first
     * @param ifAnswered where nothing is taught against it: by how much the chance that it closes would fall at its own
     *     stage if something often worked against it
     */
    public record Rung(Need need, int number, OptionalInt insteadOf, OptionalDouble gets, OptionalDouble closes,
            OptionalDouble importance, OptionalDouble shareOfFailures, List<Answer> answers, OptionalDouble ifAnswered) {
        public Rung {
            answers = List.copyOf(answers);
        }
    }

    /**
     * One stage.
     *
     * @param closes chance in [0,1] that the hold closes as seen from here: what is built before is met
     * @param best the answer that lowers this most for its work
     */
    public record Step(Stage stage, OptionalDouble closes, Optional<Best> best) {
    }

    /** An answer, and the need whose work it is measured by. */
    public record Best(Need need, Answer answer) {

        /** By how much the chance falls for one unit of work; without chances, how surely it goes for one unit of work. */
        double forItsWork() {
            return (answer.closes().isPresent() ? answer.gain() : answer.succeeds()) / need.work();
        }
    }

    /**
     * The ladder of {@code hold} on {@code solved}'s map under its setting. Cost: a few sums over the tree for each
     * reaction that denies something.
     *
     * @throws app.narrowgate.core.check.RefusedException when a need stands twice
     */
    public static Ladder of(SolvedMap solved, Hold hold) {
        return new Builder(solved, hold).build();
    }

    /** The hold's needs in the order in which they are built. */
    static List<Need> inOrder(Hold hold) {
        return hold.requirement().needs().stream().sorted(Comparator.comparing((Need need) ->
                need.built().stage().map(Stage::ordinal).orElse(Integer.MAX_VALUE))).toList();
    }

    /** The stages at which something of {@code hold} is built, or at which it is on, early first. */
    static Set<Stage> stages(SolvedMap solved, Hold hold) {
        Set<Stage> stages = new TreeSet<>();
        hold.requirement().needs().forEach(need -> need.built().stage().ifPresent(stages::add));
        hold.at().forEach(place -> solved.index().situation(place).flatMap(Situation::stage).ifPresent(stages::add));
        if (stages.isEmpty()) {
            stages.add(Stage.EARLY);
        }
        return stages;
    }

    /** The chances as seen from {@code stage}; empty while a need's chance is not said. */
    static Optional<Chances> seenFrom(Hold hold, Stage stage) {
        Map<Id, Double> met = new HashMap<>();
        for (Need need : hold.requirement().needs()) {
            OptionalDouble chance = need.built().chance(stage);
            if (chance.isEmpty()) {
                return Optional.empty();
            }
            met.put(need.id(), chance.getAsDouble());
        }
        return Optional.of(Chances.of(hold.requirement(), met));
    }

    private static final class Builder {

        private final SolvedMap solved;
        private final Hold hold;
        private final List<Stage> stages;
        private final Answers answers;

        Builder(SolvedMap solved, Hold hold) {
            this.solved = solved;
            this.hold = hold;
            this.stages = List.copyOf(stages(solved, hold));
            this.answers = new Answers(solved, hold);
        }

        Ladder build() {
            List<Need> needs = inOrder(hold);
            List<Rung> rungs = new ArrayList<>();
            Set<Id> below = new HashSet<>();
            for (Need need : needs) {
                below.add(need.id());
                rungs.add(rung(need, needs, Set.copyOf(below)));
            }
            List<Step> steps = stages.stream().map(stage -> step(stage, needs)).toList();
            Optional<Stage> most = steps.stream().filter(step -> step.best().filter(b -> b.answer().gain() > 0).isPresent())
                    .max(Comparator.comparingDouble((Step step) -> step.best().orElseThrow().forItsWork())
                            .thenComparing(step -> -step.stage().ordinal()))
                    .map(Step::stage);
            boolean neverClosed = hold.kind() == Hold.Kind.FINISH
                    && solved.setting().matchup().age() == AgeGroup.CHILDREN;
            return new Ladder(hold, neverClosed, rungs, closes(stages.get(0), Set.of()), steps, most);
        }

        private OptionalDouble closes(Stage from, Set<Id> given) {
            return seenFrom(hold, from).map(chances -> OptionalDouble.of(chances.given(given).closes()))
                    .orElse(OptionalDouble.empty());
        }

        private Rung rung(Need need, List<Need> needs, Set<Id> upToHere) {
            Stage first = stages.get(0);
            Stage own = need.built().stage().orElse(first);
            Optional<Chances> before = seenFrom(hold, first);
            List<Answer> taught = answers.against(need);
            return new Rung(need, needs.indexOf(need) + 1, insteadOf(need, needs), need.built().chance(own),
                    closes(own, upToHere), value(before.map(chances -> chances.importance(need.id()))),
                    value(before.map(chances -> chances.shareOfFailures(need.id()))), taught,
                    taught.isEmpty() ? value(seenFrom(hold, own).map(chances -> Word.OFTEN.chance()
                            * (chances.closes() - chances.without(Set.of(need.id())).closes()))) : OptionalDouble.empty());
        }

        private static OptionalDouble value(Optional<Double> value) {
            return value.map(OptionalDouble::of).orElse(OptionalDouble.empty());
        }

        private OptionalInt insteadOf(Need need, List<Need> needs) {
            for (int i = 0; i < needs.indexOf(need); i++) {
                if (Alternatives.are(hold.requirement(), needs.get(i).id(), need.id())) {
                    return OptionalInt.of(i + 1);
                }
            }
            return OptionalInt.empty();
        }

        private Step step(Stage stage, List<Need> needs) {
            Optional<Best> best = needs.stream().flatMap(need -> answers.against(need).stream()
                    .filter(answer -> answer.stage() == stage && answer.isUsable()).map(answer -> new Best(need, answer)))
                    .max(Comparator.comparingDouble(Best::forItsWork).thenComparing(b -> -needs.indexOf(b.need())));
            return new Step(stage, closes(stage, Set.of()), best);
        }
    }
}
