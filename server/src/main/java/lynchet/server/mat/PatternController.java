package lynchet.server.mat;

import java.util.Comparator;
import java.util.List;
import lynchet.core.club.Parts;
import lynchet.core.mat.ClassPattern;
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
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Classes that were worth keeping as a pattern for others. One is not changed: it is kept again and the old one let go. */
@RestController
@RequestMapping("/api/patterns")
class PatternController {

    private final TeachingSnapshots taught;
    private final OneThing edits;

    PatternController(TeachingSnapshots taught, OneThing edits) {
        this.taught = taught;
        this.edits = edits;
    }

    /** A pattern with its tag, for letting it go. */
    record PatternView(ClassPattern pattern, String tag) {}

    @OpenTo(Who.ACCOUNTS)
    @GetMapping
    List<PatternView> all() {
        return taught.now().taught().patterns().stream()
                .sorted(Comparator.comparing(ClassPattern::name).thenComparing(ClassPattern::id))
                .map(pattern -> new PatternView(pattern, ETags.of(pattern)))
                .toList();
    }

    @OpenTo(Who.COACHES)
    @PostMapping
    ResponseEntity<ClassPattern> add(@RequestBody ClassPattern pattern) {
        return ETags.tagged(edits.add(Parts.PATTERNS, pattern));
    }

    @OpenTo(Who.HEADS)
    @DeleteMapping("/{id}")
    ResponseEntity<Void> remove(
            @PathVariable String id, @RequestHeader(name = "If-Match", required = false) String tag) {
        edits.remove(Parts.PATTERNS, id, tag);
        return ResponseEntity.noContent().build();
    }
}
