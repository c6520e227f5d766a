package lynchet.core.people;

/** A student's stance. */
public enum Lead {
    RIGHT,
    LEFT,
    BOTH
}
