package db.migration;

import java.sql.Date;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import lynchet.core.card.Technique;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.grading.Grading;
import lynchet.core.map.Link;
import lynchet.core.map.Position;
import lynchet.core.map.PositionPair;
import lynchet.core.map.Reaction;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.Mark;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.Promotion;
import lynchet.core.people.Student;
import lynchet.core.rank.Ladder;
import lynchet.core.round.Round;
import lynchet.core.term.Term;
import lynchet.core.walk.IgnoredGap;
import lynchet.format.Json;
import lynchet.format.Upgrade;
import lynchet.format.csv.Roll;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Moves what was kept as bodies into the relations of V4, and takes ranks and slots out of people and terms. */
public class V5__MoveRecords extends BaseJavaMigration {

    private static final int HANDFUL = 500;

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
                    "select id, body from " + table + " where id > ? order by id limit " + HANDFUL)) {
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
            if (some.size() < HANDFUL) {
                return;
            }
        }
    }

    private void run(String sql, Object... values) throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement(sql)) {
            for (int i = 0; i < values.length; i++) {
                Object value = values[i];
                if (value instanceof java.time.LocalDate day) {
                    statement.setDate(i + 1, Date.valueOf(day));
                } else if (value instanceof Instant at) {
                    statement.setObject(i + 1, OffsetDateTime.ofInstant(at, ZoneOffset.UTC));
                } else if (value instanceof Enum<?> constant) {
                    statement.setString(i + 1, constant.name());
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

    private <T> void pointers(Part<T> part, T thing) throws SQLException {
        List<Object[]> all = new ArrayList<>();
        part.refers().accept(thing, (rule, field, target, to) -> {
            if (to != null) {
                all.add(new Object[] {part.name(), part.idOf(thing), target.name(), to});
            }
        });
        for (Object[] pointer : all) {
            insert("points_at", "part, thing, target, pointed", pointer);
        }
    }

    private void map() throws SQLException {
        each("position_pair", (id, body) -> {
            for (Position position : Json.read(body, PositionPair.class).positions()) {
                insert("position", "id, pair", position.id(), id);
            }
        });
        each(
                "old_reaction",
                (id, body) -> insert(
                        "reaction",
                        "id, leaves, body",
                        id,
                        Json.read(body, Reaction.class).leaves(),
                        body));
        each("old_link", (id, body) -> {
            Link link = Json.read(body, Link.class);
            insert(
                    "link",
                    "id, from_position, to_position, technique, when_reaction, body",
                    id,
                    link.from(),
                    link.endsInTap() ? null : link.to(),
                    link.technique(),
                    link.when(),
                    body);
        });
        run("insert into chain_link (chain, link) select chain, link from old_chain_link");
    }

    /** Slots go from terms to their tracks; a ladder counts only tracks that are there. */
    private void calendarAndLadders() throws SQLException {
        each("track", (id, body) -> there.add(Target.TRACK + id));
        each("old_student", (id, body) -> there.add(Target.STUDENT + id));
        each("technique", (id, body) -> Parts.TECHNIQUES
                .offers()
                .accept(Json.read(body, Technique.class), (target, offered) -> there.add(target + offered)));
        each("term", (id, body) -> {
            ObjectNode term = upgrade.term((ObjectNode) mapper.readTree(body));
            run("update term set body = ? where id = ?", Json.write(mapper.treeToValue(term, Term.class)), id);
        });
        each("track", (id, body) -> {
            Track track = upgrade.track(Json.read(body, Track.class));
            run("update track set body = ? where id = ?", Json.write(track), id);
        });
        each("ladder", (id, body) -> {
            ObjectNode ladder = upgrade.ladder((ObjectNode) mapper.readTree(body));
            run("update ladder set body = ? where id = ?", Json.write(mapper.treeToValue(ladder, Ladder.class)), id);
        });
    }

    private void people() throws SQLException {
        each("old_student", (id, body) -> {
            ObjectNode old = (ObjectNode) mapper.readTree(body);
            List<Promotion> promotions = Upgrade.promotions(old);
            Student student = mapper.treeToValue(upgrade.student(old), Student.class);
            insert(
                    "student",
                    "id, card, folded_name, left_on, body",
                    id,
                    student.card(),
                    Roll.fold(student.name()),
                    student.left(),
                    Json.write(student));
            pointers(Parts.PEOPLE, student);
            for (Promotion p : promotions) {
                insert(
                        "promotion",
                        "id, student, ladder, to_rank, stripes, given_on, from_before, reason, at",
                        p.id(),
                        p.student(),
                        p.ladder(),
                        p.to(),
                        p.stripes(),
                        p.date(),
                        true,
                        "",
                        p.at());
            }
        });
        each("old_grading", (id, body) -> {
            Grading grading = Json.read(body, Grading.class);
            insert("grading", "id, grading_date, ladder, body", id, grading.date(), grading.ladder(), body);
            pointers(Parts.GRADINGS, grading);
        });
    }

    private void classes() throws SQLException {
        each("old_training_class", (id, body) -> {
            TrainingClass c =
                    mapper.treeToValue(upgrade.trained((ObjectNode) mapper.readTree(body)), TrainingClass.class);
            insert(
                    "training_class",
                    "id, class_date, track, cancelled, body",
                    id,
                    c.date(),
                    c.track(),
                    c.cancelled(),
                    Json.write(c));
            pointers(Parts.CLASSES, c);
        });
    }

    private void attendance() throws SQLException {
        each("old_attendance", (id, body) -> {
            Attendance a = Json.read(body, Attendance.class);
            run(
                    "insert into attendance (id, student, class_id, class_date, how, at, by_account)"
                            + " select ?, ?, c.id, c.class_date, ?, ?, ? from training_class c where c.id = ?",
                    id,
                    a.student(),
                    a.how(),
                    a.at(),
                    a.by(),
                    a.classId());
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
            PracticeEntry p = Json.read(body, PracticeEntry.class);
            if (p.student() != null && !exists("student", p.student())) {
                return;
            }
            insert(
                    "practice",
                    "id, class_id, block, student, technique, chain, side, reps, is_part, played, at, by_account,"
                            + " withdrawn",
                    id,
                    p.classId(),
                    p.blockId(),
                    p.student(),
                    p.technique(),
                    p.chain(),
                    p.side(),
                    p.reps(),
                    p.part(),
                    p.role(),
                    p.at(),
                    p.by(),
                    p.withdrawn());
            int place = 0;
            for (String student : p.except()) {
                if (exists("student", student)) {
                    insert("practice_except", "practice, place, student", id, place++, student);
                }
            }
        });
    }

    private void marks() throws SQLException {
        each("old_mark", (id, body) -> {
            Mark m = mapper.treeToValue(upgrade.mark((ObjectNode) mapper.readTree(body)), Mark.class);
            insert(
                    "mark",
                    "id, student, subject, played, side, version, standard, passed, class_id, at, by_account, withdraws",
                    id,
                    m.student(),
                    m.subject(),
                    m.role(),
                    m.side(),
                    m.version(),
                    m.standard(),
                    m.passed(),
                    m.classId(),
                    m.at(),
                    m.by(),
                    m.withdraws());
            for (int i = 0; i < m.faults().size(); i++) {
                insert("mark_fault", "mark, place, fault", id, i, m.faults().get(i));
            }
        });
    }

    private void rounds() throws SQLException {
        each("old_round", (id, body) -> {
            Round r = Json.read(body, Round.class);
            insert(
                    "round",
                    "id, at, kind, first_student, second_student, class_id, ruleset, ended_how, winner, end_position,"
                            + " end_link, by_account",
                    id,
                    r.at(),
                    r.kind(),
                    r.first(),
                    r.second(),
                    r.classId(),
                    r.ruleset(),
                    r.ended().how(),
                    r.ended().winner(),
                    r.ended().position(),
                    r.ended().link(),
                    r.by());
            for (int i = 0; i < r.events().size(); i++) {
                Round.Event e = r.events().get(i);
                insert(
                        "round_event",
                        "round, place, at_second, who, link, position, reaction, intent, outcome, side, note",
                        id,
                        i,
                        e.second(),
                        e.who(),
                        e.link(),
                        e.position(),
                        e.reaction(),
                        e.intent(),
                        e.outcome(),
                        e.side(),
                        e.note());
            }
        });
    }

    private void gaps() throws SQLException {
        each("old_ignored_gap", (id, body) -> {
            IgnoredGap gap = Json.read(body, IgnoredGap.class);
            insert("ignored_gap", "id, rank_id, student, body", id, gap.rank(), gap.student(), body);
            pointers(Parts.IGNORED_GAPS, gap);
        });
    }
}
