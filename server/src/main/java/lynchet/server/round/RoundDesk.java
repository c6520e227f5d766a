package lynchet.server.round;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lynchet.core.club.Parts;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.Student;
import lynchet.core.people.StudentEvent;
import lynchet.core.people.StudentRecord;
import lynchet.core.round.Round;
import lynchet.core.round.RoundCheck;
import lynchet.server.club.RecordDesk;
import lynchet.server.club.ReferenceCheck;
import lynchet.server.club.Stores;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.Journal;
import lynchet.server.keep.Refusal;
import lynchet.server.mat.ClassDesk;
import lynchet.server.mat.StudentStates;
import org.springframework.stereotype.Service;

/**
 * Keeps rounds. A round of the mat has the same id on every tablet, so the second one that sends it corrects the first; of two
 * the one that was written later stands. What worked in it is folded in the same transaction.
 */
@Service
class RoundDesk {

    private final RecordDesk desk;
    private final RoundStore rounds;
    private final ClassDesk classes;
    private final StudentStates states;
    private final TeachingSnapshots taught;
    private final ReferenceCheck known;
    private final Stores stores;
    private final Journal journal;
    private final java.time.Clock clock;

    RoundDesk(
            RecordDesk desk,
            RoundStore rounds,
            ClassDesk classes,
            StudentStates states,
            TeachingSnapshots taught,
            ReferenceCheck known,
            Stores stores,
            Journal journal,
            java.time.Clock clock) {
        this.desk = desk;
        this.rounds = rounds;
        this.classes = classes;
        this.states = states;
        this.taught = taught;
        this.known = known;
        this.stores = stores;
        this.journal = journal;
        this.clock = clock;
    }

    /** Takes a round in, or what it says now; the same again is the first answer. */
    Round put(Round sent) {
        GrapplingMap map = taught.now().map();
        Round whole = RoundCheck.completed(sent, map);
        return desk.write(() -> {
            Optional<Round> kept = rounds.find(whole.id());
            if (kept.isEmpty()) {
                return desk.taken(Parts.ROUNDS, whole, round -> mayHaveBeen(round, map), this::happened);
            }
            Round before = kept.get();
            if (whole.stamped(before.at(), before.by()).equals(before)) {
                return before;
            }
            Round stamped = desk.stamped(whole);
            if (stamped.at().isBefore(before.at())) {
                return before; // it was corrected since on another tablet
            }
            mayHaveBeen(stamped, map);
            known.check(Parts.ROUNDS, stamped);
            Round corrected = stamped.stamped(before.at(), stamped.by());
            rounds.change(List.of(corrected));
            journal.write("change", Parts.ROUNDS.one(), corrected.id(), before, corrected);
            foldAgain(List.of(before, corrected));
            return corrected;
        });
    }

    /** Takes a round back; who did it stays in the journal. */
    Round takeBack(String id) {
        return desk.takeBack(Parts.ROUNDS, id, round -> foldAgain(List.of(round)));
    }

    private void mayHaveBeen(Round round, GrapplingMap map) {
        RoundCheck.of(round, map).ifPresent(breach -> {
            String sentence = breach.sentence();
            throw Refusal.bad(
                    breach.rule(),
                    breach.where(),
                    Character.toUpperCase(sentence.charAt(0)) + sentence.substring(1) + ". Nothing was recorded.");
        });
        LocalDate day = LocalDate.ofInstant(round.at() == null ? clock.instant() : round.at(), zone());
        if (round.classId() != null) {
            TrainingClass training = classes.open(round.classId());
            if (training.cancelled()) {
                throw Refusal.bad(
                        "CALLED_OFF", "/classId", "This class was called off, so no round of it was recorded.");
            }
            day = training.date();
        }
        Map<String, Student> people = stores.of(Parts.PEOPLE).find(round.members());
        for (String member : round.members()) {
            Student person = people.get(member);
            if (person == null) {
                continue; // said by the check of what it points at
            }
            String field = member.equals(round.first()) ? "/first" : "/second";
            if (person.name().equals(Student.ERASED)) {
                throw Refusal.bad("ERASED", field, "Nothing new is recorded of somebody who was erased.");
            }
            if (!states.canHaveBeen(member, day)) {
                throw Refusal.bad(
                        "BEFORE_JOINING",
                        field,
                        person.calledBy() + " had not joined on " + day + ", and was no guest. Nothing was recorded.");
            }
        }
    }

    private ZoneId zone() {
        return clock.getZone();
    }

    private void happened(Round round) {
        GrapplingMap map = taught.now().map();
        LocalDate day = round.classId() == null
                ? LocalDate.ofInstant(round.at(), java.time.ZoneOffset.UTC)
                : classes.trained(round.classId()).date();
        Map<String, List<StudentEvent>> events = round.members().stream()
                .collect(
                        Collectors.toMap(member -> member, member -> StudentRecord.successes(round, member, map, day)));
        events.values().removeIf(List::isEmpty);
        states.fold(events);
    }

    private void foldAgain(List<Round> touched) {
        GrapplingMap map = taught.now().map();
        List<String> members = touched.stream()
                .flatMap(round -> round.members().stream())
                .distinct()
                .toList();
        List<String> subjects = touched.stream()
                .flatMap(round -> round.members().stream().flatMap(member -> round.successesOf(member).stream()))
                .flatMap(event -> Stream.ofNullable(event.link()).flatMap(link -> map.link(link).stream()))
                .map(Link::technique)
                .distinct()
                .toList();
        if (!subjects.isEmpty()) {
            states.foldAgain(members, subjects);
        }
    }
}
