package lynchet.bench.season;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.ToDoubleFunction;
import java.util.stream.LongStream;

/** Plays the same seasons under four ways of choosing what is taught, and prints what is there on grading day. */
public final class SeasonBench {

    private static final int SEEDS = 20;
    private static final int A_TERM = 24;
    private static final int A_RANK = 40;

    private SeasonBench() {}

    /** Somebody who chooses what is taught, in a season, with a seed of their own. */
    private record Way(String name, BiFunction<Season, Long, Season.Teacher> teacher) {}

    public static void main(String[] args) {
        int seeds = args.length == 0 ? SEEDS : Integer.parseInt(args[0]);
        System.out.printf(
                "%d terms of %d weeks, three classes a week with %d minutes of technique; mean of all%n",
                seeds, Season.WEEKS, Season.MINUTES);
        for (int items : new int[] {A_TERM, A_RANK}) {
            print(items, seeds);
        }
    }

    private static void print(int items, int seeds) {
        List<Way> ways = List.of(
                new Way("planner", (season, seed) -> Teachers.planner(season)),
                new Way("rotation of two", (season, seed) -> Teachers.rotation(season, 2)),
                new Way("rotation of four", (season, seed) -> Teachers.rotation(season, 4)),
                new Way("random walk", Teachers::walk),
                new Way("tonight alone", (season, seed) -> Teachers.tonight(season)),
                new Way("knowing all", (season, seed) -> Teachers.knowing(season)));
        Map<String, Season.Outcome> means = new LinkedHashMap<>();
        for (Way way : ways) {
            means.put(
                    way.name(),
                    mean(LongStream.range(0, seeds)
                            .mapToObj(seed -> {
                                Season season = new Season(items, seed);
                                return season.played(way.teacher().apply(season, seed));
                            })
                            .toList()));
        }
        double two = means.get("rotation of two").recalled();
        double four = means.get("rotation of four").recalled();
        System.out.printf("%nA syllabus of %d items, a third of them known%n", items);
        System.out.println(
                "way              recalled  worst tenth  uneven   minutes  against rotation of two, of four");
        means.forEach((name, mean) -> System.out.printf(
                "%-16s %5.1f %%   %5.1f %%      %5.3f    %4.0f     %+5.1f %%, %+5.1f %%%n",
                name,
                100 * mean.recalled(),
                100 * mean.worst(),
                mean.uneven(),
                mean.minutes(),
                100 * (mean.recalled() / two - 1),
                100 * (mean.recalled() / four - 1)));
    }

    private static Season.Outcome mean(List<Season.Outcome> all) {
        return new Season.Outcome(
                mean(all, Season.Outcome::recalled),
                mean(all, Season.Outcome::worst),
                mean(all, Season.Outcome::uneven),
                mean(all, Season.Outcome::minutes));
    }

    private static double mean(List<Season.Outcome> all, ToDoubleFunction<Season.Outcome> of) {
        return all.stream().mapToDouble(of).average().orElse(0);
    }
}
