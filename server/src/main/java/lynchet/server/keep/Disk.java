package lynchet.server.keep;

import java.nio.file.Path;

/** What only the database of this house knows how to do; everything else is plain SQL. */
public interface Disk {

    /** Returns once everything committed so far is on the disk. */
    void sync();

    /** Writes a copy of the database as it stands into a file, while others go on writing. */
    void copyTo(Path file);
}
