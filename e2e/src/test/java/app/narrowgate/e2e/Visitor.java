package app.narrowgate.e2e;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.zip.GZIPInputStream;

/** Somebody signed in, as far as the server can tell: cookies, the token, compressed answers. */
final class Visitor {

    private final CookieManager cookies = new CookieManager();
    private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).connectTimeout(Duration.ofSeconds(10))
            .build();
    private final String address;

    private Visitor(String address) {
        this.address = address;
    }

    /** Nobody whom the server knows. */
    static Visitor stranger(String address) {
        return new Visitor(address);
    }

    static Visitor signedIn(String address, String name, String password) {
        Visitor visitor = stranger(address);
        visitor.get("/api/session");
        HttpResponse<byte[]> answer = visitor.send("POST", "/api/session",
                "{\"name\":\"%s\",\"password\":\"%s\"}".formatted(name, password));
        if (answer.statusCode() != 200) {
            throw new IllegalStateException("Nobody was signed in: " + answer.statusCode());
        }
        return visitor;
    }

    HttpResponse<byte[]> get(String path) {
        return send("GET", path, null);
    }

    HttpResponse<byte[]> send(String method, String path, String body) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path)).timeout(Duration.ofSeconds(60))
                .header("Accept-Encoding", "gzip").header("Origin", address)
                .method(method, body == null ? BodyPublishers.noBody() : BodyPublishers.ofString(body));
        if (body != null) {
            request.header("Content-Type", "application/json");
        }
        for (HttpCookie cookie : cookies.getCookieStore().getCookies()) {
            if (cookie.getName().equals("XSRF-TOKEN")) {
                request.header("X-XSRF-TOKEN", cookie.getValue());
            }
        }
        try {
            return http.send(request.build(), BodyHandlers.ofByteArray());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** The words of an answer, however it was packed. */
    static String text(HttpResponse<byte[]> answer) {
        byte[] body = answer.body();
        if (answer.headers().firstValue("Content-Encoding").orElse("").equals("gzip")) {
            try (GZIPInputStream in = new GZIPInputStream(new ByteArrayInputStream(body))) {
                body = in.readAllBytes();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
        return new String(body, StandardCharsets.UTF_8);
    }
}
