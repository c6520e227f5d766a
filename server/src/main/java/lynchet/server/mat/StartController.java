package lynchet.server.mat;

import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import lynchet.core.club.Parts;
import lynchet.core.mat.Start;
import lynchet.server.club.Known;
import lynchet.server.club.Taught;
import lynchet.server.keep.Durable;
import lynchet.server.keep.Journal;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Positional rounds, counted with two thumbs. */
@RestController
@RequestMapping("/api")
class StartController {

    /** A season. */
    private static final int DAYS = 182;

    private static final int MOST = 5000;

    private final StartStore starts;
    private final RecordStore records;
    private final Taught taught;
    private final Known known;
    private final Durable durable;
    private final TransactionTemplate transaction;
    private final Clock clock;

    StartController(
            StartStore starts,
            RecordStore records,
            Taught taught,
            Known known,
            Durable durable,
            TransactionTemplate transaction,
            Clock clock) {
        this.starts = starts;
        this.records = records;
        this.taught = taught;
        this.known = known;
        this.durable = durable;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** Counts a start. The same again is the first answer. */
    @OpenTo(Who.COACHES)
    @PostMapping("/starts")
    Start count(@RequestBody Start sent) {
        return durable.write(() -> transaction.execute(status -> kept(sent)));
    }

    private Start kept(Start sent) {
        Optional<Start> same = starts.find(sent.id());
        if (same.isPresent()) {
            if (!sent.stamped(same.get().at(), same.get().by()).equals(same.get())) {
                throw Refusal.taken(sent.id(), "Something else was already recorded under this id.");
            }
            return same.get();
        }
        records.kept(sent.classId());
        known.check(Parts.STARTS, sent);
        Start stamped = sent.stamped(records.stamp(sent.at()), Journal.who());
        starts.add(List.of(stamped));
        return stamped;
    }

    /** Takes one back. */
    @OpenTo(Who.COACHES)
    @DeleteMapping("/starts/{id}")
    ResponseEntity<Void> takeBack(@PathVariable String id) {
        durable.write(() -> transaction.execute(status -> {
            starts.find(id).orElseThrow(() -> Refusal.missing("start", id));
            starts.remove(List.of(id));
            return id;
        }));
        return ResponseEntity.noContent().build();
    }

    /**
     * How positional rounds from a position ended over the last half year.
     *
     * @param starts how often it was started
     * @param escapes how often somebody got away
     */
    record FromHere(int starts, int escapes) {}

    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/map/positions/{id}/starts")
    FromHere from(@PathVariable String id) {
        if (taught.now().map().position(id).isEmpty()) {
            throw Refusal.missing("position", id);
        }
        List<Start> all = starts.from(id, clock.instant().minus(DAYS, ChronoUnit.DAYS), MOST);
        return new FromHere(
                all.size(), (int) all.stream().filter(Start::escaped).count());
    }
}
