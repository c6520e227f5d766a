package lynchet.core.map;

/** How the partner reacts, so that reactions can be counted across techniques. */
public enum Manner {
    TURNS_IN,
    TURNS_AWAY,
    POSTS,
    HIPS_BACK,
    STANDS,
    DRIVES,
    STIFF_ARMS,
    HIDES_LIMB,
    STEPS_OVER,
    STEPS_OUT,
    GRIPS,
    OTHER
}
