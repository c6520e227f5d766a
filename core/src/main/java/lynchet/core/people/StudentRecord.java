package lynchet.core.people;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.Mark;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.TrainingClass;
import lynchet.core.rule.Say;

/** A student with all that was recorded of them: the classes they were in, what was drilled there, and their marks. */
public record StudentRecord(
        Student student, List<TrainingClass> attended, List<PracticeEntry> practice, List<Mark> marks) {

    public StudentRecord {
        Say.there("the student of a record", student);
        attended = attended.stream()
                .sorted(Comparator.comparing(TrainingClass::date)
                        .thenComparing(TrainingClass::start)
                        .thenComparing(TrainingClass::id))
                .toList();
        practice = Say.list(practice);
        marks = marks.stream()
                .sorted(Comparator.comparing(Mark::at).thenComparing(Mark::id))
                .toList();
    }

    /**
     * The records of many students at once; practice that counts for everyone present is shared, not copied by hand.
     */
    public static List<StudentRecord> of(
            List<Student> students,
            List<TrainingClass> classes,
            List<Attendance> attendance,
            List<PracticeEntry> practice,
            List<Mark> marks) {
        Map<String, TrainingClass> classById =
                classes.stream().collect(Collectors.toMap(TrainingClass::id, Function.identity()));
        Map<String, List<Attendance>> attended =
                attendance.stream().collect(Collectors.groupingBy(Attendance::student));
        Map<String, List<PracticeEntry>> byClass =
                practice.stream().collect(Collectors.groupingBy(PracticeEntry::classId));
        Map<String, List<Mark>> marksOf = marks.stream().collect(Collectors.groupingBy(Mark::student));
        return students.stream()
                .map(student -> {
                    List<TrainingClass> mine = attended.getOrDefault(student.id(), List.of()).stream()
                            .map(a -> classById.get(a.classId()))
                            .toList();
                    List<PracticeEntry> drilled = mine.stream()
                            .flatMap(c -> byClass.getOrDefault(c.id(), List.of()).stream())
                            .filter(entry -> entry.countsFor(student.id()))
                            .toList();
                    return new StudentRecord(student, mine, drilled, marksOf.getOrDefault(student.id(), List.of()));
                })
                .toList();
    }
}
