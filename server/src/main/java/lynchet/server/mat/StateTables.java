package lynchet.server.mat;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import lynchet.core.people.Brought;
import lynchet.core.people.Fading;
import lynchet.core.people.HeldRank;
import lynchet.core.people.LadderCount;
import lynchet.core.people.MarkBook;
import lynchet.core.people.PracticeDay;
import lynchet.core.people.Skill;
import lynchet.core.people.StudentState;
import lynchet.core.people.StudentState.SkillKey;
import lynchet.server.keep.Sql;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowCallbackHandler;
import org.springframework.stereotype.Component;

/**
 * The four tables in which the states of students stand: one row a student, a ladder, a skill, a standing mark. The row
 * of a student counts how often its state has changed, so that what was worked out from it is known to be old.
 */
@Component
public class StateTables {

    private static final List<String> TABLES =
            List.of("student_syllabus", "student_mark", "student_skill", "student_ladder", "student_state");

    static final String LADDER_COLUMNS = "student, ladder, rank_id, stripes, since, from_before, classes, last_day";

    private static final String SKILL_COLUMNS =
            "settled_sessions, settled_last, settled_half_life, live_counted, latest_day, whole_reps, part_reps, marks,"
                    + " faulty, live_pass, success";

    private final JdbcTemplate jdbc;

    StateTables(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    private static final class Parts {
        private final LocalDate lastSeen;
        private final Map<String, LadderCount> ladders = new HashMap<>();
        private final Map<SkillKey, Skill> skills = new HashMap<>();
        private final Map<MarkBook.Key, MarkBook.Standing> marks = new HashMap<>();
        private final List<Brought> brought = new ArrayList<>();

        private Parts(LocalDate lastSeen) {
            this.lastSeen = lastSeen;
        }

        private StudentState state() {
            return new StudentState(lastSeen, ladders, skills, new MarkBook(marks), brought);
        }
    }

    /** Lets nobody else change the states of these students until the transaction ends; when each was last seen. */
    Map<String, LocalDate> lock(Collection<String> students) {
        List<String> inOrder = students.stream().sorted().toList();
        Map<String, LocalDate> seen = new HashMap<>();
        if (!inOrder.isEmpty()) {
            jdbc.query(
                    "select student, last_seen from student_state where student in (" + Sql.marks(inOrder.size())
                            + ") order by student for update",
                    row -> {
                        seen.put(row.getString(1), row.getObject(2, LocalDate.class));
                    },
                    inOrder.toArray());
        }
        return seen;
    }

    /**
     * The states of these students.
     *
     * @param subjects only skills and marks about these; null: all of them
     */
    Map<String, StudentState> load(Collection<String> students, Collection<String> subjects) {
        Map<String, LocalDate> seen = new HashMap<>();
        query("select student, last_seen from student_state", students, null, row -> {
            seen.put(row.getString(1), row.getObject(2, LocalDate.class));
        });
        return load(students, subjects, seen);
    }

    /** The same of students who are {@link #lock locked}, which has said when they were last seen. */
    Map<String, StudentState> load(
            Collection<String> students, Collection<String> subjects, Map<String, LocalDate> seen) {
        Map<String, Parts> parts = new LinkedHashMap<>();
        students.forEach(student -> parts.put(student, new Parts(seen.get(student))));
        if (students.isEmpty()) {
            return Map.of();
        }
        query("select " + LADDER_COLUMNS + " from student_ladder", students, null, row -> parts.get(row.getString(1))
                .ladders
                .put(row.getString(2), ladder(row)));
        if (subjects == null || !subjects.isEmpty()) {
            query(
                    "select student, subject, side, " + SKILL_COLUMNS + " from student_skill",
                    students,
                    subjects,
                    row -> parts.get(row.getString(1))
                            .skills
                            .put(new SkillKey(row.getString(2), Side.valueOf(row.getString(3))), skill(row)));
            query(
                    "select student, subject, played, side, version, standard, mark, passed, at from student_mark",
                    students,
                    subjects,
                    row -> parts.get(row.getString(1)).marks.put(key(row), standing(row)));
            BroughtReader.read(jdbc, students, subjects, (student, one) -> parts.get(student)
                    .brought
                    .add(one));
        }
        Map<String, StudentState> states = new HashMap<>();
        parts.forEach((student, its) -> states.put(student, its.state()));
        return states;
    }

    private void query(
            String select, Collection<String> students, Collection<String> subjects, RowCallbackHandler each) {
        List<Object> values = new ArrayList<>(students);
        String where = " where student in (" + Sql.marks(students.size()) + ")";
        if (subjects != null) {
            values.addAll(subjects);
            where += " and subject in (" + Sql.marks(subjects.size()) + ")";
        }
        jdbc.query(select + where, each, values.toArray());
    }

    /** The columns {@code student, ladder, rank_id, stripes, since, from_before, classes, last_day}, in this order. */
    static LadderCount ladder(ResultSet row) throws SQLException {
        HeldRank held = new HeldRank(
                row.getString(2),
                row.getString(3),
                row.getInt(4),
                row.getObject(5, LocalDate.class),
                row.getBoolean(6));
        return new LadderCount(held, row.getInt(7), row.getObject(8, LocalDate.class));
    }

    private static Skill skill(ResultSet row) throws SQLException {
        LocalDate settled = row.getObject(5, LocalDate.class);
        return new Skill(
                settled == null ? null : new Fading(row.getInt(4), settled, row.getDouble(6)),
                row.getBoolean(7),
                new PracticeDay(
                        row.getObject(8, LocalDate.class),
                        row.getInt(9),
                        row.getInt(10),
                        row.getInt(11),
                        row.getInt(12),
                        row.getBoolean(13),
                        row.getBoolean(14)));
    }

    private static MarkBook.Key key(ResultSet row) throws SQLException {
        return new MarkBook.Key(
                row.getString(2),
                Role.valueOf(row.getString(3)),
                Side.valueOf(row.getString(4)),
                row.getString(5),
                Standard.valueOf(row.getString(6)));
    }

    private static MarkBook.Standing standing(ResultSet row) throws SQLException {
        return new MarkBook.Standing(
                row.getString(7),
                row.getBoolean(8),
                row.getObject(9, OffsetDateTime.class).toInstant());
    }

    /** Writes what differs between two states of each student, as a new version; both are of the same subjects. */
    void save(Map<String, StudentState> was, Map<String, StudentState> is) {
        Rows rows = new Rows();
        is.forEach((student, state) -> rows.compare(student, was.getOrDefault(student, StudentState.empty()), state));
        rows.write();
    }

    /** Says that something about these students is different, though nothing of it stands in these tables. */
    void touch(Collection<String> students) {
        jdbc.batchUpdate(
                "update student_state set version = version + 1 where student = ?",
                students.stream().map(student -> new Object[] {student}).toList());
    }

    /** Those of these students who have practised anything here. */
    List<String> practised(Collection<String> students) {
        return jdbc.queryForList(
                "select distinct student from student_skill where student in (" + Sql.marks(students.size()) + ")",
                String.class,
                students.toArray());
    }

    /** Begins with nothing recorded of new students, in the caller's transaction. */
    public void begin(Collection<String> students) {
        jdbc.batchUpdate(
                "insert into student_state (student) values (?)",
                students.stream().map(student -> new Object[] {student}).toList());
    }

    /** Forgets students who go, in the caller's transaction. */
    public void forget(Collection<String> students) {
        for (String table : TABLES) {
            jdbc.batchUpdate(
                    "delete from " + table + " where student = ?",
                    students.stream().map(student -> new Object[] {student}).toList());
        }
    }

    /** Forgets everything; only where it is folded again in the same transaction. */
    void clear() {
        TABLES.forEach(table -> jdbc.update("delete from " + table));
        jdbc.update("insert into student_state (student) select id from student");
    }

    /** Rows to be added, changed and removed, collected over many students and written at once. */
    private final class Rows {

        private final Map<String, List<Object[]>> statements = new LinkedHashMap<>();

        private void add(String sql, Object... values) {
            statements.computeIfAbsent(sql, s -> new ArrayList<>()).add(values);
        }

        void compare(String student, StudentState was, StudentState is) {
            add(
                    "update student_state set version = version + 1, last_seen = ? where student = ?",
                    is.lastSeen(),
                    student);
            each(was.ladders(), is.ladders(), (ladder, before, after) -> ladder(student, ladder, before, after));
            each(was.skills(), is.skills(), (key, before, after) -> skill(student, key, before, after));
            each(
                    was.marks().standing(),
                    is.marks().standing(),
                    (key, before, after) -> mark(student, key, before, after));
        }

        private void ladder(String student, String ladder, LadderCount before, LadderCount after) {
            if (after == null) {
                add("delete from student_ladder where student = ? and ladder = ?", student, ladder);
                return;
            }
            HeldRank held = after.held();
            Object[] values = {
                held.rank(),
                held.stripes(),
                held.since(),
                held.fromBefore(),
                after.classes(),
                after.lastDay(),
                student,
                ladder
            };
            add(
                    before == null
                            ? "insert into student_ladder (rank_id, stripes, since, from_before, classes, last_day,"
                                    + " student, ladder) values (?, ?, ?, ?, ?, ?, ?, ?)"
                            : "update student_ladder set rank_id = ?, stripes = ?, since = ?, from_before = ?,"
                                    + " classes = ?, last_day = ? where student = ? and ladder = ?",
                    values);
        }

        private void skill(String student, SkillKey key, Skill before, Skill after) {
            String side = key.side().name();
            if (after == null) {
                add(
                        "delete from student_skill where student = ? and subject = ? and side = ?",
                        student,
                        key.subject(),
                        side);
                return;
            }
            Fading settled = after.settled();
            PracticeDay day = after.latest();
            Object[] values = {
                settled == null ? 0 : settled.sessions(),
                settled == null ? null : settled.last(),
                settled == null ? 0.0 : settled.halfLife(),
                after.liveCounted(),
                day.day(),
                day.wholeReps(),
                day.partReps(),
                day.marks(),
                day.faulty(),
                day.livePass(),
                day.success(),
                student,
                key.subject(),
                side
            };
            add(
                    before == null
                            ? "insert into student_skill (" + SKILL_COLUMNS
                                    + ", student, subject, side) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)"
                            : "update student_skill set settled_sessions = ?, settled_last = ?, settled_half_life = ?,"
                                    + " live_counted = ?, latest_day = ?, whole_reps = ?, part_reps = ?, marks = ?,"
                                    + " faulty = ?, live_pass = ?, success = ?"
                                    + " where student = ? and subject = ? and side = ?",
                    values);
        }

        private void mark(String student, MarkBook.Key key, MarkBook.Standing before, MarkBook.Standing after) {
            String where = " where student = ? and subject = ? and played = ? and side = ? and version = ?"
                    + " and standard = ?";
            String role = key.role().name();
            String side = key.side().name();
            String standard = key.standard().name();
            if (after == null) {
                add("delete from student_mark" + where, student, key.subject(), role, side, key.version(), standard);
                return;
            }
            Object[] values = {
                after.mark(),
                after.passed(),
                OffsetDateTime.ofInstant(after.at(), ZoneOffset.UTC),
                student,
                key.subject(),
                role,
                side,
                key.version(),
                standard
            };
            add(
                    before == null
                            ? "insert into student_mark (mark, passed, at, student, subject, played, side, version,"
                                    + " standard) values (?, ?, ?, ?, ?, ?, ?, ?, ?)"
                            : "update student_mark set mark = ?, passed = ?, at = ?" + where,
                    values);
        }

        void write() {
            statements.forEach(jdbc::batchUpdate);
        }
    }

    private interface Differing<K, V> {
        void at(K key, V before, V after);
    }

    private static <K, V> void each(Map<K, V> was, Map<K, V> is, Differing<K, V> differing) {
        Set<K> keys = new HashSet<>(was.keySet());
        keys.addAll(is.keySet());
        for (K key : keys) {
            V before = was.get(key);
            V after = is.get(key);
            if (!Objects.equals(before, after)) {
                differing.at(key, before, after);
            }
        }
    }
}
