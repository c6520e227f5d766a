package lynchet.core.map;

/** What a version of a technique is for. */
public enum Purpose {
    TEACHING,
    GRADING,
    COMPETITION
}
