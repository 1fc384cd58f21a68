package app.narrowgate.core.drill;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Situation;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The holes of a map that have been mended since an earlier state of it, for what was written down last is drilled least. */
public final class AnsweredLately {

    private AnsweredLately() {
    }

    /**
     * The links from places that were on the earlier map, which can be practised now and could not then: nobody had
     * answered the response, nobody had written it down, or nobody taught the answer there. A place that is new as a
     * whole was no hole before. In the map's order; cost linear in the two maps.
     */
    public static List<LinkRef> since(EscapeMap before, MapIndex now) {
        Set<Id> places = before.situations().stream().map(Situation::id).collect(Collectors.toSet());
        Set<LinkRef> then = answered(before.reactions()).collect(Collectors.toSet());
        return answered(now.map().reactions())
                .filter(link -> !then.contains(link))
                .filter(link -> now.reaction(link.reaction()).filter(r -> places.contains(r.from())).isPresent())
                .filter(link -> DrillRules.fault(now, link).isEmpty())
                .toList();
    }

    private static Stream<LinkRef> answered(Collection<Reaction> reactions) {
        return reactions.stream().flatMap(reaction -> reaction.responses().stream()
                .filter(response -> response.leads().isPresent())
                .map(response -> new LinkRef(reaction.id(), response.id())));
    }
}
