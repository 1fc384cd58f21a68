package app.narrowgate.server.link;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.audit.Audit;
import app.narrowgate.server.audit.Deed;
import app.narrowgate.server.door.MadeLink;
import app.narrowgate.server.door.Secrets;
import app.narrowgate.server.gym.GymScope;
import app.narrowgate.server.gym.Gyms;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.problem.NotFoundException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Links to single cards: random, told once, good until a day, listed for whoever may make them, withdrawn at once. */
@Service
class SharedLinks {

    /** More would be a second way of publishing a map, and a list that nobody looks through. */
    static final int MOST = 200;
    private static final Duration LISTED = Duration.ofDays(30);
    private static final int BITS = 128;

    /**
     * A card that somebody reads by a link.
     *
     * @param gym the name of the gym that shows it
     * @param setting under what it is reckoned
     */
    record Card(String gym, SharedLink link, StoredMap map, Situation situation, Setting setting) {
    }

    private final SharedLinkMapper mapper;
    private final MapStore maps;
    private final Gyms gyms;
    private final Audit audit;
    private final TransactionTemplate transactions;
    private final Clock clock;

    SharedLinks(SharedLinkMapper mapper, MapStore maps, Gyms gyms, Audit audit, TransactionTemplate transactions, Clock clock) {
        this.mapper = mapper;
        this.maps = maps;
        this.gyms = gyms;
        this.audit = audit;
        this.transactions = transactions;
        this.clock = clock;
    }

    /** Those of the last weeks, the newest first. */
    List<SharedLink> all() {
        return mapper.all().stream().map(SharedLinkMapper.Row::toLink).toList();
    }

    /**
     * A link to the card of a situation.
     *
     * @param good how long it works
     * @throws NotFoundException where there is no such map, or no such situation on it
     * @throws RefusedException where something in the setting is not on the map, or there are too many links already
     */
    MadeLink share(UUID map, String place, SharedSetting setting, Duration good, SignedIn by) {
        return transactions.execute(status -> {
            StoredMap stored = maps.head(map);
            maps.requireChangeable(map);
            Situation situation = stored.index().situation(Id.of(place))
                    .orElseThrow(() -> new NotFoundException("No situation is called “%s”.".formatted(place)));
            setting(setting, stored.index());
            Instant now = now();
            mapper.throwAway(now.minus(LISTED));
            if (mapper.open(now) >= MOST) {
                throw new RefusedException("%d links can be used already. Withdraw one that nobody needs.".formatted(MOST));
            }
            MadeLink made = new MadeLink(UUID.randomUUID(), Secrets.fresh(BITS), now.plus(good));
            mapper.insert(made.id(), Secrets.hash(made.token()), map, situation.id().value(), situation.title(), setting,
                    String.join(" ", setting.stances()), by.id(), now, made.expiresAt());
            audit.note(by.id(), Deed.SHARE_CARD, "“%s”".formatted(situation.title()));
            return made;
        });
    }

    /**
     * Withdraws a link; whoever has it reads nothing by it any more.
     *
     * @throws NotFoundException where there is none of that id that could still be used
     */
    void withdraw(UUID id, SignedIn by) {
        transactions.executeWithoutResult(status -> {
            if (mapper.withdraw(id, now()) == 0) {
                throw new NotFoundException("There is no such link that could still be used.");
            }
            audit.note(by.id(), Deed.WITHDRAW_LINK, "");
        });
    }

    /**
     * What a link shows, to whoever has it.
     *
     * @throws NotFoundException where it is none, or none any more, in the same words; or where its place has been taken out
     */
    Card card(String token) {
        SharedLink link = GymScope.HOUSE.get(() -> mapper.byToken(Secrets.hash(token))).map(SharedLinkMapper.Row::toLink)
                .filter(one -> one.isOpen(now()) && !one.mapAway())
                .orElseThrow(() -> new NotFoundException(
                        "This link shows nothing: it has been withdrawn, or it is too old. Ask whoever sent it for a new one."));
        return GymScope.of(link.gym()).get(() -> {
            StoredMap map = maps.head(link.map());
            Situation situation = map.index().situation(Id.of(link.place())).orElseThrow(() -> new NotFoundException(
                    "“%s” has been taken out of the map. Ask whoever sent the link for another one.".formatted(link.title())));
            return new Card(gyms.current().name(), link, map, situation, settingOrUsual(link.setting(), map.index()));
        });
    }

    private static Setting settingOrUsual(SharedSetting setting, MapIndex index) {
        try {
            return setting(setting, index);
        } catch (RefusedException lost) {
            return setting(setting.usual(), index);
        }
    }

    private static Setting setting(SharedSetting written, MapIndex index) {
        Setting setting = written.toQuestion().toSetting(index);
        index.aim(setting.aim()).orElseThrow(() -> new RefusedException("No aim is called “%s”.".formatted(setting.aim())));
        return setting;
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MICROS);
    }
}
