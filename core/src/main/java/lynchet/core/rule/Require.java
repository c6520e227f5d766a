package lynchet.core.rule;

import java.util.List;
import java.util.regex.Pattern;

/** What every value requires of what it is made of. */
public final class Require {

    private static final Pattern SLUG = Pattern.compile("[a-z0-9]+(-[a-z0-9]+)*");

    private Require() {}

    /**
     * A readable id: lower-case letters, digits and single hyphens, at most 80 characters.
     *
     * @throws Nonsense naming {@code what} and the id
     */
    public static String id(String what, String id) {
        if (id == null || id.length() > 80 || !SLUG.matcher(id).matches()) {
            throw new Nonsense(
                    Nonsense.Rule.ID_FORM,
                    what + " needs an id of lower-case letters, digits and hyphens, not '" + shortened(id) + "'");
        }
        return id;
    }

    /**
     * Text that must be there; how long it may be is the business of {@link Limits}.
     *
     * @throws Nonsense naming {@code what}
     */
    public static String text(String what, String text) {
        if (text == null || text.isBlank()) {
            throw new Nonsense(Nonsense.Rule.TEXT_EMPTY, what + " must not be empty");
        }
        return text;
    }

    /**
     * Several texts; a missing list is an empty one.
     *
     * @throws Nonsense naming {@code what}
     */
    public static List<String> texts(String what, List<String> texts) {
        List<String> all = list(what, texts);
        all.forEach(text -> text(what, text));
        return all;
    }

    private static String shortened(String id) {
        return id == null || id.length() <= 90 ? id : id.substring(0, 90) + "\u2026";
    }

    /** A value that must be there. */
    public static <T> T present(String what, T value) {
        if (value == null) {
            throw new Nonsense(Nonsense.Rule.MISSING, what + " is missing");
        }
        return value;
    }

    /** A whole number in a closed range. */
    public static int within(String what, int value, int least, int most) {
        if (value < least || value > most) {
            throw new Nonsense(
                    Nonsense.Rule.OUT_OF_RANGE, what + " must be from " + least + " to " + most + ", not " + value);
        }
        return value;
    }

    /** An unmodifiable copy; a missing list is an empty one. */
    public static <T> List<T> list(List<T> list) {
        return list("a list", list);
    }

    /**
     * An unmodifiable copy; a missing list is an empty one.
     *
     * @throws Nonsense naming {@code what} if there is nothing at some place in it
     */
    public static <T> List<T> list(String what, List<T> list) {
        if (list == null) {
            return List.of();
        }
        for (int i = 0; i < list.size(); i++) {
            if (list.get(i) == null) {
                throw new Nonsense(Nonsense.Rule.MISSING, what + " has nothing at place " + (i + 1));
            }
        }
        return List.copyOf(list);
    }
}
