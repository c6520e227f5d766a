package lynchet.server.people;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.Mark;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.ClubPace;
import lynchet.core.people.Condition;
import lynchet.core.people.Progress;
import lynchet.core.people.Readiness;
import lynchet.core.people.Soil;
import lynchet.core.people.Student;
import lynchet.core.people.StudentRecord;
import lynchet.core.rank.Ladder;
import lynchet.server.keep.Durable;
import lynchet.server.keep.ETags;
import lynchet.server.keep.Refusal;
import lynchet.server.map.MapStore;
import lynchet.server.rank.LadderStore;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The roster and each student: progress on the syllabus, readiness with dates. */
@RestController
@RequestMapping("/api/people")
class PeopleController {

    private final PeopleStore people;
    private final LadderStore ladders;
    private final MapStore maps;
    private final Durable durable;

    PeopleController(PeopleStore people, LadderStore ladders, MapStore maps, Durable durable) {
        this.people = people;
        this.ladders = ladders;
        this.maps = maps;
        this.durable = durable;
    }

    /** One line of the roster; {@code rusty} counts passed techniques that have faded. */
    record RosterRow(Student student, LocalDate lastSeen, int rusty, Readiness readiness) {}

    /** How a student stands with each item of the present rank, and the colours of their hillside. */
    record ProgressView(
            Student student,
            List<LadderProgress> ladders,
            Map<String, Soil> soil,
            Map<String, Soil> techniques,
            LocalDate lastSeen,
            List<Mark> marks) {}

    record LadderProgress(String ladder, String rank, List<Progress.GroupProgress> groups) {}

    @GetMapping
    List<RosterRow> roster(Authentication who) {
        LocalDate today = people.today();
        GrapplingMap map = maps.snapshot().map();
        List<Ladder> all = ladders.all();
        List<StudentRecord> records = people.records();
        ClubPace pace = people.pace(records);
        return records.stream()
                .map(record -> new RosterRow(
                        seenBy(who, record.student()),
                        lastSeen(record, today),
                        rusty(record, map, today),
                        all.stream()
                                .flatMap(ladder -> Readiness.of(record, ladder, map, pace, today).stream())
                                .map(readiness -> seenBy(who, readiness))
                                .findFirst()
                                .orElse(null)))
                .toList();
    }

    @GetMapping("/{id}")
    ResponseEntity<Student> one(@PathVariable String id, Authentication who) {
        Student student = people.one(id);
        return ResponseEntity.ok().eTag(ETags.of(student)).body(seenBy(who, student));
    }

    @PutMapping("/{id}")
    ResponseEntity<Student> change(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Student student) {
        if (!id.equals(student.id())) {
            throw Refusal.bad("ID_DIFFERS", "/id", "The address says " + id + " and the body " + student.id() + ".");
        }
        return ETags.tagged(durable.write(() -> people.put(student, tag)));
    }

    @GetMapping("/{id}/readiness")
    List<Readiness> readiness(@PathVariable String id, Authentication who) {
        StudentRecord record = people.record(id);
        ClubPace pace = people.pace();
        return ladders.all().stream()
                .flatMap(ladder -> Readiness.of(record, ladder, maps.snapshot().map(), pace, people.today()).stream())
                .map(readiness -> seenBy(who, readiness))
                .toList();
    }

    @GetMapping("/{id}/progress")
    ProgressView progress(@PathVariable String id, Authentication who) {
        StudentRecord record = people.record(id);
        GrapplingMap map = maps.snapshot().map();
        LocalDate today = people.today();
        Progress progress = new Progress(record, map);
        List<LadderProgress> standing = ladders.all().stream()
                .flatMap(ladder -> record.student().heldOn(ladder.id()).stream()
                        .flatMap(held -> ladder.rank(held.rank()).stream())
                        .map(rank -> new LadderProgress(ladder.id(), rank.id(), progress.of(rank, today))))
                .toList();
        Map<String, Soil> techniques = new java.util.TreeMap<>();
        map.techniques().forEach(t -> techniques.put(t.id(), Soil.of(t.id(), progress.marks(), progress.log(), today)));
        return new ProgressView(
                seenBy(who, record.student()),
                standing,
                Soil.of(map, progress.marks(), progress.log(), today),
                techniques,
                lastSeen(record, today),
                progress.marks().standing());
    }

    private static LocalDate lastSeen(StudentRecord record, LocalDate today) {
        return record.attended().stream()
                .map(TrainingClass::date)
                .filter(day -> !day.isAfter(today))
                .reduce((first, second) -> second)
                .orElse(null);
    }

    private static int rusty(StudentRecord record, GrapplingMap map, LocalDate today) {
        Progress progress = new Progress(record, map);
        return (int) map.techniques().stream()
                .filter(t -> Soil.of(t.id(), progress.marks(), progress.log(), today) == Soil.WEED)
                .count();
    }

    private static boolean isViewer(Authentication who) {
        return who.getAuthorities().stream().anyMatch(a -> "ROLE_VIEWER".equals(a.getAuthority()));
    }

    private static Student seenBy(Authentication who, Student student) {
        return isViewer(who) ? student.withoutPrivate() : student;
    }

    /** A viewer sees that something stands in the way, not what. */
    private static Readiness seenBy(Authentication who, Readiness r) {
        if (!isViewer(who)) {
            return r;
        }
        List<Condition> open = r.conditions().stream()
                .map(c -> c.code() == Condition.Code.NO_RESTRICTION || c.code() == Condition.Code.NO_HOLD
                        ? new Condition(c.code(), "Coach's word", false, "", "", "ask a coach", null)
                        : c)
                .toList();
        return new Readiness(
                r.student(),
                r.ladder(),
                r.rank(),
                r.nextRank(),
                r.verdict(),
                open,
                r.projection(),
                r.window(),
                r.stripe());
    }

    /** The student who carries a card; for check-in. */
    @GetMapping("/card/{card}")
    Student byCard(@PathVariable String card, Authentication who) {
        return Optional.of(people.byCard(card))
                .map(student -> seenBy(who, student))
                .orElseThrow();
    }
}
