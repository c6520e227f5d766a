package lynchet.core.mat;

/**
 * How often a drill fits into its minutes, and how many minutes it needs (design: doses).
 *
 * @param seconds what is left for repetitions after explaining and changing partners
 * @param reps repetitions that fit into them, of everybody of a pair together
 * @param each of those for each person on each side
 * @param spare repetitions that are left over then
 * @param needs minutes that the repetitions planned take, begun ones counted whole
 */
public record DoseSum(int seconds, int reps, int each, int spare, int needs) {

    /** Changing partners takes so long. */
    static final int SWAP_SECONDS = 12;

    /** A repetition takes so long where nobody says. */
    static final int PACE_SECONDS = 6;

    private static final int MINUTE = 60;

    /**
     * The sum of a block.
     *
     * @param partners 2 where one does it to the other, 1 where everybody does it at once
     */
    public static DoseSum of(int minutes, Dose dose, int partners) {
        int pace = dose.pace() == 0 ? PACE_SECONDS : dose.pace();
        int shares = partners * dose.sides().each().size();
        int lost = dose.explain() + dose.swaps() * SWAP_SECONDS;
        int seconds = Math.max(0, minutes * MINUTE - lost);
        int reps = seconds / pace;
        int needed = lost + dose.reps() * shares * pace;
        return new DoseSum(seconds, reps, reps / shares, reps % shares, (needed + MINUTE - 1) / MINUTE);
    }
}
