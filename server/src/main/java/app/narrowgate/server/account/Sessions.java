package app.narrowgate.server.account;

import app.narrowgate.server.door.Secrets;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.HttpHeaders;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** Where people are signed in. What names a session opens it, so that only a hash of it is ever told. */
@Component
class Sessions {

    private static final String BROWSER = Sessions.class.getName() + ".browser";
    private static final int HANDLE = 16;

    /** Where somebody is signed in. */
    record Place(String handle, String browser, Instant begunAt, Instant usedAt) {
    }

    private final FindByIndexNameSessionRepository<? extends Session> repository;

    Sessions(FindByIndexNameSessionRepository<? extends Session> repository) {
        this.repository = repository;
    }

    /** Remembers in the session with what it was begun. */
    static void remember(HttpServletRequest request) {
        request.getSession().setAttribute(BROWSER, browser(request.getHeader(HttpHeaders.USER_AGENT)));
    }

    /** What stands for a session where it is told of. */
    static String handle(String sessionId) {
        return Secrets.hash(sessionId).substring(0, HANDLE);
    }

    /** Where the account is signed in, the one used last first. */
    List<Place> of(UUID account) {
        return found(account).values().stream()
                .filter(session -> !session.isExpired())
                .map(session -> new Place(handle(session.getId()), Optional.<String>ofNullable(session.getAttribute(BROWSER))
                        .orElse("a browser"), session.getCreationTime(), session.getLastAccessedTime()))
                .sorted(Comparator.comparing(Place::usedAt).reversed()).toList();
    }

    /** Ends the account's session with that handle; false where there is none. */
    boolean end(UUID account, String handle) {
        List<String> ended = found(account).keySet().stream().filter(id -> handle(id).equals(handle)).toList();
        ended.forEach(repository::deleteById);
        return !ended.isEmpty();
    }

    /** Ends all of the account's sessions but the one with that id. */
    void endAll(UUID account, Optional<String> but) {
        found(account).keySet().stream().filter(id -> !Optional.of(id).equals(but)).forEach(repository::deleteById);
    }

    private Map<String, ? extends Session> found(UUID account) {
        return repository.findByPrincipalName(account.toString());
    }

    /** A browser in the words of whoever uses it, and nothing by which one machine could be told from another of its kind. */
    static String browser(String agent) {
        if (agent == null) {
            return "a browser";
        }
        // The order matters: most of them claim to be others as well.
        String program = Stream.of("Edg=Edge", "OPR=Opera", "Firefox=Firefox", "FxiOS=Firefox", "Chrome=Chrome", "CriOS=Chrome",
                "Safari=Safari").map(pair -> pair.split("=")).filter(pair -> agent.contains(pair[0])).map(pair -> pair[1]).findFirst()
                .orElse("a browser");
        String system = Stream.of("iPhone=a phone", "iPad=a tablet", "Android=an Android device", "Windows=Windows", "Mac OS X=a Mac",
                "CrOS=a Chromebook", "Linux=Linux").map(pair -> pair.split("=")).filter(pair -> agent.contains(pair[0]))
                .map(pair -> pair[1]).collect(Collectors.collectingAndThen(Collectors.toList(), found -> found.isEmpty() ? "" : " on " + found.get(0)));
        return program + system;
    }
}
