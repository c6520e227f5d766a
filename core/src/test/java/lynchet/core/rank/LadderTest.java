package lynchet.core.rank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.time.LocalDate;
import java.util.List;
import lynchet.core.chain.Chain;
import lynchet.core.club.Club;
import lynchet.core.club.ClubCheck;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Role;
import lynchet.core.mat.Standard;
import lynchet.core.rule.Breach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LadderTest {

    private static final GrapplingMap MAP = new TinyMap()
            .pair("guard", Stage.LEGS_BETWEEN, 0.5)
            .link("sweep", "guard", "hip-bump", "guard-x")
            .reaction("post", "sweep", "guard")
            .answer("counter", "post", "guard", "arm-drag", "s")
            .link("roll", "guard", "back-roll", "s")
            .map();
    private static final List<Chain> CHAINS = List.of(new Chain("line", "Line", null, null, "guard", null, false));

    private static Item item(String id, Item.Kind kind, String ref, String version, Role role) {
        return new Item(id, kind, ref, "say what it is", version, null, null, role, 0, 0);
    }

    private static Item technique(String id, String ref) {
        return item(id, Item.Kind.TECHNIQUE, ref, null, null);
    }

    private static Rank rank(String id, Item... items) {
        return new Rank(id, id, List.of("white"), 0, 0, 0, List.of(new SyllabusGroup("Everything", 0, List.of(items))));
    }

    private static Ladder ladder(Rank... ranks) {
        Policy policy = new Policy(null, null, 0, false, null, 0, 0, 0, null, false, false, false);
        return new Ladder("adult", "Adult", 0, 0, null, false, List.of(ranks), policy, null, null, null, null);
    }

    private final Ladder ladder = ladder(
            rank(
                    "white",
                    technique("w1", "hip-bump"),
                    item("w2", Item.Kind.TECHNIQUE, "back-roll", null, Role.RECEIVER)),
            rank("yellow", item("y1", Item.Kind.COUNTER, "counter", null, null), technique("y2", "hip-bump")),
            rank("green", technique("g1", "back-roll"), item("g2", Item.Kind.CHAIN, "line", null, null)));

    @ParameterizedTest
    @CsvSource({"-1, 0", "0, -1", "100, 0", "0, 100", "16, 15"})
    void agesThatMakeNoSenseAreRefused(int from, int to) {
        Policy policy = ladder.policy();
        assertThatThrownBy(() -> new Ladder("x", "X", from, to, null, false, null, policy, null, null, null, null))
                .isInstanceOf(IllegalArgumentException.class);
        assertThat(new Ladder("x", "X", 16, 16, null, false, null, policy, null, null, null, null).toAge())
                .isEqualTo(16);
    }

    @Test
    void aRankKnowsWhatItAndTheOnesBelowTeachToWhoeverDoesIt() {
        assertThat(ladder.knownBy("white", MAP)).containsExactly("hip-bump");
        assertThat(ladder.knownBy("yellow", MAP)).containsExactly("hip-bump", "arm-drag");
        assertThat(ladder.knownBy("green", MAP)).containsExactly("hip-bump", "arm-drag", "back-roll");
        assertThat(ladder.knownBy("no-such-rank", MAP)).isEmpty();
    }

    @Test
    void eachTechniqueIsTaughtWhereItFirstStands() {
        assertThat(ladder.taughtAt(MAP))
                .containsOnly(
                        java.util.Map.entry("hip-bump", "white"),
                        java.util.Map.entry("arm-drag", "yellow"),
                        java.util.Map.entry("back-roll", "green"));
    }

    @Test
    void ranksStandInOrder() {
        assertThat(ladder.indexOf("green")).isEqualTo(2);
        assertThat(ladder.indexOf("no-such-rank")).isEqualTo(-1);
        assertThat(ladder.after("white")).map(Rank::id).hasValue("yellow");
        assertThat(ladder.after("green")).isEmpty();
        assertThat(ladder.after("no-such-rank")).isEmpty();
        Ladder changed = ladder.withRank(rank("yellow", technique("y9", "arm-drag")));
        assertThat(changed.ranks()).extracting(Rank::id).containsExactly("white", "yellow", "green");
        assertThat(changed.rank("yellow").orElseThrow().items())
                .extracting(Item::id)
                .containsExactly("y9");
    }

    @ParameterizedTest
    @CsvSource({
        "TECHNIQUE, hip-bump,, true",
        "TECHNIQUE, flying,, false",
        "TECHNIQUE, hip-bump, by-the-book, false",
        "COUNTER, counter,, true",
        "COUNTER, hip-bump,, false",
        "CHAIN, line,, true",
        "CHAIN, sweep,, false",
        "POSITION_GOAL, guard-x,, true",
        "POSITION_GOAL, line,, false",
        "WORDS,,, true",
        "LIVE_ROUNDS,,, true",
    })
    void whatASyllabusNamesMustBeThere(Item.Kind kind, String ref, String version, boolean there) {
        Ladder one = ladder(rank("white", item("i", kind, ref, version, null)));
        Club club = Club.teaching("Tiny", MAP.data(), CHAINS, List.of(one), null, null);
        List<Breach> breaches = ClubCheck.check(club);
        assertThat(breaches.isEmpty()).as(breaches.toString()).isEqualTo(there);
        if (!there) {
            assertThat(breaches.get(0).rule()).isEqualTo("SYLLABUS_ITEM");
            assertThat(breaches.get(0).where()).startsWith("/ladders/0/ranks/0/syllabus/0/items/0/");
        }
    }

    @Test
    void nothingIsNamedTwice() {
        assertThatThrownBy(() -> ladder(rank("white"), rank("white"))).hasMessage("this ladder names a rank twice");
        assertThatThrownBy(() -> ladder(rank("white", technique("i", "a")), rank("yellow", technique("i", "b"))))
                .hasMessage("this ladder names a syllabus item twice");
    }

    /** learn 3, master 3: 16 to introduce, 6 for both sides, 60 · 1.0 of practice up to live, shown on the way. */
    @Test
    void theLoadOfATechniqueIsCountedOnceByItsGrades() {
        GrapplingMap map = new TinyMap().cost("throw", 3).map();
        Item both = new Item("i", Item.Kind.TECHNIQUE, "throw", null, null, Standard.SHOWN, Sides.BOTH, null, 0, 0);
        Item again = new Item("j", Item.Kind.TECHNIQUE, "throw", null, null, Standard.LIVE, Sides.BOTH, null, 0, 0);
        Policy policy = new Policy(Policy.Stripes.NONE, null, 0, false, null, 40, 2, 0.5, null, false, false, false);
        Rank white = new Rank(
                "white", "White", List.of("white"), 0, 0, 10, List.of(new SyllabusGroup("G", 0, List.of(both, again))));
        Ladder one = new Ladder("l", "L", 0, 0, null, false, List.of(white), policy, null, null, null, null);
        TeachingLoad.Load load = TeachingLoad.of(one, white, map, java.util.Map.of());
        assertThat(load.needed()).isEqualTo(16 + 6 + 60);
        assertThat(load.available()).isEqualTo(10 * 2 * 40 * 0.5);
        assertThat(load.share()).isEqualTo(82.0 / 400);
    }

    private static final LocalDate YEAR = LocalDate.of(2027, 1, 1);

    private static List<String> refs(Ladder ladder) {
        return ladder.ranks().stream().flatMap(Rank::items).map(Item::ref).toList();
    }

    @Test
    void whatIsPublishedAnewHoldsFromItsDayAndWhatWasAskedBeforeStays() {
        Ladder before = ladder(rank("white", technique("w1", "hip-bump")), rank("yellow", technique("y1", "arm-drag")));
        Ladder after = before.publishing(YEAR).withRank(rank("white", technique("w2", "back-roll")));

        assertThat(refs(after.asOf(YEAR.minusDays(1)))).containsExactly("hip-bump", "arm-drag");
        assertThat(refs(after.asOf(YEAR))).containsExactly("back-roll", "arm-drag");
        assertThat(after.publishedFrom()).contains(YEAR);
        assertThat(after.publishing(YEAR)).as("it began on that day already").isEqualTo(after);
        assertThatThrownBy(() -> after.publishing(YEAR.minusDays(1)))
                .hasMessage("the syllabus of this ladder begins on 2027-01-01 already");

        Ladder third = after.publishing(YEAR.plusYears(1)).withRank(rank("yellow", technique("y2", "hip-bump")));
        assertThat(third.versions().stream().map(LadderTest::refs))
                .containsExactly(
                        List.of("hip-bump", "arm-drag"),
                        List.of("back-roll", "arm-drag"),
                        List.of("back-roll", "hip-bump"));
        assertThat(third.lastDayOf(third.asOf(YEAR))).contains(YEAR.plusYears(1).minusDays(1));
        assertThat(third.lastDayOf(third)).isEmpty();
    }

    @Test
    void anEarlierSyllabusIsAboutTheRanksOfItsLadderAndEndsOnADayOfItsOwn() {
        Ladder two = ladder(rank("white"), rank("yellow", technique("y1", "arm-drag")))
                .publishing(YEAR);
        Policy policy = two.policy();

        assertThatThrownBy(() -> new Ladder(
                        "x", "X", 0, 0, null, false, List.of(rank("white")), policy, null, null, null, two.earlier()))
                .hasMessage("an earlier syllabus of this ladder has a rank that the ladder has not");
        assertThatThrownBy(() -> two.withEarlier(
                        List.of(two.earlier().get(0), two.earlier().get(0))))
                .hasMessage("two earlier syllabuses of this ladder end on one day");
        Ladder one = ladder(rank("white")).withEarlier(two.earlier());
        assertThat(one.earlier().get(0).ranks())
                .extracting(EarlierSyllabus.AskedThen::rank)
                .containsExactly("white");
    }

    @Test
    void whatAnEarlierSyllabusAsksMustBeThereToo() {
        Ladder gone = ladder(rank("white", technique("w1", "no-such-thing"))).publishing(YEAR);
        Ladder ladder = gone.withRank(rank("white", technique("w1", "hip-bump")));
        Club club = Club.teaching("Tiny", MAP.data(), CHAINS, List.of(ladder), List.of(), List.of());

        assertThat(ClubCheck.check(club))
                .extracting(Breach::rule, Breach::where)
                .containsExactly(tuple("SYLLABUS_ITEM", "/ladders/0/earlier/0/ranks/0/syllabus/0/items/0/ref"));
    }

    private static List<String> wrong(Ladder... all) {
        Club club = Club.teaching("Tiny", MAP.data(), CHAINS, List.of(all), List.of(), List.of());
        return ClubCheck.check(club).stream()
                .map(breach -> breach.rule() + " " + breach.sentence())
                .toList();
    }

    private static Ladder leading(String id, int from, int to, String next) {
        return new Ladder(
                id,
                "The " + id,
                from,
                to,
                null,
                false,
                List.of(rank(id + "-white")),
                ladder().policy(),
                next,
                null,
                null,
                null);
    }

    /** Somebody of 15 may stand on either where one ends and the other begins; no year is on none, and no two are on both. */
    @ParameterizedTest
    @CsvSource({"15, ok", "16, ok", "0, ok", "14, both", "17, none"})
    void theNextLadderBeginsWhereThisOneEnds(int from, String years) {
        List<String> said = wrong(leading("young", 6, 15, "grown"), leading("grown", from, 0, null));
        if (years.equals("ok")) {
            assertThat(said).isEmpty();
        } else {
            assertThat(said)
                    .containsExactly("LADDER_AGES The young goes up to 15 and leads to The grown, which begins at "
                            + from + ": the years between are on " + years);
        }
    }

    @Test
    void noLadderLeadsBackToItself() {
        assertThat(wrong(leading("a", 0, 0, "b"), leading("b", 0, 0, "c"), leading("c", 0, 0, "a")))
                .containsExactly("LADDER_CYCLE who goes on from The a comes back to it in the end");
        assertThat(wrong(leading("a", 0, 0, "b"), leading("b", 0, 0, "c"), leading("c", 0, 0, null)))
                .isEmpty();
    }
}
