package lynchet.server.lens;

import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import lynchet.core.club.Parts;
import lynchet.core.walk.IgnoredGap;
import lynchet.server.club.Edits;
import lynchet.server.club.RecordSelection;
import lynchet.server.keep.Journal;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.PartStore;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.map.IgnoredGapStore;
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
    private final Edits edits;
    private final Clock clock;

    IgnoredGapController(IgnoredGapStore ignored, Edits edits, Clock clock) {
        this.ignored = ignored;
        this.edits = edits;
        this.clock = clock;
    }

    @OpenTo(Who.ACCOUNTS)
    @GetMapping
    List<IgnoredGap> through(
            @RequestParam(required = false) String rank, @RequestParam(required = false) String student) {
        return ignored.through(rank, student);
    }

    /** The time and the account are the server's; {@code at} and {@code by} that are sent are not looked at. */
    @OpenTo(Who.HEADS)
    @PostMapping
    IgnoredGap ignore(@RequestBody IgnoredGap sent) {
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
        edits.change(() -> only(List.of(gap.id())), club -> {
            Optional<IgnoredGap> there = club.ignoredGaps().stream().findFirst();
            if (there.isPresent() && !there.get().covers(gap)) {
                throw Refusal.taken(gap.id(), "There is another decision with this id.");
            }
            return there.isPresent() ? club : club.with(Parts.IGNORED_GAPS, List.of(gap));
        });
        return ignored.find(gap.id()).orElseThrow();
    }

    private static RecordSelection only(List<String> ids) {
        return new RecordSelection() {
            @Override
            public <T> List<T> of(PartStore<T> store) {
                return store.part().equals(Parts.IGNORED_GAPS)
                        ? List.copyOf(store.find(ids).values())
                        : List.of();
            }
        };
    }

    @OpenTo(Who.HEADS)
    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeBack(@PathVariable String id) {
        edits.change(() -> only(List.of(id)), club -> {
            if (club.ignoredGaps().isEmpty()) {
                throw Refusal.missing("ignored gap", id);
            }
            return club.with(Parts.IGNORED_GAPS, List.of());
        });
    }
}
