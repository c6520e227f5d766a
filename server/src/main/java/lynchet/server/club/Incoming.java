package lynchet.server.club;

import java.util.function.Consumer;
import lynchet.core.club.Club;
import lynchet.core.club.Part;
import lynchet.format.ArchiveReader;

/** A club that comes in, part by part; it can be gone through more than once. */
public interface Incoming {

    String name();

    <T> void each(Part<T> part, Consumer<T> to);

    /** A club's file. */
    static Incoming file(ArchiveReader archive) {
        return new Incoming() {
            @Override
            public String name() {
                return archive.name();
            }

            @Override
            public <T> void each(Part<T> part, Consumer<T> to) {
                archive.each(part, to);
            }
        };
    }

    /** A club that is held already. */
    static Incoming held(Club club) {
        return new Incoming() {
            @Override
            public String name() {
                return club.name();
            }

            @Override
            public <T> void each(Part<T> part, Consumer<T> to) {
                club.all(part).forEach(to);
            }
        };
    }
}
