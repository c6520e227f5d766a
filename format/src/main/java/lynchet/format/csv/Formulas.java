package lynchet.format.csv;

import java.util.regex.Pattern;

/** Keeps a spreadsheet from taking a text cell for a formula, and takes the guard off again. Numbers stay bare. */
final class Formulas {

    private static final Pattern RISKY = Pattern.compile("'*[=+\\-@\\t\\r].*", Pattern.DOTALL);
    private static final Pattern GUARDED = Pattern.compile("'+[=+\\-@\\t\\r].*", Pattern.DOTALL);

    private Formulas() {}

    /** An apostrophe before what a spreadsheet might run; {@code unguard(guard(text))} is {@code text}. */
    static String guard(String text) {
        return RISKY.matcher(text).matches() ? "'" + text : text;
    }

    static String unguard(String text) {
        return GUARDED.matcher(text).matches() ? text.substring(1) : text;
    }
}
