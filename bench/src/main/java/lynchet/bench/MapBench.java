package lynchet.bench;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import lynchet.core.card.Technique;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainCheck;
import lynchet.core.chain.ChainReport;
import lynchet.core.club.Club;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Position;
import lynchet.core.round.RoundEvidence;
import lynchet.core.walk.BareSearch;
import lynchet.core.walk.Finding;
import lynchet.core.walk.Gaps;
import lynchet.core.walk.Knowledge;
import lynchet.core.walk.MoveGraph;
import lynchet.core.walk.Reach;
import lynchet.core.walk.Routes;
import lynchet.core.walk.SmallestMend;
import lynchet.starter.StarterLibrary;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The map's sums beside bare searches over the same arrays, on the library and on made-up maps. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 3, time = 1)
@Fork(1)
public class MapBench {

    @Param({"library", "600", "2000"})
    public String size;

    private MoveGraph graph;
    private Knowledge some;
    private Knowledge everything;
    private RoundEvidence evidence;
    private final Club library = StarterLibrary.club("Library");
    private final GrapplingMap libraryMap = GrapplingMap.of(library.map());
    private final RoundEvidence libraryEvidence = RoundEvidence.withoutRounds(libraryMap);
    private String from;
    private String to;

    @Setup
    public void build() {
        graph = Maps.graph(size);
        some = Knowledge.sameLevel(graph, Maps.someKnown(graph));
        Set<String> all = new HashSet<>();
        graph.map().techniques().stream().map(Technique::id).forEach(all::add);
        everything = Knowledge.sameLevel(graph, all);
        evidence = RoundEvidence.withoutRounds(graph.map());
        List<String> positions =
                graph.map().positions().stream().map(Position::id).toList();
        from = positions.get(0);
        to = positions.get(positions.size() / 2);
    }

    @Benchmark
    public int bareBreadthFirst() {
        return BareSearch.breadthFirst(graph);
    }

    @Benchmark
    public double bareDijkstra() {
        return BareSearch.dijkstra(graph);
    }

    @Benchmark
    public Object reach() {
        return Reach.of(graph, some);
    }

    @Benchmark
    public Object gapsWithMends() {
        List<Finding> gaps = Gaps.find(graph, some, Map.of(), false, Set.of());
        return new SmallestMend(graph, some).mended(gaps);
    }

    /** All chains of the library, whatever the map: they walk its links. */
    @Benchmark
    public Object chainMeasures() {
        List<ChainReport> reports = new ArrayList<>();
        for (Chain chain : library.chains()) {
            reports.add(ChainCheck.check(libraryMap, chain, null, libraryEvidence, library.chains()));
        }
        return reports;
    }

    @Benchmark
    public Object tenRoutes() {
        return Routes.find(graph, everything, evidence, from, to, 1, 10);
    }
}
