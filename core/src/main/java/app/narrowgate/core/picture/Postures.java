package app.narrowgate.core.picture;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Relaxation;
import app.narrowgate.core.body.View;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.Posture;
import app.narrowgate.core.trait.Side;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;

/**
 * The postures of a map worked out: those told from others are solved, and every place has its own or its family's. What
 * is asked for is worked out once. Cost of one told from another: a relaxation for each step to the one that is told
 * whole, some milliseconds each. Safe for several threads.
 */
public final class Postures {

    private final MapIndex index;
    private final UnaryOperator<Bodies> solver;
    private final Map<Id, Worked> worked = new ConcurrentHashMap<>();

    /**
     * A posture worked out.
     *
     * @param id which one
     * @param bodies possible, solved
     * @param view from where it is looked at
     * @param near the side of the bottom player on which the top player is; empty where there is none
     * @param says what is seen; may be empty
     */
    public record Worked(Id id, Bodies bodies, View view, Optional<Side> near, String says) {
    }

    private Postures(EscapeMap map, UnaryOperator<Bodies> solver) {
        this.index = MapIndex.of(map);
        this.solver = solver;
    }

    /** Those of a map whose parts fit. */
    public static Postures of(EscapeMap map) {
        return of(map, Relaxation::of);
    }

    /**
     * Those of a map whose parts fit.
     *
     * @param solver makes a rough posture possible, as {@link Relaxation#of(Bodies)} does; whoever keeps what it made need
     *     not make it twice
     */
    public static Postures of(EscapeMap map, UnaryOperator<Bodies> solver) {
        return new Postures(map, solver);
    }

    /** Which posture a situation or an outcome has: its own, or its family's; empty for neither, or for no such place. */
    public Optional<Id> ofPlace(Id place) {
        return index.situation(place)
                .map(situation -> situation.posture().or(() -> index.part(PartKind.FAMILIES, situation.family())
                        .flatMap(family -> family.posture())))
                .orElseGet(() -> index.part(PartKind.OUTCOMES, place).flatMap(outcome -> outcome.posture()));
    }

    /**
     * A posture worked out.
     *
     * @throws RefusedException when the map has no such posture
     */
    public Worked get(Id posture) {
        Worked known = worked.get(posture);
        if (known == null) {
            known = work(index.part(PartKind.POSTURES, posture).orElseThrow(
                    () -> new RefusedException("No posture is called “%s”.".formatted(posture))));
            worked.put(posture, known);
        }
        return known;
    }

    private Worked work(Posture posture) {
        if (posture.shape() instanceof Posture.Whole whole) {
            return new Worked(posture.id(), whole.bodies(), posture.view().orElse(Posture.USUAL_VIEW), posture.near(),
                    posture.says());
        }
        Posture.Like like = (Posture.Like) posture.shape();
        Worked base = get(like.base());
        Bodies bodies = turned(base.bodies(), like);
        // Whoever comes to lie on top has nobody on a side.
        Optional<Side> near = like.swapped() ? Optional.empty()
                : base.near().map(side -> like.mirrored() ? side.other() : side);
        Bodies solved = solved(bodies, like);
        return new Worked(posture.id(), solved,
                posture.view().orElse(like.mirrored() ? base.view().mirrored() : base.view()),
                posture.near().or(() -> near), posture.says().isEmpty() && !like.swapped() ? base.says() : posture.says());
    }

    /** What is told of the bodies of another posture, which are turned already, made possible. */
    Bodies solved(Bodies turned, Posture.Like like) {
        // A mirror moves nothing, and what nothing moves is solved already.
        return like.moved().isEmpty() && like.contacts().isEmpty() ? turned
                : solver.apply(like.contacts().map(turned::with).orElse(turned).moved(like.moved()));
    }

    /** The bodies of the posture from which another one is told, before anything of them is moved. */
    static Bodies turned(Bodies base, Posture.Like like) {
        Bodies turned = like.swapped() ? base.swapped() : base;
        return like.mirrored() ? turned.mirrored() : turned;
    }
}
