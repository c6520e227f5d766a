package lynchet.starter;

/** What a new club begins with. */
public enum StarterChoice {
    /** Everything. */
    WHOLE,
    /** What is done with a jacket, under jacket rules. */
    JACKET,
    /** What is done without one. */
    NO_JACKET,
    /** Nothing. */
    EMPTY
}
