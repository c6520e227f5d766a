package lynchet.server.mat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import lynchet.core.card.Technique;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.Credit;
import lynchet.core.mat.Mark;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.Tally;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.StudentEvent;
import lynchet.core.people.StudentRecord;
import lynchet.server.club.Known;
import lynchet.server.club.Taught;
import lynchet.server.keep.ETags;
import lynchet.server.keep.Journal;
import lynchet.server.keep.PartStore;
import lynchet.server.keep.PersonOf;
import lynchet.server.keep.Progress;
import lynchet.server.keep.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps what happened: classes, attendance, practice and marks, and what follows from them for the students. A record
 * carries an id made by the caller; the same record sent again is the first answer, another record under the same id is
 * refused.
 */
@Service
public class RecordStore {

    /** A device's clock may be ahead by so much; what it sends is taken as now. */
    private static final Duration AHEAD = Duration.ofMinutes(10);

    private final AttendanceStore attendance;
    private final PracticeStore practice;
    private final MarkStore marks;
    private final CreditStore credits;
    private final TakenOut gone;
    private final TallyStore tallies;
    private final ClassStore classes;
    private final StudentStates states;
    private final Taught taught;
    private final Known known;
    private final Journal journal;
    private final PersonOf persons;
    private final Clock clock;

    RecordStore(
            AttendanceStore attendance,
            PracticeStore practice,
            MarkStore marks,
            CreditStore credits,
            TakenOut gone,
            TallyStore tallies,
            ClassStore classes,
            StudentStates states,
            Taught taught,
            Known known,
            Journal journal,
            PersonOf persons,
            Clock clock) {
        this.attendance = attendance;
        this.practice = practice;
        this.marks = marks;
        this.credits = credits;
        this.gone = gone;
        this.tallies = tallies;
        this.classes = classes;
        this.states = states;
        this.taught = taught;
        this.known = known;
        this.journal = journal;
        this.persons = persons;
        this.clock = clock;
    }

    /** Adds a class, or changes one that is still as the caller saw it; who was in it is counted anew. */
    @Transactional
    public TrainingClass put(TrainingClass changed, String ifMatch) {
        known.check(Parts.CLASSES, changed);
        Optional<TrainingClass> kept = classes.lock(changed.id());
        Optional<TrainingClass> seen = kept.or(() -> taught.now().calendar().find(changed.id()));
        seen.ifPresent(before -> ETags.match(ifMatch, before, changed.id()));
        if (kept.isEmpty()) {
            classes.add(List.of(changed));
            journal.write("add", "class", changed.id(), null, changed);
            return changed;
        }
        TrainingClass before = kept.get();
        if (before.equals(changed)) {
            return changed;
        }
        classes.change(List.of(changed));
        journal.write("change", "class", changed.id(), before, changed);
        if (!before.date().equals(changed.date())
                || !before.track().equals(changed.track())
                || before.cancelled() != changed.cancelled()) {
            states.again(states.inClass(changed.id()), null);
        }
        return changed;
    }

    /** Refuses a class that points at what is not there. */
    void checked(TrainingClass planned) {
        known.check(Parts.CLASSES, planned);
    }

    /** The class as it is kept, or as the calendar gives it. */
    @Transactional(readOnly = true)
    public TrainingClass trained(String id) {
        return found(id).orElseThrow(() -> Refusal.missing("class", id));
    }

    /** The same, or nothing where there is no such class yet. */
    @Transactional(readOnly = true)
    public Optional<TrainingClass> found(String id) {
        return classes.find(id).or(() -> taught.now().calendar().find(id));
    }

    /** The class, locked; one that a slot gives is kept from now on. */
    private TrainingClass open(String id) {
        return classes.lock(id).orElseGet(() -> {
            TrainingClass given = taught.now()
                    .calendar()
                    .find(id)
                    .orElseThrow(() -> Refusal.bad("RECORD_CLASS", "/classId", "There is no such class."));
            classes.add(List.of(given));
            journal.write("add", "class", id, null, given);
            return given;
        });
    }

    /** Keeps a class that a slot gives, because something is about to point at it; in the caller's transaction. */
    public void kept(String classId) {
        open(classId);
    }

    /** Records that a student is in a class; unique per student and class, whoever took it first. */
    @Transactional
    public Attendance attend(Attendance sent) {
        Optional<Attendance> same = again(
                Parts.ATTENDANCE,
                attendance,
                sent,
                kept -> new Attendance(kept.id(), sent.student(), sent.classId(), sent.how(), kept.at(), kept.by()));
        if (same.isPresent()) {
            return same.get();
        }
        TrainingClass trained = open(sent.classId());
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
        Attendance stamped =
                new Attendance(sent.id(), sent.student(), sent.classId(), sent.how(), at(sent.at()), Journal.who());
        attendance.add(List.of(stamped));
        if (!trained.cancelled()) {
            List<StudentEvent> events = new ArrayList<>();
            events.add(attended(trained));
            practice.ofClass(trained.id()).stream()
                    .filter(entry -> entry.countsFor(sent.student()))
                    .forEach(entry ->
                            StudentRecord.practised(entry, trained.date()).ifPresent(events::add));
            states.fold(Map.of(sent.student(), events));
        }
        return stamped;
    }

    private StudentEvent attended(TrainingClass trained) {
        return new StudentEvent.Attended(
                trained.date(), StudentRecord.counts(taught.now().ladders(), trained.track()));
    }

    /** Takes an attendance back; who did it stays in the journal. */
    @Transactional
    public void leave(String id) {
        Attendance there = attendance.find(id).orElseThrow(() -> Refusal.missing("attendance", id));
        classes.lock(there.classId());
        if (attendance.of(there.student(), there.classId()).isEmpty()) {
            throw Refusal.missing("attendance", id);
        }
        journal.write("remove", "attendance", id, there, null);
        gone.add(there, clock.instant().truncatedTo(ChronoUnit.MILLIS), Journal.who());
        attendance.remove(List.of(id));
        List<String> drilled = practice.ofClass(there.classId()).stream()
                .filter(entry -> entry.countsFor(there.student()))
                .map(PracticeEntry::subject)
                .distinct()
                .toList();
        states.again(List.of(there.student()), drilled);
    }

    /** Logs a drill for one or for everybody who is or will be there. */
    @Transactional
    public PracticeEntry practise(PracticeEntry sent) {
        Optional<PracticeEntry> same =
                again(Parts.PRACTICE, practice, sent, kept -> stamp(sent, kept.at(), kept.by(), kept.withdrawn()));
        if (same.isPresent()) {
            return same.get();
        }
        TrainingClass trained = open(sent.classId());
        known.check(Parts.PRACTICE, sent);
        PracticeEntry stamped = stamp(sent, at(sent.at()), Journal.who(), false);
        practice.add(List.of(stamped));
        if (!trained.cancelled()) {
            Map<String, List<StudentEvent>> events = new HashMap<>();
            StudentRecord.practised(stamped, trained.date())
                    .ifPresent(event -> attendance.ofClass(trained.id()).stream()
                            .map(Attendance::student)
                            .filter(stamped::countsFor)
                            .forEach(student -> events.put(student, List.of(event))));
            states.fold(events);
        }
        return stamped;
    }

    /** Takes a practice entry back; it stays in history. */
    @Transactional
    public PracticeEntry withdrawPractice(String id) {
        PracticeEntry before = practice.find(id).orElseThrow(() -> Refusal.missing("practice entry", id));
        if (before.withdrawn()) {
            return before;
        }
        classes.lock(before.classId());
        PracticeEntry after = stamp(before, before.at(), before.by(), true);
        practice.change(List.of(after));
        journal.write("withdraw", "practice", id, before, after);
        List<String> who = attendance.ofClass(before.classId()).stream()
                .map(Attendance::student)
                .filter(before::countsFor)
                .toList();
        states.again(who, List.of(before.subject()));
        return after;
    }

    private static PracticeEntry stamp(PracticeEntry e, Instant at, String by, boolean withdrawn) {
        return new PracticeEntry(
                e.id(),
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

    /** Keeps a judgement; one that takes another back has that student's subject folded again. */
    @Transactional
    public Mark mark(Mark sent) {
        Optional<Mark> same = again(Parts.MARKS, marks, sent, kept -> stamp(sent, kept.at(), kept.by()));
        if (same.isPresent()) {
            return same.get();
        }
        persons.judges(sent.student());
        TrainingClass trained = sent.classId() == null ? null : open(sent.classId());
        known.check(Parts.MARKS, sent);
        if (sent.withdraws() == null) {
            notRetired(sent.subject());
        }
        Mark stamped = stamp(sent, at(sent.at()), Journal.who());
        marks.add(List.of(stamped));
        if (stamped.withdraws() == null) {
            StudentEvent event = new StudentEvent.Marked(stamped, trained == null ? null : trained.date());
            states.fold(Map.of(stamped.student(), List.of(event)));
        } else {
            String subject = marks.find(stamped.withdraws()).orElseThrow().subject();
            states.again(List.of(stamped.student()), List.of(subject));
        }
        return stamped;
    }

    /** What is retired stays in history and is judged no more. */
    private void notRetired(String subject) {
        taught.now().map().technique(subject).filter(Technique::retired).ifPresent(gone -> {
            throw Refusal.bad(
                    "RETIRED", "/subject", gone.name() + " is retired. Nothing was recorded; choose another.");
        });
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

    /** Counts a fault of the room. */
    @Transactional
    public Tally tally(Tally sent) {
        Optional<Tally> same = again(Parts.TALLIES, tallies, sent, kept -> sent.stamped(kept.at(), kept.by()));
        if (same.isPresent()) {
            return same.get();
        }
        open(sent.classId());
        known.check(Parts.TALLIES, sent);
        Tally stamped = sent.stamped(at(sent.at()), Journal.who());
        tallies.add(List.of(stamped));
        return stamped;
    }

    /** Takes one back; for one that is not there it says so. */
    @Transactional
    public void takeBackTally(String id) {
        Tally there = tallies.find(id).orElseThrow(() -> Refusal.missing("tally", id));
        tallies.remove(List.of(there.id()));
    }

    /** Faults of the room in a class, in the order they were ticked. */
    public List<Tally> talliesOf(String classId) {
        return tallies.ofClass(classId);
    }

    /** Lets practice from elsewhere count: once for each student and subject. */
    @Transactional
    public Credit credit(Credit sent) {
        Optional<Credit> same = again(Parts.CREDITS, credits, sent, kept -> sent.stamped(kept.at(), kept.by()));
        if (same.isPresent()) {
            return same.get();
        }
        persons.judges(sent.student());
        known.check(Parts.CREDITS, sent);
        notRetired(sent.subject());
        states.lock(sent.student());
        if (credits.of(sent.student()).stream().anyMatch(kept -> kept.subject().equals(sent.subject()))) {
            throw Refusal.bad(
                    "CREDITED_ALREADY", "/subject", "That is credited once already. Take that back to say it anew.");
        }
        Credit stamped = sent.stamped(clock.instant().truncatedTo(ChronoUnit.MILLIS), Journal.who());
        credits.add(List.of(stamped));
        states.again(List.of(sent.student()), List.of(sent.subject()));
        return stamped;
    }

    /** Takes a credit back. */
    @Transactional
    public Credit takeBackCredit(String id) {
        Credit there = credits.find(id).orElseThrow(() -> Refusal.missing("credit", id));
        states.lock(there.student());
        credits.remove(List.of(id));
        journal.write("remove", "credit", id, there, null);
        states.again(List.of(there.student()), List.of(there.subject()));
        return there;
    }

    /** The time stamp of what a device sends, checked like every other. */
    Instant stamp(Instant sent) {
        return at(sent);
    }

    /** Devices may send later what was recorded earlier; the time stamp is theirs if they give one. */
    private Instant at(Instant sent) {
        Instant now = clock.instant();
        Instant at = sent == null || sent.isAfter(now) && !sent.isAfter(now.plus(AHEAD)) ? now : sent;
        if (at.isAfter(now)) {
            throw Refusal.bad("NOT_YET", "/at", "The time " + sent + " has not come yet.");
        }
        return at.truncatedTo(ChronoUnit.MILLIS);
    }

    /**
     * What is kept under the id already.
     *
     * @param asKept what was sent with the stamps of what was kept, so that only what the caller said is compared
     * @throws Refusal 409 if that is something else
     */
    private static <T> Optional<T> again(Part<T> part, PartStore<T> store, T sent, UnaryOperator<T> asKept) {
        return store.find(part.idOf(sent)).map(kept -> {
            if (!asKept.apply(kept).equals(kept)) {
                throw Refusal.taken(part.idOf(sent), "Something else was already recorded under this id.");
            }
            return kept;
        });
    }

    /** Adds attendance that a sheet holds, all of it checked, in the caller's transaction. */
    @Transactional
    public void takeAttendance(List<Attendance> added, Progress progress) {
        take(Parts.ATTENDANCE, attendance, added, Attendance::student, progress);
    }

    /** Adds marks that a sheet holds, all of them checked, in the caller's transaction. */
    @Transactional
    public void takeMarks(List<Mark> added, Progress progress) {
        take(Parts.MARKS, marks, added, Mark::student, progress);
    }

    private <T> void take(
            Part<T> part, PartStore<T> store, List<T> added, Function<T, String> student, Progress progress) {
        for (int from = 0; from < added.size(); from += PartStore.HANDFUL) {
            progress.at(part.name(), from, added.size());
            store.add(added.subList(from, Math.min(added.size(), from + PartStore.HANDFUL)));
        }
        states.again(added.stream().map(student).collect(Collectors.toSet()), null);
    }

    /** Who is in a class, in the order they came. */
    public List<Attendance> attendanceOf(String classId) {
        return attendance.ofClass(classId);
    }

    /** What was drilled in a class, in the order it was logged. */
    public List<PracticeEntry> practiceOf(String classId) {
        return practice.ofClass(classId);
    }

    /** These practice entries, in order of id. */
    public List<PracticeEntry> practised(Collection<String> ids) {
        return practice.find(ids).values().stream()
                .sorted(Comparator.comparing(PracticeEntry::id))
                .toList();
    }

    /** Ids of the students in a class. */
    public List<String> presentIn(String classId) {
        return attendanceOf(classId).stream().map(Attendance::student).toList();
    }
}
