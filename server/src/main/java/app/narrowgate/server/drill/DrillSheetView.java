package app.narrowgate.server.drill;

import app.narrowgate.core.drill.DrillBlock;
import app.narrowgate.core.drill.DrillSheet;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Technique;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** A drill sheet in words, ready to print. */
@Schema(name = "DrillSheet")
record DrillSheetView(String situation, String situationTitle, List<LinkView> links, int repetitions,
        double minutes, List<BlockView> blocks, List<String> cautions) {

    /** What the feeder gives, what you do, how they answer, where it lands. */
    @Schema(name = "DrillLink")
    record LinkView(String reaction, String answer, List<String> checkpoints, String response, String stimulus,
            String landing, double seconds) {
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
            return new LinkView(reaction.id().value(), technique.title(), technique.checkpoints(),
                    link.response().value(), cue(reaction, link.response()), index.placeTitle(link.landing()),
                    link.seconds());
        }).toList();
        return new DrillSheetView(sheet.situation().value(), index.placeTitle(sheet.situation()), links,
                sheet.repetitions(), sheet.minutes(), sheet.blocks().stream().map(BlockView::of).toList(),
                List.copyOf(cautions));
    }

    private static String cue(Reaction reaction, Id response) {
        return reaction.response(response).orElseThrow().cue();
    }
}
