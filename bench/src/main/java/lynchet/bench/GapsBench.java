package lynchet.bench;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lynchet.core.map.Finding;
import lynchet.core.map.Gaps;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Knowledge;
import lynchet.core.map.MapData;
import lynchet.core.map.MoveGraph;
import lynchet.core.map.SmallestMend;
import lynchet.core.map.Stage;
import lynchet.format.Json;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Gaps with their smallest mends for one known set, on a made-up map of 600 positions and 2,500 links. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class GapsBench {

    private static final int PAIRS = 300;
    private static final int TECHNIQUES = 400;
    private static final int LINKS = 2500;

    private final MoveGraph graph = MoveGraph.from(map(), List.of("p0"));
    private final Knowledge knowledge = Knowledge.sameLevel(
            graph, IntStream.range(0, TECHNIQUES / 3).mapToObj(i -> "t" + i).collect(Collectors.toSet()));

    @Benchmark
    public int gapsWithMends() {
        int mended = 0;
        for (Finding finding : Gaps.find(graph, knowledge, Map.of(), false, Set.of())) {
            if (finding.severity() == 3
                    && SmallestMend.of(graph, knowledge, finding).isPresent()) {
                mended++;
            }
        }
        return mended;
    }

    private static GrapplingMap map() {
        Random random = new Random(7);
        String pairs = listed(PAIRS, i -> {
            double control = random.nextInt(31) / 10.0;
            Stage stage = i == 0 ? Stage.APART : Stage.values()[1 + random.nextInt(5)];
            return "{\"id\":\"pair%d\",\"stage\":\"%s\",\"first\":%s,\"second\":%s}"
                    .formatted(i, stage, position("p" + i, control), position("p" + i + "-x", -control));
        });
        String techniques = listed(
                TECHNIQUES, i -> "{\"id\":\"t%d\",\"name\":\"T%d\",\"family\":\"PASS\",\"learn\":%d,\"master\":3}"
                        .formatted(i, i, 1 + random.nextInt(5)));
        String links = listed(LINKS, i -> "{\"id\":\"l%d\",\"from\":\"%s\",\"technique\":\"t%d\",\"to\":\"%s\"}"
                .formatted(i, somewhere(random), random.nextInt(TECHNIQUES), somewhere(random)));
        String map = "{\"pairs\":%s,\"techniques\":%s,\"links\":%s}".formatted(pairs, techniques, links);
        return GrapplingMap.of(Json.read(map, MapData.class));
    }

    private static String listed(int count, IntFunction<String> one) {
        return IntStream.range(0, count).mapToObj(one).collect(Collectors.joining(",", "[", "]"));
    }

    private static String somewhere(Random random) {
        return "p" + random.nextInt(PAIRS) + (random.nextBoolean() ? "-x" : "");
    }

    private static String position(String id, double control) {
        return "{\"id\":\"%s\",\"name\":\"%s\",\"control\":%s}".formatted(id, id, control);
    }
}
