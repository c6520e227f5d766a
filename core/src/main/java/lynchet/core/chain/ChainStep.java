package lynchet.core.chain;

import java.util.List;
import java.util.function.ToIntFunction;
import java.util.stream.Stream;
import lynchet.core.rule.Require;

/** One link of a chain and what may come after it. */
public record ChainStep(String link, List<Turn> next) {
    public ChainStep {
        Require.present("the link of a step", link);
        next = Require.list(next);
        if (next.stream().filter(turn -> turn.reaction() == null).count() > 1) {
            throw new IllegalArgumentException("a step has two main lines");
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

    /** This step and all that come after it, on whichever line. */
    public Stream<ChainStep> all() {
        return Stream.concat(
                Stream.of(this), next.stream().flatMap(turn -> turn.step().all()));
    }

    /** The most that one line from here adds up to; a link that is answered by a turn-off did not come off. */
    public int most(ToIntFunction<String> ofLink) {
        ChainStep on = mainLine();
        int through = ofLink.applyAsInt(link) + (on == null ? 0 : on.most(ofLink));
        return turnOffs().stream().mapToInt(turn -> turn.step().most(ofLink)).reduce(through, Math::max);
    }

    /** The turn-offs, in the order they were entered. */
    public List<Turn> turnOffs() {
        return next.stream().filter(turn -> turn.reaction() != null).toList();
    }
}
