package app.narrowgate.server.odds;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.person.Room;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.person.People;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** Puts what is known of two people, or of oneself and the room, into what odds are asked for. */
@Component
public class Pairs {

    private final People people;

    Pairs(People people) {
        this.people = people;
    }

    /**
     * The question with what the people that it names make of it, as far as whoever asks may know; the same where it names none.
     *
     * @throws RefusedException where it names one of two, two for whom no round is reckoned, or a room that cannot be told of
     */
    public OddsQuestion put(OddsQuestion question) {
        if (question.you() == null && question.they() == null && question.room() == null) {
            return question;
        }
        SignedIn who = (SignedIn) SecurityContextHolder.getContext().getAuthentication().getPrincipal();
        if (question.room() != null) {
            if (question.you() != null || question.they() != null) {
                throw new RefusedException("Either two people or the room, not both.");
            }
            return question.between(people.againstRoom(Coded.require(Room.Third.class, "The room", question.room()), who));
        }
        if (question.you() == null || question.they() == null) {
            throw new RefusedException("Two people make a pair; name who is below and who is on top.");
        }
        return question.between(people.pair(question.you(), question.they(), who).pairing());
    }
}
