package lynchet.core.walk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import lynchet.core.card.Family;
import lynchet.core.card.Jacket;
import lynchet.core.card.Need;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Position;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import org.assertj.core.groups.Tuple;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class GapsTest {

    private final TinyMap tiny = new TinyMap()
            .pair("mount", Stage.LEGS_CLEARED, 2.5)
            .pair("guard", Stage.LEGS_BETWEEN, 0.4)
            .link("throw", "s", "throw", "mount")
            .link("elbow", "mount-x", "elbow-escape", "guard")
            .link("roll", "mount-x", "bridge", "guard")
            .link("lock", "mount", "arm-lock", Link.TAP)
            .reaction("hides", "lock", "mount")
            .answer("choke", "hides", "mount", "choke", Link.TAP);

    private List<Tuple> codes(String... known) {
        return TinyMap.gaps(tiny.graph(), Set.of(known)).stream()
                .map(f -> Tuple.tuple(f.code(), f.severity(), f.position() == null ? f.technique() : f.position()))
                .toList();
    }

    @Test
    void aReachedPositionWithNothingToDoBlocksOnlyWhenBehind() {
        assertThat(codes("throw"))
                .containsExactly(
                        Tuple.tuple(Finding.Code.NO_ANSWER, 3, "mount-x"),
                        Tuple.tuple(Finding.Code.NO_ANSWER, 2, "mount"),
                        Tuple.tuple(Finding.Code.NO_FINISH, 2, "mount"),
                        Tuple.tuple(Finding.Code.ONE_ANSWER, 1, "s"));
    }

    @Test
    void oneEscapeIsAWarningTwoAreNot() {
        assertThat(codes("throw", "bridge")).contains(Tuple.tuple(Finding.Code.ONE_ANSWER, 2, "mount-x"));
        assertThat(codes("throw", "bridge", "elbow-escape"))
                .doesNotContain(Tuple.tuple(Finding.Code.ONE_ANSWER, 2, "mount-x"));
    }

    /** Caught where the map knows a late way out that is not taught is a gap; caught where nobody has one is a tap. */
    @Test
    void whereNobodyHasALateWayOutOneTaps() {
        tiny.pair("locked", Stage.FINISH, 3).link("lock-on", "mount", "arm-lock", "locked");
        assertThat(codes("throw", "arm-lock"))
                .contains(Tuple.tuple(Finding.Code.TAP, 1, "locked-x"))
                .doesNotContain(
                        Tuple.tuple(Finding.Code.NO_ANSWER, 3, "locked-x"),
                        Tuple.tuple(Finding.Code.NO_ANSWER, 2, "locked-x"));

        tiny.link("stack", "locked-x", "stack", "guard");
        assertThat(codes("throw", "arm-lock")).contains(Tuple.tuple(Finding.Code.NO_ANSWER, 3, "locked-x"));
        assertThat(codes("throw", "arm-lock", "stack")).contains(Tuple.tuple(Finding.Code.ONE_ANSWER, 2, "locked-x"));
    }

    @Test
    void whoLocksItIsNotToldToTap() {
        tiny.pair("locked", Stage.FINISH, 3).link("lock-on", "mount", "arm-lock", "locked");
        assertThat(codes("throw", "arm-lock")).doesNotContain(Tuple.tuple(Finding.Code.TAP, 1, "locked"));
    }

    /** Nobody is told to learn a sweep first so that they may be mounted and escape. */
    @Test
    void aWayOutThatIsLearnedBeforeTheAttackIsANoteWithoutAMend() {
        tiny.link("sweep-up", "guard", "sweep", "mount");
        assertThat(TinyMap.gaps(tiny.graph(), Set.of("elbow-escape")))
                .filteredOn(f -> f.code() == Finding.Code.NO_WAY_IN)
                .singleElement()
                .satisfies(found -> {
                    assertThat(found.severity()).isEqualTo(1);
                    assertThat(found.mend()).isNull();
                    assertThat(found.sentence()).contains("a way out");
                });
    }

    @Test
    void aReactionIsOpenUntilItsAnswerIsKnown() {
        assertThat(codes("throw", "arm-lock")).contains(Tuple.tuple(Finding.Code.OPEN_REACTION, 2, "mount"));
        assertThat(codes("throw", "arm-lock", "choke"))
                .doesNotContain(Tuple.tuple(Finding.Code.OPEN_REACTION, 2, "mount"));
    }

    @Test
    void aTechniqueWithoutAWayInBlocksButOnAnExamListWarns() {
        assertThat(codes("arm-lock"))
                .containsExactly(
                        Tuple.tuple(Finding.Code.NO_WAY_IN, 3, "arm-lock"),
                        Tuple.tuple(Finding.Code.NO_ANSWER, 2, "s"));
        MoveGraph graph = tiny.graph();
        assertThat(Gaps.find(graph, Knowledge.sameLevel(graph, Set.of("arm-lock")), Map.of(), true, Set.of()))
                .filteredOn(f -> f.code() == Finding.Code.NO_WAY_IN)
                .singleElement()
                .returns(2, Finding::severity);
    }

    @Test
    void anEscapeMustArriveWithinThreeLinks() {
        TinyMap far = new TinyMap();
        far.pair("a", Stage.LEGS_CLEARED, 2)
                .pair("b", Stage.LEGS_CLEARED, 1.9)
                .pair("c", Stage.LEGS_CLEARED, 1.8)
                .pair("d", Stage.LEGS_CLEARED, 1.7);
        far.link("in", "s", "in", "a")
                .link("l1", "a-x", "t", "b-x")
                .link("l2", "b-x", "t", "c-x")
                .link("l3", "c-x", "t", "d-x")
                .link("l4", "d-x", "t", "s");
        assertThat(TinyMap.gaps(far.graph(), Set.of("in", "t")))
                .filteredOn(f -> f.code() == Finding.Code.NO_ESCAPE)
                .extracting(Finding::position)
                .containsExactly("a-x");
    }

    @Test
    void aNeedNamesTheLinkThatMakesIt() {
        tiny.techniques.put("grip", TinyMap.technique("grip", 1));
        tiny.link("take", "guard", "grip", "guard");
        tiny.links.add(new Link(
                "pry",
                "mount",
                "pry",
                null,
                null,
                List.of(new Need(Need.Kind.GRIP, "a grip on the sleeve", "take")),
                null,
                "s",
                null,
                null,
                null,
                false));
        tiny.cost("pry", 2);
        assertThat(codes("throw", "pry")).contains(Tuple.tuple(Finding.Code.NEED_NOT_MADE, 2, "mount"));
        assertThat(codes("throw", "pry", "grip")).doesNotContain(Tuple.tuple(Finding.Code.NEED_NOT_MADE, 2, "mount"));
    }

    @Test
    void againstAnyoneNeverBlocks() {
        MoveGraph graph = tiny.graph();
        assertThat(Gaps.find(graph, Knowledge.againstAnyone(graph, Set.of()), Map.of(), false, Set.of("throw")))
                .allMatch(f -> f.severity() <= 2)
                .extracting(Finding::code)
                .contains(Finding.Code.NO_ANSWER, Finding.Code.ONE_SIDED);
    }

    @Test
    void aRulesetSaysWhatCountsAsAnEnd() {
        tiny.rulesets.add(new Ruleset(
                "pins",
                "Pins",
                null,
                List.of("arm-lock"),
                null,
                List.of("s"),
                null,
                false,
                0,
                List.of(new Ruleset.HeldPin("mount", 20, 0)),
                null,
                5,
                null,
                false,
                0,
                null));
        GrapplingMap map = tiny.map();
        MoveGraph graph = MoveGraph.under(map, map.ruleset("pins").orElseThrow());
        assertThat(TinyMap.gaps(graph, Set.of("throw", "arm-lock")))
                .extracting(Finding::code)
                .doesNotContain(Finding.Code.NO_FINISH, Finding.Code.NO_WAY_IN, Finding.Code.OPEN_REACTION);
    }

    /** Not allowed, or only from where nothing allowed leads: said once, and in nobody's way. */
    @Test
    void whatHasNoPlaceUnderARulesetIsSaidOnceAndBlocksNothing() {
        tiny.link("far", "mount", "front-choke", "lock").pair("lock", Stage.FINISH, 2.8);
        tiny.link("squeeze", "lock", "squeeze", Link.TAP);
        tiny.rulesets.add(TinyMap.pinning("pins", "mount", "arm-lock", "front-choke"));
        MoveGraph graph = MoveGraph.under(tiny.map(), tiny.map().ruleset("pins").orElseThrow());
        List<Finding> findings = TinyMap.gaps(graph, Set.of("throw", "bridge", "arm-lock", "front-choke", "squeeze"));
        assertThat(findings)
                .filteredOn(f -> f.code() == Finding.Code.LEFT_OUT)
                .singleElement()
                .returns(1, Finding::severity)
                .returns("Of no use under pins, and left out: arm-lock, front-choke, squeeze.", Finding::sentence);
        assertThat(findings).extracting(Finding::code).doesNotContain(Finding.Code.NO_WAY_IN);
        assertThat(TinyMap.gaps(graph, Set.of("bridge")))
                .as("it could be taught")
                .filteredOn(f -> f.code() == Finding.Code.NO_WAY_IN)
                .extracting(Finding::technique)
                .containsExactly("bridge");
    }

    /** What stood on a link once, which is retired, stands on none now, whatever the ruleset. */
    @Test
    void aRetiredLinkIsNoPlaceOnTheMap() {
        tiny.link("old", "mount", "old-way", "s");
        tiny.links.replaceAll(link -> link.id().equals("old") ? link.asRetired() : link);
        tiny.rulesets.add(TinyMap.pinning("pins", "mount"));
        MoveGraph graph = MoveGraph.under(tiny.map(), tiny.map().ruleset("pins").orElseThrow());
        assertThat(TinyMap.gaps(graph, Set.of("throw", "old-way")))
                .filteredOn(f -> "old-way".equals(f.technique()))
                .extracting(Finding::code)
                .containsExactly(Finding.Code.NO_WAY_IN);
    }

    @Test
    void manyThatHaveNoPlaceAreCounted() {
        String[] locks = {"a1", "a2", "a3", "a4", "a5", "a6", "a7", "a8"};
        for (String lock : locks) {
            tiny.link(lock, "mount", lock, Link.TAP);
        }
        tiny.rulesets.add(TinyMap.pinning("pins", "mount", locks));
        MoveGraph graph = MoveGraph.under(tiny.map(), tiny.map().ruleset("pins").orElseThrow());
        assertThat(TinyMap.gaps(graph, Set.of(locks)))
                .extracting(Finding::sentence)
                .contains("Of no use under pins, and left out: a1, a2, a3, a4, a5, a6 and 2 more.");
    }

    /** The way in is the position: its reaction may come or not. Nothing that is done alone needs one. */
    @Test
    void anAnswerHasAWayInWhereItsPositionIsReached() {
        assertThat(codes("throw", "choke")).doesNotContain(Tuple.tuple(Finding.Code.NO_WAY_IN, 3, "choke"));
        assertThat(codes("choke")).contains(Tuple.tuple(Finding.Code.NO_WAY_IN, 3, "choke"));
        tiny.add(TinyMap.card("roll-fall", Family.BREAKFALL, 1, List.of(), List.of()));
        tiny.cost("new-one", 2);
        assertThat(TinyMap.gaps(tiny.graph(), Set.of("throw", "roll-fall", "new-one")))
                .filteredOn(f -> f.code() == Finding.Code.NO_WAY_IN)
                .extracting(Finding::sentence)
                .containsExactly("new-one: no link of the map uses it yet.");
    }

    /** Without the jacket what needs one is out, links to where one is needed too. */
    @Test
    void theJacketIsAskedForWithoutARuleset() {
        MoveGraph without = MoveGraph.of(
                new TinyMap()
                        .add(TinyMap.worn("collar-choke", Jacket.JACKET))
                        .pair("mount", Stage.LEGS_CLEARED, 2.5)
                        .link("throw", "s", "throw", "mount")
                        .link("out", "mount-x", "bridge", "s")
                        .link("squeeze", "mount", "collar-choke", "s")
                        .map(),
                new MoveGraph.Conditions(null, Jacket.NO_JACKET, List.of("s"), false));
        assertThat(TinyMap.gaps(without, Set.of("throw", "bridge", "collar-choke")))
                .extracting(Finding::sentence)
                .contains("Of no use without a jacket, and left out: collar-choke.", "mount: nothing to do from here.");
    }

    /** Two links to the tap are near enough, three are not; a held pin and a score of the ruleset are finishes too. */
    @Test
    void aFinishIsNoFurtherThanTwoLinks() {
        TinyMap near = new TinyMap()
                .pair("ahead", Stage.LEGS_CLEARED, 2)
                .pair("lock", Stage.FINISH, 1.9)
                .pair("between", Stage.LEGS_CLEARED, 1.9)
                .link("throw", "s", "throw", "ahead")
                .link("sit", "ahead-x", "sit", "s")
                .link("on", "ahead", "on", "lock")
                .link("end", "lock", "squeeze", Link.TAP);
        assertThat(TinyMap.gaps(near.graph(), Set.of("throw", "on", "squeeze")))
                .extracting(Finding::code)
                .doesNotContain(Finding.Code.NO_FINISH);
        near.links.set(2, near.link("via", "ahead", "on", "between").links.remove(4));
        near.link("last", "between", "on", "lock");
        assertThat(TinyMap.gaps(near.graph(), Set.of("throw", "on", "squeeze")))
                .filteredOn(f -> f.code() == Finding.Code.NO_FINISH)
                .extracting(Finding::position)
                .containsExactly("ahead");
        near.rulesets.add(TinyMap.pinning("pins", "between"));
        MoveGraph pins = MoveGraph.under(near.map(), near.map().ruleset("pins").orElseThrow());
        assertThat(TinyMap.gaps(pins, Set.of("throw", "on", "squeeze")))
                .extracting(Finding::code)
                .doesNotContain(Finding.Code.NO_FINISH);
    }

    /** Control 1.9 is not well ahead, 2 is; at −0.5 one answer is a note, below it a warning. */
    @Test
    void theBoundariesOfBeingAheadAndBehind() {
        TinyMap edge = new TinyMap()
                .pair("even", Stage.LEGS_CLEARED, 0.5)
                .pair("under", Stage.LEGS_CLEARED, 0.6)
                .pair("almost", Stage.LEGS_CLEARED, 1.9)
                .pair("ahead", Stage.LEGS_CLEARED, 2);
        for (String place : List.of("even", "under", "almost", "ahead")) {
            edge.link("to-" + place, "s", "in", place).link("from-" + place, place + "-x", "out", "s");
            edge.link("stay-" + place, place, "stay", place);
        }
        assertThat(TinyMap.gaps(edge.graph(), Set.of("in", "out", "stay")))
                .filteredOn(f -> f.code() == Finding.Code.NO_FINISH)
                .extracting(Finding::position)
                .containsExactly("ahead");
        assertThat(TinyMap.gaps(edge.graph(), Set.of("in", "out", "stay")))
                .filteredOn(
                        f -> f.code() == Finding.Code.ONE_ANSWER && f.position().endsWith("-x"))
                .extracting(Finding::position, Finding::severity)
                .containsExactlyInAnyOrder(
                        Tuple.tuple("even-x", 1),
                        Tuple.tuple("under-x", 2),
                        Tuple.tuple("almost-x", 2),
                        Tuple.tuple("ahead-x", 2));
    }

    /** A reaction that is itself an attack is not done where the attack is not allowed, nor by somebody who does not know it. */
    @Test
    void anAttackThatIsNotAllowedIsNoReaction() {
        tiny.link("counter-lock", "mount-x", "leg-lock", Link.TAP);
        tiny.reactions.add(new Reaction(
                "counters", "lock", null, "they counter", null, null, "mount", "counter-lock", null, false));
        assertThat(open("throw", "arm-lock", "choke", "leg-lock")).containsExactly("counters");
        assertThat(open("throw", "arm-lock", "choke")).isEmpty();
        tiny.rulesets.add(TinyMap.pinning("pins", "guard", "leg-lock"));
        MoveGraph graph = MoveGraph.under(tiny.map(), tiny.map().ruleset("pins").orElseThrow());
        assertThat(TinyMap.gaps(graph, Set.of("throw", "arm-lock", "choke", "leg-lock")))
                .extracting(Finding::code)
                .doesNotContain(Finding.Code.OPEN_REACTION);
    }

    private List<String> open(String... known) {
        return TinyMap.gaps(tiny.graph(), Set.of(known)).stream()
                .filter(f -> f.code() == Finding.Code.OPEN_REACTION)
                .map(Finding::reaction)
                .toList();
    }

    @Test
    void theCentralPositionComesFirst() {
        assertThat(Centrality.of(tiny.map()).get("mount-x")).isGreaterThan(0);
        Map<String, Double> centrality = Map.of("b", 2.0, "a", 1.0);
        List<Finding> findings = new ArrayList<>(List.of(
                new Finding(Finding.Code.NO_ANSWER, 2, "a", null, null, "a", null),
                new Finding(Finding.Code.NO_ANSWER, 2, "b", null, null, "b", null),
                new Finding(Finding.Code.NO_ANSWER, 3, "c", null, null, "c", null)));
        findings.sort(Gaps.order(centrality));
        assertThat(findings).extracting(Finding::position).containsExactly("c", "b", "a");
    }

    /** NO_ANSWER and NO_ESCAPE again, by walking strings instead of arrays. */
    static Set<String> blockedSlowly(GrapplingMap map, Set<String> known) {
        Map<String, Integer> reached = SlowReach.states(map, known);
        Set<String> blocked = new HashSet<>();
        for (Position position : map.positions()) {
            Set<String> states = reached.keySet().stream()
                    .filter(state -> state.split("/")[0].equals(position.id()))
                    .collect(Collectors.toSet());
            if (states.isEmpty() || position.control() >= 0) {
                continue;
            }
            boolean any =
                    states.stream().anyMatch(state -> !usable(map, state, known).isEmpty());
            if (!any || position.control() < -0.5 && states.stream().noneMatch(s -> escapes(map, s, known, 3))) {
                blocked.add(position.id());
            }
        }
        return blocked;
    }

    private static List<Link> usable(GrapplingMap map, String state, Set<String> known) {
        return map.linksFrom(state.split("/")[0]).stream()
                .filter(link -> known.contains(link.technique()))
                .filter(link -> !link.answersReaction() || state.endsWith("/" + link.when() + "/me"))
                .toList();
    }

    private static boolean escapes(GrapplingMap map, String state, Set<String> known, int links) {
        if (links == 0) {
            return false;
        }
        return usable(map, state, known).stream().anyMatch(link -> {
            boolean out = link.endsInTap()
                    || map.position(link.to()).orElseThrow().control() >= -0.5
                    || map.stageOf(link.to()) == Stage.APART;
            return out
                    || escapes(map, link.to(), known, links - 1)
                    || map.reactionsToLink(link.id()).stream()
                            .anyMatch(r -> escapes(map, r.leaves() + "/" + r.id() + "/me", known, links - 1));
        });
    }

    @ParameterizedTest
    @MethodSource("lynchet.core.map.TinyMap#twoHundredSeeds")
    void blockingGapsAgreeWithTheSlowWay(long seed) {
        GrapplingMap map = TinyMap.random(seed).map();
        MoveGraph graph = MoveGraph.from(map, List.of("s"));
        for (Set<String> known :
                List.of(Set.of("t0", "t1"), Set.of("t1", "t3", "t5"), Set.of("t0", "t2", "t3", "t4"))) {
            assertThat(TinyMap.gaps(graph, known))
                    .filteredOn(f -> f.severity() == 3 && f.position() != null)
                    .extracting(Finding::position)
                    .containsExactlyInAnyOrderElementsOf(blockedSlowly(map, known));
        }
    }
}
