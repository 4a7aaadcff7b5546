package dobbin.server.backup;

import dobbin.server.data.DataStore;
import dobbin.server.data.Migrations;
import java.io.IOException;
import java.math.BigInteger;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DatabaseMetaData;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Consumer;
import org.flywaydb.core.api.FlywayException;

/**
 * Carries all rows from one database to another with the same tables, and compares what arrived with what was there. Which tables
 * and columns there are is asked of the databases, so that none is forgotten.
 */
final class MoveStore {
    /** Tables that are not carried over: migrations, sessions, wrong passwords, scheduled tasks, messages between instances. */
    private static final Set<String> STAYS = Set.of(
            "flyway_schema_history",
            "bucket_folder",
            "browser_session",
            "browser_session_attributes",
            "wrong_password",
            "scheduled_tasks",
            "told");

    private static final String READ_A_ROW_AT_A_TIME = "SET LAZY_QUERY_EXECUTION 1";
    /** Few, since each row can hold a picture of many megabytes. */
    private static final int ROWS_AT_A_TIME = 8;

    private static final int BATCH_BYTES = 4_000_000;
    private static final int BATCH_ROWS = 500;

    private final Connection from;
    private final Connection to;

    private MoveStore(Connection from, Connection to) {
        this.from = from;
        this.to = to;
    }

    /** What was carried over of one table, or of all. */
    record Carried(long rows, long bytes) {
        Carried plus(Carried other) {
            return new Carried(rows + other.rows, bytes + other.bytes);
        }

        String sentence() {
            return String.format(Locale.ROOT, "%,d %s, %,d bytes", rows, rows == 1 ? "row" : "rows", bytes);
        }
    }

    /**
     * Carries all over, or nothing. Both databases get the tables that this version has.
     *
     * @param folder whose file nobody works with
     * @param told a line for each table
     * @throws IOException whose message is a sentence on what was not done
     */
    static Carried carry(Path folder, String address, String user, String password, Consumer<String> told)
            throws IOException {
        String file = Migrations.addressOf(folder) + ";IFEXISTS=TRUE";
        try {
            Migrations.bringUp(file, Migrations.USER, "");
            Migrations.bringUp(address, user, password);
            try (Connection from = DriverManager.getConnection(file, Migrations.USER, "");
                    Connection to = DriverManager.getConnection(address, user, password)) {
                return new MoveStore(from, to).carry(told);
            }
        } catch (SQLException | FlywayException e) {
            throw new IOException(DataStore.sentence(e, "The data were not moved"), e);
        }
    }

    private Carried carry(Consumer<String> told) throws SQLException, IOException {
        Map<String, List<StoredColumn>> tables = tables();
        for (String table : tables.keySet()) {
            if (!isEmpty(table)) {
                throw new IOException("The database has data already. Choose one with nothing in it.");
            }
        }
        try (Statement statement = from.createStatement()) {
            statement.execute(READ_A_ROW_AT_A_TIME);
        }
        to.setAutoCommit(false);
        Carried all = new Carried(0, 0);
        for (Map.Entry<String, List<StoredColumn>> table : tables.entrySet()) {
            Carried carried = carry(table.getKey(), table.getValue());
            told.accept(table.getKey() + ": " + carried.sentence() + ", the same there");
            all = all.plus(carried);
        }
        goOnCounting();
        to.commit();
        return all;
    }

    /** @return the columns of each table, tables that others point to first */
    private Map<String, List<StoredColumn>> tables() throws SQLException {
        DatabaseMetaData about = from.getMetaData();
        Map<String, Set<String>> pointsTo = new LinkedHashMap<>();
        try (ResultSet found = about.getTables(null, "PUBLIC", null, new String[] {"BASE TABLE"})) {
            while (found.next()) {
                String table = found.getString("TABLE_NAME");
                if (!STAYS.contains(table.toLowerCase(Locale.ROOT))) {
                    pointsTo.put(table, pointedTo(about, table));
                }
            }
        }
        Map<String, List<StoredColumn>> tables = new LinkedHashMap<>();
        while (!pointsTo.isEmpty()) {
            String next = pointsTo.entrySet().stream()
                    .filter(each -> each.getValue().stream().noneMatch(pointsTo::containsKey))
                    .map(Map.Entry::getKey)
                    .findFirst()
                    .orElseThrow(() -> new SQLException("Tables point at one another: " + pointsTo.keySet()));
            pointsTo.remove(next);
            tables.put(next.toLowerCase(Locale.ROOT), columns(about, next));
        }
        return tables;
    }

    private static Set<String> pointedTo(DatabaseMetaData about, String table) throws SQLException {
        Set<String> others = new TreeSet<>();
        try (ResultSet keys = about.getImportedKeys(null, "PUBLIC", table)) {
            while (keys.next()) {
                others.add(keys.getString("PKTABLE_NAME"));
            }
        }
        others.remove(table);
        return others;
    }

    private static List<StoredColumn> columns(DatabaseMetaData about, String table) throws SQLException {
        List<StoredColumn> columns = new ArrayList<>();
        try (ResultSet found = about.getColumns(null, "PUBLIC", table, null)) {
            while (found.next()) {
                columns.add(StoredColumn.of(found.getString("COLUMN_NAME"), found.getInt("DATA_TYPE")));
            }
        }
        return columns;
    }

    private boolean isEmpty(String table) throws SQLException {
        try (Statement statement = to.createStatement();
                ResultSet any = statement.executeQuery("SELECT 1 FROM " + table + " LIMIT 1")) {
            return !any.next();
        }
    }

    private Carried carry(String table, List<StoredColumn> columns) throws SQLException, IOException {
        String names =
                String.join(", ", columns.stream().map(StoredColumn::name).toList());
        String marks = String.join(", ", columns.stream().map(column -> "?").toList());
        String select = "SELECT " + names + " FROM " + table;
        Sum sent;
        try (PreparedStatement insert =
                to.prepareStatement("INSERT INTO " + table + " (" + names + ") VALUES (" + marks + ")")) {
            sent = sent(select, columns, insert);
        }
        Sum arrived = sum(to, select, columns);
        if (!arrived.equals(sent)) {
            throw new IOException("What arrived in the table " + table
                    + " is not what was sent. Nothing was kept there; the folder still has all.");
        }
        return new Carried(sent.rows, sent.bytes);
    }

    private Sum sent(String select, List<StoredColumn> columns, PreparedStatement insert) throws SQLException {
        Sum sum = Sum.NOTHING;
        long writtenRows = 0;
        long writtenBytes = 0;
        try (Statement statement = from.createStatement();
                ResultSet row = statement.executeQuery(select)) {
            while (row.next()) {
                List<Object> values = StoredColumn.read(columns, row);
                for (int i = 0; i < values.size(); i++) {
                    StoredColumn.write(insert, i + 1, values.get(i));
                }
                insert.addBatch();
                sum = sum.plus(values);
                if (sum.rows - writtenRows >= BATCH_ROWS || sum.bytes - writtenBytes >= BATCH_BYTES) {
                    insert.executeBatch();
                    writtenRows = sum.rows;
                    writtenBytes = sum.bytes;
                }
            }
        }
        insert.executeBatch();
        return sum;
    }

    private static Sum sum(Connection database, String select, List<StoredColumn> columns) throws SQLException {
        Sum sum = Sum.NOTHING;
        try (Statement statement = database.createStatement()) {
            statement.setFetchSize(ROWS_AT_A_TIME);
            try (ResultSet row = statement.executeQuery(select)) {
                while (row.next()) {
                    sum = sum.plus(StoredColumn.read(columns, row));
                }
            }
        }
        return sum;
    }

    /** Steps that are made from now on get numbers above those that came. */
    private void goOnCounting() throws SQLException {
        try (Statement statement = to.createStatement()) {
            statement.execute("SELECT setval('step_serial', (SELECT COALESCE(MAX(serial), 0) + 1 FROM step), false)");
        }
    }

    /**
     * What rows add up to, in whatever order they come: the sum of the SHA-256 of each (Bellare, Micciancio, "A New Paradigm for
     * Collision-Free Hashing", 1997, their AdHash).
     */
    private record Sum(long rows, long bytes, BigInteger hashes) {
        static final Sum NOTHING = new Sum(0, 0, BigInteger.ZERO);

        Sum plus(List<Object> values) {
            RowHash hash = RowHash.of(values);
            return new Sum(rows + 1, bytes + hash.bytes(), hashes.add(hash.number()));
        }
    }
}
