package lynchet.core.rank;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import lynchet.core.card.Technique;
import lynchet.core.chain.Chain;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Position;
import lynchet.core.walk.Finding;
import lynchet.core.walk.Gaps;
import lynchet.core.walk.Knowledge;
import lynchet.core.walk.MoveGraph;
import lynchet.core.walk.SmallestMend;

/**
 * Whether a rank hangs together: the gaps of all that is taught up to it, the order in which it is taught, what is asked
 * again, whether it can be chosen, and whether there is time for it.
 */
public final class SyllabusCheck {

    private final GrapplingMap map;
    private final MoveGraph graph;
    private final Map<String, Double> centrality;
    private final Map<String, Chain> chains;

    /**
     * @param graph the moves under the ladder's ruleset
     * @param centrality betweenness by position id
     * @param chains the club's chains
     */
    public SyllabusCheck(MoveGraph graph, Map<String, Double> centrality, List<Chain> chains) {
        this.map = graph.map();
        this.graph = graph;
        this.centrality = centrality;
        this.chains = chains.stream().collect(Collectors.toMap(Chain::id, Function.identity(), (one, other) -> one));
    }

    /** The findings of a rank's cumulative syllabus, in order, severity 3 with its smallest mend where one exists. */
    public List<Finding> of(Ladder ladder, String rankId, boolean againstAnyone) {
        Set<String> known = ladder.knownBy(rankId, map);
        Knowledge knowledge = againstAnyone ? Knowledge.againstAnyone(graph, known) : Knowledge.sameLevel(graph, known);
        List<Finding> gaps = Gaps.find(graph, knowledge, centrality, ladder.examList(), oneSided(ladder, rankId));
        List<Finding> findings = new ArrayList<>(new SmallestMend(graph, knowledge).mended(gaps));
        Rank rank = ladder.rank(rankId).orElseThrow();
        List<Finding> ofTheSyllabus = new ArrayList<>(new TeachingOrder(map, chains, ladder, rankId).findings());
        ofTheSyllabus.addAll(new AskedAgain(ladder, this::name).at(ladder.indexOf(rankId)));
        choices(rank, ofTheSyllabus);
        rank.items().forEach(item -> versionClash(item, ofTheSyllabus));
        load(ladder, rank).ifPresent(ofTheSyllabus::add);
        balance(ladder, rank).ifPresent(ofTheSyllabus::add);
        ofTheSyllabus.forEach(finding -> findings.add(againstAnyone ? finding.atMost(2) : finding));
        findings.sort(Gaps.order(centrality));
        return List.copyOf(findings);
    }

    /** How much of the rank's time its syllabus takes. */
    public TeachingLoad.Load load(Ladder ladder, String rankId) {
        return TeachingLoad.of(ladder, ladder.rank(rankId).orElseThrow(), map, chains);
    }

    private Set<String> oneSided(Ladder ladder, String rankId) {
        Set<String> one = new HashSet<>();
        Set<String> both = new HashSet<>();
        for (int i = 0; i <= ladder.indexOf(rankId); i++) {
            ladder.ranks()
                    .get(i)
                    .items()
                    .filter(item -> item.kind() == Item.Kind.TECHNIQUE)
                    .forEach(item -> {
                        boolean isOne = item.sides() == Sides.RIGHT || item.sides() == Sides.LEFT;
                        (isOne ? one : both).add(item.ref());
                    });
        }
        one.removeAll(both);
        return one;
    }

    private static void choices(Rank rank, List<Finding> findings) {
        rank.syllabus().stream()
                .filter(group -> group.choose() > group.items().size())
                .forEach(group -> findings.add(finding(
                        Finding.Code.CHOOSE_IMPOSSIBLE,
                        3,
                        group.name() + ": asks to choose " + group.choose() + " of "
                                + group.items().size() + ".")));
    }

    private Optional<Finding> load(Ladder ladder, Rank rank) {
        TeachingLoad.Load load = load(ladder, rank.id());
        if (load.share() <= TeachingLoad.HEAVY) {
            return Optional.empty();
        }
        String takes = rank.name() + (load.atLeast() ? ": takes at least " : ": takes about ")
                + Math.round(load.needed()) + " minutes of teaching";
        if (load.available() == 0) {
            return Optional.of(finding(
                    Finding.Code.OVERLOAD, 2, takes + ", and no time is set for it: give it weeks or classes."));
        }
        String sentence = takes + ", and there are " + Math.round(load.available()) + ".";
        return Optional.of(finding(Finding.Code.OVERLOAD, load.share() > TeachingLoad.TOO_MUCH ? 3 : 2, sentence));
    }

    private Optional<Finding> balance(Ladder ladder, Rank rank) {
        Double wanted = ladder.policy().standing();
        if (wanted == null) {
            return Optional.empty();
        }
        Balance mix = Balance.of(ladder, rank.id(), map);
        if (mix.families().isEmpty() || Math.abs(mix.standing() - wanted) <= Balance.NEAR) {
            return Optional.empty();
        }
        String sentence = rank.name() + ": " + Math.round(100 * mix.standing())
                + " % of what is taught so far starts on the feet, where " + Math.round(100 * wanted)
                + " % is wanted.";
        return Optional.of(finding(Finding.Code.BALANCE, 1, sentence));
    }

    private static Finding finding(Finding.Code code, int severity, String sentence) {
        return new Finding(code, severity, null, null, null, sentence, null);
    }

    /** What an item is called. */
    private String name(Item item) {
        return switch (item.kind()) {
            case TECHNIQUE, COUNTER ->
                map.technique(item.ref())
                        .or(() -> map.link(item.ref()).flatMap(link -> map.technique(link.technique())))
                        .map(Technique::name)
                        .orElse(item.ref());
            case CHAIN ->
                Optional.ofNullable(chains.get(item.ref())).map(Chain::name).orElse(item.ref());
            case POSITION_GOAL -> map.position(item.ref()).map(Position::name).orElse(item.ref());
            case WORDS, FORM, LIVE_ROUNDS, HELPING_HOURS -> item.words();
        };
    }

    private void versionClash(Item item, List<Finding> findings) {
        Technique technique =
                item.kind() == Item.Kind.TECHNIQUE ? map.technique(item.ref()).orElseThrow() : null;
        if (technique != null && item.version() != null && !item.version().equals(technique.houseVersion())) {
            findings.add(new Finding(
                    Finding.Code.VERSION_CLASH,
                    2,
                    null,
                    technique.id(),
                    null,
                    technique.name() + ": the version examined is not the one the house teaches.",
                    null));
        }
    }
}
