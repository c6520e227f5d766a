package lynchet.server.erase;

import java.util.List;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.mat.Credit;
import lynchet.core.mat.Mark;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.people.Ask;
import lynchet.core.people.Brought;
import lynchet.core.people.Promotion;
import lynchet.core.people.Student;
import lynchet.core.people.StudentRecord;
import lynchet.core.people.SyllabusMove;
import lynchet.core.promote.Merit;
import lynchet.core.promote.Nomination;
import lynchet.core.round.Round;
import lynchet.core.rule.Most;
import lynchet.core.rule.Usual;
import lynchet.core.safety.Incident;
import lynchet.server.club.Stores;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Who;
import lynchet.server.mat.CreditStore;
import lynchet.server.mat.MarkStore;
import lynchet.server.mat.PracticeDesk;
import lynchet.server.mat.StudentStates;
import lynchet.server.people.People;
import lynchet.server.round.RoundStore;
import lynchet.server.safety.IncidentStore;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** One person's data: given out to them, or erased. For the head coach. */
@RestController
@OpenTo(Who.HEADS)
@RequestMapping("/api/people/{id}")
class EraseController {

    private final PracticeDesk practice;
    private final Erasing erasing;
    private final People people;
    private final StudentStates states;
    private final MarkStore marks;
    private final RoundStore rounds;
    private final CreditStore credits;
    private final IncidentStore incidents;
    private final Stores stores;

    EraseController(
            PracticeDesk practice,
            Erasing erasing,
            People people,
            StudentStates states,
            MarkStore marks,
            RoundStore rounds,
            CreditStore credits,
            IncidentStore incidents,
            Stores stores) {
        this.practice = practice;
        this.erasing = erasing;
        this.people = people;
        this.states = states;
        this.marks = marks;
        this.rounds = rounds;
        this.credits = credits;
        this.incidents = incidents;
        this.stores = stores;
    }

    /** A class they were in. */
    record InClass(String id, java.time.LocalDate date, String track, boolean cancelled) {}

    /** Everything that is kept of one person. Others are named by their ids alone. */
    record GivenOut(
            Student student,
            List<Promotion> promotions,
            List<InClass> classes,
            List<PracticeEntry> practice,
            List<Mark> marks,
            List<Round> rounds,
            List<Credit> credits,
            List<Incident> incidents,
            List<Brought> brought,
            List<Ask> asks,
            List<Merit> merits,
            List<Nomination> nominations,
            List<SyllabusMove> syllabusMoves) {}

    @GetMapping("/all")
    ResponseEntity<GivenOut> all(@PathVariable String id) {
        Student student = people.one(id);
        StudentRecord record = states.recordOf(id);
        GivenOut all = new GivenOut(
                student,
                people.promotionsOf(id),
                record.attended().stream()
                        .map(c -> new InClass(c.id(), c.date(), c.track(), c.cancelled()))
                        .toList(),
                practice.all(record.practice().stream().map(PracticeEntry::id).toList()),
                marks.of(id),
                rounds.of(id),
                credits.of(id),
                incidents.of(id),
                about(Parts.BROUGHT, id),
                about(Parts.ASKS, id),
                about(Parts.MERITS, id),
                about(Parts.NOMINATIONS, id),
                about(Parts.SYLLABUS_MOVES, id));
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + id + ".json\"")
                .contentType(MediaType.APPLICATION_JSON)
                .body(all);
    }

    private <T> List<T> about(Part<T> part, String id) {
        return stores.of(part).pointingAt(Target.STUDENT, List.of(id), Integer.MAX_VALUE);
    }

    /** Where they are named in what others wrote, so that it is known before they are erased. */
    @GetMapping("/mentions")
    List<Erasing.Mention> mentions(@PathVariable String id) {
        return erasing.mentions(people.one(id));
    }

    /** The name, written once more, and whether it goes from what others wrote as well. */
    record Erase(@Most(100) String name, @Usual("false") boolean fromText) {}

    @PostMapping("/erase")
    Erasing.Erased erase(@PathVariable String id, @RequestBody Erase asked) {
        return erasing.erase(id, asked.name(), asked.fromText());
    }
}
