package lynchet.core.walk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lynchet.core.card.Jacket;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Position;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ReachTest {

    @Test
    void theirLinksCarryMeToTheCounterpart() {
        MoveGraph graph = new TinyMap()
                .pair("mount", Stage.LEGS_CLEARED, 2.5)
                .link("throw", "s", "hip-throw", "mount")
                .graph();

        Reach reach = Reach.of(graph, Knowledge.sameLevel(graph, Set.of("hip-throw")));
        assertThat(reach.moves("mount")).hasValue(1);
        assertThat(reach.moves("mount-x")).hasValue(1);
        assertThat(reach.way("mount-x")).containsExactly(new Move(Move.Kind.THEIRS, "throw", null, "mount-x"));

        Reach knowingNothing = Reach.of(graph, Knowledge.sameLevel(graph, Set.of()));
        assertThat(knowingNothing.reached("mount-x")).isFalse();
        assertThat(Reach.of(graph, Knowledge.againstAnyone(graph, Set.of())).reached("mount-x"))
                .isTrue();
        assertThat(Reach.of(graph, Knowledge.againstAnyone(graph, Set.of())).reached("mount"))
                .isFalse();
    }

    @Test
    void anAnswerIsUsableOnlyThroughItsReaction() {
        TinyMap tiny = new TinyMap()
                .pair("guard", Stage.LEGS_BETWEEN, 0.5)
                .pair("back", Stage.LEGS_CLEARED, 2.5)
                .link("pull", "s", "pull", "guard")
                .link("sweep", "guard", "sweep", "s")
                .reaction("post", "sweep", "guard")
                .answer("drag", "post", "guard", "drag", "back");
        MoveGraph graph = tiny.graph();

        assertThat(Reach.of(graph, Knowledge.sameLevel(graph, Set.of("pull", "drag")))
                        .reached("back"))
                .isFalse();
        Reach reach = Reach.of(graph, Knowledge.sameLevel(graph, Set.of("pull", "drag", "sweep")));
        assertThat(reach.moves("back")).hasValue(3);
        assertThat(reach.way("back")).extracting(Move::reaction).containsExactly(null, "post", null);
    }

    /** What half works and what is stopped leads on only where that is asked for; theirs leaves me at the counterpart. */
    @Test
    void halfwayCountsOnlyWhenAsked() {
        TinyMap tiny = new TinyMap()
                .pair("mount", Stage.LEGS_CLEARED, 2.5)
                .pair("half", Stage.HALF_DOWN, 0.4)
                .pair("under", Stage.HALF_DOWN, 0.3)
                .cost("throw", 1);
        tiny.links.add(new Link("in", "s", "throw", null, null, null, null, "mount", "half", "under-x", null, false));
        Knowledge all = Knowledge.sameLevel(tiny.graph(), Set.of("throw"));
        assertThat(Reach.of(tiny.graph(), all).reached("half")).isFalse();
        MoveGraph asked = MoveGraph.of(tiny.map(), new MoveGraph.Conditions(null, Jacket.EITHER, List.of("s"), true));
        Reach reach = Reach.of(asked, all);
        assertThat(List.of("mount", "half", "half-x", "under", "under-x")).allMatch(reach::reached);
        assertThat(reach.way("half")).containsExactly(new Move(Move.Kind.MINE_HALFWAY, "in", null, "half"));
        assertThat(reach.way("under")).containsExactly(new Move(Move.Kind.THEIRS_HALFWAY, "in", null, "under"));
        assertThat(Routes.find(asked, all, GivenEvidence.of(tiny.map(), link -> 0.5), "s", "half", 1, 1))
                .isEmpty();
    }

    @ParameterizedTest
    @MethodSource("lynchet.core.map.TinyMap#twoHundredSeeds")
    void agreesWithTheSlowWay(long seed) {
        GrapplingMap map = TinyMap.randomWithRules(seed).map();
        MoveGraph graph = MoveGraph.from(map, List.of("s"));
        for (Set<String> known : List.of(
                Set.of("t0", "t1", "t2"), Set.of("t1", "t3", "t5"), Set.of("t0", "t1", "t2", "t3", "t4", "t5"))) {
            Reach reach = Reach.of(graph, Knowledge.sameLevel(graph, known));
            Map<String, Integer> fewest = new HashMap<>();
            SlowReach.states(map, known).forEach((state, moves) -> fewest.merge(state.split("/")[0], moves, Math::min));
            for (Position position : map.positions()) {
                assertThat(reach.moves(position.id()).stream().boxed().toList())
                        .as(position.id())
                        .isEqualTo(fewest.containsKey(position.id()) ? List.of(fewest.get(position.id())) : List.of());
                assertThat(reach.way(position.id())).hasSize(fewest.getOrDefault(position.id(), 0));
            }
        }
    }
}
