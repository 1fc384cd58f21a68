package app.narrowgate.server.metrics;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import io.micrometer.prometheusmetrics.PrometheusMeterRegistry;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * The server's metrics as Prometheus text, at {@code /metrics} on the loopback address of the port {@code narrowgate.metrics-port}. Apart from
 * the port that people reach, so that no proxy can hand it on by mistake, and answered by a thread of its own, so that it is there when the server
 * is full.
 */
@Component
class MetricsPort implements SmartLifecycle {

    private static final Logger LOG = LoggerFactory.getLogger(MetricsPort.class);
    private static final String PATH = "/metrics";
    private static final String TYPE = "text/plain; version=0.0.4; charset=utf-8";
    private static final int NOT_FOUND = 404;
    private static final int NOT_THAT_WAY = 405;

    private final PrometheusMeterRegistry meters;
    private final Integer wanted;
    private HttpServer server;

    /** @param port 0 for any that is free; null for none, and then nothing is told */
    MetricsPort(PrometheusMeterRegistry meters, @Value("${narrowgate.metrics-port:#{null}}") Integer port) {
        this.meters = meters;
        this.wanted = port;
    }

    @Override
    public boolean isAutoStartup() {
        return wanted != null;
    }

    @Override
    public void start() {
        try {
            server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), wanted), 0);
        } catch (IOException e) {
            throw new IllegalStateException("The port %d for metrics is taken. Choose another one: NARROWGATE_METRICS_PORT".formatted(wanted), e);
        }
        server.createContext("/", this::answer);
        server.start();
        LOG.info("Metrics are on http://127.0.0.1:{}{}", port(), PATH);
    }

    private void answer(HttpExchange exchange) throws IOException {
        try (exchange) {
            if (!exchange.getRequestURI().getPath().equals(PATH)) {
                exchange.sendResponseHeaders(NOT_FOUND, -1);
            } else if (!exchange.getRequestMethod().equals("GET")) {
                exchange.sendResponseHeaders(NOT_THAT_WAY, -1);
            } else {
                byte[] text = meters.scrape().getBytes(StandardCharsets.UTF_8);
                exchange.getResponseHeaders().set("Content-Type", TYPE);
                exchange.sendResponseHeaders(200, text.length);
                exchange.getResponseBody().write(text);
            }
        }
    }

    /** Where it is. */
    int port() {
        return server.getAddress().getPort();
    }

    @Override
    public void stop() {
        server.stop(0);
        server = null;
    }

    @Override
    public boolean isRunning() {
        return server != null;
    }
}
