package lynchet.core.chain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.LongStream;
import lynchet.core.card.Family;
import lynchet.core.card.Hazard;
import lynchet.core.card.Jacket;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Ruleset;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import lynchet.core.numbers.Ages;
import lynchet.core.walk.Evidence;
import lynchet.core.walk.GivenEvidence;
import lynchet.core.walk.RandomRounds;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

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
        return check(chain(first), null, GivenEvidence.of(tiny.map(), link -> 0.35));
    }

    private static Chain chain(ChainStep first) {
        return new Chain("c", "C", null, null, "guard", first, false);
    }

    private ChainReport check(Chain chain, Ruleset ruleset, Evidence evidence) {
        return ChainCheck.check(tiny.map(), chain, ruleset, evidence, List.of());
    }

    @Test
    void aLineAddsUpWithoutWhatTheTurnOffAnswers() {
        ChainStep off = step("c", new Turn(null, step("d")));
        ChainStep first = step("a", new Turn("they-post", off), new Turn(null, step("b")));
        Map<String, Integer> of = Map.of("a", 5, "b", 1, "c", 4, "d", 3);
        assertThat(first.most(of::get)).as("c and d; a did not come off").isEqualTo(7);
        assertThat(first.most(Map.of("a", 5, "b", 4, "c", 4, "d", 3)::get)).isEqualTo(9);
        assertThat(first.all()).extracting(ChainStep::link).containsExactly("a", "c", "d", "b");
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
        ChainReport sure = check(chain(all), null, GivenEvidence.of(tiny.map(), link -> 1));
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

    /** Both reactions at the first step are answered, none of the one at the second, which is reached at 0.35. */
    @Test
    void whatIsHardlyReachedHardlyCountsAsUnanswered() {
        tiny.answer("back", "drive", "guard", "wrist-lock", Link.TAP).reaction("tuck", "arm", "mount");
        ChainReport report = check(step(
                "sweep", new Turn(null, step("arm")), new Turn("post", step("lock")), new Turn("drive", step("back"))));
        assertThat(report.answeredShare()).isCloseTo(1 / 1.35, within(1e-12));
    }

    /** The drive is answered by a link that starts elsewhere, by one that is not there, by one that is retired. */
    @Test
    void whatDoesNotJoinAnswersNothing() {
        tiny.answer("back", "drive", "guard", "wrist-lock", Link.TAP);
        ChainStep sound = step("sweep", new Turn("post", step("lock")), new Turn("drive", step("back")));
        assertThat(check(sound).answeredShare()).isEqualTo(1);
        for (String broken : List.of("arm", "no-such-link", "lock")) {
            ChainReport report = check(step("sweep", new Turn("post", step("lock")), new Turn("drive", step(broken))));
            assertThat(report.answeredShare()).as(broken).isEqualTo(0.5);
            assertThat(report.findings())
                    .filteredOn(f -> f.code() == ChainFinding.Code.OPEN_END)
                    .extracting(ChainFinding::reaction)
                    .containsExactly("drive");
        }
        tiny.links.replaceAll(link -> link.id().equals("back") ? link.asRetired() : link);
        assertThat(check(sound).answeredShare()).as("retired").isEqualTo(0.5);
        assertThat(check(step("arm")).chanceToFinish())
                .as("it starts elsewhere")
                .isZero();
    }

    /**
     * Under one ruleset the throw ends the bout and the step after it, which pays 2, is never in it; under the other it is
     * there at 0.4 and works at 0.4: 0.32, beside 4 for the throw.
     */
    @Test
    void nothingIsPaidAfterTheBoutIsOver() {
        tiny.add(TinyMap.card("hip-throw", Family.THROW, 3, List.of(), List.of()))
                .add(TinyMap.card("step-over", Family.SWEEP, 1, List.of(), List.of()))
                .pair("hold", Stage.LEGS_CLEARED, 2)
                .link("throw", "guard", "hip-throw", "hold")
                .link("on", "hold", "step-over", "mount");
        tiny.rulesets.add(scoring("ends", true, 0, List.of()));
        tiny.rulesets.add(scoring("pays", false, 4, List.of()));
        ChainReport report = check(
                chain(step("throw", new Turn(null, step("on")))), null, GivenEvidence.of(tiny.map(), link -> 0.4));
        assertThat(report.netPoints().get("ends")).isZero();
        assertThat(report.netPoints().get("pays")).isCloseTo(0.4 * 4 + 0.16 * 2, within(1e-12));
    }

    /** Nobody named what happens when it fails; the link says that it leaves me where they are paid 3: 0.8 − 0.6 · 3. */
    @Test
    void failingWithoutANamedReactionCostsWhatItLeaves() {
        TinyMap bare = new TinyMap()
                .pair("guard", Stage.LEGS_BETWEEN, 0.5)
                .pair("mount", Stage.LEGS_CLEARED, 2.5)
                .add(TinyMap.card("hip-bump", Family.SWEEP, 1, List.of(), List.of()))
                .link("sweep", "guard", "hip-bump", "mount");
        bare.links.set(
                0,
                new Link("sweep", "guard", "hip-bump", null, null, null, null, "mount", null, "mount-x", null, false));
        bare.rulesets.add(new Ruleset(
                "r",
                "R",
                null,
                null,
                null,
                null,
                List.of(new Ruleset.Points(Family.SWEEP, null, 2, null)),
                false,
                0,
                null,
                null,
                5,
                null,
                false,
                0,
                List.of(new Ruleset.Paid(List.of("mount"), 3))));
        ChainReport report = ChainCheck.check(
                bare.map(), chain(step("sweep")), null, GivenEvidence.of(bare.map(), link -> 0.4), List.of());
        assertThat(report.netPoints().get("r")).isCloseTo(0.4 * 5 - 0.6 * 3, within(1e-12));
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
        assertThat(broken(step("sweep", new Turn("drive", step("lock")))))
                .as("it answers the post, not the drive")
                .containsExactly("1a");
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
        ChainReport report = check(
                chain(step("sweep", new Turn(null, step("arm")))), rules, GivenEvidence.of(tiny.map(), link -> 0.35));
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
        Evidence told = new GivenEvidence(tiny.map(), link -> link.id().equals("arm") ? 0.9 : 0.5, Map.of("post", 0.5));
        ChainReport report =
                check(chain(step("sweep", new Turn(null, step("arm")), new Turn("post", step("lock")))), null, told);
        assertThat(report.chanceToFinish()).isCloseTo(0.5 * 0.9 + 0.5 * 0.5 * 0.5, within(1e-12));
        assertThat(report.weakestLink()).isEqualTo("sweep");
        assertThat(report.weakestChance()).isEqualTo(0.5);
        // Half post, which is answered; a third drives, which is not: 0.5 of 0.8333.
        assertThat(report.answeredShare()).isCloseTo(0.5 / (0.5 + 1.0 / 3), within(1e-12));
    }

    /** A clean throw ends it under one ruleset and pays under the other; a hold-down ends it where it is held at last. */
    @Test
    void aCleanThrowOrAHeldPinIsAnEndWhereTheRulesetSaysSo() {
        tiny.add(TinyMap.card("hip-throw", Family.THROW, 3, List.of(), List.of("side-fall")))
                .add(TinyMap.card("side-fall", Family.BREAKFALL, 1, List.of(), List.of()))
                .pair("hold", Stage.LEGS_CLEARED, 2)
                .link("throw", "guard", "hip-throw", "hold")
                .link("on", "hold", "step-over", "mount");
        Evidence told = GivenEvidence.of(tiny.map(), link -> 0.4);
        ChainStep thrown = step("throw", new Turn(null, step("on")));
        Ruleset ends = scoring("ends", true, 0, List.of());
        assertThat(check(chain(thrown), ends, told).chanceToFinish()).isEqualTo(0.4);
        assertThat(check(chain(thrown), ends, told).chanceToSettle()).isEqualTo(0.4);
        assertThat(check(chain(thrown), null, told).chanceToFinish()).isZero();
        assertThat(check(chain(thrown), null, told).chanceToSettle()).isCloseTo(0.16, within(1e-12));

        Ruleset held = scoring("held", false, 4, List.of(new Ruleset.HeldPin("hold", 20, 0)));
        assertThat(check(chain(step("throw")), held, told).chanceToFinish()).isEqualTo(0.4);
        assertThat(check(chain(thrown), held, told).chanceToFinish())
                .as("who goes on gives up the hold")
                .isZero();
        Ruleset pays = scoring("pays", false, 4, List.of(new Ruleset.HeldPin("hold", 20, 2)));
        assertThat(check(chain(step("throw")), pays, told).chanceToFinish()).isZero();
    }

    private static Ruleset scoring(String id, boolean throwEnds, int throwPoints, List<Ruleset.HeldPin> pins) {
        return new Ruleset(
                id,
                id,
                null,
                null,
                null,
                null,
                List.of(new Ruleset.Points(Family.SWEEP, null, 2, null)),
                throwEnds,
                throwPoints,
                pins,
                null,
                5,
                null,
                false,
                0,
                List.of(new Ruleset.Paid(List.of("guard-x"), 3)));
    }

    /**
     * The sweep pays 2 at 0.4; of the 0.6 that fails a third drives through to where they are paid 3, a third posts and is
     * met by the lock, which pays nothing: 0.8 − 0.6 · 1/3 · 3 = 0.2. A ruleset that forbids a part of it says nothing.
     */
    @Test
    void pointsAreWhatIsExpectedLessWhatTheyGet() {
        tiny.reactions.removeIf(r -> r.id().equals("drive"));
        tiny.reaction("drive", "sweep", "mount-x");
        tiny.add(TinyMap.card("hip-bump", Family.SWEEP, 1, List.of(), List.of()));
        tiny.rulesets.add(new Ruleset(
                "points",
                "P",
                null,
                null,
                null,
                null,
                List.of(new Ruleset.Points(Family.SWEEP, null, 2, null)),
                false,
                0,
                null,
                null,
                5,
                null,
                false,
                0,
                List.of(new Ruleset.Paid(List.of("mount"), 3))));
        tiny.rulesets.add(TinyMap.pinning("strict", "mount", "wrist-lock"));
        ChainReport report = check(
                chain(step("sweep", new Turn("post", step("lock")))), null, GivenEvidence.of(tiny.map(), link -> 0.4));
        assertThat(report.netPoints()).containsOnlyKeys("points");
        // 2 for the sweep and 3 for arriving at mount, at 0.4; mount for them at 0.6 · 1/3.
        assertThat(report.netPoints().get("points")).isCloseTo(0.4 * 5 - 0.6 / 3 * 3, within(1e-12));
    }

    /** learn 1 + learn 3 + learn 1 and one turn-off: 8 + 16 + 8 + 6; the lock is not for children, the throw needs a fall. */
    @Test
    void saysInHowLongItIsTaughtAndToWhom() {
        tiny.add(TinyMap.card(
                        "hip-bump",
                        Family.SWEEP,
                        3,
                        3,
                        List.of(),
                        List.of("side-fall"),
                        null,
                        Set.of(Hazard.LIFT_LEGS)))
                .add(TinyMap.card("side-fall", Family.BREAKFALL, 1, List.of(), List.of()))
                .add(TinyMap.card(
                        "arm-lock", Family.SUBMISSION, 1, 3, List.of(), List.of(), null, Set.of(Hazard.ARM_LOCK)));
        ChainReport report = check(step("sweep", new Turn(null, step("arm")), new Turn("post", step("lock"))));
        assertThat(report.taught().minutes()).isEqualTo(8 + 16 + 8 + 6);
        assertThat(report.taught().ages()).isEqualTo(new Ages(13, 16, false));
        assertThat(report.taught().falls()).containsExactly("side-fall");
    }

    /** A grip on a sleeve and a hold on a bare arm do not go together; what goes with either does. */
    @Test
    void aChainIsForOneOfTheTwo() {
        tiny.add(TinyMap.worn("pull", Jacket.JACKET)).add(TinyMap.worn("hug", Jacket.NO_JACKET));
        tiny.link("pulled", "mount", "pull", "mount").link("hugged", "mount", "hug", "mount");
        assertThat(mixed("pulled", "hugged")).containsExactly("It mixes techniques with and without the jacket.");
        assertThat(mixed("pulled", "pulled")).isEmpty();
        assertThat(mixed("hugged", "hugged")).isEmpty();
    }

    private List<String> mixed(String first, String second) {
        ChainStep all = step("sweep", new Turn(null, step(first, new Turn(null, step(second)))));
        return check(all).findings().stream()
                .filter(f -> f.code() == ChainFinding.Code.JACKET_MIX)
                .map(ChainFinding::sentence)
                .toList();
    }

    @Test
    void whatItHasInCommonWithOthersIsSaidTheMostFirst() {
        Chain own = chain(step("sweep", new Turn(null, step("arm"))));
        Chain same = new Chain("same", "S", null, null, "guard", own.first(), false);
        Chain half = new Chain("half", "H", null, null, "mount", step("arm"), false);
        Chain none = new Chain("none", "N", null, null, "guard", step("lock"), false);
        Chain gone = new Chain("gone", "G", null, null, "mount", step("arm"), true);
        ChainReport report = ChainCheck.check(
                tiny.map(), own, null, GivenEvidence.of(tiny.map(), link -> 0.5), List.of(half, none, gone, own, same));
        assertThat(report.overlaps()).containsExactly(new Overlap("same", 2, 1), new Overlap("half", 1, 0.5));
    }

    @Test
    void whatIsRetiredIsSaidAndHappensNoMore() {
        ChainStep first = step("sweep", new Turn(null, step("arm")), new Turn("post", step("lock")));
        tiny.reactions.replaceAll(r -> r.id().equals("post") ? r.asRetired() : r);
        tiny.links.replaceAll(l -> l.id().equals("arm") ? l.asRetired() : l);
        ChainReport report = check(first);
        assertThat(report.findings())
                .filteredOn(f -> f.code() == ChainFinding.Code.RETIRED)
                .extracting(ChainFinding::step)
                .containsExactlyInAnyOrder("2", "1a");
        assertThat(report.holdsTogether()).isTrue();
        assertThat(report.chanceToFinish()).isCloseTo(0.35 * 0.35, within(1e-12));
    }

    static LongStream fiveHundredSeeds() {
        return LongStream.rangeClosed(1, 500);
    }

    /** Against every outcome of a chain, followed from its start to its end; 500 chains that may be quite wrong. */
    @ParameterizedTest
    @MethodSource("fiveHundredSeeds")
    void chancesAreThoseOfFollowingEveryOutcome(long seed) {
        TinyMap made = TinyMap.randomWithRules(seed);
        GrapplingMap map = made.map();
        Ruleset ruleset = seed % 3 == 0 ? null : map.ruleset("r").orElseThrow();
        Evidence evidence = RandomRounds.evidence(map, seed);
        Chain chain = SlowChain.random(map, seed);
        SlowChain slow = new SlowChain(map, ruleset, evidence);
        slow.follow(chain);
        ChainReport report = ChainCheck.check(map, chain, ruleset, evidence, List.of());
        assertThat(slow.everything).as("all outcomes").isCloseTo(1, within(1e-9));
        assertThat(report.chanceToFinish()).isBetween(0.0, 1.0).isCloseTo(slow.finished, within(1e-9));
        assertThat(report.chanceToSettle()).isBetween(0.0, 1.0).isCloseTo(slow.settled, within(1e-9));
        assertThat(report.answeredShare()).isBetween(0.0, 1.0);
        SlowChain paying = new SlowChain(map, map.ruleset("r").orElseThrow(), evidence);
        paying.follow(chain);
        report.netPoints().forEach((under, points) -> assertThat(points).isCloseTo(paying.points, within(1e-9)));
        assertThat(report.steps()).extracting(ChainReport.StepAt::reached).allMatch(r -> r >= 0 && r <= 1 + 1e-12);
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
