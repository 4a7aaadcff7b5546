package dobbin.server.backup;

import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** A column that two databases have, and how its values are read alike from both. */
record StoredColumn(String name, Kind kind) {
    /** Kinds of values. */
    enum Kind {
        TEXT,
        BYTES,
        WHOLE,
        REAL,
        TRUTH,
        MOMENT
    }

    /** @param type of {@link Types} */
    static StoredColumn of(String name, int type) throws SQLException {
        Kind kind = switch (type) {
            case Types.CHAR, Types.VARCHAR, Types.CLOB -> Kind.TEXT;
            case Types.BINARY, Types.VARBINARY, Types.BLOB -> Kind.BYTES;
            case Types.INTEGER, Types.BIGINT -> Kind.WHOLE;
            case Types.DOUBLE -> Kind.REAL;
            case Types.BOOLEAN -> Kind.TRUTH;
            case Types.TIMESTAMP_WITH_TIMEZONE -> Kind.MOMENT;
            default -> throw new SQLException("The column " + name + " has a type that is not carried: " + type);
        };
        return new StoredColumn(name.toLowerCase(Locale.ROOT), kind);
    }

    /** @return the values of the current row, null where there is none */
    static List<Object> read(List<StoredColumn> columns, ResultSet row) throws SQLException {
        List<Object> values = new ArrayList<>();
        for (int i = 0; i < columns.size(); i++) {
            Object value = columns.get(i).read(row, i + 1);
            values.add(row.wasNull() ? null : value);
        }
        return values;
    }

    private Object read(ResultSet row, int index) throws SQLException {
        return switch (kind) {
            case TEXT -> row.getString(index);
            case BYTES -> row.getBytes(index);
            case WHOLE -> row.getLong(index);
            case REAL -> row.getDouble(index);
            case TRUTH -> row.getBoolean(index);
            case MOMENT -> moment(row.getObject(index, OffsetDateTime.class));
        };
    }

    private static OffsetDateTime moment(OffsetDateTime read) {
        return read == null ? null : read.withOffsetSameInstant(ZoneOffset.UTC);
    }

    static void write(PreparedStatement statement, int index, Object value) throws SQLException {
        if (value == null) {
            statement.setNull(index, Types.NULL);
        } else {
            statement.setObject(index, value);
        }
    }
}
