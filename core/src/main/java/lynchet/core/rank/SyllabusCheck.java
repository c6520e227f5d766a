package lynchet.core.rank;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import lynchet.core.map.Family;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Technique;
import lynchet.core.walk.Finding;
import lynchet.core.walk.Gaps;
import lynchet.core.walk.Knowledge;
import lynchet.core.walk.Mend;
import lynchet.core.walk.MoveGraph;
import lynchet.core.walk.SmallestMend;

/** Whether a rank hangs together: the gaps of all that is taught up to it, and the order in which it is taught. */
public final class SyllabusCheck {

    private final GrapplingMap map;
    private final MoveGraph graph;
    private final Map<String, Double> centrality;

    /**
     * @param graph the moves under the ladder's ruleset
     * @param centrality betweenness by position id
     */
    public SyllabusCheck(MoveGraph graph, Map<String, Double> centrality) {
        this.map = graph.map();
        this.graph = graph;
        this.centrality = centrality;
    }

    /** The findings of a rank's cumulative syllabus, in order, severity 3 with its smallest mend where one exists. */
    public List<Finding> of(Ladder ladder, String rankId, boolean againstAnyone) {
        Set<String> known = ladder.knownBy(rankId, map);
        Knowledge knowledge = againstAnyone ? Knowledge.againstAnyone(graph, known) : Knowledge.sameLevel(graph, known);
        List<Finding> gaps = Gaps.find(graph, knowledge, centrality, ladder.examList(), oneSided(ladder, rankId));
        List<Finding> findings = new ArrayList<>(new SmallestMend(graph, knowledge).mended(gaps));
        findings.addAll(order(ladder, rankId, known, againstAnyone ? 2 : 3));
        findings.sort(Gaps.order(centrality));
        return List.copyOf(findings);
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

    /** What is taught at this very rank before what it builds on: falls, prerequisites; and the version examined. */
    private List<Finding> order(Ladder ladder, String rankId, Set<String> known, int most) {
        List<Finding> findings = new ArrayList<>();
        Set<String> falls = new HashSet<>(known);
        for (int i = 0; i <= ladder.indexOf(rankId); i++) {
            ladder.ranks()
                    .get(i)
                    .items()
                    .filter(i2 -> i2.kind() == Item.Kind.TECHNIQUE)
                    .forEach(i2 -> falls.add(i2.ref()));
        }
        for (String id : known) {
            Technique technique = map.technique(id).orElseThrow();
            missing(
                            technique.receiverFalls(),
                            falls,
                            technique,
                            bringsDown(technique) ? Finding.Code.FALL_ORDER : null,
                            "the receiver needs")
                    .ifPresent(f -> findings.add(f.atMost(most)));
            missing(technique.prerequisites(), known, technique, Finding.Code.ORDER, "it builds on")
                    .ifPresent(f -> findings.add(f.atMost(2)));
        }
        ladder.rank(rankId).orElseThrow().syllabus().forEach(group -> {
            if (group.choose() > group.items().size()) {
                findings.add(new Finding(
                        Finding.Code.CHOOSE_IMPOSSIBLE,
                        3,
                        null,
                        null,
                        null,
                        group.name() + ": asks to choose " + group.choose() + " of "
                                + group.items().size() + ".",
                        null));
            }
            group.items().forEach(item -> versionClash(item, findings));
        });
        return findings;
    }

    private boolean bringsDown(Technique technique) {
        return technique.family().bringsDown()
                || technique.family() == Family.SWEEP
                || technique.family() == Family.TURNOVER;
    }

    private java.util.Optional<Finding> missing(
            List<String> needed, Set<String> known, Technique technique, Finding.Code code, String verb) {
        Set<String> missing = new TreeSet<>(needed);
        missing.removeAll(known);
        if (missing.isEmpty() || code == null) {
            return java.util.Optional.empty();
        }
        Set<String> toAdd = new TreeSet<>();
        missing.forEach(id -> toAdd.addAll(map.withPrerequisites(id)));
        toAdd.removeAll(known);
        int cost = toAdd.stream()
                .mapToInt(id -> map.technique(id).orElseThrow().learn())
                .sum();
        List<String> names = missing.stream()
                .map(id -> map.technique(id).orElseThrow().name())
                .toList();
        String sentence = technique.name() + ": " + verb + " "
                + lynchet.core.rule.Say.and(names).toLowerCase(java.util.Locale.ROOT) + ", which "
                + (names.size() == 1 ? "is" : "are") + " not taught by this rank.";
        Mend mend = new Mend(
                List.copyOf(toAdd),
                cost,
                true,
                List.of("Teach " + lynchet.core.rule.Say.and(names) + " first"),
                List.of());
        return java.util.Optional.of(new Finding(code, 3, null, technique.id(), null, sentence, mend));
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
