package app.narrowgate.server.account;

import app.narrowgate.server.door.Secrets;
import app.narrowgate.server.gym.GymScope;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Browsers that somebody has signed in with before, known by a cookie that is good for nothing else. Whoever guesses at a
 * name elsewhere cannot make its owner wait at one of these. Only a hash of the cookie is stored.
 */
@Service
class Devices {

    private static final String COOKIE = "NGDEVICE";
    private static final Duration KEPT = Duration.ofDays(180);
    private static final Pattern TOKEN = Pattern.compile("[A-Za-z0-9_-]{43}");

    private final DeviceMapper mapper;
    private final TransactionTemplate transactions;
    private final Clock clock;

    Devices(DeviceMapper mapper, TransactionTemplate transactions, Clock clock) {
        this.mapper = mapper;
        this.transactions = transactions;
        this.clock = clock;
    }

    /** What the browser is known by, if somebody of that name has signed in with it. */
    Optional<String> known(HttpServletRequest request, String name) {
        return GymScope.HOUSE.get(() -> token(request).map(Secrets::hash)
                .filter(hash -> mapper.isKnown(hash, name, clock.instant().minus(KEPT))));
    }

    /** Remembers that an account's owner has signed in with the browser. */
    void remember(Optional<String> known, Account account, HttpServletRequest request, HttpServletResponse response) {
        // The name in which it is asked comes before the transaction, which keeps the one it began in.
        GymScope.of(account.gym()).run(() -> transactions.executeWithoutResult(
                status -> remember(known, account.id(), request, response)));
    }

    private void remember(Optional<String> known, UUID account, HttpServletRequest request,
            HttpServletResponse response) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        if (known.isPresent()) {
            mapper.used(known.get(), now);
            return;
        }
        mapper.forget(now.minus(KEPT));
        String token = Secrets.fresh(256);
        mapper.insert(Secrets.hash(token), account, now);
        response.addHeader(HttpHeaders.SET_COOKIE, ResponseCookie.from(COOKIE, token).path("/api/session").httpOnly(true)
                .secure(request.isSecure()).sameSite("Strict").maxAge(KEPT).build().toString());
    }

    private static Optional<String> token(HttpServletRequest request) {
        return request.getCookies() == null ? Optional.empty() : Stream.of(request.getCookies())
                .filter(cookie -> cookie.getName().equals(COOKIE)).map(Cookie::getValue)
                .filter(value -> TOKEN.matcher(value).matches()).findFirst();
    }
}
