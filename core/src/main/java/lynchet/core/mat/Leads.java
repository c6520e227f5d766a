package lynchet.core.mat;

/** How the stances of two people are to meet in a drill. */
public enum Leads {
    /** As it comes. */
    ANY,
    /** Right against right, or left against left. */
    ALIKE,
    /** Right against left. */
    OPPOSED
}
