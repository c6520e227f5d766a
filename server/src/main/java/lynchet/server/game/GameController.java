package lynchet.server.game;

import java.time.Clock;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lynchet.core.card.Jacket;
import lynchet.core.game.ChainParts;
import lynchet.core.game.GamePlan;
import lynchet.core.game.HowKnown;
import lynchet.core.game.Lopsided;
import lynchet.core.game.Measure;
import lynchet.core.game.ThisWeek;
import lynchet.core.people.HeldRank;
import lynchet.core.people.Progress;
import lynchet.core.people.Soil;
import lynchet.core.people.Student;
import lynchet.core.people.StudentState;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.walk.Evidence;
import lynchet.core.walk.MoveGraph;
import lynchet.server.club.Snapshot;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.AccountRights;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.mat.StudentStates;
import lynchet.server.people.People;
import lynchet.server.people.SyllabusMoves;
import lynchet.server.round.RoundStore;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A student's game: what they go for where, what is missing, and what has come since three months ago. */
@RestController
@OpenTo(Who.ACCOUNTS)
@RequestMapping("/api/people")
class GameController {

    private static final int MONTHS_AGO = 3;
    private static final int MOST_NEXT = 3;

    private final People people;
    private final StudentStates states;
    private final RoundStore rounds;
    private final SyllabusMoves moves;
    private final TeachingSnapshots taught;
    private final Clock clock;

    GameController(
            People people,
            StudentStates states,
            RoundStore rounds,
            SyllabusMoves moves,
            TeachingSnapshots taught,
            Clock clock) {
        this.people = people;
        this.states = states;
        this.rounds = rounds;
        this.moves = moves;
        this.taught = taught;
        this.clock = clock;
    }

    /**
     * A student's game.
     *
     * @param ruleset under which it is seen; null: the whole map
     * @param next what would close most, from this rank or the next one
     * @param chains complete, or with one part missing
     * @param soilBefore the colours of their hillside three months ago, by position
     * @param tries tries of theirs that the chances of plans A and B rest on
     */
    record GameView(
            @Nullable String ruleset,
            Measure today,
            Measure before,
            GamePlan plan,
            List<GamePlan.Next> next,
            Lopsided sides,
            List<ChainParts> chains,
            List<ThisWeek> week,
            Map<String, Soil> soilBefore,
            int tries) {}

    /** Chances are of the student's own rounds, with what is usual where there are few. For coaches only. */
    @GetMapping("/{id}/game")
    GameView game(@PathVariable String id, @RequestParam(required = false) String ruleset, Authentication who) {
        if (AccountRights.isViewer(who)) {
            throw Refusal.of(HttpStatus.FORBIDDEN, "NOT_ALLOWED", "id", "A student's game is for coaches.");
        }
        Student student = people.one(id);
        Snapshot now = taught.now();
        LocalDate today = people.today();
        StudentState state = people.state(id);
        Map<Ladder, HeldRank> held = new LinkedHashMap<>();
        moves.of(List.of(id)).asked(now.ladders(), student, state).forEach(ladder -> state.heldOn(ladder.id())
                .ifPresent(rank -> held.put(ladder, rank)));
        String rules = ruleset != null
                ? ruleset
                : held.keySet().stream().findFirst().map(Ladder::ruleset).orElse(null);
        MoveGraph graph = now.graph(rules, Jacket.EITHER, false);
        Evidence evidence = rounds.evidenceOf(id, now.map());
        Game seen = see(state, now, graph, evidence, today);
        LocalDate then = today.minusMonths(MONTHS_AGO);
        StudentState was = states.asOf(id, then, clock.getZone());
        Game before = see(was, now, graph, evidence, then);
        List<GamePlan.Next> next = GamePlan.next(graph, seen.known().keySet(), teachable(held, now), MOST_NEXT);
        Lopsided sides = Lopsided.of(now.map(), state);
        List<Rank> ranks = held.entrySet().stream()
                .flatMap(on -> on.getKey().rank(on.getValue().rank()).stream())
                .toList();
        return new GameView(
                rules,
                seen.measure(),
                before.measure(),
                seen.plan(),
                next,
                sides,
                seen.chains(),
                ThisWeek.of(state, new Progress(state, now.map()), ranks, seen.plan(), sides, next, today),
                Soil.of(now.map(), was, then),
                tries(seen.plan()));
    }

    private record Game(Map<String, HowKnown> known, GamePlan plan, List<ChainParts> chains, Measure measure) {}

    private static Game see(StudentState state, Snapshot now, MoveGraph graph, Evidence evidence, LocalDate day) {
        Map<String, HowKnown> known = HowKnown.all(now.map(), state, day);
        GamePlan plan = GamePlan.of(graph, known, evidence);
        List<ChainParts> chains = ChainParts.of(now.taught().chains(), known.keySet(), now.map());
        return new Game(known, plan, chains, Measure.of(day, known, plan, chains));
    }

    /** What may be taught to somebody next: this rank's and the next one's techniques, on every ladder they stand on. */
    private static GamePlan.Teachable teachable(Map<Ladder, HeldRank> held, Snapshot now) {
        Set<String> own = new HashSet<>();
        Set<String> later = new HashSet<>();
        held.forEach((ladder, on) -> {
            ladder.rank(on.rank()).ifPresent(rank -> add(rank, now, own));
            ladder.after(on.rank()).ifPresent(rank -> add(rank, now, later));
        });
        return new GamePlan.Teachable(own, later);
    }

    private static void add(Rank rank, Snapshot now, Set<String> candidates) {
        rank.items().forEach(item -> Ladder.techniqueOf(item, now.map()).ifPresent(candidates::add));
    }

    private static int tries(GamePlan plan) {
        return plan.places().stream()
                .flatMap(place -> place.best().stream())
                .mapToInt(choice -> choice.works().tries())
                .sum();
    }
}
