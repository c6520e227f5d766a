package lynchet.core.game;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lynchet.core.card.Family;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainStep;
import lynchet.core.chain.Turn;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import lynchet.core.people.Progress;
import lynchet.core.people.StudentState;
import lynchet.core.people.Training;
import lynchet.core.rank.Item;
import lynchet.core.rank.Rank;
import lynchet.core.rank.Sides;
import lynchet.core.rank.SyllabusGroup;
import lynchet.core.walk.GivenEvidence;
import lynchet.core.walk.MoveGraph;
import org.junit.jupiter.api.Test;

class ThisWeekTest {

    private static final LocalDate DAY = LocalDate.of(2026, 3, 2);

    private final GrapplingMap map = new TinyMap()
            .add(TinyMap.card("side-fall", Family.BREAKFALL, 1, List.of(), List.of()))
            .add(TinyMap.card("reap", Family.THROW, 2, List.of(), List.of("side-fall")))
            .pair("guard", Stage.LEGS_BETWEEN, 0.5)
            .link("throw", "s", "reap", "guard-x")
            .link("pull", "s", "pull", "guard")
            .link("bump", "guard", "bump", "s")
            .link("lock", "guard", "lock", Link.TAP)
            .link("pass", "guard-x", "pass", "s")
            .map();
    private final Training training = new Training();

    private static Item item(String technique, Standard standard) {
        return new Item(
                technique + "-item", Item.Kind.TECHNIQUE, technique, null, null, standard, Sides.BOTH, null, 0, 0);
    }

    private List<ThisWeek> on(LocalDate today, Item... items) {
        StudentState state = training.state();
        Rank white = new Rank(
                "white", "White", List.of("white"), 0, 0, 0, List.of(new SyllabusGroup("All", 0, List.of(items))));
        MoveGraph graph = MoveGraph.from(map, List.of("s"));
        Map<String, HowKnown> known = HowKnown.all(map, state, today);
        GamePlan plan = GamePlan.of(graph, known, GivenEvidence.of(map, link -> 0.4));
        List<GamePlan.Next> next =
                GamePlan.next(graph, known.keySet(), new GamePlan.Teachable(Set.of("lock", "pass"), Set.of()), 3);
        return ThisWeek.of(state, new Progress(state, map), List.of(white), plan, Lopsided.of(map, state), next, today);
    }

    private void drillThrice(String technique, Side side, LocalDate from) {
        for (int d = 0; d < 3; d++) {
            training.drill(technique, from.plusDays(d), side, 6);
        }
    }

    @Test
    void theMostPressingComesFirstAndNothingTwice() {
        drillThrice("pull", Side.RIGHT, DAY);
        drillThrice("bump", Side.BOTH, DAY.plusDays(90));
        training.drill("lock", DAY.plusDays(92), Side.BOTH, 6);
        LocalDate today = DAY.plusDays(93);
        assertThat(on(
                        today,
                        item("reap", Standard.SHOWN),
                        item("bump", Standard.SHOWN),
                        item("lock", Standard.DRILLED),
                        item("pull", Standard.DRILLED)))
                .extracting(ThisWeek::kind, ThisWeek::subject, ThisWeek::side, ThisWeek::why)
                .containsExactly(
                        tuple(
                                ThisWeek.Kind.FALL,
                                "side-fall",
                                null,
                                "a fall that the throws of this rank need; not passed yet"),
                        tuple(
                                ThisWeek.Kind.RUSTY,
                                "pull",
                                null,
                                "last done 13 weeks ago, and what they go for at 1 position"),
                        tuple(ThisWeek.Kind.NEARLY, "bump", null, "drilled; ready to be shown"),
                        tuple(ThisWeek.Kind.NEARLY, "lock", null, "2 sessions to go"),
                        tuple(ThisWeek.Kind.NEXT, "pass", null, "one more answer at 1 position"));
    }

    @Test
    void whatIsDrilledOnOneSideIsToldOnceItIsNotRusty() {
        drillThrice("pull", Side.RIGHT, DAY);
        training.drill("pull", DAY.plusDays(3), Side.BOTH, 6);
        assertThat(on(DAY.plusDays(4)))
                .extracting(ThisWeek::kind, ThisWeek::side)
                .as("one in five is hardly less than that")
                .contains(tuple(ThisWeek.Kind.NEXT, null))
                .doesNotContain(tuple(ThisWeek.Kind.OTHER_SIDE, Side.LEFT));
        training.drill("pull", DAY.plusDays(4), Side.RIGHT, 6);
        assertThat(on(DAY.plusDays(4)).get(0))
                .isEqualTo(new ThisWeek(ThisWeek.Kind.OTHER_SIDE, "pull", Side.LEFT, "5 on the right, 1 on the left"));
        Lopsided sides = Lopsided.of(map, training.state());
        assertThat(sides.weaker()).as("too little to say of the whole").isNull();
        drillThrice("bump", Side.RIGHT, DAY.plusDays(10));
        drillThrice("lock", Side.RIGHT, DAY.plusDays(10));
        sides = Lopsided.of(map, training.state());
        assertThat(sides.right()).isEqualTo(11);
        assertThat(sides.left()).isEqualTo(1);
        assertThat(sides.weaker()).isEqualTo(Side.LEFT);
        assertThat(sides.oneSided()).extracting(Lopsided.OneSide::technique).containsExactly("pull", "bump", "lock");
    }

    @Test
    void aChainIsCompleteOrLacksOnePart() {
        ChainStep lock = new ChainStep("lock", List.of());
        ChainStep bump = new ChainStep("bump", List.of(new Turn("post", lock)));
        Chain guard = new Chain(
                "guard-attack", "Guard", null, null, "s", new ChainStep("pull", List.of(new Turn(null, bump))), false);
        Chain alone = new Chain("alone", "Alone", null, null, "guard", lock, false);
        Chain empty = new Chain("empty", "Empty", null, null, "guard", null, false);
        Chain gone = new Chain("gone", "Gone", null, null, "s", new ChainStep("pull", List.of()), true);
        List<Chain> chains = List.of(guard, alone, empty, gone);
        assertThat(ChainParts.of(chains, Set.of("pull"), map)).isEmpty();
        assertThat(ChainParts.of(chains, Set.of("pull", "bump"), map))
                .containsExactly(new ChainParts("guard-attack", "lock"));
        assertThat(ChainParts.of(chains, Set.of("pull", "bump", "lock"), map))
                .containsExactly(new ChainParts("guard-attack", null), new ChainParts("alone", null));
    }

    @Test
    void aDayIsMeasuredByWhatIsKnownOnIt() {
        drillThrice("pull", Side.BOTH, DAY);
        drillThrice("bump", Side.BOTH, DAY.plusDays(90));
        training.pass("lock");
        StudentState state = training.state();
        LocalDate today = DAY.plusDays(93);
        Map<String, HowKnown> known = HowKnown.all(map, state, today);
        GamePlan plan = GamePlan.of(MoveGraph.from(map, List.of("s")), known, GivenEvidence.of(map, link -> 0.4));
        List<ChainParts> chains = List.of(new ChainParts("a", null), new ChainParts("b", "pass"));
        assertThat(Measure.of(today, known, plan, chains)).isEqualTo(new Measure(today, 1, 2, 1, 3, 0.5, 1));
    }
}
