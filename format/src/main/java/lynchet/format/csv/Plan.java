package lynchet.format.csv;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A sheet thought through: what would be added and changed, and the preview of it.
 *
 * @param add new things, in the order of the file
 * @param change things that are there and would become this
 */
public record Plan<T>(Preview preview, List<T> add, List<T> change) {

    /** Puts a plan together line by line. */
    static final class Maker<T> {
        private final List<T> add = new ArrayList<>();
        private final List<T> change = new ArrayList<>();
        private final List<Preview.Line> lines = new ArrayList<>();
        private final Map<Preview.What, Integer> counts = new EnumMap<>(Preview.What.class);

        void add(long line, String about, T thing) {
            add.add(thing);
            note(line, Preview.What.ADD, about, "");
        }

        void change(long line, String about, T thing, String why) {
            change.add(thing);
            note(line, Preview.What.CHANGE, about, why);
        }

        void same(long line, String about) {
            note(line, Preview.What.SAME, about, "");
        }

        /** Reads one line; what cannot be taken becomes a bad line with its reason. */
        void reading(long line, String about, Runnable reading) {
            try {
                reading.run();
            } catch (BadLine bad) {
                bad(line, about, bad.getMessage());
            } catch (IllegalArgumentException refused) {
                bad(line, about, refused.getMessage());
            }
        }

        private void bad(long line, String about, String why) {
            note(line, Preview.What.BAD, about, why);
        }

        private void note(long line, Preview.What what, String about, String why) {
            int before = counts.merge(what, 1, Integer::sum);
            if (what != Preview.What.SAME && before <= Preview.MOST_SHOWN) {
                lines.add(new Preview.Line(line, what, about, why));
            }
        }

        Plan<T> plan(Sheet sheet, Dates dates, Set<String> used) {
            return new Plan<>(
                    new Preview(
                            sheet.encoding(),
                            sheet.delimiter() == '\t' ? "tab" : String.valueOf(sheet.delimiter()),
                            dates == null ? null : dates.way().example(),
                            dates != null && dates.isAmbiguous(),
                            sheet.columns().stream()
                                    .filter(column -> !column.isEmpty() && !used.contains(column))
                                    .toList(),
                            counts.getOrDefault(Preview.What.ADD, 0),
                            counts.getOrDefault(Preview.What.CHANGE, 0),
                            counts.getOrDefault(Preview.What.SAME, 0),
                            counts.getOrDefault(Preview.What.BAD, 0),
                            List.copyOf(lines)),
                    List.copyOf(add),
                    List.copyOf(change));
        }
    }
}
