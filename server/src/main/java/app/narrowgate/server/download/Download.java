package app.narrowgate.server.download;

import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** An answer that a browser keeps as a file instead of showing it. */
public final class Download {

    private Download() {
    }

    /**
     * A file.
     *
     * @param name what it is called, of letters, digits, dots and hyphens
     * @param type its media type
     */
    public static <T> ResponseEntity<T> of(String name, String type, T content) {
        return ResponseEntity.ok().contentType(MediaType.parseMediaType(type))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"%s\"".formatted(name)).body(content);
    }
}
