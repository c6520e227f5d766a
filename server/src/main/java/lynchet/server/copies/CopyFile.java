package lynchet.server.copies;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import lynchet.server.keep.H2File;
import lynchet.server.keep.OwnerOnly;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/** A copy of the club's data in one zip. It is worth something once it has been read back. */
final class CopyFile {

    private static final String DATA = H2File.NAME;

    private static final Pattern MIGRATION = Pattern.compile("^V(\\d+)__");

    private CopyFile() {}

    /**
     * What a copy holds.
     *
     * @param people how many are in it
     * @param version the migration it was brought to
     * @param tables every row of it, read
     */
    record Contents(int people, int version, Tables tables) {}

    /** Why a copy or a data file cannot be used, in one sentence. */
    static final class Unusable extends RuntimeException {

        private static final long serialVersionUID = 1L;

        Unusable(String sentence) {
            super(sentence);
        }
    }

    /** Reads a copy back into a folder of its own, which is gone afterwards. */
    static Contents readBack(Path zip) {
        try {
            Path folder = Files.createTempDirectory(zip.toAbsolutePath().getParent(), ".reading-");
            try {
                unpack(zip, folder.resolve(DATA));
                return look(folder.resolve(DATA));
            } finally {
                Files.deleteIfExists(folder.resolve(DATA));
                Files.deleteIfExists(folder.resolve(H2File.TRACE));
                Files.delete(folder);
            }
        } catch (IOException e) {
            throw new Unusable(zip + " could not be read back: " + e.getMessage() + ".");
        }
    }

    /** Writes the data file of a copy, synced to the disk, for its owner's eyes only. */
    static void unpack(Path zip, Path to) throws IOException {
        try (ZipInputStream in = new ZipInputStream(Files.newInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                if (entry.getName().equals(DATA)) {
                    copy(in, to);
                    return;
                }
            }
        }
        throw new Unusable(zip + " is not a copy of a club: there is no " + DATA + " in it.");
    }

    private static void copy(InputStream in, Path to) throws IOException {
        Files.copy(in, to, StandardCopyOption.REPLACE_EXISTING);
        OwnerOnly.close(to);
        try (FileChannel written = FileChannel.open(to, StandardOpenOption.WRITE)) {
            written.force(true);
        }
    }

    /** Opens a data file without changing it, and reads every row. */
    static Contents look(Path data) {
        try (Connection club = H2File.openToLook(data)) {
            int version = number(club, "select max(cast(\"version\" as int)) from \"flyway_schema_history\"");
            if (version > newest()) {
                throw new Unusable("It was made by a newer Lynchet; update this one first.");
            }
            return new Contents(number(club, "select count(*) from student"), version, Tables.of(club));
        } catch (SQLException e) {
            throw new Unusable("It is damaged or not a club's data: " + firstLine(e) + ".");
        }
    }

    /** The version of the newest migration that this program knows. */
    static int newest() {
        try {
            return Stream.of(new PathMatchingResourcePatternResolver().getResources("classpath*:db/migration/V*"))
                    .map(Resource::getFilename)
                    .map(MIGRATION::matcher)
                    .filter(Matcher::find)
                    .mapToInt(found -> Integer.parseInt(found.group(1)))
                    .max()
                    .orElseThrow();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static int number(Connection club, String sql) throws SQLException {
        try (ResultSet found = club.createStatement().executeQuery(sql)) {
            found.next();
            return found.getInt(1);
        }
    }

    static String firstLine(Exception e) {
        return String.valueOf(e.getMessage()).lines().findFirst().orElse("").replaceFirst("[. ]*\\[.*$", "");
    }
}
