package app.narrowgate.server.backup;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.server.audit.Deed;
import app.narrowgate.server.door.Secrets;
import java.io.IOException;
import java.io.OutputStream;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.postgresql.PGConnection;
import org.postgresql.copy.PGCopyOutputStream;
import org.postgresql.util.PSQLException;
import org.postgresql.util.ServerErrorMessage;

/**
 * Puts a gym, from a database that was filled with its archive, into a house where other gyms are. All of it comes in or nothing. People who sign in by a
 * name that somebody in the house has already get another; who has no password gets a link if they are an owner, who makes links for the others.
 */
final class PuttingIn {

    private static final Duration TO_CHOOSE_A_PASSWORD = Duration.ofDays(7);
    private static final int BITS = 256;
    private static final int LONGEST_NAME = 40;
    private static final String THERE_ALREADY = "23505";

    /**
     * What came of it.
     *
     * @param renamed by what somebody signs in from now on, by what they did before
     * @param tokens what opens a new password, by the name of the owner whose it is
     */
    record PutIn(Manifest.Named gym, Map<String, String> renamed, Map<String, String> tokens) {
    }

    private final Place from;
    private final Place house;
    private final Clock clock;

    /**
     * @param from filled with the archive, and used up by this
     * @param house where it goes; it may be running
     */
    PuttingIn(Place from, Place house, Clock clock) {
        this.from = from;
        this.house = house;
        this.clock = clock;
    }

    /**
     * Puts it in.
     *
     * @throws RefusedException where it is there already, or the house's tables are not of this program's version
     */
    PutIn put(Manifest manifest) throws SQLException, IOException {
        Manifest.Named gym = manifest.gyms().get(0);
        try (Connection out = from.connect(); Connection in = house.connect()) {
            in.setAutoCommit(false);
            requireReady(in, gym);
            Map<String, String> renamed = rename(out, in);
            out.setAutoCommit(false);
            set(out);
            set(in);
            for (Table table : Catalogue.tablesOfGyms(out)) {
                move(table, gym.id(), out, in);
            }
            Restoring.note(in, clock, gym.id(), Deed.PUT_IN, "from the archive of " + manifest.written());
            Map<String, String> tokens = manifest.passwords() ? Map.of() : newPasswords(in, gym.id());
            in.commit();
            return new PutIn(gym, renamed, tokens);
        } catch (SQLException | IOException e) {
            // A row that is refused is told at the end of what is streamed in.
            if ((e instanceof PSQLException ? e : e.getCause()) instanceof PSQLException refused && THERE_ALREADY.equals(refused.getSQLState())) {
                throw new RefusedException("Something of “%s” is in this house already (%s). Nothing was changed.".formatted(gym.name(),
                        Optional.ofNullable(refused.getServerErrorMessage()).map(ServerErrorMessage::getTable).orElse(refused.getMessage())));
            }
            throw e;
        }
    }

    private void requireReady(Connection in, Manifest.Named gym) throws SQLException {
        try (Statement statement = in.createStatement()) {
            String schema = BackupWriter.schema(statement);
            if (!schema.equals(house.newest().getVersion())) {
                throw new RefusedException("The house's tables are of version %s, this program's of %s. Start the house once with it, then put the gym in."
                        .formatted(schema, house.newest()));
            }
        }
        if (BackupWriter.gyms(in, null).stream().anyMatch(there -> there.id().equals(gym.id()))) {
            throw new RefusedException("The gym “%s” is in this house already. Nothing was changed.".formatted(gym.name()));
        }
    }

    private static void set(Connection connection) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            BackupWriter.as(statement);
        }
    }

    /** Nobody signs in by the name of another. */
    private static Map<String, String> rename(Connection out, Connection in) throws SQLException {
        Map<String, String> renamed = new LinkedHashMap<>();
        List<String> coming = strings(out, "select name from account order by name");
        List<String> taken = new ArrayList<>(strings(in, "select name from account"));
        for (String name : coming) {
            if (taken.contains(name)) {
                String free = free(name, coming, taken);
                try (PreparedStatement statement = out.prepareStatement("update account set name = ? where name = ?")) {
                    statement.setString(1, free);
                    statement.setString(2, name);
                    statement.execute();
                }
                renamed.put(name, free);
                taken.add(free);
            }
        }
        return renamed;
    }

    private static String free(String name, List<String> coming, List<String> taken) {
        for (int number = 2;; number++) {
            String end = "-" + number;
            String free = name.substring(0, Math.min(name.length(), LONGEST_NAME - end.length())) + end;
            if (!coming.contains(free) && !taken.contains(free)) {
                return free;
            }
        }
    }

    private static List<String> strings(Connection connection, String question) throws SQLException {
        try (Statement statement = connection.createStatement(); ResultSet rows = statement.executeQuery(question)) {
            List<String> strings = new ArrayList<>();
            while (rows.next()) {
                strings.add(rows.getString(1));
            }
            return strings;
        }
    }

    private static void move(Table table, UUID gym, Connection out, Connection in) throws SQLException, IOException {
        Digested moved;
        try (OutputStream coming = new PGCopyOutputStream(in.unwrap(PGConnection.class), table.copyInAnew())) {
            moved = new Digested(coming);
            out.unwrap(PGConnection.class).getCopyAPI().copyOut(table.copyOutUncounted(gym), moved);
        }
        Digested again = new Digested(OutputStream.nullOutputStream());
        in.unwrap(PGConnection.class).getCopyAPI().copyOut(table.copyOutUncounted(gym), again);
        if (!again.digest().equals(moved.digest())) {
            throw new IllegalStateException("What came into the table " + table.name() + " is not what was sent");
        }
    }

    private Map<String, String> newPasswords(Connection in, UUID gym) throws SQLException {
        Map<String, String> tokens = new LinkedHashMap<>();
        OffsetDateTime now = OffsetDateTime.ofInstant(clock.instant(), ZoneOffset.UTC);
        try (PreparedStatement owners = in.prepareStatement(
                "select id, name from account where gym_id = ? and role = 'owner' and left_at is null order by created_at, name");
                PreparedStatement invite = in.prepareStatement("""
                        insert into invitation (id, gym_id, token_hash, kind, role, account, whom, made_by, made_at, expires_at)
                        values (?, ?, ?, 'password', 'owner', ?, '', ?, ?, ?)""")) {
            owners.setObject(1, gym);
            try (ResultSet rows = owners.executeQuery()) {
                while (rows.next()) {
                    UUID owner = rows.getObject(1, UUID.class);
                    String token = Secrets.fresh(BITS);
                    invite.setObject(1, UUID.randomUUID());
                    invite.setObject(2, gym);
                    invite.setString(3, Secrets.hash(token));
                    invite.setObject(4, owner);
                    invite.setObject(5, owner);
                    invite.setObject(6, now);
                    invite.setObject(7, now.plus(TO_CHOOSE_A_PASSWORD));
                    invite.execute();
                    tokens.put(rows.getString(2), token);
                }
            }
        }
        return tokens;
    }
}
