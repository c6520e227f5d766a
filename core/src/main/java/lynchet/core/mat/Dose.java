package lynchet.core.mat;

import lynchet.core.rule.Say;

/**
 * How much and how a block is drilled.
 *
 * @param reps repetitions per person and side, 0 to 500
 * @param swaps partner swaps
 * @param resistance 0 none to 3 full
 */
public record Dose(int reps, Side sides, int swaps, Tempo tempo, int resistance, Surface surface) {

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
        Say.within("the reps of a dose", reps, 0, 500);
        sides = sides == null ? Side.BOTH : sides;
        Say.within("the swaps of a dose", swaps, 0, 50);
        tempo = tempo == null ? Tempo.SLOW : tempo;
        Say.within("the resistance of a dose", resistance, 0, 3);
        surface = surface == null ? Surface.MAT : surface;
    }
}
