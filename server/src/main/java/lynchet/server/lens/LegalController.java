package lynchet.server.lens;

import java.util.List;
import java.util.Map;
import lynchet.core.card.Jacket;
import lynchet.core.map.GrapplingMap;
import lynchet.core.walk.Legal;
import lynchet.core.walk.Suggestions;
import lynchet.server.club.Snapshot;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.round.RoundStore;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What is on the map under a ruleset, what is logged about it, and what fits when something is added to it. */
@RestController
@OpenTo(Who.ACCOUNTS)
@RequestMapping("/api/map")
class LegalController {

    private final TeachingSnapshots taught;
    private final RoundStore rounds;

    LegalController(TeachingSnapshots taught, RoundStore rounds) {
        this.taught = taught;
        this.rounds = rounds;
    }

    /** What a ruleset leaves of the map, or a jacket or its absence: one of the two. */
    @GetMapping("/legal")
    Legal legal(@RequestParam(required = false) String ruleset, @RequestParam(required = false) Jacket jacket) {
        if ((ruleset == null) == (jacket == null)) {
            throw Refusal.bad("LEGAL", "ruleset", "Say a ruleset or a jacket, one of the two.");
        }
        Snapshot snapshot = taught.now();
        return ruleset != null
                ? Legal.under(snapshot.map(), snapshot.ruleset(ruleset))
                : Legal.wearing(snapshot.map(), jacket);
    }

    /** Tries logged of what starts at each position, by position id. */
    @GetMapping("/evidence")
    Map<String, Integer> evidence() {
        return rounds.evidence(taught.now().map()).triesByPosition();
    }

    /** What fits, the likeliest first: techniques at a position, and where the given one may lead. */
    record Fitting(List<String> techniques, List<String> targets) {}

    @GetMapping("/suggestions")
    Fitting suggestions(@RequestParam String from, @RequestParam(required = false) String technique) {
        GrapplingMap map = taught.now().map();
        map.position(from).orElseThrow(() -> Refusal.missing("position", from));
        if (technique != null) {
            map.technique(technique).orElseThrow(() -> Refusal.missing("technique", technique));
        }
        return new Fitting(
                Suggestions.techniques(map, from),
                technique == null ? List.of() : Suggestions.targets(map, from, technique));
    }
}
