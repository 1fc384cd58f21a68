package app.narrowgate.server.drill;

import app.narrowgate.core.due.Practice;
import app.narrowgate.server.map.StoredMap;
import java.util.List;
import java.util.UUID;

/** What else is known of what somebody practised, besides what they read in the trainer. */
public interface Learned {

    /** Everything that was taught to, counted or seen of whoever signs in so; nothing where nobody has said who they are on the roster. */
    List<Practice> practised(StoredMap map, UUID account);
}
