package app.narrowgate.core.finish;

import app.narrowgate.core.map.Hold;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Requirement.Need;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Stage;
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/** What is taught against a hold where it is on, under a setting. */
final class Answers {

    private final SolvedMap solved;
    private final Map<Id, List<Answer>> byNeed = new HashMap<>();

    Answers(SolvedMap solved, Hold hold) {
        this.solved = solved;
        Denials.of(solved.index(), hold).taught().forEach((stage, needs) -> {
            Map<Id, Set<Id>> takesAway = new HashMap<>();
            needs.forEach((need, reactions) -> reactions.forEach(
                    reaction -> takesAway.computeIfAbsent(reaction, r -> new LinkedHashSet<>()).add(need)));
            Map<Id, Answer> answers = new HashMap<>();
            takesAway.forEach((id, gone) -> solved.index().reaction(id)
                    .filter(reaction -> !solved.setting().without().contains(id))
                    .ifPresent(reaction -> answers.put(id, answer(hold, stage, reaction, gone))));
            needs.forEach((need, reactions) -> reactions.stream().map(answers::get).filter(answer -> answer != null)
                    .forEach(answer -> byNeed.computeIfAbsent(need, n -> new ArrayList<>()).add(answer)));
        });
        byNeed.values().forEach(answers -> answers.sort(Comparator.comparing(Answer::stage)
                .thenComparing(answer -> !answer.isUsable())
                .thenComparing(Comparator.comparingDouble(Answer::gain).reversed())
                .thenComparing(Comparator.comparingDouble(Answer::succeeds).reversed())
                .thenComparing(answer -> answer.reaction().value())));
    }

    /** What is taught against {@code need}: early first, what is closed last, then the best first. */
    List<Answer> against(Need need) {
        return byNeed.getOrDefault(need.id(), List.of());
    }

    private Answer answer(Hold hold, Stage stage, Reaction reaction, Set<Id> gone) {
        Situation situation = solved.index().situation(reaction.from()).orElseThrow();
        int taught = solved.conditions().usable(situation).size();
        double works = solved.conditions().works(reaction);
        double inTime = solved.inTimeAmong(reaction, taught);
        Optional<Chances> seen = Ladder.seenFrom(hold, stage);
        double succeeds = works * inTime;
        return new Answer(reaction.id(), stage, gone, works, inTime, solved.conditions().seconds(reaction),
                seen.map(chances -> OptionalDouble.of(chances.closes())).orElse(OptionalDouble.empty()),
                seen.map(chances -> OptionalDouble.of(succeeds * chances.without(gone).closes()
                        + (1 - succeeds) * chances.closes())).orElse(OptionalDouble.empty()),
                solved.conditions().closings(situation, reaction));
    }
}
