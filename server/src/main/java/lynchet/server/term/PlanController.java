package lynchet.server.term;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import lynchet.core.club.Parts;
import lynchet.core.term.Demand;
import lynchet.core.term.Exposure;
import lynchet.core.term.TermPlan;
import lynchet.core.term.plan.Impossible;
import lynchet.core.term.plan.Planner;
import lynchet.server.club.OneThing;
import lynchet.server.club.ReferenceCheck;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.Durable;
import lynchet.server.keep.ETags;
import lynchet.server.keep.Jobs;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Progress;
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

/** What each track is taught in a term: looked at, moved by hand, and planned. */
@RestController
@RequestMapping("/api/plans")
class PlanController {

    private final TermDesk desk;
    private final TeachingSnapshots taught;
    private final ReferenceCheck known;
    private final OneThing edits;
    private final Jobs jobs;
    private final Durable durable;

    /** What a plan looked like after so many writes; any write may change who comes or what they remember. */
    private record ViewKey(String tag, LocalDate day, long writes) {}

    private final Cache<ViewKey, PlanView> views =
            Caffeine.newBuilder().maximumSize(32).softValues().build();

    PlanController(
            TermDesk desk, TeachingSnapshots taught, ReferenceCheck known, OneThing edits, Jobs jobs, Durable durable) {
        this.desk = desk;
        this.taught = taught;
        this.known = known;
        this.edits = edits;
        this.jobs = jobs;
        this.durable = durable;
    }

    /** A plan in a line. */
    record PlanLine(String id, String term, String track, int goals, String tag) {}

    @OpenTo(Who.ACCOUNTS)
    @GetMapping
    List<PlanLine> all() {
        return taught.now().taught().all(Parts.PLANS).stream()
                .sorted(Comparator.comparing(TermPlan::id))
                .map(plan -> new PlanLine(
                        plan.id(), plan.term(), plan.track(), plan.goals().size(), ETags.of(plan)))
                .toList();
    }

    /** A plan as it stands, with what is likely to be remembered. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/{id}")
    ResponseEntity<PlanView> one(@PathVariable String id) {
        TermPlan plan = desk.plan(id);
        String tag = ETags.of(plan);
        PlanView view = views.get(new ViewKey(tag, desk.today(), durable.writes()), seen -> view(plan));
        return ResponseEntity.ok().eTag(tag).body(view);
    }

    /** Looks at a plan as it would be; nothing is kept. */
    @OpenTo(Who.COACHES)
    @PostMapping("/views")
    PlanView look(@RequestBody TermPlan plan) {
        checked(plan);
        return view(plan);
    }

    private void checked(TermPlan plan) {
        known.check(Parts.PLANS, plan);
        for (int n = 0; n < plan.goals().size(); n++) {
            if (!plan.goals().get(n).namesOne()) {
                throw Refusal.bad(
                        "GOAL_ONE", "/goals/" + n + "/technique", "A goal is a technique or a chain, and not both.");
            }
        }
    }

    private PlanView view(TermPlan plan) {
        TermDesk.Opened opened = desk.open(plan);
        return PlanView.of(opened, opened.question().standing(), List.of());
    }

    /**
     * Who has met what.
     *
     * @param days of the classes, in their order
     */
    record MetSubjects(String termName, List<LocalDate> days, Exposure exposure) {}

    @OpenTo(Who.COACHES)
    @GetMapping("/{id}/exposure")
    MetSubjects exposure(@PathVariable String id) {
        TermDesk.Opened opened = desk.open(desk.plan(id));
        return new MetSubjects(
                opened.term().name(),
                opened.question().classes().stream()
                        .map(held -> held.training().date())
                        .toList(),
                desk.exposure(opened));
    }

    /** What the track needs next, the most wanted first. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/{id}/wanted")
    List<Demand> wanted(@PathVariable String id) {
        TermPlan plan = desk.plan(id);
        return desk.wanted(plan.track(), plan.term());
    }

    @OpenTo(Who.COACHES)
    @PostMapping
    ResponseEntity<TermPlan> add(@RequestBody TermPlan plan) {
        checked(plan);
        return ETags.tagged(edits.add(Parts.PLANS, plan));
    }

    @OpenTo(Who.COACHES)
    @PutMapping("/{id}")
    ResponseEntity<TermPlan> change(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody TermPlan plan) {
        checked(plan);
        return ETags.tagged(edits.change(Parts.PLANS, id, tag, plan));
    }

    @OpenTo(Who.COACHES)
    @DeleteMapping("/{id}")
    ResponseEntity<Void> remove(
            @PathVariable String id, @RequestHeader(name = "If-Match", required = false) String tag) {
        edits.remove(Parts.PLANS, id, tag);
        return ResponseEntity.noContent().build();
    }

    /**
     * What planning found; nothing is kept until it is taken.
     *
     * @param changed ids of the classes that would change, in their order
     */
    record Proposal(PlanView view, Set<String> changed) {}

    /** Plans what is to come of a plan; a job with the best so far, which leaves nothing behind. */
    @OpenTo(Who.COACHES)
    @PostMapping("/jobs")
    Jobs.JobView work(@RequestBody TermPlan plan) {
        checked(plan);
        if (plan.goals().isEmpty()) {
            throw Refusal.bad("PLAN_EMPTY", "/goals", "There is nothing to plan yet: choose what is to be taught.");
        }
        return jobs.start(Jobs.Kind.PLAN, "plan " + plan.id(), progress -> planned(plan, progress));
    }

    private Proposal planned(TermPlan plan, Progress progress) {
        TermDesk.Opened opened = desk.open(plan);
        if (opened.people().isEmpty()) {
            throw Refusal.bad("PLAN_NOBODY", "/track", "Nobody is on this track yet.");
        }
        var asked = opened.question().asked();
        List<Impossible> impossible = Impossible.of(asked);
        if (impossible.stream().anyMatch(one -> one.rule() == Impossible.Rule.CYCLE)) {
            return new Proposal(PlanView.of(opened, opened.question().standing(), List.of()), Set.of());
        }
        Planner.Placing placing = Planner.plan(asked, (best, slice, of) -> {
            progress.at("planning", slice, of);
            progress.best(best.owed());
        });
        TermPlan answer = opened.question().answered(placing);
        List<Impossible> together =
                placing.owed() > 0 && impossible.isEmpty() ? List.of(Impossible.together(asked, placing)) : List.of();
        TermDesk.Opened after = desk.open(answer);
        return new Proposal(PlanView.of(after, after.question().standing(), together), changed(plan, answer));
    }

    private static Set<String> changed(TermPlan before, TermPlan after) {
        Set<String> was = lines(before);
        Set<String> is = lines(after);
        Set<String> changed = new TreeSet<>();
        before.placed().stream()
                .filter(one -> !is.contains(one.goal() + " " + one.classId()))
                .forEach(one -> changed.add(one.classId()));
        after.placed().stream()
                .filter(one -> !was.contains(one.goal() + " " + one.classId()))
                .forEach(one -> changed.add(one.classId()));
        return changed;
    }

    private static Set<String> lines(TermPlan plan) {
        return plan.placed().stream()
                .map(one -> one.goal() + " " + one.classId())
                .collect(Collectors.toSet());
    }

    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/jobs/{id}")
    Jobs.JobView progress(@PathVariable String id) {
        return jobs.find(id).orElseThrow(() -> Refusal.missing("job", id));
    }

    @OpenTo(Who.COACHES)
    @DeleteMapping("/jobs/{id}")
    Jobs.JobView cancel(@PathVariable String id) {
        return jobs.cancel(id).orElseThrow(() -> Refusal.missing("job", id));
    }
}
