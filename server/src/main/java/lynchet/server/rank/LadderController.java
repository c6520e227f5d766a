package lynchet.server.rank;

import java.util.List;
import java.util.Map;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.rank.SyllabusCheck;
import lynchet.core.rank.SyllabusGroup;
import lynchet.core.rank.TeachingLoad;
import lynchet.core.walk.Finding;
import lynchet.server.keep.Durable;
import lynchet.server.keep.ETags;
import lynchet.server.map.IgnoredGapStore;
import lynchet.server.map.MapSnapshot;
import lynchet.server.map.MapStore;
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

    private final LadderStore ladders;
    private final MapStore maps;
    private final IgnoredGapStore ignored;
    private final Durable durable;

    LadderController(LadderStore ladders, MapStore maps, IgnoredGapStore ignored, Durable durable) {
        this.ladders = ladders;
        this.maps = maps;
        this.ignored = ignored;
        this.durable = durable;
    }

    /** A ladder with the first rank that teaches each technique and the tag of each rank, for saving it. */
    record LadderView(Ladder ladder, Map<String, String> taughtAt, Map<String, String> tags) {}

    /** One rank's findings and how much of its time the syllabus takes. */
    record RankCheck(String rank, List<Finding> findings, double minutesNeeded, double minutesAvailable) {}

    record Syllabus(List<SyllabusGroup> groups) {}

    @GetMapping
    List<LadderView> all() {
        return ladders.all().stream().map(this::view).toList();
    }

    @GetMapping("/{id}")
    LadderView one(@PathVariable String id) {
        return view(ladders.one(id));
    }

    private LadderView view(Ladder ladder) {
        Map<String, String> tags = new java.util.TreeMap<>();
        ladder.ranks().forEach(rank -> tags.put(rank.id(), ETags.of(rank)));
        return new LadderView(ladder, ladder.taughtAt(maps.snapshot().map()), tags);
    }

    @GetMapping("/{id}/check")
    List<RankCheck> check(@PathVariable String id) {
        Ladder ladder = ladders.one(id);
        MapSnapshot snapshot = maps.snapshot();
        SyllabusCheck check = new SyllabusCheck(snapshot.graph(ladder.ruleset()), snapshot.centrality());
        return ladder.ranks().stream()
                .map(rank -> {
                    TeachingLoad.Load load = TeachingLoad.of(ladder, rank, snapshot.map());
                    return new RankCheck(
                            rank.id(),
                            ignored.withoutIgnored(check.of(ladder, rank.id(), false), rank.id(), null),
                            load.needed(),
                            load.available());
                })
                .toList();
    }

    @PutMapping("/{id}/ranks/{rank}/syllabus")
    ResponseEntity<Rank> change(
            @PathVariable String id,
            @PathVariable String rank,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Syllabus syllabus) {
        return ETags.tagged(durable.write(() -> ladders.changeSyllabus(id, rank, syllabus.groups(), tag)));
    }
}
