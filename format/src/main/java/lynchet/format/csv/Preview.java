package lynchet.format.csv;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What taking in a sheet would do, before it is done.
 *
 * @param delimiter the character between columns: "," ";" or "tab"
 * @param dates how dates are written, by example; null when there is none
 * @param datesAmbiguous whether they could be read in another way too
 * @param ignored columns that are not used
 * @param lines the lines that add, change or are bad, at most {@link #MOST_SHOWN} of each
 */
public record Preview(
        String encoding,
        String delimiter,
        @Nullable String dates,
        boolean datesAmbiguous,
        List<String> ignored,
        int add,
        int change,
        int same,
        int bad,
        List<Line> lines) {

    public static final int MOST_SHOWN = 200;

    /** What a line would do. */
    public enum What {
        ADD,
        CHANGE,
        SAME,
        BAD
    }

    /**
     * @param line number of the line in the file
     * @param about whom or what it is about
     * @param why what changes, or why it is bad; may be empty
     */
    public record Line(long line, What what, String about, String why) {}
}
