package app.narrowgate.server.config;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.UUID;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.MappedTypes;

/** UUIDs as PostgreSQL's own type. */
@MappedTypes(UUID.class)
public class UuidTypeHandler extends BaseTypeHandler<UUID> {

    @Override
    public void setNonNullParameter(PreparedStatement statement, int i, UUID value, JdbcType type)
            throws SQLException {
        statement.setObject(i, value);
    }

    @Override
    public UUID getNullableResult(ResultSet rows, String column) throws SQLException {
        return rows.getObject(column, UUID.class);
    }

    @Override
    public UUID getNullableResult(ResultSet rows, int column) throws SQLException {
        return rows.getObject(column, UUID.class);
    }

    @Override
    public UUID getNullableResult(CallableStatement statement, int column) throws SQLException {
        return statement.getObject(column, UUID.class);
    }
}
