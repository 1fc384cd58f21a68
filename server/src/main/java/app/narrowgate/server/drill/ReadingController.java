package app.narrowgate.server.drill;

import app.narrowgate.core.drill.HouseTimes;
import app.narrowgate.core.drill.PracticeGraph;
import app.narrowgate.core.drill.ReadingCard;
import app.narrowgate.core.drill.ReadingDeck;
import app.narrowgate.core.drill.ReadingFit;
import app.narrowgate.core.due.Practice;
import app.narrowgate.core.ledger.Tries;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.right.Right;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.Keepable;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.odds.AnswerStore;
import app.narrowgate.server.odds.OddsQuestion;
import app.narrowgate.server.odds.SolvedMaps;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The reading trainer: cues to be read, what was read, and what it says of a person's thinking time. */
@RestController
@Needs(Right.TRAIN)
@RequestMapping("/api/maps/{mapId}/readings")
@Tag(name = "drills")
class ReadingController {

    private static final int MOST_AT_ONCE = 200;

    /** A cue in words. */
    @Schema(name = "ReadingCard")
    record CardView(String situation, String situationTitle, String reaction, String cue, List<ChoiceView> choices,
            @Schema(description = "What a round loses by reading it wrong, in [0,1]") double price,
            @Schema(description = "How the right answer is begun") List<String> checkpoints) {
    }

    @Schema(name = "ReadingChoice")
    record ChoiceView(String technique, String title, @Schema(description = "In [0,1]") double worth, boolean right) {
    }

    /** A cue that was read; the id is made on the device, so that sending it twice keeps it once. */
    @Schema(name = "Reading")
    record ReadingView(@NotNull UUID id, @NotBlank @Size(max = 64) String situation, @NotBlank @Size(max = 64) String reaction,
            @NotBlank @Size(max = 64) String chosen, boolean correct, @Min(1) @Max(12) int answers,
            @Min(50) @Max(30_000) int milliseconds, @NotNull Instant at) {
    }

    /** What one's readings say. */
    @Schema(name = "ReadingSummary")
    record SummaryView(int readings, int right, @Schema(description = "Missing while there is too little to say") @Nullable FitView fit,
            @Schema(description = "What the map now uses") double houseBase, double housePerBit, List<MixUpView> mixUps) {
    }

    @Schema(name = "ReadingFit")
    record FitView(EstimateView base, EstimateView perBit, int readings) {
        static FitView of(ReadingFit fit) {
            return new FitView(EstimateView.of(fit.base()), EstimateView.of(fit.perBit()), fit.readings());
        }
    }

    @Schema(name = "Estimate")
    record EstimateView(double value, double low, double high) {
        static EstimateView of(ReadingFit.Estimate estimate) {
            return new EstimateView(estimate.value(), estimate.low(), estimate.high());
        }
    }

    /** A right answer and what was taken for it. */
    @Schema(name = "MixUp")
    record MixUpView(String reaction, String title, String chosen, String chosenTitle, int times) {
    }

    private final MapStore maps;
    private final SolvedMaps solved;
    private final AnswerStore answers;
    private final ReadingStore readings;
    private final Learned learned;
    private final Clock clock;

    ReadingController(MapStore maps, SolvedMaps solved, AnswerStore answers, ReadingStore readings, Learned learned, Clock clock) {
        this.learned = learned;
        this.maps = maps;
        this.solved = solved;
        this.answers = answers;
        this.readings = readings;
        this.clock = clock;
    }

    @Keepable
    @GetMapping("/deck")
    @Operation(operationId = "readingDeck", summary = "Cues to be read, what costs more more often",
            description = "What one practised or read, and is forgetting, comes more often. The same seed gives the same cues on the same day.")
    List<CardView> deck(@PathVariable UUID mapId, @ParameterObject OddsQuestion question,
            @RequestParam(defaultValue = "20") @Min(1) @Max(60) int cards,
            @RequestParam(defaultValue = "1") @Min(0) @Max(999_999) int seed, @AuthenticationPrincipal SignedIn who) {
        StoredMap map = maps.head(mapId);
        Setting setting = question.toSetting(map.index());
        Map<Id, Double> forgotten = forgotten(map, who.id());
        List<ReadingCard> deck = answers.answer(
                AnswerStore.Question.of(map, setting, "deck %d %d %s".formatted(cards, seed, AnswerStore.shortName(forgotten.toString()))),
                () -> ReadingDeck.of(PracticeGraph.of(solved.solved(map, setting).converged(), HouseTimes.USUAL), forgotten, cards, seed));
        return deck.stream().map(card -> card(map.index(), card)).toList();
    }

    /** How much of what they practised or read somebody has forgotten today, by reaction. */
    private Map<Id, Double> forgotten(StoredMap map, UUID account) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
        List<Practice> all = new ArrayList<>(learned.practised(map, account));
        readings.own(map.id(), account).forEach(row -> all.add(new Practice(LocalDate.ofInstant(row.at(), ZoneOffset.UTC), Id.of(row.reaction()),
                new Tries(1, row.correct() ? 1 : 0), Tries.NONE)));
        Map<Id, Double> forgotten = new TreeMap<>();
        all.stream().collect(Collectors.groupingBy(Practice::reaction)).forEach((id, own) -> forgotten.put(id, 1 - Practice.Held.of(own).on(today)));
        return forgotten;
    }

    private static CardView card(MapIndex index, ReadingCard card) {
        Reaction right = index.reaction(card.reaction()).orElseThrow();
        Technique technique = index.technique(right.technique()).orElseThrow();
        return new CardView(card.situation().value(), index.placeTitle(card.situation()), card.reaction().value(), right.when(),
                card.choices().stream().map(c -> new ChoiceView(c.technique().value(), index.title(PartKind.TECHNIQUES, c.technique()),
                        c.worth(), c.right())).toList(), card.price(), technique.checkpoints());
    }

    @PostMapping
    @Operation(operationId = "keepReadings", summary = "Keep what was read; sent twice it is kept once")
    SummaryView keep(@PathVariable UUID mapId, @NotNull @Size(max = MOST_AT_ONCE) @RequestBody List<@NotNull @Valid ReadingView> read,
            @AuthenticationPrincipal SignedIn who) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        // A device's clock may be wrong; nothing was read after now.
        readings.keep(mapId, who.id(), read.stream().map(one -> new ReadingRow(one.id(), Id.of(one.situation()).value(),
                Id.of(one.reaction()).value(), Id.of(one.chosen()).value(), one.correct(), one.answers(), one.milliseconds(),
                one.at().isAfter(now) ? now : one.at().truncatedTo(ChronoUnit.MICROS))).toList());
        return summary(mapId, who);
    }

    @Keepable
    @GetMapping("/mine")
    @Operation(operationId = "myReadings", summary = "What one's own readings say")
    SummaryView summary(@PathVariable UUID mapId, @AuthenticationPrincipal SignedIn who) {
        MapIndex index = maps.head(mapId).index();
        List<ReadingRow> rows = readings.own(mapId, who.id());
        List<ReadingFit.Reading> right = rows.stream().filter(ReadingRow::correct)
                .map(row -> new ReadingFit.Reading(row.answers(), row.milliseconds() / 1000.0)).toList();
        var house = index.map().house().thinking();
        return new SummaryView(rows.size(), right.size(), ReadingFit.of(right).map(FitView::of).orElse(null), house.base(),
                house.perBit(), MixUps.of(index, rows));
    }
}
