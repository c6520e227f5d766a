package lynchet.core.term;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import lynchet.core.card.Family;
import lynchet.core.club.TinyClub;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import lynchet.core.mat.Track;
import lynchet.core.people.HeldRank;
import lynchet.core.people.LadderCount;
import lynchet.core.people.Student;
import lynchet.core.people.StudentState;
import lynchet.core.people.Training;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Policy;
import lynchet.core.rank.Rank;
import lynchet.core.rank.SyllabusGroup;
import org.junit.jupiter.api.Test;

/** What the ranks of somebody ask, and what a track wants by it. */
class DemandTest {

    private static final Track ALL = new Track("all", "All", null, List.of(), List.of());

    private static final LocalDate DAY = LocalDate.of(2026, 3, 2);

    private final Teaching teaching = new Teaching(
            new TinyMap()
                    .add(TinyMap.card("fall", Family.BREAKFALL, 1, List.of(), List.of()))
                    .add(TinyMap.card("sweep", Family.SWEEP, 2, List.of(), List.of()))
                    .add(TinyMap.card("pass", Family.PASS, 2, List.of(), List.of()))
                    .map(),
            List.of());

    private static Rank rank(String id, String... techniques) {
        List<Item> items = Stream.of(techniques)
                .map(one -> new Item(
                        id + "-" + one, Item.Kind.TECHNIQUE, one, null, null, Standard.SHOWN, null, null, 0, 0))
                .toList();
        return new Rank(id, id.toUpperCase(), List.of("white"), 0, 0, 0, List.of(new SyllabusGroup("All", 0, items)));
    }

    private static Ladder ladder(String id, int from, int to, List<String> tracks, Rank... ranks) {
        Policy policy = new Policy(null, null, 0, false, null, 0, 0, 0, null, false, false, false);
        return new Ladder(id, id, from, to, null, false, List.of(ranks), policy, null, null, tracks, null);
    }

    private final Ladder adult = ladder(
            "adult", 0, 0, List.of(), rank("white", "fall", "sweep"), rank("yellow", "pass"), rank("blue", "lock"));

    private static StudentState holding(StudentState state, String rank) {
        Map<String, LadderCount> ladders = new HashMap<>();
        ladders.put("adult", new LadderCount(new HeldRank("adult", rank, 0, DAY, false), 0, null));
        return new StudentState(null, ladders, state.skills(), state.marks(), List.of());
    }

    private static AskedOf asked(StudentState state, Ladder... ladders) {
        return AskedOf.of(TinyClub.student("ana", "1"), state, List.of(ladders), "all", DAY);
    }

    /** Of their own rank what is not passed is lacking; below it nothing is, above it nothing is asked. */
    @Test
    void theirOwnRankAsksAndThoseBelowAreTaught() {
        Training training = new Training();
        training.pass("fall");
        StudentState state = training.state();
        AskedOf white = asked(holding(state, "white"), adult);
        assertThat(white.lines().keySet()).containsExactlyInAnyOrder("fall", "sweep");
        assertThat(white.lacking()).containsExactly("sweep");
        AskedOf yellow = asked(holding(state, "yellow"), adult);
        assertThat(yellow.lines().keySet()).containsExactlyInAnyOrder("fall", "sweep", "pass");
        assertThat(yellow.lacking()).containsExactly("pass");
        assertThat(yellow.lines().get("sweep").rank()).isEqualTo("WHITE");
    }

    @Test
    void whoeverStandsOnNoLadderBeginsOnTheFirstThatSuits() {
        Ladder junior = ladder("a-junior", 0, 15, List.of(), rank("red", "pass"));
        Ladder elsewhere = ladder("a-other", 0, 0, List.of("others"), rank("red", "lock"));
        StudentState nothing = StudentState.empty();
        assertThat(asked(nothing, elsewhere, junior, adult).lacking())
                .as("age unknown: the first")
                .containsExactly("pass");
        assertThat(asked(nothing, elsewhere, adult).lacking()).containsExactlyInAnyOrder("fall", "sweep");
        assertThat(asked(nothing, elsewhere).lines()).isEmpty();
        assertThat(junior.suits(java.util.Optional.of(15))).isTrue();
        assertThat(junior.suits(java.util.Optional.of(16))).isFalse();
        assertThat(ladder("none", 0, 0, List.of()).suits(java.util.Optional.empty()))
                .isFalse();
    }

    /** Practised once nine half-lives ago: hardly anything is left; lacked it counts whole, passed half. */
    @Test
    void needAndRustAreOneWeight() {
        Training met = new Training();
        met.drill("sweep", DAY.minusDays(63), Side.BOTH, 6);
        Training passed = new Training();
        passed.drill("sweep", DAY.minusDays(63), Side.BOTH, 6);
        passed.pass("sweep");
        Training unlogged = new Training();
        unlogged.pass("sweep");
        Map<Student, StudentState> people = new LinkedHashMap<>();
        people.put(TinyClub.student("a", "1"), holding(met.state(), "white"));
        people.put(TinyClub.student("b", "2"), holding(passed.state(), "white"));
        people.put(TinyClub.student("c", "3"), holding(unlogged.state(), "white"));
        List<Demand> wanted = Demand.of(ALL, people, List.of(adult), teaching, DAY, null);
        assertThat(wanted).extracting(Demand::technique).containsExactly("fall", "sweep");
        Demand sweep = wanted.get(1);
        assertThat(sweep.need()).isEqualTo(1);
        assertThat(sweep.rusty()).as("passed, and lost").isEqualTo(1);
        assertThat(sweep.weight()).isEqualTo(1.5 * (1 - Math.pow(2, -9)), within(1e-9));
        assertThat(wanted.get(0).weight()).isEqualTo(3);
        assertThat(sweep.ranks()).containsExactly("WHITE");
        assertThat(sweep.soon()).as("no exam is planned").isEqualTo(1);
    }

    /** What the track is about comes first, however much less it is wanted; falls are part of throwing. */
    @Test
    void whatTheTrackIsAboutComesFirst() {
        Map<Student, StudentState> people = new LinkedHashMap<>();
        people.put(TinyClub.student("a", "1"), holding(StudentState.empty(), "white"));
        people.put(TinyClub.student("b", "2"), holding(passedFall(), "white"));
        assertThat(about(people)).as("two lack it, one").containsExactly("sweep", "fall");
        assertThat(about(people, Family.THROW)).containsExactly("fall", "sweep");
        assertThat(about(people, Family.ESCAPE)).containsExactly("sweep", "fall");
    }

    private static StudentState passedFall() {
        Training passed = new Training();
        passed.pass("fall");
        return passed.state();
    }

    private List<String> about(Map<Student, StudentState> people, Family... teaches) {
        Track track = new Track("all", "All", null, List.of(), List.of(teaches));
        return Demand.of(track, people, List.of(adult), teaching, DAY, null).stream()
                .map(Demand::technique)
                .toList();
    }

    /** A rank is held for twelve weeks at least: who holds it since today, and who joined today, can be examined on that day and not before. */
    @Test
    void whoeverCannotBeExaminedYetCountsForHalf() {
        Ladder slow = ladder("adult", 0, 0, List.of(), held(12, rank("white", "fall")));
        Map<Student, StudentState> people = new LinkedHashMap<>();
        people.put(TinyClub.student("a", "1"), holding(StudentState.empty(), "white"));
        people.put(TinyClub.student("new", "2"), StudentState.empty());
        Demand before = Demand.of(
                        ALL,
                        people,
                        List.of(slow),
                        teaching,
                        DAY,
                        DAY.plusWeeks(12).minusDays(1))
                .get(0);
        assertThat(List.of(before.need(), before.soon(), before.weight())).isEqualTo(List.of(2, 0, 1.0));
        Demand then = Demand.of(ALL, people, List.of(slow), teaching, DAY, DAY.plusWeeks(12))
                .get(0);
        assertThat(List.of(then.need(), then.soon(), then.weight())).isEqualTo(List.of(2, 2, 2.0));
    }

    private static Rank held(int weeks, Rank rank) {
        return new Rank(rank.id(), rank.name(), rank.colours(), rank.stripes(), rank.minAge(), weeks, rank.syllabus());
    }
}
