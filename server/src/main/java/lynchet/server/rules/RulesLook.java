package lynchet.server.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lynchet.core.card.Technique;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainCheck;
import lynchet.core.chain.ChainReport;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.MapData;
import lynchet.core.map.Position;
import lynchet.core.map.Ruleset;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.OpenedClosed;
import lynchet.core.rank.SyllabusCheck;
import lynchet.core.round.RoundEvidence;
import lynchet.core.walk.Gaps;
import lynchet.core.walk.Knowledge;
import lynchet.core.walk.MoveGraph;
import lynchet.core.walk.Reach;
import lynchet.server.club.Snapshot;
import lynchet.server.round.RoundStore;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What other rules would change, before they are kept: what is legal, in chains, ranks, gaps and reach. */
@Service
class RulesLook {

    /** So much of a chance is no difference that anybody would see. */
    private static final double SEEN = 0.005;

    private final RoundStore rounds;

    RulesLook(RoundStore rounds) {
        this.rounds = rounds;
    }

    /**
     * A chain under rules.
     *
     * @param isLegal whether all of it is
     * @param finish chance that it ends the bout, 0 to 1
     * @param points net points expected; null where it is not legal
     */
    record UnderRules(
            boolean isLegal, double finish, @Nullable Double points) {}

    record ChainChanges(String chain, String name, UnderRules before, UnderRules after) {}

    /** What opens and closes on a ladder that is checked under these rules. */
    record LadderChanges(String ladder, String name, OpenedClosed changes) {}

    /**
     * What changes.
     *
     * @param forbidden names of techniques that are legal now and would not be
     * @param allowed names of techniques that would be legal and are not
     * @param reachedBefore how many positions somebody who knows everything gets into
     * @param gapsBefore how many gaps the whole map has
     */
    record RulesChange(
            List<String> forbidden,
            List<String> allowed,
            List<ChainChanges> chains,
            List<LadderChanges> ladders,
            int reachedBefore,
            int reachedAfter,
            int gapsBefore,
            int gapsAfter) {}

    /**
     * @param old the rules as they are, or those that new ones are made from; null: they are made from nothing
     * @param after the rules as they would be, under the id of the old ones
     */
    @Transactional(readOnly = true)
    RulesChange of(Snapshot now, @Nullable Ruleset old, Ruleset after) {
        Ruleset before = old == null ? nothing(after) : old;
        GrapplingMap map = now.map();
        GrapplingMap changed = GrapplingMap.of(with(map.data(), after), now.numbers());
        MoveGraph was = MoveGraph.under(map, before);
        MoveGraph is = MoveGraph.under(changed, after);
        Set<String> legalBefore = legal(map, before);
        Set<String> legalAfter = legal(changed, after);
        return new RulesChange(
                names(map, legalBefore, legalAfter),
                names(map, legalAfter, legalBefore),
                chains(now, changed, before, after),
                ladders(now, was, is, after.id()),
                reached(map, was),
                reached(changed, is),
                gaps(now, was),
                gaps(now, is));
    }

    /** Rules that forbid nothing and pay nothing. */
    private static Ruleset nothing(Ruleset like) {
        return new Ruleset(
                like.id(),
                like.name(),
                null,
                null,
                null,
                like.entries(),
                null,
                false,
                0,
                null,
                null,
                5,
                null,
                false,
                0,
                null);
    }

    private static MapData with(MapData data, Ruleset rules) {
        return new MapData(
                data.pairs(),
                data.techniques(),
                data.links(),
                data.reactions(),
                Stream.concat(data.rulesets().stream().filter(one -> !one.id().equals(rules.id())), Stream.of(rules))
                        .toList());
    }

    private static Set<String> legal(GrapplingMap map, Ruleset rules) {
        return map.techniques().stream()
                .filter(technique -> !technique.retired() && rules.allows(technique))
                .map(Technique::id)
                .collect(Collectors.toSet());
    }

    private static List<String> names(GrapplingMap map, Set<String> all, Set<String> without) {
        Set<String> names = new TreeSet<>();
        map.techniques().stream()
                .filter(technique -> all.contains(technique.id()) && !without.contains(technique.id()))
                .forEach(technique -> names.add(technique.name()));
        return List.copyOf(names);
    }

    private List<ChainChanges> chains(Snapshot now, GrapplingMap changed, Ruleset before, Ruleset after) {
        RoundEvidence evidence = rounds.evidence(now.map());
        List<ChainChanges> changes = new ArrayList<>();
        for (Chain chain : now.taught().chains()) {
            if (!chain.retired()) {
                UnderRules was = under(ChainCheck.check(now.map(), chain, before, evidence, List.of()), before);
                UnderRules is = under(ChainCheck.check(changed, chain, after, evidence, List.of()), after);
                if (differs(was, is)) {
                    changes.add(new ChainChanges(chain.id(), chain.name(), was, is));
                }
            }
        }
        return changes;
    }

    private static UnderRules under(ChainReport report, Ruleset rules) {
        Double points = report.netPoints().get(rules.id());
        return new UnderRules(points != null, report.chanceToFinish(), points);
    }

    private static boolean differs(UnderRules one, UnderRules other) {
        boolean paysElse =
                one.points() != null && other.points() != null && Math.abs(one.points() - other.points()) > SEEN;
        return one.isLegal() != other.isLegal() || paysElse || Math.abs(one.finish() - other.finish()) > SEEN;
    }

    private static List<LadderChanges> ladders(Snapshot now, MoveGraph was, MoveGraph is, String rules) {
        List<LadderChanges> changes = new ArrayList<>();
        for (Ladder ladder : now.ladders()) {
            if (rules.equals(ladder.ruleset())) {
                OpenedClosed differs = OpenedClosed.between(check(now, was), ladder, check(now, is), ladder);
                if (!differs.opened().isEmpty() || !differs.closed().isEmpty()) {
                    changes.add(new LadderChanges(ladder.id(), ladder.name(), differs));
                }
            }
        }
        return changes;
    }

    private static SyllabusCheck check(Snapshot now, MoveGraph graph) {
        return new SyllabusCheck(graph, now.centrality(), now.taught().chains());
    }

    private static Knowledge everything(MoveGraph graph) {
        return Knowledge.sameLevel(
                graph, graph.map().techniques().stream().map(Technique::id).collect(Collectors.toSet()));
    }

    private static int reached(GrapplingMap map, MoveGraph graph) {
        Reach reach = Reach.of(graph, everything(graph));
        return (int) map.positions().stream()
                .map(Position::id)
                .filter(reach::reached)
                .count();
    }

    private static int gaps(Snapshot now, MoveGraph graph) {
        return Gaps.find(graph, everything(graph), now.centrality(), false, Set.of())
                .size();
    }
}
