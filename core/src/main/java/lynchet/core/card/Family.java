package lynchet.core.card;

/** What sort of thing a technique is. */
public enum Family {
    BREAKFALL,
    MOVEMENT,
    GRIP,
    THROW,
    TAKEDOWN,
    TURNOVER,
    PASS,
    SWEEP,
    ESCAPE,
    PIN,
    TRANSITION,
    SUBMISSION;

    /** Techniques that are done alone need no position to start from. */
    public boolean isSolo() {
        return this == BREAKFALL || this == MOVEMENT;
    }

    /** Techniques that put a standing partner on the floor. */
    public boolean bringsDown() {
        return this == THROW || this == TAKEDOWN;
    }
}
