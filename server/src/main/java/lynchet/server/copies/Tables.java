package lynchet.server.copies;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Types;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import lynchet.server.keep.Sha256;

/**
 * What stands in the tables of a club, every row of it read once.
 *
 * @param tables by name
 */
record Tables(Map<String, Table> tables) {

    /** These are written beside the work, by everybody who signs in; two readings of one moment may differ in them. */
    private static final List<String> BESIDE = List.of("SIGN_IN", "KNOWN_DEVICE");

    /**
     * One table.
     *
     * @param digest of all rows, in whatever order they come
     */
    record Table(long rows, long digest) {}

    /** @throws SQLException if something cannot be read */
    static Tables of(Connection club) throws SQLException {
        Map<String, Table> tables = new TreeMap<>();
        for (String name : names(club)) {
            tables.put(name, read(club, name));
        }
        return new Tables(tables);
    }

    private static List<String> names(Connection club) throws SQLException {
        List<String> names = new ArrayList<>();
        try (Statement statement = club.createStatement();
                ResultSet found = statement.executeQuery("select table_name from information_schema.tables"
                        + " where table_schema = 'PUBLIC' and table_type = 'BASE TABLE'")) {
            while (found.next()) {
                names.add(found.getString(1));
            }
        }
        names.removeAll(BESIDE);
        return names;
    }

    private static Table read(Connection club, String name) throws SQLException {
        try (Statement statement = club.createStatement()) {
            statement.setFetchSize(1000);
            // In order of id, as the program reads: an entry of the index whose row is not there is found as well.
            String inOrder = hasTextId(club, name) ? " where id > '' order by id" : "";
            try (ResultSet rows = statement.executeQuery("select * from \"" + name + "\"" + inOrder)) {
                long count = 0;
                long digest = 0;
                while (rows.next()) {
                    count++;
                    digest += digest(rows);
                }
                return new Table(count, digest);
            }
        }
    }

    private static boolean hasTextId(Connection club, String table) throws SQLException {
        try (ResultSet column = club.getMetaData().getColumns(null, "PUBLIC", table, "ID")) {
            return column.next() && column.getInt("DATA_TYPE") == Types.VARCHAR;
        }
    }

    private static long digest(ResultSet row) throws SQLException {
        StringBuilder text = new StringBuilder();
        for (int i = 1; i <= row.getMetaData().getColumnCount(); i++) {
            int type = row.getMetaData().getColumnType(i);
            boolean isBinary = type == Types.VARBINARY || type == Types.BINARY || type == Types.BLOB;
            byte[] bytes = isBinary ? row.getBytes(i) : null;
            text.append(
                            isBinary
                                    ? bytes == null ? null : new String(bytes, StandardCharsets.ISO_8859_1)
                                    : row.getString(i))
                    .append('\u0001');
        }
        return ByteBuffer.wrap(Sha256.of(text.toString())).getLong();
    }

    /** Whether each table holds as many rows as it held before or after, or something between. */
    boolean isBetween(Tables before, Tables after) {
        return tables.keySet().equals(after.tables().keySet())
                && tables.entrySet().stream().allMatch(mine -> {
                    long rows = mine.getValue().rows();
                    long was = before.rows(mine.getKey());
                    long is = after.rows(mine.getKey());
                    return rows >= Math.min(was, is) && rows <= Math.max(was, is);
                });
    }

    private long rows(String table) {
        Table found = tables.get(table);
        return found == null ? 0 : found.rows();
    }
}
