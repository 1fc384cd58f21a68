package app.narrowgate.core.map;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** What a hold needs: single needs joined by "all of" and "any of". */
public sealed interface Requirement {

    /** Deeper trees are refused; no hold on the mat is that involved. */
    int MOST_DEPTH = 8;

    /** More ways to deny one hold are refused; nobody on the mat could choose among them. */
    int MOST_WAYS = 1_000;

    /**
     * A single thing that must be true.
     *
     * @param work how hard it is to deny while it is being built, 1 for easy to 5 for hardly possible
     * @param denied the reactions that take it away
     */
    record Need(Id id, String title, double work, Set<Id> denied) implements Requirement {

        /** Work of a denial. */
        public static final Range WORK = new Range(1, 5, "");

        public Need {
            Text.TITLE.require("A need's title", title);
            WORK.require("The work of denying it", work);
            denied = Set.copyOf(denied);
        }
    }

    /** All of the parts must be true. */
    record All(List<Requirement> parts) implements Requirement {
        public All {
            parts = requireSome(parts);
        }
    }

    /** One of the parts is enough. */
    record Any(List<Requirement> parts) implements Requirement {
        public Any {
            parts = requireSome(parts);
        }
    }

    /** Every single need of the tree, in its order. */
    default List<Need> needs() {
        List<Need> needs = new ArrayList<>();
        collect(this, needs);
        return needs;
    }

    /**
     * In how many ways the tree can be denied, those that take more than they must counted with the others: an upper
     * bound of the smallest denials. Stays at {@link Integer#MAX_VALUE} rather than overflow. Time linear in the tree.
     */
    default int ways() {
        if (this instanceof Need) {
            return 1;
        }
        long ways = this instanceof All ? 0 : 1;
        for (Requirement part : this instanceof All all ? all.parts() : ((Any) this).parts()) {
            ways = Math.min(Integer.MAX_VALUE, this instanceof All ? ways + part.ways() : ways * part.ways());
        }
        return (int) ways;
    }

    private static void collect(Requirement requirement, List<Need> needs) {
        if (requirement instanceof Need need) {
            needs.add(need);
        } else if (requirement instanceof All all) {
            all.parts().forEach(part -> collect(part, needs));
        } else if (requirement instanceof Any any) {
            any.parts().forEach(part -> collect(part, needs));
        }
    }

    private static List<Requirement> requireSome(List<Requirement> parts) {
        if (parts.isEmpty()) {
            throw new RefusedException("“All of” and “any of” need at least one part.");
        }
        return List.copyOf(parts);
    }
}
