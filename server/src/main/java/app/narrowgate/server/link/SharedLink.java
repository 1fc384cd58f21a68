package app.narrowgate.server.link;

import java.time.Instant;
import java.util.UUID;

/**
 * A link to a card.
 *
 * @param map the map of which the card tells a place
 * @param place the situation's id
 * @param title what the place was called when the link was made
 * @param setting under what it is reckoned
 * @param mapTitle what the map is called now
 * @param mapAway true while the map is put away
 * @param madeBy the name of whoever made it
 */
record SharedLink(UUID id, UUID gym, UUID map, String place, String title, SharedSetting setting, String mapTitle, boolean mapAway,
        String madeBy, Instant madeAt, Instant expiresAt, Instant withdrawnAt) {

    boolean isOpen(Instant now) {
        return withdrawnAt == null && now.isBefore(expiresAt);
    }
}
