package lynchet.core.chain;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import lynchet.core.card.Jacket;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Position;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.numbers.Ages;
import lynchet.core.safety.Caution;
import lynchet.core.safety.Cautions;
import lynchet.core.walk.Evidence;
import org.jspecify.annotations.Nullable;

/**
 * Checks a chain against the map: joins, open ends, what is legal, and its measures (design: chains).
 *
 * <p>Without rounds shares are even: with n known reactions each has 1/(n + 1) of what happens when a link does not work.
 * Example: two reactions, one answered, at a single step → answered share 1/2.
 */
public final class ChainCheck {

    /** Control from which a chain that ends there has settled something. */
    private static final double AHEAD = 2;

    private final GrapplingMap map;
    private final Ruleset ruleset;
    private final Evidence evidence;
    private final List<ChainFinding> findings = new ArrayList<>();
    private final List<ChainReport.StepAt> steps = new ArrayList<>();
    private final Set<String> techniques = new TreeSet<>();
    private final List<Ruleset> rulesets;
    /** Expected points by ruleset; those that do not allow all of it are taken out. */
    private final Map<String, Double> points = new TreeMap<>();

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
        private static final Ends FINISHED = new Ends(1, 1);
    }

    private ChainCheck(GrapplingMap map, Ruleset ruleset, Evidence evidence) {
        this.map = map;
        this.ruleset = ruleset;
        this.evidence = evidence;
        rulesets = map.data().rulesets();
        rulesets.forEach(each -> points.put(each.id(), 0.0));
    }

    /**
     * Checks a chain.
     *
     * @param ruleset null: legality is not looked at, and only a tap ends it
     * @param others the club's chains, to see what it has in common with them; the chain itself may be among them
     */
    public static ChainReport check(
            GrapplingMap map, Chain chain, @Nullable Ruleset ruleset, Evidence evidence, Collection<Chain> others) {
        ChainCheck check = new ChainCheck(map, ruleset, evidence);
        Ends ends = chain.first() == null
                ? Ends.NONE
                : check.step(chain.first(), "1", chain.start(), null, Reached.surely(check.rulesets.size()), 1);
        check.wholeChain();
        return new ChainReport(
                check.depth,
                check.turnOffs,
                check.namedWeight == 0 ? 1 : check.answeredWeight / check.namedWeight,
                ends.finish(),
                ends.settle(),
                check.weakest,
                check.weakest == null ? 0 : check.weakestChance,
                check.taught(chain),
                Collections.unmodifiableMap(check.points),
                Overlap.of(chain, others),
                List.copyOf(check.steps),
                List.copyOf(check.findings));
    }

    private Ends step(ChainStep step, String label, String expected, Reaction through, Reached along, int deep) {
        depth = Math.max(depth, deep);
        Optional<Link> known = map.link(step.link());
        if (known.isEmpty()) {
            find(ChainFinding.Code.UNKNOWN_LINK, 3, label, step.link(), "Step " + label + ": there is no such link.");
            return Ends.NONE;
        }
        Link link = known.get();
        Technique technique = map.technique(link.technique()).orElseThrow();
        boolean firstTime = techniques.add(technique.id());
        boolean joins = Joins.holds(link, expected, through);
        Reached reached = joins ? along : Reached.NEVER;
        steps.add(new ChainReport.StepAt(
                label, link.id(), through == null ? null : through.id(), link.from(), link.to(), reached.here()));
        join(link, technique, label, expected, through);
        legality(link, technique, label);
        if (link.retired() || technique.retired()) {
            find(
                    ChainFinding.Code.RETIRED,
                    2,
                    label,
                    link.id(),
                    "Step " + label + ": " + technique.name() + " from " + positionName(link.from()) + " is retired.");
        }
        if (firstTime) {
            cautions(link, technique, label);
        }

        double works = evidence.chance(link);
        if (weakest == null || works < weakestChance) {
            weakest = link.id();
            weakestChance = works;
        }
        List<Reaction> reactions = map.reactionsToLink(link.id());
        openEnds(step, link, technique, label, reactions, reached.here());

        StepShares shares = new StepShares(map, evidence, step, link);
        trying(link, reached.by(shares.tried(), n -> shares.tried()));
        boolean ends = endsTheBout(link, ruleset);
        Ends onMainLine = mainLine(
                step,
                label,
                link,
                reached.by(shares.worked(false), n -> over(link, n) ? 0 : shares.worked(false)),
                deep);
        double finish = shares.worked(ends) * onMainLine.finish();
        double settle = shares.worked(ends) * onMainLine.settle();
        Set<String> taken = new HashSet<>();
        char letter = 'a';
        for (Turn turn : step.turnOffs()) {
            turnOffs++;
            Reaction reaction = map.reaction(turn.reaction()).orElse(null);
            String turnLabel = label + (Character.isDigit(label.charAt(label.length() - 1)) ? "" : "·") + letter++;
            boolean belongs = reaction != null && StepShares.belongs(reaction, link);
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
            if (reaction != null && reaction.retired()) {
                find(
                        ChainFinding.Code.RETIRED,
                        2,
                        turnLabel,
                        link.id(),
                        reaction.id(),
                        0,
                        "Step " + turnLabel + ": that they " + reaction.text() + " is retired.");
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
            boolean counts = belongs && isFirst;
            Ends atReaction = step(
                    turn.step(),
                    turnLabel,
                    belongs ? reaction.leaves() : null,
                    belongs ? reaction : null,
                    counts
                            ? reached.by(shares.of(reaction, false), n -> shares.of(reaction, over(link, n)))
                            : Reached.NEVER,
                    deep + 1);
            double share = counts ? shares.of(reaction, ends) : 0;
            finish += share * atReaction.finish();
            settle += share * atReaction.settle();
        }
        return joins ? new Ends(finish, settle) : Ends.NONE;
    }

    private boolean over(Link link, int underRuleset) {
        return endsTheBout(link, rulesets.get(underRuleset));
    }

    /** How it ends once the link has worked: at once, here, or further on. */
    private Ends mainLine(ChainStep step, String label, Link link, Reached reached, int deep) {
        ChainStep next = step.mainLine();
        Ends further = next == null ? Ends.NONE : step(next, after(label), link.to(), null, reached, deep + 1);
        if (endsTheBout(link, ruleset)) {
            return Ends.FINISHED;
        }
        if (next != null) {
            return further;
        }
        boolean held = ruleset != null && ruleset.endsHeld(link.to());
        boolean ahead = map.position(link.to()).orElseThrow().controlUnder(ruleset) >= AHEAD;
        return held ? Ends.FINISHED : new Ends(0, ahead ? 1 : 0);
    }

    /** A tap, or a clean throw where the ruleset says so; what the chain shows after that is for when it is not clean. */
    private boolean endsTheBout(Link link, @Nullable Ruleset under) {
        if (link.endsInTap() || under == null) {
            return link.endsInTap();
        }
        Technique technique = map.technique(link.technique()).orElseThrow();
        return under.score(
                        technique.family(),
                        NetPoints.landing(map, link.from()),
                        NetPoints.landing(map, link.to()),
                        true)
                .ends();
    }

    /** Adds what a try is worth under each ruleset that allows it; a bout that is over pays nothing. */
    private void trying(Link link, Reached tried) {
        Technique technique = map.technique(link.technique()).orElseThrow();
        for (int n = 0; n < rulesets.size(); n++) {
            Ruleset each = rulesets.get(n);
            double chance = tried.under().length == 0 ? 0 : tried.under()[n];
            if (each.allows(technique)) {
                points.computeIfPresent(each.id(), (id, sum) -> sum + chance * NetPoints.of(map, each, evidence, link));
            } else {
                points.remove(each.id());
            }
        }
    }

    private ChainReport.Teaching taught(Chain chain) {
        List<Technique> all =
                techniques.stream().map(id -> map.technique(id).orElseThrow()).toList();
        return new ChainReport.Teaching(
                TeachingMinutes.toIntroduce(chain, map),
                all.stream().map(map.numbers()::ages).reduce(Ages.ANY, Ages::and),
                all.stream()
                        .flatMap(technique -> technique.receiverFalls().stream())
                        .distinct()
                        .sorted()
                        .toList());
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

    private void join(Link link, Technique technique, String label, String expected, Reaction through) {
        if (expected != null && !expected.equals(link.from())) {
            find(
                    ChainFinding.Code.BROKEN_JOIN,
                    3,
                    label,
                    link.id(),
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
                    "Step " + label + ": " + technique.name() + " is not allowed under " + ruleset.name() + ".");
        }
    }

    /** Each technique's cautions once, however often it stands in the chain. */
    private void cautions(Link link, Technique technique, String label) {
        for (Caution caution : Cautions.of(technique, map)) {
            if (caution.level() != Caution.Level.CAUTION || !caution.code().equals("TAP")) {
                find(ChainFinding.Code.CAUTION, 1, label, link.id(), technique.name() + ": " + caution.text());
            }
        }
    }

    private void openEnds(
            ChainStep step, Link link, Technique technique, String label, List<Reaction> reactions, double reached) {
        Set<String> answered = new HashSet<>();
        step.turnOffs().stream()
                .filter(turn -> Joins.answers(turn, link, map))
                .forEach(turn -> answered.add(turn.reaction()));
        double named = 0;
        double met = 0;
        for (Reaction reaction : reactions) {
            double share = evidence.share(reaction);
            named += share;
            if (answered.contains(reaction.id())) {
                met += share;
            } else {
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
            answeredWeight += reached * met / named;
            namedWeight += reached;
        }
    }

    private void wholeChain() {
        if (jacket && noJacket) {
            find(ChainFinding.Code.JACKET_MIX, 2, "", null, "It mixes techniques with and without the jacket.");
        }
        Set<String> missing = new TreeSet<>();
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
                    map.technique(id).orElseThrow().name() + " comes first and is not part of the chain.");
        }
    }

    private String positionName(String id) {
        return Link.TAP.equals(id)
                ? "the tap"
                : map.position(id).map(Position::name).orElse(id);
    }

    private void find(ChainFinding.Code code, int severity, String step, String link, String text) {
        find(code, severity, step, link, null, 0, text);
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
