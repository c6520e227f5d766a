package lynchet.core.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Stream;
import lynchet.core.card.Family;
import lynchet.core.card.Fault;
import lynchet.core.card.Need;
import lynchet.core.rule.Breach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class WellFormedTest {

    private static TinyMap sound() {
        return new TinyMap()
                .pair("guard", Stage.LEGS_BETWEEN, 0.5)
                .link("sit", "s", "sit-down", "guard")
                .link("sweep", "guard", "hip-bump", "s")
                .reaction("post", "sweep", "guard")
                .answer("lock", "post", "guard", "arm-lock", Link.TAP);
    }

    @Test
    void takesASoundMap() {
        assertThat(WellFormed.check(sound().data())).isEmpty();
        assertThat(sound().map().counterpart("guard").id()).isEqualTo("guard-x");
        assertThat(sound().map().counterpart("s").id()).isEqualTo("s");
    }

    /** A position with a control of its own under the ruleset "pins". */
    private static Position ruled(String id, double control, double underPins) {
        return new Position(
                id, id, null, control, Map.of("pins", underPins), null, false, null, null, null, null, false);
    }

    static Stream<Arguments> breaches() {
        return Stream.of(
                breach("ID_UNIQUE", "sit", t -> t.link("sit", "s", "sit-down", "guard")),
                breach(
                        "ID_UNIQUE",
                        "guard",
                        t -> t.pairs.add(new PositionPair("other", Stage.APART, TinyMap.position("guard", 0), null))),
                breach(
                        "CONTROL_MIRRORS",
                        "b",
                        t -> t.pairs.add(new PositionPair(
                                "ab", Stage.GRIPPED, TinyMap.position("a", 0.4), TinyMap.position("b", 0.4)))),
                breach(
                        "CONTROL_MIRRORS",
                        "c",
                        t -> t.pairs.add(new PositionPair("c", Stage.GRIPPED, TinyMap.position("c", 0.4), null))),
                breach("CONTROL_MIRRORS", "c", t -> {
                    t.rulesets.add(TinyMap.pinning("pins", "guard"));
                    t.pairs.add(new PositionPair("c", Stage.GRIPPED, ruled("c", 0, 0.4), null));
                }),
                breach("CONTROL_MIRRORS", "b", t -> {
                    t.rulesets.add(TinyMap.pinning("pins", "guard"));
                    t.pairs.add(new PositionPair("ab", Stage.GRIPPED, ruled("a", 1, 0.4), ruled("b", -1, 0.4)));
                }),
                breach(
                        "ID_UNIQUE",
                        "twice",
                        t -> t.pairs.addAll(List.of(
                                new PositionPair("twice", Stage.APART, TinyMap.position("one", 0), null),
                                new PositionPair("twice", Stage.APART, TinyMap.position("other", 0), null)))),
                breach("REACTION_CYCLE", "turn", t -> {
                    t.answer("again", "turn", "guard", "sit-down", "s");
                    t.reaction("turn", "again", "guard");
                }),
                breach(
                        "LINK_VERSION",
                        "bad",
                        t -> t.links.add(
                                new Link("bad", "s", "sit-down", "v", null, null, null, "s", null, null, null, false))),
                breach("TAP_BY_SUBMISSION", "bad", t -> {
                    t.link("bad", "s", "sit-down", Link.TAP);
                    t.cost("sit-down", 1);
                }),
                breach(
                        "CARRIES_OVER_EXISTS",
                        "x",
                        t -> t.add(TinyMap.technique("x", 1)
                                .pointing(List.of(), List.of(), List.of("nothing"), List.of(), List.of()))),
                breach(
                        "FAULT_OPENS",
                        "x",
                        t -> t.add(TinyMap.technique("x", 1)
                                .pointing(
                                        List.of(),
                                        List.of(),
                                        List.of(),
                                        List.of(new Fault("f", "see", "why", "fix", "no-link", false)),
                                        List.of()))),
                breach("LINK_STARTS", "bad", t -> t.link("bad", "nowhere", "sit-down", "s")),
                breach("LINK_ENDS", "bad", t -> t.link("bad", "s", "sit-down", "nowhere")),
                breach(
                        "LINK_TECHNIQUE",
                        "bad",
                        t -> t.links.add(
                                new Link("bad", "s", "unknown", null, null, null, null, "s", null, null, null, false))),
                breach("REACTION_LINK", "bad", t -> t.reaction("bad", "no-link", "s")),
                breach("REACTION_LEAVES", "bad", t -> t.reaction("bad", "sit", "nowhere")),
                breach("ANSWER_STARTS", "bad", t -> t.answer("bad", "post", "s", "arm-lock", "s")),
                breach("ANSWER_EXISTS", "bad", t -> t.answer("bad", "no-reaction", "s", "arm-lock", "s")),
                breach("PREREQUISITE_EXISTS", "x", t -> t.cost("x", 1, "missing")),
                breach("PREREQUISITE_CYCLE", "x", t -> t.cost("x", 1, "y")
                        .cost("y", 1, "z")
                        .cost("z", 1, "x")),
                breach(
                        "FALL_EXISTS",
                        "x",
                        t -> t.add(TinyMap.card("x", Family.THROW, 1, List.of(), List.of("arm-lock")))),
                breach(
                        "HOUSE_VERSION",
                        "x",
                        t -> t.add(TinyMap.card("x", Family.PASS, 1, 1, null, null, "gone", null))),
                breach(
                        "LINK_VERSION",
                        "bad",
                        t -> t.links.add(new Link(
                                "bad", "s", "sit-down", "no", null, null, null, "s", null, null, null, false))),
                breach(
                        "LINK_PARTIAL",
                        "bad",
                        t -> t.links.add(new Link(
                                "bad", "s", "sit-down", null, null, null, null, "s", "no", null, null, false))),
                breach(
                        "LINK_STOPPED",
                        "bad",
                        t -> t.links.add(new Link(
                                "bad", "s", "sit-down", null, null, null, null, "s", null, "no", null, false))),
                breach(
                        "NEED_EXISTS",
                        "bad",
                        t -> t.links.add(new Link(
                                "bad",
                                "s",
                                "sit-down",
                                null,
                                null,
                                List.of(new Need(Need.Kind.GRIP, "sleeve held", "no")),
                                null,
                                "s",
                                null,
                                null,
                                null,
                                false))),
                breach("REACTION_POSITION", "bad", t -> t.reactionAt("bad", "no", "s")),
                breach(
                        "REACTION_ATTACK",
                        "bad",
                        t -> t.reactions.add(
                                new Reaction("bad", "sit", null, "they", null, null, "s", "no", null, false))),
                breach("FALL_EXISTS", "x", t -> t.add(TinyMap.card("x", Family.THROW, 1, null, List.of("no")))),
                breach(
                        "RULESET_PIN",
                        "rules",
                        t -> t.rulesets.add(rules(null, null, new Ruleset.HeldPin("no", 20, 4)))),
                breach("RULESET_TECHNIQUE", "rules", t -> t.rulesets.add(rules(List.of("no"), null))),
                breach(
                        "CONTROL_RULESET",
                        "a",
                        t -> t.pairs.add(new PositionPair("a-pair", Stage.APART, underRules("a"), null))),
                breach("RULESET_ENTRY", "rules", t -> t.rulesets.add(rules(null, List.of("nowhere")))),
                breach("RULESET_PAID", "rules", t -> t.rulesets.add(paying(List.of("no"), null, null))),
                breach("RULESET_PAID", "rules", t -> t.rulesets.add(paying(List.of("s"), List.of("no"), null))),
                breach("RULESET_LANDING", "rules", t -> t.rulesets.add(paying(List.of("s"), null, List.of("no")))));
    }

    private static Ruleset paying(List<String> reached, List<String> onlyFrom, List<String> seat) {
        return RulesetBuilder.builder()
                .id("rules")
                .name("Rules")
                .minutes(5)
                .reached(List.of(new Ruleset.Paid(reached, 2, onlyFrom, null)))
                .landings(new Ruleset.Landings(null, seat))
                .build();
    }

    private static Ruleset rules(List<String> illegal, List<String> entries, Ruleset.HeldPin... pins) {
        return new Ruleset(
                "rules",
                "Rules",
                null,
                illegal,
                null,
                entries,
                null,
                false,
                0,
                List.of(pins),
                null,
                5,
                null,
                false,
                0,
                null);
    }

    private static Position underRules(String id) {
        return new Position(id, id, null, 0, Map.of("no", 0.0), null, false, null, null, null, null, false);
    }

    private static Arguments breach(String rule, String id, Consumer<TinyMap> change) {
        return Arguments.of(rule, id, change);
    }

    @ParameterizedTest(name = "{0} of {1}")
    @MethodSource("breaches")
    void refusesWithRuleAndId(String rule, String id, Consumer<TinyMap> change) {
        TinyMap tiny = sound();
        change.accept(tiny);

        List<Breach> breaches = WellFormed.check(tiny.data());

        assertThat(breaches)
                .extracting(Breach::rule, Breach::id)
                .containsExactly(org.assertj.core.groups.Tuple.tuple(rule, id));
        assertThat(breaches.get(0).where()).startsWith("/map/");
        assertThatThrownBy(tiny::map)
                .isInstanceOf(NotWellFormed.class)
                .hasMessageContaining(breaches.get(0).sentence());
    }

    @Test
    void valuesRefuseNonsenseAtTheDoor() {
        assertThatThrownBy(() -> TinyMap.position("Big Id", 0)).hasMessageContaining("Big Id");
        assertThatThrownBy(() -> TinyMap.position("p", 0.25)).hasMessageContaining("steps of 0.1");
        assertThatThrownBy(() -> TinyMap.position("p", Double.NaN)).hasMessageContaining("NaN");
        assertThatThrownBy(() -> TinyMap.technique("t", 6)).hasMessageContaining("learn of this technique");
        assertThatThrownBy(() -> new Reaction("r", "a", "b", "they", null, null, "s", null, null, false))
                .hasMessageContaining("one of the two");
        assertThat(new Position("p", "P", null, -0.3, Map.of("a", 1.0), null, false, null, null, null, null, false)
                        .control())
                .isEqualTo(-0.3);
    }
}
