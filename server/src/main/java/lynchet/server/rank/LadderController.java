package lynchet.server.rank;

import java.time.Month;
import java.util.List;
import java.util.Map;
import lynchet.core.club.Parts;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Policy;
import lynchet.core.rank.Rank;
import lynchet.core.rank.SyllabusCheck;
import lynchet.core.rank.SyllabusGroup;
import lynchet.core.rank.TeachingLoad;
import lynchet.core.walk.Finding;
import lynchet.server.club.Edits;
import lynchet.server.club.Snapshot;
import lynchet.server.club.Taught;
import lynchet.server.keep.ETags;
import lynchet.server.keep.Refusal;
import lynchet.server.map.IgnoredGapStore;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Ladders, what their ranks leave open, and the edits of a syllabus. */
@RestController
@RequestMapping("/api/ladders")
class LadderController {

    private final Taught taught;
    private final Edits edits;
    private final IgnoredGapStore ignored;

    LadderController(Taught taught, Edits edits, IgnoredGapStore ignored) {
        this.taught = taught;
        this.edits = edits;
        this.ignored = ignored;
    }

    /** A ladder with the first rank that teaches each technique and the tag of each rank, for saving it. */
    record LadderView(Ladder ladder, Map<String, String> taughtAt, Map<String, String> tags, String policyTag) {}

    /** One rank's findings and how much of its time the syllabus takes. */
    record RankCheck(String rank, List<Finding> findings, double minutesNeeded, double minutesAvailable) {}

    record Syllabus(List<SyllabusGroup> groups) {}

    /**
     * What counts on a ladder and when belts are given.
     *
     * @param promotionMonths none: any month
     * @param classesPerStripe 0 to 1000
     */
    record Counting(
            List<Month> promotionMonths,
            int classesPerStripe,
            boolean oneClassADay,
            boolean seminars,
            boolean chart,
            boolean conduct) {}

    @GetMapping
    List<LadderView> all() {
        return taught.now().ladders().stream().map(this::view).toList();
    }

    @GetMapping("/{id}")
    LadderView one(@PathVariable String id) {
        return view(taught.now().ladder(id));
    }

    private LadderView view(Ladder ladder) {
        Map<String, String> tags = new java.util.TreeMap<>();
        ladder.ranks().forEach(rank -> tags.put(rank.id(), ETags.of(rank)));
        return new LadderView(ladder, ladder.taughtAt(taught.now().map()), tags, ETags.of(ladder.policy()));
    }

    @GetMapping("/{id}/check")
    List<RankCheck> check(@PathVariable String id) {
        Ladder ladder = taught.now().ladder(id);
        Snapshot snapshot = taught.now();
        SyllabusCheck check = new SyllabusCheck(
                snapshot.graph(ladder.ruleset()),
                snapshot.centrality(),
                snapshot.taught().chains());
        return ladder.ranks().stream()
                .map(rank -> {
                    TeachingLoad.Load load = check.load(ladder, rank.id());
                    return new RankCheck(
                            rank.id(),
                            ignored.withoutIgnored(check.of(ladder, rank.id(), false), rank.id(), null),
                            load.needed(),
                            load.available());
                })
                .toList();
    }

    /** Says what counts; the rest of the policy stays. */
    @PutMapping("/{id}/counting")
    ResponseEntity<Policy> counting(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Counting counting) {
        if (counting.classesPerStripe() < 0 || counting.classesPerStripe() > 1000) {
            throw Refusal.bad("OUT_OF_RANGE", "/classesPerStripe", "Say 0 to 1000 classes for a stripe.");
        }
        Edits.Changed changed = edits.taught(club -> {
            Ladder ladder = Snapshot.ladder(club, id);
            ETags.match(tag, ladder.policy(), id);
            Policy before = ladder.policy();
            Policy after = new Policy(
                    before.stripes(),
                    before.belt(),
                    counting.classesPerStripe(),
                    counting.oneClassADay(),
                    counting.promotionMonths() == null
                            ? List.of()
                            : counting.promotionMonths().stream()
                                    .distinct()
                                    .sorted()
                                    .map(Month::getValue)
                                    .toList(),
                    before.techniqueMinutes(),
                    before.classesAWeek(),
                    before.attendanceShare(),
                    before.standing(),
                    counting.seminars(),
                    counting.chart(),
                    counting.conduct());
            return club.changing(Parts.LADDERS, all -> all.stream()
                    .map(one -> one.id().equals(id) ? ladder.under(after) : one)
                    .toList());
        });
        return ETags.tagged(Snapshot.ladder(changed.after(), id).policy());
    }

    @PutMapping("/{id}/ranks/{rank}/syllabus")
    ResponseEntity<Rank> change(
            @PathVariable String id,
            @PathVariable String rank,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Syllabus syllabus) {
        Edits.Changed changed = edits.taught(club -> {
            Ladder ladder = Snapshot.ladder(club, id);
            Rank present = ladder.rank(rank).orElseThrow(() -> Refusal.missing("rank", rank));
            ETags.match(tag, present, rank);
            Ladder after = ladder.withRank(present.withSyllabus(syllabus.groups()));
            return club.changing(Parts.LADDERS, all -> all.stream()
                    .map(one -> one.id().equals(id) ? after : one)
                    .toList());
        });
        return ETags.tagged(Snapshot.ladder(changed.after(), id).rank(rank).orElseThrow());
    }
}
