package app.narrowgate.server.event;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import javax.sql.DataSource;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * The bell by the database's own LISTEN and NOTIFY: what is rung in a transaction is heard when it is stored. One connection of
 * the pool is kept for listening; where it is lost another is taken, and whoever listens is told that rings may have been missed.
 */
@Component
class PostgresBell implements Bell, SmartLifecycle {

    private static final Logger LOG = LoggerFactory.getLogger(PostgresBell.class);
    private static final String CHANNEL = "narrowgate";
    /** How long one look for rings waits, in milliseconds; the house closes no later than this. */
    private static final int LOOK = 500;
    private static final long BEFORE_AGAIN = 1_000;

    private record Ear(String what, Consumer<Ring> heard, Runnable missed) {
    }

    private final JdbcTemplate jdbc;
    private final DataSource source;
    private final List<Ear> ears = new CopyOnWriteArrayList<>();
    private volatile boolean running;
    private Thread listening;

    PostgresBell(JdbcTemplate jdbc, DataSource source) {
        this.jdbc = jdbc;
        this.source = source;
    }

    @Override
    public void ring(Ring ring) {
        jdbc.query("select pg_notify(?, ?)", row -> { }, CHANNEL, ring.what() + " " + ring.gym() + " " + ring.about());
    }

    @Override
    public void hear(String what, Consumer<Ring> heard, Runnable missed) {
        ears.add(new Ear(what, heard, missed));
    }

    @Override
    public void start() {
        running = true;
        listening = new Thread(this::listen, "bell");
        listening.setDaemon(true);
        listening.start();
    }

    @Override
    public void stop() {
        running = false;
        try {
            listening.join(4L * LOOK);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    private void listen() {
        while (running) {
            try (Connection connection = source.getConnection(); Statement statement = connection.createStatement()) {
                statement.execute("listen " + CHANNEL);
                ears.forEach(ear -> ear.missed().run());
                PGConnection ringing = connection.unwrap(PGConnection.class);
                try {
                    while (running) {
                        PGNotification[] rung = ringing.getNotifications(LOOK);
                        for (PGNotification one : rung == null ? new PGNotification[0] : rung) {
                            tell(one.getParameter());
                        }
                    }
                } finally {
                    // The connection goes back to the pool, for others.
                    if (!connection.isClosed()) {
                        statement.execute("unlisten *");
                    }
                }
            } catch (SQLException lost) {
                LOG.warn("The bell is not heard, and is looked for again: {}", lost.getMessage());
                pause();
            }
        }
    }

    private void tell(String written) {
        String[] words = written.split(" ");
        Ring ring = new Ring(words[0], UUID.fromString(words[1]), UUID.fromString(words[2]));
        for (Ear ear : ears) {
            if (ear.what().equals(ring.what())) {
                try {
                    ear.heard().accept(ring);
                } catch (RuntimeException e) {
                    LOG.error("Whoever heard the bell failed", e);
                }
            }
        }
    }

    private static void pause() {
        try {
            Thread.sleep(BEFORE_AGAIN);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
