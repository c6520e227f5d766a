package lynchet.core.mat;

import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Usual;
import org.jspecify.annotations.Nullable;

/**
 * How much and how a block is drilled.
 *
 * @param reps repetitions per person and side, 0 to 500
 * @param swaps partner swaps
 * @param resistance 0 none to 3 full
 * @param explain seconds of showing and explaining at its start, 0 to 3600
 * @param pace seconds that one repetition takes, 0 to 600; 0: not said
 * @param stop what ends a repetition or the block before its time; may be null
 */
public record Dose(
        int reps,
        Side sides,
        @Usual("0") int swaps,
        Tempo tempo,
        @Usual("0") int resistance,
        Surface surface,
        @Usual("0") int explain,
        @Usual("0") int pace,
        @Most(120) @Nullable String stop) {

    /** How fast. */
    public enum Tempo {
        SLOW,
        BUILDING,
        FAST
    }

    /** What one lands on. */
    public enum Surface {
        MAT,
        CRASH_MAT
    }

    public Dose {
        Require.within("the reps of a dose", reps, 0, 500);
        sides = sides == null ? Side.BOTH : sides;
        Require.within("the swaps of a dose", swaps, 0, 50);
        tempo = tempo == null ? Tempo.SLOW : tempo;
        Require.within("the resistance of a dose", resistance, 0, 3);
        surface = surface == null ? Surface.MAT : surface;
        Require.within("the explanation of a dose", explain, 0, 3600);
        Require.within("the seconds of a repetition", pace, 0, 600);
    }
}
