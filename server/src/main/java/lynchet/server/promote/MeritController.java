package lynchet.server.promote;

import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import lynchet.core.club.Parts;
import lynchet.core.promote.Merit;
import lynchet.server.club.Known;
import lynchet.server.keep.Durable;
import lynchet.server.keep.Journal;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.PersonOf;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.mat.StudentStates;
import lynchet.server.people.People;
import org.springframework.transaction.support.TransactionTemplate;
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

    private final MeritStore merits;
    private final People people;
    private final PersonOf persons;
    private final StudentStates states;
    private final Known known;
    private final Journal journal;
    private final Durable durable;
    private final TransactionTemplate transaction;
    private final Clock clock;

    MeritController(
            MeritStore merits,
            People people,
            PersonOf persons,
            StudentStates states,
            Known known,
            Journal journal,
            Durable durable,
            TransactionTemplate transaction,
            Clock clock) {
        this.merits = merits;
        this.people = people;
        this.persons = persons;
        this.states = states;
        this.known = known;
        this.journal = journal;
        this.durable = durable;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** Those of a student, the latest first. */
    @GetMapping
    List<Merit> of(@RequestParam String student) {
        people.one(student);
        return persons.isMyself(student) ? List.of() : merits.of(student);
    }

    /** Writes one down. The same again is the first answer. */
    @PostMapping
    Merit add(@RequestBody Merit sent) {
        if (sent.on().isAfter(people.today())) {
            throw Refusal.bad("NOT_YET", "/on", "The day " + sent.on() + " has not come yet.");
        }
        return durable.write(() -> transaction.execute(status -> {
            Optional<Merit> kept = merits.find(sent.id());
            if (kept.isPresent()) {
                if (!sent.stamped(kept.get().at(), kept.get().by()).equals(kept.get())) {
                    throw Refusal.taken(sent.id(), "Something else was already recorded under this id.");
                }
                return kept.get();
            }
            people.notThemselves(sent.student());
            known.check(Parts.MERITS, sent);
            Merit stamped = sent.stamped(clock.instant().truncatedTo(ChronoUnit.MILLIS), Journal.who());
            merits.add(List.of(stamped));
            states.changed(Set.of(sent.student()));
            return stamped;
        }));
    }

    /** Takes one back; who did it stays in the journal. */
    @DeleteMapping("/{id}")
    Merit takeBack(@PathVariable String id) {
        return durable.write(() -> transaction.execute(status -> {
            Merit there = merits.find(id).orElseThrow(() -> Refusal.missing("merit", id));
            merits.remove(List.of(id));
            journal.write("remove", "merit", id, there, null);
            states.changed(Set.of(there.student()));
            return there;
        }));
    }
}
