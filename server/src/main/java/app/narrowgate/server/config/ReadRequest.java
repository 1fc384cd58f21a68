package app.narrowgate.server.config;

import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.InputStreamReader;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;

/** A request whose body has been read already. */
final class ReadRequest extends HttpServletRequestWrapper {

    private final ByteArrayInputStream body;

    ReadRequest(HttpServletRequest request, byte[] body) {
        super(request);
        this.body = new ByteArrayInputStream(body);
    }

    @Override
    public ServletInputStream getInputStream() {
        return new ServletInputStream() {
            @Override
            public int read() {
                return body.read();
            }

            @Override
            public int read(byte[] into, int offset, int length) {
                return body.read(into, offset, length);
            }

            @Override
            public boolean isFinished() {
                return body.available() == 0;
            }

            @Override
            public boolean isReady() {
                return true;
            }

            @Override
            public void setReadListener(ReadListener listener) {
                throw new UnsupportedOperationException("The body is there already");
            }
        };
    }

    @Override
    public BufferedReader getReader() {
        String encoding = getCharacterEncoding();
        return new BufferedReader(new InputStreamReader(body,
                encoding == null ? StandardCharsets.UTF_8 : Charset.forName(encoding)));
    }
}
