package db.migration;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;

/**
 * What is taught moves into one table, so that a part to come needs none of its own. H2 commits at each change of its tables,
 * so a machine that stops in the middle leaves some parts moved and some not: each is moved and its table dropped only where
 * that table is still there, and the whole is begun again at the next start.
 */
public class V23__OneTableForWhatIsTaught extends BaseJavaMigration {

    /** Tables that only said again what stands in a body. */
    private static final List<String> BESIDE = List.of("chain_link", "position");

    private static final Map<String, String> TABLES = new LinkedHashMap<>();

    static {
        TABLES.put("chains", "chain");
        TABLES.put("links", "link");
        TABLES.put("reactions", "reaction");
        TABLES.put("pairs", "position_pair");
        TABLES.put("drills", "drill_shape");
        TABLES.put("techniques", "technique");
        TABLES.put("rulesets", "ruleset");
        TABLES.put("tracks", "track");
        TABLES.put("ladders", "ladder");
        TABLES.put("words", "word");
        TABLES.put("terms", "term");
        TABLES.put("closures", "closure");
        TABLES.put("patterns", "class_pattern");
        TABLES.put("plans", "term_plan");
        TABLES.put("cycles", "theme_cycle");
        TABLES.put("numbers", "club_numbers");
    }

    @Override
    public void migrate(Context context) throws SQLException {
        move(context.getConnection());
    }

    /** @throws SQLException if a step fails; what was moved stays moved */
    static void move(Connection club) throws SQLException {
        run(
                club,
                "create table if not exists taught (part varchar(40) not null, id varchar(80) not null,"
                        + " body varchar(1000000) not null, primary key (part, id))");
        for (String table : BESIDE) {
            run(club, "drop table if exists " + table + " cascade");
        }
        for (Map.Entry<String, String> entry : TABLES.entrySet()) {
            if (isThere(club, entry.getValue())) {
                run(club, "delete from taught where part = '" + entry.getKey() + "'");
                run(
                        club,
                        "insert into taught (part, id, body) select '" + entry.getKey() + "', id, body from "
                                + entry.getValue());
                run(club, "drop table " + entry.getValue() + " cascade");
            }
        }
    }

    private static void run(Connection club, String sql) throws SQLException {
        try (Statement statement = club.createStatement()) {
            statement.execute(sql);
        }
    }

    private static boolean isThere(Connection club, String table) throws SQLException {
        try (PreparedStatement asked = club.prepareStatement("select count(*) from information_schema.tables"
                + " where table_schema = current_schema and lower(table_name) = ?")) {
            asked.setString(1, table);
            try (ResultSet found = asked.executeQuery()) {
                found.next();
                return found.getInt(1) > 0;
            }
        }
    }
}
