package db.migration;

import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import lynchet.format.Json;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import tools.jackson.databind.JsonNode;

/**
 * What the roster is filtered by gets columns beside the body: days that come or have passed, and who is one family. It reads
 * bodies as trees, as they were written then.
 */
public class V9__WhatTheRosterAsks extends BaseJavaMigration {

    private static final LocalDate UNTIL_LIFTED = LocalDate.of(9999, 12, 31);
    private static final int SHORTEST_NUMBER = 5;

    @Override
    public void migrate(Context context) throws SQLException {
        java.sql.Connection connection = context.getConnection();
        try (Statement statement = connection.createStatement()) {
            statement.execute("alter table student add column joined date");
            statement.execute("alter table student add column born date");
            statement.execute("alter table student add column birthday int");
            statement.execute("alter table student add column weighed date");
            statement.execute("alter table student add column member_until date");
            statement.execute("alter table student add column limited_until date");
            statement.execute("alter table student add column is_held boolean default false not null");
            statement.execute("create table student_reach (student varchar(80) not null references student (id),"
                    + " reached_by varchar(160) not null, primary key (student, reached_by))");
            statement.execute("create index mark_at on mark (at)");
            statement.execute("create index student_reach_by on student_reach (reached_by)");
        }
        try (Statement statement = connection.createStatement();
                ResultSet all = statement.executeQuery("select id, body from student");
                PreparedStatement row =
                        connection.prepareStatement("update student set joined = ?, born = ?, birthday = ?,"
                                + " weighed = ?, member_until = ?, limited_until = ?, is_held = ? where id = ?");
                PreparedStatement reach =
                        connection.prepareStatement("insert into student_reach (student, reached_by) values (?, ?)")) {
            while (all.next()) {
                JsonNode student = Json.ofTheDisk().readTree(all.getString(2));
                LocalDate born = day(student.path("born"));
                row.setObject(1, day(student.path("joined")));
                row.setObject(2, born);
                row.setObject(3, born == null ? null : born.getMonthValue() * 100 + born.getDayOfMonth());
                row.setObject(4, day(student.path("weighed")));
                row.setObject(5, day(student.path("memberUntil")));
                row.setObject(6, limitedUntil(student.path("restrictions")));
                row.setBoolean(7, isHeld(student.path("holds")));
                row.setString(8, all.getString(1));
                row.executeUpdate();
                for (String by : reachedBy(student.path("contacts"))) {
                    reach.setString(1, all.getString(1));
                    reach.setString(2, by);
                    reach.executeUpdate();
                }
            }
        }
    }

    private static LocalDate day(JsonNode written) {
        return written.isString() ? LocalDate.parse(written.asString()) : null;
    }

    /** The last day on which one of the limits holds; null: there is none. */
    private static LocalDate limitedUntil(JsonNode limits) {
        LocalDate last = null;
        for (JsonNode limit : limits) {
            LocalDate until = day(limit.path("until"));
            LocalDate holds = until == null ? UNTIL_LIFTED : until;
            last = last == null || holds.isAfter(last) ? holds : last;
        }
        return last;
    }

    private static boolean isHeld(JsonNode holds) {
        for (JsonNode hold : holds) {
            if (day(hold.path("ended")) == null) {
                return true;
            }
        }
        return false;
    }

    /** Addresses in small letters and numbers without blanks; who shares one of them is one family. */
    private static Set<String> reachedBy(JsonNode contacts) {
        Set<String> all = new TreeSet<>();
        for (String field : List.of("email", "guardianEmail")) {
            String address = contacts.path(field).asString("").strip().toLowerCase(Locale.ROOT);
            if (!address.isEmpty()) {
                all.add(address);
            }
        }
        for (String field : List.of("phone", "guardianPhone")) {
            String digits = contacts.path(field).asString("").replaceAll("[^0-9]", "");
            if (digits.length() >= SHORTEST_NUMBER) {
                all.add(digits);
            }
        }
        return all;
    }
}
