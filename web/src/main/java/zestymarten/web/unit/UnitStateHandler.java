package zestymarten.web.unit;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.jspecify.annotations.Nullable;
import zestymarten.core.testrun.UnitState;

/** States of units by their codes. */
public final class UnitStateHandler extends BaseTypeHandler<UnitState> {
    @Override
    public void setNonNullParameter(PreparedStatement statement, int at, UnitState state, @Nullable JdbcType type)
            throws SQLException {
        statement.setString(at, state.code());
    }

    @Override
    public UnitState getNullableResult(ResultSet row, String column) throws SQLException {
        return UnitState.of(row.getString(column));
    }

    @Override
    public UnitState getNullableResult(ResultSet row, int column) throws SQLException {
        return UnitState.of(row.getString(column));
    }

    @Override
    public UnitState getNullableResult(CallableStatement call, int column) throws SQLException {
        return UnitState.of(call.getString(column));
    }
}
