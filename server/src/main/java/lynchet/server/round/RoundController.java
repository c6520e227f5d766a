package lynchet.server.round;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import lynchet.core.club.Parts;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.round.Round;
import lynchet.core.round.RoundFilter;
import lynchet.server.club.Stores;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Rounds and their cards. Who was caught with what is for coaches. */
@RestController
@OpenTo(Who.COACHES)
@RequestMapping("/api/rounds")
class RoundController {

    private static final int PAGE = 60;
    private static final int MOST_PAGES = 2000;

    private final RoundDesk desk;
    private final RoundStore rounds;
    private final Stores stores;
    private final TeachingSnapshots taught;
    private final Clock clock;

    RoundController(RoundDesk desk, RoundStore rounds, Stores stores, TeachingSnapshots taught, Clock clock) {
        this.desk = desk;
        this.rounds = rounds;
        this.stores = stores;
        this.taught = taught;
        this.clock = clock;
    }

    /**
     * Rounds, the latest first.
     *
     * @param total how many there are on all pages
     * @param size how many are on a page
     * @param names of the members in them, by id
     */
    record RoundsPage(int total, int size, List<Round> rounds, Map<String, String> names) {}

    /** @param page 0 is the first */
    @GetMapping
    RoundsPage all(TriesAsked asked, RoundsAsked also, @RequestParam(defaultValue = "0") int page) {
        if (page < 0 || page > MOST_PAGES) {
            throw Refusal.bad("PAGE", "page", "Pages go from 0 to " + MOST_PAGES + ".");
        }
        RoundFilter filter = asked.filter(clock.getZone());
        RoundStore.Page found = rounds.page(filter, spelledOut(also), PAGE, page);
        Map<String, String> names = new TreeMap<>();
        stores.of(Parts.PEOPLE)
                .find(found.rounds().stream()
                        .flatMap(round -> round.members().stream())
                        .distinct()
                        .toList())
                .values()
                .forEach(person -> names.put(person.id(), person.name()));
        return new RoundsPage(found.total(), PAGE, found.rounds(), names);
    }

    /** @throws Refusal 404 naming the technique that is not on the map */
    private RoundsAsked spelledOut(RoundsAsked also) {
        if (also.technique() == null) {
            return also;
        }
        GrapplingMap map = taught.now().map();
        if (map.technique(also.technique()).isEmpty()) {
            throw Refusal.missing("technique", also.technique());
        }
        List<String> links = map.data().links().stream()
                .filter(link -> link.technique().equals(also.technique()))
                .map(Link::id)
                .toList();
        return also.with(links.isEmpty() ? List.of("") : links);
    }

    /** Keeps a round, or corrects it: of two that were sent for one round the later stands. */
    @PutMapping("/{id}")
    Round put(@PathVariable String id, @RequestBody Round sent) {
        Refusal.unlessSame(id, sent.id());
        return desk.put(sent);
    }

    @DeleteMapping("/{id}")
    ResponseEntity<Void> takeBack(@PathVariable String id) {
        desk.takeBack(id);
        return ResponseEntity.noContent().build();
    }
}
