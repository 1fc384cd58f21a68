package app.narrowgate.server.person;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.person.Ailment;
import app.narrowgate.core.person.Pairing;
import app.narrowgate.core.person.Person;
import app.narrowgate.core.person.Room;
import app.narrowgate.core.right.Right;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Injury;
import app.narrowgate.core.trait.Level;
import app.narrowgate.server.account.Accounts;
import app.narrowgate.server.account.Archive;
import app.narrowgate.server.account.Forgotten;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.audit.Audit;
import app.narrowgate.server.audit.Deed;
import app.narrowgate.server.problem.ConflictException;
import app.narrowgate.server.problem.NotFoundException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The roster of the gym in whose name this is asked. */
@Service
public class People {

    /** More than any gym has on its books. */
    static final int MOST = 5_000;
    /** So many at most are asked for one by one. */
    private static final int FEW = 200;

    /** Two people as they are reckoned with, and what they are called. */
    public record Pair(String you, String they, Pairing pairing) {
    }

    /**
     * Somebody as a class is planned with them.
     *
     * @param hurt what hurts them on the day of the class; whoever plans need not be allowed to know, for it is minded all the same
     */
    public record InClass(UUID id, Person person, Set<Injury> hurt) {
    }

    private final PersonMapper mapper;
    private final Accounts accounts;
    private final PersonKept kept;
    private final List<PersonTold> told;
    private final Archive archive;
    private final Audit audit;
    private final Clock clock;

    People(PersonMapper mapper, Accounts accounts, PersonKept kept, List<PersonTold> told, Archive archive, Audit audit, Clock clock) {
        this.mapper = mapper;
        this.accounts = accounts;
        this.kept = kept;
        this.told = told;
        this.archive = archive;
        this.audit = audit;
        this.clock = clock;
    }

    List<PersonRow> all() {
        return mapper.all();
    }

    PersonRow one(UUID id) {
        return mapper.byId(id).orElseThrow(() -> new NotFoundException("Nobody on the roster has the id " + id + "."));
    }

    /** Adds people; all of them, or none. */
    @Transactional
    List<PersonRow> add(List<Person> people) {
        int there = mapper.count();
        if (there + people.size() > MOST) {
            throw new RefusedException("With these there would be %d people on the roster; at most %d fit.".formatted(there + people.size(), MOST));
        }
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        List<PersonRow> rows = people.stream().map(person -> PersonRow.of(UUID.randomUUID(), 1, person, now)).toList();
        rows.forEach(mapper::insert);
        return rows;
    }

    /** Adds one person, and gives the id. */
    @Transactional
    public UUID add(Person person) {
        return add(List.of(person)).get(0).id();
    }

    /**
     * Changes what is known of somebody.
     *
     * @throws ConflictException where somebody else has changed it since that version
     */
    @Transactional
    PersonRow change(UUID id, int version, Person person) {
        PersonRow before = one(id);
        if (mapper.update(PersonRow.of(id, version, person, before.createdAt()), version) == 0) {
            throw new ConflictException("Somebody else has changed what is known of %s meanwhile. Look at it again; what you typed is still here."
                    .formatted(before.name()), Map.of());
        }
        return one(id);
    }

    /** Takes somebody off the roster, with everything that is known of them. */
    @Transactional
    void remove(UUID id, SignedIn by) {
        one(id);
        mapper.delete(id);
        audit.note(by.id(), Deed.REMOVE_PERSON, "");
    }

    /** Takes whoever is forgotten off the roster, too. */
    @EventListener
    void forget(Forgotten forgotten) {
        mapper.deleteByAccount(forgotten.account());
    }

    /**
     * Everything that is known of somebody, and of them as a member; that it was taken out is noted.
     *
     * @return files of an archive, by their names
     */
    @Transactional
    Map<String, Object> everything(UUID id, SignedIn by) {
        PersonRow row = one(id);
        audit.note(by.id(), Deed.TAKE_OUT_PERSON, id, "");
        Map<String, Object> files = new LinkedHashMap<>();
        if (row.accountName() != null) {
            files.putAll(archive.of(row.account()));
        }
        files.put(kept.file(), List.of(kept.told(row)));
        told.forEach(one -> files.put(one.file(), one.of(id)));
        return files;
    }

    /** Says by which account somebody signs in; none where it is empty. */
    @Transactional
    public void link(UUID id, Optional<UUID> account) {
        one(id);
        account.ifPresent(one -> {
            accounts.member(one);
            mapper.unlink(one);
        });
        mapper.link(id, account.orElse(null));
    }

    /** What hurts somebody; that it was read is noted. */
    @Transactional
    List<Ailment> health(UUID id, SignedIn by) {
        one(id);
        audit.note(by.id(), Deed.READ_HEALTH, id, "");
        return mapper.ailments(id).stream().map(AilmentRow::ailment).toList();
    }

    /** Writes down what hurts somebody. */
    @Transactional
    public List<Ailment> write(UUID id, List<Ailment> ailments, SignedIn by) {
        one(id);
        mapper.clearAilments(id);
        for (int i = 0; i < ailments.size(); i++) {
            mapper.insertAilment(id, i, AilmentRow.of(ailments.get(i)));
        }
        audit.note(by.id(), Deed.WRITE_HEALTH, id, "");
        return List.copyOf(ailments);
    }

    /**
     * What two people make of a matchup. What hurts the one below counts only for whoever may know of it, and that it
     * was read is noted.
     *
     * @throws NotFoundException where one of them is not on the roster
     * @throws RefusedException where one is a child and the other is not
     */
    public Pair pair(UUID you, UUID they, SignedIn by) {
        if (!by.may(Right.SEE_PEOPLE)) {
            throw new RefusedException("You do not see the roster, so no two of it can be reckoned with.");
        }
        PersonRow below = one(you);
        PersonRow above = one(they);
        if (you.equals(they)) {
            throw new RefusedException("%s cannot be under themselves; choose two people.".formatted(below.name()));
        }
        if (Pairing.mixesAges(below.person(), above.person())) {
            throw new RefusedException("%s and %s are a child and a grown-up; no round is reckoned for them.".formatted(below.name(), above.name()));
        }
        Set<Injury> hurt = by.may(Right.READ_HEALTH) ? hurtToday(you) : Set.of();
        if (!hurt.isEmpty()) {
            audit.noteOnce(by.id(), Deed.READ_HEALTH, you, "to reckon a pair");
        }
        return new Pair(below.name(), above.name(), Pairing.of(below.person(), hurt, above.person()));
    }

    /**
     * What oneself makes of a matchup, under a third of the room. What hurts oneself counts; it is one's own.
     *
     * @throws RefusedException where nobody has said who one is on the roster, where one's weight does not stand there, or where
     *     the room is too small
     */
    public Pairing againstRoom(Room.Third third, SignedIn by) {
        PersonRow you = mapper.byAccount(by.id()).orElseThrow(() -> new RefusedException(
                "Nobody has said yet which of the people on the roster you are; ask whoever runs the gym."));
        if (you.person().weight().isEmpty()) {
            throw new RefusedException("Your weight does not stand on the roster; ask your instructor to write it down.");
        }
        List<Person> others = mapper.all().stream().filter(one -> !one.id().equals(you.id())).map(PersonRow::person).toList();
        return Pairing.against(you.person(), hurtToday(you.id()), Room.of(you.person(), others, third));
    }

    /**
     * Those of {@code ids} who are on the roster, in the roster's order. That what hurts them was read is noted where somebody is shown it.
     *
     * @param day of the class
     * @param shown who is shown what comes of it, with what hurts people where they may read that
     */
    @Transactional
    public List<InClass> inClass(Collection<UUID> ids, LocalDate day, Optional<SignedIn> shown) {
        Map<UUID, List<Ailment>> ailments = new HashMap<>();
        mapper.everyAilment().forEach(row -> ailments.computeIfAbsent(row.person(), id -> new ArrayList<>()).add(row.ailment().ailment()));
        List<InClass> found = these(ids).map(row -> new InClass(row.id(), row.person(), Ailment.on(day, ailments.getOrDefault(row.id(), List.of())))).toList();
        shown.filter(by -> by.may(Right.READ_HEALTH)).ifPresent(by -> found.stream().filter(one -> !one.hurt().isEmpty())
                .forEach(one -> audit.noteOnce(by.id(), Deed.READ_HEALTH, one.id(), "to plan a class")));
        return found;
    }

    /** Everybody on the roster, in its order, without what hurts them. */
    public List<InClass> everybody() {
        return mapper.all().stream().map(row -> new InClass(row.id(), row.person(), Set.of())).toList();
    }

    /** The ids of everybody on the roster who is of an age group, by name. */
    public Map<String, UUID> named(AgeGroup age) {
        Map<String, UUID> named = new LinkedHashMap<>();
        mapper.all().stream().filter(row -> row.person().age() == age).forEach(row -> named.put(row.name(), row.id()));
        return named;
    }

    /** Those of {@code ids} who are on the roster, in its order; of a class that is few of many. */
    private Stream<PersonRow> these(Collection<UUID> ids) {
        Set<UUID> wanted = Set.copyOf(ids);
        if (wanted.isEmpty()) {
            return Stream.empty();
        }
        return wanted.size() <= FEW ? mapper.these(wanted).stream() : mapper.all().stream().filter(row -> wanted.contains(row.id()));
    }

    /** What people on the roster are called, in the roster's order. */
    public Map<UUID, String> called(Collection<UUID> ids) {
        Map<UUID, String> names = new LinkedHashMap<>();
        these(ids).forEach(row -> names.put(row.id(), row.name()));
        return names;
    }

    /**
     * Asks for somebody to be on the roster.
     *
     * @throws NotFoundException where they are not
     */
    public void require(UUID id) {
        one(id);
    }

    /** What those of {@code ids} who are on the roster weigh, in kilograms, where that is known. */
    public Map<UUID, Optional<Double>> weights(Collection<UUID> ids) {
        Map<UUID, Optional<Double>> weights = new HashMap<>();
        these(ids).forEach(row -> weights.put(row.id(), row.person().weight()));
        return weights;
    }

    /** How experienced those of {@code ids} are who are on the roster, where that is known. */
    public Map<UUID, Level> levels(Collection<UUID> ids) {
        Map<UUID, Level> levels = new HashMap<>();
        these(ids).forEach(row -> row.person().level().ifPresent(level -> levels.put(row.id(), level)));
        return levels;
    }

    /** Who somebody who signs in is on the roster; empty while nobody has said. */
    public Optional<UUID> of(UUID account) {
        return mapper.byAccount(account).map(PersonRow::id);
    }

    private Set<Injury> hurtToday(UUID person) {
        LocalDate today = clock.instant().atZone(ZoneOffset.UTC).toLocalDate();
        return Ailment.on(today, mapper.ailments(person).stream().map(AilmentRow::ailment).toList());
    }
}
