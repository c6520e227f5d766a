package lynchet.server.safety;

import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import lynchet.core.club.Parts;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.Restriction;
import lynchet.core.people.Student;
import lynchet.core.safety.Incident;
import lynchet.server.club.Known;
import lynchet.server.keep.Durable;
import lynchet.server.keep.ETags;
import lynchet.server.keep.Journal;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.PersonOf;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.mat.RecordStore;
import lynchet.server.people.People;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.support.TransactionTemplate;
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
 * only, and never in the journal. A head knock limits whoever had it at once.
 */
@RestController
@OpenTo(Who.COACHES)
@RequestMapping("/api/incidents")
class IncidentController {

    private static final int MOST = 200;
    private static final int MOST_DAYS = 1830;

    private final IncidentStore incidents;
    private final People people;
    private final PersonOf persons;
    private final RecordStore records;
    private final Known known;
    private final Durable durable;
    private final TransactionTemplate transaction;
    private final Clock clock;

    IncidentController(
            IncidentStore incidents,
            People people,
            PersonOf persons,
            RecordStore records,
            Known known,
            Durable durable,
            TransactionTemplate transaction,
            Clock clock) {
        this.incidents = incidents;
        this.people = people;
        this.persons = persons;
        this.records = records;
        this.known = known;
        this.durable = durable;
        this.transaction = transaction;
        this.clock = clock;
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
                incident.classId() == null ? null : records.trained(incident.classId()),
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

    /** Writes it down and limits whoever was hurt, both or neither. The same again is the first answer. */
    @PostMapping
    ResponseEntity<Incident> happened(@RequestBody Happened sent) {
        if (sent.incident() == null) {
            throw Refusal.bad("INCIDENT_MISSING", "/incident", "Say what happened.");
        }
        notToCome(sent.incident());
        return ETags.tagged(durable.write(() -> people.inTurn(() -> transaction.execute(status -> keep(sent)))));
    }

    private Incident keep(Happened sent) {
        Incident wanted = sent.incident().stamped(clock.instant().truncatedTo(ChronoUnit.MILLIS), Journal.who());
        Optional<Incident> kept = incidents.find(wanted.id());
        if (kept.isPresent()) {
            if (!kept.get().equals(wanted.stamped(kept.get().at(), kept.get().by()))) {
                throw Refusal.taken(wanted.id(), "Something else was written down under this id.");
            }
            return kept.get();
        }
        if (wanted.classId() != null) {
            records.kept(wanted.classId());
        }
        known.check(Parts.INCIDENTS, wanted, "/incident");
        incidents.add(List.of(wanted));
        limitAfterAKnock(wanted);
        boolean hasItsOwn = wanted.kind() == Incident.Kind.HEAD_KNOCK;
        if (sent.limit() != null && !(hasItsOwn && sent.limit().kind() == Restriction.Kind.HEAD_KNOCK)) {
            sent.limit().mustBeSound();
            people.changeMany(List.of(wanted.student()), student -> student.limitedBy(sent.limit()));
        }
        return wanted;
    }

    /** Completes or corrects one; who it happened to and who wrote it down first stay. */
    @PutMapping("/{id}")
    ResponseEntity<Incident> change(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Incident sent) {
        if (!id.equals(sent.id())) {
            throw Refusal.bad("ID_DIFFERS", "/id", "The address and what was sent name two different things.");
        }
        notToCome(sent);
        return ETags.tagged(durable.write(() -> people.inTurn(() -> transaction.execute(status -> {
            Incident before = incidents.find(id).orElseThrow(() -> Refusal.missing("incident", id));
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
        }))));
    }

    /** Whoever had a head knock is limited at once, also where it is only found out when the sheet is completed. */
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
