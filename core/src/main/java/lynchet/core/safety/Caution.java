package lynchet.core.safety;

/**
 * One caution as it is shown, everywhere the same.
 *
 * @param code the rule it comes from
 * @param level what it does
 * @param text one short sentence
 */
public record Caution(String code, Level level, String text) {

    /** What a rule does: stop, ask for something, or show. */
    public enum Level {
        FORBID,
        CONDITION,
        CAUTION
    }
}
