package lynchet.server.exchange;

import java.nio.file.Path;
import lynchet.core.club.Club;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.format.ArchiveReader;
import lynchet.format.ArchiveRefused;
import lynchet.format.ClubArchive;
import lynchet.server.club.Contents;
import lynchet.server.club.Edits;
import lynchet.server.club.Imports;
import lynchet.server.club.Incoming;
import lynchet.server.keep.Progress;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Room;
import org.springframework.stereotype.Service;

/** Takes a club's file in. */
@Service
class TakingIn {

    /** What becomes of the present club. */
    enum Mode {
        REPLACE,
        MERGE;

        static Mode of(String text) {
            return switch (text) {
                case "replace" -> REPLACE;
                case "merge" -> MERGE;
                default -> throw Refusal.bad("MODE", "mode", "The mode is replace or merge.");
            };
        }
    }

    private final Imports imports;
    private final Edits edits;
    private final Room room;

    TakingIn(Imports imports, Edits edits, Room room) {
        this.room = room;
        this.imports = imports;
        this.edits = edits;
    }

    /** Reads and checks a file and changes nothing. */
    Contents look(Path file, Mode how, Progress progress) {
        Incoming club = Incoming.file(ArchiveReader.open(file));
        return how == Mode.MERGE ? imports.lookAtMerge(club, progress) : imports.look(club, progress);
    }

    /** Does it; a file with nothing but a map replaces the map alone. */
    Contents take(Path file, Mode how, Progress progress) {
        room.ask(file.toFile().length());
        ArchiveReader archive = ArchiveReader.open(file);
        Incoming club = Incoming.file(archive);
        if (how == Mode.MERGE) {
            return imports.merge(club, progress);
        }
        boolean isOnlyMap = Parts.ALL.stream().noneMatch(part -> !Parts.MAP.contains(part) && archive.has(part));
        if (!isOnlyMap) {
            return imports.replace(club, progress);
        }
        Contents contents = imports.look(club, progress);
        Club map = Club.named(archive.name());
        for (Part<?> part : Parts.MAP) {
            map = ClubArchive.held(map, part, archive);
        }
        Club taken = map;
        try {
            edits.taught(present -> present.onMap(taken.map()));
        } catch (ArchiveRefused orphans) {
            throw Refusal.bad(
                    "ORPHANS",
                    orphans.breaches().get(0).where(),
                    "Without what this map leaves out the club would not hold together: "
                            + orphans.breaches().get(0).sentence() + ".");
        }
        return contents;
    }
}
