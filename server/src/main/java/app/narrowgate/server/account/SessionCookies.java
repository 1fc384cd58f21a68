package app.narrowgate.server.account;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.regex.Pattern;
import org.springframework.session.web.http.DefaultCookieSerializer;
import org.springframework.stereotype.Component;

/**
 * The cookie that names a session. A cookie that cannot name one is as good as none, and the database never sees it. Pages
 * and pictures are nobody's: for them none is looked up, and they open without the database, too.
 */
@Component
class SessionCookies extends DefaultCookieSerializer {

    private static final Pattern ID = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");

    SessionCookies() {
        setCookieName("NGSESSION");
        setUseHttpOnlyCookie(true);
        setSameSite("Strict");
    }

    @Override
    public List<String> readCookieValues(HttpServletRequest request) {
        String path = request.getRequestURI();
        if (!path.startsWith("/api/") && !path.startsWith("/actuator/")) {
            return List.of();
        }
        return super.readCookieValues(request).stream().filter(value -> ID.matcher(value).matches()).toList();
    }
}
