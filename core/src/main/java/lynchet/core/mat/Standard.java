package lynchet.core.mat;

/** How well something is done; each includes the ones before it. Marks are given for the last three. */
public enum Standard {
    INTRODUCED,
    DRILLED,
    SHOWN,
    MOVING,
    LIVE;

    /** Whether a coach marks it, rather than practice computing it. */
    public boolean isMarked() {
        return compareTo(SHOWN) >= 0;
    }
}
