package lynchet.server.lens;

import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import lynchet.core.map.GrapplingMap;
import lynchet.core.walk.IgnoredGap;
import lynchet.server.keep.Durable;
import lynchet.server.keep.Journal;
import lynchet.server.keep.Refusal;
import lynchet.server.map.IgnoredGapStore;
import lynchet.server.map.MapStore;
import lynchet.server.people.PeopleStore;
import lynchet.server.rank.LadderStore;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Findings that a coach leaves as they are: the decision, its reason, and taking it back. */
@RestController
@RequestMapping("/api/map/gaps/ignored")
class IgnoredGapController {

    private final IgnoredGapStore ignored;
    private final MapStore maps;
    private final LadderStore ladders;
    private final PeopleStore people;
    private final Durable durable;
    private final Clock clock;

    IgnoredGapController(
            IgnoredGapStore ignored,
            MapStore maps,
            LadderStore ladders,
            PeopleStore people,
            Durable durable,
            Clock clock) {
        this.ignored = ignored;
        this.maps = maps;
        this.ladders = ladders;
        this.people = people;
        this.durable = durable;
        this.clock = clock;
    }

    @GetMapping
    List<IgnoredGap> through(
            @RequestParam(required = false) String rank, @RequestParam(required = false) String student) {
        return ignored.through(rank, student);
    }

    /** The time and the account are the server's; {@code at} and {@code by} that are sent are not looked at. */
    @PostMapping
    IgnoredGap ignore(@RequestBody IgnoredGap sent) {
        if (sent.rank() != null) {
            ladders.withRank(sent.rank());
        }
        if (sent.student() != null) {
            people.one(sent.student());
        }
        GrapplingMap map = maps.snapshot().map();
        there(sent.position() == null || map.position(sent.position()).isPresent(), "position", sent.position());
        there(sent.technique() == null || map.technique(sent.technique()).isPresent(), "technique", sent.technique());
        there(sent.reaction() == null || map.reaction(sent.reaction()).isPresent(), "reaction", sent.reaction());
        IgnoredGap gap = new IgnoredGap(
                sent.id(),
                sent.rank(),
                sent.student(),
                sent.code(),
                sent.position(),
                sent.technique(),
                sent.reaction(),
                sent.reason(),
                clock.instant().truncatedTo(ChronoUnit.MILLIS),
                Journal.who());
        return durable.write(() -> ignored.add(gap));
    }

    private static void there(boolean isThere, String field, String id) {
        if (!isThere) {
            throw Refusal.missing(field, id);
        }
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeBack(@PathVariable String id) {
        durable.write(() -> {
            ignored.remove(id);
            return id;
        });
    }
}
