package app.narrowgate.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A browser without a screen: keeps cookies and sends the CSRF token back. */
public final class TestClient {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** A status, a media type, a tag and a body. */
    public record Answer(int status, String type, String tag, String caching, String keepable, String text) {
        public JsonNode json() {
            return JSON.readTree(text);
        }
    }

    /** Good enough for whoever is made up. */
    public static final String PASSWORD = "three lamps by the mat";

    private final CookieManager cookies = new CookieManager();
    private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).build();
    private final String base;
    private String forwardedFor;
    private boolean secure = true;

    TestClient(String base) {
        this.base = base;
    }

    /** As through a proxy with TLS that says where the requests come from. */
    public TestClient forwardedFor(String address) {
        forwardedFor = address;
        return this;
    }

    public TestClient signIn(String name, String password) {
        get("/api/session");
        Answer answer = post("/api/session", "{\"name\":\"%s\",\"password\":\"%s\"}".formatted(name, password));
        if (answer.status() != 200) {
            throw new IllegalStateException("Sign-in failed: " + answer);
        }
        return this;
    }

    /** Opens a gym in the house, and is signed in as its owner. */
    public TestClient openGym(String gym, String name) {
        get("/api/session");
        Answer answer = post("/api/gyms", """
                {"code":"%s","gym":"%s","name":"%s","displayName":"%3$s","password":"%s"}""".formatted(TestServer.HOUSE_CODE, gym, name,
                PASSWORD));
        if (answer.status() != 201) {
            throw new IllegalStateException("The gym was not opened: " + answer);
        }
        return this;
    }

    public Answer get(String path) {
        return send(HttpRequest.newBuilder().GET(), path);
    }

    /** A long computation from beginning to end: asked for, and asked after until it is over. */
    public JsonNode run(String map, String body) {
        Answer started = post(map + "/runs", body);
        if (started.status() != 202) {
            throw new IllegalStateException("The run did not start: " + started);
        }
        JsonNode view = started.json();
        Instant until = Instant.now().plus(Duration.ofMinutes(1));
        while (Set.of("waiting", "running").contains(view.get("state").stringValue())) {
            if (Instant.now().isAfter(until)) {
                throw new AssertionError("The run never ended");
            }
            view = get(map + "/runs/" + view.get("id").stringValue()).json();
        }
        return view;
    }

    /** The tag that the answer carries. */
    public String tagOf(String path) {
        return get(path).tag();
    }

    /** The bytes of an answer as they come, in one of the encodings that are accepted. */
    public HttpResponse<byte[]> bytes(String path, String acceptEncoding) {
        try {
            return http.send(HttpRequest.newBuilder(URI.create(base + path)).header("Accept-Encoding", acceptEncoding).build(),
                    BodyHandlers.ofByteArray());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** Asks for what has changed since {@code tag}. */
    public Answer getUnless(String path, String tag) {
        return send(HttpRequest.newBuilder().GET().header("If-None-Match", tag), path);
    }

    /** The answer to an address that is sent as it is, however wrong it may be. */
    public Answer raw(String path) {
        URI server = URI.create(base);
        String cookie = cookies.getCookieStore().getCookies().stream().map(c -> c.getName() + "=" + c.getValue())
                .collect(Collectors.joining("; "));
        String request = "GET %s HTTP/1.0\r\nHost: %s\r\nCookie: %s\r\n\r\n".formatted(path, server.getAuthority(), cookie);
        try (Socket socket = new Socket(server.getHost(), server.getPort())) {
            socket.getOutputStream().write(request.getBytes(StandardCharsets.ISO_8859_1));
            String[] parts = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8).split("\r\n\r\n", 2);
            String type = parts[0].lines().filter(line -> line.toLowerCase(Locale.ROOT).startsWith("content-type:"))
                    .map(line -> line.substring(line.indexOf(':') + 1).strip()).findFirst().orElse("");
            return new Answer(Integer.parseInt(parts[0].split(" ")[1]), type, "", "", "", parts.length > 1 ? parts[1] : "");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The same client with a cookie that no server gave it. */
    public TestClient withCookie(String name, String value) {
        HttpCookie cookie = new HttpCookie(name, value);
        cookie.setPath("/");
        cookie.setVersion(0);
        cookies.getCookieStore().add(URI.create(base), cookie);
        return this;
    }

    public Answer post(String path, String body) {
        return send(HttpRequest.newBuilder().POST(BodyPublishers.ofString(body)), path);
    }

    /** Puts one part into a map, in the open format. */
    public Answer putPart(String map, int revision, String list, String id, Object part) {
        return post(map + "/parts", """
                {"revision":%d,"summary":"Put a part","parts":[{"list":"%s","id":"%s","part":%s}]}"""
                .formatted(revision, list, id, part));
    }

    public Answer put(String path, String body) {
        return send(HttpRequest.newBuilder().PUT(BodyPublishers.ofString(body)), path);
    }

    /** Any request; a body that is null is none. */
    public Answer send(String method, String path, String body) {
        return send(HttpRequest.newBuilder().method(method,
                body == null ? BodyPublishers.noBody() : BodyPublishers.ofString(body)), path);
    }

    /** The lines of a stream, as they come; whoever has read enough closes it. */
    public Stream<String> lines(String path, String body) {
        try {
            return http.send(asking(HttpRequest.newBuilder().POST(BodyPublishers.ofString(body)), path).build(), BodyHandlers.ofLines()).body();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    public Answer delete(String path) {
        return send(HttpRequest.newBuilder().DELETE(), path);
    }

    /** The id of the first map. */
    public String firstMap() {
        return get("/api/maps").json().get(0).get("id").stringValue();
    }

    /** Whether every cookie that came was for TLS alone. */
    public boolean cookiesAreSecure() {
        return secure;
    }

    public void forgetSession() {
        cookies.getCookieStore().getCookies().stream().filter(c -> c.getName().equals("NGSESSION"))
                .forEach(c -> c.setValue("broken-" + c.getValue()));
    }

    public void forgetToken() {
        cookies.getCookieStore().getCookies().stream().filter(c -> c.getName().equals("XSRF-TOKEN"))
                .toList().forEach(c -> cookies.getCookieStore().remove(URI.create(base), c));
    }

    private HttpRequest.Builder asking(HttpRequest.Builder request, String path) {
        request.uri(URI.create(base + path)).header("Content-Type", "application/json");
        if (forwardedFor != null) {
            request.header("X-Forwarded-For", forwardedFor).header("X-Forwarded-Proto", "https");
        }
        cookies.getCookieStore().getCookies().stream().filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue).findFirst().ifPresent(token -> request.header("X-XSRF-TOKEN", token));
        return request;
    }

    private Answer send(HttpRequest.Builder request, String path) {
        try {
            HttpResponse<String> response = http.send(asking(request, path).build(), BodyHandlers.ofString());
            secure &= response.headers().allValues("Set-Cookie").stream().allMatch(cookie -> cookie.contains("; Secure"));
            // Between this client and the proxy that it may play there is no TLS, so that it would keep them to itself.
            cookies.getCookieStore().getCookies().forEach(cookie -> cookie.setSecure(false));
            return new Answer(response.statusCode(), response.headers().firstValue("Content-Type").orElse(""),
                    response.headers().firstValue("ETag").orElse(""), response.headers().firstValue("Cache-Control").orElse(""),
                    response.headers().firstValue("Keepable").orElse(""), response.body());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
