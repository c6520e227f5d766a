package lynchet.core.numbers;

import lynchet.core.card.Hazard;
import lynchet.core.card.Technique;

/**
 * From which age something is taught (design: rules the core knows); local rules come first.
 *
 * @param from youngest age in years at which it is trained at all; 0: any
 * @param shownBelow below this age it is shown with a partner who lets it happen, and not tried live; 0: no such age
 * @param never whether it is not trained at any age
 */
public record Ages(int from, int shownBelow, boolean never) {

    /** No limit. */
    public static final Ages ANY = new Ages(0, 0, false);

    /** The ages of a hazard. */
    public static Ages of(Hazard hazard) {
        return switch (hazard) {
            case NECK_CRANK, PRESSURE_POINT, KNEE_SIDE_FALL -> new Ages(0, 0, true);
            case TWISTING_LEG_LOCK -> new Ages(18, 0, false);
            case FRONT_CHOKE, LEG_LOCK -> new Ages(16, 0, false);
            case CHOKE, ARM_LOCK, SHOULDER_LOCK -> new Ages(13, 16, false);
            case REAR_SIT,
                    ARM_STANDING_FALL,
                    LIFTED,
                    BELT_THUMB,
                    LIFT_LEGS,
                    HEAD_DIVE,
                    ARMS_HELD,
                    NECK_LOAD,
                    KNEE_LOAD -> ANY;
        };
    }

    /** The ages of a technique: the strictest of its hazards. */
    public static Ages of(Technique technique) {
        return technique.hazards().stream().map(Ages::of).reduce(ANY, Ages::and);
    }

    /** From which age it is tried live. */
    public int live() {
        return Math.max(from, shownBelow);
    }

    /** The stricter of both. */
    public Ages and(Ages other) {
        return new Ages(Math.max(from, other.from), Math.max(shownBelow, other.shownBelow), never || other.never);
    }
}
