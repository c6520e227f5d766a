package lynchet.core.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lynchet.core.card.Family;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Leads;
import lynchet.core.mat.Mark;
import lynchet.core.mat.MarkBuilder;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.pair.Partner;
import lynchet.core.pair.Work;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Policy;
import lynchet.core.rank.Rank;
import lynchet.core.rank.Sides;
import lynchet.core.rank.SyllabusGroup;
import org.junit.jupiter.api.Test;

class BroughtTest {

    private static final LocalDate DAY = LocalDate.of(2026, 9, 1);
    private static final Instant NOON = Instant.parse("2026-09-01T12:00:00Z");

    private final GrapplingMap map = new TinyMap()
            .pair("apart", Stage.APART, 0)
            .add(TinyMap.card("back-fall", Family.BREAKFALL, 1, List.of(), List.of()))
            .add(TinyMap.card("side-fall", Family.BREAKFALL, 1, List.of(), List.of()))
            .add(TinyMap.card("hip-throw", Family.THROW, 2, List.of(), List.of("side-fall")))
            .link("throws", "s", "hip-throw", "apart")
            .map();

    private static Item item(String id, String ref, Standard standard, Sides sides) {
        return new Item(id, Item.Kind.TECHNIQUE, ref, null, null, standard, sides, null, 0, 0);
    }

    private final Ladder ladder = new Ladder(
            "own",
            "Own",
            0,
            0,
            null,
            false,
            List.of(
                    rank(
                            "white",
                            item("a", "back-fall", Standard.LIVE, Sides.EITHER),
                            new Item("w", Item.Kind.WORDS, null, "How to bow", null, null, null, null, 0, 0)),
                    rank("yellow", item("b", "hip-throw", Standard.MOVING, Sides.BOTH)),
                    rank("green", item("c", "hip-throw", Standard.LIVE, Sides.BOTH))),
            new Policy(null, null, 0, false, null, 0, 0, 0, null, false, false, false),
            null,
            Map.of(),
            List.of(),
            null);

    private static Rank rank(String id, Item... items) {
        return new Rank(id, id, List.of("white"), 0, 0, 0, List.of(new SyllabusGroup("All", 0, List.of(items))));
    }

    private Brought with(List<Brought.Had> had) {
        return new Brought("br", "ana", "own", "green", Brought.Answer.ALL, had, DAY, NOON, "head");
    }

    private StudentState came(String below) {
        Training training = new Training();
        training.brought.add(with(Brought.allBelow(ladder, below, map, Side.RIGHT)));
        return training.record().state(List.of(), map);
    }

    /** Each item at what it asks, falls as shown at most, and the falls that the throws need besides. */
    @Test
    void itIsAllThatIsAskedBelowTheRank() {
        assertThat(Brought.allBelow(ladder, "green", map, Side.RIGHT))
                .containsExactlyInAnyOrder(
                        new Brought.Had("back-fall", Role.PERFORMER, Side.RIGHT, null, Standard.SHOWN, true),
                        new Brought.Had("w", Role.PERFORMER, Side.BOTH, null, Standard.SHOWN, false),
                        new Brought.Had("hip-throw", Role.PERFORMER, Side.BOTH, null, Standard.MOVING, false),
                        new Brought.Had("side-fall", Role.PERFORMER, Side.BOTH, null, Standard.SHOWN, true));
        assertThat(Brought.allBelow(ladder, "yellow", map, Side.RIGHT))
                .extracting(Brought.Had::subject)
                .containsExactlyInAnyOrder("back-fall", "w");
        assertThat(Brought.allBelow(ladder, "white", map, Side.RIGHT)).isEmpty();
        assertThat(Brought.allBelow(ladder, "gone", map, Side.RIGHT)).isEmpty();
        assertThat(Brought.isAskedBelow(ladder, "yellow")).isTrue();
        assertThat(Brought.isAskedBelow(ladder, "white")).isFalse();
    }

    @Test
    void whatIsAskedOnEitherSideIsTheirOwn() {
        Ladder either = ladder.withRank(rank("yellow", item("b", "hip-throw", Standard.SHOWN, Sides.EITHER)));
        assertThat(Brought.allBelow(either, "green", map, Side.LEFT))
                .contains(new Brought.Had("hip-throw", Role.PERFORMER, Side.LEFT, null, Standard.SHOWN, false));
        assertThat(Brought.allBelow(either, "green", map, Side.BOTH))
                .contains(new Brought.Had("hip-throw", Role.PERFORMER, Side.RIGHT, null, Standard.SHOWN, false));
    }

    /** Worked: R(58) = 0.80; one session on day 30: R = 0.891, h = 211.4. */
    @Test
    void itFadesFromThatDayAndTheFirstSessionCarriesItOn() {
        StudentState state = came("green");
        Fading untouched = state.on("hip-throw", Side.LEFT).orElseThrow();
        assertThat(untouched.recallOn(DAY.plusDays(58))).isCloseTo(0.80, within(0.001));
        assertThat(untouched.isPractised()).isFalse();
        LocalDate session = DAY.plusDays(30);
        assertThat(untouched.recallOn(session)).isCloseTo(0.891, within(0.0005));
        Fading after = state.after(
                        new StudentEvent.Practised("hip-throw", Side.LEFT, PracticeDay.drilled(session, 6, 0)))
                .on("hip-throw", Side.LEFT)
                .orElseThrow();
        assertThat(after.halfLife()).isCloseTo(211.4, within(0.05));
        assertThat(after.sessions()).isEqualTo(1);
        assertThat(after.last()).isEqualTo(session);
        Training training = new Training();
        training.brought.add(with(Brought.allBelow(ladder, "green", map, Side.RIGHT)));
        training.drill("hip-throw", session, Side.LEFT, 6);
        List<Memory> memory = training.record().memory("hip-throw", map);
        assertThat(memory).extracting(Memory::side).containsExactly(Side.RIGHT, Side.LEFT);
        assertThat(memory).extracting(Memory::brought).containsOnly(new Memory.FromBefore(DAY, 180));
        assertThat(memory.get(0).days()).isEmpty();
        assertThat(memory.get(1).days().get(0).recall()).isCloseTo(0.891, within(0.0005));
        assertThat(memory.get(1).days().get(0).halfLife()).isCloseTo(211.4, within(0.05));
    }

    /** It is no mark and no practice, and a later "not yet" overrules it in whichever version; an earlier one does not. */
    @Test
    void itIsNoMarkAndALaterNotYetOverrulesIt() {
        StudentState state = came("green");
        assertThat(state.marks().standing()).isEmpty();
        assertThat(state.skills()).isEmpty();
        assertThat(state.marks().best("hip-throw", Role.PERFORMER, Side.LEFT, null))
                .contains(Standard.MOVING);
        for (Instant when : List.of(NOON.minusSeconds(1), NOON.plusSeconds(1))) {
            Mark notYet = MarkBuilder.builder()
                    .id("m")
                    .student("ana")
                    .subject("hip-throw")
                    .side(Side.LEFT)
                    .version("kneeling")
                    .standard(Standard.SHOWN)
                    .at(when)
                    .by("coach")
                    .build();
            StudentState judged = state.after(new StudentEvent.Marked(notYet, null));
            assertThat(judged.marks()
                            .best("hip-throw", Role.PERFORMER, Side.LEFT, null)
                            .isPresent())
                    .isEqualTo(when.isBefore(NOON));
            assertThat(judged.marks().best("hip-throw", Role.PERFORMER, Side.RIGHT, null))
                    .isPresent();
        }
    }

    /** Readiness and what is known are the same as after passes of the same things. */
    @Test
    void itCountsLikePassesOfTheSameThings() {
        Training passed = new Training();
        int n = 0;
        for (Brought.Had had : Brought.allBelow(ladder, "green", map, Side.RIGHT)) {
            passed.marks.add(MarkBuilder.builder()
                    .id("m" + n++)
                    .student("ana")
                    .subject(had.subject())
                    .role(had.role())
                    .side(had.side())
                    .version(had.version())
                    .standard(had.standard())
                    .passed(true)
                    .at(NOON)
                    .by("coach")
                    .build());
        }
        StudentState marked = passed.record().state(List.of(), map);
        StudentState brought = came("green");
        for (Rank rank : ladder.ranks()) {
            assertThat(new Progress(brought, map).open(rank)).isEqualTo(new Progress(marked, map).open(rank));
            assertThat(new Progress(brought, map).openFalls(rank)).isEqualTo(new Progress(marked, map).openFalls(rank));
            assertThat(new Progress(brought, map)
                            .of(rank, DAY).stream()
                                    .map(Progress.GroupProgress::met)
                                    .toList())
                    .isEqualTo(new Progress(marked, map)
                            .of(rank, DAY).stream()
                                    .map(Progress.GroupProgress::met)
                                    .toList());
        }
        assertThat(Soil.of("hip-throw", brought, DAY)).isEqualTo(Soil.of("hip-throw", marked, DAY));
        assertThat(lynchet.core.game.HowKnown.all(map, brought, DAY).keySet())
                .isEqualTo(lynchet.core.game.HowKnown.all(map, marked, DAY).keySet());
    }

    /** What was only shown or met before is not something to go for, and practice here lifts it. */
    @Test
    void whatWasOnlyMetIsNotYetTheirs() {
        Training training = new Training();
        training.brought.add(with(
                List.of(new Brought.Had("hip-throw", Role.PERFORMER, Side.BOTH, null, Standard.INTRODUCED, false))));
        StudentState state = training.record().state(List.of(), map);
        assertThat(state.marks().known("hip-throw")).isEmpty();
        assertThat(Soil.of("hip-throw", state, DAY)).isEqualTo(Soil.PLOUGHED);
        for (int day = 1; day <= 3; day++) {
            training.drill("hip-throw", DAY.plusDays(day), Side.BOTH, 6);
        }
        Progress.ItemProgress drilled = new Progress(training.record().state(List.of(), map), map)
                .of(item("d", "hip-throw", Standard.DRILLED, Sides.BOTH), DAY.plusDays(3));
        assertThat(drilled.have()).isEqualTo(Standard.DRILLED);
        assertThat(drilled.met()).isTrue();
    }

    /** A fall from before is enough for a grown-up who is thrown with care, until somebody here has seen it; never for a junior. */
    @Test
    void aFallFromBeforeIsNotOneThatWasSeen() {
        StudentState state = came("green");
        Work careful = new Work(true, false, Set.of(), Set.of("side-fall"), Leads.ANY);
        Work live = new Work(true, true, Set.of(), Set.of("side-fall"), Leads.ANY);
        Partner grown = partner(state, DAY.minusYears(30));
        assertThat(grown.mayBeThrown(careful)).isTrue();
        assertThat(grown.mayBeThrown(live)).isFalse();
        assertThat(grown.lacks(live)).containsExactly("side-fall");
        assertThat(state.unseenFalls()).containsExactly("back-fall", "side-fall");
        for (LocalDate born : new LocalDate[] {DAY.minusYears(12), null}) {
            assertThat(partner(state, born).mayBeThrown(careful)).isFalse();
        }
        Mark seen = MarkBuilder.builder()
                .id("m")
                .student("ana")
                .subject("side-fall")
                .side(Side.BOTH)
                .standard(Standard.SHOWN)
                .passed(true)
                .at(NOON.plusSeconds(9))
                .by("coach")
                .build();
        StudentState after = state.after(new StudentEvent.Marked(seen, null));
        assertThat(after.unseenFalls()).containsExactly("back-fall");
        assertThat(partner(after, DAY.minusYears(30)).mayBeThrown(live)).isTrue();
        assertThat(partner(after, DAY.minusYears(12)).mayBeThrown(live)).isTrue();
    }

    private static Partner partner(StudentState state, LocalDate born) {
        return Partner.of(person(born), state, List.of(), DAY, Set.of("side-fall", "back-fall"), ClubNumbers.USUAL);
    }

    private static Student person(LocalDate born) {
        return StudentBuilder.builder()
                .id("ana")
                .name("Ana")
                .born(born)
                .joined(DAY)
                .build();
    }

    @Test
    void onlyWhoHasAllNamesThings() {
        Brought.Had one = new Brought.Had("hip-throw", Role.PERFORMER, Side.BOTH, null, Standard.SHOWN, false);
        assertThatThrownBy(() ->
                        new Brought("br", "ana", "own", "green", Brought.Answer.NOTHING, List.of(one), DAY, null, null))
                .hasMessageContaining("names things");
    }
}
