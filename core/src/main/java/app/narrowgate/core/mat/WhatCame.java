package app.narrowgate.core.mat;

import app.narrowgate.core.lesson.Couple;
import app.narrowgate.core.lesson.Lesson;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;

/** What really happened, from how a class ran: which parts came, for how many minutes, and who worked with whom. */
public final class WhatCame {

    /** What ran for less was skipped. */
    private static final Duration LEAST = Duration.ofSeconds(30);
    private static final Duration FORGOTTEN = Duration.ofMinutes(15);
    private static final double MINUTE = 60;

    private WhatCame() {
    }

    /** The parts that came, in the order of the class; breaks are none. */
    public static List<Lesson.Came> of(MatRun run) {
        List<Lesson.Came> came = new ArrayList<>();
        for (MatPart part : run.parts()) {
            Duration ran = part.steps().stream().map(step -> ran(run, step)).reduce(Duration.ZERO, Duration::plus);
            if (part.section().isPresent() && ran.compareTo(LEAST) >= 0) {
                int minutes = (int) Math.min(Lesson.MINUTES_CAME.high(), Math.max(1, Math.round(ran.toSeconds() / MINUTE)));
                came.add(new Lesson.Came(part.unit(), part.section().get(), minutes, part.reactions(), pairs(run, part)));
            }
        }
        return came;
    }

    /** A step that waited for somebody who had gone home counts no longer than this beyond its time. */
    private static Duration ran(MatRun run, MatStep step) {
        Duration ran = run.ranIn(step);
        Duration most = Duration.ofSeconds(step.seconds()).plus(FORGOTTEN);
        return ran.compareTo(most) > 0 ? most : ran;
    }

    /** Two who worked together, or were in one group of three. */
    private static Set<Couple> pairs(MatRun run, MatPart part) {
        Set<Couple> pairs = new LinkedHashSet<>();
        for (MatStep step : part.steps()) {
            if (step.kind() == MatStep.Kind.ROUND && step.bout() < part.bouts().size() && run.ranIn(step).compareTo(LEAST.dividedBy(2)) >= 0) {
                part.bouts().get(step.bout()).forEach(group -> couples(group, pairs));
            }
        }
        return pairs;
    }

    private static void couples(List<UUID> group, Set<Couple> pairs) {
        for (int i = 0; i < group.size(); i++) {
            for (int j = 0; j < i; j++) {
                pairs.add(new Couple(group.get(i), group.get(j)));
            }
        }
    }
}
