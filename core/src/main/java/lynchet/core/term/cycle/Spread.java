package lynchet.core.term.cycle;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import lynchet.core.map.Position;
import lynchet.core.map.Stage;
import lynchet.core.term.Teaching;
import lynchet.core.term.cycle.ThemeCycle.Subject;
import lynchet.core.term.cycle.ThemeCycle.Theme;

/**
 * Lays what is to be learned into theme weeks: what builds on each other in one week, what begins in one position
 * together, the weeks as even as can be.
 */
public final class Spread {

    /** What it costs to mix a further position into a week, where a week twice as full as the mean costs 1. */
    private static final double MIXED = 0.4;

    private static final int NAME = 60;

    private Spread() {}

    /** The fewest weeks that bear it all, at least one. */
    public static int fewest(List<Subject> subjects, int weekMinutes, Teaching teaching) {
        int all = subjects.stream().mapToInt(one -> teaching.first(one.goal())).sum();
        return Math.max(1, (all + weekMinutes - 1) / Math.max(1, weekMinutes));
    }

    /**
     * The themes.
     *
     * @param weeks how many, 1 to 52; fewer come back where there is less to lay
     * @param weekMinutes of technique that the classes of a week bear together
     */
    public static List<Theme> of(List<Subject> subjects, int weeks, int weekMinutes, Teaching teaching) {
        List<List<Subject>> pieces = new ArrayList<>();
        Groups.of(subjects, teaching).forEach(group -> pieces.addAll(cut(group, weekMinutes, teaching)));
        pieces.sort(Comparator.comparing((List<Subject> piece) -> stage(piece, teaching))
                .thenComparing(piece -> place(piece.get(0), teaching))
                .thenComparing(piece -> piece.get(0).id()));
        Map<String, Integer> named = new HashMap<>();
        return laid(pieces, Math.min(weeks, pieces.size()), teaching).stream()
                .map(week -> new Theme(name(week, named, teaching), week))
                .toList();
    }

    /** A group that is more than a week bears comes in parts, what is built on first. */
    private static List<List<Subject>> cut(List<Subject> group, int weekMinutes, Teaching teaching) {
        List<List<Subject>> parts = new ArrayList<>();
        List<Subject> part = new ArrayList<>();
        for (Subject one : group) {
            if (!part.isEmpty() && minutes(part, teaching) + teaching.first(one.goal()) > weekMinutes) {
                parts.add(part);
                part = new ArrayList<>();
            }
            part.add(one);
        }
        parts.add(part);
        return parts;
    }

    /** Cuts a row of pieces into weeks where it costs least. */
    private static List<List<Subject>> laid(List<List<Subject>> pieces, int weeks, Teaching teaching) {
        int many = pieces.size();
        double mean =
                pieces.stream().mapToInt(piece -> minutes(piece, teaching)).sum() / (double) Math.max(1, weeks);
        double[][] least = new double[weeks + 1][many + 1];
        int[][] cut = new int[weeks + 1][many + 1];
        for (double[] row : least) {
            Arrays.fill(row, Double.POSITIVE_INFINITY);
        }
        least[0][0] = 0;
        for (int week = 1; week <= weeks; week++) {
            for (int to = week; to <= many; to++) {
                for (int from = week - 1; from < to; from++) {
                    double cost = least[week - 1][from] + cost(pieces.subList(from, to), mean, teaching);
                    if (cost < least[week][to]) {
                        least[week][to] = cost;
                        cut[week][to] = from;
                    }
                }
            }
        }
        List<List<Subject>> themes = new ArrayList<>();
        int to = many;
        for (int week = weeks; week > 0; week--) {
            int from = cut[week][to];
            themes.add(
                    0, pieces.subList(from, to).stream().flatMap(List::stream).toList());
            to = from;
        }
        return themes;
    }

    private static double cost(List<List<Subject>> pieces, double mean, Teaching teaching) {
        List<Subject> week = pieces.stream().flatMap(List::stream).toList();
        double over = minutes(week, teaching) / mean - 1;
        Set<String> places = week.stream().map(one -> place(one, teaching)).collect(Collectors.toSet());
        return over * over + MIXED * (places.size() - 1);
    }

    private static int minutes(List<Subject> subjects, Teaching teaching) {
        return subjects.stream().mapToInt(one -> teaching.first(one.goal())).sum();
    }

    private static Stage stage(List<Subject> piece, Teaching teaching) {
        return teaching.stage(piece.get(0).goal());
    }

    private static String place(Subject subject, Teaching teaching) {
        return teaching.place(subject.goal()).map(Position::name).orElse("");
    }

    /** After the position in which most of it begins; the second of a name gets a number. */
    private static String name(List<Subject> week, Map<String, Integer> named, Teaching teaching) {
        String most = week.stream()
                .map(one -> place(one, teaching))
                .filter(place -> !place.isEmpty())
                .collect(Collectors.groupingBy(place -> place, TreeMap::new, Collectors.counting()))
                .entrySet()
                .stream()
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .orElse("Movement");
        int nth = named.merge(most, 1, Integer::sum);
        String name = nth == 1 ? most : most + " " + nth;
        return name.substring(0, Math.min(NAME, name.length()));
    }
}
