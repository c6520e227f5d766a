package lynchet.server.chain;

import java.util.List;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainCheck;
import lynchet.core.chain.ChainReport;
import lynchet.core.round.RoundEvidence;
import lynchet.server.keep.Durable;
import lynchet.server.keep.ETags;
import lynchet.server.keep.Journal;
import lynchet.server.keep.Refusal;
import lynchet.server.map.MapSnapshot;
import lynchet.server.map.MapStore;
import lynchet.server.round.RoundStore;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Chains with their measures; a chain can be checked before it is kept. */
@RestController
@RequestMapping("/api/chains")
class ChainController {

    private final ChainStore chains;
    private final MapStore maps;
    private final RoundStore rounds;
    private final Durable durable;

    ChainController(ChainStore chains, MapStore maps, RoundStore rounds, Durable durable) {
        this.chains = chains;
        this.maps = maps;
        this.rounds = rounds;
        this.durable = durable;
    }

    record ChainView(Chain chain, ChainReport report) {}

    @GetMapping
    List<ChainView> all(@RequestParam(required = false) String ruleset) {
        return chains.all().stream()
                .filter(chain -> !chain.retired())
                .map(chain -> new ChainView(chain, report(chain, ruleset)))
                .toList();
    }

    @GetMapping("/{id}")
    ResponseEntity<ChainView> one(@PathVariable String id, @RequestParam(required = false) String ruleset) {
        Chain chain = chains.one(id);
        return ResponseEntity.ok().eTag(ETags.of(chain)).body(new ChainView(chain, report(chain, ruleset)));
    }

    @PostMapping("/check")
    ChainReport check(@RequestBody Chain chain, @RequestParam(required = false) String ruleset) {
        return report(chain, ruleset);
    }

    @PostMapping
    ResponseEntity<ChainView> add(@RequestBody Chain sent) {
        Chain owned = new Chain(
                sent.id(), sent.name(), sent.intent(), Journal.who(), sent.start(), sent.first(), sent.retired());
        Chain kept = durable.write(() -> chains.add(owned));
        return ResponseEntity.ok().eTag(ETags.of(kept)).body(new ChainView(kept, report(kept, null)));
    }

    @PutMapping("/{id}")
    ResponseEntity<ChainView> change(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Chain chain,
            Authentication who) {
        if (!id.equals(chain.id())) {
            throw Refusal.bad("ID_DIFFERS", "/id", "The address says " + id + " and the body " + chain.id() + ".");
        }
        boolean isHead = who.getAuthorities().stream().anyMatch(a -> "ROLE_HEAD".equals(a.getAuthority()));
        Chain kept = durable.write(() -> chains.change(chain, tag, isHead));
        return ResponseEntity.ok().eTag(ETags.of(kept)).body(new ChainView(kept, report(kept, null)));
    }

    private ChainReport report(Chain chain, String ruleset) {
        MapSnapshot snapshot = maps.snapshot();
        RoundEvidence evidence = rounds.evidence(snapshot.map());
        return ChainCheck.check(snapshot.map(), chain, snapshot.ruleset(ruleset), evidence::estimate);
    }
}
