package lynchet.core.term.cycle;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import lynchet.core.map.Position;
import lynchet.core.map.Stage;
import lynchet.core.term.Teaching;
import lynchet.core.term.cycle.ThemeCycle.Theme;

/**
 * Lays what is to be learned into theme weeks: what builds on each other in one week, what begins in one position
 * together, the weeks as even as can be.
 */
public final class Spread {

    /** What it costs to mix a further position into a week, where a week twice as full as the mean costs 1. */
    private static final double MIXED = 0.4;

    private static final int NAME = 60;

    /** Where what is done alone begins. */
    private static final String ALONE = "Falls and movement";

    private Spread() {}

    /** The fewest weeks that bear it all, at least one. */
    public static int fewest(List<String> subjects, int weekMinutes, Teaching teaching) {
        int all = subjects.stream()
                .mapToInt(one -> teaching.first(teaching.goal(one)))
                .sum();
        return Math.max(1, (all + weekMinutes - 1) / Math.max(1, weekMinutes));
    }

    /**
     * The themes.
     *
     * @param weeks how many, 1 to 52; fewer come back where there is less to lay
     * @param weekMinutes of technique that the classes of a week bear together
     */
    public static List<Theme> of(List<String> subjects, int weeks, int weekMinutes, Teaching teaching) {
        List<List<String>> pieces = new ArrayList<>();
        Groups.of(subjects, teaching).forEach(group -> pieces.addAll(cut(group, weekMinutes, teaching)));
        pieces.sort(Comparator.comparing(
                        (List<String> piece) -> !place(piece.get(0), teaching).equals(ALONE))
                .thenComparing(piece -> stage(piece, teaching))
                .thenComparing(piece -> place(piece.get(0), teaching))
                .thenComparing(piece -> piece.get(0)));
        Map<String, Integer> named = new HashMap<>();
        return laid(pieces, Math.min(weeks, pieces.size()), teaching).stream()
                .map(week -> new Theme(name(week, named, teaching), week))
                .toList();
    }

    /** A group that is more than a week bears comes in parts, what is built on first. */
    private static List<List<String>> cut(List<String> group, int weekMinutes, Teaching teaching) {
        List<List<String>> parts = new ArrayList<>();
        List<String> part = new ArrayList<>();
        for (String one : group) {
            if (!part.isEmpty() && minutes(part, teaching) + teaching.first(teaching.goal(one)) > weekMinutes) {
                parts.add(part);
                part = new ArrayList<>();
            }
            part.add(one);
        }
        parts.add(part);
        return parts;
    }

    /** Cuts a row of pieces into weeks where it costs least. */
    private static List<List<String>> laid(List<List<String>> pieces, int weeks, Teaching teaching) {
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
        List<List<String>> themes = new ArrayList<>();
        int to = many;
        for (int week = weeks; week > 0; week--) {
            int from = cut[week][to];
            themes.add(
                    0, pieces.subList(from, to).stream().flatMap(List::stream).toList());
            to = from;
        }
        return themes;
    }

    private static double cost(List<List<String>> pieces, double mean, Teaching teaching) {
        List<String> week = pieces.stream().flatMap(List::stream).toList();
        double over = minutes(week, teaching) / mean - 1;
        Set<String> places = week.stream().map(one -> place(one, teaching)).collect(Collectors.toSet());
        return over * over + MIXED * (places.size() - 1);
    }

    private static int minutes(List<String> subjects, Teaching teaching) {
        return subjects.stream()
                .mapToInt(one -> teaching.first(teaching.goal(one)))
                .sum();
    }

    private static Stage stage(List<String> piece, Teaching teaching) {
        return teaching.stage(teaching.goal(piece.get(0)));
    }

    private static String place(String subject, Teaching teaching) {
        return teaching.place(teaching.goal(subject)).map(Position::name).orElse(ALONE);
    }

    /** After the position in which most of it begins, or the two; the second of a name gets a number. */
    private static String name(List<String> week, Map<String, Integer> named, Teaching teaching) {
        Map<String, Integer> places = new LinkedHashMap<>();
        week.forEach(one -> places.merge(place(one, teaching), 1, Integer::sum));
        List<String> most = places.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue().reversed())
                .map(Map.Entry::getKey)
                .toList();
        boolean isOne = most.size() == 1 || 2 * places.get(most.get(0)) > week.size();
        String both = isOne ? most.get(0) : most.get(0) + " and " + most.get(1);
        int nth = named.merge(both, 1, Integer::sum);
        String name = nth == 1 ? both : both + " " + nth;
        return name.substring(0, Math.min(NAME, name.length()));
    }
}
