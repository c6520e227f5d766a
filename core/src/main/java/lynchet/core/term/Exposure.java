package lynchet.core.term;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedSet;
import java.util.stream.Collectors;
import lynchet.core.rule.Require;
import lynchet.core.term.plan.Planner;

/**
 * Who has met what this term, and how often they are likely to meet it still, by the days on which they come; and what was
 * planned beside what was done.
 *
 * @param items in the order of the plan's goals
 * @param people those who have met least first
 */
public record Exposure(List<OfItem> items, List<OfPerson> people) {

    /**
     * An item over the classes of the term.
     *
     * @param planned in how many classes that are over it stood in the plan
     * @param done in how many of all that are over it was practised
     * @param skipped in how many it was planned and not practised
     * @param ahead in how many that are to come it stands
     */
    public record OfItem(String subject, String name, boolean must, int planned, int done, int skipped, int ahead) {}

    /**
     * Somebody.
     *
     * @param met by item, places of the classes in which they met it
     * @param ahead by item, how often they are likely to meet it still
     * @param never how many items they have not met
     */
    public record OfPerson(String student, List<List<Integer>> met, List<Double> ahead, int never) {}

    public Exposure {
        items = Require.list(items);
        people = Require.list(people);
    }

    /**
     * @param classes the track's classes of the term, in their order
     * @param standing where everything stands
     * @param here who came to the classes that are over, by class
     * @param comes chance of coming, 0 to 1, by person and weekly time
     */
    public static Exposure of(
            TermPlan plan,
            List<TermQuestion.TermClass> classes,
            Planner.Placing standing,
            Teaching teaching,
            Map<String, Set<String>> here,
            Map<String, Map<String, Double>> comes) {
        Map<String, Set<String>> planned = plan.placed().stream()
                .collect(Collectors.groupingBy(
                        TermPlan.Placed::goal, Collectors.mapping(TermPlan.Placed::classId, Collectors.toSet())));
        List<OfItem> items = plan.goals().stream()
                .map(goal -> item(goal, planned.getOrDefault(goal.subject(), Set.of()), classes, standing, teaching))
                .toList();
        List<OfPerson> people = new ArrayList<>();
        comes.forEach((student, times) -> people.add(person(student, plan, classes, standing, here, times)));
        people.sort(Comparator.comparing((OfPerson one) -> -one.never())
                .thenComparing(one -> one.met().stream().mapToInt(List::size).sum())
                .thenComparing(OfPerson::student));
        return new Exposure(items, people);
    }

    private static OfItem item(
            TermPlan.Goal goal,
            Set<String> plannedIn,
            List<TermQuestion.TermClass> classes,
            Planner.Placing standing,
            Teaching teaching) {
        String subject = goal.subject();
        int planned = 0;
        int done = 0;
        int skipped = 0;
        for (TermQuestion.TermClass held : classes) {
            if (held.over()) {
                boolean isPlanned = plannedIn.contains(held.training().id());
                boolean isDone = held.taught().contains(subject);
                planned += isPlanned ? 1 : 0;
                done += isDone ? 1 : 0;
                skipped += isPlanned && !isDone ? 1 : 0;
            }
        }
        int ahead = (int) standing.of(subject).stream()
                .filter(at -> !classes.get(at).over())
                .count();
        return new OfItem(subject, teaching.name(goal), goal.must(), planned, done, skipped, ahead);
    }

    private static OfPerson person(
            String student,
            TermPlan plan,
            List<TermQuestion.TermClass> classes,
            Planner.Placing standing,
            Map<String, Set<String>> here,
            Map<String, Double> comes) {
        List<List<Integer>> met = new ArrayList<>();
        List<Double> ahead = new ArrayList<>();
        for (TermPlan.Goal goal : plan.goals()) {
            SortedSet<Integer> at = standing.of(goal.subject());
            met.add(at.stream()
                    .filter(n -> classes.get(n).over()
                            && here.getOrDefault(classes.get(n).training().id(), Set.of())
                                    .contains(student))
                    .toList());
            ahead.add(at.stream()
                    .filter(n -> !classes.get(n).over())
                    .mapToDouble(n -> comes.getOrDefault(
                            String.valueOf(classes.get(n).training().slot()), 0.0))
                    .sum());
        }
        return new OfPerson(
                student, met, ahead, (int) met.stream().filter(List::isEmpty).count());
    }
}
