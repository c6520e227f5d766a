package lynchet.core.map;

/** When, within an attempt, the partner reacts. */
public enum Phase {
    GRIP,
    ENTRY,
    LOADED,
    LATE,
    LANDED
}
