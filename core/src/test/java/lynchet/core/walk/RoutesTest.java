package lynchet.core.walk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import lynchet.core.map.Link;
import lynchet.core.map.Position;
import lynchet.core.map.Stage;
import lynchet.core.map.Technique;
import lynchet.core.map.TinyMap;
import lynchet.core.walk.Routes.Leg;
import lynchet.core.walk.Routes.Route;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class RoutesTest {

    private static List<Route> routes(TinyMap tiny, Map<String, Double> chances, String to, int k) {
        return routes(tiny, chances, to, 1, k);
    }

    private static List<Route> routes(TinyMap tiny, Map<String, Double> chances, String to, int least, int k) {
        return Routes.find(
                tiny.graph(),
                everything(tiny.graph()),
                link -> chances.getOrDefault(link.id(), 0.35),
                "s",
                to,
                least,
                k);
    }

    private static Knowledge everything(MoveGraph graph) {
        Set<String> all = graph.techniques.stream().map(Technique::id).collect(Collectors.toSet());
        return Knowledge.sameLevel(graph, all);
    }

    private static List<String> links(Route route) {
        return route.legs().stream().map(Leg::link).toList();
    }

    private static TinyMap twoWays() {
        return new TinyMap()
                .pair("a", Stage.LEGS_BETWEEN, 0.5)
                .pair("b", Stage.LEGS_BETWEEN, 0.7)
                .link("s-a", "s", "t1", "a")
                .link("s-b", "s", "t2", "b")
                .link("a-tap", "a", "t3", Link.TAP)
                .link("b-tap", "b", "t4", Link.TAP)
                .link("a-b", "a", "t5", "b")
                .link("b-a", "b", "t6", "a");
    }

    @Test
    void theMostLikelyWayComesFirstWithItsProductAndWeakestLink() {
        Map<String, Double> chances =
                Map.of("s-a", 0.5, "a-tap", 0.8, "s-b", 0.9, "b-tap", 0.3, "a-b", 0.5, "b-a", 0.9);
        List<Route> found = routes(twoWays(), chances, null, 5);
        assertThat(found)
                .extracting(RoutesTest::links)
                .containsExactly(
                        List.of("s-b", "b-a", "a-tap"),
                        List.of("s-a", "a-tap"),
                        List.of("s-b", "b-tap"),
                        List.of("s-a", "a-b", "b-tap"));
        assertThat(found.get(0).chance()).isCloseTo(0.9 * 0.9 * 0.8, within(1e-9));
        assertThat(found.get(1).chance()).isCloseTo(0.4, within(1e-9));
        assertThat(found.get(1).weakest()).isEqualTo("s-a");
    }

    /** Five locks from one hold are in its table already; who asks for ways asks for what leads on. */
    @Test
    void shortOnesAreLeftOutAndTheNextBestComeInTheirPlace() {
        TinyMap tiny = twoWays().link("s-tap", "s", "t3", Link.TAP).link("s-tap-too", "s", "t4", Link.TAP);
        assertThat(routes(tiny, Map.of(), null, 2))
                .extracting(RoutesTest::links)
                .allMatch(links -> links.size() == 1);
        assertThat(routes(tiny, Map.of(), null, 2, 2))
                .extracting(RoutesTest::links)
                .containsExactlyInAnyOrder(List.of("s-a", "a-tap"), List.of("s-b", "b-tap"));
        TinyMap onFirst = new TinyMap()
                .pair("hold", Stage.FINISH, 2)
                .link("s-hold", "s", "t1", "hold")
                .link("hold-tap", "hold", "t1", Link.TAP)
                .link("hold-other", "hold", "t2", Link.TAP);
        assertThat(routes(onFirst, Map.of(), null, 2, 9))
                .extracting(RoutesTest::links)
                .containsExactly(List.of("s-hold", "hold-other"));
    }

    @Test
    void anAnswerIsReachedThroughItsReactionOnly() {
        TinyMap tiny = new TinyMap()
                .pair("a", Stage.LEGS_BETWEEN, 0.5)
                .pair("b", Stage.LEGS_BETWEEN, 0.9)
                .link("s-a", "s", "t1", "a")
                .reaction("post", "s-a", "s")
                .answer("s-b", "post", "s", "t2", "b");
        List<Route> found = routes(tiny, Map.of("s-a", 0.6, "s-b", 0.5), "b", 5);
        assertThat(found).singleElement().satisfies(route -> {
            assertThat(links(route)).containsExactly("s-a", "s-b");
            assertThat(route.legs().get(0).reaction()).isEqualTo("post");
            assertThat(route.legs().get(0).chance()).isCloseTo(0.4 / 2, within(1e-9));
            assertThat(route.chance()).isCloseTo(0.1, within(1e-9));
        });
    }

    @Test
    void whereThereIsNoWayThereIsNone() {
        assertThat(routes(twoWays(), Map.of(), "s", 5)).isEmpty();
        assertThat(routes(new TinyMap().pair("a", Stage.FINISH, 2), Map.of(), "a", 5))
                .isEmpty();
        assertThatThrownBy(() -> routes(twoWays(), Map.of(), "nowhere", 5)).hasMessageContaining("No value");
    }

    /** Against every loopless walk, tried one after the other. */
    @ParameterizedTest
    @MethodSource("lynchet.core.map.TinyMap#twoHundredSeeds")
    void findsWhatTryingEverythingFinds(long seed) {
        TinyMap tiny = TinyMap.random(seed);
        MoveGraph graph = tiny.graph();
        ToDoubleFunction<Link> chances =
                link -> 0.2 + 0.05 * Math.floorMod(link.id().hashCode(), 13);
        for (Position to : graph.positions) {
            List<Double> slow = new ArrayList<>();
            walk(
                    graph,
                    chances,
                    graph.positionIndex.get("s"),
                    graph.positionIndex.get(to.id()),
                    1,
                    0,
                    new HashSet<>(Set.of(0)),
                    slow);
            List<Double> best =
                    slow.stream().sorted(Comparator.reverseOrder()).limit(3).toList();
            List<Double> fast = Routes.find(graph, everything(graph), chances, "s", to.id(), 1, 3).stream()
                    .map(Route::chance)
                    .toList();
            assertThat(fast).as(to.id()).hasSameSizeAs(best);
            for (int i = 0; i < best.size(); i++) {
                assertThat(fast.get(i)).isCloseTo(best.get(i), within(1e-9));
            }
        }
    }

    private static void walk(
            MoveGraph graph,
            ToDoubleFunction<Link> chances,
            int state,
            int goal,
            double chance,
            int legs,
            Set<Integer> been,
            List<Double> found) {
        if (state == goal && legs > 0) {
            found.add(chance);
            return;
        }
        if (legs == Routes.MOST_LEGS) {
            return;
        }
        for (int move = graph.firstMove[state]; move < graph.firstMove[state + 1]; move++) {
            int to = graph.target[move];
            if (!graph.iTry(move) || to < 0 || been.contains(to)) {
                continue;
            }
            Link link = graph.links.get(graph.link[move]);
            double works = chances.applyAsDouble(link);
            double p = graph.isMine(move)
                    ? works
                    : (1 - works) / (graph.map.reactionsToLink(link.id()).size() + 1);
            if (graph.isMine(move) && entered(graph, been, to)) {
                continue;
            }
            Set<Integer> next = new HashSet<>(been);
            next.add(to);
            walk(graph, chances, to, goal, chance * p, legs + 1, next, found);
        }
    }

    /** Whether a link that works would enter a position where I began or that one entered before. */
    private static boolean entered(MoveGraph graph, Set<Integer> been, int to) {
        return to < graph.positions.size() && been.contains(to);
    }

    /** Failing at mount costs 2.4 − 0.5 = 1.9 where it leaves me in guard, and nothing where it leaves me where I was. */
    @Test
    void saysWhatFailingCosts() {
        TinyMap tiny = new TinyMap()
                .pair("guard", Stage.LEGS_BETWEEN, 0.5)
                .pair("mount", Stage.LEGS_CLEARED, 2.4)
                .link("sweep", "guard", "sweep", "mount");
        tiny.cost("choke", 1).link("finish", "guard", "choke", Link.TAP);
        tiny.links.remove(tiny.links.size() - 1);
        tiny.links.add(
                new Link("finish", "mount", "choke", null, null, null, null, Link.TAP, null, "guard", null, false));
        MoveGraph graph = tiny.graph();
        Knowledge all = Knowledge.sameLevel(graph, Set.of("sweep", "choke"));
        Routes.Route route =
                Routes.find(graph, all, link -> 0.5, "guard", null, 1, 1).get(0);
        assertThat(route.costliest()).isEqualTo("finish");
        assertThat(route.legs()).extracting(Routes.Leg::stopped).containsExactly("guard", "guard");
        assertThat(route.legs()).extracting(Routes.Leg::cost).containsExactly(0.0, 1.9);
    }
}
