package app.narrowgate.exchange.parts;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.Problems;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.House;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapRules;
import app.narrowgate.core.map.Part;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.Posture;
import app.narrowgate.exchange.fields.Fields;
import app.narrowgate.exchange.fields.Value;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * Reads maps and parts of them. Finds every problem in one pass, in what the fields say and in how the parts fit. Cost
 * linear in the map.
 */
public final class MapReading {

    /** The format's name and version, which stands in every file. */
    public static final String FORMAT = "narrowgate-map/1";

    private final Problems problems = new Problems();
    private final PartReader parts;

    private MapReading(Function<Fields, Posture> postures) {
        this.parts = new PartReader(problems, postures);
    }

    /**
     * The map in {@code root}.
     *
     * @param postures reads a posture; what is wrong goes into the list of problems of its fields
     * @throws ProblemsException with every problem by JSON pointer, if there is one
     */
    public static EscapeMap read(Value root, Function<Fields, Posture> postures) {
        return new MapReading(postures).map(root);
    }

    private EscapeMap map(Value root) {
        Fields fields = new Fields(root, "", problems);
        fields.requireFormat(FORMAT, "map file");
        String title = fields.text("title", Text.TITLE);
        String about = fields.optionalText("about", EscapeMap.ABOUT);
        House house = fields.object("house", PartReader::house).orElse(House.USUAL);
        Map<PartKind<?>, List<?>> lists = new LinkedHashMap<>();
        PartKind.ALL.forEach(kind -> lists.put(kind, fields.objects(kind.list(), f -> parts.read(kind, f))));
        EscapeMap map = new EscapeMap(title, about, house, lists);
        if (fields.has("parts")) {
            fields.problem("parts", "This map is kept in several files; give all of them, or the map as one file.");
        }
        fields.refuseUnknown();
        return root.is(Value.Kind.OBJECT) ? fitting(map, MapRules.problems(map)) : refuse();
    }

    /** The map where it was read without a problem and its parts fit together. */
    private EscapeMap fitting(EscapeMap map, List<Problem> misfits) {
        if (problems.isFull()) {
            return refuse();
        }
        // A field that could not be read has been named; what its stand-in leads to is no news.
        Set<String> named = new HashSet<>();
        problems.list().forEach(problem -> named.add(problem.place()));
        misfits.forEach(problem -> {
            if (!named.contains(problem.place())) {
                problems.add(problem);
            }
        });
        return problems.isEmpty() ? map : refuse();
    }

    private EscapeMap refuse() {
        throw new ProblemsException(problems.list());
    }

    /**
     * The map with parts put into it at once, so that they may refer to each other: each in the place of the one of its
     * kind with its id, or at the end of the list.
     *
     * @param postures as for {@link #read}
     * @throws ProblemsException with every problem, placed within the last part where it lies there
     *     ({@code /clock/seconds}) and within the map ({@code map/reactions/3/from}) where another part no longer fits
     */
    public static EscapeMap putAll(EscapeMap map, List<PartPut> puts, Function<Fields, Posture> postures) {
        try {
            return new MapReading(postures).put(map, puts);
        } catch (ProblemsException e) {
            String last = placeOfLast(map, puts);
            List<Problem> placed = new ArrayList<>();
            e.problems().forEach(p -> placed.add(new Problem(within(p.place(), last).orElse("map" + p.place()), p.message())));
            throw new ProblemsException(placed);
        }
    }

    private EscapeMap put(EscapeMap map, List<PartPut> puts) {
        EscapeMap changed = map;
        for (PartPut put : puts) {
            changed = put(changed, put.kind(), put);
        }
        return fitting(changed, MapRules.problems(changed, map));
    }

    private <T extends Part> EscapeMap put(EscapeMap map, PartKind<T> kind, PartPut put) {
        int place = placeOf(put.id(), idsOf(map, kind));
        Fields fields = new Fields(put.part(), "/" + kind + "/" + place, problems);
        T part = parts.read(kind, fields);
        fields.refuseUnknown();
        return map.with(part);
    }

    /** Where the last of the parts stands once all are put. */
    private static String placeOfLast(EscapeMap map, List<PartPut> puts) {
        PartPut last = puts.get(puts.size() - 1);
        Set<Id> ids = new LinkedHashSet<>(idsOf(map, last.kind()));
        puts.stream().filter(put -> put.kind() == last.kind()).forEach(put -> ids.add(put.id()));
        return "/" + last.kind() + "/" + placeOf(last.id(), ids);
    }

    private static List<Id> idsOf(EscapeMap map, PartKind<?> kind) {
        List<Id> ids = new ArrayList<>();
        map.partsInForce(kind).forEach(part -> ids.add(part.id()));
        return ids;
    }

    /** How many stand before it; it stands at the end where it is not among them. */
    private static int placeOf(Id id, Iterable<Id> ids) {
        int before = 0;
        for (Id other : ids) {
            if (other.equals(id)) {
                return before;
            }
            before++;
        }
        return before;
    }

    /** The place as it is told from {@code prefix} on; the tenth entry does not lie within the first. */
    private static Optional<String> within(String place, String prefix) {
        return place.equals(prefix) || place.startsWith(prefix + "/")
                ? Optional.of(place.substring(prefix.length())) : Optional.empty();
    }
}
