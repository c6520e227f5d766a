package lynchet.server.term;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import lynchet.core.club.Parts;
import lynchet.core.term.Closure;
import lynchet.server.club.OneThing;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.ETags;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Who;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Days without classes: holidays, a hall that is let to others. */
@RestController
@RequestMapping("/api/closures")
class ClosureController {

    private final TeachingSnapshots taught;
    private final OneThing edits;
    private final ClosureRules rules;

    ClosureController(TeachingSnapshots taught, OneThing edits, ClosureRules rules) {
        this.taught = taught;
        this.edits = edits;
        this.rules = rules;
    }

    /** The closures with the tag of each, for saving it; the latest first. */
    record Closures(List<Closure> closures, Map<String, String> tags) {}

    @OpenTo(Who.ACCOUNTS)
    @GetMapping
    Closures all() {
        List<Closure> all = taught.now().taught().closures().stream()
                .sorted(java.util.Comparator.comparing(Closure::from).reversed().thenComparing(Closure::id))
                .toList();
        Map<String, String> tags = new TreeMap<>();
        all.forEach(closure -> tags.put(closure.id(), ETags.of(closure)));
        return new Closures(all, tags);
    }

    @OpenTo(Who.HEADS)
    @PostMapping
    ResponseEntity<Closure> add(@RequestBody Closure closure) {
        rules.fits(closure);
        return ETags.tagged(edits.add(Parts.CLOSURES, closure));
    }

    @OpenTo(Who.HEADS)
    @PutMapping("/{id}")
    ResponseEntity<Closure> change(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Closure closure) {
        rules.fits(closure);
        return ETags.tagged(edits.change(Parts.CLOSURES, id, tag, closure));
    }

    @OpenTo(Who.HEADS)
    @DeleteMapping("/{id}")
    ResponseEntity<Void> remove(
            @PathVariable String id, @RequestHeader(name = "If-Match", required = false) String tag) {
        edits.remove(Parts.CLOSURES, id, tag);
        return ResponseEntity.noContent().build();
    }
}
