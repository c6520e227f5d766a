package lynchet.core.rank;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lynchet.core.card.Family;
import lynchet.core.card.Hazard;
import lynchet.core.card.Version;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainStep;
import lynchet.core.chain.Turn;
import lynchet.core.map.Link;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Standard;
import lynchet.core.walk.Finding;
import org.junit.jupiter.api.Test;

/** Each seeded fault is named, and what is offered for it mends it and opens nothing of its kind elsewhere. */
class SyllabusMendsTest {

    private static final List<Chain> CHAINS = List.of(new Chain(
            "line",
            "Throw and lock",
            null,
            null,
            "s",
            new ChainStep("throw", List.of(new Turn(null, new ChainStep("end", List.of())))),
            false));

    private final TinyMap tiny = tiny();
    private final SyllabusCheck check = new SyllabusCheck(tiny.graph(), Map.of(), CHAINS);
    private final SyllabusMends mends = new SyllabusMends(check, tiny.map(), CHAINS);

    private static Version version(String id) {
        return new Version(id, id, null, "why", null, null, null);
    }

    private static TinyMap tiny() {
        TinyMap tiny = new TinyMap()
                .pair("mount", Stage.LEGS_CLEARED, 2.5)
                .add(TinyMap.card("back-fall", Family.BREAKFALL, 1, List.of(), List.of()))
                .add(TinyMap.card("side-fall", Family.BREAKFALL, 1, List.of(), List.of()))
                .add(TinyMap.card("hip-throw", Family.THROW, 3, List.of(), List.of("back-fall")))
                .add(TinyMap.card("after", Family.SWEEP, 3, List.of("sweep0"), List.of()))
                .add(TinyMap.card("arm-lock", Family.SUBMISSION, 1, 3, null, null, null, Set.of(Hazard.ARM_LOCK)))
                .add(TinyMap.card("grip", Family.SWEEP, 1, 3, null, null, "house", Set.of())
                        .pointing(
                                List.of(),
                                List.of(),
                                List.of(),
                                List.of(),
                                List.of(version("house"), version("other"))))
                .link("throw", "s", "hip-throw", "mount")
                .link("end", "mount", "arm-lock", Link.TAP);
        IntStream.range(0, 12).forEach(n -> tiny.add(TinyMap.card("sweep" + n, Family.SWEEP, 2, List.of(), List.of())));
        return tiny;
    }

    private static Item item(String ref, Standard standard) {
        return new Item("i-" + ref, Item.Kind.TECHNIQUE, ref, null, null, standard, null, null, 0, 0);
    }

    private static Item item(String ref) {
        return item(ref, Standard.SHOWN);
    }

    private static SyllabusGroup group(String name, int choose, Item... items) {
        return new SyllabusGroup(name, choose, List.of(items));
    }

    /** Ten classes of so many minutes in each rank. */
    private static Ladder ladder(int minutes, int fromAge, int[] ages, SyllabusGroup... ranks) {
        List<Rank> all = new ArrayList<>();
        for (int i = 0; i < ranks.length; i++) {
            all.add(new Rank("r" + i, "R" + i, List.of("white"), 0, ages[i], 0, List.of(ranks[i])));
        }
        Policy policy =
                new Policy(Policy.Stripes.BY_CLASSES, null, 10, true, null, minutes, 2, 0.6, null, false, false, false);
        return new Ladder("adult", "Adult", fromAge, 0, null, false, all, policy, null, null, null, null);
    }

    private static Ladder ladder(SyllabusGroup... ranks) {
        return ladder(200, 0, new int[ranks.length], ranks);
    }

    private Finding found(Finding.Code code, Ladder ladder, String rank) {
        List<Finding> all = check.of(ladder, rank, false).stream()
                .filter(one -> one.code() == code)
                .toList();
        assertThat(all).as(code.name()).hasSize(1);
        return all.get(0);
    }

    private static Ladder taken(Ladder ladder, SyllabusMends.RankMend way) {
        return ladder.asking(way.ranks().stream()
                .collect(Collectors.toMap(
                        SyllabusMends.RankMend.MendedRank::rank, SyllabusMends.RankMend.MendedRank::syllabus)));
    }

    /** What is offered for the one finding of a code at r0; each of it ends the finding. */
    private List<String> offered(Finding.Code code, Ladder ladder) {
        Finding finding = found(code, ladder, "r0");
        List<SyllabusMends.RankMend> ways = mends.of(ladder, "r0", finding);
        for (SyllabusMends.RankMend way : ways) {
            Ladder mended = taken(ladder, way);
            assertThat(mended).isNotEqualTo(ladder);
            for (Rank rank : mended.ranks()) {
                assertThat(check.of(mended, rank.id(), false))
                        .as(way.words() + " at " + rank.id())
                        .extracting(Finding::code)
                        .doesNotContain(code);
            }
        }
        return ways.stream().map(SyllabusMends.RankMend::words).toList();
    }

    private static List<List<String>> refs(Ladder ladder) {
        return ladder.ranks().stream()
                .map(rank -> rank.items().map(Item::ref).toList())
                .toList();
    }

    private List<List<String>> mended(Finding.Code code, Ladder ladder) {
        return refs(
                taken(ladder, mends.of(ladder, "r0", found(code, ladder, "r0")).get(0)));
    }

    @Test
    void aFallAfterItsThrowIsBroughtForward() {
        Ladder ladder = ladder(
                group("All", 0, item("side-fall"), item("hip-throw")),
                group("All", 0, item("back-fall"), item("grip")));
        assertThat(offered(Finding.Code.FALL_ORDER, ladder)).containsExactly("Bring back-fall forward from R1");
        assertThat(mended(Finding.Code.FALL_ORDER, ladder))
                .containsExactly(List.of("side-fall", "hip-throw", "back-fall"), List.of("grip"));
    }

    @Test
    void aFallThatIsTaughtNowhereIsTaughtBesideOthersOfItsKind() {
        Ladder ladder = ladder(group("Throws", 0, item("hip-throw")), group("All", 0));
        ladder = ladder.withRank(ladder.ranks()
                .get(0)
                .withSyllabus(List.of(
                        group("Chosen", 1, item("grip"), item("sweep1")),
                        group("Throws", 0, item("hip-throw")),
                        group("Falls", 0, item("side-fall")))));
        assertThat(offered(Finding.Code.FALL_ORDER, ladder)).containsExactly("Teach back-fall at R0");
        Ladder mended = taken(
                ladder,
                mends.of(ladder, "r0", found(Finding.Code.FALL_ORDER, ladder, "r0"))
                        .get(0));
        assertThat(mended.ranks().get(0).syllabus().get(2).items())
                .extracting(Item::id)
                .containsExactly("i-side-fall", "r0-back-fall");
    }

    @Test
    void aChoiceOfFourFromThreeAsksForAllThree() {
        Ladder ladder = ladder(group("Free choice", 4, item("grip"), item("sweep1"), item("sweep2")), group("All", 0));
        assertThat(offered(Finding.Code.CHOOSE_IMPOSSIBLE, ladder)).containsExactly("Ask for all 3 of Free choice");
    }

    @Test
    void aLockForGrownUpsGoesToTheFirstRankThatIsOldEnoughOrOut() {
        Ladder ladder = ladder(
                200,
                10,
                new int[] {0, 12, 15, 18},
                group("All", 0, item("arm-lock", Standard.MOVING), item("grip")),
                group("All", 0, item("sweep1")),
                group("All", 0, item("sweep2")),
                group("All", 0));
        assertThat(offered(Finding.Code.TOO_EARLY, ladder))
                .containsExactly("Move arm-lock to R3", "Take arm-lock out of R0");
        assertThat(mended(Finding.Code.TOO_EARLY, ladder).get(3)).containsExactly("arm-lock");

        Ladder fifteen = ladder(
                200,
                15,
                new int[] {0, 0},
                group("All", 0, item("arm-lock", Standard.LIVE), item("grip")),
                group("All", 0));
        assertThat(offered(Finding.Code.TOO_EARLY, fifteen))
                .containsExactly("Only show arm-lock", "Take arm-lock out of R0");
    }

    @Test
    void aChainBeforeItsPartsBringsThemForward() {
        Item line = new Item("i-line", Item.Kind.CHAIN, "line", null, null, Standard.SHOWN, null, null, 0, 0);
        Ladder ladder = ladder(
                group("All", 0, line, item("back-fall"), item("hip-throw")),
                group("All", 0, item("arm-lock"), item("grip")));
        assertThat(offered(Finding.Code.CHAIN_ORPHAN, ladder)).containsExactly("Bring arm-lock forward from R1");
    }

    @Test
    void anotherVersionThanTheHousesBecomesTheHouses() {
        Item other = new Item("i-grip", Item.Kind.TECHNIQUE, "grip", null, "other", Standard.SHOWN, null, null, 0, 0);
        assertThat(offered(Finding.Code.VERSION_CLASH, ladder(group("All", 0, other), group("All", 0))))
                .containsExactly("Examine the house version of grip");
    }

    /** Seven sweeps at 42 minutes (learn 2: 12, SHOWN 30) are 294 of 210, 140 %; three of them stay, a fourth would be 80 %. */
    @Test
    void aLoadOfAHundredAndFortyPerCentGoesToTheRankAboveThatHasRoom() {
        Item[] seven = IntStream.range(0, 7).mapToObj(n -> item("sweep" + n)).toArray(Item[]::new);
        Item[] five = IntStream.range(7, 11).mapToObj(n -> item("sweep" + n)).toArray(Item[]::new);
        Ladder ladder = ladder(21, 0, new int[3], group("All", 0, seven), group("All", 0, five), group("All", 0));
        assertThat(check.load(ladder, "r0").share()).isEqualTo(1.4);
        assertThat(offered(Finding.Code.OVERLOAD, ladder)).containsExactly("Move sweep0, sweep1 and sweep2 to R2");
        assertThat(refs(taken(
                                ladder,
                                mends.of(ladder, "r0", found(Finding.Code.OVERLOAD, ladder, "r0"))
                                        .get(0)))
                        .get(0))
                .containsExactly("sweep3", "sweep4", "sweep5", "sweep6");
        Ladder alone = ladder(21, 0, new int[1], group("All", 0, seven));
        assertThat(offered(Finding.Code.OVERLOAD, alone)).isEmpty();
    }

    /** What another one there builds on stays before it. */
    @Test
    void whatIsTooMuchIsNotMovedAwayFromWhatBuildsOnIt() {
        Item[] seven = {
            item("sweep0"),
            item("after", Standard.INTRODUCED),
            item("sweep1"),
            item("sweep2"),
            item("sweep3"),
            item("sweep4"),
            item("sweep5")
        };
        Ladder ladder = ladder(21, 0, new int[2], group("All", 0, seven), group("All", 0));
        assertThat(offered(Finding.Code.OVERLOAD, ladder)).containsExactly("Move sweep1, sweep2 and sweep3 to R1");
    }

    @Test
    void whatWasAskedBeforeIsTakenOutWhereItIsAskedAgain() {
        Ladder ladder = ladder(
                group("All", 0, item("grip")),
                group(
                        "All",
                        0,
                        new Item("again", Item.Kind.TECHNIQUE, "grip", null, null, null, null, null, 0, 0),
                        item("sweep1")));
        Finding again = found(Finding.Code.DUPLICATE, ladder, "r1");
        assertThat(mends.of(ladder, "r1", again))
                .extracting(SyllabusMends.RankMend::words)
                .containsExactly("Take grip out of R1");
    }
}
