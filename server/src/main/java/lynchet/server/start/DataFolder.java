package lynchet.server.start;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import lynchet.server.keep.H2File;
import org.springframework.boot.context.event.ApplicationEnvironmentPreparedEvent;
import org.springframework.context.ApplicationListener;

/**
 * Looks at the data folder before anything opens it: it can be written, nobody else reads it, and a file that has become
 * empty is not taken for a new club.
 */
public final class DataFolder implements ApplicationListener<ApplicationEnvironmentPreparedEvent> {

    @Override
    public void onApplicationEvent(ApplicationEnvironmentPreparedEvent event) {
        String url = event.getEnvironment().getProperty("spring.datasource.url", "");
        String data = event.getEnvironment().getProperty("lynchet.data", "");
        if (H2File.isNamedBy(url) && !data.isEmpty()) {
            look(Path.of(data));
        }
    }

    static void look(Path folder) {
        try {
            Files.createDirectories(folder);
        } catch (IOException e) {
            throw new Refused("The data folder " + folder + " cannot be made. --data takes another one.");
        }
        if (!Files.isWritable(folder)) {
            throw new Refused("The data folder " + folder + " cannot be written to. --data takes another one.");
        }
        Path club = folder.resolve(H2File.NAME);
        try {
            close(folder, "rwx------");
            if (Files.exists(club)) {
                if (Files.size(club) == 0) {
                    throw new Refused("The data file " + club + " is empty, so something went wrong with it."
                            + " ./lynchet restore FILE puts a copy back; the nightly ones stand in "
                            + folder.resolve("copies") + ".");
                }
                if (!Files.isReadable(club) || !Files.isWritable(club)) {
                    throw new Refused("The data file " + club + " cannot be read and written by this user.");
                }
                close(club, "rw-------");
                Files.deleteIfExists(folder.resolve(H2File.INCOMING)); // of a restore that was stopped in the middle
            }
        } catch (IOException e) {
            throw new Refused("The data folder " + folder + " cannot be looked at: " + e.getMessage() + ".");
        }
    }

    /** A folder that others share, such as one for temporary files, stays as it is. */
    private static void close(Path path, String mode) throws IOException {
        if (Files.getFileAttributeView(path, PosixFileAttributeView.class) == null) {
            return;
        }
        if (Files.isDirectory(path)) {
            try (Stream<Path> inside = Files.list(path)) {
                boolean isOurs = inside.allMatch(file -> file.getFileName()
                        .toString()
                        .matches("club\\..*|copies|outbox|tls|before-restore-.*|.*\\.log(\\..*)?|"
                                + Pattern.quote(H2File.INCOMING)));
                if (!isOurs) {
                    return;
                }
            }
        }
        Files.setPosixFilePermissions(path, PosixFilePermissions.fromString(mode));
    }
}
