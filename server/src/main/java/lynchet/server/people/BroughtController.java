package lynchet.server.people;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import lynchet.core.card.Technique;
import lynchet.core.club.Parts;
import lynchet.core.people.Brought;
import lynchet.core.people.HeldRank;
import lynchet.core.people.Student;
import lynchet.core.people.StudentState;
import lynchet.core.rank.Ladder;
import lynchet.core.rule.Most;
import lynchet.server.club.Snapshot;
import lynchet.server.club.Stores;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.AccountRights;
import lynchet.server.keep.Durable;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.mat.StudentStates;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.core.Authentication;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What people who came with a rank knew already, and which of their falls nobody here has seen. Coaches only. */
@RestController
@RequestMapping("/api/people")
class BroughtController {

    /** A large club that moves in, in one press. */
    private static final int MOST = 2000;

    /** More than anybody looks at one after the other. */
    private static final int MOST_SEEN = 200;

    private final Bringing bringing;
    private final BroughtStore brought;
    private final People people;
    private final StudentStates states;
    private final TeachingSnapshots taught;
    private final Durable durable;
    private final Stores stores;
    private final JdbcTemplate jdbc;

    BroughtController(
            Bringing bringing,
            BroughtStore brought,
            People people,
            StudentStates states,
            TeachingSnapshots taught,
            Durable durable,
            Stores stores,
            JdbcTemplate jdbc) {
        this.bringing = bringing;
        this.brought = brought;
        this.people = people;
        this.states = states;
        this.taught = taught;
        this.durable = durable;
        this.stores = stores;
        this.jdbc = jdbc;
    }

    /**
     * A rank that somebody came with.
     *
     * @param asked how many things are asked below it today
     * @param said what was said of it; null: nobody was asked yet
     * @param things how many things they have by it
     */
    record CameWith(
            String ladder,
            String rank,
            String rankName,
            int asked,
            @Nullable Answered said,
            int things) {}

    /** What was said, when and by whom. */
    record Answered(
            Brought.Answer answer, LocalDate on, @Nullable String by) {}

    /** The ranks that somebody came with, where something is asked below them. */
    @OpenTo(Who.COACHES)
    @GetMapping("/{id}/brought")
    @Transactional(readOnly = true)
    List<CameWith> came(@PathVariable String id) {
        people.one(id);
        Snapshot now = taught.now();
        StudentState state = states.of(List.of(id), List.of()).get(id);
        Map<String, Brought> said =
                brought.of(List.of(id)).stream().collect(Collectors.toMap(Brought::ladder, Function.identity()));
        List<CameWith> all = new ArrayList<>();
        for (Ladder ladder : now.ladders()) {
            Brought there = said.get(ladder.id());
            String rank = there != null
                    ? there.below()
                    : state.heldOn(ladder.id())
                            .filter(HeldRank::fromBefore)
                            .map(HeldRank::rank)
                            .filter(held -> Brought.isAskedBelow(ladder, held))
                            .orElse(null);
            if (rank != null) {
                all.add(new CameWith(
                        ladder.id(),
                        rank,
                        ladder.rank(rank).orElseThrow().name(),
                        Brought.itemsBelow(ladder, rank),
                        there == null ? null : new Answered(there.answer(), there.on(), there.by()),
                        there == null ? 0 : there.had().size()));
            }
        }
        return all;
    }

    /** Of whom something is said. */
    record Saying(@Most(MOST) List<String> students, Brought.Answer answer) {}

    /** Says it of many people at once, each as they came; a coach may only ask for it. */
    @OpenTo(Who.COACHES)
    @PostMapping("/brought")
    Bringing.BroughtSaid say(@RequestBody Saying asked, Authentication who) {
        if (asked.answer() == null) {
            throw Refusal.bad(
                    "ANSWER_MISSING", "/answer", "Say what they had: all of it, nothing, or that you ask for it.");
        }
        if (asked.answer() != Brought.Answer.ASKED && !AccountRights.isHead(who)) {
            throw Refusal.of(
                    HttpStatus.FORBIDDEN, "NOT_ALLOWED", "/answer", "The head coach says it; you can ask for it.");
        }
        ManyController.chosen(asked.students(), "/students", people, MOST);
        return durable.write(() -> people.inTurn(() -> bringing.say(asked.students(), asked.answer())));
    }

    /** Takes back what was said of somebody on a ladder. */
    @OpenTo(Who.HEADS)
    @DeleteMapping("/{id}/brought/{ladder}")
    Brought takeBack(@PathVariable String id, @PathVariable String ladder) {
        people.one(id);
        return durable.write(() -> people.inTurn(() -> bringing.takeBack(id, ladder)));
    }

    /** A breakfall by its id and what it is called. */
    record UnseenFall(String id, String name) {}

    /**
     * Somebody who came with falls that nobody here has seen.
     *
     * @param junior whether they are a junior or their age is not known: they are not thrown at
     *     all before
     */
    record Unseen(String student, String name, boolean junior, List<UnseenFall> falls) {}

    /**
     * Those who train here and came with falls that nobody here has seen yet, by name.
     *
     * @param classId only those who are in a class; null: everybody
     * @param student only one person; null: everybody
     */
    @OpenTo(Who.COACHES)
    @GetMapping("/falls")
    @Transactional(readOnly = true)
    List<Unseen> falls(@RequestParam @Nullable String classId, @RequestParam @Nullable String student) {
        List<Object> values = new ArrayList<>();
        String where = "";
        if (classId != null) {
            where += " and exists (select 1 from attendance a where a.student = s.id and a.class_id = ?)";
            values.add(classId);
        }
        if (student != null) {
            where += " and s.id = ?";
            values.add(student);
        }
        values.add(MOST_SEEN);
        List<String> ids = jdbc.queryForList(
                "select s.id from student s where s.left_on is null and " + RosterQuery.HAS_UNSEEN_FALLS + where
                        + " order by s.folded_name, s.id limit ?",
                String.class,
                values.toArray());
        Snapshot now = taught.now();
        List<String> falls = jdbc.queryForList("select distinct fall from brought_fall", String.class);
        Map<String, StudentState> stand = falls.isEmpty() ? Map.of() : states.of(ids, falls);
        Map<String, Student> found = stores.of(Parts.PEOPLE).find(ids);
        return ids.stream()
                .map(id -> unseen(found.get(id), stand.get(id), now))
                .filter(one -> !one.falls().isEmpty())
                .toList();
    }

    private Unseen unseen(Student student, StudentState state, Snapshot now) {
        return new Unseen(
                student.id(),
                student.name(),
                student.ageOn(people.today())
                        .filter(age -> age >= now.numbers().juniorsBelow())
                        .isEmpty(),
                state.unseenFalls().stream()
                        .map(fall -> new UnseenFall(
                                fall,
                                now.map().technique(fall).map(Technique::name).orElse(fall)))
                        .toList());
    }
}
