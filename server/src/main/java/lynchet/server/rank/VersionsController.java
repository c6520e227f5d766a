package lynchet.server.rank;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.people.SyllabusMove;
import lynchet.core.people.SyllabusTouches;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.rank.SyllabusCheck;
import lynchet.core.rank.TeachingLoad;
import lynchet.core.rule.Most;
import lynchet.core.rule.Usual;
import lynchet.server.club.Edits;
import lynchet.server.club.OneThing;
import lynchet.server.club.RecordSelection;
import lynchet.server.club.Snapshot;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.ETags;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.PartStore;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * The versions of a ladder's syllabus: from which day another one begins, who stands on which, and moving them. A version is
 * named by any day on which it is in force.
 */
@RestController
@RequestMapping("/api/ladders/{id}/versions")
class VersionsController {

    private static final int MOST_MOVED = 2000;

    private final TeachingSnapshots taught;
    private final Edits edits;
    private final OneThing ladders;
    private final Wearers wearers;
    private final SyllabusLook look;

    VersionsController(TeachingSnapshots taught, Edits edits, OneThing ladders, Wearers wearers, SyllabusLook look) {
        this.taught = taught;
        this.edits = edits;
        this.ladders = ladders;
        this.wearers = wearers;
        this.look = look;
    }

    /**
     * One version.
     *
     * @param from the first day on which a rank is given under it; null: from the beginning
     * @param until the last one; null: it goes on
     * @param people how many stand on it
     * @param ranks how many of them wear each rank, and how much of its time this version takes
     */
    record SyllabusVersion(
            @Nullable LocalDate from, @Nullable LocalDate until, int people, List<RankUnder> ranks) {}

    /** @param atLeast whether some of it is chosen, so that it may take more */
    record RankUnder(String rank, int people, double minutesNeeded, double minutesAvailable, boolean atLeast) {}

    /**
     * Somebody who stands on a version.
     *
     * @param rank name of the rank they wear
     * @param moved whether somebody moved them there
     */
    record StandingOn(String student, String name, String rank, LocalDate since, boolean moved) {}

    /** The first day of what the ranks ask from now on. */
    record Beginning(LocalDate from) {}

    /**
     * Who is moved.
     *
     * @param students ids
     * @param everybody whether all are moved who stand on another version, named or not
     */
    record Moving(
            @Most(MOST_MOVED) List<String> students,
            @Usual("false") boolean everybody) {}

    /** How many were moved. */
    record Moved(int people) {}

    /** What a move would do to those who wear one rank. */
    record MoveOfRank(String rank, int people, int touched, List<SyllabusLook.Touch> touches) {}

    /** The versions, the newest first. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping
    List<SyllabusVersion> all(@PathVariable String id) {
        Snapshot now = taught.now();
        Ladder ladder = now.ladder(id);
        SyllabusCheck check = now.check(ladder);
        List<Wearers.Wearer> all = wearers.of(ladder, null);
        List<SyllabusVersion> versions = new ArrayList<>();
        for (int at = ladder.earlier().size(); at >= 0; at--) {
            int version = at;
            List<Wearers.Wearer> here =
                    all.stream().filter(one -> one.version() == version).toList();
            versions.add(new SyllabusVersion(
                    at == 0 ? null : ladder.earlier().get(at - 1).until().plusDays(1),
                    at == ladder.earlier().size()
                            ? null
                            : ladder.earlier().get(at).until(),
                    here.size(),
                    ranks(ladder.version(at), here, check)));
        }
        return versions;
    }

    private static List<RankUnder> ranks(Ladder version, List<Wearers.Wearer> here, SyllabusCheck check) {
        Map<String, Long> wear =
                here.stream().collect(Collectors.groupingBy(one -> one.held().rank(), Collectors.counting()));
        return version.ranks().stream()
                .map(rank -> {
                    TeachingLoad.Load load = check.load(version, rank.id());
                    return new RankUnder(
                            rank.id(),
                            wear.getOrDefault(rank.id(), 0L).intValue(),
                            load.needed(),
                            load.available(),
                            load.atLeast());
                })
                .toList();
    }

    /** Who stands on the version that is in force on a day, in order of name. */
    @OpenTo(Who.COACHES)
    @GetMapping("/{day}/people")
    List<StandingOn> people(@PathVariable String id, @PathVariable LocalDate day) {
        Ladder ladder = taught.now().ladder(id);
        int version = ladder.versionOn(day);
        return wearers.of(ladder, null).stream()
                .filter(one -> one.version() == version)
                .map(one -> new StandingOn(
                        one.student(),
                        one.name(),
                        ladder.rank(one.held().rank()).map(Rank::name).orElse(""),
                        one.held().since(),
                        one.version() != one.own()))
                .toList();
    }

    /** Keeps what the ranks ask now for those who have a rank, so that what is changed from here on is for those to come. */
    @OpenTo(Who.HEADS)
    @PostMapping
    ResponseEntity<Ladder> begin(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Beginning asked) {
        if (asked.from() == null) {
            throw Refusal.bad("NO_DAY", "/from", "Say the first day of the new syllabus.");
        }
        return ETags.tagged(ladders.become(Parts.LADDERS, id, tag, ladder -> beginning(ladder, asked.from())));
    }

    static Ladder beginning(Ladder ladder, LocalDate from) {
        ladder.publishedFrom().filter(from::isBefore).ifPresent(began -> {
            throw Refusal.bad(
                    "BEGAN_ALREADY",
                    "/from",
                    "A syllabus of " + ladder.name() + " begins on " + began
                            + " already. Choose a later day, or take that one back first.");
        });
        return ladder.publishing(from);
    }

    /** Takes the beginning after a version back: those who stand on that version stand on the next one. */
    @OpenTo(Who.HEADS)
    @DeleteMapping("/{day}")
    ResponseEntity<Void> remove(
            @PathVariable String id,
            @PathVariable LocalDate day,
            @RequestHeader(name = "If-Match", required = false) String tag) {
        ladders.become(Parts.LADDERS, id, tag, ladder -> {
            if (ladder.earlier().stream().noneMatch(one -> one.until().equals(day))) {
                throw Refusal.of(
                        org.springframework.http.HttpStatus.NOT_FOUND,
                        "NO_VERSION",
                        "day",
                        "No syllabus of " + ladder.name() + " ended on " + day + ".");
            }
            return ladder.withEarlier(ladder.earlier().stream()
                    .filter(one -> !one.until().equals(day))
                    .toList());
        });
        return ResponseEntity.noContent().build();
    }

    /** What moving people to the version of a day would give or take, rank by rank; nothing is changed. */
    @OpenTo(Who.HEADS)
    @PostMapping("/{day}/moves/look")
    List<MoveOfRank> look(@PathVariable String id, @PathVariable LocalDate day, @RequestBody Moving asked) {
        Ladder ladder = taught.now().ladder(id);
        List<Wearers.Wearer> moving = moving(ladder, day, asked);
        Ladder to = ladder.asOf(day);
        List<MoveOfRank> ranks = new ArrayList<>();
        for (Rank after : to.ranks()) {
            List<Wearers.Wearer> all = moving.stream()
                    .filter(one -> one.held().rank().equals(after.id()))
                    .toList();
            List<SyllabusTouches> touches = new ArrayList<>();
            all.stream()
                    .collect(Collectors.groupingBy(Wearers.Wearer::version))
                    .forEach((version, some) -> touches.addAll(look.touches(
                            some.stream().map(Wearers.Wearer::student).toList(),
                            ladder.version(version).rank(after.id()).orElseThrow(),
                            after,
                            taught.now())));
            if (!all.isEmpty()) {
                ranks.add(new MoveOfRank(
                        after.name(),
                        all.size(),
                        SyllabusTouches.everybody(touches).size(),
                        SyllabusLook.named(touches, all)));
            }
        }
        return ranks;
    }

    /** Moves people to the version that is in force on a day; it holds while they wear the rank they wear now. */
    @OpenTo(Who.HEADS)
    @PostMapping("/{day}/moves")
    Moved move(@PathVariable String id, @PathVariable LocalDate day, @RequestBody Moving asked) {
        Ladder ladder = taught.now().ladder(id);
        Map<String, Wearers.Wearer> moving = new HashMap<>();
        moving(ladder, day, asked).forEach(one -> moving.put(one.student(), one));
        int version = ladder.versionOn(day);
        edits.change(
                () -> movesOf(moving.keySet()),
                club -> club.changing(Parts.SYLLABUS_MOVES, all -> {
                    List<SyllabusMove> moves = new ArrayList<>();
                    Set<String> named = new HashSet<>();
                    for (SyllabusMove one : all) {
                        Wearers.Wearer who = one.ladder().equals(id) ? moving.get(one.student()) : null;
                        if (who == null) {
                            moves.add(one);
                        } else if (who.own() != version) {
                            named.add(one.student());
                            moves.add(new SyllabusMove(
                                    one.id(), one.student(), id, who.held().rank(), day));
                        }
                    }
                    moving.values().stream()
                            .filter(who -> who.own() != version && !named.contains(who.student()))
                            .map(who -> new SyllabusMove(
                                    "sm-" + UUID.randomUUID(),
                                    who.student(),
                                    id,
                                    who.held().rank(),
                                    day))
                            .forEach(moves::add);
                    return moves;
                }));
        return new Moved(moving.size());
    }

    private List<Wearers.Wearer> moving(Ladder ladder, LocalDate day, Moving asked) {
        int version = ladder.versionOn(day);
        List<Wearers.Wearer> all = wearers.of(ladder, null);
        Set<String> there = all.stream().map(Wearers.Wearer::student).collect(Collectors.toSet());
        for (int i = 0; i < asked.students().size(); i++) {
            if (!there.contains(asked.students().get(i))) {
                throw Refusal.bad("NOBODY", "/students/" + i, "They hold no rank on " + ladder.name() + ".");
            }
        }
        return all.stream()
                .filter(one -> one.version() != version)
                .filter(one -> asked.everybody() || asked.students().contains(one.student()))
                .toList();
    }

    private static RecordSelection movesOf(Set<String> students) {
        return new RecordSelection() {
            @Override
            public <T> List<T> of(PartStore<T> store) {
                return store.part().equals(Parts.SYLLABUS_MOVES) && !students.isEmpty()
                        ? store.pointingAt(Target.STUDENT, students, Integer.MAX_VALUE)
                        : List.of();
            }
        };
    }
}
