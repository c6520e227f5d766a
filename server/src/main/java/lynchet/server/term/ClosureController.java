package lynchet.server.term;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import lynchet.core.club.Parts;
import lynchet.core.mat.TrainingClass;
import lynchet.core.rule.Say;
import lynchet.core.term.Closure;
import lynchet.core.term.Term;
import lynchet.server.club.OneThing;
import lynchet.server.club.Taught;
import lynchet.server.keep.ETags;
import lynchet.server.keep.Refusal;
import lynchet.server.mat.ClassStore;
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

    private static final int NAMED = 3;

    private final Taught taught;
    private final OneThing edits;
    private final ClassStore classes;

    ClosureController(Taught taught, OneThing edits, ClassStore classes) {
        this.taught = taught;
        this.edits = edits;
        this.classes = classes;
    }

    /** The closures with the tag of each, for saving it; the latest first. */
    record Closures(List<Closure> closures, Map<String, String> tags) {}

    @GetMapping
    Closures all() {
        List<Closure> all = taught.now().taught().closures().stream()
                .sorted(java.util.Comparator.comparing(Closure::from).reversed().thenComparing(Closure::id))
                .toList();
        Map<String, String> tags = new TreeMap<>();
        all.forEach(closure -> tags.put(closure.id(), ETags.of(closure)));
        return new Closures(all, tags);
    }

    @PostMapping
    ResponseEntity<Closure> add(@RequestBody Closure closure) {
        fits(closure);
        return ETags.tagged(edits.add(Parts.CLOSURES, closure));
    }

    @PutMapping("/{id}")
    ResponseEntity<Closure> change(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Closure closure) {
        fits(closure);
        return ETags.tagged(edits.change(Parts.CLOSURES, id, tag, closure));
    }

    @DeleteMapping("/{id}")
    ResponseEntity<Void> remove(
            @PathVariable String id, @RequestHeader(name = "If-Match", required = false) String tag) {
        edits.remove(Parts.CLOSURES, id, tag);
        return ResponseEntity.noContent().build();
    }

    /** Whether the days may be closed: nobody trained on them, and nobody is to be examined. */
    void fits(Closure closure) {
        nobodyTrained(closure);
        nobodyIsExamined(closure);
    }

    /** A day on which people trained was not closed. */
    private void nobodyTrained(Closure closure) {
        List<String> held = classes.attendedBetween(closure.from(), closure.until()).stream()
                .filter(closure::closes)
                .map(this::said)
                .toList();
        if (!held.isEmpty()) {
            String some = Say.and(held.subList(0, Math.min(NAMED, held.size())));
            String more = held.size() > NAMED ? ", and in " + (held.size() - NAMED) + " more classes" : "";
            throw Refusal.bad("CLOSURE_ATTENDED", "/from", "People trained in " + some + more + " on these days.");
        }
    }

    /** A day on which a term has its grading is not closed to everybody. */
    private void nobodyIsExamined(Closure closure) {
        for (Term term : taught.now().taught().terms()) {
            for (LocalDate day : term.gradingDays()) {
                if (closure.closesAll(day)) {
                    throw Refusal.bad(
                            "CLOSURE_GRADING",
                            "/from",
                            term.name() + " has its grading on " + day + ": move the grading, or leave that day open.");
                }
            }
        }
    }

    private String said(TrainingClass trained) {
        LocalDate day = trained.date();
        return taught.now().taught().tracks().stream()
                        .filter(track -> track.id().equals(trained.track()))
                        .map(track -> track.name())
                        .findFirst()
                        .orElse(trained.track())
                + " on " + day;
    }
}
