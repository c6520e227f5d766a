package lynchet.server.mat;

import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lynchet.core.club.Parts;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.StudentEvent;
import lynchet.core.people.StudentRecord;
import lynchet.server.club.RecordDesk;
import lynchet.server.club.ReferenceCheck;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.Journal;
import lynchet.server.keep.Refusal;
import org.springframework.stereotype.Service;

/** Who was in which class, and what follows from it for them. */
@Service
public class AttendanceDesk {

    private final RecordDesk desk;
    private final AttendanceStore attendance;
    private final PracticeStore practice;
    private final ClassDesk classes;
    private final TakenOut gone;
    private final StudentStates states;
    private final TeachingSnapshots taught;
    private final ReferenceCheck known;
    private final Clock clock;

    AttendanceDesk(
            RecordDesk desk,
            AttendanceStore attendance,
            PracticeStore practice,
            ClassDesk classes,
            TakenOut gone,
            StudentStates states,
            TeachingSnapshots taught,
            ReferenceCheck known,
            Clock clock) {
        this.desk = desk;
        this.attendance = attendance;
        this.practice = practice;
        this.classes = classes;
        this.gone = gone;
        this.states = states;
        this.taught = taught;
        this.known = known;
        this.clock = clock;
    }

    /** Records that a student is in a class; unique per student and class, and the first one stays. */
    Attendance attend(Attendance sent) {
        return desk.write(() -> desk.same(Parts.ATTENDANCE, sent, kept -> sent.stamped(kept.at(), kept.by()))
                .orElseGet(() -> attended(sent)));
    }

    private Attendance attended(Attendance sent) {
        TrainingClass trained = classes.open(sent.classId());
        known.check(Parts.ATTENDANCE, sent);
        boolean isLater = trained.date().isBefore(LocalDate.now(clock));
        if (isLater && !states.canHaveBeen(sent.student(), trained.date())) {
            throw Refusal.bad(
                    "BEFORE_JOINING",
                    "/classId",
                    "They had not joined on " + trained.date() + ", and were no guest. Nothing was recorded.");
        }
        Optional<Attendance> there = attendance.of(sent.student(), sent.classId());
        if (there.isPresent()) {
            return there.get();
        }
        Attendance stamped = desk.stamped(sent);
        attendance.add(List.of(stamped));
        if (!trained.cancelled()) {
            List<StudentEvent> events = new ArrayList<>();
            events.add(new StudentEvent.Attended(
                    trained.date(), StudentRecord.counts(taught.now().ladders(), trained.track())));
            practice.ofClass(trained.id()).stream()
                    .filter(entry -> entry.countsFor(sent.student()))
                    .forEach(entry ->
                            StudentRecord.practised(entry, trained.date()).ifPresent(events::add));
            states.fold(Map.of(sent.student(), events));
        }
        return stamped;
    }

    /** Takes an attendance back; who did it stays in the journal. */
    void leave(String id) {
        desk.write(() -> {
            Attendance there = desk.one(Parts.ATTENDANCE, id);
            classes.lock(there.classId());
            if (attendance.of(there.student(), there.classId()).isEmpty()) {
                throw Refusal.missing("attendance", id);
            }
            return desk.takenBack(Parts.ATTENDANCE, id, this::left);
        });
    }

    private void left(Attendance there) {
        gone.add(there, clock.instant().truncatedTo(ChronoUnit.MILLIS), Journal.who());
        List<String> drilled = practice.ofClass(there.classId()).stream()
                .filter(entry -> entry.countsFor(there.student()))
                .map(PracticeEntry::subject)
                .distinct()
                .toList();
        states.foldAgain(List.of(there.student()), drilled);
    }

    /** Who is in a class, in the order they came. */
    public List<Attendance> of(String classId) {
        return attendance.ofClass(classId);
    }

    /** Ids of the students in a class. */
    public List<String> presentIn(String classId) {
        return of(classId).stream().map(Attendance::student).toList();
    }
}
