package lynchet.core.people;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import lynchet.core.club.TinyClub;
import lynchet.core.mat.Mark;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import lynchet.core.mat.TrainingClass;

/** One student's classes, drills and passes, put together a line at a time. */
final class Training {
    final List<TrainingClass> classes = new ArrayList<>();
    final List<PracticeEntry> practice = new ArrayList<>();
    final List<Mark> marks = new ArrayList<>();

    void drill(String technique, LocalDate day, Side side, int reps) {
        drill(technique, day, side, reps, false, null);
    }

    void drill(String technique, LocalDate day, Side side, int reps, boolean part, Role role) {
        practice.add(new PracticeEntry(
                "p" + practice.size(),
                attend(day),
                null,
                null,
                technique,
                null,
                side,
                reps,
                part,
                role,
                null,
                null,
                null,
                false));
    }

    String attend(LocalDate day) {
        String id = "c" + day;
        if (classes.stream().noneMatch(c -> c.id().equals(id))) {
            classes.add(new TrainingClass(id, day, LocalTime.NOON, 60, "all", null, null, null, null, false));
        }
        return id;
    }

    void pass(String technique) {
        mark(technique, null, Standard.SHOWN, true, List.of());
    }

    void mark(String technique, LocalDate day, Standard standard, boolean passed, List<String> faults) {
        marks.add(new Mark(
                "m" + marks.size(),
                "ana",
                technique,
                null,
                Side.RIGHT,
                null,
                standard,
                passed,
                faults,
                day == null ? null : attend(day),
                Instant.EPOCH.plusSeconds(marks.size()),
                "coach",
                null));
    }

    PracticeLog log() {
        Student ana = TinyClub.student("ana", null, List.of());
        return PracticeLog.of(new StudentRecord(ana, classes, practice, marks));
    }
}
