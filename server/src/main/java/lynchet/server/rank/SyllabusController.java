package lynchet.server.rank;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import lynchet.core.club.ClubCheck;
import lynchet.core.club.Parts;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.rank.SyllabusCheck;
import lynchet.core.rank.SyllabusGroup;
import lynchet.core.rank.SyllabusMends;
import lynchet.core.rule.Breach;
import lynchet.core.rule.Most;
import lynchet.core.walk.Finding;
import lynchet.format.ArchiveRefused;
import lynchet.server.club.Edits;
import lynchet.server.club.OneThing;
import lynchet.server.club.Snapshot;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.ETags;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.map.IgnoredGapStore;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Edits of what ranks ask for: what a change would do, keeping it, and what can be done about a finding. */
@RestController
@RequestMapping("/api/ladders/{id}")
class SyllabusController {

    private static final int MOST_RANKS = 60;

    private final TeachingSnapshots taught;
    private final Edits edits;
    private final OneThing ladders;
    private final IgnoredGapStore ignored;
    private final SyllabusLook look;

    SyllabusController(
            TeachingSnapshots taught, Edits edits, OneThing ladders, IgnoredGapStore ignored, SyllabusLook look) {
        this.taught = taught;
        this.edits = edits;
        this.ladders = ladders;
        this.ignored = ignored;
        this.look = look;
    }

    /** What one rank asks for. */
    record Syllabus(List<SyllabusGroup> groups) {}

    /** What some ranks of a ladder ask for from now on. */
    record Syllabuses(@Most(MOST_RANKS) List<RankAsks> ranks) {}

    /** What one of them asks for. */
    record RankAsks(String rank, @Most(100) List<SyllabusGroup> groups) {}

    /** A finding, and the ways to mend it, the least change first. */
    record Mendable(Finding finding, List<SyllabusMends.RankMend> ways) {}

    /** What another syllabus would do, before it is kept: whom it touches, what it opens and closes. Nothing is changed. */
    @OpenTo(Who.HEADS)
    @PostMapping("/look")
    SyllabusLook.Look look(
            @PathVariable String id,
            @RequestParam(required = false) LocalDate from,
            @RequestBody Syllabuses syllabuses) {
        Ladder ladder = begun(taught.now().ladder(id), from);
        Ladder changed = asking(ladder, syllabuses);
        List<Breach> breaches = ClubCheck.ofOne(Parts.LADDERS, changed, taught.now()::offers);
        if (!breaches.isEmpty()) {
            throw new ArchiveRefused(breaches);
        }
        return look.at(ladder, changed);
    }

    /**
     * Keeps what one rank asks for.
     *
     * @param from the first day of a new syllabus, for those who get a rank from then on; none: for all who stand on this one
     */
    @OpenTo(Who.HEADS)
    @PutMapping("/ranks/{rank}/syllabus")
    ResponseEntity<Rank> syllabus(
            @PathVariable String id,
            @PathVariable String rank,
            @RequestParam(required = false) LocalDate from,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Syllabus syllabus) {
        Edits.Changed changed = edits.taught(club -> {
            Ladder ladder = Snapshot.ladder(club, id);
            Rank present = ladder.rank(rank).orElseThrow(() -> Refusal.missing("rank", rank));
            ETags.match(tag, present, rank);
            Ladder after = begun(ladder, from).withRank(present.withSyllabus(syllabus.groups()));
            return club.changing(Parts.LADDERS, all -> all.stream()
                    .map(one -> one.id().equals(id) ? after : one)
                    .toList());
        });
        return ETags.tagged(Snapshot.ladder(changed.after(), id).rank(rank).orElseThrow());
    }

    /** Keeps what several ranks ask for as one change, such as an item that goes from one to another. */
    @OpenTo(Who.HEADS)
    @PutMapping("/syllabuses")
    ResponseEntity<Ladder> syllabuses(
            @PathVariable String id,
            @RequestParam(required = false) LocalDate from,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Syllabuses syllabuses) {
        return ETags.tagged(ladders.become(Parts.LADDERS, id, tag, ladder -> asking(begun(ladder, from), syllabuses)));
    }

    private static Ladder begun(Ladder ladder, @Nullable LocalDate from) {
        return from == null ? ladder : VersionsController.beginning(ladder, from);
    }

    private static Ladder asking(Ladder ladder, Syllabuses syllabuses) {
        for (int i = 0; i < syllabuses.ranks().size(); i++) {
            if (ladder.rank(syllabuses.ranks().get(i).rank()).isEmpty()) {
                throw Refusal.bad(
                        "NO_RANK", "/ranks/" + i + "/rank", "There is no such rank on " + ladder.name() + ".");
            }
        }
        Map<String, List<SyllabusGroup>> asks = syllabuses.ranks().stream()
                .collect(Collectors.toMap(RankAsks::rank, RankAsks::groups, (one, other) -> other));
        return ladder.asking(asks);
    }

    /** What can be done about what a rank opens, as far as a change of a syllabus does it. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/ranks/{rank}/mends")
    List<Mendable> mends(@PathVariable String id, @PathVariable String rank) {
        Snapshot now = taught.now();
        Ladder ladder = now.ladder(id);
        if (ladder.rank(rank).isEmpty()) {
            throw Refusal.missing("rank", rank);
        }
        SyllabusCheck check = now.check(ladder);
        SyllabusMends mends = new SyllabusMends(check, now.map(), now.taught().chains());
        return ignored.withoutIgnored(check.of(ladder, rank, false), rank, null).stream()
                .filter(finding -> finding.since() == null)
                .map(finding -> new Mendable(finding, mends.of(ladder, rank, finding)))
                .filter(one -> !one.ways().isEmpty())
                .toList();
    }
}
