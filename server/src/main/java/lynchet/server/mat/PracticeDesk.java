package lynchet.server.mat;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import lynchet.core.club.Parts;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.StudentEvent;
import lynchet.core.people.StudentRecord;
import lynchet.server.club.RecordDesk;
import lynchet.server.club.ReferenceCheck;
import lynchet.server.keep.Journal;
import org.springframework.stereotype.Service;

/** What was drilled in classes, for one or for everybody who is or will be there. */
@Service
public class PracticeDesk {

    private final RecordDesk desk;
    private final PracticeStore practice;
    private final AttendanceStore attendance;
    private final ClassDesk classes;
    private final StudentStates states;
    private final ReferenceCheck known;
    private final Journal journal;

    PracticeDesk(
            RecordDesk desk,
            PracticeStore practice,
            AttendanceStore attendance,
            ClassDesk classes,
            StudentStates states,
            ReferenceCheck known,
            Journal journal) {
        this.desk = desk;
        this.practice = practice;
        this.attendance = attendance;
        this.classes = classes;
        this.states = states;
        this.known = known;
        this.journal = journal;
    }

    /** Logs a drill. One that was taken back since is the first answer as well. */
    PracticeEntry practise(PracticeEntry sent) {
        return desk.write(() -> desk.same(Parts.PRACTICE, sent, kept -> sent.stamped(kept.at(), kept.by())
                        .withdrawn(kept.withdrawn()))
                .orElseGet(() -> practised(sent)));
    }

    private PracticeEntry practised(PracticeEntry sent) {
        TrainingClass trained = classes.open(sent.classId());
        known.check(Parts.PRACTICE, sent);
        PracticeEntry stamped = desk.stamped(sent).withdrawn(false);
        practice.add(List.of(stamped));
        if (!trained.cancelled()) {
            Map<String, List<StudentEvent>> events = new HashMap<>();
            StudentRecord.practised(stamped, trained.date())
                    .ifPresent(event -> here(stamped).forEach(student -> events.put(student, List.of(event))));
            states.fold(events);
        }
        return stamped;
    }

    /** Whom of those in the class it counts for. */
    private List<String> here(PracticeEntry entry) {
        return attendance.ofClass(entry.classId()).stream()
                .map(Attendance::student)
                .filter(entry::countsFor)
                .toList();
    }

    /** Takes a practice entry back; it stays in history. */
    PracticeEntry withdraw(String id) {
        return desk.write(() -> {
            PracticeEntry before = desk.one(Parts.PRACTICE, id);
            if (before.withdrawn()) {
                return before;
            }
            classes.lock(before.classId());
            PracticeEntry after = before.withdrawn(true);
            practice.change(List.of(after));
            journal.write("withdraw", Parts.PRACTICE.one(), id, before, after);
            states.foldAgain(here(before), List.of(before.subject()));
            return after;
        });
    }

    /** What was drilled in a class, in the order it was logged. */
    List<PracticeEntry> of(String classId) {
        return practice.ofClass(classId);
    }

    /** These practice entries, in order of id. */
    public List<PracticeEntry> all(Collection<String> ids) {
        return practice.find(ids).values().stream()
                .sorted(Comparator.comparing(PracticeEntry::id))
                .toList();
    }
}
