package lynchet.format.csv;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** Reads the cells of one line as what they should be, or says in words why they are not. */
record Cells(Sheet.Row row, Dates dates) {

    Optional<String> text(String column) {
        return row.cell(column);
    }

    String needed(String column) {
        return text(column).orElseThrow(() -> new BadLine(column + " is empty"));
    }

    Optional<LocalDate> date(String column) {
        return text(column).map(text -> dates.way()
                .read(text)
                .orElseThrow(
                        () -> new BadLine(column + " " + text + " is not a day of the calendar, or not written like "
                                + dates.way().example())));
    }

    /** The moment in the column {@code at}; where a sheet gives only the day, its noon. */
    Instant moment(LocalDate day) {
        return text("at")
                .map(text -> {
                    try {
                        return Instant.parse(text);
                    } catch (DateTimeParseException e) {
                        throw new BadLine("at " + text + " is not a moment written like 2026-11-24T18:30:00Z");
                    }
                })
                .orElseGet(() -> day.atTime(12, 0).toInstant(ZoneOffset.UTC));
    }

    Optional<Integer> whole(String column) {
        return text(column).map(text -> {
            try {
                return Integer.valueOf(text);
            } catch (NumberFormatException e) {
                throw new BadLine(column + " " + text + " is not a whole number");
            }
        });
    }

    /** A number with a point or a comma before its decimals. */
    Optional<Double> number(String column) {
        return text(column).map(text -> {
            try {
                return Double.valueOf(text.replace(',', '.'));
            } catch (NumberFormatException e) {
                throw new BadLine(column + " " + text + " is not a number");
            }
        });
    }

    Optional<Boolean> yes(String column) {
        return text(column).map(text -> switch (text.toLowerCase(Locale.ROOT)) {
            case "yes", "y", "true", "1", "pass", "passed", "x" -> true;
            case "no", "n", "false", "0", "not yet", "not_yet" -> false;
            default -> throw new BadLine(column + " " + text + " is neither yes nor no");
        });
    }

    <E extends Enum<E>> Optional<E> oneOf(String column, Class<E> type) {
        return text(column).map(text -> Arrays.stream(type.getEnumConstants())
                .filter(constant -> constant.name().equalsIgnoreCase(text.replace(' ', '_')))
                .findFirst()
                .orElseThrow(() -> new BadLine(column + " " + text + " is none of "
                        + String.join(
                                ", ",
                                Arrays.stream(type.getEnumConstants())
                                        .map(constant -> constant.name().toLowerCase(Locale.ROOT))
                                        .toList()))));
    }
}
