package lynchet.server.keep;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import org.h2.api.ErrorCode;
import org.h2.mvstore.MVStoreException;

/** The club's data file while no server has it open, and how one tells that it cannot be opened. */
public final class H2File {

    /** The data file, as it lies in the data folder and in a copy. */
    public static final String NAME = "club" + H2File.ENDING;

    /** A copy that is being put in its place. */
    public static final String INCOMING = "incoming" + H2File.ENDING;

    /** What the database may write beside it while it looks. */
    public static final String TRACE = "club.trace.db";

    static final String ENDING = ".mv.db";
    static final String URL = "jdbc:h2:file:";

    private H2File() {}

    /** Whether a club is kept in a file, as it is outside tests. */
    public static boolean isNamedBy(String url) {
        return url.startsWith(URL);
    }

    /**
     * Opens a data file that is there.
     *
     * @throws SQLException if somebody else has it open, or it cannot be read
     */
    public static Connection open(Path file) throws SQLException {
        return open(file, "");
    }

    /** Opens a data file without changing it. */
    public static Connection openToLook(Path file) throws SQLException {
        return open(file, ";ACCESS_MODE_DATA=r");
    }

    private static Connection open(Path file, String how) throws SQLException {
        return DriverManager.getConnection(URL + stem(file.toAbsolutePath()) + ";IFEXISTS=TRUE" + how, "sa", "");
    }

    static String stem(Path file) {
        String name = file.toString();
        return name.endsWith(ENDING) ? name.substring(0, name.length() - ENDING.length()) : name;
    }

    /** Writes what an open data file holds into a zip. */
    public static void backUp(Connection club, Path zip) throws SQLException {
        try (PreparedStatement copy = club.prepareStatement("BACKUP TO ?")) {
            copy.setString(1, zip.toAbsolutePath().toString());
            copy.execute();
        }
    }

    /** Whether it could not be opened because somebody else has it open. */
    public static boolean isOpenElsewhere(Throwable failed) {
        return failed instanceof SQLException sql && sql.getErrorCode() == ErrorCode.DATABASE_ALREADY_OPEN_1;
    }

    /** Whether it could not be opened because it holds something else than a database. */
    public static boolean isDamaged(Throwable failed) {
        return failed instanceof MVStoreException;
    }
}
