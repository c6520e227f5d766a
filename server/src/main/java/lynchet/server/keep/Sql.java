package lynchet.server.keep;

import java.util.Collections;

/** Small pieces of plain SQL. */
public final class Sql {

    private Sql() {}

    /** "?, ?, ?" for a list of values that is not empty. */
    public static String marks(int values) {
        return String.join(", ", Collections.nCopies(values, "?"));
    }
}
