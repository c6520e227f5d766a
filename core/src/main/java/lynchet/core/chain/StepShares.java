package lynchet.core.chain;

import java.util.List;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Reaction;
import lynchet.core.walk.Evidence;

/**
 * How a step goes on, 0 to 1 each and 1 at most together: they do something before the link is tried, it fails at a
 * reaction to it, it works and they do something where it leads, or it works and the main line goes on. What happens at a
 * position takes its share only where the chain turns off there.
 */
final class StepShares {

    private final Evidence evidence;
    private final Link link;
    private final double works;
    private final double tried;
    private final double undisturbed;

    StepShares(GrapplingMap map, Evidence evidence, ChainStep step, Link link) {
        this.evidence = evidence;
        this.link = link;
        this.works = evidence.chance(link);
        List<Reaction> turns = step.turnOffs().stream()
                .flatMap(turn -> map.reaction(turn.reaction()).stream())
                .filter(reaction -> belongs(reaction, link))
                .distinct()
                .toList();
        tried = 1 - sum(turns.stream().filter(this::isBefore).toList());
        undisturbed = 1 - sum(turns.stream().filter(this::isAfter).toList());
    }

    /** Whether it is something they do to this link, before it, or where it leads. */
    static boolean belongs(Reaction reaction, Link link) {
        return link.id().equals(reaction.link())
                || link.from().equals(reaction.position())
                || link.to().equals(reaction.position());
    }

    private double sum(List<Reaction> reactions) {
        return Math.min(1, reactions.stream().mapToDouble(evidence::share).sum());
    }

    private boolean isAfter(Reaction reaction) {
        return link.to().equals(reaction.position());
    }

    private boolean isBefore(Reaction reaction) {
        return !isAfter(reaction) && link.from().equals(reaction.position());
    }

    /** The link is tried: nothing came before. */
    double tried() {
        return tried;
    }

    /**
     * It works, and the main line goes on or the bout is over.
     *
     * @param ends whether the bout is over when it works: then nobody does anything where it leads
     */
    double worked(boolean ends) {
        return tried * works * (ends ? 1 : undisturbed);
    }

    double of(Reaction reaction, boolean ends) {
        double share = evidence.share(reaction);
        if (isAfter(reaction)) {
            return ends ? 0 : tried * works * share;
        }
        return isBefore(reaction) ? share : tried * (1 - works) * share;
    }
}
