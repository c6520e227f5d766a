package lynchet.core.walk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Position;
import lynchet.core.map.Ruleset;
import lynchet.core.map.Stage;
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
                GivenEvidence.of(tiny.map(), link -> chances.getOrDefault(link.id(), 0.35)),
                "s",
                to,
                least,
                k);
    }

    private static Knowledge everything(MoveGraph graph) {
        Set<String> all = graph.techniques().stream().map(Technique::id).collect(Collectors.toSet());
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

    /** They stiff-arm, I stand where I stood and do something else: that is two tries, not a way. */
    @Test
    void aTryThatFailsOnTheSpotIsNoPartOfAWay() {
        TinyMap tiny = new TinyMap()
                .pair("h", Stage.LEGS_CLEARED, 2)
                .pair("g", Stage.LEGS_BETWEEN, 0.5)
                .link("lift", "s", "t1", "g")
                .reaction("stiff", "lift", "s")
                .link("nudge", "s", "t2", "h");
        assertThat(routes(tiny, Map.of(), "h", 1, 5))
                .extracting(RoutesTest::links)
                .containsExactly(List.of("nudge"));
        assertThat(routes(tiny, Map.of(), "h", 2, 5)).isEmpty();
        tiny.link("g-back", "g", "t3", "s");
        assertThat(routes(tiny, Map.of(), "h", 2, 5))
                .as("nor is going away and coming back")
                .isEmpty();
    }

    /** They lean in at s with a share of a half; the answer works with 0.5: 0.25, and the reaction is a leg without a link. */
    @Test
    void whatTheyDoAtAPositionIsAWayToo() {
        TinyMap tiny = new TinyMap()
                .pair("h", Stage.LEGS_CLEARED, 2)
                .reactionAt("lean", "s", "s")
                .answer("pull", "lean", "s", "t1", "h");
        assertThat(routes(tiny, Map.of("pull", 0.5), "h", 5)).singleElement().satisfies(route -> {
            assertThat(route.legs()).extracting(Leg::link).containsExactly(null, "pull");
            assertThat(route.legs()).extracting(Leg::reaction).containsExactly("lean", null);
            assertThat(route.chance()).isCloseTo(0.25, within(1e-9));
            assertThat(route.weakest()).isEqualTo("pull");
        });
        tiny.reactionAt("carry", "s", "h");
        assertThat(routes(tiny, Map.of(), "h", 5))
                .as("where nobody tries anything there is no way of mine")
                .hasSize(1);
    }

    @Test
    void whereThereIsNoWayThereIsNone() {
        assertThat(routes(twoWays(), Map.of(), "s", 5)).isEmpty();
        assertThat(routes(new TinyMap().pair("a", Stage.FINISH, 2), Map.of(), "a", 5))
                .isEmpty();
        assertThatThrownBy(() -> routes(twoWays(), Map.of(), "nowhere", 5)).hasMessageContaining("No value");
    }

    /** The only way to b is their reaction, which carries me there. */
    @Test
    void aGoalMayBeReachedByWhatTheyDo() {
        TinyMap tiny = new TinyMap()
                .pair("a", Stage.LEGS_BETWEEN, 0.5)
                .pair("b", Stage.LEGS_CLEARED, 0.9)
                .link("s-a", "s", "t1", "a")
                .reaction("falls", "s-a", "b");
        assertThat(routes(tiny, Map.of("s-a", 0.6), "b", 5)).singleElement().satisfies(route -> {
            assertThat(route.legs().get(0).reaction()).isEqualTo("falls");
            assertThat(route.chance()).isCloseTo(0.4 / 2, within(1e-9));
        });
    }

    /** Two of three failures meet a post: its share is told by the rounds, not even. */
    @Test
    void sharesComeFromTheEvidence() {
        TinyMap tiny = new TinyMap()
                .pair("a", Stage.LEGS_BETWEEN, 0.5)
                .pair("b", Stage.LEGS_CLEARED, 0.9)
                .link("s-a", "s", "t1", "a")
                .reaction("post", "s-a", "b");
        Evidence told = new GivenEvidence(tiny.map(), link -> 0.4, Map.of("post", 2.0 / 3));
        assertThat(Routes.find(tiny.graph(), everything(tiny.graph()), told, "s", "b", 1, 1))
                .singleElement()
                .satisfies(route -> assertThat(route.chance()).isCloseTo(0.6 * 2 / 3, within(1e-9)));
    }

    /** A held pin that the ruleset counts and points that it pays end a route as a tap does; eight legs are the most. */
    @Test
    void pinsAndPointsAreEndsAndEightLegsAreTheMost() {
        TinyMap tiny = new TinyMap().pair("hold", Stage.LEGS_CLEARED, 2).link("to-hold", "s", "t1", "hold");
        tiny.rulesets.add(TinyMap.pinning("pins", "hold"));
        MoveGraph pins = MoveGraph.under(tiny.map(), tiny.map().ruleset("pins").orElseThrow());
        assertThat(Routes.find(pins, everything(pins), GivenEvidence.of(tiny.map(), link -> 0.5), "s", null, 1, 5))
                .extracting(RoutesTest::links)
                .containsExactly(List.of("to-hold"));
        assertThat(routes(tiny, Map.of(), null, 5))
                .as("no ruleset, no pin card")
                .isEmpty();

        TinyMap far = new TinyMap();
        String from = "s";
        for (int i = 1; i <= 9; i++) {
            far.pair("p" + i, Stage.LEGS_BETWEEN, 0.5).link("l" + i, from, "t" + i, "p" + i);
            from = "p" + i;
        }
        assertThat(routes(far, Map.of(), "p8", 1)).hasSize(1);
        assertThat(routes(far, Map.of(), "p9", 1)).isEmpty();
    }

    /** Against every loopless walk over the map itself, tried one after the other, under rules and with random rounds. */
    @ParameterizedTest
    @MethodSource("lynchet.core.map.TinyMap#threeHundredSeeds")
    void findsWhatTryingEverythingFinds(long seed) {
        GrapplingMap map = TinyMap.randomWithRules(seed).map();
        Ruleset ruleset = seed % 3 == 0 ? null : map.ruleset("r").orElseThrow();
        MoveGraph graph = ruleset == null ? MoveGraph.from(map, List.of("s")) : MoveGraph.under(map, ruleset);
        Evidence evidence = RandomRounds.evidence(map, seed);
        SlowRoutes slow = new SlowRoutes(map, ruleset, evidence);
        for (Position to : map.positions()) {
            same(Routes.find(graph, everything(graph), evidence, "s", to.id(), 1, 3), slow.to("s", to.id()), to.id());
        }
        same(Routes.find(graph, everything(graph), evidence, "s", null, 1, 3), slow.to("s", null), "any end");
    }

    private static void same(List<Route> fast, List<Double> all, String what) {
        List<Double> best =
                all.stream().sorted(Comparator.reverseOrder()).limit(3).toList();
        assertThat(fast).as(what).hasSameSizeAs(best);
        for (int i = 0; i < best.size(); i++) {
            assertThat(fast.get(i).chance()).as(what).isBetween(0.0, 1.0).isCloseTo(best.get(i), within(1e-6));
        }
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
        Routes.Route route = Routes.find(graph, all, GivenEvidence.of(graph.map(), link -> 0.5), "guard", null, 1, 1)
                .get(0);
        assertThat(route.costliest()).isEqualTo("finish");
        assertThat(route.legs()).extracting(Routes.Leg::stopped).containsExactly("guard", "guard");
        assertThat(route.legs()).extracting(Routes.Leg::cost).containsExactly(0.0, 1.9);
    }

    /** Stopped, it leaves me better than where I began: that costs nothing, and nobody is paid for failing. */
    @Test
    void aFailureThatBettersThePlaceCostsNothing() {
        TinyMap tiny = new TinyMap()
                .pair("guard", Stage.LEGS_BETWEEN, 0.5)
                .pair("mount", Stage.LEGS_CLEARED, 2.4)
                .cost("choke", 1)
                .link("finish", "guard", "choke", Link.TAP);
        tiny.links.set(
                0, new Link("finish", "guard", "choke", null, null, null, null, Link.TAP, null, "mount", null, false));
        MoveGraph graph = tiny.graph();
        Routes.Route route = Routes.find(
                        graph,
                        Knowledge.sameLevel(graph, Set.of("choke")),
                        GivenEvidence.of(graph.map(), link -> 0.5),
                        "guard",
                        null,
                        1,
                        1)
                .get(0);
        assertThat(route.legs().get(0).cost()).isZero();
        assertThat(route.costliest()).isNull();
    }
}
