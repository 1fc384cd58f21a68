package app.narrowgate.server.lesson;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.lesson.ClassShape;
import app.narrowgate.core.lesson.Couple;
import app.narrowgate.core.lesson.Focus;
import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.lesson.PairRequest;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.map.Id;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** A class as it is asked for; the fields of the open format but for what was planned. */
@Schema(name = "Lesson")
record LessonView(@NotBlank @Size(max = 90) String title, @NotNull LocalDate day,
        @NotNull @Pattern(regexp = "([01][0-9]|2[0-3]):[0-5][0-9]") @Schema(example = "19:30") String starts, @Min(20) @Max(180) int minutes,
        @Nullable @Size(max = 64) @Schema(description = "The family that it is about") String family,
        @Nullable @Size(max = 64) @Schema(description = "The place that it is about") String place, @Nullable @Size(max = 64) String aim,
        @DecimalMin("0") @DecimalMax("1") double read, @DecimalMin("0") @DecimalMax("30") double late,
        @Nullable @Schema(description = "The shape, where it is one of the house's",
                allowableValues = {"step-by-step", "mostly-live", "repetition", "first-months", "gate-evening"}) String usual,
        @Nullable @Size(max = 7) @Schema(description = "The shape, where it is not; parts that are missing do not come")
        List<@NotNull @Valid SpanView> shape, @NotNull @Size(max = 200) List<@NotNull UUID> here,
        @NotNull @Size(max = 60) List<@NotNull @Valid FixedView> fixed,
        @Nullable @Size(max = 60) @Schema(description = "Units that the term asks for, the most important first; they come where there is room")
        List<@NotNull @Size(min = 1, max = 140) String> term, @NotNull @Size(max = 60) List<@NotNull @Size(min = 1, max = 140) String> out,
        @NotNull @Size(max = 100) List<@NotNull @Valid CoupleView> together, @NotNull @Size(max = 400) List<@NotNull @Valid CoupleView> apart,
        @NotNull @Schema(allowableValues = {"three", "rest"}) String odd, @DecimalMin("1") @DecimalMax("150") double limit,
        @Min(0) @Max(999) int turn) {

    /** How long a part may last. */
    @Schema(name = "Span")
    record SpanView(@NotNull @Schema(allowableValues = {"warm-up", "recall", "new", "chain", "called", "live", "talk"}) String section,
            @Min(0) @Max(180) int least, @Min(0) @Max(180) int most) {
    }

    /** Something that comes in any case. */
    @Schema(name = "Fixed")
    record FixedView(@NotBlank @Size(max = 140) String unit, @Nullable @Min(1) @Max(180) Integer minutes) {
    }

    /** Two people. */
    @Schema(name = "Couple")
    record CoupleView(@NotNull UUID one, @NotNull UUID other) {
    }

    static LessonView of(Lesson lesson) {
        return new LessonView(lesson.title(), lesson.day(), lesson.starts().toString(), lesson.minutes(),
                lesson.focus().family().map(Id::value).orElse(null), lesson.focus().place().map(Id::value).orElse(null),
                lesson.aim().map(Id::value).orElse(null), lesson.read(), lesson.late(), lesson.usual().map(Coded::code).orElse(null),
                lesson.own().map(LessonView::spans).orElse(null), lesson.here(),
                lesson.fixed().entrySet().stream().map(e -> new FixedView(e.getKey(), e.getValue().orElse(null))).toList(), lesson.term(),
                lesson.out().stream().sorted().toList(), couples(lesson.together()), couples(lesson.apart()), lesson.odd().code(), lesson.limit(),
                lesson.turn());
    }

    /** The spans of a shape, for every part. */
    static List<SpanView> spans(ClassShape shape) {
        return shape.spans().entrySet().stream()
                .map(e -> new SpanView(e.getKey().code(), e.getValue().least(), e.getValue().most())).toList();
    }

    static List<CoupleView> couples(Set<Couple> couples) {
        return couples.stream().sorted(Comparator.comparing(Couple::one).thenComparing(Couple::other))
                .map(couple -> new CoupleView(couple.one(), couple.other())).toList();
    }

    /**
     * The class, with nothing planned yet.
     *
     * @throws RefusedException naming what is wrong
     */
    Lesson toLesson() {
        Map<String, Optional<Integer>> given = new LinkedHashMap<>();
        fixed.forEach(one -> given.put(one.unit(), Optional.ofNullable(one.minutes())));
        return new Lesson(Text.tidy(title).strip(), day, LocalTime.parse(starts), minutes, new Focus(id(family), id(place)), id(aim), read, late,
                Optional.ofNullable(usual).map(code -> Coded.require(ClassShape.Usual.class, "The shape", code)),
                Optional.ofNullable(shape).map(LessonView::toShape), here, given, term == null ? List.of() : term, new LinkedHashSet<>(out),
                toCouples(together), toCouples(apart),
                Coded.require(PairRequest.Odd.class, "What becomes of the one who is left over", odd), limit, turn, List.of(), List.of());
    }

    static ClassShape toShape(List<SpanView> spans) {
        Map<Section, ClassShape.Span> all = new EnumMap<>(Section.class);
        for (Section section : Section.values()) {
            all.put(section, new ClassShape.Span(0, 0));
        }
        spans.forEach(span -> all.put(Coded.require(Section.class, "A part of the class", span.section()), new ClassShape.Span(span.least(), span.most())));
        return new ClassShape(all);
    }

    private static Set<Couple> toCouples(List<CoupleView> couples) {
        Set<Couple> all = new LinkedHashSet<>();
        couples.forEach(couple -> all.add(new Couple(couple.one(), couple.other())));
        return all;
    }

    private static Optional<Id> id(@Nullable String value) {
        return value == null || value.isBlank() ? Optional.empty() : Optional.of(Id.of(value));
    }
}
