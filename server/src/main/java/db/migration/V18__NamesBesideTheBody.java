package db.migration;

import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import lynchet.format.Json;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import tools.jackson.databind.JsonNode;

/** What finding and checking in show of somebody gets columns, so that no body is read for it. It reads bodies as trees. */
public class V18__NamesBesideTheBody extends BaseJavaMigration {

    @Override
    public void migrate(Context context) throws SQLException {
        java.sql.Connection connection = context.getConnection();
        try (Statement statement = connection.createStatement()) {
            statement.execute("alter table student add column name varchar(400) default '' not null");
            statement.execute("alter table student add column called_by varchar(400) default '' not null");
            statement.execute("alter table student add column falls_known boolean");
            statement.execute("create index student_here on student (left_on, id)");
        }
        try (Statement statement = connection.createStatement();
                ResultSet all = statement.executeQuery("select id, body from student");
                PreparedStatement row = connection.prepareStatement(
                        "update student set name = ?, called_by = ?, falls_known = ? where id = ?")) {
            while (all.next()) {
                JsonNode student = Json.ofTheDisk().readTree(all.getString(2));
                String name = student.path("name").asString("");
                row.setString(1, name);
                row.setString(2, student.path("calledBy").asString(name.strip().split("\\s+")[0]));
                JsonNode guest = student.path("guest");
                if (guest.isObject()) {
                    row.setBoolean(3, guest.path("fallsKnown").asBoolean(false));
                } else {
                    row.setNull(3, java.sql.Types.BOOLEAN);
                }
                row.setString(4, all.getString(1));
                row.executeUpdate();
            }
        }
    }
}
