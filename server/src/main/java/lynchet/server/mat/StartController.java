package lynchet.server.mat;

import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import lynchet.core.club.Parts;
import lynchet.core.mat.Start;
import lynchet.server.club.RecordDesk;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import org.springframework.http.ResponseEntity;
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

    private final RecordDesk desk;
    private final StartStore starts;
    private final ClassDesk classes;
    private final TeachingSnapshots taught;
    private final Clock clock;

    StartController(RecordDesk desk, StartStore starts, ClassDesk classes, TeachingSnapshots taught, Clock clock) {
        this.desk = desk;
        this.starts = starts;
        this.classes = classes;
        this.taught = taught;
        this.clock = clock;
    }

    /** Counts a start. */
    @OpenTo(Who.COACHES)
    @PostMapping("/starts")
    Start count(@RequestBody Start sent) {
        return desk.take(Parts.STARTS, sent, start -> classes.open(start.classId()), start -> {});
    }

    /** Takes one back. */
    @OpenTo(Who.COACHES)
    @DeleteMapping("/starts/{id}")
    ResponseEntity<Void> takeBack(@PathVariable String id) {
        desk.uncount(Parts.STARTS, id);
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
