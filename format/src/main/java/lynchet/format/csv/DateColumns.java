package lynchet.format.csv;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Stream;
import lynchet.format.ArchiveRefused;

/** How a sheet writes its dates, judged over all of its date columns. */
final class DateColumns {

    private DateColumns() {}

    /**
     * @param named an example of how dates are written, as a preview gave it; null: recognise it
     */
    static Dates of(Sheet sheet, String named, String... columns) {
        Stream<String> cells = sheet.rows().stream()
                .flatMap(row -> Arrays.stream(columns).map(row::cell).flatMap(Optional::stream));
        return Dates.recognise(cells, named == null || named.isBlank() ? null : way(named));
    }

    private static Dates.Way way(String example) {
        return Arrays.stream(Dates.Way.values())
                .filter(way -> way.example().equals(example))
                .findFirst()
                .orElseThrow(() -> new ArchiveRefused(
                        "CSV_DATES",
                        "dates",
                        "dates are written like one of "
                                + Arrays.stream(Dates.Way.values())
                                        .map(Dates.Way::example)
                                        .toList()));
    }
}
