package lynchet.core.card;

/** The off-balancing direction, seen from the receiver: front is where the receiver's toes point. */
public enum Direction {
    FRONT,
    FRONT_RIGHT,
    RIGHT,
    BACK_RIGHT,
    BACK,
    BACK_LEFT,
    LEFT,
    FRONT_LEFT
}
