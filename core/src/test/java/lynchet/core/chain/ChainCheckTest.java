package lynchet.core.chain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import lynchet.core.map.Family;
import lynchet.core.map.Hazard;
import lynchet.core.map.Link;
import lynchet.core.map.Ruleset;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import org.junit.jupiter.api.Test;

class ChainCheckTest {

    private final TinyMap tiny = new TinyMap()
            .pair("guard", Stage.LEGS_BETWEEN, 0.5)
            .pair("mount", Stage.LEGS_CLEARED, 2.5)
            .link("sweep", "guard", "hip-bump", "mount")
            .reaction("post", "sweep", "guard")
            .reaction("drive", "sweep", "guard")
            .answer("lock", "post", "guard", "wrist-lock", Link.TAP)
            .link("arm", "mount", "arm-lock", Link.TAP);

    private static ChainStep step(String link, Turn... next) {
        return new ChainStep(link, List.of(next));
    }

    private ChainReport check(ChainStep first) {
        return ChainCheck.check(tiny.map(), new Chain("c", "C", null, null, "guard", first, false), null);
    }

    @Test
    void measuresAMainLineWithOneTurnOff() {
        ChainReport report = check(step("sweep", new Turn(null, step("arm")), new Turn("post", step("lock"))));

        assertThat(report.holdsTogether()).isTrue();
        assertThat(report.depth()).isEqualTo(2);
        assertThat(report.turnOffs()).isEqualTo(1);
        assertThat(report.steps()).extracting(ChainReport.StepAt::label).containsExactly("1", "2", "1a");
        // Master 3 throughout: 0.35 each. One of two reactions is answered; each has a third of what fails.
        assertThat(report.answeredShare()).isEqualTo(0.5);
        assertThat(report.chanceToFinish()).isCloseTo(0.35 * 0.35 + 0.65 / 3 * 0.35, within(1e-12));
        assertThat(report.findings())
                .filteredOn(f -> f.code() == ChainFinding.Code.OPEN_END)
                .singleElement()
                .returns("drive", ChainFinding::reaction)
                .returns(1.0 / 3, ChainFinding::share);
    }

    /** Two things they do where the sweep leads, each a third; 0.35 works, and a third of that is left alone. */
    @Test
    void whatTheyDoWhereALinkLeadsTakesItsShareOfWhatWorks() {
        tiny.reactionAt("shove", "mount", "mount")
                .reactionAt("turn", "mount", "mount")
                .answer("on-shove", "shove", "mount", "arm-lock", Link.TAP)
                .answer("on-turn", "turn", "mount", "arm-lock", Link.TAP);
        ChainReport report = check(step(
                "sweep",
                new Turn(null, step("arm")),
                new Turn("shove", step("on-shove")),
                new Turn("turn", step("on-turn"))));
        assertThat(report.holdsTogether()).isTrue();
        assertThat(report.chanceToFinish()).isCloseTo(0.35 * 0.35, within(1e-12));
        assertThat(report.steps()).extracting(ChainReport.StepAt::reached).allMatch(reached -> reached <= 1);
    }

    @Test
    void noChainIsSurerThanSure() {
        tiny.reactionAt("shove", "mount", "mount")
                .reactionAt("turn", "mount", "mount")
                .reactionAt("lean", "guard", "guard")
                .answer("on-shove", "shove", "mount", "arm-lock", Link.TAP)
                .answer("on-turn", "turn", "mount", "arm-lock", Link.TAP)
                .answer("on-lean", "lean", "guard", "wrist-lock", Link.TAP);
        ChainStep all = step(
                "sweep",
                new Turn(null, step("arm")),
                new Turn("post", step("lock")),
                new Turn("shove", step("on-shove")),
                new Turn("turn", step("on-turn")),
                new Turn("lean", step("on-lean")));
        Chain chain = new Chain("c", "C", null, null, "guard", all, false);
        ChainReport sure = ChainCheck.check(tiny.map(), chain, null, link -> 1);
        assertThat(sure.chanceToFinish()).isCloseTo(1, within(1e-12));
        assertThat(check(all).chanceToFinish()).isLessThan(1);
    }

    @Test
    void aSecondTurnOffAtOneReactionIsSaidAndCountsForNothing() {
        ChainReport once = check(step("sweep", new Turn("post", step("lock"))));
        ChainReport twice = check(step("sweep", new Turn("post", step("lock")), new Turn("post", step("lock"))));
        assertThat(twice.chanceToFinish()).isEqualTo(once.chanceToFinish());
        assertThat(twice.findings())
                .filteredOn(f -> f.code() == ChainFinding.Code.TWICE)
                .extracting(ChainFinding::step)
                .containsExactly("1b");
    }

    @Test
    void endingAheadIsSettlingNotFinishing() {
        ChainReport report = check(step("sweep"));
        assertThat(report.chanceToFinish()).isZero();
        assertThat(report.chanceToSettle()).isEqualTo(0.35);
        assertThat(report.answeredShare()).isZero();
    }

    @Test
    void aStepThatStartsElsewhereBreaksTheJoin() {
        assertThat(broken(step("arm"))).containsExactly("1");
        assertThat(broken(step("sweep", new Turn(null, step("sweep"))))).containsExactly("2");
    }

    @Test
    void anAnswerOnTheMainLineBreaksTheJoin() {
        assertThat(broken(step("lock"))).containsExactly("1");
    }

    @Test
    void aTurnOffMustBelongToTheStep() {
        assertThat(broken(step("sweep", new Turn(null, step("arm", new Turn("post", step("lock")))))))
                .contains("2a");
        assertThat(check(step("no-such-link")).holdsTogether()).isFalse();
    }

    /** What the ruleset forbids, what belongs before, what can hurt: said with the step; none of it breaks the chain. */
    @Test
    void saysWhatIsNotAllowedWhatComesFirstAndWhatCanHurt() {
        tiny.cost("stand", 1)
                .add(TinyMap.card(
                        "hip-bump", Family.SWEEP, 1, 3, List.of("stand"), null, null, Set.of(Hazard.LIFT_LEGS)));
        Ruleset rules = new Ruleset(
                "r",
                "House rules",
                null,
                List.of("arm-lock"),
                null,
                null,
                null,
                false,
                0,
                null,
                null,
                5,
                null,
                false,
                0,
                null);
        Chain chain = new Chain("c", "C", null, null, "guard", step("sweep", new Turn(null, step("arm"))), false);
        ChainReport report = ChainCheck.check(tiny.map(), chain, rules);
        assertThat(report.holdsTogether()).isTrue();
        assertThat(report.findings())
                .filteredOn(f -> f.code() != ChainFinding.Code.OPEN_END)
                .extracting(ChainFinding::code, ChainFinding::step, ChainFinding::sentence)
                .containsExactlyInAnyOrder(
                        tuple(ChainFinding.Code.ILLEGAL, "2", "Step 2: arm-lock is not allowed under House rules."),
                        tuple(ChainFinding.Code.CAUTION, "1", "hip-bump: Lift with the legs, back straight."),
                        tuple(ChainFinding.Code.PREREQUISITE, "", "stand comes first and is not part of the chain."));
    }

    @Test
    void theLoggedChancesAreUsedWhereThereAreSome() {
        Chain chain = new Chain("c", "C", null, null, "guard", step("sweep", new Turn(null, step("arm"))), false);
        ChainReport report =
                ChainCheck.check(tiny.map(), chain, null, link -> link.id().equals("arm") ? 0.9 : 0.5);
        assertThat(report.chanceToFinish()).isCloseTo(0.5 * 0.9, within(1e-12));
        assertThat(report.weakestLink()).isEqualTo("sweep");
    }

    private List<String> broken(ChainStep first) {
        return check(first).findings().stream()
                .filter(f -> f.code() == ChainFinding.Code.BROKEN_JOIN)
                .map(ChainFinding::step)
                .toList();
    }

    @Test
    void labelsCountOnAlongALine() {
        assertThat(ChainCheck.after("1")).isEqualTo("2");
        assertThat(ChainCheck.after("9")).isEqualTo("10");
        assertThat(ChainCheck.after("2b")).isEqualTo("2b2");
        assertThat(ChainCheck.after("2b2")).isEqualTo("2b3");
    }

    @Test
    void refusesTwoMainLinesAndEndlessDepth() {
        assertThatThrownBy(() -> step("sweep", new Turn(null, step("arm")), new Turn(null, step("arm"))))
                .hasMessageContaining("two main lines");
        ChainStep deep = step("sweep");
        for (int i = 0; i < Chain.MOST_DEEP; i++) {
            deep = step("sweep", new Turn(null, deep));
        }
        ChainStep tooDeep = deep;
        assertThatThrownBy(() -> check(tooDeep)).hasMessageContaining("steps deep");
    }
}
