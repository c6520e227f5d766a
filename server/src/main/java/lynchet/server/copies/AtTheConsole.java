package lynchet.server.copies;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.security.SecureRandom;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Base64;
import java.util.HexFormat;
import lynchet.server.copies.CopyFile.Contents;
import lynchet.server.copies.CopyFile.Unusable;
import lynchet.server.keep.H2File;
import lynchet.server.keep.OwnerOnly;
import lynchet.server.keep.Sha256;

/**
 * What is done from the console while the server is stopped: a copy, a restore, a way in for a head coach who forgot the
 * password. Each says in a sentence what it did, or why nothing was touched.
 */
public final class AtTheConsole {

    private static final int REFUSED = 2;
    private static final int LOCKED = 90020;
    private static final int MISSING = 90146;

    private AtTheConsole() {}

    /** @param args {@code backup DATA FILE}, {@code restore DATA FILE} or {@code head-coach DATA [NAME]} */
    public static void main(String[] args) {
        try {
            Path data = Path.of(args[1]);
            System.out.println(
                    switch (args[0]) {
                        case "backup" -> backup(data, Path.of(args[2]));
                        case "restore" -> restore(data, Path.of(args[2]));
                        case "head-coach" -> headCoach(data, args.length > 2 ? args[2] : null);
                        default -> throw new Unusable("There is no command " + args[0] + ".");
                    });
        } catch (Unusable | IOException | SQLException why) {
            System.err.println(sentence(why));
            System.exit(REFUSED);
        }
    }

    private static String sentence(Exception why) {
        if (why instanceof Unusable) {
            return why.getMessage();
        }
        return "Nothing was changed: " + why.getClass().getSimpleName() + ", " + CopyFile.firstLine(why) + ".";
    }

    /** Opens the data file for writing, which nobody else may have open. */
    private static Connection open(Path data) throws SQLException {
        try {
            return H2File.open(data.resolve(H2File.NAME));
        } catch (SQLException e) {
            if (e.getErrorCode() == LOCKED) {
                throw new Unusable(
                        "Lynchet is running with this data. Stop it first; while it runs, copies are taken in"
                                + " House, under Safe keeping.");
            }
            if (e.getErrorCode() == MISSING) {
                throw new Unusable("There is no club in " + data + ".");
            }
            throw e;
        }
    }

    /** Writes a copy and reads it back. */
    static String backup(Path data, Path file) throws IOException, SQLException {
        if (Files.exists(file)) {
            throw new Unusable(file + " is there already; choose another name.");
        }
        Path folder = file.toAbsolutePath().getParent();
        if (!Files.isDirectory(folder)) {
            throw new Unusable("There is no folder " + folder + ".");
        }
        Path part = folder.resolve(file.getFileName() + ".part");
        Files.deleteIfExists(part);
        Tables tables;
        try (Connection club = open(data)) {
            tables = Tables.of(club);
            H2File.backUp(club, part);
        }
        OwnerOnly.close(part);
        Contents found = CopyFile.readBack(part);
        if (!found.tables().equals(tables)) {
            throw new Unusable(part + " does not hold what the data file holds. Try again, onto another disk.");
        }
        Files.move(part, file, StandardCopyOption.ATOMIC_MOVE);
        return "%s holds the club with %d people (%.1f MB). It was read back."
                .formatted(file, found.people(), Files.size(file) / 1e6);
    }

    /** Checks a copy, keeps the present data aside and puts the copy in its place; in every moment one of them is there. */
    static String restore(Path data, Path file) throws IOException, SQLException {
        if (!Files.isRegularFile(file)) {
            throw new Unusable("There is no file " + file + ".");
        }
        Files.createDirectories(data);
        Path club = data.resolve(H2File.NAME);
        Path incoming = data.resolve(H2File.INCOMING);
        Contents found;
        try {
            CopyFile.unpack(file, incoming);
            found = CopyFile.look(incoming);
        } catch (Unusable why) {
            Files.deleteIfExists(incoming);
            throw new Unusable(file + " was not restored, nothing was changed. " + why.getMessage());
        }
        isStopped(data, club);
        String said = file + " is restored: a club with " + found.people() + " people.";
        if (Files.exists(club)) {
            Path aside = data.resolve("before-restore-"
                    + DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss").format(LocalDateTime.now()));
            Files.createDirectory(aside);
            OwnerOnly.close(aside);
            Files.createLink(aside.resolve(H2File.NAME), club);
            said += " What was there before stands in " + aside + ".";
        }
        Files.move(incoming, club, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        return said;
    }

    private static void isStopped(Path data, Path club) throws SQLException {
        if (!Files.exists(club)) {
            return;
        }
        try (Connection ignored = open(data)) {
            // it can be opened, so nobody else has it open
        } catch (SQLException damaged) {
            // what is restored over may well be damaged
        }
    }

    /** A one-time link for a head coach who cannot come in. */
    static String headCoach(Path data, String wanted) throws SQLException {
        try (Connection club = open(data)) {
            String name = wanted;
            String sql =
                    "select name from account where role = 'HEAD' and (lower(name) = lower(?) or ? is null) order by is_off, name";
            try (PreparedStatement find = club.prepareStatement(sql)) {
                find.setString(1, wanted);
                find.setString(2, wanted);
                ResultSet found = find.executeQuery();
                if (!found.next()) {
                    throw new Unusable(
                            wanted == null
                                    ? "This club has no head coach yet; ./lynchet run prints the code for making one."
                                    : "There is no head coach with the account " + wanted + ".");
                }
                name = found.getString(1);
            }
            byte[] bytes = new byte[18];
            new SecureRandom().nextBytes(bytes);
            String link = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
            try (PreparedStatement give = club.prepareStatement(
                    "update account set link = ?, link_until = ?, is_off = false where name = ?")) {
                give.setString(1, HexFormat.of().formatHex(Sha256.of(link)));
                give.setObject(2, OffsetDateTime.now().plusDays(1));
                give.setString(3, name);
                give.executeUpdate();
            }
            return "The head coach " + name + " chooses a new password at /enter#" + link
                    + " once Lynchet runs. It works once, for a day.";
        }
    }
}
