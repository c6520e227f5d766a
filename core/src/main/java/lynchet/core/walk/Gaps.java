package lynchet.core.walk;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import lynchet.core.card.Jacket;
import lynchet.core.card.Need;
import lynchet.core.card.Technique;
import lynchet.core.map.Link;
import lynchet.core.map.Position;
import lynchet.core.map.Reaction;
import lynchet.core.map.Stage;

/** What a set of techniques leaves open over the positions that it reaches (design: gaps). */
public final class Gaps {

    /** How many techniques are named that have no place under a ruleset. */
    private static final int MOST_NAMES = 6;

    private final MoveGraph graph;
    private final Knowledge knowledge;
    private final boolean examList;
    private final Reach reach;
    private final Ways ways;
    private final List<Finding> findings = new ArrayList<>();
    private final List<List<Integer>> statesAt;
    private final Map<String, List<Link>> linksOf;
    private Reach atMost;
    private final Set<Integer> usableLinks = new TreeSet<>();

    private Gaps(MoveGraph graph, Knowledge knowledge, boolean examList) {
        this.graph = graph;
        this.knowledge = knowledge;
        this.examList = examList;
        this.reach = Reach.of(graph, knowledge);
        this.ways = new Ways(graph);
        this.statesAt = reach.statesByPosition();
        this.linksOf = graph.links().stream().collect(Collectors.groupingBy(Link::technique));
    }

    /**
     * All findings that need no rounds, most severe first, then by centrality of the position, then by name.
     *
     * @param centrality betweenness by position id, from {@link Centrality}
     * @param examList whether the techniques are a fixed exam list, in which a missing way in is only a warning
     * @param oneSided ids of sided techniques that are required or drilled on one side only
     */
    public static List<Finding> find(
            MoveGraph graph,
            Knowledge knowledge,
            Map<String, Double> centrality,
            boolean examList,
            Set<String> oneSided) {
        Gaps gaps = new Gaps(graph, knowledge, examList);
        gaps.positions();
        gaps.openReactions();
        gaps.waysIn();
        gaps.needs();
        gaps.sides(oneSided);
        return gaps.findings.stream()
                .map(finding -> knowledge.againstAnyone() ? finding.atMost(2) : finding)
                .sorted(order(centrality))
                .toList();
    }

    /** Severity, then centrality of the position, then the sentence, which begins with the name. */
    public static Comparator<Finding> order(Map<String, Double> centrality) {
        return Comparator.comparing(Finding::severity, Comparator.reverseOrder())
                .thenComparing(
                        f -> f.position() == null ? 0.0 : centrality.getOrDefault(f.position(), 0.0),
                        Comparator.reverseOrder())
                .thenComparing(Finding::sentence)
                .thenComparing(f -> f.code().name());
    }

    private void positions() {
        for (int position = 0; position < statesAt.size(); position++) {
            if (!statesAt.get(position).isEmpty()) {
                atPosition(position, statesAt.get(position));
            }
        }
    }

    private void atPosition(int index, List<Integer> states) {
        Position position = graph.positions().get(index);
        double control = ways.control(index);
        Set<Integer> mine = new LinkedHashSet<>();
        for (int state : states) {
            graph.forEachMove(state, move -> {
                if (graph.isMine(move) && knowledge.allows(graph, move)) {
                    mine.add(graph.linkNumber(move));
                }
            });
        }
        usableLinks.addAll(mine);
        boolean isTap =
                isCaught(position, control) && !ways.within(Ways.ESCAPE_LINKS, states, everything(), ways::escapes);
        if (isTap) {
            add(Finding.Code.TAP, 1, position, position.name() + ": " + tap(position));
        } else if (mine.isEmpty()) {
            add(Finding.Code.NO_ANSWER, control < 0 ? 3 : 2, position, position.name() + ": nothing to do from here.");
        } else if (control < Ways.EVEN_ENOUGH && !ways.within(Ways.ESCAPE_LINKS, states, knowledge, ways::escapes)) {
            add(
                    Finding.Code.NO_ESCAPE,
                    3,
                    position,
                    position.name() + ": no way out to even ground or back to standing within three links.");
        }
        if (mine.size() == 1 && !isTap) {
            Link only = graph.links().get(mine.iterator().next());
            add(
                    Finding.Code.ONE_ANSWER,
                    control < Ways.EVEN_ENOUGH ? 2 : 1,
                    position,
                    position.name() + ": only one thing to do, " + name(only) + ".");
        }
        if (control >= 2 && !ways.isHeld(index) && !ways.within(Ways.FINISH_LINKS, states, knowledge, ways::finishes)) {
            add(Finding.Code.NO_FINISH, 2, position, position.name() + ": well ahead, but no finish within two links.");
        }
    }

    private boolean isCaught(Position position, double control) {
        return control < Ways.EVEN_ENOUGH && graph.map().stageOf(position.id()) == Stage.FINISH;
    }

    /** Nobody is asked for a way out that nobody has: what is done before it is locked, and then the tap. */
    private static String tap(Position position) {
        return position.cautions().isEmpty()
                ? "no honest way out once it is on, and nothing said yet of what is done before; then one taps."
                : "no honest way out once it is on, so one taps. "
                        + position.cautions().get(0);
    }

    private void openReactions() {
        for (int r = 0; r < graph.reactions().size(); r++) {
            int state = graph.iMayAnswer(r);
            Reaction reaction = graph.reactions().get(r);
            if (reach.reachedState(state) && !answered(state, reaction)) {
                Link tried = reaction.link() == null
                        ? null
                        : graph.map().link(reaction.link()).orElseThrow();
                String where = graph.map()
                        .position(tried == null ? reaction.position() : tried.from())
                        .orElseThrow()
                        .id();
                String what = tried == null ? positionName(where) : name(tried) + " from " + positionName(where);
                findings.add(new Finding(
                        Finding.Code.OPEN_REACTION,
                        2,
                        where,
                        tried == null ? null : tried.technique(),
                        reaction.id(),
                        what + ": if " + reaction.text() + ", nothing answers it.",
                        null));
            }
        }
    }

    private boolean answered(int state, Reaction reaction) {
        return graph.anyMove(
                state,
                move -> graph.isMine(move)
                        && reaction.id().equals(graph.link(move).when())
                        && knowledge.allows(graph, move));
    }

    private void waysIn() {
        List<String> leftOut = new ArrayList<>();
        for (int t = knowledge.mine().nextSetBit(0);
                t >= 0;
                t = knowledge.mine().nextSetBit(t + 1)) {
            Technique technique = graph.techniques().get(t);
            List<Link> here = linksOf.getOrDefault(technique.id(), List.of());
            if (technique.family().isSolo()
                    || technique.retired()
                    || here.stream().anyMatch(this::startsReached)) {
                continue;
            }
            if (isForElsewhere(technique, here)) {
                leftOut.add(technique.name());
            } else if (isAWayOut(here)) {
                findings.add(new Finding(
                        Finding.Code.NO_WAY_IN,
                        1,
                        null,
                        technique.id(),
                        null,
                        technique.name() + ": a way out of where class-mates do not put anybody yet.",
                        null));
            } else {
                findings.add(new Finding(
                        Finding.Code.NO_WAY_IN,
                        examList ? 2 : 3,
                        null,
                        technique.id(),
                        null,
                        technique.name() + ": " + noWayIn(here),
                        null));
            }
        }
        if (!leftOut.isEmpty()) {
            findings.add(new Finding(Finding.Code.LEFT_OUT, 1, null, null, null, leftOut(leftOut), null));
        }
    }

    /** A way out is learned before the attack, so that nobody has to learn to get there first. */
    private boolean isAWayOut(List<Link> here) {
        return !here.isEmpty()
                && here.stream()
                        .allMatch(
                                link -> ways.control(graph.positionOf(graph.stateOf(link.from()))) < Ways.EVEN_ENOUGH);
    }

    private boolean startsReached(Link link) {
        return !statesAt.get(graph.stateOf(link.from())).isEmpty();
    }

    /** Whether it stands on the map, but not here: it is not allowed, or nothing allowed leads to where it starts. */
    private boolean isForElsewhere(Technique technique, List<Link> here) {
        boolean onTheMap = graph.map().links().stream()
                .anyMatch(link -> !link.retired() && link.technique().equals(technique.id()));
        boolean isLimited = graph.ruleset() != null || graph.worn() != Jacket.EITHER;
        return onTheMap && isLimited && here.stream().noneMatch(link -> atMost().reached(link.from()));
    }

    /** What could be reached here by the person who knows everything. */
    private Reach atMost() {
        if (atMost == null) {
            atMost = Reach.of(graph, everything());
        }
        return atMost;
    }

    private Knowledge everything() {
        BitSet all = new BitSet();
        all.set(0, graph.techniques().size());
        return new Knowledge(all, all, true);
    }

    private String noWayIn(List<Link> here) {
        List<String> starts = here.stream()
                .map(link -> positionName(link.from()))
                .distinct()
                .sorted()
                .toList();
        return starts.isEmpty()
                ? "no link of the map uses it yet."
                : "nothing taught so far leads to " + String.join(" or ", starts) + ".";
    }

    private String leftOut(List<String> names) {
        String where = graph.ruleset() != null
                ? "under " + graph.ruleset().name()
                : graph.worn() == Jacket.JACKET ? "in a jacket" : "without a jacket";
        List<String> sorted = names.stream().sorted().toList();
        int more = sorted.size() - MOST_NAMES;
        return "Of no use " + where + ", and left out: "
                + String.join(", ", sorted.subList(0, Math.min(sorted.size(), MOST_NAMES)))
                + (more > 0 ? " and " + more + " more." : ".");
    }

    private void needs() {
        for (int l : usableLinks) {
            Link link = graph.links().get(l);
            for (Need need : link.needs()) {
                if (need.madeBy() == null) {
                    continue;
                }
                Link maker = graph.map().link(need.madeBy()).orElseThrow();
                if (!knowledge.iKnow(graph.techniqueNumber(maker.technique()))) {
                    findings.add(new Finding(
                            Finding.Code.NEED_NOT_MADE,
                            2,
                            link.from(),
                            link.technique(),
                            null,
                            name(link) + " needs " + need.text() + "; " + name(maker)
                                    + ", which makes it, is not taught yet.",
                            null));
                }
            }
        }
    }

    private void sides(Set<String> oneSided) {
        for (String id : new TreeSet<>(oneSided)) {
            Technique technique = graph.map().technique(id).orElse(null);
            if (technique != null && technique.sided()) {
                findings.add(new Finding(
                        Finding.Code.ONE_SIDED,
                        1,
                        null,
                        id,
                        null,
                        technique.name() + ": asked for on one side only.",
                        null));
            }
        }
    }

    private void add(Finding.Code code, int severity, Position position, String sentence) {
        findings.add(new Finding(code, severity, position.id(), null, null, sentence, null));
    }

    private String name(Link link) {
        return graph.map().technique(link.technique()).orElseThrow().name();
    }

    private String positionName(String id) {
        return graph.map().position(id).orElseThrow().name();
    }
}
