package lynchet.server.term;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import lynchet.core.club.Parts;
import lynchet.core.term.Term;
import lynchet.server.club.OneThing;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.ETags;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
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

/** Seasons with their weekly times, closed days and grading days. */
@RestController
@RequestMapping("/api/terms")
class TermController {

    private final TeachingSnapshots taught;
    private final OneThing edits;

    TermController(TeachingSnapshots taught, OneThing edits) {
        this.taught = taught;
        this.edits = edits;
    }

    /** The terms with the tag of each, for saving it; the latest first. */
    record Terms(List<Term> terms, Map<String, String> tags) {}

    @OpenTo(Who.ACCOUNTS)
    @GetMapping
    Terms all() {
        List<Term> all = taught.now().taught().terms().stream()
                .sorted(Comparator.comparing(Term::from).reversed().thenComparing(Term::id))
                .toList();
        Map<String, String> tags = new TreeMap<>();
        all.forEach(term -> tags.put(term.id(), ETags.of(term)));
        return new Terms(all, tags);
    }

    @OpenTo(Who.HEADS)
    @PostMapping
    ResponseEntity<Term> add(@RequestBody Term term) {
        fits(term);
        return ETags.tagged(edits.add(Parts.TERMS, term));
    }

    @OpenTo(Who.HEADS)
    @PutMapping("/{id}")
    ResponseEntity<Term> change(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Term term) {
        fits(term);
        return ETags.tagged(edits.change(Parts.TERMS, id, tag, term));
    }

    /** Takes a term out that no plan and no class names. */
    @OpenTo(Who.HEADS)
    @DeleteMapping("/{id}")
    ResponseEntity<Void> remove(
            @PathVariable String id, @RequestHeader(name = "If-Match", required = false) String tag) {
        edits.remove(Parts.TERMS, id, tag);
        return ResponseEntity.noContent().build();
    }

    /** A grading stands on a day of the term that is not closed. */
    private void fits(Term term) {
        for (int n = 0; n < term.gradingDays().size(); n++) {
            var day = term.gradingDays().get(n);
            if (!term.covers(day)) {
                throw Refusal.bad(
                        "GRADING_OUTSIDE", "/gradingDays/" + n, "The grading on " + day + " is outside the term.");
            }
            boolean isClosed = term.closures().contains(day)
                    || taught.now().taught().closures().stream().anyMatch(closure -> closure.closesAll(day));
            if (isClosed) {
                throw Refusal.bad(
                        "GRADING_CLOSED", "/gradingDays/" + n, "There is no class on " + day + ": the day is closed.");
            }
        }
        if (term.until().isAfter(term.from().plusYears(1))) {
            throw Refusal.bad("TERM_LONG", "/until", "A term is at most a year long.");
        }
    }
}
