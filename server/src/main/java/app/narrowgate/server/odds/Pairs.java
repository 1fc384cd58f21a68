package app.narrowgate.server.odds;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.person.People;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** Puts what is known of two people into what odds are asked for. */
@Component
public class Pairs {

    private final People people;

    Pairs(People people) {
        this.people = people;
    }

    /**
     * The question with what the two people that it names make of it, as far as whoever asks may know; the same where it names none.
     *
     * @throws RefusedException where it names one of two, or two for whom no round is reckoned
     */
    public OddsQuestion put(OddsQuestion question) {
        if (question.you() == null && question.they() == null) {
            return question;
        }
        if (question.you() == null || question.they() == null) {
            throw new RefusedException("Two people make a pair; name who is below and who is on top.");
        }
        SignedIn who = (SignedIn) SecurityContextHolder.getContext().getAuthentication().getPrincipal();
        return question.between(people.pair(question.you(), question.they(), who).pairing());
    }
}
