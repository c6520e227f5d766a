package lynchet.server.promote;

import java.util.List;
import java.util.Set;
import lynchet.core.club.Parts;
import lynchet.core.promote.Merit;
import lynchet.server.club.RecordDesk;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.PersonOf;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.mat.StudentStates;
import lynchet.server.people.People;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What counts towards a rank outside of the classes: charts and conduct that a coach saw, seminars. */
@RestController
@OpenTo(Who.COACHES)
@RequestMapping("/api/merits")
class MeritController {

    private final RecordDesk desk;
    private final MeritStore merits;
    private final People people;
    private final PersonOf persons;
    private final StudentStates states;

    MeritController(RecordDesk desk, MeritStore merits, People people, PersonOf persons, StudentStates states) {
        this.desk = desk;
        this.merits = merits;
        this.people = people;
        this.persons = persons;
        this.states = states;
    }

    /** Those of a student, the latest first. */
    @GetMapping
    List<Merit> of(@RequestParam String student) {
        people.one(student);
        return persons.isMyself(student) ? List.of() : merits.of(student);
    }

    /** Writes one down. */
    @PostMapping
    Merit add(@RequestBody Merit sent) {
        if (sent.on().isAfter(people.today())) {
            throw Refusal.bad("NOT_YET", "/on", "The day " + sent.on() + " has not come yet.");
        }
        return desk.take(Parts.MERITS, sent, merit -> people.notThemselves(merit.student()), this::counts);
    }

    private void counts(Merit merit) {
        states.changed(Set.of(merit.student()));
    }

    /** Takes one back; who did it stays in the journal. */
    @DeleteMapping("/{id}")
    Merit takeBack(@PathVariable String id) {
        return desk.takeBack(Parts.MERITS, id, this::counts);
    }
}
