package app.narrowgate.core.finish;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Requirement;
import java.util.List;

/** Which needs of a tree stand for each other. */
final class Alternatives {

    private Alternatives() {
    }

    /** True when the gate at which the ways to the two needs part is an “any of”. */
    static boolean are(Requirement tree, Id one, Id other) {
        if (tree instanceof Requirement.Need) {
            return false;
        }
        boolean any = tree instanceof Requirement.Any;
        List<Requirement> parts = any ? ((Requirement.Any) tree).parts() : ((Requirement.All) tree).parts();
        for (Requirement part : parts) {
            if (has(part, one) && has(part, other)) {
                return are(part, one, other);
            }
        }
        return any && has(tree, one) && has(tree, other);
    }

    private static boolean has(Requirement part, Id need) {
        return part.needs().stream().anyMatch(n -> n.id().equals(need));
    }
}
