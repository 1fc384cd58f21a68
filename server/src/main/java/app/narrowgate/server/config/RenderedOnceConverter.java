package app.narrowgate.server.config;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.zip.Deflater;
import java.util.zip.GZIPOutputStream;
import org.apache.tomcat.util.http.parser.AcceptEncoding;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.HttpOutputMessage;
import org.springframework.http.MediaType;
import org.springframework.http.converter.AbstractHttpMessageConverter;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import tools.jackson.databind.json.JsonMapper;

/**
 * Writes answers that are {@link RenderedOnce}: rendering and compressing the demo's map takes several times as long as
 * everything else about reading it. Bytes are kept while their object is, the whole by weight.
 */
@Component
class RenderedOnceConverter extends AbstractHttpMessageConverter<Object> {

    private static final int LEAST_TO_COMPRESS = 2048;
    private static final long MOST_BYTES = 32L * 1024 * 1024;

    private static final class Gzip extends GZIPOutputStream {
        Gzip(OutputStream out, int level) throws IOException {
            super(out);
            def.setLevel(level);
        }
    }

    private record Rendered(byte[] plain, byte[] gzipped) {
        int weight() {
            return plain.length + gzipped.length;
        }
    }

    private final JsonMapper json;
    private final Cache<Object, Rendered> known = Caffeine.newBuilder().weakKeys().maximumWeight(MOST_BYTES)
            .weigher((Object answer, Rendered rendered) -> rendered.weight()).build();

    RenderedOnceConverter(JsonMapper json) {
        super(MediaType.APPLICATION_JSON);
        this.json = json;
    }

    @Override
    protected boolean supports(Class<?> type) {
        return type.isAnnotationPresent(RenderedOnce.class);
    }

    @Override
    public boolean canRead(Class<?> type, MediaType media) {
        return false;
    }

    @Override
    protected Object readInternal(Class<?> type, HttpInputMessage input) {
        throw new HttpMessageNotReadableException("An answer is never read", input);
    }

    @Override
    protected void writeInternal(Object answer, HttpOutputMessage output) throws IOException {
        Rendered rendered = known.get(answer, this::render);
        output.getHeaders().add(HttpHeaders.VARY, HttpHeaders.ACCEPT_ENCODING);
        byte[] bytes = rendered.plain();
        if (bytes.length >= LEAST_TO_COMPRESS && takesGzip()) {
            output.getHeaders().set(HttpHeaders.CONTENT_ENCODING, "gzip");
            bytes = rendered.gzipped();
        }
        output.getHeaders().setContentLength(bytes.length);
        output.getBody().write(bytes);
    }

    private Rendered render(Object answer) {
        byte[] plain = json.writeValueAsBytes(answer);
        ByteArrayOutputStream gzipped = new ByteArrayOutputStream(plain.length / 4);
        // After an edit it is done while somebody waits; the last tenth of the size is mostly not worth twice the time.
        boolean small = answer.getClass().getAnnotation(RenderedOnce.class).small();
        try (Gzip out = new Gzip(gzipped, small ? Deflater.BEST_COMPRESSION : Deflater.BEST_SPEED)) {
            out.write(plain);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return new Rendered(plain, gzipped.toByteArray());
    }

    /** True where the request takes gzip at all; with a weight of 0 it does not. */
    private static boolean takesGzip() throws IOException {
        if (!(RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request)) {
            return false;
        }
        String takes = request.getRequest().getHeader(HttpHeaders.ACCEPT_ENCODING);
        return takes != null && AcceptEncoding.parse(new StringReader(takes)).stream()
                .anyMatch(one -> one.getEncoding().equalsIgnoreCase("gzip") && one.getQuality() > 0);
    }
}
