package app.narrowgate.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.URI;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The line between browsers and the server, which can be cut: whatever is under way on it ends, and nothing new gets through.
 * Unlike a browser that is told it has no network, nobody knows of it beforehand.
 */
final class Line implements AutoCloseable {

    private final URI server;
    private final ServerSocket entry;
    private final Set<Socket> open = ConcurrentHashMap.newKeySet();
    private volatile boolean whole = true;

    Line(String address) {
        server = URI.create(address);
        try {
            entry = new ServerSocket(0, 0, InetAddress.getLoopbackAddress());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        started("line", this::take);
    }

    String address() {
        return "http://127.0.0.1:" + entry.getLocalPort();
    }

    void cut() {
        whole = false;
        open.forEach(Line::end);
    }

    void mend() {
        whole = true;
    }

    private void take() {
        while (!entry.isClosed()) {
            try {
                Socket near = entry.accept();
                open.add(near);
                if (!whole) {
                    end(near);
                    continue;
                }
                Socket far = new Socket(server.getHost(), server.getPort());
                open.add(far);
                started("to the server", () -> carry(near, far));
                started("to the browser", () -> carry(far, near));
            } catch (IOException e) {
                // The line is closed, or the server is away; whoever asked hears nothing.
            }
        }
    }

    private void carry(Socket from, Socket to) {
        try (from; to) {
            from.getInputStream().transferTo(to.getOutputStream());
        } catch (IOException e) {
            // Cut, or closed at one of its ends.
        } finally {
            open.remove(from);
            open.remove(to);
        }
    }

    private static void end(Socket socket) {
        try {
            socket.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void started(String name, Runnable work) {
        Thread thread = new Thread(work, name);
        thread.setDaemon(true);
        thread.start();
    }

    @Override
    public void close() {
        cut();
        try {
            entry.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
