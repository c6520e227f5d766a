package lynchet.core.term.cycle;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import lynchet.core.card.Family;
import lynchet.core.map.Position;
import lynchet.core.term.Teaching;
import lynchet.core.term.cycle.ThemeCycle.Theme;
import org.jspecify.annotations.Nullable;

/**
 * Lays what is to be learned into theme weeks: what builds on each other in one week, what begins in one position
 * together, no week fuller than its classes bear, the weeks as even as can be.
 */
public final class Spread {

    /** What it costs to mix a further position into a week, where a week twice as full as the mean costs 1. */
    private static final double MIXED = 0.4;

    /** What it costs to leave something without room. */
    private static final double LEFT = 1000;

    private static final int NAME = 60;

    /** Where what is done alone begins. */
    private static final String ALONE = "Falls and movement";

    private final Teaching teaching;
    private final List<Integer> minutes;
    private final List<List<String>> pieces = new ArrayList<>();

    /** How many find no room in a week made of the pieces from one to before another. */
    private final int[][] left;

    /** Minutes of such a week, and in how many positions it begins. */
    private final int[][] takes;

    private final int[][] places;

    private Spread(List<String> subjects, List<Integer> minutes, Teaching teaching) {
        this.teaching = teaching;
        this.minutes = minutes;
        Groups.of(subjects, teaching).forEach(group -> pieces.addAll(cut(group)));
        pieces.sort(Comparator.comparing(
                        (List<String> piece) -> !place(piece.get(0)).equals(ALONE))
                .thenComparing(piece -> teaching.stage(teaching.goal(piece.get(0))))
                .thenComparing(piece -> place(piece.get(0)))
                .thenComparing(piece -> piece.get(0)));
        left = new int[pieces.size()][pieces.size() + 1];
        takes = new int[pieces.size()][pieces.size() + 1];
        places = new int[pieces.size()][pieces.size() + 1];
        for (int from = 0; from < pieces.size(); from++) {
            Set<String> begun = new HashSet<>();
            for (int to = from + 1; to <= pieces.size(); to++) {
                pieces.get(to - 1).forEach(one -> begun.add(place(one)));
                takes[from][to] = takes[from][to - 1] + taking(pieces.get(to - 1));
                places[from][to] = begun.size();
                left[from][to] = left(from, to);
            }
        }
    }

    /**
     * The themes.
     *
     * @param subjects ids of techniques and chains
     * @param weeks how many, 1 to 52; 0: the fewest that bear it all. Fewer come back where there is less to lay
     * @param minutes of technique that each class of a week bears
     */
    public static List<Theme> of(List<String> subjects, int weeks, List<Integer> minutes, Teaching teaching) {
        Spread spread = new Spread(subjects, minutes, teaching);
        int most = Math.min(ThemeCycle.MOST_WEEKS, spread.pieces.size());
        int many = Math.min(weeks == 0 ? spread.fewest() : weeks, most);
        List<int[]> cuts = spread.laid(many);
        while (weeks == 0 && many < most && cuts.stream().anyMatch(cut -> spread.left[cut[0]][cut[1]] > 0)) {
            cuts = spread.laid(++many);
        }
        Map<String, Integer> named = new HashMap<>();
        return cuts.stream()
                .map(cut -> spread.week(cut[0], cut[1]))
                .map(week -> new Theme(spread.name(week, named), week))
                .toList();
    }

    /** No fewer weeks than this can bear it all. */
    private int fewest() {
        int bear = Math.max(1, bear());
        return pieces.isEmpty() ? 0 : Math.max(1, (takes[0][pieces.size()] + bear - 1) / bear);
    }

    private int bear() {
        return minutes.stream().mapToInt(Integer::intValue).sum();
    }

    private int left(int from, int to) {
        int over = takes[from][to] - bear();
        return over > 0
                ? 1 + over / 10
                : Portions.of(new Theme("-", week(from, to)), null, minutes, 0, teaching)
                        .left()
                        .size();
    }

    /** A group that is more than a week bears comes in parts, what is built on first. */
    private List<List<String>> cut(List<String> group) {
        int bear = bear();
        List<List<String>> parts = new ArrayList<>();
        List<String> part = new ArrayList<>();
        for (String one : group) {
            if (!part.isEmpty() && taking(part) + taking(List.of(one)) > bear) {
                parts.add(part);
                part = new ArrayList<>();
            }
            part.add(one);
        }
        parts.add(part);
        return parts;
    }

    /** Cuts the row of pieces into weeks where it costs least: the first piece of each, and the one after its last. */
    private List<int[]> laid(int weeks) {
        int many = pieces.size();
        if (many == 0) {
            return List.of();
        }
        double mean = takes[0][many] / (double) weeks;
        double[][] least = new double[weeks + 1][many + 1];
        int[][] cut = new int[weeks + 1][many + 1];
        for (double[] row : least) {
            Arrays.fill(row, Double.POSITIVE_INFINITY);
        }
        least[0][0] = 0;
        for (int week = 1; week <= weeks; week++) {
            for (int to = week; to <= many; to++) {
                for (int from = week - 1; from < to; from++) {
                    double cost = least[week - 1][from] + cost(from, to, mean);
                    if (cost < least[week][to]) {
                        least[week][to] = cost;
                        cut[week][to] = from;
                    }
                }
            }
        }
        List<int[]> cuts = new ArrayList<>();
        int to = many;
        for (int week = weeks; week > 0; week--) {
            cuts.add(0, new int[] {cut[week][to], to});
            to = cut[week][to];
        }
        return cuts;
    }

    private double cost(int from, int to, double mean) {
        double over = takes[from][to] / mean - 1;
        return over * over + MIXED * (places[from][to] - 1) + LEFT * left[from][to];
    }

    private List<String> week(int from, int to) {
        return pieces.subList(from, to).stream().flatMap(List::stream).toList();
    }

    private int taking(List<String> subjects) {
        return subjects.stream()
                .mapToInt(one -> teaching.first(teaching.goal(one)))
                .sum();
    }

    private String place(String subject) {
        return teaching.place(teaching.goal(subject)).map(Position::name).orElse(ALONE);
    }

    /** As a coach would announce it: "Sweeps from closed guard"; the second of a name says what it begins with. */
    private String name(List<String> week, Map<String, Integer> named) {
        String place = stem(week);
        String name = most(week).map(family -> announced(family, place)).orElse(place == null ? places(week) : place);
        boolean isAgain = named.merge(name, 1, Integer::sum) > 1;
        String full = isAgain ? name + ": " + teaching.name(teaching.goal(week.get(0))) : name;
        return full.substring(0, Math.min(NAME, full.length()));
    }

    /** What most of the week's techniques are; empty where they are of several kinds. */
    private Optional<Family> most(List<String> week) {
        Map<Family, Integer> families = new EnumMap<>(Family.class);
        week.stream()
                .flatMap(one -> teaching.technique(teaching.goal(one)).stream())
                .forEach(technique -> families.merge(technique.family(), 1, Integer::sum));
        return families.entrySet().stream()
                .filter(entry -> 2 * entry.getValue() > week.size())
                .map(Map.Entry::getKey)
                .findFirst();
    }

    /** The position in which most of the week begins, without its side; null where it is several. */
    private @Nullable String stem(List<String> week) {
        Map<String, Integer> places = new LinkedHashMap<>();
        week.forEach(one -> places.merge(place(one).split(", ")[0], 1, Integer::sum));
        return places.entrySet().stream()
                .filter(entry -> 2 * entry.getValue() > week.size())
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse(null);
    }

    private String places(List<String> week) {
        return week.stream()
                .map(one -> place(one).split(", ")[0])
                .distinct()
                .limit(2)
                .collect(Collectors.joining(" and "));
    }

    private static String announced(Family family, @Nullable String place) {
        String at = place == null ? "" : place.toLowerCase(Locale.ROOT);
        return switch (family) {
            case BREAKFALL -> "Falls";
            case MOVEMENT -> "Movement";
            case GRIP -> "Grips";
            case THROW -> "Throws";
            case TAKEDOWN -> "Takedowns";
            case TURNOVER -> "Turning them over";
            case PASS -> place == null ? "Passing" : "Passing " + at;
            case SWEEP -> place == null ? "Sweeps" : "Sweeps from " + at;
            case ESCAPE -> place == null ? "Getting out" : "Getting out of " + at;
            case PIN -> place == null ? "Holding" : "Holding " + at;
            case TRANSITION -> place == null ? "Moving on" : "Moving on from " + at;
            case SUBMISSION -> place == null ? "Finishes" : "Finishes from " + at;
        };
    }
}
