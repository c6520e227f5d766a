package lynchet.format.csv;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.time.format.ResolverStyle;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How the dates of a sheet are written, recognised over all of them.
 *
 * @param isAmbiguous whether another way of writing fits every date as well, so that a person should look
 */
record Dates(Way way, boolean isAmbiguous) {

    /** A way of writing dates. */
    enum Way {
        ISO("2026-11-24", "uuuu-M-d"),
        DAY_DOT("24.11.2026", "d.M.uuuu"),
        DAY_SLASH("24/11/2026", "d/M/uuuu"),
        MONTH_SLASH("11/24/2026", "M/d/uuuu");

        private final String example;
        private final DateTimeFormatter formatter;

        Way(String example, String pattern) {
            this.example = example;
            this.formatter = DateTimeFormatter.ofPattern(pattern).withResolverStyle(ResolverStyle.STRICT);
        }

        String example() {
            return example;
        }

        Optional<LocalDate> read(String text) {
            try {
                return Optional.of(LocalDate.parse(text, formatter));
            } catch (DateTimeParseException e) {
                return Optional.empty();
            }
        }
    }

    /** The way in which most of these dates can be read; a named way is taken as it is. */
    static Dates recognise(Stream<String> cells, Way named) {
        List<String> texts = cells.distinct().toList();
        if (named != null) {
            return new Dates(named, false);
        }
        Way best = Way.ISO;
        long most = -1;
        int equals = 0;
        for (Way way : Way.values()) {
            long readable =
                    texts.stream().filter(text -> way.read(text).isPresent()).count();
            if (readable > most) {
                best = way;
                most = readable;
                equals = 0;
            } else if (readable == most) {
                equals++;
            }
        }
        return new Dates(best, equals > 0 && most > 0);
    }
}
