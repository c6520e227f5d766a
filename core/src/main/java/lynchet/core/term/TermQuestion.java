package lynchet.core.term;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import lynchet.core.mat.Block;
import lynchet.core.mat.TrainingClass;
import lynchet.core.term.plan.Item;
import lynchet.core.term.plan.Lesson;
import lynchet.core.term.plan.Planner;
import lynchet.core.term.plan.PlanningTask;
import org.jspecify.annotations.Nullable;

/** A term as the planner is asked about it, and its answer as a plan again. */
public final class TermQuestion {

    /**
     * A class of the track in the term, as it stands.
     *
     * @param over whether it is over
     * @param own whether a coach made its blocks: then the plan leaves it alone
     * @param taught subjects that were practised in it; of one that is over
     */
    public record TermClass(TrainingClass training, boolean over, boolean own, Set<String> taught) {
        public TermClass {
            taught = Set.copyOf(taught);
        }
    }

    private final TermPlan plan;
    private final List<TermClass> classes;
    private final PlanningTask asked;

    private TermQuestion(TermPlan plan, List<TermClass> classes, PlanningTask asked) {
        this.plan = plan;
        this.classes = classes;
        this.asked = asked;
    }

    /**
     * The question.
     *
     * @param grading day of the exam; null: there is none
     * @param classes those of the track that stand in weekly times, in their order
     * @param known whether the track has met something before this term
     * @param mostFalls falls that a class bears
     */
    public static TermQuestion of(
            TermPlan plan,
            @Nullable LocalDate grading,
            List<TermClass> classes,
            Teaching teaching,
            Predicate<String> known,
            double mostFalls) {
        List<Lesson> lessons = new ArrayList<>();
        Map<String, Integer> places = new HashMap<>();
        for (TermClass held : classes) {
            TrainingClass training = held.training();
            boolean bears = !held.over() && !held.own() && !training.pinned() && !training.cancelled();
            places.put(training.id(), lessons.size());
            lessons.add(new Lesson(
                    training.id(),
                    lessons.size(),
                    training.date(),
                    training.date().with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)),
                    String.valueOf(training.slot()),
                    training.cancelled() ? 0 : minutes(plan, training),
                    plan.fresh(),
                    bears,
                    !bears && !held.over() && !training.cancelled()));
        }
        Set<String> subjects = plan.goals().stream().map(TermPlan.Goal::subject).collect(Collectors.toSet());
        List<Item> items = plan.goals().stream()
                .map(goal -> new Item(
                        goal.subject(),
                        teaching.name(goal),
                        goal.must(),
                        !known.test(goal.subject()),
                        teaching.standing(goal),
                        teaching.first(goal),
                        teaching.again(goal),
                        teaching.falls(goal),
                        among(teaching.needs(goal), subjects),
                        among(teaching.beside(goal), subjects),
                        goal.week()))
                .toList();
        Map<String, SortedSet<Integer>> set = new TreeMap<>();
        Map<String, SortedSet<Integer>> was = new TreeMap<>();
        for (TermPlan.Placed placed : plan.placed()) {
            Integer at = places.get(placed.classId());
            if (at == null || classes.get(at).over()) {
                continue; // what did not happen stands nowhere
            }
            TermClass held = classes.get(at);
            if (held.training().cancelled() || held.own()) {
                add(was, placed.goal(), at);
                continue;
            }
            add(was, placed.goal(), at);
            if (placed.kept() || held.training().pinned()) {
                add(set, placed.goal(), at);
            }
        }
        for (int at = 0; at < classes.size(); at++) {
            for (String subject : happens(classes.get(at))) {
                if (subjects.contains(subject)) {
                    add(set, subject, at);
                }
            }
        }
        return new TermQuestion(plan, classes, new PlanningTask(lessons, items, grading, mostFalls, set, was));
    }

    /**
     * Whether a track knows something before a term: it was taught in the year before, and at least half of those who come
     * have had it.
     *
     * @param had how many of those who come have had it
     */
    public static boolean isKnownBefore(boolean taught, long had, int coming) {
        return taught && 2 * had >= coming;
    }

    /** What was done in a class that is over, or what a coach has put into one that is to come. */
    private static Set<String> happens(TermClass held) {
        if (held.over()) {
            return held.taught();
        }
        if (!held.own() || held.training().cancelled()) {
            return Set.of();
        }
        return held.training().blocks().stream()
                .filter(Block::drills)
                .map(block -> block.technique() == null ? block.chain() : block.technique())
                .filter(subject -> subject != null)
                .collect(Collectors.toSet());
    }

    /** Minutes of technique that a class bears. */
    public static int minutes(TermPlan plan, TrainingClass training) {
        return plan.minutes() == 0 ? training.minutes() / 2 : Math.min(plan.minutes(), training.minutes());
    }

    private static void add(Map<String, SortedSet<Integer>> to, String subject, int at) {
        to.computeIfAbsent(subject, id -> new TreeSet<>()).add(at);
    }

    private static Set<String> among(Set<String> some, Set<String> all) {
        return some.stream().filter(all::contains).collect(Collectors.toSet());
    }

    public PlanningTask asked() {
        return asked;
    }

    public List<TermClass> classes() {
        return classes;
    }

    /** Where everything stands now: what happened, and what is planned in classes that are to come. */
    public Planner.Placing standing() {
        Map<String, SortedSet<Integer>> at = new TreeMap<>();
        asked.set().forEach((item, on) -> at.computeIfAbsent(item, id -> new TreeSet<>())
                .addAll(on));
        asked.was().forEach((item, on) -> on.stream()
                .filter(c -> asked.lessons().get(c).open()
                        || classes.get(c).training().pinned())
                .forEach(c -> add(at, item, c)));
        return Planner.Placing.of(asked, at);
    }

    /** The plan as the planner answered; what is over stays written as it was planned. */
    public TermPlan answered(Planner.Placing placing) {
        Map<String, TermPlan.Placed> before = new HashMap<>();
        plan.placed().forEach(one -> before.put(one.goal() + " " + one.classId(), one));
        List<TermPlan.Placed> placed = new ArrayList<>(plan.placed().stream()
                .filter(one -> classes.stream()
                        .anyMatch(held -> held.over() && held.training().id().equals(one.classId())))
                .toList());
        for (TermPlan.Goal goal : plan.goals()) {
            for (int at : placing.of(goal.subject())) {
                TermClass held = classes.get(at);
                TrainingClass training = held.training();
                if (held.over() || held.own() || training.slot() == null) {
                    continue;
                }
                TermPlan.Placed was = before.get(goal.subject() + " " + training.id());
                placed.add(
                        was != null
                                ? was
                                : new TermPlan.Placed(goal.subject(), training.slot(), training.date(), false));
            }
        }
        List<TermPlan.Goal> goals = plan.goals().stream()
                .map(goal -> new TermPlan.Goal(
                        goal.technique(), goal.chain(), goal.must(), goal.week(), isKnown(goal.subject())))
                .toList();
        return plan.placing(goals, placed);
    }

    /** Whether the track knew it before the term, or was taught it since. */
    private boolean isKnown(String subject) {
        boolean isTaught = asked.set().getOrDefault(subject, new TreeSet<>()).stream()
                .anyMatch(at -> classes.get(at).over());
        return isTaught || asked.items().stream().anyMatch(item -> item.id().equals(subject) && !item.fresh());
    }
}
