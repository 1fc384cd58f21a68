package app.narrowgate.exchange.map;

import app.narrowgate.core.check.Text;
import app.narrowgate.core.map.Family;
import app.narrowgate.core.map.Part;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.exchange.json.Fields;
import app.narrowgate.exchange.posture.PostureJson;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;
import tools.jackson.databind.node.ObjectNode;

/** How parts of one kind are read and written. */
record PartFormat<T extends Part>(Reader<T> reader, Function<T, ObjectNode> writer) {

    /** Reads a part; what is wrong goes into the reader's list of problems. */
    interface Reader<T> {
        T read(MapReader reader, Fields fields);
    }

    private static final Map<PartKind<?>, PartFormat<?>> ALL = new LinkedHashMap<>();

    static {
        add(PartKind.FAMILIES, (r, f) -> new Family(f.id(), f.text("title", Text.TITLE), f.optionalReference("posture")),
                MapWriter::family);
        add(PartKind.FACTS, (r, f) -> MapReader.fact(f), MapWriter::fact);
        add(PartKind.PRINCIPLES, (r, f) -> MapReader.principle(f), MapWriter::principle);
        add(PartKind.MOVEMENTS, MapReader::movement, MapWriter::movement);
        add(PartKind.TECHNIQUES, MapReader::technique, MapWriter::technique);
        add(PartKind.SITUATIONS, MapReader::situation, MapWriter::situation);
        add(PartKind.OUTCOMES, (r, f) -> MapReader.outcome(f), MapWriter::outcome);
        add(PartKind.REACTIONS, MapReader::reaction, MapWriter::reaction);
        add(PartKind.AIMS, (r, f) -> MapReader.aim(f), MapWriter::aim);
        add(PartKind.MATCHUPS, MapReader::matchup, MapWriter::matchup);
        add(PartKind.RULES, (r, f) -> MapReader.rule(f), MapWriter::rule);
        add(PartKind.HOLDS, MapReader::hold, MapWriter::hold);
        add(PartKind.POSTURES, (r, f) -> PostureJson.read(f), PostureJson::write);
    }

    private static <T extends Part> void add(PartKind<T> kind, Reader<T> reader, Function<T, ObjectNode> writer) {
        ALL.put(kind, new PartFormat<>(reader, writer));
    }

    /** The format of a kind; every kind has one. */
    @SuppressWarnings("unchecked") // Filled kind by kind.
    static <T extends Part> PartFormat<T> of(PartKind<T> kind) {
        return (PartFormat<T>) ALL.get(kind);
    }
}
