package lynchet.core.rank;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lynchet.core.card.Family;
import lynchet.core.card.Hazard;
import lynchet.core.card.Technique;
import lynchet.core.card.Version;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainStep;
import lynchet.core.chain.Turn;
import lynchet.core.map.Link;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Role;
import lynchet.core.mat.Standard;
import lynchet.core.walk.Finding;
import org.assertj.core.groups.Tuple;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SyllabusCheckTest {

    private final TinyMap tiny = new TinyMap()
            .pair("mount", Stage.LEGS_CLEARED, 2.5)
            .add(TinyMap.card("back-fall", Family.BREAKFALL, 1, List.of(), List.of()))
            .add(TinyMap.card("hip-throw", Family.THROW, 3, List.of("back-fall"), List.of("back-fall")))
            .link("throw", "s", "hip-throw", "mount")
            .link("out", "mount-x", "bridge", "s")
            .link("end", "mount", "arm-lock", Link.TAP);

    private final List<Chain> chains = List.of(new Chain(
            "line",
            "Throw and lock",
            null,
            null,
            "s",
            new ChainStep("throw", List.of(new Turn(null, new ChainStep("end", List.of())))),
            false));

    static Item item(String technique, Standard standard, Sides sides) {
        return new Item(technique + "-item", Item.Kind.TECHNIQUE, technique, null, null, standard, sides, null, 0, 0);
    }

    static Ladder ladder(List<List<Item>> ranks) {
        List<Rank> all = new ArrayList<>();
        for (int i = 0; i < ranks.size(); i++) {
            all.add(new Rank(
                    "r" + i, "R" + i, List.of("white"), 2, 0, 10, List.of(new SyllabusGroup("All", 0, ranks.get(i)))));
        }
        Policy policy = new Policy(
                Policy.Stripes.BY_CLASSES,
                Policy.Belt.BY_COACH,
                10,
                true,
                List.of(3, 7, 11),
                40,
                2,
                0.6,
                null,
                false,
                false,
                false);
        return new Ladder("adult", "Adult", 0, 0, null, false, all, policy, null, null, null, null);
    }

    private List<Finding> check(Ladder ladder, String rank) {
        return new SyllabusCheck(tiny.graph(), Map.of(), chains).of(ladder, rank, false);
    }

    @Test
    void theFallComesBeforeTheThrowAndTheMendRemovesIt() {
        Item hipThrow = item("hip-throw", Standard.SHOWN, Sides.BOTH);
        Item bridge = item("bridge", Standard.SHOWN, Sides.EITHER);
        Item fall = item("back-fall", Standard.SHOWN, Sides.EITHER);

        Finding found = check(ladder(List.of(List.of(hipThrow, bridge), List.of(fall))), "r0").stream()
                .filter(f -> f.code() == Finding.Code.FALL_ORDER)
                .findFirst()
                .orElseThrow();
        assertThat(found.severity()).isEqualTo(3);
        assertThat(found.mend().techniques()).containsExactly("back-fall");

        assertThat(check(ladder(List.of(List.of(hipThrow, bridge, fall))), "r0"))
                .extracting(Finding::code)
                .doesNotContain(Finding.Code.FALL_ORDER, Finding.Code.ORDER);
    }

    @Test
    void everyBlockingFindingOfTheMapCarriesItsMend() {
        Ladder ladder = ladder(List.of(List.of(
                item("hip-throw", Standard.SHOWN, Sides.RIGHT), item("back-fall", Standard.SHOWN, Sides.EITHER))));
        List<Finding> findings = check(ladder, "r0");
        assertThat(findings.get(0).code()).isEqualTo(Finding.Code.NO_ANSWER);
        assertThat(findings.get(0).mend().techniques()).containsExactly("bridge");
        assertThat(findings).extracting(Finding::code).contains(Finding.Code.ONE_SIDED);
    }

    /** The throw without its fall is opened by r0, still open at r1 and closed by r2, which opens something else. */
    @Test
    void whatAnEarlierRankOpenedSaysSince() {
        Item hipThrow = item("hip-throw", Standard.SHOWN, Sides.RIGHT);
        tiny.link("roll", "mount-x", "roll", "s");
        Ladder ladder = ladder(List.of(
                List.of(item("bridge", Standard.SHOWN, Sides.EITHER), hipThrow),
                List.of(item("arm-lock", Standard.SHOWN, Sides.EITHER)),
                List.of(item("back-fall", Standard.SHOWN, Sides.EITHER), item("roll", Standard.SHOWN, Sides.RIGHT))));
        SyllabusCheck check = new SyllabusCheck(tiny.graph(), Map.of(), chains);

        List<List<Finding>> all = check.of(ladder);
        assertThat(all.get(0))
                .extracting(Finding::code, Finding::since)
                .contains(Tuple.tuple(Finding.Code.FALL_ORDER, null), Tuple.tuple(Finding.Code.ONE_SIDED, null));
        assertThat(all.get(1))
                .extracting(Finding::code, Finding::since)
                .contains(Tuple.tuple(Finding.Code.FALL_ORDER, "r0"), Tuple.tuple(Finding.Code.ONE_SIDED, "r0"));
        assertThat(all.get(2))
                .filteredOn(f -> f.code() == Finding.Code.ONE_SIDED || f.code() == Finding.Code.FALL_ORDER)
                .extracting(Finding::code, Finding::technique, Finding::since)
                .containsExactlyInAnyOrder(
                        Tuple.tuple(Finding.Code.ONE_SIDED, "hip-throw", "r0"),
                        Tuple.tuple(Finding.Code.ONE_SIDED, "roll", null));
        for (int i = 0; i < 3; i++) {
            assertThat(check.of(ladder, "r" + i, false)).as("one by one").isEqualTo(all.get(i));
        }
    }

    @Test
    void choosingMoreThanThereIsCannotBeMet() {
        Rank rank = new Rank(
                "r0",
                "R0",
                List.of("white"),
                0,
                0,
                0,
                List.of(new SyllabusGroup("Free choice", 3, List.of(item("bridge", Standard.SHOWN, Sides.EITHER)))));
        Ladder ladder = ladder(List.of(List.of()));
        assertThat(check(ladder.withRank(rank), "r0"))
                .extracting(Finding::code)
                .contains(Finding.Code.CHOOSE_IMPOSSIBLE);
    }

    @Test
    void loadIsMinutesNeededOverMinutesThereAre() {
        Ladder ladder = ladder(List.of(List.of(item("hip-throw", Standard.SHOWN, Sides.BOTH))));
        TeachingLoad.Load load = TeachingLoad.of(ladder, ladder.ranks().get(0), tiny.map(), Map.of());
        // learn 3: 16, both sides 6, SHOWN 30 · (0.7 + 0.3) = 52 of 10 · 3 · 40.
        assertThat(load.needed()).isEqualTo(52);
        assertThat(load.available()).isEqualTo(1200);
    }

    /** Of three throws two are chosen: the two that take least, 52 and 46 minutes; the third takes 57. */
    @Test
    void ofWhatIsChosenTheCheapestCount() {
        tiny.cost("low", 2).cost("high", 4).cost("sure", 1);
        List<Item> throwing = List.of(
                item("high", Standard.SHOWN, Sides.BOTH),
                item("hip-throw", Standard.SHOWN, Sides.BOTH),
                item("low", Standard.SHOWN, Sides.BOTH));
        Rank rank = new Rank(
                "r0",
                "R0",
                List.of("white"),
                0,
                0,
                0,
                List.of(
                        new SyllabusGroup("Throws", 2, throwing),
                        new SyllabusGroup("All", 0, List.of(item("sure", Standard.INTRODUCED, Sides.EITHER)))));
        Ladder ladder = ladder(List.of(List.of())).withRank(rank);
        TeachingLoad.Load load = TeachingLoad.of(ladder, rank, tiny.map(), Map.of());
        assertThat(load.needed()).isEqualTo(8 + (16 + 6 + 30) + (12 + 6 + 30));
        assertThat(load.atLeast()).isTrue();
    }

    /** Nobody said how long it takes, and something is asked: that is told, and not that there is room. */
    @Test
    void aRankWithoutTimeThatAsksForSomethingIsAFinding() {
        Policy none = new Policy(Policy.Stripes.NONE, null, 0, false, null, 40, 2, 0.5, null, false, false, false);
        List<Item> asked = List.of(item("hip-throw", Standard.SHOWN, Sides.BOTH));
        Rank untimed = new Rank("r0", "R0", List.of("white"), 0, 0, 0, List.of(new SyllabusGroup("All", 0, asked)));
        Ladder ladder = ladder(List.of(List.of())).withRank(untimed).under(none);
        assertThat(said(Finding.Code.OVERLOAD, ladder, "r0"))
                .containsExactly(
                        "2 R0: takes about 52 minutes of teaching, and no time is set for it: give it weeks or classes.");
        assertThat(said(Finding.Code.OVERLOAD, ladder(List.of(List.of())).under(none), "r0"))
                .isEmpty();
    }

    private static Item item(String id, Item.Kind kind, String ref, Standard standard, int count) {
        return new Item(id, kind, ref, "as asked", null, standard, null, null, count, 0);
    }

    private List<String> said(Finding.Code code, Ladder ladder, String rank) {
        return check(ladder, rank).stream()
                .filter(f -> f.code() == code)
                .map(f -> f.severity() + " " + f.sentence())
                .toList();
    }

    private static Ladder under(int fromAge, int minAge, Double standing, List<SyllabusGroup> groups) {
        Rank rank = new Rank("r0", "R0", List.of("white"), 2, minAge, 10, groups);
        Policy policy = new Policy(
                Policy.Stripes.BY_CLASSES,
                Policy.Belt.BY_COACH,
                10,
                true,
                null,
                40,
                2,
                0.6,
                standing,
                false,
                false,
                false);
        return new Ladder("adult", "Adult", fromAge, 0, null, false, List.of(rank), policy, null, null, null, null);
    }

    @Test
    void aChainComesAfterItsParts() {
        Item line = item("i", Item.Kind.CHAIN, "line", Standard.SHOWN, 0);
        Item hipThrow = item("hip-throw", Standard.SHOWN, Sides.BOTH);
        Ladder ladder = ladder(List.of(List.of(line, hipThrow), List.of(item("arm-lock", null, null))));
        assertThat(said(Finding.Code.CHAIN_ORPHAN, ladder, "r0"))
                .containsExactly("2 Throw and lock: uses arm-lock, which is not taught by this rank.");
        assertThat(check(ladder, "r0"))
                .filteredOn(f -> f.code() == Finding.Code.CHAIN_ORPHAN)
                .extracting(f -> f.mend().techniques())
                .containsExactly(List.of("arm-lock"));
        assertThat(said(Finding.Code.CHAIN_ORPHAN, ladder, "r1")).isEmpty();
    }

    /** The ladder's rules have it from 18 only: stricter than 16 here. */
    @Test
    void whatTheRulesForbidAtThatAgeIsTooEarlyToo() {
        tiny.add(TinyMap.card("arm-lock", Family.SUBMISSION, 1, 3, null, null, null, Set.of(Hazard.ARM_LOCK)));
        tiny.rulesets.add(TinyMap.forbidding("masters", Hazard.ARM_LOCK, 18));
        Item live = item("arm-lock", Standard.LIVE, null);
        Item shown = item("arm-lock", Standard.SHOWN, null);
        assertThat(said(Finding.Code.TOO_EARLY, underMasters(17, live), "r0"))
                .containsExactly(
                        "2 arm-lock: under masters not legal before 18, which is stricter, and this rank is worn "
                                + "from 17.");
        assertThat(said(Finding.Code.TOO_EARLY, underMasters(17, shown), "r0")).isEmpty();
        assertThat(said(Finding.Code.TOO_EARLY, underMasters(18, live), "r0")).isEmpty();
        assertThat(said(Finding.Code.TOO_EARLY, underMasters(15, live), "r0"))
                .containsExactly("2 arm-lock: only shown under 16, and this rank is worn from 15.");
    }

    private static Ladder underMasters(int minAge, Item item) {
        Ladder plain = under(0, minAge, null, List.of(new SyllabusGroup("G", 0, List.of(item))));
        return new Ladder(
                "adult", "Adult", 0, 0, "masters", false, plain.ranks(), plain.policy(), null, null, null, null);
    }

    /** A straight arm lock: from 13, live from 16. A neck crank: never. Whose age nobody has said is not judged. */
    @Test
    void whatIsNotForThatAgeIsTooEarly() {
        tiny.add(TinyMap.card("arm-lock", Family.SUBMISSION, 1, 3, null, null, null, Set.of(Hazard.ARM_LOCK)));
        List<SyllabusGroup> shown = List.of(new SyllabusGroup("G", 0, List.of(item("arm-lock", Standard.SHOWN, null))));
        List<SyllabusGroup> live = List.of(new SyllabusGroup("G", 0, List.of(item("arm-lock", Standard.LIVE, null))));
        assertThat(said(Finding.Code.TOO_EARLY, under(12, 0, null, shown), "r0"))
                .containsExactly("3 arm-lock: not under 13, and this rank is worn from 12.");
        assertThat(said(Finding.Code.TOO_EARLY, under(6, 13, null, shown), "r0"))
                .isEmpty();
        assertThat(said(Finding.Code.TOO_EARLY, under(0, 15, null, live), "r0"))
                .containsExactly("2 arm-lock: only shown under 16, and this rank is worn from 15.");
        assertThat(said(Finding.Code.TOO_EARLY, under(0, 16, null, live), "r0")).isEmpty();
        assertThat(said(Finding.Code.TOO_EARLY, under(0, 0, null, live), "r0")).isEmpty();
        List<SyllabusGroup> chain =
                List.of(new SyllabusGroup("G", 0, List.of(item("i", Item.Kind.CHAIN, "line", null, 0))));
        assertThat(said(Finding.Code.TOO_EARLY, under(12, 0, null, chain), "r0"))
                .hasSize(1);
        tiny.add(TinyMap.card("arm-lock", Family.SUBMISSION, 1, 3, null, null, null, Set.of(Hazard.NECK_CRANK)));
        assertThat(said(Finding.Code.TOO_EARLY, under(0, 0, null, shown), "r0"))
                .containsExactly("3 arm-lock: not for training, at any age.");
    }

    @Test
    void whatIsAskedAgainIsMoreOrItIsSaid() {
        Item once = item("hip-throw", Standard.MOVING, Sides.BOTH);
        for (Standard standard : List.of(Standard.SHOWN, Standard.MOVING, Standard.LIVE)) {
            Item again =
                    new Item("again", Item.Kind.TECHNIQUE, "hip-throw", null, null, standard, Sides.LEFT, null, 0, 0);
            Ladder ladder = ladder(List.of(List.of(once), List.of(again), List.of()));
            assertThat(said(Finding.Code.STANDARD_DROP, ladder, "r1"))
                    .hasSize(standard == Standard.SHOWN ? 1 : 0)
                    .allMatch("2 hip-throw: asked for at a higher standard before."::equals);
            assertThat(said(Finding.Code.DUPLICATE, ladder, "r1"))
                    .hasSize(standard == Standard.MOVING ? 1 : 0)
                    .allMatch("1 hip-throw: asked for before at the same standard."::equals);
            assertThat(said(Finding.Code.LADDER_GAP, ladder, "r1")).hasSize(standard == Standard.LIVE ? 0 : 1);
        }
        Item rounds = item("rounds", Item.Kind.LIVE_ROUNDS, null, null, 10);
        Item moreRounds = item("more-rounds", Item.Kind.LIVE_ROUNDS, null, null, 10);
        Item right = item("bridge", Standard.SHOWN, Sides.RIGHT);
        Item both = new Item("b", Item.Kind.TECHNIQUE, "bridge", null, null, Standard.SHOWN, Sides.BOTH, null, 0, 0);
        Ladder grows = ladder(List.of(List.of(rounds, right), List.of(moreRounds), List.of(both), List.of()));
        assertThat(List.of("r1", "r2"))
                .allMatch(rank -> said(Finding.Code.DUPLICATE, grows, rank).isEmpty()
                        && said(Finding.Code.LADDER_GAP, grows, rank).isEmpty());
    }

    /** What could be chosen was not surely asked; another version, role or goal is another thing. */
    @Test
    void onlyTheVerySameIsAskedAgain() {
        Item bridge = item("bridge", Standard.SHOWN, Sides.EITHER);
        Item received =
                new Item("x", Item.Kind.TECHNIQUE, "bridge", null, null, Standard.SHOWN, null, Role.RECEIVER, 0, 0);
        Item version = new Item("y", Item.Kind.TECHNIQUE, "bridge", null, "v", Standard.SHOWN, null, null, 0, 0);
        Item hold = item("h", Item.Kind.POSITION_GOAL, "mount", null, 20);
        Item holdLonger = item("h2", Item.Kind.POSITION_GOAL, "mount", null, 30);
        AskedAgain plain = new AskedAgain(
                ladder(List.of(List.of(bridge, hold), List.of(received, version, holdLonger))), Item::id);
        assertThat(plain.at(1)).isEmpty();
        Item again = item("z", Item.Kind.POSITION_GOAL, "mount", null, 20);
        assertThat(new AskedAgain(ladder(List.of(List.of(hold), List.of(again, holdLonger))), Item::id).at(1))
                .extracting(Finding::sentence)
                .containsExactly("z: asked for before at the same standard.");
        Ladder chosen = ladder(List.of(List.of(), List.of(item("again", Item.Kind.TECHNIQUE, "bridge", null, 0))));
        Rank choice = new Rank(
                "r0",
                "R0",
                List.of("white"),
                0,
                0,
                0,
                List.of(new SyllabusGroup("One of two", 1, List.of(bridge, hold))));
        assertThat(new AskedAgain(chosen.withRank(choice), Item::id).at(1)).isEmpty();
    }

    @Test
    void aRankThatAsksForNothingIsAGapButTheLastMay() {
        Ladder ladder = ladder(List.of(List.of(item("bridge", Standard.SHOWN, null)), List.of(), List.of()));
        assertThat(said(Finding.Code.LADDER_GAP, ladder, "r0")).isEmpty();
        assertThat(said(Finding.Code.LADDER_GAP, ladder, "r1")).containsExactly("2 R1: asks for nothing new.");
        assertThat(said(Finding.Code.LADDER_GAP, ladder, "r2")).isEmpty();
    }

    /** 10 · 3 classes of 40 minutes are 1200; hip throw LIVE on both sides takes 16 + 6 + 60 = 82. */
    @Test
    void tooMuchForTheTimeIsSaid() {
        Item live = item("hip-throw", Standard.LIVE, Sides.BOTH);
        assertThat(said(Finding.Code.OVERLOAD, allowing(97), "r0")).isEmpty();
        assertThat(said(Finding.Code.OVERLOAD, allowing(96), "r0"))
                .containsExactly("2 R0: takes about 82 minutes of teaching, and there are 96.");
        assertThat(said(Finding.Code.OVERLOAD, allowing(75), "r0")).allMatch(s -> s.startsWith("2"));
        assertThat(said(Finding.Code.OVERLOAD, allowing(74), "r0")).allMatch(s -> s.startsWith("3"));
        assertThat(live.standard()).isEqualTo(Standard.LIVE);
    }

    private static Ladder allowing(int minutes) {
        Policy policy =
                new Policy(Policy.Stripes.BY_CLASSES, null, 1, true, null, minutes, 2, 0.6, null, false, false, false);
        Rank rank = new Rank(
                "r0",
                "R0",
                List.of("white"),
                0,
                0,
                10,
                List.of(new SyllabusGroup("G", 0, List.of(item("hip-throw", Standard.LIVE, Sides.BOTH)))));
        return new Ladder("adult", "Adult", 0, 0, null, false, List.of(rank), policy, null, null, null, null);
    }

    /** One of three starts on the feet; the fall counts for neither. */
    @Test
    void theMixIsToldAgainstWhatTheClubWants() {
        List<SyllabusGroup> mix = List.of(new SyllabusGroup(
                "G",
                0,
                List.of(
                        item("hip-throw", Standard.SHOWN, Sides.BOTH),
                        item("back-fall", Standard.SHOWN, null),
                        item("bridge", Standard.SHOWN, null),
                        item("arm-lock", Standard.SHOWN, null))));
        Balance balance = Balance.of(under(0, 0, null, mix), "r0", tiny.map());
        assertThat(balance.families())
                .containsOnly(Map.entry(Family.THROW, 1), Map.entry(Family.ESCAPE, 1), Map.entry(Family.SUBMISSION, 1));
        assertThat(balance.standing()).isEqualTo(1.0 / 3);
        assertThat(said(Finding.Code.BALANCE, under(0, 0, 0.6, mix), "r0"))
                .containsExactly("1 R0: 33 % of what is taught so far starts on the feet, where 60 % is wanted.");
        assertThat(said(Finding.Code.BALANCE, under(0, 0, 0.45, mix), "r0")).isEmpty();
        assertThat(said(Finding.Code.BALANCE, under(0, 0, null, mix), "r0")).isEmpty();
    }

    /**
     * Throw and lock as a chain: learn 3 and learn 1 introduce in 16 + 8, practice SHOWN by master 3 takes 30. Where the
     * throw was taught before only the lock is new; the throw asked for again, MOVING, takes 15 more.
     */
    @Test
    void whatWasTaughtBeforeIsNotCountedAgain() {
        Item line = item("i", Item.Kind.CHAIN, "line", Standard.SHOWN, 0);
        Item hipThrow = item("hip-throw", Standard.SHOWN, Sides.BOTH);
        Item more =
                new Item("more", Item.Kind.TECHNIQUE, "hip-throw", null, null, Standard.MOVING, Sides.BOTH, null, 0, 0);
        assertThat(needed(ladder(List.of(List.of(line))), "r0")).isEqualTo(16 + 8 + 30);
        Ladder later = ladder(List.of(List.of(hipThrow), List.of(line, more)));
        assertThat(needed(later, "r0")).isEqualTo(16 + 6 + 30);
        assertThat(needed(later, "r1")).isEqualTo(8 + 30 + 15);
    }

    private double needed(Ladder ladder, String rank) {
        return new SyllabusCheck(tiny.graph(), Map.of(), chains)
                .load(ladder, rank)
                .needed();
    }

    /** A sided technique asked for on one side, unless another item or rank asks for the other. */
    @Test
    void oneSideIsSaidUntilTheOtherIsAskedForToo() {
        Item right = item("bridge", Standard.SHOWN, Sides.RIGHT);
        Item left = new Item("l", Item.Kind.TECHNIQUE, "bridge", null, null, Standard.SHOWN, Sides.LEFT, null, 0, 0);
        Item either = new Item("e", Item.Kind.TECHNIQUE, "bridge", null, null, null, Sides.EITHER, null, 0, 0);
        String said = "1 bridge: asked for on one side only.";
        assertThat(said(Finding.Code.ONE_SIDED, ladder(List.of(List.of(right))), "r0"))
                .containsExactly(said);
        assertThat(said(Finding.Code.ONE_SIDED, ladder(List.of(List.of(left))), "r0"))
                .containsExactly(said);
        Ladder grows = ladder(List.of(List.of(right), List.of(either)));
        assertThat(said(Finding.Code.ONE_SIDED, grows, "r0")).containsExactly(said);
        assertThat(said(Finding.Code.ONE_SIDED, grows, "r1")).isEmpty();
        Item hold = item("h", Item.Kind.POSITION_GOAL, "mount", null, 20);
        assertThat(said(Finding.Code.ONE_SIDED, ladder(List.of(List.of(hold))), "r0"))
                .isEmpty();
    }

    @Test
    void theVersionExaminedIsTheHousesOrItIsSaid() {
        Technique plain = TinyMap.card("bridge", Family.ESCAPE, 1, 3, null, null, "ours", null);
        tiny.add(plain.pointing(
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(
                        new Version("ours", "Ours", null, "why", null, null, null),
                        new Version("theirs", "Theirs", null, "why", null, null, null))));
        assertThat(said(Finding.Code.VERSION_CLASH, ladder(List.of(List.of(version("theirs")))), "r0"))
                .containsExactly("2 bridge: the version examined is not the one the house teaches.");
        assertThat(said(Finding.Code.VERSION_CLASH, ladder(List.of(List.of(version("ours")))), "r0"))
                .isEmpty();
        assertThat(said(Finding.Code.VERSION_CLASH, ladder(List.of(List.of(version(null)))), "r0"))
                .isEmpty();
    }

    private static Item version(String version) {
        return new Item("v", Item.Kind.TECHNIQUE, "bridge", null, version, Standard.SHOWN, null, null, 0, 0);
    }

    /** Whatever brings somebody down asks for falls first: throws, takedowns, sweeps and turnovers; a pass does not. */
    @ParameterizedTest
    @CsvSource({"THROW, 1", "TAKEDOWN, 1", "SWEEP, 1", "TURNOVER, 1", "PASS, 0", "TRANSITION, 0"})
    void fallsComeBeforeWhatBringsDown(Family family, int findings) {
        tiny.add(TinyMap.card("hip-throw", family, 3, List.of(), List.of("back-fall")));
        Ladder ladder = ladder(List.of(List.of(item("hip-throw", Standard.SHOWN, Sides.BOTH))));
        assertThat(said(Finding.Code.FALL_ORDER, ladder, "r0")).hasSize(findings);
    }

    /** A prerequisite that comes later is a warning with what to teach first; a fall received is known as well as one done. */
    @Test
    void whatItBuildsOnComesFirst() {
        Item hipThrow = item("hip-throw", Standard.SHOWN, Sides.BOTH);
        assertThat(said(Finding.Code.ORDER, ladder(List.of(List.of(hipThrow))), "r0"))
                .containsExactly("2 hip-throw: it builds on back-fall, which is not taught by this rank.");
        Item received = new Item("r", Item.Kind.TECHNIQUE, "back-fall", null, null, null, null, Role.RECEIVER, 0, 0);
        Ladder ladder = ladder(List.of(List.of(hipThrow, received)));
        assertThat(said(Finding.Code.FALL_ORDER, ladder, "r0")).isEmpty();
        assertThat(said(Finding.Code.ORDER, ladder, "r0")).hasSize(1);
        assertThat(check(ladder, "r0"))
                .filteredOn(f -> f.code() == Finding.Code.ORDER)
                .allSatisfy(f -> assertThat(f.mend().cost()).isEqualTo(1));
    }

    @Test
    void choosingAsManyAsThereAreIsPossible() {
        SyllabusGroup all = new SyllabusGroup("All", 1, List.of(item("bridge", Standard.SHOWN, null)));
        assertThat(said(Finding.Code.CHOOSE_IMPOSSIBLE, under(0, 0, null, List.of(all)), "r0"))
                .isEmpty();
    }

    @Test
    void aRankWithoutTimeThatAsksForNothingIsNotTooMuch() {
        assertThat(new TeachingLoad.Load(0, 0, false).share()).isZero();
        assertThat(new TeachingLoad.Load(1, 0, false).share()).isInfinite();
    }
}
