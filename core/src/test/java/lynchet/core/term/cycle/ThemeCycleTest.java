package lynchet.core.term.cycle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lynchet.core.card.Family;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.core.term.Calendar;
import lynchet.core.term.Closure;
import lynchet.core.term.PlannedClasses.Stands;
import lynchet.core.term.Teaching;
import lynchet.core.term.Term;
import lynchet.core.term.TermPlan;
import lynchet.core.term.cycle.ThemeCycle.Theme;
import org.junit.jupiter.api.Test;

class ThemeCycleTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 11, 2);
    private static final List<String> EASY = List.of("a", "b", "c", "d", "e", "f", "g", "h");

    private final Teaching teaching = teaching();
    private final Track track = new Track(
            "all",
            "All",
            null,
            List.of(slot("tue", DayOfWeek.TUESDAY, 60), slot("thu", DayOfWeek.THURSDAY, 60)),
            List.of());

    /** Eight that take 12 minutes, d after c; "late" takes 29 and builds on a; two that throw. */
    private static Teaching teaching() {
        TinyMap map = new TinyMap()
                .pair("grips", Stage.GRIPPED, 0)
                .pair("guard", Stage.LEGS_BETWEEN, 0.5)
                .pair("mount", Stage.LEGS_CLEARED, 2.5)
                .add(TinyMap.card("side-fall", Family.BREAKFALL, 1, List.of(), List.of()))
                .add(TinyMap.card("throw", Family.THROW, 3, List.of(), List.of("side-fall")))
                .add(TinyMap.technique("late", 5, "a"))
                .add(TinyMap.technique("after", 1, "late"))
                .link("throw", "grips", "throw", "mount")
                .link("late", "mount", "late", "guard");
        for (String one : EASY) {
            map.add(TinyMap.technique(one, 1, one.equals("d") ? new String[] {"c"} : new String[0]));
            map.link(one, one.compareTo("e") < 0 ? "guard" : "mount", one, "mount");
        }
        return new Teaching(map.map(), List.of());
    }

    private static Track.Slot slot(String id, DayOfWeek day, int minutes) {
        return new Track.Slot(id, null, null, day, LocalTime.of(18, 0), minutes, null, null, 0);
    }

    private static Theme theme(String name, String... subjects) {
        return new Theme(name, List.of(subjects));
    }

    private static ThemeCycle cycle(Theme... themes) {
        return new ThemeCycle("c", "all", MONDAY.plusDays(3), 0, List.of(themes));
    }

    private Calendar calendar(List<Term> terms, Closure... closed) {
        return Calendar.of(List.of(track), terms, List.of(closed));
    }

    private CycledClasses classes(Calendar calendar, List<TermPlan> plans, ThemeCycle cycle) {
        return new CycledClasses(List.of(cycle), plans, calendar, teaching);
    }

    /** What a class is about: shown, and met again in brackets. */
    private static List<String> told(List<Stands> stands) {
        return stands.stream()
                .map(one ->
                        one.isFirst() ? one.goal().subject() : "(" + one.goal().subject() + ")")
                .toList();
    }

    private List<List<String>> told(Theme theme, Theme last, int round, Integer... minutes) {
        return Portions.of(theme, last, List.of(minutes), round, teaching).classes().stream()
                .map(ThemeCycleTest::told)
                .toList();
    }

    @Test
    void aWeekIsSpreadOverItsClassesAndMeetsTheLastOneAgain() {
        Theme now = theme("Now", "a", "b", "e");
        Theme last = theme("Last", "f", "g", "h");
        // Each 12 minutes shown and 10 again: a and e leave 6 of 30, b leaves 18, enough for one of last week's.
        assertThat(told(now, last, 0, 30, 30)).containsExactly(List.of("a", "e"), List.of("b", "(f)"));
        assertThat(told(now, last, 1, 30, 30))
                .as("in the next round the classes change, and another of last week's comes")
                .containsExactly(List.of("b", "(g)"), List.of("a", "e"));
        assertThat(told(now, last, 0, 45, 45))
                .as("with more time, what Tuesday has shown comes again on Thursday, after last week's")
                .containsExactly(List.of("a", "e", "(f)", "(g)"), List.of("b", "(h)", "(a)", "(e)"));
        assertThat(told(theme("t", "a"), theme("l", "b", "e", "f", "g", "h"), 0, 90))
                .as("five are enough")
                .containsExactly(List.of("a", "(b)", "(e)", "(f)", "(g)"));
        assertThat(told(now, null, 0, 60)).as("a first week with one class").containsExactly(List.of("a", "b", "e"));
    }

    @Test
    void whatBuildsOnEachOtherIsShownTogetherOrInOrder() {
        assertThat(told(theme("t", "d", "b", "c"), null, 0, 30, 30))
                .containsExactly(List.of("c", "d"), List.of("b", "(c)"));
        assertThat(told(theme("t", "d", "c"), null, 0, 20, 20)).containsExactly(List.of("c"), List.of("d"));
        assertThat(told(theme("t", "d", "c"), null, 1, 20, 20))
                .as("in order, so the classes do not change")
                .containsExactly(List.of("c"), List.of("d"));
        Portions order = Portions.of(theme("t", "late", "after"), null, List.of(20, 30), 0, teaching);
        assertThat(order.left())
                .as("there is room for it on Tuesday, before what it builds on")
                .containsExactly("after");
        Portions tight = Portions.of(theme("t", "a", "b", "e"), null, List.of(20), 0, teaching);
        assertThat(tight.left()).containsExactly("b", "e");
    }

    @Test
    void holidaysAndTermsWithAPlanPutTheCycleOff() {
        ThemeCycle cycle = cycle(theme("One", "a"), theme("Two", "b"), theme("Three", "e"));
        Closure holidays = new Closure(
                "h", "Holidays", MONDAY.plusWeeks(1), MONDAY.plusWeeks(1).plusDays(6), List.of());
        Closure aDay = new Closure(
                "x",
                "Hall",
                MONDAY.plusWeeks(2).plusDays(1),
                MONDAY.plusWeeks(2).plusDays(1),
                List.of());
        Term term = new Term(
                "t", "Term", MONDAY.plusWeeks(3), MONDAY.plusWeeks(4).minusDays(1), List.of("tue"), null, null);
        TermPlan plan =
                new TermPlan("p", "t", "all", 2, 0, List.of(new TermPlan.Goal("a", null, true, null, false)), null);
        Calendar calendar = calendar(List.of(term), holidays, aDay);
        CycledClasses planned = classes(calendar, List.of(plan), cycle);
        List<String> weeks = planned.weeks("all").orElseThrow().from(MONDAY, 5).stream()
                .map(week -> week.monday() + " " + week.round() + "." + week.theme() + " "
                        + week.classes().size())
                .toList();
        assertThat(weeks)
                .containsExactly(
                        "2026-11-02 0.0 2",
                        "2026-11-16 0.1 1",
                        "2026-11-30 0.2 2",
                        "2026-12-07 1.0 2",
                        "2026-12-14 1.1 2");
        assertThat(planned.weeks("all").orElseThrow().of(MONDAY.minusDays(1))).isEmpty();
        assertThat(planned.weeks("all").orElseThrow().of(MONDAY.plusWeeks(1))).isEmpty();
        assertThat(planned.weeks("all").orElseThrow().of(MONDAY.plusYears(30))).isEmpty();
        assertThat(classes(calendar, List.of(), cycle)
                        .weeks("all")
                        .orElseThrow()
                        .of(MONDAY.plusWeeks(3)))
                .as("a term without a plan is taught by the cycle")
                .hasValueSatisfying(week -> assertThat(week.classes()).hasSize(1));
    }

    @Test
    void aClassNobodyHasMadeIsFilledByItsThemeWeek() {
        CycledClasses cycled = classes(calendar(List.of()), List.of(), cycle(theme("One", "throw"), theme("Two", "b")));
        TrainingClass tuesday = calendar(List.of()).find("tue-2026-11-03").orElseThrow();
        TrainingClass filled = cycled.filled(tuesday);
        assertThat(filled.blocks()).extracting(block -> block.title()).startsWith("Warm-up", "side-fall", "throw");
        assertThat(cycled.filled(filled)).as("blocks of a coach's own stay").isSameAs(filled);
        assertThat(cycled.filled(calendar(List.of()).find("tue-2026-10-27").orElseThrow())
                        .blocks())
                .as("before the cycle")
                .isEmpty();
        assertThat(told(cycled.about(calendar(List.of()).find("tue-2026-11-10").orElseThrow())))
                .containsExactly("b", "(throw)");
        assertThat(told(cycled.about(calendar(List.of()).find("tue-2026-11-17").orElseThrow())))
                .as("the second round begins with the last theme of the first behind it")
                .containsExactly("(b)");
        assertThat(told(cycled.about(calendar(List.of()).find("thu-2026-11-19").orElseThrow())))
                .containsExactly("throw");
    }

    @Test
    void saysWhatIsTooMuchAndWhatSomebodyNewHasNotMet() {
        ThemeCycle cycle =
                cycle(theme("Full", "b", "e", "f"), theme("Late", "late", "throw"), theme("Bare"), theme("First", "a"));
        assertThat(ThemeNote.of(cycle, List.of(24), teaching, 5))
                .extracting(note -> note.rule() + " " + note.theme() + ": " + note.sentence())
                .containsExactly(
                        "FULL 0: Full takes 36 minutes of 24 in 1 class: no room for f.",
                        "FULL 1: Late takes 49 minutes of 24 in 1 class: no room for late.",
                        "BUILDS 1: late builds on a, shown in First: whoever begins this week has not met it.",
                        "FALLS 1: Late: 10 falls in one class, 5 are enough.",
                        "EMPTY 2: Bare has nothing in it yet.");
        assertThat(ThemeNote.of(cycle(theme("Fine", "a", "b")), List.of(24), teaching, 20))
                .isEmpty();
    }

    @Test
    void whoeverBeginsInAnyWeekMeetsEverythingInARound() {
        ThemeCycle cycle = cycle(theme("One", "a", "b"), theme("Two", "c", "d"), theme("Three", "e", "f"));
        CycledClasses cycled = classes(calendar(List.of()), List.of(), cycle);
        ThemeWeeks weeks = cycled.weeks("all").orElseThrow();
        LocalDate wednesday = MONDAY.plusWeeks(1).plusDays(2);
        Joining always = Joining.on(wednesday, cycle, weeks, one -> true, week -> cycled.portions(cycle, week));
        // Theme Two was shown on that Tuesday; it comes again in the week of 30 November, on Thursday then.
        assertThat(always).isEqualTo(new Joining(LocalDate.of(2026, 11, 12), 4, 6, LocalDate.of(2026, 12, 3)));
        Joining friday =
                Joining.on(MONDAY.plusDays(4), cycle, weeks, one -> true, week -> cycled.portions(cycle, week));
        assertThat(friday)
                .as("the week that is over does not count")
                .isEqualTo(new Joining(LocalDate.of(2026, 11, 10), 6, 6, LocalDate.of(2026, 11, 26)));
        Joining tuesdays =
                Joining.on(MONDAY, cycle, weeks, one -> "tue".equals(one.slot()), week -> cycled.portions(cycle, week));
        assertThat(tuesdays).isEqualTo(new Joining(LocalDate.of(2026, 11, 3), 4, 6, LocalDate.of(2026, 12, 8)));
    }

    @Test
    void spreadsWhatBelongsTogetherIntoEvenWeeks() {
        List<String> all = Stream.concat(EASY.stream(), Stream.of("throw")).toList();
        assertThat(Spread.of(all, 0, List.of(24, 24), teaching))
                .as("20 and 8 · 12 minutes; no week without room")
                .hasSize(3)
                .allSatisfy(week -> assertThat(Portions.of(week, null, List.of(24, 24), 0, teaching)
                                .left())
                        .isEmpty());
        assertThat(Spread.of(List.of("throw", "a", "b", "e", "f", "g", "h"), 3, List.of(36), teaching))
                .as("rather mixed than too full")
                .hasSize(3)
                .allSatisfy(week -> assertThat(Portions.of(week, null, List.of(36), 0, teaching)
                                .left())
                        .isEmpty());
        assertThat(Spread.of(List.of("late", "a"), 0, List.of(20), teaching))
                .as("what no class bears stands alone")
                .hasSize(2);
        assertThat(Spread.of(all, 3, List.of(60), teaching))
                .extracting(week -> week.name() + " " + week.subjects())
                .containsExactly(
                        "Throws [throw]", "Getting out of guard [a, b, c, d]", "Getting out of mount [e, f, g, h]");
        assertThat(Spread.of(all, 52, List.of(60), teaching))
                .as("no empty weeks; what builds on each other stays together")
                .hasSize(8)
                .anySatisfy(week -> assertThat(week.subjects()).containsExactly("c", "d"));
        assertThat(Spread.of(all, 5, List.of(60), teaching))
                .extracting(Theme::name)
                .doesNotHaveDuplicates();
        assertThat(Spread.of(IntStream.range(0, 200).mapToObj(n -> "x" + n).toList(), 0, List.of(24), teaching))
                .as("a cycle has no more weeks than these, however much there is")
                .hasSize(52);
        assertThat(Spread.of(List.of(), 4, List.of(60), teaching)).isEmpty();
    }

    /** In plain loops, over 300 random weeks. */
    @Test
    void portionsKeepTheirMinutesAndTheirOrder() {
        Random random = new Random(7);
        List<String> all = new ArrayList<>(EASY);
        all.add("throw");
        all.add("late");
        for (int n = 0; n < 300; n++) {
            List<String> mixed = new ArrayList<>(all);
            Collections.shuffle(mixed, random);
            Theme now = theme("now", mixed.subList(0, 1 + random.nextInt(6)).toArray(new String[0]));
            Theme last = theme("last", mixed.subList(4, 4 + random.nextInt(6)).toArray(new String[0]));
            int many = 1 + random.nextInt(3);
            int bears = 20 + random.nextInt(40);
            List<Integer> minutes =
                    IntStream.range(0, many).mapToObj(one -> bears).toList();
            Map<String, Set<Integer>> shownAt = new TreeMap<>();
            for (int round = 0; round < many; round++) {
                Portions portions = Portions.of(now, last, minutes, round, teaching);
                Set<String> shown = new HashSet<>();
                for (int at = 0; at < many; at++) {
                    int used = 0;
                    Set<String> here = new HashSet<>();
                    for (Stands one : portions.classes().get(at)) {
                        String subject = one.goal().subject();
                        used += one.minutes();
                        assertThat(here.add(subject)).as("twice in a class").isTrue();
                        if (one.isFirst()) {
                            assertThat(shown.add(subject)).as("shown twice").isTrue();
                            shownAt.computeIfAbsent(subject, id -> new HashSet<>())
                                    .add(at);
                            if (subject.equals("d") && has(now, "c") && has(portions, "c")) {
                                assertThat(shown).as("c before d").contains("c");
                            }
                        } else {
                            assertThat(shown.contains(subject) || has(last, subject))
                                    .as("met before")
                                    .isTrue();
                        }
                    }
                    assertThat(used).isLessThanOrEqualTo(bears);
                }
                portions.left().forEach(one -> assertThat(shown).doesNotContain(one));
                assertThat(shown)
                        .hasSize(now.subjects().size() - portions.left().size());
            }
            boolean builds = has(now, "d") && has(now, "c") || has(now, "late") && has(now, "a");
            if (!builds) {
                shownAt.values().forEach(at -> assertThat(at)
                        .as("every class shows it once in so many rounds")
                        .hasSize(many));
            }
        }
    }

    private static boolean has(Theme theme, String subject) {
        return theme.subjects().contains(subject);
    }

    private static boolean has(Portions portions, String subject) {
        return !portions.left().contains(subject);
    }

    @Test
    void refusesWhatIsNoCycle() {
        assertThat(theme("One", "a", "b", "a").subjects()).containsExactly("a", "b");
        assertThatThrownBy(() -> new Theme(" ", List.of())).hasMessageContaining("the name of a theme");
        assertThat(cycle(theme("One", "a", "b")).about("a", "b").themes().get(0).subjects())
                .containsExactly("b");
    }
}
