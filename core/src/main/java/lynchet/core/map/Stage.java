package lynchet.core.map;

/** How far down the fight is, from the top of the hillside to the valley. */
public enum Stage {
    APART,
    GRIPPED,
    HALF_DOWN,
    LEGS_BETWEEN,
    LEGS_CLEARED,
    FINISH
}
