package lynchet.starter;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import lynchet.core.Club;
import lynchet.core.ClubCheck;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainCheck;
import lynchet.core.map.Centrality;
import lynchet.core.map.Family;
import lynchet.core.map.Finding;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Group;
import lynchet.core.map.Link;
import lynchet.core.map.MoveGraph;
import lynchet.core.map.Reaction;
import lynchet.core.map.Stage;
import lynchet.core.map.Technique;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.rank.SyllabusCheck;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class StarterLibraryTest {

    private static final Club LIBRARY = StarterLibrary.club("Test");
    private static final GrapplingMap MAP = GrapplingMap.of(LIBRARY.map());

    @Test
    void isWellFormedAndLargeEnough() {
        assertThat(ClubCheck.check(LIBRARY)).isEmpty();
        assertThat(LIBRARY.map().pairs()).hasSizeGreaterThanOrEqualTo(14);
        assertThat(LIBRARY.map().pairs()).extracting(p -> p.stage()).contains(Stage.values());
        assertThat(MAP.techniques()).hasSizeGreaterThanOrEqualTo(45);
        assertThat(MAP.techniques()).extracting(Technique::family).contains(Family.values());
        assertThat(MAP.techniques()).extracting(Technique::group).contains(Group.values());
        assertThat(MAP.links()).hasSizeGreaterThanOrEqualTo(100);
        assertThat(MAP.reactions()).hasSizeGreaterThanOrEqualTo(35);
        assertThat(LIBRARY.chains()).hasSizeGreaterThanOrEqualTo(8);
    }

    static List<Technique> techniques() {
        return List.copyOf(MAP.techniques());
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("techniques")
    void aCardTeaches(Technique technique) {
        assertThat(technique.summary()).endsWith(".");
        assertThat(technique.steps()).hasSizeBetween(3, 7);
        assertThat(technique.steps()).anyMatch(step -> step.cue() != null);
        assertThat(technique.signs()).isNotEmpty();
        assertThat(technique.faults()).hasSizeGreaterThanOrEqualTo(2);
        if (technique.family() == Family.THROW) {
            assertThat(technique.group()).isNotNull();
            assertThat(technique.directions()).isNotEmpty();
            assertThat(technique.receiverFalls()).isNotEmpty();
        }
        if (technique.family() == Family.SUBMISSION) {
            assertThat(technique.hazards()).isNotEmpty();
        }
    }

    @Test
    void noTwoCardsShareASentence() {
        Set<String> seen = new HashSet<>();
        for (Technique technique : MAP.techniques()) {
            Set<String> own = new HashSet<>();
            own.add(technique.summary());
            technique.steps().forEach(step -> own.add(step.text()));
            own.addAll(technique.signs());
            technique.faults().forEach(fault -> own.addAll(List.of(fault.see(), fault.because(), fault.fix())));
            own.stream()
                    .filter(s -> s.split(" ").length >= 5)
                    .forEach(s -> assertThat(seen.add(s)).as(s).isTrue());
        }
    }

    @Test
    void everyPositionHasAWayInAndAWayOut() {
        Set<String> entered = MAP.links().stream()
                .flatMap(link -> link.endsInTap()
                        ? java.util.stream.Stream.empty()
                        : java.util.stream.Stream.of(
                                link.to(), MAP.counterpart(link.to()).id()))
                .collect(Collectors.toSet());
        MAP.positions().forEach(position -> {
            assertThat(entered).as(position.id()).contains(position.id());
            assertThat(MAP.linksFrom(position.id())).as(position.id()).isNotEmpty();
        });
        Set<String> used = MAP.links().stream().map(Link::technique).collect(Collectors.toSet());
        assertThat(MAP.techniques())
                .filteredOn(t -> !t.family().isSolo())
                .extracting(Technique::id)
                .isSubsetOf(used);
    }

    @Test
    void mostReactionsAreAnswered() {
        List<Reaction> reactions = List.copyOf(MAP.reactions());
        long answered =
                reactions.stream().filter(r -> !MAP.answersTo(r).isEmpty()).count();
        assertThat((double) answered / reactions.size()).isGreaterThanOrEqualTo(0.8);
    }

    @ParameterizedTest
    @MethodSource("chains")
    void everyChainHoldsTogether(Chain chain) {
        assertThat(ChainCheck.check(MAP, chain, null).findings())
                .filteredOn(f -> f.severity() == 3)
                .isEmpty();
    }

    static List<Chain> chains() {
        return LIBRARY.chains();
    }

    @Test
    void noRankHasABlockingFinding() {
        for (Ladder ladder : LIBRARY.ladders()) {
            MoveGraph graph = MoveGraph.under(MAP, MAP.ruleset(ladder.ruleset()).orElseThrow());
            SyllabusCheck check = new SyllabusCheck(graph, Centrality.of(MAP));
            for (Rank rank : ladder.ranks()) {
                assertThat(check.of(ladder, rank.id(), false))
                        .filteredOn(f -> f.severity() == 3)
                        .extracting(
                                Finding::sentence,
                                f -> f.mend() == null
                                        ? "none"
                                        : f.mend().techniques().toString())
                        .as(rank.id())
                        .isEmpty();
            }
        }
    }
}
