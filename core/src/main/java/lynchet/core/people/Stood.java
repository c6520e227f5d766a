package lynchet.core.people;

import java.util.List;
import lynchet.core.rule.Say;

/**
 * How somebody stood on a ladder at the moment of a decision; nothing about health is among the figures.
 *
 * @param figures what the verdict rested on
 */
public record Stood(String ladder, Readiness.Verdict verdict, List<Promotion.Figure> figures) {

    public Stood {
        Say.there("the ladder of a standing", ladder);
        Say.there("the verdict of a standing", verdict);
        figures = Say.list(figures);
    }

    public static Stood of(Readiness readiness) {
        return new Stood(readiness.ladder(), readiness.verdict(), readiness.figures());
    }
}
