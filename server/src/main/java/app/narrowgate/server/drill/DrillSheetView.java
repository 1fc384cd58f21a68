package app.narrowgate.server.drill;

import app.narrowgate.core.drill.DrillBlock;
import app.narrowgate.core.drill.DrillSheet;
import app.narrowgate.core.drill.NextStep;
import app.narrowgate.core.map.Feeder;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Technique;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** A drill sheet in words, ready to print. */
@Schema(name = "DrillSheet")
record DrillSheetView(String situation, String situationTitle, Feeder feeder, List<LinkView> links, int repetitions,
        double minutes, List<BlockView> blocks, List<MistakeView> mistakes,
        @Schema(description = "Right and wrong in turn, for a partner who stops at what is wrong: numbers of links, then of mistakes")
        List<Integer> spotting, List<String> cautions) {

    /** What the feeder gives, what you do, how they answer, where it lands. */
    @Schema(name = "DrillLink")
    record LinkView(String reaction, @Schema(description = "What calls for the answer; empty where nobody has said") String trigger,
            String answer, List<String> checkpoints, String response, String stimulus,
            String landing, NextView next, double seconds) {
    }

    /** What the pair does after it has landed. */
    @Schema(name = "NextStep")
    record NextView(@Schema(allowableValues = {"go-on", "feed", "swap", "let-go", "reset"}) String kind,
            @Schema(description = "The situation that comes next") @Nullable String place,
            @Schema(description = "What the bottom player does there") @Nullable String answer) {
        static NextView of(MapIndex index, NextStep next) {
            return new NextView(next.kind().code(), next.place().map(index::placeTitle).orElse(null),
                    next.answer().flatMap(index::reaction).map(index::reactionTitle).orElse(null));
        }
    }

    /** What people do there and should not. */
    @Schema(name = "Mistake")
    record MistakeView(String reaction, String title, String why, List<String> landings) {
        static MistakeView of(MapIndex index, Reaction reaction) {
            return new MistakeView(reaction.id().value(), index.reactionTitle(reaction), reaction.doNot(), reaction.responses()
                    .stream().flatMap(response -> response.leads().stream()).distinct().map(index::placeTitle).toList());
        }
    }

    @Schema(name = "DrillBlock")
    record BlockView(@Schema(allowableValues = {"first", "second"}) String bottom,
            @Schema(allowableValues = {"left", "right"}) String side, List<Integer> calls) {
        static BlockView of(DrillBlock block) {
            return new BlockView(block.bottom().code(), block.side().code(), block.calls());
        }
    }

    static DrillSheetView of(MapIndex index, DrillSheet sheet) {
        Set<String> cautions = new LinkedHashSet<>();
        List<LinkView> links = sheet.links().stream().map(link -> {
            Reaction reaction = index.reaction(link.reaction()).orElseThrow();
            Technique technique = index.technique(reaction.technique()).orElseThrow();
            cautions.addAll(technique.cautions());
            return new LinkView(reaction.id().value(), reaction.when(), technique.title(), technique.checkpoints(),
                    link.response().value(), cue(reaction, link.response()), index.placeTitle(link.landing()),
                    NextView.of(index, link.next()), link.seconds());
        }).toList();
        return new DrillSheetView(sheet.situation().value(), index.placeTitle(sheet.situation()),
                index.situation(sheet.situation()).orElseThrow().notes().feeder(), links,
                sheet.repetitions(), sheet.minutes(), sheet.blocks().stream().map(BlockView::of).toList(),
                sheet.mistakes().stream().map(id -> MistakeView.of(index, index.reaction(id).orElseThrow())).toList(),
                sheet.spotting(),
                List.copyOf(cautions));
    }

    private static String cue(Reaction reaction, Id response) {
        return reaction.response(response).orElseThrow().cue();
    }
}
