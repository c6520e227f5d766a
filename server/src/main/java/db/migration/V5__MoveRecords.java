package db.migration;

import java.sql.Date;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import lynchet.core.club.Target;
import lynchet.format.Json;
import lynchet.format.Upgrade;
import lynchet.format.csv.Roll;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Moves what was kept as bodies into the relations of V4, and takes ranks and slots out of people and terms. It reads bodies as
 * trees, as they were written then, so that no record of today has a say in it.
 */
public class V5__MoveRecords extends BaseJavaMigration {

    private static final int BATCH_SIZE = 500;

    private final JsonMapper mapper = Json.ofTheDisk();
    private final Set<String> there = new HashSet<>();
    private final Upgrade upgrade = new Upgrade((target, id) -> there.contains(target + id));
    private java.sql.Connection connection;

    @Override
    public void migrate(Context context) throws SQLException {
        connection = context.getConnection();
        map();
        calendarAndLadders();
        people();
        classes();
        attendance();
        practice();
        marks();
        rounds();
        gaps();
        try (Statement statement = connection.createStatement()) {
            for (String table : List.of(
                    "old_attendance",
                    "old_practice",
                    "old_mark",
                    "old_round",
                    "old_ignored_gap",
                    "old_grading",
                    "old_training_class",
                    "old_student",
                    "old_chain_link",
                    "old_link",
                    "old_reaction")) {
                statement.execute("drop table " + table);
            }
        }
    }

    private interface Body {
        void at(String id, String body) throws SQLException;
    }

    /** Hands on every body of a table, a handful at a time. */
    private void each(String table, Body to) throws SQLException {
        String after = "";
        while (true) {
            List<String[]> some = new ArrayList<>();
            try (PreparedStatement query = connection.prepareStatement(
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

    private void run(String sql, Object... values) throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement(sql)) {
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

    private void insert(String table, String columns, Object... values) throws SQLException {
        run(
                "insert into " + table + " (" + columns + ") values ("
                        + String.join(", ", java.util.Collections.nCopies(values.length, "?")) + ")",
                values);
    }

    private interface Pointing {
        void to(String target, String pointed) throws SQLException;
    }

    private interface Pointers {
        void of(Pointing pointing) throws SQLException;
    }

    /** What a body points at, as it was when this migration was written; later ones are kept by what writes them. */
    private void pointers(String part, String thing, Pointers pointers) throws SQLException {
        pointers.of((target, pointed) -> {
            if (pointed != null) {
                insert("points_at", "part, thing, target, pointed", part, thing, target, pointed);
            }
        });
    }

    private ObjectNode tree(String body) {
        return (ObjectNode) mapper.readTree(body);
    }

    private static String text(JsonNode of, String field) {
        return of.path(field).asString(null);
    }

    private static LocalDate day(JsonNode of, String field) {
        return text(of, field) == null ? null : LocalDate.parse(text(of, field));
    }

    private static Instant moment(JsonNode of, String field) {
        return text(of, field) == null ? Instant.EPOCH : Instant.parse(text(of, field));
    }

    /** A word of a fixed list; left out, it is the usual one. */
    private static String word(JsonNode of, String field, String usual) {
        return of.path(field).asString(usual);
    }

    private static String joined(String outer, String inner) {
        return inner == null ? null : outer + "/" + inner;
    }

    private void map() throws SQLException {
        each("position_pair", (id, body) -> {
            for (String side : List.of("first", "second")) {
                String position = text(tree(body).path(side), "id");
                if (position != null) {
                    insert("position", "id, pair", position, id);
                }
            }
        });
        each(
                "old_reaction",
                (id, body) -> insert("reaction", "id, leaves, body", id, text(tree(body), "leaves"), body));
        each("old_link", (id, body) -> {
            JsonNode link = tree(body);
            String to = text(link, "to");
            insert(
                    "link",
                    "id, from_position, to_position, technique, when_reaction, body",
                    id,
                    text(link, "from"),
                    "TAP".equals(to) ? null : to,
                    text(link, "technique"),
                    text(link, "when"),
                    body);
        });
        run("insert into chain_link (chain, link) select chain, link from old_chain_link");
    }

    /** Slots go from terms to their tracks; a ladder counts only tracks that are there. */
    private void calendarAndLadders() throws SQLException {
        each("track", (id, body) -> there.add(Target.TRACK + id));
        each("old_student", (id, body) -> there.add(Target.STUDENT + id));
        each("technique", (id, body) -> {
            JsonNode card = tree(body);
            List<JsonNode> faulty = new ArrayList<>(List.of(card));
            for (JsonNode version : card.path("versions")) {
                there.add(Target.VERSION + joined(id, text(version, "id")));
                faulty.add(version);
            }
            for (JsonNode one : faulty) {
                for (JsonNode fault : one.path("faults")) {
                    there.add(Target.FAULT + joined(id, text(fault, "id")));
                }
            }
        });
        each(
                "term",
                (id, body) -> run(
                        "update term set body = ? where id = ?",
                        upgrade.term(tree(body)).toString(),
                        id));
        each(
                "track",
                (id, body) -> run(
                        "update track set body = ? where id = ?",
                        upgrade.track(tree(body)).toString(),
                        id));
        each(
                "ladder",
                (id, body) -> run(
                        "update ladder set body = ? where id = ?",
                        upgrade.ladder(tree(body)).toString(),
                        id));
    }

    private void people() throws SQLException {
        each("old_student", (id, body) -> {
            ObjectNode old = tree(body);
            List<ObjectNode> promotions = Upgrade.promotions(old);
            ObjectNode student = upgrade.student(old);
            String card = text(student, "card");
            insert(
                    "student",
                    "id, card, folded_name, left_on, body",
                    id,
                    card == null || card.isBlank() ? null : card.strip(),
                    Roll.fold(text(student, "name")),
                    day(student, "left"),
                    student.toString());
            pointers("people", id, to -> {
                for (JsonNode track : student.path("tracks")) {
                    to.to("TRACK", track.asString());
                }
                for (String field : List.of("keepApart", "prefers")) {
                    for (JsonNode other : student.path(field)) {
                        to.to("STUDENT", other.asString());
                    }
                }
            });
            for (JsonNode given : promotions) {
                insert(
                        "promotion",
                        "id, student, ladder, to_rank, stripes, given_on, from_before, reason, at",
                        text(given, "id"),
                        id,
                        text(given, "ladder"),
                        text(given, "to"),
                        given.path("stripes").asInt(0),
                        day(given, "date"),
                        true,
                        "",
                        Instant.EPOCH);
            }
        });
        each("old_grading", (id, body) -> {
            JsonNode grading = tree(body);
            String ladder = text(grading, "ladder");
            insert("grading", "id, grading_date, ladder, body", id, day(grading, "date"), ladder, body);
            pointers("gradings", id, to -> {
                to.to("LADDER", ladder);
                for (JsonNode candidate : grading.path("candidates")) {
                    to.to("STUDENT", text(candidate, "student"));
                    to.to("RANK_OF_LADDER", joined(ladder, text(candidate, "rank")));
                }
            });
        });
    }

    private void classes() throws SQLException {
        each("old_training_class", (id, body) -> {
            ObjectNode trained = upgrade.trained(tree(body));
            insert(
                    "training_class",
                    "id, class_date, track, cancelled, body",
                    id,
                    day(trained, "date"),
                    text(trained, "track"),
                    trained.path("cancelled").asBoolean(false),
                    trained.toString());
            pointers("classes", id, to -> {
                to.to("TRACK", text(trained, "track"));
                to.to("SLOT", text(trained, "slot"));
                to.to("TERM", text(trained, "term"));
                for (JsonNode block : trained.path("blocks")) {
                    String technique = text(block, "technique");
                    to.to("TECHNIQUE", technique);
                    to.to("POSITION", text(block, "position"));
                    to.to("CHAIN", text(block, "chain"));
                    to.to("VERSION", joined(technique, text(block, "version")));
                    to.to("FAULT", joined(technique, text(block, "watchFault")));
                }
            });
        });
    }

    private void attendance() throws SQLException {
        each("old_attendance", (id, body) -> {
            JsonNode there = tree(body);
            run(
                    "insert into attendance (id, student, class_id, class_date, how, at, by_account)"
                            + " select ?, ?, c.id, c.class_date, ?, ?, ? from training_class c where c.id = ?",
                    id,
                    text(there, "student"),
                    word(there, "how", "NAME"),
                    moment(there, "at"),
                    text(there, "by"),
                    text(there, "classId"));
        });
    }

    private boolean exists(String table, String id) throws SQLException {
        try (PreparedStatement query = connection.prepareStatement("select 1 from " + table + " where id = ?")) {
            query.setString(1, id);
            try (ResultSet rows = query.executeQuery()) {
                return rows.next();
            }
        }
    }

    /** Practice of somebody who never existed got in before references were checked; it counted for nobody and is left out. */
    private void practice() throws SQLException {
        each("old_practice", (id, body) -> {
            JsonNode drilled = tree(body);
            String whose = text(drilled, "student");
            if (whose != null && !exists("student", whose)) {
                return;
            }
            insert(
                    "practice",
                    "id, class_id, block, student, technique, chain, side, reps, is_part, played, at, by_account,"
                            + " withdrawn",
                    id,
                    text(drilled, "classId"),
                    text(drilled, "blockId"),
                    whose,
                    text(drilled, "technique"),
                    text(drilled, "chain"),
                    word(drilled, "side", "BOTH"),
                    drilled.path("reps").asInt(0),
                    drilled.path("part").asBoolean(false),
                    word(drilled, "role", "PERFORMER"),
                    moment(drilled, "at"),
                    text(drilled, "by"),
                    drilled.path("withdrawn").asBoolean(false));
            int place = 0;
            for (JsonNode student : drilled.path("except")) {
                if (exists("student", student.asString())) {
                    insert("practice_except", "practice, place, student", id, place++, student.asString());
                }
            }
        });
    }

    private void marks() throws SQLException {
        each("old_mark", (id, body) -> {
            ObjectNode mark = upgrade.mark(tree(body));
            insert(
                    "mark",
                    "id, student, subject, played, side, version, standard, passed, class_id, at, by_account, withdraws",
                    id,
                    text(mark, "student"),
                    text(mark, "subject"),
                    word(mark, "role", "PERFORMER"),
                    word(mark, "side", "BOTH"),
                    text(mark, "version"),
                    text(mark, "standard"),
                    mark.path("passed").asBoolean(false),
                    text(mark, "classId"),
                    moment(mark, "at"),
                    text(mark, "by"),
                    text(mark, "withdraws"));
            int place = 0;
            for (JsonNode fault : mark.path("faults")) {
                insert("mark_fault", "mark, place, fault", id, place++, fault.asString());
            }
        });
    }

    private void rounds() throws SQLException {
        each("old_round", (id, body) -> {
            JsonNode round = tree(body);
            JsonNode ended = round.path("ended");
            insert(
                    "round",
                    "id, at, kind, first_student, second_student, class_id, ruleset, ended_how, winner, end_position,"
                            + " end_link, by_account",
                    id,
                    moment(round, "at"),
                    word(round, "kind", "LIVE"),
                    text(round, "first"),
                    text(round, "second"),
                    text(round, "classId"),
                    text(round, "ruleset"),
                    text(ended, "how"),
                    text(ended, "winner"),
                    text(ended, "position"),
                    text(ended, "link"),
                    text(round, "by"));
            int place = 0;
            for (JsonNode event : round.path("events")) {
                insert(
                        "round_event",
                        "round, place, at_second, who, link, position, reaction, intent, outcome, side, note",
                        id,
                        place++,
                        event.path("second").asInt(0),
                        text(event, "who"),
                        text(event, "link"),
                        text(event, "position"),
                        text(event, "reaction"),
                        word(event, "intent", "TRY"),
                        word(event, "outcome", "WORKED"),
                        word(event, "side", "BOTH"),
                        text(event, "note"));
            }
        });
    }

    private void gaps() throws SQLException {
        each("old_ignored_gap", (id, body) -> {
            JsonNode gap = tree(body);
            insert("ignored_gap", "id, rank_id, student, body", id, text(gap, "rank"), text(gap, "student"), body);
            pointers("ignoredGaps", id, to -> {
                to.to("RANK", text(gap, "rank"));
                to.to("STUDENT", text(gap, "student"));
                to.to("POSITION", text(gap, "position"));
                to.to("TECHNIQUE", text(gap, "technique"));
                to.to("REACTION", text(gap, "reaction"));
            });
        });
    }
}
