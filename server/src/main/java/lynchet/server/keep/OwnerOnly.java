package lynchet.server.keep;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;

/** What is kept is for its owner's eyes only. */
public final class OwnerOnly {

    private OwnerOnly() {}

    /** 600 for a file, 700 for a folder, where the system knows such a thing. */
    public static void close(Path path) throws IOException {
        if (Files.getFileAttributeView(path, PosixFileAttributeView.class) != null) {
            String mode = Files.isDirectory(path) ? "rwx------" : "rw-------";
            Files.setPosixFilePermissions(path, PosixFilePermissions.fromString(mode));
        }
    }
}
