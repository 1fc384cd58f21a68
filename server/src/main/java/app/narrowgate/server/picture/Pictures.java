package app.narrowgate.server.picture;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Relaxation;
import app.narrowgate.core.body.Transition;
import app.narrowgate.core.body.View;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.picture.Drawing;
import app.narrowgate.core.picture.Picture;
import app.narrowgate.core.picture.Postures;
import app.narrowgate.server.gym.GymScope;
import app.narrowgate.server.gym.Gyms;
import app.narrowgate.server.map.MapShelf;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.Optional;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Solves and draws postures. What was solved and drawn is kept by what it was made of, so that an edit of a map costs what
 * it changed, and maps that share postures share their pictures.
 */
@Component
public class Pictures {

    /** Pictures between two places. */
    private static final int BETWEEN = 2;
    /** Room for the postures of some ten maps. */
    private static final int MOST = 2000;
    /** Gyms whose map is drawn ahead; the others' have most postures in common with theirs. */
    private static final int AHEAD = 3;

    private record Seen(Bodies bodies, View view) {
    }

    private record Ends(Bodies from, Bodies to) {
    }

    /** What two bodies come to hangs on nothing but themselves, so it outlives a house that is closed and opened again in one virtual machine. */
    private static final Cache<Bodies, Bodies> SOLVED = Caffeine.newBuilder().maximumSize(MOST).build();
    private static final Cache<Seen, Picture> DRAWN = Caffeine.newBuilder().maximumSize(MOST).build();
    private static final Cache<Ends, Transition> WAYS = Caffeine.newBuilder().maximumSize(MOST).build();

    /** A view changes with its revision only, and is rendered once if it is one object. */
    private final Cache<StoredMap, PicturesView> views = Caffeine.newBuilder().weakKeys().build();

    private final Object closing = new Object();
    private boolean closed;

    private final Gyms gyms;
    private final MapShelf shelf;
    private final MapStore maps;

    Pictures(Gyms gyms, MapShelf shelf, MapStore maps) {
        this.gyms = gyms;
        this.shelf = shelf;
        this.maps = maps;
    }

    /** Draws the house map before anybody asks; whoever asks meanwhile waits for no more than they would have. */
    @EventListener(ApplicationReadyEvent.class)
    void drawAhead() {
        Thread ahead = new Thread(() -> firstMaps().forEach(this::of), "pictures-ahead");
        ahead.setDaemon(true);
        ahead.start();
    }

    /** The map with which a gym begins, of a few gyms; none once the house closes, which waits for what is being read. */
    private List<StoredMap> firstMaps() {
        synchronized (closing) {
            return closed ? List.of() : gyms.all().stream().limit(AHEAD)
                    .map(gym -> GymScope.of(gym.id()).get(() -> shelf.first().map(maps::head))).flatMap(Optional::stream).toList();
        }
    }

    @PreDestroy
    void close() {
        synchronized (closing) {
            closed = true;
        }
    }

    /** The pictures of a map's places. */
    public PicturesView of(StoredMap map) {
        return views.get(map, stored -> PicturesView.of(stored.index().map(), postures(stored), this));
    }

    /** The postures of a map; what was solved for another is not solved again. */
    public Postures postures(StoredMap map) {
        return postures(map.index().map());
    }

    /** The same of a map as it would be. */
    Postures postures(EscapeMap map) {
        return Postures.of(map, rough -> SOLVED.get(rough, Relaxation::of));
    }

    /** How two bodies get from one posture to another. */
    Transition way(Bodies from, Bodies to) {
        return WAYS.get(new Ends(from, to), ends -> Transition.of(ends.from(), ends.to(), BETWEEN));
    }

    /** A posture as it is seen. */
    Picture draw(Postures.Worked posture) {
        return draw(posture.bodies(), posture.view());
    }

    /** Two bodies as they are seen from there. */
    Picture draw(Bodies bodies, View view) {
        return DRAWN.get(new Seen(bodies, view), seen -> Drawing.of(seen.bodies(), seen.view()));
    }
}
