package app.narrowgate.server.demo;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.record.Beta;
import app.narrowgate.core.record.Ending;
import app.narrowgate.core.record.Event;
import app.narrowgate.core.record.Learner;
import app.narrowgate.core.record.Tally;
import app.narrowgate.core.record.TrueMat;
import app.narrowgate.core.trait.Side;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.UUID;

/**
 * What was logged at the demo gym in twelve weeks of evenings: rounds rolled on a hidden map, which differs from what is written a little
 * everywhere, and a good deal in a few answers that the file names. Seeded: the same evenings give the same rounds, but for their ids.
 */
final class DemoTwelveWeeks {

    /** How near to each other people like to roll, in kilograms. */
    private static final double NEAR = 25;
    private static final double RIGHT = 0.6;
    private static final Duration LIVE_FROM = Duration.ofMinutes(45);
    private static final Duration BETWEEN = Duration.ofMinutes(2);

    private final MapIndex index;
    private final DemoRecordFile file;
    private final Setting setting;
    private final SolvedMap truth;
    private final SplittableRandom random;
    private final Map<Double, TrueMat> byGap = new HashMap<>();

    /** An evening: when it began, what it was about, and who was there with what weight. */
    record Evening(Instant began, Id family, Map<UUID, Double> here) {
    }

    /** @param setting the one in which rounds are logged */
    DemoTwelveWeeks(MapIndex index, Setting setting, DemoRecordFile file) {
        this.index = index;
        this.file = file;
        this.setting = setting;
        this.random = new SplittableRandom(file.seed());
        SolvedMap written = SolvedMap.of(index, setting);
        SplittableRandom hidden = new SplittableRandom(file.seed());
        Map<Id, Double> works = new HashMap<>();
        for (Reaction reaction : index.map().reactions()) {
            double drawn = Beta.of(written.rates().works(reaction), file.strength()).drawn(hidden);
            works.put(reaction.id(), Optional.ofNullable(file.otherwise().get(reaction.id().value())).orElse(drawn));
        }
        this.truth = written.by(written.rates().working(works));
    }

    /** The hidden map. */
    SolvedMap truth() {
        return truth;
    }

    /** Rounds of all the evenings, in order; none on a map on which nobody begins anywhere. */
    List<Event.Round> of(List<Evening> evenings) {
        List<Event.Round> rounds = new ArrayList<>();
        if (starts(Optional.empty()).isEmpty()) {
            return rounds;
        }
        evenings.forEach(evening -> {
            for (int i = 0; i < file.rounds(); i++) {
                round(evening, evening.began().plus(LIVE_FROM).plus(BETWEEN.multipliedBy(i))).ifPresent(rounds::add);
            }
        });
        return rounds;
    }

    private Optional<Event.Round> round(Evening evening, Instant at) {
        List<UUID> here = List.copyOf(evening.here().keySet());
        UUID below = here.get(random.nextInt(here.size()));
        UUID above = below;
        double gap = 0;
        while (above.equals(below) || random.nextDouble() > Math.exp(-Math.abs(gap) / NEAR)) {
            above = here.get(random.nextInt(here.size()));
            gap = evening.here().get(above) - evening.here().get(below);
        }
        UUID partner = above;
        double between = gap;
        Id start = start(random.nextDouble() < file.ofItsFamily() ? Optional.of(evening.family()) : Optional.empty());
        boolean noted = random.nextDouble() < file.noted();
        Side side = random.nextDouble() < RIGHT ? Side.RIGHT : Side.LEFT;
        return mat(gap).roll(start).map(rolled -> {
            Optional<LinkRef> last = noted ? rolled.last() : Optional.empty();
            return new Event.Round(UUID.randomUUID(), at, Optional.of(below), Optional.of(partner), start, Optional.of(side), Ending.in(rolled.kind()),
                    Optional.empty(), last.map(LinkRef::reaction), last.map(LinkRef::response), noted && last.isEmpty(), Optional.of(between));
        });
    }

    /** Where a round begins, as often as the map says. */
    private Id start(Optional<Id> family) {
        List<Situation> starts = starts(family);
        double left = random.nextDouble() * starts.stream().mapToDouble(Situation::entry).sum();
        for (Situation one : starts) {
            left -= one.entry();
            if (left < 0) {
                return one.id();
            }
        }
        return starts.isEmpty() ? start(Optional.empty()) : starts.get(starts.size() - 1).id();
    }

    private List<Situation> starts(Optional<Id> family) {
        return index.map().situations().stream()
                .filter(one -> one.entry() > 0 && one.rest().isEmpty() && family.map(one.family()::equals).orElse(true)).toList();
    }

    private TrueMat mat(double gap) {
        return byGap.computeIfAbsent(Math.rint(gap / Tally.STEP) * Tally.STEP, one -> {
            SolvedMap under = truth.under(setting.withMatchup(setting.matchup().withWeightGap(one)));
            return new TrueMat(under, new Learner(under).before()::chosen, random.split());
        });
    }
}
