package db.migration;

import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import lynchet.core.club.Target;
import lynchet.format.Upgrade;
import lynchet.format.csv.Roll;
import org.flywaydb.core.api.migration.Context;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Moves what was kept as bodies into the relations of V4, and takes ranks and slots out of people and terms. It reads bodies as
 * trees, as they were written then, so that no record of today has a say in it.
 */
public class V5__MoveRecords extends BodyMigration {

    private final Set<String> there = new HashSet<>();
    private final Upgrade upgrade = new Upgrade((target, id) -> there.contains(target + id));

    @Override
    public void migrate(Context context) throws SQLException {
        club = context.getConnection();
        map();
        calendarAndLadders();
        people();
        classes();
        attendance();
        practice();
        marks();
        rounds();
        gaps();
        try (Statement statement = club.createStatement()) {
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
        try (PreparedStatement query = club.prepareStatement("select 1 from " + table + " where id = ?")) {
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
