package lynchet.bench;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.VerboseMode;

/** Measures everything and prints it: milliseconds, times as long as the bare search, and how cost grows. */
public final class Bench {

    private static final Map<String, String> BARE =
            Map.of("reach", "bareBreadthFirst", "gapsWithMends", "bareBreadthFirst", "tenRoutes", "bareDijkstra");

    private Bench() {}

    public static void main(String[] args) throws RunnerException {
        Map<String, Map<String, Double>> took = new TreeMap<>();
        for (RunResult result : new Runner(new OptionsBuilder()
                        .include(MapBench.class.getSimpleName())
                        .verbosity(VerboseMode.SILENT)
                        .build())
                .run()) {
            String name = result.getPrimaryResult().getLabel();
            took.computeIfAbsent(name, n -> new TreeMap<>())
                    .put(
                            result.getParams().getParam("size"),
                            result.getPrimaryResult().getScore());
        }
        System.out.println("sum               map       ms        times the bare search");
        took.forEach((name, sizes) -> {
            for (String size : List.of("library", "600", "2000")) {
                String bare = BARE.get(name);
                String ratio = bare == null
                        ? ""
                        : "%.1f x %s".formatted(sizes.get(size) / took.get(bare).get(size), bare);
                System.out.printf("%-17s %-9s %-9.4f %s%n", name, size, sizes.get(size), ratio);
            }
            System.out.printf(
                    "%-17s from 600 to 2000 positions (3.33 times): %.2f times the time%n",
                    name, sizes.get("2000") / sizes.get("600"));
        });
    }
}
