package lynchet.bench.season;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import lynchet.core.mat.TrainingClass;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.term.TermPlan;
import lynchet.core.term.TermQuestion;
import lynchet.core.term.plan.Impossible;
import lynchet.core.term.plan.Planner;
import lynchet.core.term.plan.PlanningTask;
import lynchet.core.term.tonight.Room;
import lynchet.core.term.tonight.Tonight;
import lynchet.core.term.tonight.Way;

/** Ways to choose what a class teaches; each has the same minutes and at most as many new items. */
final class Teachers {

    private Teachers() {}

    /** The planner's plan, as it stands at the beginning of the term. What does not fit comes if time allows. */
    static Season.Teacher planner(Season season) {
        List<TermPlan.Goal> goals = new ArrayList<>(season.syllabus);
        PlanningTask asked = asked(season, goals);
        for (int n = goals.size() - 1; n >= 0 && !Impossible.of(asked).isEmpty(); n--) {
            TermPlan.Goal last = goals.get(n);
            goals.set(n, new TermPlan.Goal(last.technique(), null, false, null, false));
            asked = asked(season, goals);
        }
        Planner.Placing placing = Planner.plan(asked, Planner.Watch.NOBODY);
        return (lesson, here) -> goals.stream()
                .map(TermPlan.Goal::subject)
                .filter(subject -> placing.of(subject).contains(lesson))
                .toList();
    }

    static PlanningTask asked(Season season, List<TermPlan.Goal> goals) {
        return TermQuestion.of(
                        new TermPlan("plan", "term", "fundamentals", Season.FRESH, Season.MINUTES, goals, List.of()),
                        season.grading,
                        season.lessons.stream()
                                .map(one -> new TermQuestion.TermClass(one, false, false, Set.of()))
                                .toList(),
                        season.teaching,
                        season.known::contains,
                        ClubNumbers.USUAL.mostFalls())
                .asked();
    }

    /**
     * Theme weeks in rotation: so many items of the syllabus in its order, and when it is through from the beginning again; each
     * class teaches what is this week's and repeats last week's, and where minutes are left what was met before that.
     *
     * @param each items of a week
     */
    static Season.Teacher rotation(Season season, int each) {
        List<String> order =
                season.syllabus.stream().map(TermPlan.Goal::subject).toList();
        int slots = season.lessons.size() / Season.WEEKS;
        Set<String> shown = new HashSet<>(season.known);
        Map<String, Integer> met = new HashMap<>();
        return (lesson, here) -> {
            int week = lesson / slots;
            List<String> now = ofWeek(order, each, week);
            List<String> chosen = new ArrayList<>();
            Filling filling = new Filling(season, shown, chosen);
            if (lesson % slots == 0) {
                met.clear();
            }
            Comparator<String> least = Comparator.comparing(subject -> met.getOrDefault(subject, 0));
            now.stream().filter(subject -> !met.containsKey(subject)).toList().forEach(filling::add);
            for (int back = 1; back <= Math.min(1, week); back++) {
                ofWeek(order, each, week - back).stream().sorted(least).forEach(filling::add);
            }
            now.stream().sorted(least).forEach(filling::add);
            for (int back = 2; back <= week; back++) {
                ofWeek(order, each, week - back).stream().sorted(least).forEach(filling::add);
            }
            chosen.forEach(subject -> met.merge(subject, 1, Integer::sum));
            return chosen;
        };
    }

    private static List<String> ofWeek(List<String> order, int each, int week) {
        return IntStream.range(0, each)
                .mapToObj(n -> order.get((week * each + n) % order.size()))
                .toList();
    }

    /** Whatever comes to mind, and what stands beside it in a chain. */
    static Season.Teacher walk(Season season, long seed) {
        Random random = new Random(seed);
        List<String> order =
                season.syllabus.stream().map(TermPlan.Goal::subject).toList();
        Set<String> shown = new HashSet<>(season.known);
        return (lesson, here) -> {
            List<String> chosen = new ArrayList<>();
            Filling filling = new Filling(season, shown, chosen);
            String at = order.get(random.nextInt(order.size()));
            for (int tries = 0; tries < order.size(); tries++) {
                filling.add(at);
                List<String> beside = season.teaching.beside(season.goal(at)).stream()
                        .filter(order::contains)
                        .sorted()
                        .toList();
                at = beside.isEmpty() || random.nextBoolean()
                        ? order.get(random.nextInt(order.size()))
                        : beside.get(random.nextInt(beside.size()));
            }
            return chosen;
        };
    }

    /** Tonight's first proposal, class after class, from who is there; nobody plans. */
    static Season.Teacher tonight(Season season) {
        Set<String> falls = season.falls();
        Set<String> shown = new HashSet<>(season.known);
        return (lesson, here) -> {
            TrainingClass training = season.lessons.get(lesson);
            Room room = new Room(
                    training,
                    here.stream()
                            .map(pupil -> pupil.here(season.syllabus, falls))
                            .toList(),
                    Season.MINUTES,
                    Season.FRESH,
                    List.of(),
                    ClubNumbers.USUAL);
            List<String> chosen = new ArrayList<>();
            Filling filling = new Filling(season, shown, chosen);
            Tonight.of(room, season.teaching).ways().stream()
                    .flatMap(way -> way.lines().stream())
                    .map((Way.Suggested line) -> line.goal().subject())
                    .forEach(filling::add);
            return chosen;
        };
    }

    /**
     * Anybody who knows how each of those who are there remembers, and always teaches what adds most for grading day: no plan can know
     * that much, so this is about what there is to be had.
     */
    static Season.Teacher knowing(Season season) {
        Set<String> shown = new HashSet<>(season.known);
        int later = (int) season.grading.toEpochDay();
        return (lesson, here) -> {
            int now = (int) season.lessons.get(lesson).date().toEpochDay();
            Map<String, Double> gains = new HashMap<>();
            for (TermPlan.Goal goal : season.syllabus) {
                boolean isFirst = !shown.contains(goal.subject());
                gains.put(
                        goal.subject(),
                        here.stream()
                                .mapToDouble(pupil -> pupil.memory().gain(goal.subject(), now, later, isFirst))
                                .sum());
            }
            List<String> chosen = new ArrayList<>();
            Filling filling = new Filling(season, shown, chosen);
            season.syllabus.stream()
                    .map(TermPlan.Goal::subject)
                    .sorted(Comparator.comparing(subject -> -gains.get(subject)))
                    .forEach(filling::add);
            return chosen;
        };
    }

    /** Fills a class as far as its minutes and new items go. */
    private static final class Filling {
        private final Season season;
        private final Set<String> shown;
        private final List<String> chosen;
        private int minutes;
        private int fresh;

        Filling(Season season, Set<String> shown, List<String> chosen) {
            this.season = season;
            this.shown = shown;
            this.chosen = chosen;
        }

        void add(String subject) {
            boolean isFirst = !shown.contains(subject);
            int takes = season.minutes(subject, isFirst);
            if (chosen.contains(subject) || minutes + takes > Season.MINUTES || (isFirst && fresh == Season.FRESH)) {
                return;
            }
            chosen.add(subject);
            shown.add(subject);
            minutes += takes;
            fresh += isFirst ? 1 : 0;
        }
    }
}
