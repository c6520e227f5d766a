package lynchet.server.mat;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.List;
import java.util.function.Function;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.Mark;
import lynchet.core.mat.PracticeEntry;
import lynchet.format.Json;
import lynchet.server.chain.ChainStore;
import lynchet.server.keep.Batch;
import lynchet.server.keep.Changes;
import lynchet.server.keep.Journal;
import lynchet.server.keep.KeptAsJson;
import lynchet.server.keep.Progress;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Remembered;
import lynchet.server.map.MapStore;
import lynchet.server.rank.LadderStore;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps what happened: attendance, practice and marks. A record carries an id made by the caller; the same record sent
 * again is the first answer, another record under the same id is refused.
 */
@Service
public class RecordStore {

    private final AttendanceRepository attendance;
    private final PracticeRepository practice;
    private final MarkRepository marks;
    private final ClassRepository classes;
    private final MapStore maps;
    private final ChainStore chains;
    private final LadderStore ladders;
    private final JdbcTemplate jdbc;
    private final Journal journal;
    private final Clock clock;
    private final Remembered<List<Attendance>> everyAttendance = new Remembered<>();
    private final Remembered<List<PracticeEntry>> everyPractice = new Remembered<>();
    private final Remembered<List<Mark>> everyMark = new Remembered<>();

    RecordStore(
            AttendanceRepository attendance,
            PracticeRepository practice,
            MarkRepository marks,
            ClassRepository classes,
            MapStore maps,
            ChainStore chains,
            LadderStore ladders,
            JdbcTemplate jdbc,
            Journal journal,
            Clock clock) {
        this.attendance = attendance;
        this.practice = practice;
        this.marks = marks;
        this.classes = classes;
        this.maps = maps;
        this.chains = chains;
        this.ladders = ladders;
        this.jdbc = jdbc;
        this.journal = journal;
        this.clock = clock;
    }

    /** Records that a student is in a class; unique per student and class, whoever took it first. */
    @Transactional
    public Attendance attend(Attendance sent) {
        everyAttendance.changed();
        classExists(sent.classId());
        Attendance stamped =
                new Attendance(sent.id(), sent.student(), sent.classId(), sent.how(), at(sent.at()), Journal.who());
        return attendance
                .findByStudentAndClassId(sent.student(), sent.classId())
                .map(AttendanceRow::toCore)
                .orElseGet(() -> add(
                        attendance,
                        stamped.id(),
                        stamped,
                        AttendanceRow::new,
                        kept -> new Attendance(
                                kept.id(), stamped.student(), stamped.classId(), stamped.how(), kept.at(), kept.by())));
    }

    /** Takes an attendance back; who did it stays in the journal. */
    @Transactional
    public void leave(String id) {
        everyAttendance.changed();
        AttendanceRow row = attendance.findById(id).orElseThrow(() -> Refusal.missing("attendance", id));
        journal.write("remove", "attendance", id, row.toCore(), null);
        attendance.delete(row);
    }

    @Transactional
    public PracticeEntry practise(PracticeEntry sent) {
        everyPractice.changed();
        classExists(sent.classId());
        boolean known = sent.technique() != null
                ? maps.snapshot().map().technique(sent.technique()).isPresent()
                : chains.all().stream().anyMatch(chain -> chain.id().equals(sent.chain()));
        if (!known) {
            throw Refusal.bad(
                    "RECORD_SUBJECT",
                    sent.technique() != null ? "/technique" : "/chain",
                    "Practice names a technique or chain that does not exist.");
        }
        PracticeEntry stamped = stamp(sent, sent.id(), at(sent.at()), Journal.who(), false);
        return add(
                practice,
                stamped.id(),
                stamped,
                PracticeRow::new,
                kept -> stamp(stamped, kept.id(), kept.at(), kept.by(), kept.withdrawn()));
    }

    /** Takes a practice entry back; it stays in history. */
    @Transactional
    public PracticeEntry withdrawPractice(String id) {
        everyPractice.changed();
        PracticeRow row = practice.findById(id).orElseThrow(() -> Refusal.missing("practice entry", id));
        PracticeEntry before = row.toCore();
        PracticeEntry after = stamp(before, before.id(), before.at(), before.by(), true);
        row.keep(after);
        journal.write("withdraw", "practice", id, before, after);
        return after;
    }

    private static PracticeEntry stamp(PracticeEntry e, String id, Instant at, String by, boolean withdrawn) {
        return new PracticeEntry(
                id,
                e.classId(),
                e.blockId(),
                e.student(),
                e.technique(),
                e.chain(),
                e.side(),
                e.reps(),
                e.part(),
                e.role(),
                e.except(),
                at,
                by,
                withdrawn);
    }

    @Transactional
    public Mark mark(Mark sent) {
        everyMark.changed();
        if (sent.classId() != null) {
            classExists(sent.classId());
        }
        if (sent.withdraws() != null && !marks.existsById(sent.withdraws())) {
            throw Refusal.bad(
                    "MARK_WITHDRAWS", "/withdraws", "There is no mark " + sent.withdraws() + " to take back.");
        }
        subjectExists(sent);
        Mark stamped = stamp(sent, at(sent.at()), Journal.who());
        return add(marks, stamped.id(), stamped, MarkRow::new, kept -> stamp(stamped, kept.at(), kept.by()));
    }

    private static Mark stamp(Mark m, Instant at, String by) {
        return new Mark(
                m.id(),
                m.student(),
                m.subject(),
                m.role(),
                m.side(),
                m.version(),
                m.standard(),
                m.passed(),
                m.faults(),
                m.classId(),
                at,
                by,
                m.withdraws());
    }

    private void subjectExists(Mark mark) {
        GrapplingMap map = maps.snapshot().map();
        boolean known = map.technique(mark.subject()).isPresent()
                || chains.all().stream().anyMatch(chain -> chain.id().equals(mark.subject()))
                || ladders.all().stream()
                        .flatMap(ladder -> ladder.ranks().stream())
                        .flatMap(rank -> rank.items())
                        .anyMatch(item -> item.subject().equals(mark.subject()));
        if (!known) {
            throw Refusal.bad("RECORD_SUBJECT", "/subject", "There is nothing called " + mark.subject() + " to mark.");
        }
    }

    private void classExists(String id) {
        if (!classes.existsById(id)) {
            throw Refusal.bad("RECORD_CLASS", "/classId", "There is no class " + id + ".");
        }
    }

    /** Devices may send later what was recorded earlier; the time stamp is theirs if they give one. */
    private Instant at(Instant sent) {
        return (sent == null ? clock.instant() : sent).truncatedTo(ChronoUnit.MILLIS);
    }

    /**
     * Adds a record once.
     *
     * @param asKept what was sent with the stamps of what was kept, so that only what the caller said is compared
     */
    private <T, R extends KeptAsJson<T>> T add(
            JpaRepository<R, String> repository, String id, T record, Function<T, R> row, Function<T, T> asKept) {
        return repository
                .findById(id)
                .map(found -> {
                    T kept = found.toCore();
                    if (!asKept.apply(kept).equals(kept)) {
                        throw Refusal.taken(id, "Something else was already recorded as " + id + ".");
                    }
                    return kept;
                })
                .orElseGet(() -> repository.saveAndFlush(row.apply(record)).toCore());
    }

    @Transactional(readOnly = true)
    public List<Attendance> attendanceOf(String classId) {
        return core(attendance.findByClassId(classId));
    }

    @Transactional(readOnly = true)
    public List<Attendance> attendanceOfStudent(String student) {
        return core(attendance.findByStudent(student));
    }

    @Transactional(readOnly = true)
    public List<PracticeEntry> practiceOf(Collection<String> classIds) {
        return core(practice.findByClassIdIn(classIds));
    }

    @Transactional(readOnly = true)
    public List<Mark> marksOf(String student) {
        return core(marks.findByStudent(student));
    }

    @Transactional(readOnly = true)
    public List<Attendance> allAttendance() {
        return everyAttendance.get(() -> core(attendance.findAll()));
    }

    @Transactional(readOnly = true)
    public List<PracticeEntry> allPractice() {
        return everyPractice.get(() -> core(practice.findAll()));
    }

    @Transactional(readOnly = true)
    public List<Mark> allMarks() {
        return everyMark.get(() -> core(marks.findAll()));
    }

    private static <T, R extends KeptAsJson<T>> List<T> core(List<R> rows) {
        return rows.stream().map(KeptAsJson::toCore).toList();
    }

    private void changed() {
        everyAttendance.changed();
        everyPractice.changed();
        everyMark.changed();
    }

    /** Writes what differs between two states in the caller's transaction; somebody has checked the new one. */
    public void rewrite(
            List<PracticeEntry> practiceBefore,
            List<PracticeEntry> practiceAfter,
            List<Mark> marksBefore,
            List<Mark> marksAfter) {
        changed();
        Changes<PracticeEntry> ofPractice =
                Changes.between("practice", practiceBefore, practiceAfter, PracticeEntry::id);
        ofPractice.keep(practice, PracticeRow::new, PracticeRow::keep, journal);
        ofPractice.remove(practice, journal);
        Changes<Mark> ofMarks = Changes.between("mark", marksBefore, marksAfter, Mark::id);
        ofMarks.keep(marks, MarkRow::new, MarkRow::keep, journal);
        ofMarks.remove(marks, journal);
    }

    public void clear() {
        changed();
        attendance.deleteAllInBatch();
        practice.deleteAllInBatch();
        marks.deleteAllInBatch();
    }

    /** Adds many checked records at once in the caller's transaction. */
    public void fill(
            List<Attendance> allAttendance, List<PracticeEntry> allPractice, List<Mark> allMarks, Progress progress) {
        changed();
        Batch.each(
                "attendance",
                allAttendance,
                progress,
                part -> jdbc.batchUpdate(
                        "insert into attendance (id, student, class_id, version, body) values (?, ?, ?, 0, ?)",
                        part.stream()
                                .map(a -> new Object[] {a.id(), a.student(), a.classId(), Json.write(a)})
                                .toList()));
        Batch.each(
                "practice",
                allPractice,
                progress,
                part -> jdbc.batchUpdate(
                        "insert into practice (id, class_id, version, body) values (?, ?, 0, ?)",
                        part.stream()
                                .map(p -> new Object[] {p.id(), p.classId(), Json.write(p)})
                                .toList()));
        Batch.each(
                "marks",
                allMarks,
                progress,
                part -> jdbc.batchUpdate(
                        "insert into mark (id, student, version, body) values (?, ?, 0, ?)",
                        part.stream()
                                .map(m -> new Object[] {m.id(), m.student(), Json.write(m)})
                                .toList()));
    }
}
