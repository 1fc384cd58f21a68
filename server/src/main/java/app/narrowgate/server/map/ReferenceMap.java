package app.narrowgate.server.map;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.exchange.map.MapFolder;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import org.springframework.core.io.ClassPathResource;

/** The map that ships with the application. */
public final class ReferenceMap {

    private ReferenceMap() {
    }

    /** The whole of it. */
    public static EscapeMap read() {
        return MapFolder.read(ReferenceMap::file);
    }

    /**
     * An empty map to begin from: the trade's words (families, facts, movements, outcomes, principles, aims, matchups)
     * without anything taught.
     */
    static EscapeMap empty(String title) {
        EscapeMap map = read();
        return map.titled(title).about("").emptiedOf(
                Set.of(PartKind.TECHNIQUES, PartKind.SITUATIONS, PartKind.REACTIONS, PartKind.HOLDS));
    }

    private static String file(String name) {
        try {
            return new ClassPathResource("demo/map/" + name).getContentAsString(StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("The reference map is not complete: " + name, e);
        }
    }
}
