package lynchet.server.people;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.ClubPace;
import lynchet.core.people.Student;
import lynchet.core.people.StudentRecord;
import lynchet.server.keep.Batch;
import lynchet.server.keep.ETags;
import lynchet.server.keep.Journal;
import lynchet.server.keep.Progress;
import lynchet.server.keep.Refusal;
import lynchet.server.mat.ClassStore;
import lynchet.server.mat.RecordStore;
import lynchet.server.rank.LadderStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps students, and puts each together with what was recorded of them. */
@Service
public class PeopleStore {

    private final StudentRepository students;
    private final ClassStore classes;
    private final RecordStore records;
    private final LadderStore ladders;
    private final Journal journal;
    private final Clock clock;

    PeopleStore(
            StudentRepository students,
            ClassStore classes,
            RecordStore records,
            LadderStore ladders,
            Journal journal,
            Clock clock) {
        this.students = students;
        this.classes = classes;
        this.records = records;
        this.ladders = ladders;
        this.journal = journal;
        this.clock = clock;
    }

    public LocalDate today() {
        return LocalDate.now(clock);
    }

    /** Everybody, by name. */
    @Transactional(readOnly = true)
    public List<Student> all() {
        return students.findAll().stream()
                .map(StudentRow::toCore)
                .sorted(Comparator.comparing(Student::name).thenComparing(Student::id))
                .toList();
    }

    @Transactional(readOnly = true)
    public Student one(String id) {
        return students.findById(id).map(StudentRow::toCore).orElseThrow(() -> Refusal.missing("student", id));
    }

    @Transactional(readOnly = true)
    public Student byCard(String card) {
        return students.findByCard(card).map(StudentRow::toCore).orElseThrow(() -> Refusal.missing("card", card));
    }

    /** One student with classes, practice and marks. */
    @Transactional(readOnly = true)
    public StudentRecord record(String id) {
        Student student = one(id);
        Set<String> attended = records.attendanceOfStudent(id).stream()
                .map(Attendance::classId)
                .collect(Collectors.toSet());
        List<TrainingClass> classesThere =
                classes.all().stream().filter(c -> attended.contains(c.id())).toList();
        List<PracticeEntry> practice = records.practiceOf(attended).stream()
                .filter(entry -> entry.countsFor(id))
                .toList();
        return new StudentRecord(student, classesThere, practice, records.marksOf(id));
    }

    /** Everybody with classes, practice and marks. */
    @Transactional(readOnly = true)
    public List<StudentRecord> records() {
        return StudentRecord.of(
                all(), classes.all(), records.allAttendance(), records.allPractice(), records.allMarks());
    }

    /** How often people of the club come. */
    @Transactional(readOnly = true)
    public ClubPace pace() {
        return pace(records());
    }

    /** The same from records that are already at hand. */
    public ClubPace pace(List<StudentRecord> records) {
        return ClubPace.of(records, classes.all(), today());
    }

    /** Adds a student, or changes one that is still as the caller saw them. Health and contacts stay off the journal. */
    @Transactional
    public Student put(Student student, String ifMatch) {
        student.ranks().forEach(held -> {
            if (ladders.one(held.ladder()).indexOf(held.rank()) < 0) {
                throw Refusal.bad("HELD_RANK", "/ranks", "There is no rank " + held.rank() + " on that ladder.");
            }
        });
        if (student.card() != null) {
            students.findByCard(student.card())
                    .filter(other -> !other.getId().equals(student.id()))
                    .ifPresent(other -> {
                        throw Refusal.bad(
                                "CARD_UNIQUE",
                                "/card",
                                "The card " + student.card() + " belongs to "
                                        + other.toCore().name() + ".");
                    });
        }
        StudentRow row = students.findById(student.id()).orElse(null);
        if (row == null) {
            students.save(new StudentRow(student));
            journal.write("add", "student", student.id(), null, student.withoutPrivate());
        } else {
            Student before = row.toCore();
            ETags.match(ifMatch, before, student.id());
            row.keepStudent(student);
            journal.write("change", "student", student.id(), before.withoutPrivate(), student.withoutPrivate());
        }
        return student;
    }

    public void clear() {
        students.deleteAllInBatch();
    }

    /** Adds many and changes some, all of them checked, in the caller's transaction. */
    public void take(List<Student> added, List<Student> changed, Progress progress) {
        Batch.each("people", added, progress, part -> {
            students.saveAll(part.stream().map(StudentRow::new).toList());
            part.forEach(student -> journal.write("add", "student", student.id(), null, student.withoutPrivate()));
        });
        for (Student student : changed) {
            StudentRow row =
                    students.findById(student.id()).orElseThrow(() -> Refusal.missing("student", student.id()));
            Student before = row.toCore();
            row.keepStudent(student);
            journal.write("change", "student", student.id(), before.withoutPrivate(), student.withoutPrivate());
        }
        students.flush();
    }

    public void fill(List<Student> all) {
        students.saveAll(all.stream().map(StudentRow::new).toList());
        students.flush();
    }
}
