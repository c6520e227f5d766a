package lynchet.format.csv;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Writes a sheet: UTF-8 with a byte-order mark, commas, text guarded against formulas, numbers bare. */
final class Lines {

    private final StringBuilder out = new StringBuilder("\uFEFF");
    private final CSVPrinter printer;

    Lines(List<String> columns) {
        try {
            printer = new CSVPrinter(out, CSVFormat.EXCEL);
            printer.printRecord(columns);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** One line; what is missing is left empty. */
    void line(Object... cells) {
        try {
            for (Object cell : cells) {
                printer.print(cell == null ? "" : cell instanceof Number ? cell : Formulas.guard(cell.toString()));
            }
            printer.println();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    byte[] bytes() {
        return out.toString().getBytes(StandardCharsets.UTF_8);
    }
}
