package lynchet.core.term.tonight;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import lynchet.core.mat.TrainingClass;
import lynchet.core.rule.Require;
import lynchet.core.term.PlannedClasses;
import lynchet.core.term.Teaching;
import lynchet.core.term.TermPlan;

/**
 * Three ways to spend tonight with who is here, however many of them were expected.
 *
 * @param ways the best first, none sharing anything with another; fewer where there is not enough
 * @param left what would count for much and is not for tonight, with why
 */
public record Tonight(List<Way> ways, List<Way.Suggested> left) {

    private static final int WAYS = 3;
    private static final int MOST_LINES = 4;
    private static final int MOST_LEFT = 5;

    /** What stands beside something in a chain is worth a little more with it. */
    private static final double BESIDE = 1.2;

    public Tonight {
        ways = Require.list(ways);
        left = Require.list(left);
    }

    /** What suits a room; nothing where nobody is here. */
    public static Tonight of(Room room, Teaching teaching) {
        if (room.here().isEmpty()) {
            return new Tonight(List.of(), List.of());
        }
        Suits suits = new Suits(room, teaching);
        Map<String, TermPlan.Goal> goals = new TreeMap<>();
        room.here()
                .forEach(
                        one -> one.asked().lines().forEach((subject, line) -> goals.putIfAbsent(subject, line.goal())));
        room.planned().forEach(goal -> goals.putIfAbsent(goal.subject(), goal));
        List<Way.Suggested> all = goals.values().stream()
                .filter(goal -> !teaching.techniques(goal).isEmpty())
                .map(suits::of)
                .filter(line -> line.need() + line.rusty() > 0
                        || room.isPlanned(line.goal().subject()))
                .sorted(Comparator.comparing((Way.Suggested line) -> -worth(line, teaching))
                        .thenComparing(line -> line.goal().subject()))
                .toList();
        List<Way.Suggested> open =
                new ArrayList<>(all.stream().filter(line -> line.left() == null).toList());
        List<Way> ways = new ArrayList<>();
        while (ways.size() < WAYS && !open.isEmpty()) {
            List<Way.Suggested> lines = filled(room, open, teaching);
            if (lines.isEmpty()) {
                break;
            }
            open.removeAll(lines);
            ways.add(proposal(room, lines, teaching));
        }
        return new Tonight(
                ways,
                all.stream()
                        .filter(line -> line.left() != null && line.need() > 0)
                        .sorted(Comparator.comparing((Way.Suggested line) -> -line.need())
                                .thenComparing(line -> -line.weight())
                                .thenComparing(line -> line.goal().subject()))
                        .limit(MOST_LEFT)
                        .toList());
    }

    /** What it counts for a minute of meeting it; what it takes to show it is paid once and not counted. */
    private static double worth(Way.Suggested line, Teaching teaching) {
        return line.weight() / teaching.again(line.goal());
    }

    /** The class filled with what counts for most a minute, first what counts for most of all. */
    private static List<Way.Suggested> filled(Room room, List<Way.Suggested> open, Teaching teaching) {
        List<Way.Suggested> lines = new ArrayList<>();
        Set<String> beside = new HashSet<>();
        int minutes = 0;
        int falls = 0;
        int fresh = 0;
        List<Way.Suggested> rest = new ArrayList<>(open);
        while (lines.size() < MOST_LINES) {
            int usedMinutes = minutes;
            int usedFalls = falls;
            int usedFresh = fresh;
            Way.Suggested best = rest.stream()
                    .filter(line -> usedMinutes + line.minutes() <= room.minutes()
                            && usedFalls + line.falls() <= room.mostFalls()
                            && usedFresh + (line.isNew() ? 1 : 0) <= room.fresh())
                    .max(Comparator.comparing((Way.Suggested line) -> worth(line, teaching)
                                    * (beside.contains(line.goal().subject()) ? BESIDE : 1))
                            .thenComparing(line -> line.goal().subject(), Comparator.reverseOrder()))
                    .orElse(null);
            if (best == null) {
                return lines;
            }
            lines.add(best);
            rest.remove(best);
            beside.addAll(teaching.beside(best.goal()));
            minutes += best.minutes();
            falls += best.falls();
            fresh += best.isNew() ? 1 : 0;
        }
        return lines;
    }

    private static Way proposal(Room room, List<Way.Suggested> lines, Teaching teaching) {
        TrainingClass bare = room.training().withBlocks(List.of());
        return new Way(
                lines,
                lines.stream().mapToInt(Way.Suggested::minutes).sum(),
                lines.stream().mapToInt(Way.Suggested::falls).sum(),
                lines.stream().mapToDouble(Way.Suggested::weight).sum(),
                PlannedClasses.made(
                        bare,
                        lines.stream()
                                .map(line -> new PlannedClasses.Stands(line.goal(), line.isNew(), line.minutes()))
                                .toList(),
                        teaching));
    }
}
