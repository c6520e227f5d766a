package lynchet.format.csv;

import java.io.IOException;
import java.io.StringReader;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lynchet.format.ArchiveRefused;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A spreadsheet's CSV file, read whatever program wrote it: the encoding, the delimiter and the header are recognised.
 *
 * @param encoding name of the encoding recognised
 * @param columns column names of the header in small letters with underscores
 */
record Sheet(String encoding, char delimiter, List<String> columns, List<Row> rows) {

    static final int MOST_BYTES = 32 << 20;
    static final int MOST_ROWS = 100_000;
    static final int MOST_COLUMNS = 500;
    static final int LONGEST_NAME = 200;

    /** One line with its number in the file, 1 the first. */
    record Row(long line, Map<String, String> cells) {
        /** The text of a cell, unguarded and without outer blanks; empty when it is missing or blank. */
        Optional<String> cell(String column) {
            return Optional.ofNullable(cells.get(column))
                    .map(Formulas::unguard)
                    .map(String::strip)
                    .filter(text -> !text.isEmpty());
        }
    }

    /** @throws ArchiveRefused if it is no table or too large, in words for a person */
    static Sheet read(byte[] bytes, Set<String> needed) {
        if (bytes.length > MOST_BYTES) {
            throw new ArchiveRefused("CSV_SIZE", "/", "the file is larger than " + (MOST_BYTES >> 20) + " MB");
        }
        Charset charset = charset(bytes);
        String text = new String(bytes, charset);
        text = text.startsWith("\uFEFF") ? text.substring(1) : text;
        if (text.isBlank()) {
            throw new ArchiveRefused("CSV_EMPTY", "line 1", "the file is empty");
        }
        if (text.indexOf('\0') >= 0) {
            throw new ArchiveRefused("CSV_READABLE", "line 1", "this is not a text file; save the sheet as CSV");
        }
        char delimiter = delimiter(text);
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(delimiter)
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = format.parse(new StringReader(text))) {
            return rows(parser, charset.name(), delimiter, needed);
        } catch (IOException | java.io.UncheckedIOException | IllegalStateException e) {
            throw new ArchiveRefused(
                    "CSV_READABLE",
                    "line 1",
                    "a quotation mark is opened and never closed, so the lines cannot be told apart");
        }
    }

    private static Sheet rows(CSVParser parser, String encoding, char delimiter, Set<String> needed) {
        List<String> columns = null;
        List<Row> rows = new ArrayList<>();
        long line = 1;
        for (CSVRecord record : parser) {
            if (columns == null) {
                columns = header(record, needed, delimiter);
            } else if (record.stream().anyMatch(cell -> !cell.isBlank())) {
                if (rows.size() >= MOST_ROWS) {
                    throw new ArchiveRefused("CSV_SIZE", "line " + line, "more than " + MOST_ROWS + " lines");
                }
                Map<String, String> cells = new HashMap<>();
                for (int i = 0; i < Math.min(columns.size(), record.size()); i++) {
                    cells.put(columns.get(i), record.get(i));
                }
                rows.add(new Row(line, cells));
            }
            line = parser.getCurrentLineNumber() + 1;
        }
        return new Sheet(encoding, delimiter, columns, List.copyOf(rows));
    }

    private static List<String> header(CSVRecord record, Set<String> needed, char delimiter) {
        if (record.size() > MOST_COLUMNS) {
            throw new ArchiveRefused("CSV_SIZE", "line 1", "more than " + MOST_COLUMNS + " columns");
        }
        List<String> columns = new ArrayList<>();
        record.forEach(cell -> columns.add(name(cell)));
        Set<String> seen = new HashSet<>();
        for (String column : columns) {
            if (!column.isEmpty() && !seen.add(column)) {
                throw new ArchiveRefused("CSV_HEADER", "line 1", "two columns are called " + column);
            }
        }
        for (String column : needed) {
            if (!columns.contains(column)) {
                throw new ArchiveRefused(
                        "CSV_HEADER",
                        "line 1",
                        "the first line must name the columns, and there is none called " + column + " (read with "
                                + (delimiter == '\t' ? "tabs" : "\"" + delimiter + "\"") + " between columns)");
            }
        }
        return List.copyOf(columns);
    }

    private static String name(String cell) {
        return cell.substring(0, Math.min(LONGEST_NAME, cell.length()))
                .strip()
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "_")
                .replaceAll("^_|_$", "");
    }

    private static Charset charset(byte[] bytes) {
        if (bytes.length > 1 && (bytes[0] & 0xFF) == 0xFF && (bytes[1] & 0xFF) == 0xFE) {
            return StandardCharsets.UTF_16LE;
        }
        if (bytes.length > 1 && (bytes[0] & 0xFF) == 0xFE && (bytes[1] & 0xFF) == 0xFF) {
            return StandardCharsets.UTF_16BE;
        }
        try {
            StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes));
            return StandardCharsets.UTF_8;
        } catch (CharacterCodingException e) {
            return Charset.forName("windows-1252");
        }
    }

    /** The delimiter that stands most often in the first line, outside quotation marks. */
    private static char delimiter(String text) {
        char best = ',';
        int most = 0;
        for (char candidate : new char[] {',', ';', '\t'}) {
            int count = 0;
            boolean quoted = false;
            for (int i = 0; i < text.length() && (quoted || text.charAt(i) != '\n'); i++) {
                char c = text.charAt(i);
                quoted ^= c == '"';
                count += !quoted && c == candidate ? 1 : 0;
            }
            if (count > most) {
                most = count;
                best = candidate;
            }
        }
        return best;
    }
}
