package lynchet.core.game;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import lynchet.core.card.Family;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Standard;
import lynchet.core.people.Fading;
import lynchet.core.walk.Evidence;
import lynchet.core.walk.GivenEvidence;
import lynchet.core.walk.MoveGraph;
import lynchet.core.walk.RandomRounds;
import lynchet.core.walk.SlowReach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class GamePlanTest {

    private static final HowKnown PASSED = new HowKnown(Standard.SHOWN, Fading.State.FADING);
    private static final HowKnown DRILLED = new HowKnown(null, Fading.State.FRESH);

    private static final TinyMap GUARD = new TinyMap()
            .pair("guard", Stage.LEGS_BETWEEN, 0.5)
            .pair("mount", Stage.LEGS_CLEARED, 2)
            .link("pull", "s", "pull", "guard")
            .link("bump", "guard", "bump", "mount")
            .link("lock", "guard", "lock", Link.TAP)
            .link("scissor", "guard", "scissor", "mount")
            .reaction("post", "bump", "guard")
            .answer("drag", "post", "guard", "drag", "mount");

    private static GamePlan.Place at(GamePlan plan, String position) {
        return plan.places().stream()
                .filter(place -> place.position().equals(position))
                .findFirst()
                .orElseThrow();
    }

    private static GamePlan plan(Map<String, HowKnown> known, Map<String, Double> chances) {
        Evidence evidence = GivenEvidence.of(GUARD.map(), link -> chances.getOrDefault(link.id(), 0.4));
        return GamePlan.of(GUARD.graph(), known, evidence);
    }

    @Test
    void passedGoesBeforeDrilledThenTheLikelierThenTheFresher() {
        Map<String, HowKnown> known = new HashMap<>(Map.of("pull", PASSED, "bump", PASSED, "lock", DRILLED));
        GamePlan.Place guard = at(plan(known, Map.of("lock", 0.9)), "guard");
        assertThat(guard.best()).extracting(GamePlan.Choice::technique).containsExactly("bump", "lock");
        known.put("lock", PASSED);
        assertThat(at(plan(known, Map.of("lock", 0.9)), "guard").best())
                .extracting(GamePlan.Choice::technique)
                .containsExactly("lock", "bump");
        known.put("scissor", new HowKnown(Standard.LIVE, null));
        known.put("lock", new HowKnown(Standard.SHOWN, Fading.State.RUSTY));
        guard = at(plan(known, Map.of()), "guard");
        assertThat(guard.answers()).isEqualTo(3);
        assertThat(guard.best())
                .as("fading before not logged before rusty")
                .extracting(GamePlan.Choice::technique)
                .containsExactly("bump", "scissor");
        assertThat(plan(known, Map.of("lock", 0.5)).strongest())
                .hasEntrySatisfying(
                        Family.SUBMISSION, best -> assertThat(best.technique()).isEqualTo("lock"))
                .doesNotContainKey(Family.PASS);
    }

    /** Four places with 1, 3, 0 and 0 answers; an answer that nobody gets to is none. */
    @Test
    void coverageCountsTwoAnswersAtEachPlaceAndOnlyUsableOnes() {
        Map<String, HowKnown> known = new HashMap<>(Map.of("pull", PASSED, "lock", PASSED, "drag", PASSED));
        GamePlan plan = plan(known, Map.of());
        assertThat(plan.places())
                .extracting(GamePlan.Place::position, GamePlan.Place::answers)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("s", 1),
                        org.assertj.core.groups.Tuple.tuple("guard", 1),
                        org.assertj.core.groups.Tuple.tuple("guard-x", 0));
        assertThat(plan.coverage()).isEqualTo((0.5 + 0.5) / 3, within(1e-12));
        known.put("bump", PASSED);
        known.put("scissor", DRILLED);
        plan = plan(known, Map.of());
        assertThat(at(plan, "guard").answers()).isEqualTo(4);
        assertThat(plan.coverage()).isEqualTo((0.5 + 1) / 5, within(1e-12));
        assertThat(plan(Map.of(), Map.of()).coverage()).isZero();
    }

    @Test
    void theNextBestIsWhatClosesMostForWhatItCostsAndCanBeLearned() {
        TinyMap tiny = new TinyMap()
                .pair("guard", Stage.LEGS_BETWEEN, 0)
                .cost("dear", 5)
                .cost("cheap", 2)
                .cost("later", 1, "cheap")
                .link("pull", "s", "pull", "guard")
                .link("a", "guard", "dear", "s")
                .link("b", "guard-x", "dear", "s")
                .link("c", "guard", "cheap", "s")
                .link("d", "guard-x", "later", "s");
        List<GamePlan.Next> next =
                GamePlan.next(tiny.graph(), Set.of("pull"), own("pull", "dear", "cheap", "later"), 5);
        assertThat(next).extracting(GamePlan.Next::technique).containsExactly("cheap", "dear");
        assertThat(next.get(0).gain()).isEqualTo(0.5 / 3, within(1e-12));
        assertThat(next.get(0).helps()).containsExactly("guard");
        assertThat(next.get(1).gain()).isEqualTo(1.0 / 3, within(1e-12));
        assertThat(GamePlan.next(tiny.graph(), Set.of("pull", "cheap"), own("later", "dear"), 1))
                .extracting(GamePlan.Next::technique)
                .containsExactly("later");
    }

    private static GamePlan.Teachable own(String... techniques) {
        return new GamePlan.Teachable(Set.of(techniques), Set.of());
    }

    /** Mounted and with nothing to do: the way out first, then ways out before attacks, however much those would give. */
    @Test
    void whatTheOwnRankAsksComesFirstAndAmongItTheWayOut() {
        TinyMap tiny = new TinyMap()
                .pair("mount", Stage.LEGS_CLEARED, 2.5)
                .pair("guard", Stage.LEGS_BETWEEN, 0.4)
                .cost("bridge", 5)
                .cost("wriggle", 5)
                .add(TinyMap.card("trip", Family.TAKEDOWN, 1, List.of(), List.of()))
                .add(TinyMap.card("drag", Family.TAKEDOWN, 1, List.of(), List.of()))
                .link("throw", "s", "throw", "mount")
                .link("pull", "s", "pull", "guard")
                .link("out", "mount-x", "bridge", "s")
                .link("off", "guard-x", "wriggle", "s")
                .link("t", "s", "trip", "mount")
                .link("t2", "guard", "trip", "mount")
                .link("d", "s", "drag", "mount")
                .link("d2", "guard", "drag", "mount");
        Set<String> known = Set.of("throw", "pull");
        GamePlan.Teachable teachable = new GamePlan.Teachable(Set.of("trip", "bridge", "wriggle"), Set.of("drag"));
        assertThat(GamePlan.next(tiny.graph(), known, teachable, 9))
                .extracting(GamePlan.Next::technique)
                .containsExactly("bridge", "wriggle", "trip", "drag");
        assertThat(GamePlan.next(tiny.graph(), known, new GamePlan.Teachable(Set.of("drag"), Set.of("bridge")), 9))
                .extracting(GamePlan.Next::technique)
                .containsExactly("drag", "bridge");
    }

    /** Techniques that can be used at each place, asked of the map by name. */
    private static Map<String, Map<String, List<Link>>> slowly(GrapplingMap map, Set<String> mine, Set<String> theirs) {
        Map<String, Map<String, List<Link>>> usable = new TreeMap<>();
        for (String state : SlowReach.states(map, mine, theirs).keySet()) {
            String here = state.split("/")[0];
            Map<String, List<Link>> at = usable.computeIfAbsent(here, p -> new TreeMap<>());
            for (Link link : map.links()) {
                boolean isOn = link.when() == null || state.equals(here + "/" + link.when() + "/me");
                if (link.from().equals(here) && isOn && !link.retired() && mine.contains(link.technique())) {
                    at.computeIfAbsent(link.technique(), t -> new ArrayList<>()).add(link);
                }
            }
        }
        return usable;
    }

    private static double coverage(Map<String, Map<String, List<Link>>> usable, Set<String> places) {
        return places.stream()
                .mapToDouble(place -> Math.min(usable.get(place).size(), 2) / 2.0)
                .average()
                .orElse(0);
    }

    @ParameterizedTest
    @MethodSource("lynchet.core.map.TinyMap#threeHundredSeeds")
    void agreesWithEveryWayTriedByName(long seed) {
        Random random = new Random(seed);
        GrapplingMap map = TinyMap.randomWithRules(seed).map();
        MoveGraph graph = MoveGraph.from(map, List.of("s"));
        Evidence evidence = RandomRounds.evidence(map, seed);
        Map<String, HowKnown> known = new TreeMap<>();
        for (int t = 0; t < 6; t++) {
            if (random.nextInt(3) > 0) {
                Fading.State fading =
                        random.nextInt(4) == 0 ? null : TinyMap.pick(List.of(Fading.State.values()), random);
                known.put("t" + t, new HowKnown(random.nextBoolean() ? Standard.SHOWN : null, fading));
            }
        }
        GamePlan plan = GamePlan.of(graph, known, evidence);
        Map<String, Map<String, List<Link>>> slow = slowly(map, known.keySet(), known.keySet());
        assertThat(plan.places())
                .extracting(GamePlan.Place::position)
                .containsExactlyInAnyOrderElementsOf(slow.keySet());
        assertThat(plan.coverage()).isEqualTo(coverage(slow, slow.keySet()), within(1e-12));
        for (GamePlan.Place place : plan.places()) {
            Map<String, List<Link>> here = slow.get(place.position());
            assertThat(place.answers()).isEqualTo(here.size());
            List<String> order = new ArrayList<>(here.keySet());
            order.sort(Comparator.comparing((String t) -> worth(known.get(t), here.get(t), evidence)));
            assertThat(place.best().stream()
                            .map(c -> worth(known.get(c.technique()), here.get(c.technique()), evidence)))
                    .containsExactlyElementsOf(order.stream()
                            .limit(2)
                            .map(t -> worth(known.get(t), here.get(t), evidence))
                            .toList());
        }
        Set<String> candidates = Set.of("t0", "t1", "t2", "t3", "t4", "t5");
        Map<String, Double> gains = new HashMap<>();
        for (GamePlan.Next next :
                GamePlan.next(graph, known.keySet(), new GamePlan.Teachable(candidates, Set.of()), 6)) {
            gains.put(next.technique(), next.gain());
        }
        for (String candidate : new TreeSet<>(candidates)) {
            Set<String> mine = new HashSet<>(known.keySet());
            double gain = 0;
            if (mine.containsAll(map.technique(candidate).orElseThrow().prerequisites()) && mine.add(candidate)) {
                Map<String, Map<String, List<Link>>> then = slowly(map, mine, known.keySet());
                gain = coverage(then, slow.keySet()) - coverage(slow, slow.keySet());
            }
            assertThat(gains.getOrDefault(candidate, 0.0)).as(candidate).isEqualTo(gain, within(1e-12));
        }
    }

    /** Smaller is better: a number in which each thing outweighs all after it. */
    private static double worth(HowKnown how, List<Link> links, Evidence evidence) {
        double best = links.stream().mapToDouble(evidence::chance).max().orElseThrow();
        Map<Fading.State, Integer> order = Map.of(Fading.State.RUSTY, 0, Fading.State.FADING, 2, Fading.State.FRESH, 3);
        int fresh = how.fading() == null ? 1 : order.get(how.fading());
        return -((how.passed() != null ? 1e9 : 0) + Math.round(best * 1e6) * 10.0 + fresh);
    }
}
