package lynchet.server.term;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import lynchet.core.club.Parts;
import lynchet.core.mat.Track;
import lynchet.core.rank.Rank;
import lynchet.core.rule.Most;
import lynchet.core.term.AskedOf;
import lynchet.core.term.Calendar;
import lynchet.core.term.Demand;
import lynchet.core.term.Teaching;
import lynchet.core.term.cycle.CycledClasses;
import lynchet.core.term.cycle.Spread;
import lynchet.core.term.cycle.ThemeCycle;
import lynchet.core.term.cycle.ThemeWeeks;
import lynchet.server.club.OneThing;
import lynchet.server.club.ReferenceCheck;
import lynchet.server.club.Snapshot;
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

/** Rolling cycles of theme weeks: looked at, changed by hand, and laid out from the syllabuses of ranks. */
@RestController
@RequestMapping("/api/cycles")
class CycleController {

    private final TermDesk desk;
    private final TeachingSnapshots taught;
    private final ReferenceCheck known;
    private final OneThing edits;

    CycleController(TermDesk desk, TeachingSnapshots taught, ReferenceCheck known, OneThing edits) {
        this.desk = desk;
        this.taught = taught;
        this.known = known;
        this.edits = edits;
    }

    /** A cycle in a line. */
    record CycleLine(String id, String track, int themes, String tag) {}

    @OpenTo(Who.ACCOUNTS)
    @GetMapping
    List<CycleLine> all() {
        return cycles().stream()
                .sorted(Comparator.comparing(ThemeCycle::id))
                .map(cycle ->
                        new CycleLine(cycle.id(), cycle.track(), cycle.themes().size(), ETags.of(cycle)))
                .toList();
    }

    private List<ThemeCycle> cycles() {
        return taught.now().taught().all(Parts.CYCLES);
    }

    /** A cycle as it comes round. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/{id}")
    ResponseEntity<CycleView> one(@PathVariable String id) {
        ThemeCycle cycle = find(id);
        return ResponseEntity.ok().eTag(ETags.of(cycle)).body(view(cycle));
    }

    private ThemeCycle find(String id) {
        return cycles().stream()
                .filter(cycle -> cycle.id().equals(id))
                .findFirst()
                .orElseThrow(() -> Refusal.missing("cycle", id));
    }

    private CycleView view(ThemeCycle cycle) {
        Snapshot now = taught.now();
        CycledClasses cycled =
                new CycledClasses(List.of(cycle), now.taught().all(Parts.PLANS), bare(now), now.teaching());
        return CycleView.of(
                cycle, track(cycle.track()), cycled, now.teaching(), desk.today(), desk.mostFalls(cycle.track()));
    }

    private static Calendar bare(Snapshot now) {
        return Calendar.of(
                now.taught().tracks(), now.taught().terms(), now.taught().closures());
    }

    private Track track(String id) {
        return taught.now().taught().tracks().stream()
                .filter(track -> track.id().equals(id))
                .findFirst()
                .orElseThrow(() -> Refusal.missing("track", id));
    }

    /** What the track needs next, the most wanted first. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/{id}/wanted")
    List<Demand> wanted(@PathVariable String id) {
        return desk.wanted(find(id).track(), null);
    }

    /**
     * What is to be laid out.
     *
     * @param cycle for whose track and minutes; its themes do not matter
     * @param ranks ids of the ranks whose syllabuses are to be shown
     * @param weeks how many theme weeks, 1 to 52; 0: as few as bear it
     */
    record Laying(ThemeCycle cycle, @Most(40) List<String> ranks, int weeks) {}

    /** The cycle with the syllabuses of some ranks laid out in it; nothing is kept. */
    @OpenTo(Who.COACHES)
    @PostMapping("/spread")
    CycleView spread(@RequestBody Laying laying) {
        ThemeCycle asked = laying.cycle();
        checked(asked);
        if (laying.weeks() < 0 || laying.weeks() > ThemeCycle.MOST_WEEKS) {
            throw Refusal.bad("WEEKS", "/weeks", "A cycle has 1 to 52 weeks; 0 is as few as bear it.");
        }
        Snapshot now = taught.now();
        Teaching teaching = now.teaching();
        List<String> subjects = subjects(laying.ranks(), now);
        if (subjects.isEmpty()) {
            throw Refusal.bad(
                    "SPREAD_EMPTY", "/ranks", "The ranks chosen ask for nothing: choose one with a syllabus.");
        }
        Track track = track(asked.track());
        ThemeWeeks weeks = new ThemeWeeks(asked, bare(now), one -> true);
        List<Integer> minutes = CycleView.usual(asked, track, weeks.from(desk.today(), 2), desk.today());
        if (minutes.isEmpty()) {
            throw Refusal.bad("SPREAD_TIMES", "/cycle/track", track.name() + " has no weekly times to teach it in.");
        }
        return view(new ThemeCycle(
                asked.id(),
                asked.track(),
                asked.from(),
                asked.minutes(),
                Spread.of(subjects, laying.weeks(), minutes, teaching)));
    }

    /** What the ranks have taught, each once. */
    private static List<String> subjects(List<String> ranks, Snapshot now) {
        Set<String> subjects = new LinkedHashSet<>();
        for (int n = 0; n < ranks.size(); n++) {
            String id = ranks.get(n);
            String at = "/ranks/" + n;
            Rank rank = now.ladders().stream()
                    .flatMap(ladder -> ladder.rank(id).stream())
                    .findFirst()
                    .orElseThrow(() -> Refusal.bad("RANK", at, "There is no such rank."));
            rank.items().forEach(item -> AskedOf.goal(item).ifPresent(goal -> subjects.add(goal.subject())));
        }
        return List.copyOf(subjects);
    }

    @OpenTo(Who.COACHES)
    @PostMapping
    ResponseEntity<ThemeCycle> add(@RequestBody ThemeCycle cycle) {
        checked(cycle);
        return ETags.tagged(edits.add(Parts.CYCLES, cycle));
    }

    @OpenTo(Who.COACHES)
    @PutMapping("/{id}")
    ResponseEntity<ThemeCycle> change(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody ThemeCycle cycle) {
        checked(cycle);
        return ETags.tagged(edits.change(Parts.CYCLES, id, tag, cycle));
    }

    @OpenTo(Who.COACHES)
    @DeleteMapping("/{id}")
    ResponseEntity<Void> remove(
            @PathVariable String id, @RequestHeader(name = "If-Match", required = false) String tag) {
        edits.remove(Parts.CYCLES, id, tag);
        return ResponseEntity.noContent().build();
    }

    /** It does not begin in another age. */
    private void checked(ThemeCycle cycle) {
        known.check(Parts.CYCLES, cycle);
        LocalDate today = desk.today();
        if (cycle.from().isBefore(today.minusYears(10)) || cycle.from().isAfter(today.plusYears(2))) {
            throw Refusal.bad("CYCLE_FROM", "/from", "Theme weeks begin within the last ten years or the next two.");
        }
    }
}
