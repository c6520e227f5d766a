package lynchet.core.leak;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import lynchet.core.card.Family;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import lynchet.core.people.Brought;
import lynchet.core.people.PracticeDay;
import lynchet.core.people.StudentEvent;
import lynchet.core.people.StudentState;
import lynchet.core.round.Round;
import lynchet.core.round.RoundBuilder;
import lynchet.core.round.RoundFilter;
import org.junit.jupiter.api.Test;

class LeaksTest {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 24);

    /** Whoever is under mount can bridge or slip out; from under the hold there is no way out. */
    private static final GrapplingMap MAP = new TinyMap()
            .pair("mount", Stage.LEGS_CLEARED, 2.5)
            .pair("hold", Stage.FINISH, 2.8)
            .add(TinyMap.card("bridge", Family.ESCAPE, 1, 3, null, null, null, null))
            .add(TinyMap.card("slip", Family.ESCAPE, 2, 3, null, null, null, null))
            .link("choked", "mount", "choke", Link.TAP)
            .link("locked", "mount", "choke", Link.TAP)
            .link("bridged", under("mount"), "bridge", "mount")
            .link("slipped", under("mount"), "slip", "s")
            .map();

    private static String under(String position) {
        return new TinyMap()
                .pair(position, Stage.FINISH, 2)
                .map()
                .counterpart(position)
                .id();
    }

    private static Round tap(String id, String winner, String loser, String position, String link) {
        return RoundBuilder.builder()
                .id(id)
                .at(Instant.EPOCH)
                .first(winner)
                .second(loser)
                .ended(new Round.Ended(Round.How.TAP, Round.Who.FIRST, position, link))
                .build();
    }

    private static StudentState drilled(String technique, LocalDate on) {
        return StudentState.empty()
                .after(new StudentEvent.Practised(technique, Side.RIGHT, PracticeDay.drilled(on, 20, 0)));
    }

    private static Leaks.Window window(List<Round> rounds) {
        return new Leaks.Window(rounds.size(), Caught.in(rounds, RoundFilter.ALL));
    }

    private static final Leaks.Window NOTHING = new Leaks.Window(0, List.of());

    /** Seven of 140 rounds are five in a hundred; who was shown an answer is counted by people, not by taps. */
    @Test
    void theSentenceACoachWouldSay() {
        List<Round> rounds = new ArrayList<>();
        for (int n = 0; n < 7; n++) {
            rounds.add(tap("r" + n, "zoe", "p" + n % 4, "mount", n < 5 ? "choked" : null));
        }
        for (int n = 7; n < 140; n++) {
            rounds.add(RoundBuilder.builder()
                    .id("r" + n)
                    .at(Instant.EPOCH)
                    .first("zoe")
                    .second("p1")
                    .ended(new Round.Ended(Round.How.TIME, null, null, null))
                    .build());
        }
        Map<String, StudentState> states = Map.of(
                "p0", drilled("bridge", DAY.minusDays(2)),
                "p1", drilled("bridge", DAY.minusYears(2)),
                "p2", drilled("slip", DAY.minusDays(2)));
        List<Leak> leaks = Leaks.of(MAP, window(rounds), window(rounds.subList(0, 2)), states, DAY);
        assertThat(leaks).hasSize(1);
        Leak leak = leaks.get(0);
        assertThat(leak.times()).isEqualTo(7);
        assertThat(leak.before()).isEqualTo(2);
        assertThat(leak.per100()).isCloseTo(5.0, within(1e-12));
        assertThat(leak.per100Before()).isCloseTo(100.0, within(1e-12));
        assertThat(leak.finishes())
                .containsExactly(new Leak.Finish(Round.How.TAP, "choke", 5), new Leak.Finish(Round.How.TAP, null, 2));
        assertThat(leak.answers())
                .containsExactly(
                        new Leak.Answer("bridged", "bridge", 2, 2, 1, 1, 0),
                        new Leak.Answer("slipped", "slip", 1, 1, 1, 0, 0));
        assertThat(leak.says())
                .isEqualTo("Caught 7 times from mount; an answer is on the map (bridge), shown to 2 of 4, rusty in 1.");
    }

    @Test
    void belowFiveItIsAListAndWithoutAnAnswerItSaysSo() {
        List<Round> rounds = List.of(tap("a", "zoe", "p0", "hold", null), tap("b", "zoe", "p0", "hold", null));
        Leak leak = Leaks.of(MAP, window(rounds), NOTHING, Map.of(), DAY).get(0);
        assertThat(leak.per100()).isNull();
        assertThat(leak.per100Before()).isNull();
        assertThat(leak.answers()).isEmpty();
        assertThat(leak.says()).isEqualTo("Caught twice from hold; the map has no answer yet.");
        assertThat(Leaks.answers(MAP, window(rounds))).isEmpty();
        Leak once = Leaks.of(MAP, window(List.of(tap("a", "zoe", "p0", "mount", null))), NOTHING, Map.of(), DAY)
                .get(0);
        assertThat(once.says())
                .isEqualTo("Caught once from mount; an answer is on the map (bridge), not shown to them yet.");
    }

    @Test
    void anOpponentFromOutsideIsNeverCaughtAndCatches() {
        Round lost = RoundBuilder.builder(tap("a", "p0", null, "mount", "choked"))
                .ended(new Round.Ended(Round.How.TAP, Round.Who.SECOND, "mount", "choked"))
                .build();
        Round won = tap("b", "p0", null, "mount", "choked");
        assertThat(Caught.in(List.of(lost, won), RoundFilter.ALL))
                .containsExactly(new Caught("mount", Round.How.TAP, "choked", "p0", 1));
    }

    /** Of 300 made-up clubs, what is counted equals a loop over every round, every person and every position. */
    @Test
    void leaksEqualASlowLoop() {
        List<String> places = MAP.positions().stream().map(one -> one.id()).toList();
        for (int seed = 0; seed < 300; seed++) {
            Random random = new Random(seed);
            List<Round> all = new ArrayList<>();
            for (int n = 0; n < random.nextInt(60); n++) {
                Round.How how = TinyMap.pick(List.of(Round.How.values()), random);
                String second = random.nextInt(5) == 0 ? null : "p" + (5 + random.nextInt(5));
                String place = random.nextInt(6) == 0 ? null : TinyMap.pick(places, random);
                all.add(RoundBuilder.builder()
                        .id("r" + n)
                        .at(Instant.EPOCH.plusSeconds(n))
                        .first("p" + random.nextInt(5))
                        .second(second)
                        .ended(new Round.Ended(
                                how,
                                how.isWon() ? TinyMap.pick(List.of(Round.Who.values()), random) : null,
                                place,
                                "mount".equals(place) && how == Round.How.TAP && random.nextBoolean()
                                        ? TinyMap.pick(List.of("choked", "locked"), random)
                                        : null))
                        .build());
            }
            List<Leak> leaks = Leaks.of(MAP, window(all), NOTHING, Map.of(), DAY);
            Map<String, Integer> slow = new HashMap<>();
            for (String place : places) {
                Set<String> whose = new TreeSet<>();
                int times = 0;
                for (int p = 0; p < 10; p++) {
                    for (Round round : all) {
                        boolean ends = Set.of(Round.How.TAP, Round.How.THROW, Round.How.PIN)
                                .contains(round.ended().how());
                        boolean first =
                                ("p" + p).equals(round.first()) && round.ended().winner() == Round.Who.SECOND;
                        boolean second = ("p" + p).equals(round.second())
                                && round.ended().winner() == Round.Who.FIRST;
                        if (ends
                                && (first || second)
                                && place.equals(round.ended().position())) {
                            times++;
                            whose.add("p" + p);
                        }
                    }
                }
                if (times > 0) {
                    slow.put(place, times);
                    Leak leak = leaks.stream()
                            .filter(one -> one.position().equals(place))
                            .findFirst()
                            .orElseThrow();
                    assertThat(leak.times()).as("%s of %d", place, seed).isEqualTo(times);
                    assertThat(new TreeSet<>(leak.whose())).isEqualTo(whose);
                    assertThat(leak.finishes().stream()
                                    .mapToInt(Leak.Finish::times)
                                    .sum())
                            .isEqualTo(times);
                    if (times >= Leaks.RATE) {
                        assertThat(leak.per100()).isCloseTo(100.0 * times / all.size(), within(1e-9));
                    } else {
                        assertThat(leak.per100()).isNull();
                    }
                }
            }
            assertThat(leaks).hasSize(slow.size());
            assertThat(leaks.stream().map(Leak::times).toList()).isSortedAccordingTo((a, b) -> b - a);
        }
    }

    private static StudentState brought(String technique) {
        Brought.Had had = new Brought.Had(technique, Role.PERFORMER, Side.RIGHT, null, Standard.DRILLED, false);
        return StudentState.empty()
                .after(new StudentEvent.Came(new Brought(
                        "br", "p0", "own", "green", Brought.Answer.ALL, List.of(had), DAY.minusDays(400), null, null)));
    }

    private static String says(Map<String, StudentState> states, String... losers) {
        List<Round> rounds = new ArrayList<>();
        for (String loser : losers) {
            rounds.add(tap("r" + rounds.size(), "zoe", loser, "mount", null));
        }
        return Leaks.of(MAP, window(rounds), NOTHING, states, DAY).get(0).says();
    }

    @Test
    void whomItWasShownToIsSaidAsACoachWould() {
        StudentState fresh = drilled("bridge", DAY.minusDays(1));
        StudentState rusty = drilled("bridge", DAY.minusYears(2));
        String answer = " from mount; an answer is on the map (bridge), ";
        assertThat(says(Map.of(), "p0", "p1")).isEqualTo("Caught twice" + answer + "not shown to any of the 2 yet.");
        assertThat(says(Map.of("p0", fresh), "p0")).isEqualTo("Caught once" + answer + "they were shown it.");
        assertThat(says(Map.of("p0", fresh, "p1", fresh), "p0", "p1"))
                .isEqualTo("Caught twice" + answer + "shown to all 2.");
        assertThat(says(Map.of("p0", brought("bridge"), "p1", rusty), "p0", "p1", "p2"))
                .isEqualTo("Caught 3 times" + answer + "shown to 2 of 3, only from before in 1, rusty in 1.");
        assertThat(says(Map.of("p0", brought("bridge")), "p0"))
                .isEqualTo("Caught once" + answer + "they were shown it, only from before in 1.");
    }

    /** Ways that wait for a reaction, and what is retired, answer nothing; a single way is the answer. */
    @Test
    void onlyWhatCanBeBegunThereIsAnAnswer() {
        GrapplingMap one = new TinyMap()
                .pair("mount", Stage.LEGS_CLEARED, 2.5)
                .add(TinyMap.card("bridge", Family.ESCAPE, 1, 3, null, null, null, null))
                .add(TinyMap.card("slip", Family.ESCAPE, 2, 3, null, null, null, null))
                .link("bridged", under("mount"), "bridge", "mount")
                .reaction("posts", "bridged", under("mount"))
                .answer("slipped", "posts", under("mount"), "slip", "s")
                .map();
        Leaks.Window window = window(List.of(tap("a", "zoe", "p0", "mount", null), tap("b", "zoe", "p0", null, null)));
        assertThat(Leaks.answers(one, window)).containsExactly("bridge");
        assertThat(Leaks.answers(MAP, window)).containsExactly("bridge", "slip");
        List<Leak> leaks = Leaks.of(one, window, NOTHING, Map.of(), DAY);
        assertThat(leaks).as("where nobody saw the position there is no leak").hasSize(1);
        assertThat(leaks.get(0).says())
                .isEqualTo("Caught once from mount; the answer is on the map (bridge), not shown to them yet.");
        assertThat(Leaks.answers(one, NOTHING)).isEmpty();
    }

    /** Five times make a rate, four a list; of two that are as frequent the one that grew comes first. */
    @Test
    void whatIsFrequentComesFirstAndThenWhatGrew() {
        List<Round> now = new ArrayList<>();
        List<Round> before = new ArrayList<>();
        for (int n = 0; n < 5; n++) {
            now.add(tap("m" + n, "zoe", "p" + n, "mount", n == 0 ? "choked" : null));
            now.add(tap("h" + n, "zoe", "p0", "hold", null));
        }
        now.add(tap("g", "zoe", "p9", under("hold"), null));
        before.add(tap("b", "zoe", "p0", "mount", null));
        List<Leak> leaks = Leaks.of(MAP, window(now), window(before), Map.of(), DAY);
        assertThat(leaks).extracting(Leak::position).containsExactly("hold", "mount", under("hold"));
        assertThat(leaks.get(0).per100()).isCloseTo(500.0 / 11, within(1e-9));
        assertThat(leaks.get(0).per100Before()).isZero();
        assertThat(leaks.get(2).per100()).isNull();
        assertThat(leaks.get(1).whose()).containsExactly("p0", "p1", "p2", "p3", "p4");
        assertThat(leaks.get(1).finishes())
                .containsExactly(new Leak.Finish(Round.How.TAP, null, 4), new Leak.Finish(Round.How.TAP, "choke", 1));
        assertThat(Leaks.of(MAP, window(now), NOTHING, Map.of(), DAY).get(0).per100Before())
                .as("no rounds in the time before")
                .isNull();
    }

    @Test
    void oneStudentsLossesAreTheirs() {
        List<Round> rounds = List.of(
                tap("a", "p0", "p1", "mount", "choked"),
                tap("b", "p1", "p0", "mount", "choked"),
                tap("c", "p1", "p0", "mount", "choked"));
        assertThat(Caught.in(rounds, new RoundFilter("p0", null, null, null, null)))
                .containsExactly(new Caught("mount", Round.How.TAP, "choked", "p0", 2));
        assertThat(Caught.in(rounds, RoundFilter.ALL)).hasSize(2);
    }
}
