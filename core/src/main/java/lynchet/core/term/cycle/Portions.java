package lynchet.core.term.cycle;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import lynchet.core.term.PlannedClasses.Stands;
import lynchet.core.term.Teaching;
import lynchet.core.term.TermPlan.Goal;
import lynchet.core.term.cycle.ThemeCycle.Theme;
import org.jspecify.annotations.Nullable;

/**
 * What each class of a theme week is about.
 *
 * <p>What builds on each other is shown in one class, or in order. The rest of the minutes meets again what the week has
 * shown before and one after the other of last week's; each round the classes change what they show, so that the person who only
 * ever comes on Tuesdays meets all of it in time.
 *
 * @param classes what each class is about, in their order
 * @param left what found no room
 */
public record Portions(List<List<Stands>> classes, List<String> left) {

    /** At most so many are met in a class. */
    private static final int MOST = 5;

    /**
     * A week's portions.
     *
     * @param last the theme of the week before; null: there was none
     * @param minutes of technique that each class bears, in their order
     * @param round how often the cycle has come round before
     */
    public static Portions of(Theme theme, @Nullable Theme last, List<Integer> minutes, int round, Teaching teaching) {
        return new Week(theme, minutes, teaching).portions(last, round);
    }

    /** A week while it is filled. */
    private static final class Week {
        private final Theme theme;
        private final Teaching teaching;
        private final List<Integer> free;
        private final List<List<Goal>> shown;
        private final List<String> left = new ArrayList<>();
        private boolean isSpread;

        Week(Theme theme, List<Integer> minutes, Teaching teaching) {
            this.theme = theme;
            this.teaching = teaching;
            free = new ArrayList<>(minutes);
            shown = IntStream.range(0, minutes.size())
                    .mapToObj(n -> (List<Goal>) new ArrayList<Goal>())
                    .toList();
        }

        Portions portions(@Nullable Theme last, int round) {
            boolean isEven = Set.copyOf(free).size() <= 1;
            for (List<String> group : Groups.of(theme.subjects(), teaching)) {
                place(group);
            }
            List<List<Goal>> turned = new ArrayList<>(shown);
            List<Integer> room = new ArrayList<>(free);
            if (isEven && !isSpread) {
                Collections.rotate(turned, round);
                Collections.rotate(room, round);
            }
            return new Portions(again(turned, room, last, round), List.copyOf(left));
        }

        /** Into the class with the most room; where none has room for all of it, one by one in their order. */
        private void place(List<String> group) {
            if (free.isEmpty()) {
                left.addAll(group); // a week without classes
                return;
            }
            int all = group.stream()
                    .mapToInt(one -> teaching.first(teaching.goal(one)))
                    .sum();
            int most = IntStream.range(0, free.size())
                    .reduce((one, other) -> free.get(other) > free.get(one) ? other : one)
                    .orElseThrow();
            if (all <= free.get(most)) {
                group.forEach(one -> show(one, most));
                return;
            }
            int from = 0;
            for (String one : group) {
                int first = teaching.first(teaching.goal(one));
                int at = IntStream.range(from, free.size())
                        .filter(n -> first <= free.get(n))
                        .findFirst()
                        .orElse(-1);
                if (at < 0) {
                    left.add(one);
                } else {
                    isSpread |= group.size() > 1;
                    from = at;
                    show(one, at);
                }
            }
        }

        private void show(String one, int at) {
            free.set(at, free.get(at) - teaching.first(teaching.goal(one)));
            shown.get(at).add(teaching.goal(one));
        }

        private List<List<Stands>> again(List<List<Goal>> turned, List<Integer> room, @Nullable Theme last, int round) {
            List<Goal> before = last == null
                    ? new ArrayList<>()
                    : new ArrayList<>(
                            last.subjects().stream().map(teaching::goal).toList());
            Collections.rotate(before, -round);
            Set<Goal> waiting = new LinkedHashSet<>(before);
            waiting.removeIf(goal -> turned.stream().anyMatch(one -> one.contains(goal)));
            List<List<Stands>> classes = new ArrayList<>();
            for (int at = 0; at < turned.size(); at++) {
                List<Stands> stands = new ArrayList<>(turned.get(at).stream()
                        .map(goal -> new Stands(goal, true, teaching.first(goal)))
                        .toList());
                int minutes = room.get(at);
                Set<Goal> met = new HashSet<>();
                for (Goal goal : candidates(turned.subList(0, at), waiting)) {
                    int again = teaching.again(goal);
                    if (again <= minutes && stands.size() < MOST && met.add(goal)) {
                        minutes -= again;
                        waiting.remove(goal);
                        stands.add(new Stands(goal, false, again));
                    }
                }
                classes.add(List.copyOf(stands));
            }
            return List.copyOf(classes);
        }

        /** The first of last week's that still waits, then what this week has shown, the latest class first, then the others. */
        private static List<Goal> candidates(List<List<Goal>> before, Set<Goal> waiting) {
            List<Goal> order = new ArrayList<>();
            waiting.stream().findFirst().ifPresent(order::add);
            for (int at = before.size() - 1; at >= 0; at--) {
                order.addAll(before.get(at));
            }
            waiting.stream().skip(1).forEach(order::add);
            return order;
        }
    }
}
