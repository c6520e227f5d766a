package lynchet.format.csv;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Writes a sheet as it comes: UTF-8 with a byte-order mark, commas, text guarded against formulas, numbers bare. */
final class Lines implements AutoCloseable {

    private final CSVPrinter printer;

    Lines(OutputStream out, List<String> columns) {
        try {
            Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
            writer.write('\uFEFF');
            printer = new CSVPrinter(writer, CSVFormat.EXCEL);
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

    @Override
    public void close() {
        try {
            printer.flush();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
