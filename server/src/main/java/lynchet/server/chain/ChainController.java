package lynchet.server.chain;

import java.util.Comparator;
import java.util.List;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainCheck;
import lynchet.core.chain.ChainReport;
import lynchet.core.club.Parts;
import lynchet.core.round.RoundEvidence;
import lynchet.server.club.OneThing;
import lynchet.server.club.Snapshot;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.AccountRights;
import lynchet.server.keep.ETags;
import lynchet.server.keep.Journal;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.round.RoundStore;
import org.springframework.http.HttpStatus;
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

    private final TeachingSnapshots taught;
    private final OneThing edits;
    private final RoundStore rounds;

    ChainController(TeachingSnapshots taught, OneThing edits, RoundStore rounds) {
        this.taught = taught;
        this.edits = edits;
        this.rounds = rounds;
    }

    record ChainView(Chain chain, ChainReport report) {}

    @OpenTo(Who.ACCOUNTS)
    @GetMapping
    List<ChainView> all(@RequestParam(required = false) String ruleset) {
        return taught.now().taught().chains().stream()
                .filter(chain -> !chain.retired())
                .sorted(Comparator.comparing(Chain::name).thenComparing(Chain::id))
                .map(chain -> new ChainView(chain, report(chain, ruleset)))
                .toList();
    }

    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/{id}")
    ResponseEntity<ChainView> one(@PathVariable String id, @RequestParam(required = false) String ruleset) {
        return view(taught.now().chain(id), ruleset);
    }

    private ResponseEntity<ChainView> view(Chain chain, String ruleset) {
        return ResponseEntity.ok().eTag(ETags.of(chain)).body(new ChainView(chain, report(chain, ruleset)));
    }

    @OpenTo(Who.COACHES)
    @PostMapping("/check")
    ChainReport check(@RequestBody Chain chain, @RequestParam(required = false) String ruleset) {
        return report(chain, ruleset);
    }

    /** Adds a chain, which belongs to the person who adds it. */
    @OpenTo(Who.COACHES)
    @PostMapping
    ResponseEntity<ChainView> add(@RequestBody Chain sent) {
        return view(edits.add(Parts.CHAINS, sent.ownedBy(Journal.who())), null);
    }

    /** Changes a chain; whose it is stays as it was, and one that is the house's is changed by the head coach only. */
    @OpenTo(Who.COACHES)
    @PutMapping("/{id}")
    ResponseEntity<ChainView> change(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Chain chain,
            Authentication who) {
        Refusal.unlessSame(id, chain.id());
        Chain kept = edits.become(Parts.CHAINS, id, tag, present -> {
            if (!AccountRights.isHead(who) && !Journal.who().equals(present.owner())) {
                throw Refusal.of(
                        HttpStatus.FORBIDDEN,
                        "NOT_YOURS",
                        id,
                        "This chain belongs to " + (present.owner() == null ? "the house" : present.owner())
                                + ". Only they and the head coach change it.");
            }
            return chain.ownedBy(present.owner());
        });
        return view(kept, null);
    }

    private ChainReport report(Chain chain, String ruleset) {
        Snapshot snapshot = taught.now();
        RoundEvidence evidence = rounds.evidence(snapshot.map());
        return ChainCheck.check(
                snapshot.map(),
                chain,
                snapshot.ruleset(ruleset),
                evidence,
                snapshot.taught().chains());
    }
}
