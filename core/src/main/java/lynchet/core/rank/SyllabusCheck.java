package lynchet.core.rank;

import java.util.ArrayList;
import java.util.HashMap;
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

    /**
     * The findings of a rank's cumulative syllabus, in order, severity 3 with its smallest mend where one exists. What an
     * earlier rank opened and no rank since has closed says so ({@link Finding#since}).
     */
    public List<Finding> of(Ladder ladder, String rankId, boolean againstAnyone) {
        Map<Finding.About, String> since = new HashMap<>();
        for (Rank before : ladder.ranks().subList(0, ladder.indexOf(rankId))) {
            stillOpen(since, before, open(ladder, before.id(), againstAnyone));
        }
        return of(ladder, rankId, againstAnyone, since);
    }

    /** The findings of all ranks, from the lowest up, as {@link #of} gives them for one. */
    public List<List<Finding>> of(Ladder ladder) {
        Map<Finding.About, String> since = new HashMap<>();
        List<List<Finding>> all = new ArrayList<>();
        for (Rank rank : ladder.ranks()) {
            List<Finding> findings = of(ladder, rank.id(), false, since);
            stillOpen(since, rank, findings);
            all.add(findings);
        }
        return all;
    }

    private static void stillOpen(Map<Finding.About, String> since, Rank rank, List<Finding> findings) {
        Set<Finding.About> open = findings.stream()
                .map(Finding::about)
                .filter(SyllabusCheck::isAboutSomething)
                .collect(Collectors.toSet());
        since.keySet().retainAll(open);
        open.forEach(about -> since.putIfAbsent(about, rank.id()));
    }

    private static boolean isAboutSomething(Finding.About about) {
        return about.position() != null || about.technique() != null || about.reaction() != null;
    }

    private List<Finding> of(Ladder ladder, String rankId, boolean againstAnyone, Map<Finding.About, String> since) {
        Knowledge knowledge = knowledge(ladder, rankId, againstAnyone);
        List<Finding> findings =
                new ArrayList<>(new SmallestMend(graph, knowledge).mended(open(ladder, rankId, againstAnyone)));
        findings.replaceAll(finding -> finding.openSince(since.get(finding.about())));
        ofItems(ladder, ladder.rank(rankId).orElseThrow())
                .forEach(finding -> findings.add(againstAnyone ? finding.atMost(2) : finding));
        findings.sort(Gaps.order(centrality));
        return List.copyOf(findings);
    }

    /** What follows from all that is taught so far, without mends. */
    private List<Finding> open(Ladder ladder, String rankId, boolean againstAnyone) {
        List<Finding> findings = new ArrayList<>(Gaps.find(
                graph,
                knowledge(ladder, rankId, againstAnyone),
                centrality,
                ladder.examList(),
                oneSided(ladder, rankId)));
        new TeachingOrder(map, chains, ladder, rankId)
                .ofAllTaught()
                .forEach(finding -> findings.add(againstAnyone ? finding.atMost(2) : finding));
        return findings;
    }

    private Knowledge knowledge(Ladder ladder, String rankId, boolean againstAnyone) {
        Set<String> known = ladder.knownBy(rankId, map);
        return againstAnyone ? Knowledge.againstAnyone(graph, known) : Knowledge.sameLevel(graph, known);
    }

    /** What follows from what this rank itself asks for. */
    private List<Finding> ofItems(Ladder ladder, Rank rank) {
        List<Finding> findings = new ArrayList<>(new TeachingOrder(map, chains, ladder, rank.id()).ofItems());
        findings.addAll(new AskedAgain(ladder, this::nameOf).at(ladder.indexOf(rank.id())));
        choices(rank, findings);
        rank.items().forEach(item -> versionClash(item, findings));
        load(ladder, rank).ifPresent(findings::add);
        balance(ladder, rank).ifPresent(findings::add);
        return findings;
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
                .forEach(group -> findings.add(Finding.ofItem(
                        Finding.Code.CHOOSE_IMPOSSIBLE,
                        3,
                        null,
                        group.name(),
                        group.name() + ": asks to choose " + group.choose() + " of "
                                + group.items().size() + ".",
                        null)));
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
    String nameOf(Item item) {
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
            findings.add(Finding.ofItem(
                    Finding.Code.VERSION_CLASH,
                    2,
                    technique.id(),
                    item.id(),
                    technique.name() + ": the version examined is not the one the house teaches.",
                    null));
        }
    }
}
