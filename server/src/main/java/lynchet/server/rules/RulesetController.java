package lynchet.server.rules;

import java.util.List;
import lynchet.core.club.Parts;
import lynchet.core.map.Ruleset;
import lynchet.core.rule.Breach;
import lynchet.core.rule.Limits;
import lynchet.format.ArchiveRefused;
import lynchet.server.club.OneThing;
import lynchet.server.club.Snapshot;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.ETags;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Rules of bouts by hand. */
@RestController
@RequestMapping("/api/map/rulesets")
class RulesetController {

    private final TeachingSnapshots taught;
    private final OneThing edits;
    private final RulesLook look;

    RulesetController(TeachingSnapshots taught, OneThing edits, RulesLook look) {
        this.taught = taught;
        this.edits = edits;
        this.look = look;
    }

    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/{id}")
    ResponseEntity<Ruleset> one(@PathVariable String id) {
        return ETags.tagged(known(id));
    }

    @OpenTo(Who.HEADS)
    @PostMapping
    ResponseEntity<Ruleset> add(@RequestBody Ruleset rules) {
        return ETags.tagged(edits.add(Parts.RULESETS, rules));
    }

    @OpenTo(Who.HEADS)
    @PutMapping("/{id}")
    ResponseEntity<Ruleset> change(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Ruleset rules) {
        return ETags.tagged(edits.change(Parts.RULESETS, id, tag, rules));
    }

    /** Takes rules out that no ladder, position or round names. */
    @OpenTo(Who.HEADS)
    @DeleteMapping("/{id}")
    ResponseEntity<Void> remove(
            @PathVariable String id, @RequestHeader(name = "If-Match", required = false) String tag) {
        edits.remove(Parts.RULESETS, id, tag);
        return ResponseEntity.noContent().build();
    }

    /**
     * What rules would change, before they are kept; nothing is changed.
     *
     * @param like id of the rules that they are compared with: themselves, or those that new ones are made from
     */
    @OpenTo(Who.HEADS)
    @PostMapping("/look")
    RulesLook.RulesChange look(@RequestParam @Nullable String like, @RequestBody Ruleset rules) {
        Snapshot now = taught.now();
        Ruleset old = like == null ? now.map().ruleset(rules.id()).orElse(null) : known(like);
        Ruleset after = old == null ? rules : rules.called(old.id(), old.name()); // a name changes nothing
        List<Breach> breaches = Limits.of(rules);
        if (!breaches.isEmpty()) {
            throw new ArchiveRefused(breaches);
        }
        return look.of(now, old, after);
    }

    private Ruleset known(String id) {
        return taught.now().map().ruleset(id).orElseThrow(() -> Refusal.missing("ruleset", id));
    }
}
