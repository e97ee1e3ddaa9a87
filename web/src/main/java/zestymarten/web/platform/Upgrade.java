package zestymarten.web.platform;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.CoreErrorCode;
import org.flywaydb.core.api.MigrationInfo;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.stereotype.Component;

/**
 * Brings the data of any earlier program along. Data of a newer program are left alone: this one would not know what stands
 * in them. Two migrations were edited after they had been used, in bounds that V16 and V19 set anew for everybody; what
 * they were before is recognised, and anything else that differs is refused.
 */
@Component
class Upgrade implements FlywayMigrationStrategy {
    /** By version: Flyway's checksums of what the file was before. */
    private static final Map<String, Integer> EARLIER = Map.of("1", 615_606_849, "12", -132_862_025);

    @Override
    public void migrate(Flyway flyway) {
        refuseNewer(flyway);
        carryEdited(flyway);
        flyway.migrate();
    }

    private static void refuseNewer(Flyway flyway) {
        MigrationInfo[] all = flyway.info().all();
        boolean newer = Stream.of(all)
                .anyMatch(
                        each -> each.getState().isApplied() && !each.getState().isResolved());
        if (newer) {
            String data = String.valueOf(flyway.info().current().getVersion());
            String program = Stream.of(all)
                    .filter(each -> each.getState().isResolved())
                    .map(each -> String.valueOf(each.getVersion()))
                    .reduce("none", (first, last) -> last);
            throw new IllegalStateException("The database is newer than this program: its data are of version " + data
                    + ", this program knows " + program + ". Start the newer program; nothing was changed.");
        }
    }

    private static void carryEdited(Flyway flyway) {
        List<String> edited = flyway.validateWithResult().invalidMigrations.stream()
                .filter(each -> each.errorDetails.errorCode == CoreErrorCode.CHECKSUM_MISMATCH)
                .map(each -> each.version)
                .toList();
        if (!edited.isEmpty() && edited.stream().allMatch(isEarlier(checksums(flyway)))) {
            flyway.repair();
        }
    }

    private static Predicate<String> isEarlier(Map<String, Integer> applied) {
        return version -> EARLIER.containsKey(version) && Objects.equals(EARLIER.get(version), applied.get(version));
    }

    /** The table of what was applied, in the schema that the data are in where one was named. */
    private static String history(Flyway flyway) {
        String[] schemas = flyway.getConfiguration().getSchemas();
        return (schemas.length == 0 ? "" : schemas[0] + ".")
                + flyway.getConfiguration().getTable();
    }

    private static Map<String, Integer> checksums(Flyway flyway) {
        Map<String, Integer> checksums = new HashMap<>();
        try (Connection database = flyway.getConfiguration().getDataSource().getConnection();
                Statement ask = database.createStatement();
                ResultSet rows = ask.executeQuery(
                        "select version, checksum from " + history(flyway) + " where version is not null")) {
            while (rows.next()) {
                checksums.put(rows.getString(1), rows.getInt(2));
            }
            return checksums;
        } catch (SQLException e) {
            throw new IllegalStateException("The history of the data cannot be read.", e);
        }
    }
}
