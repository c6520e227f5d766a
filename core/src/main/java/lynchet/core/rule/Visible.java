package lynchet.core.rule;

/** What of a text its reader can see. */
final class Visible {

    private Visible() {}

    /** Fillers that count as letters and show nothing. */
    private static final String FILLERS = "\u115f\u1160\u2800\u3164\uffa0";

    /** Whether there is nothing to see in it: blanks, and signs that have no width. */
    static boolean isBlank(String text) {
        return text.codePoints()
                .allMatch(sign -> Character.isWhitespace(sign)
                        || Character.isSpaceChar(sign)
                        || FILLERS.indexOf(sign) >= 0
                        || switch (Character.getType(sign)) {
                            case Character.CONTROL, Character.FORMAT, Character.UNASSIGNED -> true;
                            default -> false;
                        });
    }

    /**
     * Whether a text has a sign in it that no sheet, letter or page can bear: one of control, half of a pair, one that turns
     * the direction of what follows, or one that is none.
     *
     * @param lines whether it may have several lines
     */
    static boolean hasHidden(String text, boolean lines) {
        return text.codePoints().anyMatch(sign -> switch (sign) {
            case '\n', '\r', '\t' -> !lines;
            default ->
                switch (Character.getType(sign)) {
                    case Character.CONTROL,
                            Character.SURROGATE,
                            Character.LINE_SEPARATOR,
                            Character.PARAGRAPH_SEPARATOR -> true;
                    default -> turns(sign) || (sign & 0xfffe) == 0xfffe || sign >= 0xfdd0 && sign <= 0xfdef;
                };
        });
    }

    private static boolean turns(int sign) {
        return sign >= 0x202a && sign <= 0x202e || sign >= 0x2066 && sign <= 0x2069;
    }
}
