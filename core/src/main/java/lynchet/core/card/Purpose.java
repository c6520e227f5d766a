package lynchet.core.card;

/** What a version of a technique is for. */
public enum Purpose {
    TEACHING,
    GRADING,
    COMPETITION
}
