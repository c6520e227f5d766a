package lynchet.core.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.LongStream;
import lynchet.core.club.TinyClub;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Credit;
import lynchet.core.mat.Mark;
import lynchet.core.mat.MarkBuilder;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class StudentStateTest {

    private static final LocalDate DAY = LocalDate.of(2026, 3, 2);

    private final Training training = new Training();

    private int sessions(Side side) {
        return training.state().on("throw", side).map(Fading::sessions).orElse(0);
    }

    @Test
    void aSessionIsSixWholeOrTenPartRepetitionsOnADay() {
        training.drill("throw", DAY, Side.RIGHT, 4);
        assertThat(training.state().introduced("throw")).isTrue();
        assertThat(sessions(Side.RIGHT)).isZero();
        training.drill("throw", DAY, Side.RIGHT, 2);
        assertThat(sessions(Side.RIGHT)).as("two drills of one day add up").isEqualTo(1);
        training.drill("throw", DAY.plusDays(1), Side.RIGHT, 9, true, null);
        assertThat(sessions(Side.RIGHT)).isEqualTo(1);
        training.drill("throw", DAY.plusDays(2), Side.RIGHT, 10, true, null);
        assertThat(sessions(Side.RIGHT)).isEqualTo(2);
        assertThat(sessions(Side.LEFT)).isZero();
    }

    @Test
    void bothSidesCountOnEachAndWithoutASideTheBetterOne() {
        training.drill("throw", DAY, Side.BOTH, 6);
        training.drill("throw", DAY.plusDays(1), Side.LEFT, 6);
        assertThat(sessions(Side.RIGHT)).isEqualTo(1);
        assertThat(sessions(Side.LEFT)).isEqualTo(2);
        assertThat(sessions(null)).isEqualTo(2);
    }

    @Test
    void beingThrownIsNotThrowing() {
        training.drill("throw", DAY, Side.RIGHT, 20, false, Role.RECEIVER);
        assertThat(training.state().introduced("throw")).isFalse();
    }

    @Test
    void whatWasDrilledInAClassOneWasNotInDoesNotCount() {
        training.drill("throw", DAY, Side.RIGHT, 20);
        training.classes.clear();
        assertThat(sessions(Side.RIGHT)).isZero();
    }

    @Test
    void aLivePassIsASessionByItselfAndStretchesWhatIsRemembered() {
        training.mark("throw", DAY, Standard.LIVE, true, List.of());
        assertThat(sessions(Side.RIGHT)).isEqualTo(1);
        assertThat(training.state().on("throw", Side.RIGHT).orElseThrow().halfLife())
                .isEqualTo(7 * 1.5);
    }

    /** Half of that day's marks list a fault: 7 · (1 + 1.6 · 0.5 · (1 − 0.25 · 0.5)) = 11.9 days, not 12.6. */
    @Test
    void faultsOfTheDayMakeItFadeSooner() {
        training.drill("throw", DAY, Side.RIGHT, 6);
        training.drill("throw", DAY.plusDays(7), Side.RIGHT, 6);
        training.mark("throw", DAY.plusDays(7), Standard.SHOWN, false, List.of("f1"));
        training.mark("throw", DAY.plusDays(7), Standard.SHOWN, true, List.of());
        assertThat(training.state().on("throw", Side.RIGHT).orElseThrow().halfLife())
                .isCloseTo(11.9, org.assertj.core.api.Assertions.within(1e-9));
    }

    private static Mark mark(String id, Side side, String version, Standard standard, boolean passed, int second) {
        return MarkBuilder.builder()
                .id(id)
                .student("ana")
                .subject("throw")
                .side(side)
                .version(version)
                .standard(standard)
                .passed(passed)
                .at(Instant.ofEpochSecond(second))
                .by("coach")
                .build();
    }

    private static Optional<Standard> best(Side side, Mark... marks) {
        return MarkBook.of(List.of(marks)).best("throw", Role.PERFORMER, side, null);
    }

    @Test
    void bothSidesAreReadAsRightAndLeft() {
        Mark both = mark("a", Side.BOTH, null, Standard.SHOWN, true, 1);
        Mark leftNotYet = mark("b", Side.LEFT, null, Standard.SHOWN, false, 2);
        assertThat(best(Side.RIGHT, both, leftNotYet)).hasValue(Standard.SHOWN);
        assertThat(best(Side.LEFT, both, leftNotYet)).isEmpty();
        assertThat(best(null, both, leftNotYet)).hasValue(Standard.SHOWN);
        assertThat(best(Side.LEFT, leftNotYet, mark("c", Side.BOTH, null, Standard.SHOWN, true, 3)))
                .hasValue(Standard.SHOWN);
    }

    @Test
    void aNotYetSuspendsThePassesAboveItUntilItIsPassedAgain() {
        Mark live = mark("a", Side.RIGHT, null, Standard.LIVE, true, 1);
        Mark notYet = mark("b", Side.RIGHT, null, Standard.SHOWN, false, 2);
        assertThat(best(Side.RIGHT, live)).hasValue(Standard.LIVE);
        assertThat(best(Side.RIGHT, live, notYet)).isEmpty();
        assertThat(best(Side.RIGHT, live, notYet, mark("c", Side.RIGHT, null, Standard.SHOWN, true, 3)))
                .as("passed again")
                .hasValue(Standard.LIVE);
        assertThat(best(Side.RIGHT, live, notYet, mark("c", Side.RIGHT, null, Standard.MOVING, true, 3)))
                .as("a later higher pass holds for the lower standards")
                .hasValue(Standard.MOVING);
        assertThat(best(Side.RIGHT, live, mark("b", Side.LEFT, null, Standard.SHOWN, false, 2)))
                .as("the other side is another matter")
                .hasValue(Standard.LIVE);
        assertThat(best(Side.RIGHT, live, mark("b", Side.RIGHT, "kneeling", Standard.SHOWN, false, 2)))
                .as("and so is another version")
                .hasValue(Standard.LIVE);
        assertThat(best(Side.RIGHT, live, mark("b", Side.RIGHT, null, Standard.LIVE, false, 0)))
                .as("what came before is superseded")
                .hasValue(Standard.LIVE);
    }

    @Test
    void whatIsTakenBackCountsForNothing() {
        training.mark("throw", DAY, Standard.LIVE, true, List.of());
        Mark given = training.marks.get(0);
        training.marks.add(MarkBuilder.builder()
                .id("back")
                .student("ana")
                .subject("throw")
                .side(Side.RIGHT)
                .standard(Standard.LIVE)
                .classId(given.classId())
                .at(given.at().plusSeconds(5))
                .by("coach")
                .withdraws(given.id())
                .build());
        assertThat(training.state().marks().standing()).isEmpty();
        assertThat(sessions(Side.RIGHT)).isZero();
    }

    @Test
    void whatIsOfADayThatIsOverIsNotTakenAsIfItCameLast() {
        training.drill("throw", DAY, Side.BOTH, 6);
        StudentState state = training.state();
        StudentEvent late = new StudentEvent.Practised("throw", Side.LEFT, PracticeDay.drilled(DAY.minusDays(1), 6, 0));
        assertThat(state.takes(late)).isFalse();
        assertThatThrownBy(() -> state.after(late)).hasMessageContaining("over");
        assertThat(state.takes(
                        new StudentEvent.Practised("other", Side.LEFT, PracticeDay.drilled(DAY.minusDays(1), 6, 0))))
                .isTrue();
    }

    /** One class a day counts: an earlier day has the classes folded again, unless it is before the belt. */
    @Test
    void aClassOfAnEarlierDayIsTakenOnlyWhereItCannotMatter() {
        LadderCount count = new LadderCount(new HeldRank("adult", "white", 0, DAY, false), 4, DAY.plusDays(9));
        StudentState state = new StudentState(
                DAY.plusDays(9),
                java.util.Map.of("adult", count),
                java.util.Map.of(),
                MarkBook.of(List.of()),
                List.of());
        assertThat(state.takes(attended(DAY.plusDays(9), true))).isTrue();
        assertThat(state.takes(attended(DAY.plusDays(8), true))).isFalse();
        assertThat(state.takes(attended(DAY.plusDays(8), false))).isTrue();
        assertThat(state.takes(attended(DAY.minusDays(1), true))).isTrue();
        assertThat(state.takes(attended(DAY, true))).isFalse();
        StudentEvent elsewhere = new StudentEvent.Attended(DAY.plusDays(1), java.util.Map.of("junior", true));
        assertThat(state.takes(elsewhere)).isTrue();
        assertThat(state.after(elsewhere).ladders()).isEqualTo(state.ladders());
        assertThat(state.after(elsewhere).lastSeen()).isEqualTo(DAY.plusDays(9));
        assertThat(state.after(attended(DAY.plusDays(10), true)))
                .satisfies(later -> assertThat(later.lastSeen()).isEqualTo(DAY.plusDays(10)))
                .satisfies(later ->
                        assertThat(later.ladders().get("adult").classes()).isEqualTo(5));
        assertThat(state.heldOn("adult")).hasValue(count.held());
        assertThat(state.heldOn("junior")).isEmpty();
        assertThat(StudentState.empty().takes(attended(DAY, true))).isTrue();
    }

    private static StudentEvent attended(LocalDate day, boolean oneADay) {
        return new StudentEvent.Attended(day, java.util.Map.of("adult", oneADay));
    }

    /** A mark without a class or for being thrown is no practice, so that it is taken whenever it comes. */
    @Test
    void aMarkIsTakenUnlessItIsPracticeOfADayThatIsOver() {
        training.drill("throw", DAY, Side.BOTH, 6);
        StudentState state = training.state();
        Mark performed = mark("a", Side.LEFT, null, Standard.SHOWN, true, 1);
        Mark received = MarkBuilder.builder()
                .id("r")
                .student("ana")
                .subject("throw")
                .role(Role.RECEIVER)
                .side(Side.LEFT)
                .standard(Standard.SHOWN)
                .passed(true)
                .at(Instant.EPOCH)
                .by("coach")
                .build();
        assertThat(state.takes(new StudentEvent.Marked(performed, DAY.minusDays(1))))
                .isFalse();
        assertThat(state.takes(new StudentEvent.Marked(performed, DAY))).isTrue();
        assertThat(state.takes(new StudentEvent.Marked(performed, null))).isTrue();
        assertThat(state.takes(new StudentEvent.Marked(received, DAY.minusDays(1))))
                .isTrue();
        assertThat(state.after(new StudentEvent.Marked(performed, null)).skills())
                .isEqualTo(state.skills());
        assertThat(state.after(new StudentEvent.Marked(received, DAY)).skills()).isEqualTo(state.skills());
        assertThat(state.after(new StudentEvent.Marked(performed, DAY)).skills())
                .isNotEqualTo(state.skills());
        assertThat(state.after(new StudentEvent.Marked(performed, DAY)).marks().subjects())
                .containsExactly("throw");
    }

    static LongStream seeds() {
        return LongStream.range(0, 500);
    }

    /** A life on the mat, in any order: the fold says what everything read again says. */
    @ParameterizedTest
    @MethodSource("seeds")
    void theFoldEqualsTheSlowReplay(long seed) {
        Random random = new Random(seed);
        List<String> subjects = List.of("throw", "sweep", "lock");
        List<String> versions = List.of("", "kneeling");
        for (int i = 0; i < 60; i++) {
            String subject = subjects.get(random.nextInt(3));
            LocalDate day = DAY.plusDays(random.nextInt(120));
            switch (random.nextInt(5)) {
                case 0, 1, 2 ->
                    training.drill(
                            subject,
                            day,
                            Side.values()[random.nextInt(3)],
                            1 + random.nextInt(14),
                            random.nextInt(4) == 0,
                            random.nextInt(6) == 0 ? Role.RECEIVER : null);
                case 3 -> {
                    String version = versions.get(random.nextInt(2));
                    Standard standard = Standard.values()[2 + random.nextInt(3)];
                    training.marks.add(MarkBuilder.builder()
                            .id("r" + i)
                            .student("ana")
                            .subject(subject)
                            .side(Side.values()[random.nextInt(3)])
                            .version(version.isEmpty() ? null : version)
                            .standard(standard)
                            .passed(random.nextBoolean())
                            .faults(random.nextBoolean() ? List.of("f") : null)
                            .classId(random.nextBoolean() ? training.attend(day) : null)
                            .at(Instant.ofEpochSecond(random.nextInt(40)))
                            .by("coach")
                            .build());
                }
                default -> {
                    if (!training.marks.isEmpty()) {
                        Mark back = training.marks.get(random.nextInt(training.marks.size()));
                        training.marks.add(MarkBuilder.builder()
                                .id("b" + i)
                                .student("ana")
                                .subject(back.subject())
                                .side(back.side())
                                .version(back.version())
                                .standard(back.standard())
                                .classId(back.classId())
                                .at(Instant.ofEpochSecond(50))
                                .by("coach")
                                .withdraws(back.id())
                                .build());
                    }
                }
            }
        }
        for (String subject : subjects) {
            if (random.nextInt(3) == 0) {
                LocalDate on = DAY.plusDays(random.nextInt(240) - 120);
                training.credits.add(new Credit(
                        "cr-" + subject,
                        "ana",
                        subject,
                        Side.values()[random.nextInt(3)],
                        1 + random.nextInt(12),
                        on,
                        "elsewhere",
                        null,
                        null));
            }
        }
        if (random.nextInt(4) > 0) {
            training.brought.add(brought(random, subjects));
        }
        training.classes.replaceAll(
                c -> random.nextInt(10) == 0 ? TinyClub.trained(c.id(), c.date(), c.track(), null, true) : c);
        StudentRecord record = training.record();
        StudentState state = record.state(List.of(), new TinyMap().map());
        addedLast(state, record, subjects);
        SlowReplay slow = new SlowReplay(record);
        for (String subject : subjects) {
            for (Side side : List.of(Side.RIGHT, Side.LEFT)) {
                assertThat(state.on(subject, side).orElse(null)).isEqualTo(slow.fading(subject, side));
                for (String version : versions) {
                    assertThat(state.marks()
                                    .best(subject, Role.PERFORMER, side, version)
                                    .orElse(null))
                            .isEqualTo(slow.best(subject, side, version));
                }
            }
        }
        asItWas(record, DAY.plusDays(random.nextInt(120)), subjects, versions);
    }

    private static Brought brought(Random random, List<String> subjects) {
        List<Brought.Had> had = subjects.stream()
                .filter(subject -> random.nextBoolean())
                .map(subject -> new Brought.Had(
                        subject,
                        Role.PERFORMER,
                        Side.values()[random.nextInt(3)],
                        random.nextBoolean() ? null : "kneeling",
                        Standard.values()[random.nextInt(5)],
                        false))
                .toList();
        return new Brought(
                "br",
                "ana",
                "adult",
                "green",
                Brought.Answer.ALL,
                had,
                DAY.plusDays(random.nextInt(160) - 20),
                Instant.ofEpochSecond(random.nextInt(40)),
                "head");
    }

    /** Written down last and taken, it says what everything folded again says. */
    private static void addedLast(StudentState whole, StudentRecord all, List<String> subjects) {
        Training without = new Training();
        without.classes.addAll(all.attended());
        without.practice.addAll(all.practice());
        without.marks.addAll(all.marks());
        without.credits.addAll(all.credits());
        StudentState state = without.state();
        for (Brought one : all.brought()) {
            StudentEvent came = new StudentEvent.Came(one);
            boolean isAfterAll = state.skills().entrySet().stream()
                    .filter(skill -> one.had().stream()
                            .anyMatch(had -> had.subject().equals(skill.getKey().subject())
                                    && had.side().covers(skill.getKey().side())))
                    .noneMatch(skill -> skill.getValue().latest().day().isAfter(one.on()));
            assertThat(state.takes(came)).isEqualTo(isAfterAll);
            if (!isAfterAll) {
                return;
            }
            state = state.after(came);
        }
        for (String subject : subjects) {
            assertThat(state.on(subject, null)).isEqualTo(whole.on(subject, null));
            assertThat(state.marks().known(subject)).isEqualTo(whole.marks().known(subject));
        }
        assertThat(state.skills()).isEqualTo(whole.skills());
    }

    /** Of an earlier day: as if what came after had not been recorded, and what was taken back had never been. */
    private static void asItWas(StudentRecord all, LocalDate day, List<String> subjects, List<String> versions) {
        StudentState then = all.until(day, ZoneOffset.UTC).state(List.of(), new TinyMap().map());
        List<Mark> marks = all.marks().stream()
                .filter(m -> m.withdraws() == null
                        && all.marks().stream().noneMatch(b -> m.id().equals(b.withdraws()))
                        && (m.classId() == null
                                || !all.markedIn().get(m.classId()).isAfter(day)))
                .toList();
        SlowReplay slow = new SlowReplay(new StudentRecord(
                "ana",
                List.of(),
                all.attended().stream().filter(c -> !c.date().isAfter(day)).toList(),
                all.practice(),
                marks,
                all.markedIn(),
                null,
                java.util.Map.of(),
                all.credits().stream().filter(c -> !c.on().isAfter(day)).toList(),
                all.brought().stream().filter(b -> !b.on().isAfter(day)).toList()));
        for (String subject : subjects) {
            for (Side side : List.of(Side.RIGHT, Side.LEFT)) {
                assertThat(then.on(subject, side).orElse(null)).isEqualTo(slow.fading(subject, side));
                for (String version : versions) {
                    assertThat(then.marks()
                                    .best(subject, Role.PERFORMER, side, version)
                                    .orElse(null))
                            .isEqualTo(slow.best(subject, side, version));
                }
            }
        }
    }
}
