package app.narrowgate.server.lesson;

import app.narrowgate.core.due.Due;
import app.narrowgate.core.map.Id;
import app.narrowgate.server.map.StoredMap;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;

/** What those who are in a class need besides what the class is about. */
public interface Wanting {

    /** What is due for them on a day, what costs most first. */
    List<Due.InClass> due(StoredMap map, Collection<UUID> here, LocalDate day);

    /** Places in which some of them still have to show an answer before they move up, those of most first. */
    List<Id> gates(StoredMap map, Collection<UUID> here, LocalDate day);
}
