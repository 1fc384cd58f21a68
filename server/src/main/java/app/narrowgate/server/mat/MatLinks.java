package app.narrowgate.server.mat;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.MadeLink;
import app.narrowgate.server.door.Secrets;
import app.narrowgate.server.gym.GymScope;
import app.narrowgate.server.problem.NotFoundException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Links by which screens, clickers and feeders' phones follow a class: random, told once, good for the evening, withdrawn at once. */
@Service
class MatLinks {

    /** A class and the evening around it. */
    static final Duration GOOD = Duration.ofHours(12);
    /** More than there are screens and feeders in a hall; many may look by one link. */
    static final int MOST = 60;

    private static final Duration KEPT = Duration.ofDays(30);
    private static final int BITS = 128;

    private final MatMapper mapper;
    private final MatStore mats;
    private final Clock clock;

    MatLinks(MatMapper mapper, MatStore mats, Clock clock) {
        this.mapper = mapper;
        this.mats = mats;
        this.clock = clock;
    }

    /** Those of a class, the newest first. */
    List<MatLink> of(UUID mapId, UUID lesson) {
        mats.one(mapId, lesson);
        return mapper.links(lesson).stream().map(MatMapper.LinkRow::toLink).toList();
    }

    /**
     * A new link.
     *
     * @throws RefusedException where there are too many that can still be used
     */
    @Transactional
    MadeLink make(UUID mapId, UUID lesson, MatLink.Kind kind, SignedIn by) {
        Instant now = now();
        mapper.throwAwayLinks(now.minus(KEPT));
        if (of(mapId, lesson).stream().filter(link -> link.isOpen(now)).count() >= MOST) {
            throw new RefusedException("%d links to this class can be used already. Withdraw one that nobody needs.".formatted(MOST));
        }
        MadeLink made = new MadeLink(UUID.randomUUID(), Secrets.fresh(BITS), now.plus(GOOD));
        mapper.insertLink(made.id(), lesson, kind.code(), Secrets.hash(made.token()), by.id(), now, made.expiresAt());
        return made;
    }

    /**
     * Withdraws a link; what follows the class by it goes dark.
     *
     * @throws NotFoundException where there is none of that id that could still be used
     */
    @Transactional
    void withdraw(UUID mapId, UUID lesson, UUID link) {
        mats.one(mapId, lesson);
        if (mapper.withdraw(link, lesson, now()) == 0) {
            throw new NotFoundException("There is no such link that could still be used.");
        }
        mats.ring(lesson);
    }

    /**
     * The link that somebody without a sign-in shows.
     *
     * @throws NotFoundException where it is none, or none any more, in the same words
     */
    MatLink open(String token) {
        return GymScope.HOUSE.get(() -> mapper.byToken(Secrets.hash(token))).map(MatMapper.LinkRow::toLink).filter(link -> link.isOpen(now()))
                .orElseThrow(() -> new NotFoundException(
                        "This link shows nothing: it has been withdrawn, or it is too old. Ask whoever teaches for a new one."));
    }

    /** The links of a class that can be used now. */
    Set<UUID> open(UUID lesson) {
        Instant now = now();
        return mapper.links(lesson).stream().map(MatMapper.LinkRow::toLink).filter(link -> link.isOpen(now)).map(MatLink::id)
                .collect(Collectors.toSet());
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MICROS);
    }
}
