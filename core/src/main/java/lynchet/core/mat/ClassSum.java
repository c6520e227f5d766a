package lynchet.core.mat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import lynchet.core.card.Technique;
import org.jspecify.annotations.Nullable;

/**
 * What a class adds up to: its minutes with the changes between blocks and the water, and the falls that everybody takes
 * (design: doses, falls).
 *
 * @param blocks block by block, in their order
 * @param minutes minutes of the blocks
 * @param changes minutes for what lies between them
 * @param water minutes for water
 * @param falls falls that each person takes over the whole class; on a crash mat they count half
 */
public record ClassSum(List<OfBlock> blocks, int minutes, int changes, int water, double falls) {

    /** Half a minute from one block to the next. */
    private static final int CHANGE_SECONDS = 30;

    /** A pause for water in every so many minutes, two minutes long. */
    private static final int WATER_EVERY = 45;

    private static final int WATER = 2;
    private static final int MINUTE = 60;

    /**
     * One block.
     *
     * @param dose how often it fits; null where nothing is repeated
     * @param falls falls that each person takes in it
     * @param rounds whole rounds that fit; 0 where it has none
     */
    public record OfBlock(String id, @Nullable DoseSum dose, double falls, int rounds) {}

    /**
     * Adds a class up.
     *
     * @param techniques finds a technique by its id
     * @param fallsOf how often somebody falls when a chain of this id is done once
     */
    public static ClassSum of(
            TrainingClass training, Function<String, Optional<Technique>> techniques, ToIntFunction<String> fallsOf) {
        List<OfBlock> blocks = new ArrayList<>();
        int minutes = 0;
        double falls = 0;
        for (Block block : training.blocks()) {
            Technique technique = block.technique() == null
                    ? null
                    : techniques.apply(block.technique()).orElse(null);
            boolean isAlone = block.kind() == Block.Kind.BREAKFALLS
                    || (technique != null && technique.family().isSolo());
            Dose dose = block.drills() ? block.dose() : null;
            double taken = dose == null || isAlone ? 0 : falls(dose, once(block, technique, fallsOf));
            blocks.add(new OfBlock(
                    block.id(),
                    dose == null ? null : DoseSum.of(block.minutes(), dose, isAlone ? 1 : 2),
                    taken,
                    block.hasRounds() ? block.rounds() : 0));
            minutes += block.minutes();
            falls += taken;
        }
        int between = Math.max(0, training.blocks().size() - 1) * CHANGE_SECONDS;
        int water = training.blocks().isEmpty() ? 0 : training.minutes() / WATER_EVERY * WATER;
        return new ClassSum(List.copyOf(blocks), minutes, (between + MINUTE - 1) / MINUTE, water, falls);
    }

    private static int once(Block block, @Nullable Technique technique, ToIntFunction<String> fallsOf) {
        if (technique != null) {
            return technique.receiverFalls().isEmpty() ? 0 : 1;
        }
        return block.chain() == null ? 0 : fallsOf.applyAsInt(block.chain());
    }

    /** As often as their partner throws them; on a crash mat half. */
    private static double falls(Dose dose, int once) {
        int thrown = once * dose.reps() * dose.sides().each().size();
        return dose.surface() == Dose.Surface.CRASH_MAT ? thrown / 2.0 : thrown;
    }

    /** Minutes of the class that nothing fills; below 0 it is over. */
    public int left(int of) {
        return of - minutes - changes - water;
    }
}
