package app.narrowgate.exchange.map;

import app.narrowgate.core.map.Part;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.exchange.posture.PostureJson;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;
import tools.jackson.databind.node.ObjectNode;

/** How parts of each kind are written. */
final class PartWriters {

    private static final Map<PartKind<?>, Function<?, ObjectNode>> ALL = new LinkedHashMap<>();

    static {
        add(PartKind.FAMILIES, MapWriter::family);
        add(PartKind.FACTS, MapWriter::fact);
        add(PartKind.PRINCIPLES, MapWriter::principle);
        add(PartKind.MOVEMENTS, MapWriter::movement);
        add(PartKind.TECHNIQUES, MapWriter::technique);
        add(PartKind.SITUATIONS, MapWriter::situation);
        add(PartKind.OUTCOMES, MapWriter::outcome);
        add(PartKind.REACTIONS, MapWriter::reaction);
        add(PartKind.AIMS, MapWriter::aim);
        add(PartKind.MATCHUPS, MapWriter::matchup);
        add(PartKind.RULES, MapWriter::rule);
        add(PartKind.HOLDS, MapWriter::hold);
        add(PartKind.POSTURES, PostureJson::write);
    }

    private PartWriters() {
    }

    private static <T extends Part> void add(PartKind<T> kind, Function<T, ObjectNode> writer) {
        ALL.put(kind, writer);
    }

    /** How a kind is written; every kind has a way. */
    @SuppressWarnings("unchecked") // Filled kind by kind.
    static <T extends Part> Function<T, ObjectNode> of(PartKind<T> kind) {
        return (Function<T, ObjectNode>) ALL.get(kind);
    }
}
