package zestymarten.web.worksheet;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Map;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.jspecify.annotations.Nullable;
import zestymarten.core.testrun.StepState;

/**
 * Results of sheets by the words they were first saved with, which {@link StepState} reads: a saved sheet is a record, and
 * never written anew.
 */
public final class SheetResultHandler extends BaseTypeHandler<StepState> {
    private static final Map<StepState, String> STORED = Map.of(
            StepState.PASS, "good",
            StepState.MARGINAL, "watch",
            StepState.FAIL, "fault",
            StepState.NOT_TESTED, "untested");

    @Override
    public void setNonNullParameter(PreparedStatement statement, int at, StepState result, @Nullable JdbcType type)
            throws SQLException {
        statement.setString(at, STORED.get(result));
    }

    @Override
    public StepState getNullableResult(ResultSet row, String column) throws SQLException {
        return StepState.of(row.getString(column));
    }

    @Override
    public StepState getNullableResult(ResultSet row, int column) throws SQLException {
        return StepState.of(row.getString(column));
    }

    @Override
    public StepState getNullableResult(CallableStatement call, int column) throws SQLException {
        return StepState.of(call.getString(column));
    }
}
