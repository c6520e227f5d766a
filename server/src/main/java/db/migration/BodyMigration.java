package db.migration;

import java.sql.Connection;
import java.sql.Date;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import lynchet.format.Json;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A migration that reads bodies as trees, as they were written then, and writes rows. */
abstract class BodyMigration extends BaseJavaMigration {

    private static final int BATCH_SIZE = 500;

    Connection club;

    interface Body {
        void at(String id, String body) throws SQLException;
    }

    /** Hands on every body of a table, a handful at a time. */
    final void each(String table, Body to) throws SQLException {
        String after = "";
        while (true) {
            List<String[]> some = new ArrayList<>();
            try (PreparedStatement query = club.prepareStatement(
                    "select id, body from " + table + " where id > ? order by id limit " + BATCH_SIZE)) {
                query.setString(1, after);
                try (ResultSet rows = query.executeQuery()) {
                    while (rows.next()) {
                        some.add(new String[] {rows.getString(1), rows.getString(2)});
                    }
                }
            }
            for (String[] row : some) {
                to.at(row[0], row[1]);
                after = row[0];
            }
            if (some.size() < BATCH_SIZE) {
                return;
            }
        }
    }

    final void run(String sql, Object... values) throws SQLException {
        try (PreparedStatement statement = club.prepareStatement(sql)) {
            for (int i = 0; i < values.length; i++) {
                Object value = values[i];
                if (value instanceof LocalDate day) {
                    statement.setDate(i + 1, Date.valueOf(day));
                } else if (value instanceof Instant at) {
                    statement.setObject(i + 1, OffsetDateTime.ofInstant(at, ZoneOffset.UTC));
                } else {
                    statement.setObject(i + 1, value);
                }
            }
            statement.executeUpdate();
        }
    }

    final void insert(String table, String columns, Object... values) throws SQLException {
        run(
                "insert into " + table + " (" + columns + ") values ("
                        + String.join(", ", java.util.Collections.nCopies(values.length, "?")) + ")",
                values);
    }

    ObjectNode tree(String body) {
        return (ObjectNode) Json.ofTheDisk().readTree(body);
    }

    static String text(JsonNode of, String field) {
        return of.path(field).asString(null);
    }

    static LocalDate day(JsonNode of, String field) {
        return text(of, field) == null ? null : LocalDate.parse(text(of, field));
    }

    static Instant moment(JsonNode of, String field) {
        return text(of, field) == null ? Instant.EPOCH : Instant.parse(text(of, field));
    }

    /** A word of a fixed list; left out, it is the usual one. */
    static String word(JsonNode of, String field, String usual) {
        return of.path(field).asString(usual);
    }

    static String joined(String outer, String inner) {
        return inner == null ? null : outer + "/" + inner;
    }
}
