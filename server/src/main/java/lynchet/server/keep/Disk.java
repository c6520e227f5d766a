package lynchet.server.keep;

import java.nio.file.Path;

/** What only the database of this house knows how to do; everything else is plain SQL. */
public interface Disk {

    /** Returns once everything committed so far is on the disk. */
    void sync();

    /**
     * Has the file written again when the server stops, so that nothing of what was removed is left in it: not even where the
     * database has given room back and not yet used it again. It is remembered until that is done.
     */
    void writeAnewAtTheEnd();

    /** Whether something failed because the database could not write or read its file, so that nobody knows what it kept. */
    boolean isGone(Throwable failed);

    /** Writes a copy of the database as it stands into a file, while others go on writing. */
    void copyTo(Path file);
}
