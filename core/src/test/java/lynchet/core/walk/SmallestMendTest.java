package lynchet.core.walk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import lynchet.core.map.Link;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class SmallestMendTest {

    private static Finding noWayIn(String technique) {
        return new Finding(Finding.Code.NO_WAY_IN, 3, null, technique, null, technique, null);
    }

    @Test
    void aTechniqueBoughtOnceServesAgain() {
        MoveGraph graph = new TinyMap()
                .pair("x", Stage.GRIPPED, 0)
                .pair("y", Stage.GRIPPED, 0)
                .pair("t", Stage.GRIPPED, 0)
                .cost("a", 2)
                .cost("b", 5)
                .link("s-x", "s", "a", "x")
                .link("x-y", "x", "a", "y")
                .link("y-t", "y", "a", "t")
                .link("s-t", "s", "b", "t")
                .link("end", "t", "goal", Link.TAP)
                .graph();

        Mend mend = SmallestMend.of(graph, Knowledge.sameLevel(graph, Set.of("goal")), noWayIn("goal"))
                .orElseThrow();

        assertThat(mend.techniques()).containsExactly("a");
        assertThat(mend.cost()).isEqualTo(2);
        assertThat(mend.cheapest()).isTrue();
        assertThat(mend.way()).containsExactly("s: a to x", "x: a to y", "y: a to t", "t: goal to tap");
    }

    @Test
    void missingPrerequisitesArePartOfThePriceOnce() {
        MoveGraph graph = new TinyMap()
                .pair("p", Stage.LEGS_CLEARED, 2)
                .cost("base", 3)
                .cost("a", 1, "base")
                .cost("b", 3)
                .link("in", "s", "in", "p")
                .link("out-a", "p-x", "a", "s")
                .link("out-b", "p-x", "b", "s")
                .graph();
        Finding stuck = TinyMap.gaps(graph, Set.of("in")).get(0);
        assertThat(stuck.code()).isEqualTo(Finding.Code.NO_ANSWER);

        assertThat(SmallestMend.of(graph, Knowledge.sameLevel(graph, Set.of("in")), stuck)
                        .orElseThrow()
                        .techniques())
                .containsExactly("b");
        assertThat(SmallestMend.of(graph, Knowledge.sameLevel(graph, Set.of("in", "base")), stuck)
                        .orElseThrow()
                        .techniques())
                .containsExactly("a");
    }

    @Test
    void givenUpItIsStillAMendAndSaysThatItIsNotSurelyTheCheapest() {
        MoveGraph graph = new TinyMap()
                .pair("x", Stage.GRIPPED, 0)
                .pair("y", Stage.GRIPPED, 0)
                .cost("a", 2)
                .cost("b", 3)
                .link("s-x", "s", "a", "x")
                .link("x-y", "x", "b", "y")
                .link("end", "y", "goal", "s")
                .graph();
        Knowledge knowledge = Knowledge.sameLevel(graph, Set.of("goal"));
        Mend cheap = new SmallestMend(graph, knowledge, 1).of(noWayIn("goal")).orElseThrow();
        assertThat(cheap.techniques()).containsExactly("a", "b");
        assertThat(cheap.cheapest()).isFalse();
        assertThat(cheap.walk()).containsExactly("s", "x", "y", "s");
        assertThat(new SmallestMend(graph, knowledge)
                        .of(noWayIn("goal"))
                        .orElseThrow()
                        .cheapest())
                .isTrue();
    }

    @Test
    void ofTwoThatCostTheSameTheShorterWayIsShown() {
        MoveGraph graph = new TinyMap()
                .pair("x", Stage.GRIPPED, 0)
                .pair("t", Stage.GRIPPED, 0)
                .cost("a", 2)
                .link("s-x", "s", "a", "x")
                .link("x-t", "x", "a", "t")
                .link("s-t", "s", "a", "t")
                .link("end", "t", "goal", "s")
                .graph();
        Knowledge knowledge = Knowledge.sameLevel(graph, Set.of("goal"));
        assertThat(SmallestMend.of(graph, knowledge, noWayIn("goal"))
                        .orElseThrow()
                        .walk())
                .containsExactly("s", "t", "s");
    }

    /** The long way is met first and costs the same: the short one is shown all the same. */
    @Test
    void aShorterEscapeIsShownThoughALongerOneIsFoundBefore() {
        MoveGraph graph = new TinyMap()
                .pair("p", Stage.LEGS_CLEARED, 2)
                .pair("q", Stage.LEGS_CLEARED, 1.5)
                .link("in", "s", "in", "p")
                .link("on", "p-x", "a", "q-x")
                .link("up", "q-x", "a", "s")
                .link("out", "p-x", "a", "s")
                .graph();
        Finding stuck = TinyMap.gaps(graph, Set.of("in")).get(0);
        assertThat(stuck.position()).isEqualTo("p-x");
        assertThat(SmallestMend.of(graph, Knowledge.sameLevel(graph, Set.of("in")), stuck)
                        .orElseThrow()
                        .way())
                .containsExactly("p-x: a to s");
    }

    @Test
    void oneSearchAnswersEveryFindingLikeOneOfItsOwn() {
        MoveGraph graph = MoveGraph.from(TinyMap.random(42).map(), List.of("s"));
        Set<String> known = Set.of("t0", "t3");
        Knowledge knowledge = Knowledge.sameLevel(graph, known);
        List<Finding> gaps = TinyMap.gaps(graph, known);
        List<Finding> mended = new SmallestMend(graph, knowledge).mended(gaps);
        for (int i = 0; i < gaps.size(); i++) {
            Mend alone = gaps.get(i).severity() < 3
                    ? null
                    : SmallestMend.of(graph, knowledge, gaps.get(i)).orElse(null);
            assertThat(mended.get(i)).isEqualTo(gaps.get(i).with(alone));
        }
    }

    @Test
    void noMendWhereTheMapOffersNone() {
        MoveGraph graph = new TinyMap()
                .pair("p", Stage.LEGS_CLEARED, 2)
                .link("in", "s", "in", "p")
                .graph();
        Knowledge knowledge = Knowledge.sameLevel(graph, Set.of("in"));
        assertThat(SmallestMend.of(
                        graph, knowledge, TinyMap.gaps(graph, Set.of("in")).get(0)))
                .isEmpty();
    }

    /** t builds on p, which is known, and p on pp, which is not: nobody who knows p is sent back to pp. */
    @Test
    void whatIsKnownIsNotPaidForAgain() {
        MoveGraph graph = new TinyMap()
                .pair("x", Stage.LEGS_CLEARED, 2)
                .cost("pp", 3)
                .cost("p", 2, "pp")
                .cost("t", 4, "p")
                .cost("in", 1)
                .link("in", "s", "in", "x")
                .link("out", "x-x", "t", "s")
                .graph();
        Knowledge knowledge = Knowledge.sameLevel(graph, Set.of("in", "p"));
        Finding stuck = TinyMap.gaps(graph, Set.of("in", "p")).stream()
                .filter(finding -> finding.code() == Finding.Code.NO_ANSWER && finding.severity() == 3)
                .findFirst()
                .orElseThrow();
        Mend mend = SmallestMend.of(graph, knowledge, stuck).orElseThrow();
        assertThat(mend.techniques()).containsExactly("t");
        assertThat(mend.cost()).isEqualTo(4);
    }

    private static void learn(String technique, MoveGraph graph, Set<String> known) {
        if (known.add(technique)) {
            graph.map().technique(technique).orElseThrow().prerequisites().forEach(one -> learn(one, graph, known));
        }
    }

    /** Tries every set of techniques that may be learned, each after what it builds on and is not known. */
    private static Optional<Integer> cheapestByTryingAll(MoveGraph graph, Set<String> known, Finding finding) {
        Optional<Integer> best = Optional.empty();
        for (int bits = 0; bits < 64; bits++) {
            Set<String> with = new HashSet<>(known);
            for (int t = 0; t < 6; t++) {
                if ((bits >> t & 1) == 1) {
                    learn("t" + t, graph, with);
                }
            }
            boolean gone = TinyMap.gaps(graph, with).stream()
                    .noneMatch(f -> f.severity() == 3
                            && java.util.Objects.equals(f.position(), finding.position())
                            && java.util.Objects.equals(f.technique(), finding.technique()));
            int cost = with.stream()
                    .filter(t -> !known.contains(t))
                    .mapToInt(t -> graph.map().technique(t).orElseThrow().learn())
                    .sum();
            if (gone && best.filter(b -> b <= cost).isEmpty()) {
                best = Optional.of(cost);
            }
        }
        return best;
    }

    @ParameterizedTest
    @MethodSource("lynchet.core.map.TinyMap#twoHundredSeeds")
    void isAsCheapAsTryingEverySet(long seed) {
        MoveGraph graph = MoveGraph.from(TinyMap.random(seed).map(), List.of("s"));
        for (Set<String> known : List.of(Set.of("t0"), Set.of("t1", "t3"), Set.of("t2", "t4", "t5"))) {
            SmallestMend mends = new SmallestMend(graph, Knowledge.sameLevel(graph, known));
            for (Finding finding : TinyMap.gaps(graph, known)) {
                if (finding.severity() == 3) {
                    assertThat(mends.of(finding).map(Mend::cost))
                            .as("%s with %s", finding.sentence(), known)
                            .isEqualTo(cheapestByTryingAll(graph, known, finding));
                }
            }
        }
    }
}
