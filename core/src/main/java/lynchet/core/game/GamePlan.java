package lynchet.core.game;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import lynchet.core.card.Family;
import lynchet.core.card.Technique;
import lynchet.core.map.Link;
import lynchet.core.walk.Chance;
import lynchet.core.walk.Evidence;
import lynchet.core.walk.Finding;
import lynchet.core.walk.Gaps;
import lynchet.core.walk.Knowledge;
import lynchet.core.walk.MoveGraph;
import lynchet.core.walk.Reach;
import org.jspecify.annotations.Nullable;

/**
 * What a student has for each position they get into: plan A, plan B, and how much of the hill that covers.
 *
 * <p>Coverage is the mean over those positions of min(answers, 2)/2, with answers counted in techniques. Worked: four positions
 * with 0, 1, 2 and 5 answers → (0 + 0.5 + 1 + 1)/4 = 0.625.
 *
 * @param places the positions that can be reached against class-mates who know the same, in the order of the map
 * @param coverage 0 to 1; 0 where nothing is reached
 * @param strongest the best choice of each family, by family
 */
public record GamePlan(List<Place> places, double coverage, Map<Family, Choice> strongest) {

    /** Answers beyond this many add nothing to coverage: one to go for and one for when that is stopped. */
    private static final int ENOUGH = 2;

    /**
     * A position a student gets into.
     *
     * @param answers techniques of theirs that they can use there
     * @param best plan A and plan B, as far as there are any
     */
    public record Place(String position, int answers, List<Choice> best) {}

    /**
     * A technique to go for at a position.
     *
     * @param when id of the reaction that it answers; null: on one's own initiative
     * @param to where it ends, a position or a tap
     */
    public record Choice(
            String link, String technique, @Nullable String when, String to, HowKnown known, Chance works) {

        /** Passed before drilled, then the likelier, then the fresher. */
        static final Comparator<Choice> BEST_FIRST = Comparator.comparing(
                        (Choice one) -> one.known().hasPass(), Comparator.reverseOrder())
                .thenComparing(one -> one.works().estimate(), Comparator.reverseOrder())
                .thenComparing(one -> one.known().freshness(), Comparator.reverseOrder())
                .thenComparing(Choice::link);
    }

    /**
     * The plan of somebody.
     *
     * @param known what they know, by technique
     * @param evidence how well links work for them
     */
    public static GamePlan of(MoveGraph graph, Map<String, HowKnown> known, Evidence evidence) {
        List<Set<Link>> usable = usable(graph, Knowledge.sameLevel(graph, known.keySet()));
        List<Place> places = new ArrayList<>();
        Map<Family, Choice> strongest = new EnumMap<>(Family.class);
        for (int position = 0; position < usable.size(); position++) {
            if (usable.get(position) == null) {
                continue;
            }
            Map<String, Choice> byTechnique = new HashMap<>();
            for (Link link : usable.get(position)) {
                Choice choice = new Choice(
                        link.id(),
                        link.technique(),
                        link.when(),
                        link.to(),
                        known.get(link.technique()),
                        evidence.works(link));
                byTechnique.merge(link.technique(), choice, GamePlan::better);
            }
            byTechnique.values().forEach(choice -> strongest.merge(family(graph, choice), choice, GamePlan::better));
            List<Choice> best = byTechnique.values().stream()
                    .sorted(Choice.BEST_FIRST)
                    .limit(ENOUGH)
                    .toList();
            places.add(new Place(graph.positions().get(position).id(), byTechnique.size(), best));
        }
        double covered =
                places.stream().mapToDouble(place -> share(place.answers())).sum();
        return new GamePlan(places, places.isEmpty() ? 0 : covered / places.size(), strongest);
    }

    private static Family family(MoveGraph graph, Choice choice) {
        return graph.map().technique(choice.technique()).orElseThrow().family();
    }

    private static Choice better(Choice one, Choice other) {
        return Choice.BEST_FIRST.compare(one, other) <= 0 ? one : other;
    }

    private static double share(int answers) {
        return Math.min(answers, ENOUGH) / (double) ENOUGH;
    }

    /** The links that can be used at each position, by position number; null where it is not reached. */
    private static List<Set<Link>> usable(MoveGraph graph, Knowledge knowledge) {
        Reach reach = Reach.of(graph, knowledge);
        List<Set<Link>> usable = new ArrayList<>();
        graph.positions().forEach(position -> usable.add(null));
        for (int state = 0; state < graph.states(); state++) {
            if (!reach.reachedState(state)) {
                continue;
            }
            int position = graph.positionOf(state);
            Set<Link> here = usable.get(position) == null ? new HashSet<>() : usable.get(position);
            graph.forEachMove(state, move -> {
                if (graph.isMine(move) && knowledge.allows(graph, move)) {
                    here.add(graph.link(move));
                }
            });
            usable.set(position, here);
        }
        return usable;
    }

    /**
     * A technique that would close most for what it costs to learn.
     *
     * @param gain how much coverage rises, 0 to 1
     * @param helps positions that are reached today and have fewer than two answers, where it is one more
     */
    public record Next(String technique, double gain, List<String> helps) {}

    /** What may be taught to somebody: what their own rank asks for, and what comes later. */
    public record Teachable(Set<String> own, Set<String> later) {}

    /**
     * What to learn next, the best first: what the own rank asks for before what comes later; among it what helps where they
     * are stuck in a bad place; ways out before attacks; then what raises coverage most by how hard it is to learn. Where
     * somebody gets to is left as it is today, and so is what class-mates know: more answers, not more places. What builds
     * on something that they do not know yet is left out.
     */
    public static List<Next> next(MoveGraph graph, Set<String> known, Teachable teachable, int most) {
        Knowledge now = Knowledge.sameLevel(graph, known);
        List<Set<Link>> today = usable(graph, now);
        long reached = today.stream().filter(links -> links != null).count();
        Set<String> stuck = Gaps.find(graph, now, Map.of(), false, Set.of()).stream()
                .filter(finding -> finding.severity() == 3 && finding.position() != null)
                .map(Finding::position)
                .collect(Collectors.toSet());
        record Weighed(Next next, boolean isLater, boolean isStuck, boolean isAttack, double worth) {}
        List<Weighed> weighed = new ArrayList<>();
        Set<String> candidates = new HashSet<>(teachable.own());
        candidates.addAll(teachable.later());
        for (String id : candidates) {
            Technique technique = graph.map().technique(id).orElseThrow();
            if (known.contains(id) || technique.retired() || !known.containsAll(technique.prerequisites())) {
                continue;
            }
            BitSet mine = (BitSet) now.mine().clone();
            mine.set(graph.techniqueNumber(id));
            List<Set<Link>> then = usable(graph, new Knowledge(mine, now.theirs(), false));
            double gain = 0;
            List<String> helps = new ArrayList<>();
            for (int position = 0; position < today.size(); position++) {
                if (today.get(position) != null) {
                    double more = share(techniques(then.get(position))) - share(techniques(today.get(position)));
                    if (more > 0) {
                        gain += more / reached;
                        helps.add(graph.positions().get(position).id());
                    }
                }
            }
            if (!helps.isEmpty()) {
                weighed.add(new Weighed(
                        new Next(id, gain, helps),
                        !teachable.own().contains(id),
                        helps.stream().anyMatch(stuck::contains),
                        technique.family() != Family.ESCAPE,
                        gain / technique.learn()));
            }
        }
        return weighed.stream()
                .sorted(Comparator.comparing(Weighed::isLater)
                        .thenComparing(Weighed::isStuck, Comparator.reverseOrder())
                        .thenComparing(Weighed::isAttack)
                        .thenComparing(Weighed::worth, Comparator.reverseOrder())
                        .thenComparing(one -> one.next().technique()))
                .limit(most)
                .map(Weighed::next)
                .toList();
    }

    private static int techniques(Set<Link> links) {
        return (int) links.stream().map(Link::technique).distinct().count();
    }
}
