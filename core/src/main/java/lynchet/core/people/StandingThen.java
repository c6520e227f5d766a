package lynchet.core.people;

import java.util.List;
import lynchet.core.rule.Require;

/**
 * How somebody stood on a ladder at the moment of a decision; nothing about health is among the figures.
 *
 * @param figures what the verdict rested on
 */
public record StandingThen(String ladder, Readiness.Verdict verdict, List<Promotion.Figure> figures) {

    public StandingThen {
        Require.present("the ladder of a standing", ladder);
        Require.present("the verdict of a standing", verdict);
        figures = Require.list(figures);
    }

    public static StandingThen of(Readiness readiness) {
        return new StandingThen(readiness.ladder(), readiness.verdict(), readiness.figures());
    }
}
