package app.narrowgate.core.finish;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Requirement;
import app.narrowgate.core.map.Requirement.All;
import app.narrowgate.core.map.Requirement.Any;
import app.narrowgate.core.map.Requirement.Need;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/** Requirement trees for tests, and what they say when read without any of the code that is tested. */
final class Trees {

    private Trees() {
    }

    static Need need(String id, double work, String... reactions) {
        return Need.of(Id.of(id), "Need " + id, work, List.of(reactions).stream().map(Id::of).collect(Collectors.toSet()));
    }

    /** A tree of at most {@code most} needs, none of which stands twice. */
    static Requirement random(Random random, int most) {
        Requirement tree = random(random, 3, new ArrayList<>());
        while (tree.needs().size() > most) {
            tree = random(random, 3, new ArrayList<>());
        }
        return tree;
    }

    private static Requirement random(Random random, int depth, List<Need> used) {
        int kind = depth == 0 ? 0 : random.nextInt(3);
        if (kind == 0) {
            Need need = need("n" + used.size(), 1 + random.nextInt(5));
            used.add(need);
            return need;
        }
        List<Requirement> parts = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(3); i++) {
            parts.add(random(random, depth - 1, used));
        }
        return kind == 1 ? new All(parts) : new Any(parts);
    }

    static boolean holds(Requirement requirement, Set<Id> denied) {
        if (requirement instanceof Need need) {
            return !denied.contains(need.id());
        }
        return requirement instanceof All all ? all.parts().stream().allMatch(p -> holds(p, denied))
                : ((Any) requirement).parts().stream().anyMatch(p -> holds(p, denied));
    }

    /** Every row of the truth table, as the set of needs that are gone. */
    static void rows(Requirement requirement, Consumer<Set<Id>> visit) {
        List<Id> ids = requirement.needs().stream().map(Need::id).toList();
        for (int bits = 0; bits < 1 << ids.size(); bits++) {
            Set<Id> denied = new HashSet<>();
            for (int i = 0; i < ids.size(); i++) {
                if ((bits >> i & 1) == 1) {
                    denied.add(ids.get(i));
                }
            }
            visit.accept(denied);
        }
    }

    /** Every set that makes the tree false, of which no smaller part does. */
    static Set<Set<Id>> denials(Requirement requirement) {
        List<Set<Id>> failing = new ArrayList<>();
        rows(requirement, denied -> {
            if (!holds(requirement, denied)) {
                failing.add(denied);
            }
        });
        return failing.stream().filter(set -> failing.stream().noneMatch(
                other -> other.size() < set.size() && set.containsAll(other))).collect(Collectors.toSet());
    }
}
