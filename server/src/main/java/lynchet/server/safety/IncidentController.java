package lynchet.server.safety;

import java.time.LocalDate;
import java.util.List;
import lynchet.core.club.Parts;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.Restriction;
import lynchet.core.people.Student;
import lynchet.core.safety.Incident;
import lynchet.server.club.RecordDesk;
import lynchet.server.club.ReferenceCheck;
import lynchet.server.keep.ETags;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.PersonOf;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.mat.ClassDesk;
import lynchet.server.people.People;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * What happened on the mat: written down in a few touches, completed afterwards, given to the insurer as a sheet. Coaches
 * only, and never in the journal. A head knock limits the person who had it at once.
 */
@RestController
@OpenTo(Who.COACHES)
@RequestMapping("/api/incidents")
class IncidentController {

    private static final int MOST = 200;
    private static final int MOST_DAYS = 1830;

    private final RecordDesk desk;
    private final ClassDesk classes;
    private final IncidentStore incidents;
    private final People people;
    private final PersonOf persons;
    private final ReferenceCheck known;

    IncidentController(
            RecordDesk desk,
            ClassDesk classes,
            IncidentStore incidents,
            People people,
            PersonOf persons,
            ReferenceCheck known) {
        this.desk = desk;
        this.classes = classes;
        this.incidents = incidents;
        this.people = people;
        this.persons = persons;
        this.known = known;
    }

    /** An incident and whose it is. */
    record IncidentView(Incident incident, String name, String tag) {}

    /** What happened to one student, or from a day to a day: one of the two. The latest first, 200 at most. */
    @GetMapping
    List<IncidentView> all(
            @RequestParam @Nullable String student,
            @RequestParam @Nullable LocalDate from,
            @RequestParam @Nullable LocalDate to) {
        if (student != null) {
            people.one(student);
            return seen(incidents.of(student));
        }
        if (from == null || to == null || to.isAfter(from.plusDays(MOST_DAYS))) {
            throw Refusal.bad("INCIDENTS", "from", "Say a student, or a day from and a day to, at most five years.");
        }
        return seen(incidents.between(from, to, MOST));
    }

    private List<IncidentView> seen(List<Incident> some) {
        return some.stream()
                .filter(incident -> !persons.isMyself(incident.student()))
                .map(this::view)
                .toList();
    }

    private IncidentView view(Incident incident) {
        return new IncidentView(incident, people.one(incident.student()).name(), ETags.of(incident));
    }

    /**
     * What the sheet for the insurer says beside the incident.
     *
     * @param training the class it happened in; null: outside any
     * @param limits what must not be done with them since
     */
    record IncidentSheet(
            Incident incident,
            Student student,
            @Nullable String partner,
            @Nullable TrainingClass training,
            List<Restriction> limits) {}

    @GetMapping("/{id}")
    ResponseEntity<IncidentSheet> one(@PathVariable String id) {
        Incident incident = incidents
                .find(id)
                .filter(found -> !persons.isMyself(found.student()))
                .orElseThrow(() -> Refusal.missing("incident", id));
        Student student = people.one(incident.student());
        IncidentSheet sheet = new IncidentSheet(
                incident,
                student.withNotes(""),
                incident.partner() == null
                        ? null
                        : people.one(incident.partner()).name(),
                incident.classId() == null ? null : classes.trained(incident.classId()),
                student.restrictions().stream()
                        .filter(limit -> !limit.from().isBefore(incident.on())
                                && !limit.from().isAfter(incident.on().plusDays(1)))
                        .toList());
        return ResponseEntity.ok().eTag(ETags.of(incident)).body(sheet);
    }

    /**
     * Something that happened.
     *
     * @param limit what must not be done with them from now on; a head knock brings its own
     */
    record Happened(Incident incident, @Nullable Restriction limit) {}

    /** Writes it down and limits the person who was hurt, both or neither. The same again is the first answer. */
    @PostMapping
    ResponseEntity<Incident> happened(@RequestBody Happened sent) {
        if (sent.incident() == null) {
            throw Refusal.bad("INCIDENT_MISSING", "/incident", "Say what happened.");
        }
        notToCome(sent.incident());
        return ETags.tagged(desk.writeInTurn(() -> keep(sent)));
    }

    private Incident keep(Happened sent) {
        return desk.taken(
                Parts.INCIDENTS,
                sent.incident(),
                "/incident",
                wanted -> {
                    if (wanted.classId() != null) {
                        classes.open(wanted.classId());
                    }
                },
                wanted -> limit(wanted, sent.limit()));
    }

    private void limit(Incident happened, @Nullable Restriction limit) {
        limitAfterAKnock(happened);
        boolean hasItsOwn = happened.kind() == Incident.Kind.HEAD_KNOCK;
        if (limit != null && !(hasItsOwn && limit.kind() == Restriction.Kind.HEAD_KNOCK)) {
            limit.mustBeSound();
            people.changeMany(List.of(happened.student()), student -> student.limitedBy(limit));
        }
    }

    /** Completes or corrects one; who it happened to and who wrote it down first stay. */
    @PutMapping("/{id}")
    ResponseEntity<Incident> change(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Incident sent) {
        Refusal.unlessSame(id, sent.id());
        notToCome(sent);
        return ETags.tagged(desk.writeInTurn(() -> {
            Incident before = desk.one(Parts.INCIDENTS, id);
            ETags.match(tag, before, id);
            if (!before.student().equals(sent.student())) {
                throw Refusal.bad("INCIDENT_STUDENT", "/student", "Whom it happened to stays; write down another one.");
            }
            Incident after = sent.stamped(before.at(), before.by());
            known.check(Parts.INCIDENTS, after);
            if (!after.equals(before)) {
                incidents.change(List.of(after));
                if (before.kind() != Incident.Kind.HEAD_KNOCK) {
                    limitAfterAKnock(after);
                }
            }
            return after;
        }));
    }

    /** Anybody who had a head knock is limited at once, also where it is only found out when the sheet is completed. */
    private void limitAfterAKnock(Incident incident) {
        if (incident.kind() == Incident.Kind.HEAD_KNOCK) {
            Restriction limit = new Restriction(Restriction.Kind.HEAD_KNOCK, incident.on(), null, null);
            people.changeMany(List.of(incident.student()), student -> student.limitedBy(limit));
        }
    }

    private void notToCome(Incident incident) {
        if (incident.on().isAfter(people.today())) {
            throw Refusal.bad("NOT_YET", "/on", "The day " + incident.on() + " has not come yet.");
        }
    }
}
