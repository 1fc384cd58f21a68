package app.narrowgate.core.map;

import app.narrowgate.core.map.Requirement.All;
import app.narrowgate.core.map.Requirement.Any;
import app.narrowgate.core.map.Requirement.Need;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;

/** The reactions by which the needs of a requirement tree are denied. */
final class Denials {

    private Denials() {
    }

    /** Every denial, with its place in the file, which begins with {@code at}. */
    static List<Reference.Named> of(Requirement requirement, String at) {
        if (requirement instanceof Need need) {
            return need.denied().stream().sorted(Comparator.comparing(Id::value))
                    .map(reaction -> new Reference.Named(at + "/denied", reaction)).toList();
        }
        String gate = requirement instanceof All ? "/all/" : "/any/";
        List<Requirement> parts = parts(requirement);
        return IntStream.range(0, parts.size()).boxed()
                .flatMap(i -> of(parts.get(i), at + gate + i).stream()).toList();
    }

    /** The same tree, denied by other reactions; what has no successor denies nothing any more. */
    static Requirement replaced(Requirement requirement, Function<Id, Optional<Id>> instead) {
        if (requirement instanceof Need need) {
            return need.withDenied(Set.copyOf(Reference.replaced(List.copyOf(need.denied()), instead)));
        }
        List<Requirement> parts = parts(requirement).stream().map(part -> replaced(part, instead)).toList();
        return requirement instanceof All ? new All(parts) : new Any(parts);
    }

    private static List<Requirement> parts(Requirement gate) {
        return gate instanceof All all ? all.parts() : ((Any) gate).parts();
    }
}
