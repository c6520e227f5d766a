package lynchet.server.mat;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lynchet.core.mat.Credit;
import lynchet.core.mat.Mark;
import lynchet.core.mat.MarkBuilder;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.PracticeEntryBuilder;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import lynchet.core.mat.TrainingClass;
import lynchet.core.mat.TrainingClassBuilder;
import lynchet.core.people.Brought;
import lynchet.core.people.Promotion;
import lynchet.core.people.PromotionBuilder;
import lynchet.core.people.StudentRecord;
import lynchet.core.round.Round;
import lynchet.core.round.RoundBuilder;
import lynchet.server.keep.Sql;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowCallbackHandler;
import org.springframework.stereotype.Component;

/** Reads again what was recorded of some students, as far as their states are folded from it. */
@Component
class RecordReader {

    private final JdbcTemplate jdbc;

    RecordReader(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    private static final class Parts {
        private final List<Promotion> promotions = new ArrayList<>();
        private final List<TrainingClass> attended = new ArrayList<>();
        private final List<PracticeEntry> practice = new ArrayList<>();
        private final List<Mark> marks = new ArrayList<>();
        private final Map<String, LocalDate> markedIn = new HashMap<>();
        private final List<Round> rounds = new ArrayList<>();
        private final Map<String, LocalDate> roundDays = new HashMap<>();
        private final List<Credit> credits = new ArrayList<>();
        private final List<Brought> brought = new ArrayList<>();

        private StudentRecord record(String student) {
            return new StudentRecord(
                    student, promotions, attended, practice, marks, markedIn, rounds, roundDays, credits, brought);
        }
    }

    /** Which records of a student to read; what is not read is as if it were not there. */
    enum What {
        /** Belts and classes, for last seen and counts. */
        CLASSES,
        /** Practice, marks and rounds as well. */
        ALL
    }

    /** @param subjects only practice and marks about these; null: about everything */
    Map<String, StudentRecord> read(Collection<String> students, What what, Collection<String> subjects) {
        Map<String, Parts> parts = new LinkedHashMap<>();
        students.forEach(student -> parts.put(student, new Parts()));
        if (students.isEmpty()) {
            return Map.of();
        }
        promotions(students, parts);
        attended(students, parts);
        if (what == What.ALL && (subjects == null || !subjects.isEmpty())) {
            practice(students, subjects, parts);
            marks(students, subjects, parts);
            rounds(students, parts);
            credits(students, subjects, parts);
            BroughtReader.read(jdbc, students, subjects, (student, one) -> parts.get(student)
                    .brought
                    .add(one));
        }
        Map<String, StudentRecord> records = new LinkedHashMap<>();
        parts.forEach((student, its) -> records.put(student, its.record(student)));
        return records;
    }

    private void query(String sql, Collection<String> students, Collection<String> subjects, RowCallbackHandler each) {
        List<Object> values = new ArrayList<>(students);
        String full = sql.replace(":students", "(" + Sql.marks(students.size()) + ")");
        if (subjects != null) {
            String marks = "(" + Sql.marks(subjects.size()) + ")";
            while (full.contains(":subjects")) {
                values.addAll(subjects);
                full = full.replaceFirst(":subjects", marks);
            }
        }
        jdbc.query(full, each, values.toArray());
    }

    private void promotions(Collection<String> students, Map<String, Parts> parts) {
        query(
                "select student, id, ladder, from_rank, to_rank, stripes, given_on, from_before, at, corrects from promotion"
                        + " where student in :students",
                students,
                null,
                row -> parts.get(row.getString(1))
                        .promotions
                        .add(PromotionBuilder.builder()
                                .id(row.getString(2))
                                .student(row.getString(1))
                                .ladder(row.getString(3))
                                .from(row.getString(4))
                                .to(row.getString(5))
                                .stripes(row.getInt(6))
                                .date(row.getObject(7, LocalDate.class))
                                .fromBefore(row.getBoolean(8))
                                .at(instant(row, 9))
                                .corrects(row.getString(10))
                                .build()));
    }

    private static Instant instant(ResultSet row, int column) throws SQLException {
        return row.getObject(column, OffsetDateTime.class).toInstant();
    }

    private void attended(Collection<String> students, Map<String, Parts> parts) {
        query(
                "select a.student, c.id, c.class_date, c.track, c.cancelled from attendance a"
                        + " join training_class c on c.id = a.class_id where a.student in :students",
                students,
                null,
                row -> parts.get(row.getString(1))
                        .attended
                        .add(TrainingClassBuilder.builder()
                                .id(row.getString(2))
                                .date(row.getObject(3, LocalDate.class))
                                .start(LocalTime.MIN)
                                .minutes(60)
                                .track(row.getString(4))
                                .cancelled(row.getBoolean(5))
                                .build()));
    }

    private void practice(Collection<String> students, Collection<String> subjects, Map<String, Parts> parts) {
        query(
                "select a.student, p.id, p.class_id, p.technique, p.chain, p.side, p.reps, p.is_part, p.played"
                        + " from attendance a join practice p on p.class_id = a.class_id"
                        + " where a.student in :students and p.withdrawn = false"
                        + " and (p.student is null or p.student = a.student)"
                        + " and not exists (select 1 from practice_except x where x.practice = p.id and x.student = a.student)"
                        + (subjects == null ? "" : " and coalesce(p.technique, p.chain) in :subjects"),
                students,
                subjects,
                row -> parts.get(row.getString(1))
                        .practice
                        .add(PracticeEntryBuilder.builder()
                                .id(row.getString(2))
                                .classId(row.getString(3))
                                .student(row.getString(1))
                                .technique(row.getString(4))
                                .chain(row.getString(5))
                                .side(Side.valueOf(row.getString(6)))
                                .reps(row.getInt(7))
                                .part(row.getBoolean(8))
                                .role(Role.valueOf(row.getString(9)))
                                .build()));
    }

    /**
     * A fault is only told from none here; which one it was does not matter to the state. What takes a mark back is read with
     * it, whatever it names itself: a device may have sent it under the name from before two techniques were merged.
     */
    private void marks(Collection<String> students, Collection<String> subjects, Map<String, Parts> parts) {
        query(
                "select m.student, m.id, m.subject, m.played, m.side, m.version, m.standard, m.passed, m.class_id, m.at,"
                        + " m.withdraws, c.class_date, exists (select 1 from mark_fault f where f.mark = m.id)"
                        + " from mark m left join training_class c on c.id = m.class_id where m.student in :students"
                        + (subjects == null
                                ? ""
                                : " and (m.subject in :subjects or m.withdraws in (select x.id from mark x"
                                        + " where x.student = m.student and x.subject in :subjects))"),
                students,
                subjects,
                row -> {
                    Parts its = parts.get(row.getString(1));
                    its.marks.add(MarkBuilder.builder()
                            .id(row.getString(2))
                            .student(row.getString(1))
                            .subject(row.getString(3))
                            .role(Role.valueOf(row.getString(4)))
                            .side(Side.valueOf(row.getString(5)))
                            .version(row.getString(6))
                            .standard(Standard.valueOf(row.getString(7)))
                            .passed(row.getBoolean(8))
                            .faults(row.getBoolean(13) ? List.of("fault") : null)
                            .classId(row.getString(9))
                            .at(instant(row, 10))
                            .withdraws(row.getString(11))
                            .build());
                    if (row.getString(9) != null) {
                        its.markedIn.put(row.getString(9), row.getObject(12, LocalDate.class));
                    }
                });
    }

    private void credits(Collection<String> students, Collection<String> subjects, Map<String, Parts> parts) {
        query(
                "select student, id, subject, side, reps, practised_on from credit where student in :students"
                        + (subjects == null ? "" : " and subject in :subjects"),
                students,
                subjects,
                row -> parts.get(row.getString(1))
                        .credits
                        .add(new Credit(
                                row.getString(2),
                                row.getString(1),
                                row.getString(3),
                                Side.valueOf(row.getString(4)),
                                row.getInt(5),
                                row.getObject(6, LocalDate.class),
                                "read",
                                null,
                                null)));
    }

    private void rounds(Collection<String> students, Map<String, Parts> parts) {
        for (Round.Who who : Round.Who.values()) {
            String whose = who == Round.Who.FIRST ? "first_student" : "second_student";
            String other = who == Round.Who.FIRST ? "second_student" : "first_student";
            String asked = "select r." + whose + ", r." + other + ", r.id, r.at, c.class_date, ";
            String of = " left join training_class c on c.id = r.class_id where r." + whose + " in :students";
            query(
                    asked + "e.link, e.side from round r join round_event e on e.round = r.id" + of + " and e.who = '"
                            + who + "' and e.link is not null and e.intent = 'TRY' and e.outcome = 'WORKED'",
                    students,
                    null,
                    row -> worked(row, parts));
            query(
                    asked + "r.end_link, 'BOTH' from round r" + of + " and r.winner = '" + who
                            + "' and r.end_link is not null"
                            + " and not exists (select 1 from round_event e where e.round = r.id)",
                    students,
                    null,
                    row -> worked(row, parts));
        }
    }

    private static void worked(ResultSet row, Map<String, Parts> parts) throws SQLException {
        Parts its = parts.get(row.getString(1));
        Instant at = instant(row, 4);
        LocalDate day = row.getObject(5, LocalDate.class);
        Side side = Side.valueOf(row.getString(7));
        its.rounds.add(RoundBuilder.builder()
                .id(row.getString(3))
                .at(at)
                .first(row.getString(1))
                .second(row.getString(2))
                .ended(new Round.Ended(Round.How.TIME, null, null, null))
                .events(List.of(
                        new Round.Event(0, Round.Who.FIRST, row.getString(6), null, null, null, null, side, null)))
                .build());
        its.roundDays.put(
                row.getString(3), day == null ? at.atZone(ZoneOffset.UTC).toLocalDate() : day);
    }
}
