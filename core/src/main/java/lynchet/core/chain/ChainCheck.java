package lynchet.core.chain;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Jacket;
import lynchet.core.map.Link;
import lynchet.core.map.Position;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.map.Technique;
import lynchet.core.safety.Caution;
import lynchet.core.safety.Cautions;
import lynchet.core.walk.LinkEvidence;

/**
 * Checks a chain against the map: joins, open ends, what is legal, and its measures.
 *
 * <p>Shares are even until rounds are logged: with n known reactions each has 1/(n + 1) of what happens when a link
 * does not work. Example: two reactions, one answered, at a single step → answered share 1/2.
 */
public final class ChainCheck {

    private final GrapplingMap map;
    private final Ruleset ruleset;
    private final ToDoubleFunction<Link> chances;
    private final List<ChainFinding> findings = new ArrayList<>();
    private final List<ChainReport.StepAt> steps = new ArrayList<>();
    private final Set<String> techniques = new HashSet<>();
    private int depth;
    private int turnOffs;
    private double answeredWeight;
    private double namedWeight;
    private String weakest;
    private double weakestChance = 1;
    private boolean jacket;
    private boolean noJacket;

    private record Ends(double finish, double settle) {
        private static final Ends NONE = new Ends(0, 0);
    }

    private ChainCheck(GrapplingMap map, Ruleset ruleset, ToDoubleFunction<Link> chances) {
        this.map = map;
        this.chances = chances;
        this.ruleset = ruleset;
    }

    /** Checks a chain; {@code ruleset} null: legality is not looked at. */
    public static ChainReport check(GrapplingMap map, Chain chain, Ruleset ruleset) {
        return check(
                map,
                chain,
                ruleset,
                link -> LinkEvidence.prior(map.technique(link.technique()).orElseThrow()));
    }

    /** The same with the chance, 0 to 1, that a try of each link works. */
    public static ChainReport check(GrapplingMap map, Chain chain, Ruleset ruleset, ToDoubleFunction<Link> chances) {
        ChainCheck check = new ChainCheck(map, ruleset, chances);
        Ends ends = chain.first() == null ? Ends.NONE : check.step(chain.first(), "1", chain.start(), null, 1, 1);
        check.wholeChain();
        return new ChainReport(
                check.depth,
                check.turnOffs,
                check.namedWeight == 0 ? 1 : check.answeredWeight / check.namedWeight,
                ends.finish(),
                ends.settle(),
                check.weakest,
                check.weakest == null ? 0 : check.weakestChance,
                List.copyOf(check.steps),
                List.copyOf(check.findings));
    }

    private Ends step(ChainStep step, String label, String expected, Reaction through, double reached, int deep) {
        depth = Math.max(depth, deep);
        Optional<Link> known = map.link(step.link());
        if (known.isEmpty()) {
            find(
                    ChainFinding.Code.UNKNOWN_LINK,
                    3,
                    label,
                    step.link(),
                    null,
                    0,
                    "Step " + label + ": there is no such link.");
            return Ends.NONE;
        }
        Link link = known.get();
        Technique technique = map.technique(link.technique()).orElseThrow();
        boolean firstTime = techniques.add(technique.id());
        steps.add(new ChainReport.StepAt(
                label, link.id(), through == null ? null : through.id(), link.from(), link.to(), reached));
        join(link, technique, label, expected, through);
        legality(link, technique, label);
        if (link.retired() || technique.retired()) {
            find(
                    ChainFinding.Code.RETIRED,
                    2,
                    label,
                    link.id(),
                    null,
                    0,
                    "Step " + label + ": " + technique.name() + " from " + positionName(link.from()) + " is retired.");
        }
        if (firstTime) {
            cautions(link, technique, label);
        }

        double works = chances.applyAsDouble(link);
        if (weakest == null || works < weakestChance) {
            weakest = link.id();
            weakestChance = works;
        }
        List<Reaction> reactions = map.reactionsToLink(link.id());
        openEnds(step, link, technique, label, reactions, reached);

        Shares shares = new Shares(link, step, works);
        Ends onMainLine = mainLine(step, label, link, reached * shares.mainLine(), deep);
        double finish = shares.mainLine() * onMainLine.finish();
        double settle = shares.mainLine() * onMainLine.settle();
        Set<String> taken = new HashSet<>();
        char letter = 'a';
        for (Turn turn : step.turnOffs()) {
            turnOffs++;
            Reaction reaction = map.reaction(turn.reaction()).orElse(null);
            String turnLabel = label + (Character.isDigit(label.charAt(label.length() - 1)) ? "" : "·") + letter++;
            boolean belongs = belongs(reaction, link);
            if (!belongs) {
                find(
                        ChainFinding.Code.BROKEN_JOIN,
                        3,
                        turnLabel,
                        link.id(),
                        turn.reaction(),
                        0,
                        "Step " + turnLabel + ": that is not something they do here.");
            }
            boolean isFirst = taken.add(turn.reaction());
            if (!isFirst) {
                find(
                        ChainFinding.Code.TWICE,
                        2,
                        turnLabel,
                        link.id(),
                        turn.reaction(),
                        0,
                        "Step " + turnLabel + ": that reaction has a turn-off already.");
            }
            double byReaction = belongs && isFirst ? shares.of(reaction) : 0;
            Ends ends = step(
                    turn.step(),
                    turnLabel,
                    belongs ? reaction.leaves() : null,
                    belongs ? reaction : null,
                    reached * byReaction,
                    deep + 1);
            finish += byReaction * ends.finish();
            settle += byReaction * ends.settle();
        }
        return new Ends(finish, settle);
    }

    /**
     * How a step goes on, 0 to 1 each and 1 at most together: they do something before the link is tried, it fails at a
     * reaction to it, it works and they do something where it leads, or it works and the main line goes on. What they do
     * at a position has an even share with one part for nothing, like what they do to a link.
     */
    private final class Shares {

        private final Link link;
        private final double works;
        private final double tried;
        private final double undisturbed;

        Shares(Link link, ChainStep step, double works) {
            this.link = link;
            this.works = works;
            List<Reaction> turns = step.turnOffs().stream()
                    .map(turn -> map.reaction(turn.reaction()).orElse(null))
                    .filter(reaction -> belongs(reaction, link))
                    .distinct()
                    .toList();
            tried = 1
                    - turns.stream()
                            .filter(this::isBefore)
                            .mapToDouble(r -> at(link.from()))
                            .sum();
            undisturbed = 1
                    - turns.stream()
                            .filter(this::isAfter)
                            .mapToDouble(r -> at(link.to()))
                            .sum();
        }

        private boolean isAfter(Reaction reaction) {
            return link.to().equals(reaction.position());
        }

        private boolean isBefore(Reaction reaction) {
            return !isAfter(reaction) && link.from().equals(reaction.position());
        }

        private double at(String position) {
            return LinkEvidence.evenShare(map.reactionsAt(position).size());
        }

        double mainLine() {
            return tried * works * undisturbed;
        }

        double of(Reaction reaction) {
            if (isAfter(reaction)) {
                return tried * works * at(link.to());
            }
            return isBefore(reaction)
                    ? at(link.from())
                    : tried
                            * (1 - works)
                            * LinkEvidence.evenShare(
                                    map.reactionsToLink(link.id()).size());
        }
    }

    private Ends mainLine(ChainStep step, String label, Link link, double reached, int deep) {
        ChainStep next = step.mainLine();
        if (next == null) {
            boolean settled = link.endsInTap()
                    || map.position(link.to())
                            .map(p -> p.controlUnder(ruleset) >= 2)
                            .orElse(false);
            return new Ends(link.endsInTap() ? 1 : 0, settled ? 1 : 0);
        }
        return step(next, after(label), link.to(), null, reached, deep + 1);
    }

    /** The label of the next step on the same line: 2 → 3, 2b → 2b2, 2b2 → 2b3. */
    static String after(String label) {
        int end = label.length();
        while (end > 0 && Character.isDigit(label.charAt(end - 1))) {
            end--;
        }
        int number = end == label.length() ? 1 : Integer.parseInt(label.substring(end));
        return label.substring(0, end) + (number + 1);
    }

    private boolean belongs(Reaction reaction, Link link) {
        return reaction != null
                && (link.id().equals(reaction.link())
                        || link.from().equals(reaction.position())
                        || link.to().equals(reaction.position()));
    }

    private void join(Link link, Technique technique, String label, String expected, Reaction through) {
        if (expected != null && !expected.equals(link.from())) {
            find(
                    ChainFinding.Code.BROKEN_JOIN,
                    3,
                    label,
                    link.id(),
                    null,
                    0,
                    "Step " + label + ": " + technique.name() + " starts at " + positionName(link.from())
                            + ", but here you are at " + positionName(expected) + ".");
        } else if (link.answersReaction() && (through == null || !link.when().equals(through.id()))) {
            find(
                    ChainFinding.Code.BROKEN_JOIN,
                    3,
                    label,
                    link.id(),
                    link.when(),
                    0,
                    "Step " + label + ": "
                            + technique.name() + " is there only if "
                            + map.reaction(link.when()).orElseThrow().text() + ".");
        }
    }

    private void legality(Link link, Technique technique, String label) {
        jacket |= technique.jacket() == Jacket.JACKET;
        noJacket |= technique.jacket() == Jacket.NO_JACKET;
        if (ruleset != null && !ruleset.allows(technique)) {
            find(
                    ChainFinding.Code.ILLEGAL,
                    2,
                    label,
                    link.id(),
                    null,
                    0,
                    "Step " + label + ": " + technique.name() + " is not allowed under " + ruleset.name() + ".");
        }
    }

    /** Each technique's cautions once, however often it stands in the chain. */
    private void cautions(Link link, Technique technique, String label) {
        for (Caution caution : Cautions.of(technique, map)) {
            if (caution.level() != Caution.Level.CAUTION || !caution.code().equals("TAP")) {
                find(ChainFinding.Code.CAUTION, 1, label, link.id(), null, 0, technique.name() + ": " + caution.text());
            }
        }
    }

    private void openEnds(
            ChainStep step, Link link, Technique technique, String label, List<Reaction> reactions, double reached) {
        Set<String> answered = new HashSet<>();
        step.turnOffs().forEach(turn -> answered.add(turn.reaction()));
        double share = LinkEvidence.evenShare(reactions.size());
        for (Reaction reaction : reactions) {
            if (!answered.contains(reaction.id())) {
                find(
                        ChainFinding.Code.OPEN_END,
                        2,
                        label,
                        link.id(),
                        reaction.id(),
                        share,
                        "Step " + label + ", " + technique.name() + ": if " + reaction.text()
                                + ", the chain has no answer.");
            }
        }
        if (!reactions.isEmpty()) {
            long named =
                    reactions.stream().filter(r -> answered.contains(r.id())).count();
            answeredWeight += reached * named / reactions.size();
            namedWeight += reached;
        }
    }

    private void wholeChain() {
        if (jacket && noJacket) {
            find(
                    ChainFinding.Code.JACKET_MIX,
                    2,
                    "",
                    null,
                    null,
                    0,
                    "It mixes techniques with and without the jacket.");
        }
        Set<String> missing = new java.util.TreeSet<>();
        for (String id : techniques) {
            missing.addAll(map.technique(id).orElseThrow().prerequisites());
        }
        missing.removeAll(techniques);
        for (String id : missing) {
            find(
                    ChainFinding.Code.PREREQUISITE,
                    1,
                    "",
                    null,
                    null,
                    0,
                    map.technique(id).orElseThrow().name() + " comes first and is not part of the chain.");
        }
    }

    private String positionName(String id) {
        return Link.TAP.equals(id)
                ? "the tap"
                : map.position(id).map(Position::name).orElse(id);
    }

    private void find(
            ChainFinding.Code code,
            int severity,
            String step,
            String link,
            String reaction,
            double share,
            String text) {
        findings.add(new ChainFinding(code, severity, step, link, reaction, share, text));
    }
}
