package lynchet.bench;

import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.MapData;
import lynchet.core.map.Stage;
import lynchet.core.walk.MoveGraph;
import lynchet.format.Json;
import lynchet.starter.StarterLibrary;

/** The maps that are measured: the shipped library and made-up ones, the same for the same size. */
final class Maps {

    private Maps() {}

    /** "library", or how many positions a made-up map has. */
    static MoveGraph graph(String size) {
        if (size.equals("library")) {
            GrapplingMap map = GrapplingMap.of(StarterLibrary.club("Bench").map());
            return MoveGraph.from(map, List.of("standing-apart"));
        }
        return MoveGraph.from(made(Integer.parseInt(size)), List.of("p0"));
    }

    /** Every third technique. */
    static Set<String> someKnown(MoveGraph graph) {
        List<String> ids = graph.map().techniques().stream().map(Technique::id).toList();
        return IntStream.range(0, ids.size())
                .filter(i -> i % 3 == 0)
                .mapToObj(ids::get)
                .collect(Collectors.toSet());
    }

    private static GrapplingMap made(int positions) {
        Random random = new Random(7);
        int pairs = positions / 2;
        int techniques = positions * 2 / 3;
        int links = positions * 25 / 6;
        String madePairs = listed(pairs, i -> {
            double control = random.nextInt(31) / 10.0;
            Stage stage = i == 0 ? Stage.APART : Stage.values()[1 + random.nextInt(5)];
            return "{\"id\":\"pair%d\",\"stage\":\"%s\",\"first\":%s,\"second\":%s}"
                    .formatted(i, stage, position("p" + i, control), position("p" + i + "-x", -control));
        });
        String madeTechniques =
                listed(techniques, i -> "{\"id\":\"t%d\",\"name\":\"T%d\",\"family\":\"%s\",\"learn\":%d,\"master\":3}"
                        .formatted(i, i, i % 9 == 0 ? "SUBMISSION" : "PASS", 1 + random.nextInt(5)));
        String madeLinks = listed(links, i -> {
            int technique = random.nextInt(techniques);
            String to = technique % 9 == 0 ? "TAP" : somewhere(random, pairs);
            return "{\"id\":\"l%d\",\"from\":\"%s\",\"technique\":\"t%d\",\"to\":\"%s\"}"
                    .formatted(i, somewhere(random, pairs), technique, to);
        });
        String map = "{\"pairs\":%s,\"techniques\":%s,\"links\":%s}".formatted(madePairs, madeTechniques, madeLinks);
        return GrapplingMap.of(Json.read(map, MapData.class));
    }

    private static String listed(int count, IntFunction<String> one) {
        return IntStream.range(0, count).mapToObj(one).collect(Collectors.joining(",", "[", "]"));
    }

    private static String somewhere(Random random, int pairs) {
        return "p" + random.nextInt(pairs) + (random.nextBoolean() ? "-x" : "");
    }

    private static String position(String id, double control) {
        return "{\"id\":\"%s\",\"name\":\"%s\",\"control\":%s}".formatted(id, id, control);
    }
}
