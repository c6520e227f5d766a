package lynchet.core.chain;

import java.util.List;
import lynchet.core.rule.Say;

/** One link of a chain and what may come after it. */
public record ChainStep(String link, List<Turn> next) {
    public ChainStep {
        Say.there("the link of a step", link);
        next = Say.list(next);
        if (next.stream().filter(turn -> turn.reaction() == null).count() > 1) {
            throw new IllegalArgumentException("the step with link " + link + " has two main lines");
        }
    }

    /** The step that follows when the link worked; null at the end of a line. */
    public ChainStep mainLine() {
        return next.stream()
                .filter(turn -> turn.reaction() == null)
                .map(Turn::step)
                .findFirst()
                .orElse(null);
    }

    /** The turn-offs, in the order they were entered. */
    public List<Turn> turnOffs() {
        return next.stream().filter(turn -> turn.reaction() != null).toList();
    }
}
