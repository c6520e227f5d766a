package db.migration;

import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Optional;
import java.util.Set;
import lynchet.core.people.Contacts;
import lynchet.core.people.Student;
import lynchet.format.Json;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;

/** What the roster is filtered by gets columns beside the body: days that come or have passed, and who is one family. */
public class V9__WhatTheRosterAsks extends BaseJavaMigration {

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
                Student student = Json.ofTheDisk().readValue(all.getString(2), Student.class);
                row.setObject(1, student.joined());
                row.setObject(2, student.born());
                row.setObject(3, student.birthday().orElse(null));
                row.setObject(4, student.weighed());
                row.setObject(5, student.memberUntil());
                row.setObject(6, student.limitedUntil().orElse(null));
                row.setBoolean(7, student.staysHeld());
                row.setString(8, student.id());
                row.executeUpdate();
                for (String by : Optional.ofNullable(student.contacts())
                        .map(Contacts::reachedBy)
                        .orElseGet(Set::of)) {
                    reach.setString(1, student.id());
                    reach.setString(2, by);
                    reach.executeUpdate();
                }
            }
        }
    }
}
