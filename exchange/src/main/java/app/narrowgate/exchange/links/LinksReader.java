package app.narrowgate.exchange.links;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.Problems;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Likelihood;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.RetiredIds;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.map.Word;
import app.narrowgate.exchange.table.Cells;
import app.narrowgate.exchange.table.Rows;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.csv.CSVRecord;

/** Reads a table of links into a map, row by row; collects every fault before it refuses. */
final class LinksReader {

    private static final Rows ROWS = new Rows(LinksCsv.COLUMNS, List.of(LinksCsv.SITUATION, LinksCsv.TECHNIQUE, LinksCsv.CUE), 50_000, "rows");

    private final boolean whole;
    private final Problems problems = new Problems();
    private final Map<String, Id> situations = new HashMap<>();
    private final Map<String, Id> places = new HashMap<>();
    private final Map<String, Id> techniques = new HashMap<>();
    private final Map<Id, Reaction> reactions = new LinkedHashMap<>();
    private final List<Technique> taught;
    private final EscapeMap map;
    private final RetiredIds retired;
    private final Map<Id, Set<Id>> seen = new LinkedHashMap<>();
    /** Reactions made by earlier rows: the situation and the technique to the reaction. */
    private final Map<String, Id> made = new HashMap<>();

    LinksReader(EscapeMap map, RetiredIds retired, boolean whole) {
        this.map = map;
        this.retired = retired;
        this.whole = whole;
        this.taught = new ArrayList<>(map.techniques());
        map.outcomes().forEach(o -> name(places, o.id(), o.title()));
        map.situations().forEach(s -> {
            name(places, s.id(), s.title());
            name(situations, s.id(), s.title());
        });
        map.techniques().forEach(t -> name(techniques, t.id(), t.title()));
        map.reactions().forEach(r -> reactions.put(r.id(), r));
    }

    private static void name(Map<String, Id> names, Id id, String title) {
        names.putIfAbsent(title.toLowerCase(Locale.ROOT), id);
        names.put(id.value(), id);
    }

    EscapeMap read(String text) {
        ROWS.read(text, problems, (row, line) -> new Row(row, line).put());
        if (!problems.isEmpty()) {
            throw new ProblemsException(problems.list());
        }
        return result();
    }

    private EscapeMap result() {
        EscapeMap result = map;
        for (Technique technique : taught.subList(map.techniques().size(), taught.size())) {
            result = result.with(technique);
        }
        if (whole) {
            for (Reaction reaction : map.reactions()) {
                if (!seen.containsKey(reaction.id())) {
                    result = result.without(PartKind.REACTIONS, reaction.id());
                    reactions.remove(reaction.id());
                } else {
                    reactions.computeIfPresent(reaction.id(), (id, r) -> r.withResponses(
                            r.responses().stream().filter(a -> seen.get(id).contains(a.id())).toList()));
                }
            }
        }
        return result.with(PartKind.REACTIONS, List.copyOf(reactions.values()));
    }

    /** One row on its way into the map. */
    private final class Row {

        private final CSVRecord cells;
        private final long line;
        private boolean bad;

        Row(CSVRecord cells, long line) {
            this.cells = cells;
            this.line = line;
        }

        private String cell(String column) {
            return cells.isMapped(column) && cells.isSet(column) ? Text.tidy(Cells.unguarded(cells.get(column))).strip() : "";
        }

        private void fault(String column, String message) {
            bad = true;
            problems.add(new Problem("line %d, %s".formatted(line, column), message));
        }

        void put() {
            Reaction reaction = reaction();
            if (bad) {
                return;
            }
            Optional<Response> response = response(reaction);
            if (bad) {
                return;
            }
            seen.computeIfAbsent(reaction.id(), id -> new LinkedHashSet<>());
            response.ifPresent(r -> seen.get(reaction.id()).add(r.id()));
            reactions.put(reaction.id(), response.map(reaction::withResponse).orElse(reaction));
        }

        private Reaction reaction() {
            Id from = place(LinksCsv.SITUATION, situations, "situation").orElse(null);
            String named = cell(LinksCsv.REACTION);
            Optional<Reaction> old = named.isEmpty() ? Optional.empty() : known(named);
            if (from == null || bad) {
                bad = true;
                return null;
            }
            Id technique = technique();
            if (bad) {
                return null;
            }
            Optional<Reaction> earlier = Optional.ofNullable(made.get(from + " " + technique)).map(reactions::get);
            Optional<Reaction> base = old.or(() -> named.isEmpty() ? earlier : Optional.empty());
            Likelihood works = likelihood(LinksCsv.WORKS, base.map(Reaction::works).orElse(Likelihood.of(Word.SOMETIMES)));
            double seconds = seconds(base.map(Reaction::seconds).orElse(2.0));
            Optional<Id> stuffed = cell(LinksCsv.STUFFED).isEmpty()
                    ? base.filter(r -> old.isEmpty()).flatMap(Reaction::stuffed)
                    : place(LinksCsv.STUFFED, places, "place");
            if (bad) {
                return null;
            }
            Id id = base.map(Reaction::id).orElseGet(() -> named.isEmpty()
                    ? retired.free(from + "-" + technique, PartKind.REACTIONS, reactions::containsKey) : Id.of(named));
            made.put(from + " " + technique, id);
            return checked(LinksCsv.REACTION, () -> new Reaction(id, from, technique,
                    said(LinksCsv.WHEN, base.map(Reaction::when)), said(LinksCsv.DO_NOT, base.map(Reaction::doNot)),
                    base.map(Reaction::needs).orElse(Map.of()), seconds, works,
                    base.flatMap(Reaction::source), stuffed,
                    base.map(Reaction::responses).orElse(List.of())));
        }

        /** What the cell says, or what was said. */
        private String said(String column, Optional<String> before) {
            return cell(column).isEmpty() ? before.orElse("") : cell(column);
        }

        private Optional<Reaction> known(String named) {
            Optional<String> wrong = Id.problem(named);
            wrong.ifPresent(sentence -> fault(LinksCsv.REACTION, sentence));
            return wrong.isPresent() ? Optional.empty() : Optional.ofNullable(reactions.get(Id.of(named)));
        }

        private Optional<Response> response(Reaction reaction) {
            String cue = cell(LinksCsv.CUE);
            String named = cell(LinksCsv.RESPONSE);
            if (cue.isEmpty()) {
                if (!named.isEmpty() || !cell(LinksCsv.LEADS).isEmpty()) {
                    fault(LinksCsv.CUE, "Say what they do.");
                }
                return Optional.empty();
            }
            Optional<Id> leads = cell(LinksCsv.LEADS).isEmpty() ? Optional.empty()
                    : place(LinksCsv.LEADS, places, "situation or outcome");
            Optional<String> wrong = named.isEmpty() ? Optional.empty() : Id.problem(named);
            wrong.ifPresent(sentence -> fault(LinksCsv.RESPONSE, sentence));
            if (bad) {
                return Optional.empty();
            }
            Id id = named.isEmpty() ? retired.free(cue, reaction) : Id.of(named);
            Likelihood usual = reaction.response(id).map(Response::often).orElse(Likelihood.of(Word.SOMETIMES));
            Likelihood often = likelihood(LinksCsv.OFTEN, usual);
            return bad ? Optional.empty()
                    : Optional.ofNullable(checked(LinksCsv.CUE, () -> new Response(id, cue, often, leads)));
        }

        private Optional<Id> place(String column, Map<String, Id> names, String what) {
            String named = cell(column);
            Id id = names.get(named.toLowerCase(Locale.ROOT));
            if (id == null) {
                fault(column, named.isEmpty() ? "Name a %s.".formatted(what)
                        : "No %s is called “%s”; write its id or its title.".formatted(what, named));
            }
            return Optional.ofNullable(id);
        }

        private Id technique() {
            String named = cell(LinksCsv.TECHNIQUE);
            if (named.isEmpty()) {
                fault(LinksCsv.TECHNIQUE, "Say what you do.");
                return null;
            }
            Id known = techniques.get(named.toLowerCase(Locale.ROOT));
            if (known != null) {
                return known;
            }
            Id id = retired.free(named, PartKind.TECHNIQUES,
                    candidate -> taught.stream().anyMatch(technique -> technique.id().equals(candidate)));
            Technique added = checked(LinksCsv.TECHNIQUE, () -> Technique.named(id, named));
            if (added != null) {
                taught.add(added);
                name(techniques, id, named);
            }
            return id;
        }

        private Likelihood likelihood(String column, Likelihood usual) {
            String said = cell(column).toLowerCase(Locale.ROOT);
            if (said.isEmpty()) {
                return usual;
            }
            return Coded.of(Word.class, said).map(Likelihood::of).orElseGet(() -> number(column, said,
                    "“%s” is neither one of %s nor a number.".formatted(said, Coded.codes(Word.class)))
                    .map(n -> checked(column, () -> Likelihood.of(n))).orElse(usual));
        }

        private double seconds(double usual) {
            String said = cell(LinksCsv.SECONDS);
            return said.isEmpty() ? usual
                    : number(LinksCsv.SECONDS, said, "“%s” is not a number of seconds.".formatted(said)).orElse(usual);
        }

        private Optional<Double> number(String column, String said, String otherwise) {
            try {
                return Optional.of(Double.valueOf(said.replace(',', '.'))).filter(Double::isFinite)
                        .or(() -> {
                            fault(column, otherwise);
                            return Optional.empty();
                        });
            } catch (NumberFormatException e) {
                fault(column, otherwise);
                return Optional.empty();
            }
        }

        private <T> T checked(String column, java.util.function.Supplier<T> make) {
            try {
                return make.get();
            } catch (RefusedException e) {
                fault(column, e.getMessage());
                return null;
            }
        }
    }
}
