package lynchet.server.rank;

import java.time.Month;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.people.Student;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Policy;
import lynchet.core.rank.Rank;
import lynchet.core.rank.SyllabusCheck;
import lynchet.core.rank.TeachingLoad;
import lynchet.core.walk.Finding;
import lynchet.server.club.Edits;
import lynchet.server.club.OneThing;
import lynchet.server.club.Snapshot;
import lynchet.server.club.Stores;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.ETags;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.map.IgnoredGapStore;
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

/** Ladders by hand, and what their ranks leave open. */
@RestController
@RequestMapping("/api/ladders")
class LadderController {

    private final TeachingSnapshots taught;
    private final Edits edits;
    private final OneThing ladders;
    private final Stores stores;
    private final IgnoredGapStore ignored;

    LadderController(TeachingSnapshots taught, Edits edits, OneThing ladders, Stores stores, IgnoredGapStore ignored) {
        this.taught = taught;
        this.edits = edits;
        this.ladders = ladders;
        this.stores = stores;
        this.ignored = ignored;
    }

    /** A ladder with the first rank that teaches each technique; its tag and that of each rank, for saving them. */
    record LadderView(
            Ladder ladder, Map<String, String> taughtAt, String tag, Map<String, String> tags, String policyTag) {}

    /**
     * What one rank opens itself, and how much of its time the syllabus takes.
     *
     * @param openSince how many findings of each earlier rank, by its id, are still open here; those are said there
     * @param atLeast whether some of it is chosen, so that it may take more
     */
    record RankCheck(
            String rank,
            List<Finding> findings,
            Map<String, Integer> openSince,
            double minutesNeeded,
            double minutesAvailable,
            boolean atLeast) {}

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

    @OpenTo(Who.ACCOUNTS)
    @GetMapping
    List<LadderView> all() {
        return taught.now().ladders().stream().map(this::view).toList();
    }

    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/{id}")
    LadderView one(@PathVariable String id) {
        return view(taught.now().ladder(id));
    }

    private LadderView view(Ladder ladder) {
        Map<String, String> tags = new java.util.TreeMap<>();
        ladder.ranks().forEach(rank -> tags.put(rank.id(), ETags.of(rank)));
        return new LadderView(
                ladder, ladder.taughtAt(taught.now().map()), ETags.of(ladder), tags, ETags.of(ladder.policy()));
    }

    @OpenTo(Who.HEADS)
    @PostMapping
    ResponseEntity<Ladder> add(@RequestBody Ladder ladder) {
        return ETags.tagged(ladders.add(Parts.LADDERS, ladder));
    }

    /** Changes a ladder whole, but for its earlier syllabuses; a rank that somebody holds or held stays. */
    @OpenTo(Who.HEADS)
    @PutMapping("/{id}")
    ResponseEntity<Ladder> change(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Ladder ladder) {
        Ladder present = taught.now().ladder(id);
        nobodyHolds(present.ranks().stream()
                .filter(rank -> ladder.rank(rank.id()).isEmpty())
                .map(rank -> id + "/" + rank.id())
                .toList());
        return ETags.tagged(ladders.change(Parts.LADDERS, id, tag, ladder.withEarlier(present.earlier())));
    }

    /** Takes a ladder out that nobody is or was on. */
    @OpenTo(Who.HEADS)
    @DeleteMapping("/{id}")
    ResponseEntity<Void> remove(
            @PathVariable String id, @RequestHeader(name = "If-Match", required = false) String tag) {
        nobodyHolds(taught.now().ladder(id).ranks().stream()
                .map(rank -> id + "/" + rank.id())
                .toList());
        ladders.remove(Parts.LADDERS, id, tag);
        return ResponseEntity.noContent().build();
    }

    /** What else names a rank is found by the edit; this is what a coach can do something about. */
    private void nobodyHolds(List<String> ranks) {
        if (ranks.isEmpty()) {
            return;
        }
        stores.of(Parts.PROMOTIONS).pointingAt(Target.RANK_OF_LADDER, ranks, 1).stream()
                .findFirst()
                .ifPresent(given -> {
                    String rank = taught.now()
                            .ladder(given.ladder())
                            .rank(given.to())
                            .map(Rank::name)
                            .orElse(given.to());
                    String who = stores.of(Parts.PEOPLE)
                            .find(given.student())
                            .map(Student::name)
                            .orElse(given.student());
                    throw Refusal.bad(
                            "RANK_HELD",
                            "/ranks",
                            rank + " was given to " + who + ". What somebody holds or held stays.");
                });
    }

    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/{id}/check")
    List<RankCheck> check(@PathVariable String id) {
        Ladder ladder = taught.now().ladder(id);
        Snapshot snapshot = taught.now();
        SyllabusCheck check = snapshot.check(ladder);
        List<List<Finding>> all = check.of(ladder);
        return IntStream.range(0, ladder.ranks().size())
                .mapToObj(at -> {
                    Rank rank = ladder.ranks().get(at);
                    TeachingLoad.Load load = check.load(ladder, rank.id());
                    Map<Boolean, List<Finding>> isOld = ignored.withoutIgnored(all.get(at), rank.id(), null).stream()
                            .collect(Collectors.partitioningBy(finding -> finding.since() != null));
                    return new RankCheck(
                            rank.id(),
                            isOld.get(false),
                            isOld.get(true).stream()
                                    .collect(Collectors.groupingBy(
                                            Finding::since, TreeMap::new, Collectors.summingInt(finding -> 1))),
                            load.needed(),
                            load.available(),
                            load.atLeast());
                })
                .toList();
    }

    /** Says what counts; the rest of the policy stays. */
    @OpenTo(Who.HEADS)
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
}
