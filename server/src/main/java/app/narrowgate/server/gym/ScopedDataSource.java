package app.narrowgate.server.gym;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.Collections;
import java.util.Map;
import java.util.WeakHashMap;
import javax.sql.DataSource;
import org.springframework.jdbc.datasource.DelegatingDataSource;

/**
 * Connections that ask in the name in which the thread asks that takes them. What a connection was told last is remembered, so
 * that it costs a round trip only where the name is another one. Whoever changes names keeps to it: a connection that is held,
 * as in a transaction, keeps the name in which it was taken.
 */
final class ScopedDataSource extends DelegatingDataSource {

    private static final String TELL = "select set_config('narrowgate.gym', ?, false), set_config('narrowgate.house', ?, false), "
            + "set_config('narrowgate.only_shared', ?, false)";

    /** By the connection under the pool's. */
    private final Map<Connection, GymScope> told = Collections.synchronizedMap(new WeakHashMap<>());

    ScopedDataSource(DataSource pool) {
        super(pool);
    }

    @Override
    public Connection getConnection() throws SQLException {
        Connection connection = super.getConnection();
        try {
            tell(connection);
            return connection;
        } catch (SQLException | RuntimeException e) {
            connection.close();
            throw e;
        }
    }

    private void tell(Connection connection) throws SQLException {
        Connection physical = connection.unwrap(Connection.class);
        GymScope scope = GymScope.current();
        if (scope.equals(told.get(physical))) {
            return;
        }
        told.remove(physical);
        // Outside a transaction, so that no rollback takes it back.
        try (PreparedStatement statement = connection.prepareStatement(TELL)) {
            statement.setString(1, scope.gym() == null ? "" : scope.gym().toString());
            statement.setString(2, scope.house() ? "yes" : "");
            statement.setString(3, scope.onlyShared() ? "yes" : "");
            statement.execute();
        }
        told.put(physical, scope);
    }
}
