package lynchet.server.people;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.Mark;
import lynchet.core.people.HeldRank;
import lynchet.core.people.Progress;
import lynchet.core.people.Readiness;
import lynchet.core.people.Soil;
import lynchet.core.people.Student;
import lynchet.core.people.StudentState;
import lynchet.core.rank.Ladder;
import lynchet.server.club.Snapshot;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.AccountRights;
import lynchet.server.keep.Durable;
import lynchet.server.keep.ETags;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.mat.MarkStore;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The roster and each student: progress on the syllabus, readiness with dates. */
@RestController
@RequestMapping("/api/people")
class PeopleController {

    private final People people;
    private final Roster roster;
    private final RosterQuery query;
    private final Names names;
    private final MarkStore marks;
    private final SyllabusMoves moves;
    private final TeachingSnapshots taught;
    private final Durable durable;

    PeopleController(
            People people,
            Roster roster,
            RosterQuery query,
            Names names,
            MarkStore marks,
            SyllabusMoves moves,
            TeachingSnapshots taught,
            Durable durable) {
        this.people = people;
        this.roster = roster;
        this.query = query;
        this.names = names;
        this.marks = marks;
        this.moves = moves;
        this.taught = taught;
        this.durable = durable;
    }

    /**
     * One line of the roster.
     *
     * @param ranks ranks held, one for each ladder
     * @param rusty passed techniques that have faded
     * @param readiness towards the next rank of the first ladder; null when none is held
     */
    record RosterRow(
            Student student,
            List<HeldRank> ranks,
            @Nullable LocalDate lastSeen,
            int rusty,
            @Nullable Readiness readiness) {}

    /** A page of the roster, and how many people there are in all. */
    record RosterPage(long total, int page, int size, List<RosterRow> rows) {}

    /** How a student stands with each item of the present rank, and the colours of their hillside. */
    record ProgressView(
            Student student,
            List<HeldRank> ranks,
            List<LadderProgress> ladders,
            Map<String, Soil> soil,
            Map<String, Soil> techniques,
            @Nullable LocalDate lastSeen,
            List<Mark> marks,
            List<Relative> family) {}

    /** Somebody of the same family: reached by the same address or number. Not told to a viewer. */
    record Relative(String id, String name, boolean left) {}

    /** @param until the last day on which a rank was given under the syllabus that is asked of them; null: it is that of now */
    record LadderProgress(
            String ladder, String rank, @Nullable LocalDate until, List<Progress.GroupProgress> groups) {}

    /** A page of people; {@code who}: those who are training, guests, or who left. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping
    RosterPage roster(
            @RequestParam(required = false) String find,
            @RequestParam(required = false) String ladder,
            @RequestParam(required = false) String rank,
            @RequestParam(required = false) String track,
            @RequestParam(required = false) RosterQuery.Mind mind,
            @RequestParam(defaultValue = "training") String who,
            @RequestParam(defaultValue = "name") String sort,
            @RequestParam(defaultValue = "false") boolean down,
            @RequestParam(defaultValue = "0") int page,
            @RequestParam(defaultValue = "50") int size,
            Authentication signedIn) {
        RosterQuery.Who whom =
                switch (who) {
                    case "training" -> RosterQuery.Who.TRAINING;
                    case "guests" -> RosterQuery.Who.GUESTS;
                    case "left" -> RosterQuery.Who.LEFT;
                    default -> throw Refusal.bad("WHO", "who", "Ask for training, guests or left.");
                };
        RosterQuery.Order order =
                switch (sort) {
                    case "name" -> RosterQuery.Order.NAME;
                    case "seen" -> RosterQuery.Order.SEEN;
                    case "rank" -> RosterQuery.Order.RANK;
                    default -> throw Refusal.bad("SORT", "sort", "Sort by name, seen or rank.");
                };
        if (mind != null && mind.isForCoaches && AccountRights.isViewer(signedIn)) {
            throw Refusal.of(HttpStatus.FORBIDDEN, "NOT_ALLOWED", "mind", "That is for coaches.");
        }
        RosterQuery.Filter wanted = new RosterQuery.Filter(
                find,
                ladder,
                rank,
                track,
                whom,
                mind,
                mind == RosterQuery.Mind.READY ? roster.ready(people.today(), eyes(signedIn)) : null,
                order,
                down);
        RosterQuery.FoundIds found = query.find(wanted, people.today(), page, size);
        List<RosterRow> rows = roster.of(found.ids(), people.today(), eyes(signedIn)).stream()
                .map(one -> new RosterRow(
                        people.seenByThemselves(one.student()),
                        one.held(),
                        one.lastSeen(),
                        one.rusty(),
                        one.readiness().stream().findFirst().orElse(null)))
                .toList();
        return new RosterPage(found.total(), page, size, rows);
    }

    /** How many of those who train here a coach has to keep in mind for each reason; a viewer is told of fewer. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/minds")
    Map<RosterQuery.Mind, Integer> minds(Authentication who) {
        Map<RosterQuery.Mind, Integer> counts = query.counts(people.today(), AccountRights.isViewer(who));
        counts.put(
                RosterQuery.Mind.READY, roster.ready(people.today(), eyes(who)).size());
        return counts;
    }

    /** Everybody who trains here by name, as little of each as finding and checking in need. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/names")
    List<Names.Name> names(Authentication who) {
        return names.all(people.today(), AccountRights.isViewer(who));
    }

    /** How many hold each rank and how many of them are ready for the next one, by ladder and rank. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/ranks")
    Map<String, Map<String, Roster.Holding>> holding(Authentication who) {
        return roster.holding(people.today(), eyes(who));
    }

    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/{id}")
    ResponseEntity<Student> one(@PathVariable String id, Authentication who) {
        return ETags.tagged(seenBy(who, people.one(id)));
    }

    /**
     * Adds somebody. An id that says something about them is not looked at, they get another one; a device without the
     * server makes its own. Coaches add guests, the head coach those who train here.
     */
    @OpenTo(Who.COACHES)
    @PostMapping
    ResponseEntity<Student> add(@RequestBody Student student, Authentication who) {
        if (student.guest() == null && !AccountRights.isHead(who)) {
            throw Refusal.of(
                    HttpStatus.FORBIDDEN,
                    "NOT_ALLOWED",
                    "/guest",
                    "Coaches add guests; the head coach adds whoever trains here.");
        }
        Student fresh = People.saysNothing(student.id()) ? student : student.as(people.newId());
        return ETags.tagged(durable.write(() -> people.inTurn(() -> people.add(fresh))));
    }

    @OpenTo(Who.HEADS)
    @PutMapping("/{id}")
    ResponseEntity<Student> change(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Student student,
            Authentication who) {
        Refusal.unlessSame(id, student.id());
        people.one(id);
        return ETags.tagged(seenBy(who, durable.write(() -> people.inTurn(() -> people.put(student, tag)))));
    }

    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/{id}/readiness")
    List<Readiness> readiness(@PathVariable String id, Authentication who) {
        people.one(id);
        return roster.of(List.of(id), people.today(), eyes(who)).get(0).readiness();
    }

    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/{id}/progress")
    ProgressView progress(@PathVariable String id, Authentication who) {
        Student student = people.one(id);
        StudentState state = people.state(id);
        Snapshot now = taught.now();
        GrapplingMap map = now.map();
        LocalDate today = people.today();
        Progress progress = new Progress(state, map);
        List<LadderProgress> standing = new ArrayList<>();
        for (Ladder ladder : moves.of(List.of(id)).asked(now.ladders(), student, state)) {
            state.heldOn(ladder.id())
                    .flatMap(held -> ladder.rank(held.rank()))
                    .ifPresent(rank -> standing.add(new LadderProgress(
                            ladder.id(),
                            rank.id(),
                            now.ladder(ladder.id()).lastDayOf(ladder).orElse(null),
                            progress.of(rank, today))));
        }
        Map<String, Soil> techniques = new TreeMap<>();
        map.techniques().forEach(t -> techniques.put(t.id(), Soil.of(t.id(), state, today)));
        return new ProgressView(
                seenBy(who, student),
                state.ladders().values().stream().map(count -> count.held()).toList(),
                standing,
                Soil.of(map, state, today),
                techniques,
                state.lastSeen(),
                standing(id, state),
                AccountRights.isViewer(who) ? List.of() : family(id));
    }

    private List<Relative> family(String id) {
        return people.familyOf(id).stream()
                .map(one -> new Relative(one.id(), one.name(), one.left() != null))
                .toList();
    }

    /** The marks that stand, the oldest first. */
    private List<Mark> standing(String id, StudentState state) {
        List<String> ids = state.marks().standing().values().stream()
                .map(mark -> mark.mark())
                .distinct()
                .toList();
        return marks.of(id).stream().filter(mark -> ids.contains(mark.id())).toList();
    }

    private static Readiness.Eyes eyes(Authentication who) {
        return AccountRights.isViewer(who) ? Readiness.Eyes.VIEWER : Readiness.Eyes.COACH;
    }

    private Student seenBy(Authentication who, Student student) {
        return AccountRights.isViewer(who) ? student.withoutPrivate() : people.seenByThemselves(student);
    }

    /** The student who carries a card; for check-in. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/card/{card}")
    Student byCard(@PathVariable String card, Authentication who) {
        return seenBy(who, people.byCard(card));
    }
}
