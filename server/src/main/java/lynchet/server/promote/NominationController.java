package lynchet.server.promote;

import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import lynchet.core.club.Parts;
import lynchet.core.people.StandingThen;
import lynchet.core.promote.Nomination;
import lynchet.core.rank.Ladder;
import lynchet.server.club.RecordDesk;
import lynchet.server.club.ReferenceCheck;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.Journal;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.mat.StudentStates;
import lynchet.server.people.People;
import lynchet.server.people.Promoting;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Coaches put somebody forward for the next rank at a window, and take that back. */
@RestController
@OpenTo(Who.COACHES)
@RequestMapping("/api/nominations")
class NominationController {

    private final RecordDesk desk;
    private final NominationStore nominations;
    private final People people;
    private final Promoting promoting;
    private final StudentStates states;
    private final TeachingSnapshots taught;
    private final ReferenceCheck known;
    private final Clock clock;

    NominationController(
            RecordDesk desk,
            NominationStore nominations,
            People people,
            Promoting promoting,
            StudentStates states,
            TeachingSnapshots taught,
            ReferenceCheck known,
            Clock clock) {
        this.desk = desk;
        this.nominations = nominations;
        this.people = people;
        this.promoting = promoting;
        this.states = states;
        this.taught = taught;
        this.known = known;
        this.clock = clock;
    }

    /** Puts somebody forward, once at each window. The same again is the first answer. */
    @PostMapping
    Nomination putForward(@RequestBody Nomination sent) {
        return desk.writeInTurn(() -> keep(sent));
    }

    private Nomination keep(Nomination sent) {
        Optional<Nomination> kept = nominations.find(sent.id());
        if (kept.isPresent()) {
            if (!sent.stamped(kept.get().stood(), kept.get().at(), kept.get().by())
                    .equals(kept.get())) {
                throw Refusal.taken(sent.id(), "Something else was already recorded under this id.");
            }
            return kept.get();
        }
        people.notThemselves(sent.student());
        known.check(Parts.NOMINATIONS, sent);
        Ladder ladder = taught.now().ladder(sent.ladder());
        LocalDate window = ladder.policy().window(people.today());
        if (sent.window().isBefore(window)
                || !ladder.policy().window(sent.window()).equals(sent.window())) {
            throw Refusal.bad(
                    "NO_WINDOW",
                    "/window",
                    "There is no window to come on " + sent.window() + "; the next is " + window + ".");
        }
        String held = people.state(sent.student())
                .heldOn(sent.ladder())
                .orElseThrow(() -> Refusal.bad("NO_RANK", "/student", "They hold no rank on " + ladder.name() + "."))
                .rank();
        if (!held.equals(sent.rank())) {
            throw Refusal.of(
                    HttpStatus.CONFLICT, "HELD_CHANGED", "/rank", "They hold another rank by now. Look again.");
        }
        if (ladder.after(held).isEmpty()) {
            throw Refusal.bad("TOP_RANK", "/student", "There is no rank above the one they hold.");
        }
        if (nominations.at(sent.ladder(), sent.window()).stream()
                .anyMatch(one ->
                        one.student().equals(sent.student()) && one.rank().equals(held))) {
            throw Refusal.bad("NOMINATED_ALREADY", "/student", "They are put forward at that window already.");
        }
        StandingThen stood = promoting.stands(sent.student()).stream()
                .filter(one -> one.ladder().equals(sent.ladder()))
                .findFirst()
                .orElse(null);
        Nomination stamped = sent.stamped(stood, clock.instant().truncatedTo(ChronoUnit.MILLIS), Journal.who());
        nominations.add(List.of(stamped));
        states.changed(Set.of(sent.student()));
        return stamped;
    }

    /** Takes it back; who did it stays in the journal. */
    @DeleteMapping("/{id}")
    Nomination takeBack(@PathVariable String id) {
        return desk.writeInTurn(
                () -> desk.takenBack(Parts.NOMINATIONS, id, there -> states.changed(Set.of(there.student()))));
    }
}
