package app.narrowgate.exchange.links;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Likelihood;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.RetiredIds;
import app.narrowgate.exchange.table.Cells;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * A map's links as RFC 4180 CSV with a header: one row a response; a reaction about which nobody has said what they do
 * has one row without a cue. What a spreadsheet would take for a formula is written with an apostrophe before it, which
 * reading takes away again.
 */
public final class LinksCsv {

    static final String SITUATION = "situation";
    static final String REACTION = "reaction";
    static final String TECHNIQUE = "technique";
    static final String WHEN = "when";
    static final String DO_NOT = "do-not";
    static final String WORKS = "works";
    static final String SECONDS = "seconds";
    static final String STUFFED = "stuffed";
    static final String RESPONSE = "response";
    static final String CUE = "cue";
    static final String OFTEN = "often";
    static final String LEADS = "leads";

    /** The columns, in the order in which they are written. */
    public static final List<String> COLUMNS = List.of(SITUATION, REACTION, TECHNIQUE, WHEN, DO_NOT, WORKS, SECONDS, STUFFED,
            RESPONSE, CUE, OFTEN, LEADS);

    private LinksCsv() {
    }

    /** The table of a map, in the map's order. Cost linear in the map. */
    public static String write(EscapeMap map) {
        MapIndex index = MapIndex.of(map);
        StringBuilder text = new StringBuilder();
        try (CSVPrinter rows = new CSVPrinter(text, CSVFormat.RFC4180.builder()
                .setHeader(COLUMNS.toArray(String[]::new)).get())) {
            for (Reaction reaction : map.reactions()) {
                if (reaction.responses().isEmpty()) {
                    rows.printRecord(cells(index, reaction, Optional.empty()));
                }
                for (Response response : reaction.responses()) {
                    rows.printRecord(cells(index, reaction, Optional.of(response)));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException("Impossible state: a text could not be written", e);
        }
        return text.toString();
    }

    private static List<String> cells(MapIndex index, Reaction reaction, Optional<Response> response) {
        return List.of(reaction.from().value(), reaction.id().value(), Cells.guarded(index.reactionTitle(reaction)),
                Cells.guarded(reaction.when()), Cells.guarded(reaction.doNot()), said(reaction.works()), Cells.number(reaction.seconds()), reaction.stuffed().map(Id::value).orElse(""),
                response.map(r -> r.id().value()).orElse(""), response.map(r -> Cells.guarded(r.cue())).orElse(""),
                response.map(r -> said(r.often())).orElse(""),
                response.flatMap(Response::leads).map(Id::value).orElse(""));
    }

    private static String said(Likelihood likelihood) {
        return likelihood instanceof Likelihood.Said said ? said.word().code()
                : Cells.number(((Likelihood.Counted) likelihood).number());
    }

    /**
     * The map with the rows of a table put into it. Situations, landings and techniques are named by id or by title;
     * a technique that is not on the map yet is added. A row that names a reaction and a response of the map changes
     * them; one without adds them.
     *
     * @param retired ids that nothing new is given
     * @param whole whether reactions and responses that have no row are taken out
     * @throws app.narrowgate.core.check.ProblemsException with every fault by its line and column
     */
    public static EscapeMap read(EscapeMap map, RetiredIds retired, String text, boolean whole) {
        return new LinksReader(map, retired, whole).read(text);
    }
}
