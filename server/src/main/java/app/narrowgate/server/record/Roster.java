package app.narrowgate.server.record;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.exchange.record.Who;
import app.narrowgate.server.person.People;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** The roster as a file of the record calls it: by name where only one person has it, else by id. Remembers who is on no roster. */
final class Roster implements Who {

    /** Somebody of a file who is not on the roster, and how often they are named. */
    record Unknown(UUID standIn, String name, int times) {
    }

    private final Map<String, List<UUID>> named = new HashMap<>();
    private final Map<UUID, String> names = new HashMap<>();
    private final Map<String, Unknown> unknown = new LinkedHashMap<>();

    Roster(List<People.InClass> everybody) {
        everybody.forEach(one -> {
            named.computeIfAbsent(key(one.person().name()), name -> new ArrayList<>()).add(one.id());
            names.put(one.id(), one.person().name());
        });
    }

    private static String key(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }

    boolean has(UUID person) {
        return names.containsKey(person);
    }

    /** What somebody on the roster is called in a file. */
    String name(UUID person) {
        return Optional.ofNullable(names.get(person)).filter(name -> named.get(key(name)).size() == 1).orElse(person.toString());
    }

    @Override
    public UUID called(String said) {
        List<UUID> meant = named.getOrDefault(key(said), List.of());
        if (meant.size() > 1) {
            throw new RefusedException("%d people on the roster are called “%s”; write the id of the one who is meant.".formatted(meant.size(), said));
        }
        return meant.stream().findFirst().or(() -> byId(said)).orElseGet(() -> unknown.merge(key(said), new Unknown(UUID.randomUUID(), said.strip(), 1),
                (before, one) -> new Unknown(before.standIn(), before.name(), before.times() + 1)).standIn());
    }

    private Optional<UUID> byId(String said) {
        try {
            return Optional.of(UUID.fromString(said)).filter(names::containsKey);
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /** Those who are on no roster, in the order in which they are named first. */
    List<Unknown> unknown() {
        return List.copyOf(unknown.values());
    }
}
