package lynchet.server.term;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedSet;
import java.util.TreeSet;
import lynchet.core.map.Stage;
import lynchet.core.mat.TrainingClass;
import lynchet.core.term.ExpectedRecall;
import lynchet.core.term.TermPlan;
import lynchet.core.term.TermQuestion;
import lynchet.core.term.plan.Impossible;
import lynchet.core.term.plan.Item;
import lynchet.core.term.plan.Lesson;
import lynchet.core.term.plan.PlanSays;
import lynchet.core.term.plan.Planner;
import lynchet.core.term.plan.PlanningTask;
import org.jspecify.annotations.Nullable;

/**
 * A plan as the field and the week show it.
 *
 * @param grading the day of the exam; null: there is none
 * @param people how many of the track come
 * @param impossible why it cannot be planned; empty where nothing stands in the way
 * @param says what is broken, to be minded, and why it is as it is
 */
record PlanView(
        TermPlan plan,
        String termName,
        LocalDate from,
        LocalDate until,
        @Nullable LocalDate grading,
        LocalDate today,
        int people,
        List<Lessoned> lessons,
        List<GoalRow> rows,
        List<Impossible> impossible,
        List<PlanSays.Said> says) {

    /**
     * A class of the term.
     *
     * @param used minutes of technique that stand in it
     * @param own whether a coach has made its blocks
     */
    record Lessoned(
            String id,
            String slot,
            LocalDate date,
            LocalTime start,
            @Nullable String coach,
            LocalDate week,
            int minutes,
            int used,
            boolean over,
            boolean own,
            boolean cancelled,
            boolean pinned) {}

    /**
     * A goal over the term.
     *
     * @param fresh whether the track meets it for the first time
     * @param at places of the classes in which it is met
     * @param kept those of them where it is kept
     * @param before expected recall on the day of each class, before it, 0 to 1
     * @param after and after it
     * @param end expected recall on the day of the grading, or at the end of the term
     * @param first minutes when it is shown first
     */
    record GoalRow(
            String subject,
            String name,
            Stage stage,
            boolean must,
            boolean fresh,
            @Nullable LocalDate week,
            List<Integer> at,
            List<Integer> kept,
            List<Double> before,
            List<Double> after,
            double end,
            int first,
            int again) {}

    static PlanView of(TermDesk.Opened opened, Planner.Placing placing, List<Impossible> more) {
        TermQuestion question = opened.question();
        PlanningTask asked = question.asked();
        List<Impossible> impossible = new ArrayList<>(Impossible.of(asked));
        impossible.addAll(more);
        List<PlanSays.Said> says = new ArrayList<>(opened.plan().goals().stream()
                .filter(goal -> opened.tooYoung(goal) > 0)
                .map(goal -> new PlanSays.Said(
                        PlanSays.Level.BREAKS,
                        opened.teaching().name(goal) + " is not for everybody here: " + opened.tooYoung(goal)
                                + " are too young for it.",
                        List.of(goal.subject()),
                        null))
                .toList());
        says.addAll(PlanSays.of(asked, placing));
        LocalDate end = opened.grading() == null ? opened.term().until() : opened.grading();
        return new PlanView(
                opened.plan(),
                opened.term().name(),
                opened.term().from(),
                opened.term().until(),
                opened.grading(),
                opened.today(),
                opened.people().size(),
                question.classes().stream()
                        .map(held -> lesson(held, question, placing))
                        .toList(),
                opened.plan().goals().stream()
                        .map(goal -> row(goal, opened, placing, end))
                        .toList(),
                impossible,
                says);
    }

    private static Lessoned lesson(TermQuestion.TermClass held, TermQuestion question, Planner.Placing placing) {
        TrainingClass training = held.training();
        PlanningTask asked = question.asked();
        int at = question.classes().indexOf(held);
        Lesson lesson = asked.lessons().get(at);
        int used = asked.items().stream()
                .filter(item -> placing.of(item.id()).contains(at))
                .mapToInt(item -> item.fresh() && placing.of(item.id()).first() == at ? item.first() : item.again())
                .sum();
        return new Lessoned(
                training.id(),
                lesson.slot(),
                training.date(),
                training.start(),
                training.coach(),
                lesson.week(),
                lesson.minutes(),
                used,
                held.over(),
                held.own() && !held.over(),
                training.cancelled(),
                training.pinned());
    }

    private static GoalRow row(TermPlan.Goal goal, TermDesk.Opened opened, Planner.Placing placing, LocalDate end) {
        PlanningTask asked = opened.question().asked();
        Item item = asked.items().stream()
                .filter(one -> one.id().equals(goal.subject()))
                .findFirst()
                .orElseThrow();
        SortedSet<Integer> at = placing.of(goal.subject());
        List<LocalDate> days = asked.lessons().stream().map(Lesson::date).toList();
        Map<LocalDate, Double> likely = likely(opened, goal, at, days, end);
        List<Integer> kept = opened.plan().placed().stream()
                .filter(one -> one.kept() && one.goal().equals(goal.subject()))
                .flatMap(one -> asked.lessons().stream()
                        .filter(lesson -> lesson.id().equals(one.classId()))
                        .map(Lesson::index))
                .toList();
        return new GoalRow(
                goal.subject(),
                item.name(),
                opened.teaching().stage(goal),
                goal.must(),
                item.fresh(),
                goal.week(),
                List.copyOf(at),
                kept,
                days.stream().map(day -> likely.get(day.minusDays(1))).toList(),
                days.stream().map(likely::get).toList(),
                likely.get(end),
                item.first(),
                item.again());
    }

    /**
     * What is likely there on the day of each class, the day before, and at the end; until today by what was taught this term, from
     * today on by how everybody stands and what is planned.
     */
    private static Map<LocalDate, Double> likely(
            TermDesk.Opened opened, TermPlan.Goal goal, SortedSet<Integer> at, List<LocalDate> days, LocalDate end) {
        SortedSet<LocalDate> all = new TreeSet<>(days);
        days.forEach(day -> all.add(day.minusDays(1)));
        all.add(end);
        List<LocalDate> past = List.copyOf(all.headSet(opened.today()));
        List<LocalDate> since = List.copyOf(all.tailSet(opened.today()));
        List<ExpectedRecall.Learner> now = opened.learners(goal.subject());
        List<ExpectedRecall.Learner> bare = now.stream()
                .map(one -> new ExpectedRecall.Learner(null, one.comes()))
                .toList();
        Map<LocalDate, Double> likely = new HashMap<>();
        put(likely, past, ExpectedRecall.expected(bare, met(opened, at, true), past));
        put(likely, since, ExpectedRecall.expected(now, met(opened, at, false), since));
        return likely;
    }

    private static List<ExpectedRecall.Meeting> met(TermDesk.Opened opened, SortedSet<Integer> at, boolean over) {
        return at.stream()
                .filter(c -> opened.question().classes().get(c).over() == over)
                .map(c -> opened.question().asked().lessons().get(c))
                .map(lesson -> new ExpectedRecall.Meeting(lesson.date(), lesson.slot()))
                .toList();
    }

    private static void put(Map<LocalDate, Double> likely, List<LocalDate> days, double[] heights) {
        for (int n = 0; n < heights.length; n++) {
            likely.put(days.get(n), Math.round(1000 * heights[n]) / 1000.0);
        }
    }
}
