package lynchet.server.people;

import java.util.List;
import lynchet.core.club.Parts;
import lynchet.core.people.Ask;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.server.club.RecordDesk;
import lynchet.server.club.ReferenceCheck;
import lynchet.server.keep.ETags;
import lynchet.server.keep.Journal;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.PersonOf;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
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

/** What students asked to work on: written down, answered with a technique or chain, taken up by a class. */
@RestController
@OpenTo(Who.COACHES)
@RequestMapping("/api/asks")
class AskController {

    /** More than one class can take up. */
    private static final int MOST = 40;

    private final RecordDesk desk;
    private final AskStore asks;
    private final People people;
    private final PersonOf persons;
    private final ReferenceCheck known;
    private final Journal journal;

    AskController(
            RecordDesk desk, AskStore asks, People people, PersonOf persons, ReferenceCheck known, Journal journal) {
        this.desk = desk;
        this.asks = asks;
        this.people = people;
        this.persons = persons;
        this.known = known;
        this.journal = journal;
    }

    /** An ask with its tag, and who asked. */
    record AskView(Ask ask, String name, String tag) {}

    /** What one student asked, or what those on a track wait for: one of the two. */
    @GetMapping
    List<AskView> all(@RequestParam @Nullable String student, @RequestParam @Nullable String track) {
        if ((student == null) == (track == null)) {
            throw Refusal.bad("ASKS", "student", "Say a student or a track, one of the two.");
        }
        if (student != null) {
            people.one(student);
        }
        return (student != null ? asks.of(student) : asks.waitingOn(track, MOST))
                .stream()
                        .filter(ask -> !persons.isMyself(ask.student()))
                        .map(ask -> new AskView(ask, people.one(ask.student()).name(), ETags.of(ask)))
                        .toList();
    }

    /** Something that was asked. */
    record NewAsk(
            String id,
            String student,
            @Most(200) String words,
            @Nullable String subject) {
        NewAsk {
            Require.id("an ask", id);
        }
    }

    /** Writes one down; the day and the account are the house's. The same again is the first answer. */
    @PostMapping
    ResponseEntity<Ask> add(@RequestBody NewAsk sent) {
        return ETags.tagged(desk.writeInTurn(() -> {
            Ask stamped = new Ask(
                    sent.id(), sent.student(), people.today(), Journal.who(), sent.words(), sent.subject(), null);
            Ask kept = asks.find(sent.id()).orElse(null);
            if (kept != null) {
                if (!kept.words().equals(sent.words()) || !kept.student().equals(sent.student())) {
                    throw Refusal.taken(sent.id(), "Something else was asked under this id.");
                }
                return kept;
            }
            known.check(Parts.ASKS, stamped);
            asks.add(List.of(stamped));
            return stamped;
        }));
    }

    /** Answers one, or says that it was taken up. */
    @PutMapping("/{id}")
    ResponseEntity<Ask> change(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Ask sent) {
        Refusal.unlessSame(id, sent.id());
        return ETags.tagged(desk.writeInTurn(() -> {
            Ask before = desk.one(Parts.ASKS, id);
            ETags.match(tag, before, id);
            Ask after = sent.stamped(before.on(), before.by());
            known.check(Parts.ASKS, after);
            if (!after.equals(before)) {
                asks.change(List.of(after));
                journal.write("change", "ask", id, before, after);
            }
            return after;
        }));
    }
}
