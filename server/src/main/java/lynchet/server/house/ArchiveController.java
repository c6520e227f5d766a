package lynchet.server.house;

import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import lynchet.core.club.Club;
import lynchet.core.club.ClubMerge;
import lynchet.core.rule.Breach;
import lynchet.format.ClubArchive;
import lynchet.format.MapGraph;
import lynchet.server.keep.Durable;
import lynchet.server.keep.Progress;
import lynchet.server.keep.Refusal;
import lynchet.server.map.MapStore;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The whole club in the open format, out and in, and its map for other programs. */
@RestController
@RequestMapping("/api/archive")
class ArchiveController {

    private final ClubStore club;
    private final MapStore maps;
    private final Durable durable;

    ArchiveController(ClubStore club, MapStore maps, Durable durable) {
        this.club = club;
        this.maps = maps;
        this.durable = durable;
    }

    /** What an archive holds. */
    record Contents(
            String name,
            int positions,
            int techniques,
            int links,
            int chains,
            int ladders,
            int people,
            int classes,
            int records,
            List<ClubMerge.Count> merge,
            List<Breach> conflicts) {
        static Contents of(Club club) {
            return of(club, null);
        }

        /** With what merging it would do; null: it would not be merged. */
        static Contents of(Club club, ClubMerge.Merged merged) {
            return new Contents(
                    club.name(),
                    club.map().pairs().stream()
                            .mapToInt(pair -> pair.positions().size())
                            .sum(),
                    club.map().techniques().size(),
                    club.map().links().size(),
                    club.chains().size(),
                    club.ladders().size(),
                    club.people().size(),
                    club.classes().size(),
                    club.attendance().size()
                            + club.practice().size()
                            + club.marks().size()
                            + club.rounds().size()
                            + club.gradings().size(),
                    merged == null ? List.of() : merged.counts(),
                    merged == null
                            ? List.of()
                            : merged.breaches().stream().limit(50).toList());
        }
    }

    @GetMapping(produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<byte[]> export(@RequestParam(required = false) String part) {
        if (part != null && !part.equals("map")) {
            throw Refusal.bad("PART", "part", "The part is map, or left out for the whole club.");
        }
        Club wanted = part == null
                ? club.read()
                : Club.teaching(club.name(), maps.snapshot().map().data(), null, null, null, null);
        return file(part == null ? "lynchet-club.json" : "lynchet-map.json", ClubArchive.write(wanted));
    }

    /** The map as a graph for other programs. */
    @GetMapping(path = "/map.graphml", produces = "application/graphml+xml")
    ResponseEntity<String> graphMl() {
        return file("lynchet-map.graphml", MapGraph.graphMl(maps.snapshot().map()));
    }

    /** The map as a Graphviz file. */
    @GetMapping(path = "/map.dot", produces = "text/vnd.graphviz")
    ResponseEntity<String> dot() {
        return file("lynchet-map.dot", MapGraph.dot(maps.snapshot().map()));
    }

    private static <T> ResponseEntity<T> file(String name, T content) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .body(content);
    }

    /** What becomes of the present club. */
    enum Mode {
        REPLACE,
        MERGE
    }

    static Mode mode(String text) {
        return switch (text) {
            case "replace" -> Mode.REPLACE;
            case "merge" -> Mode.MERGE;
            default -> throw Refusal.bad("MODE", "mode", "The mode is replace or merge.");
        };
    }

    /**
     * Reads and checks an archive and changes nothing.
     *
     * @param mode merge: also say what would be added and changed, and which records differ
     */
    @PostMapping("/check")
    Contents check(@RequestParam(required = false) String mode, InputStream body) throws IOException {
        Club next = ClubArchive.read(body);
        if (mode == null || mode(mode) == Mode.REPLACE) {
            return Contents.of(next);
        }
        ClubMerge.Merged merged = ClubMerge.of(club.read(), next);
        return Contents.of(next, merged);
    }

    /** Takes an archive in: in the place of everything but the accounts, or merged with what is there. */
    @PostMapping
    Contents take(@RequestParam String mode, InputStream body) throws IOException {
        Mode how = mode(mode);
        Club next = ClubArchive.read(body);
        return durable.writeAlone(() -> take(club, next, how, Progress.UNWATCHED));
    }

    /** Does it; a file with nothing but a map replaces the map alone. */
    static Contents take(ClubStore club, Club next, Mode how, Progress progress) {
        if (how == Mode.MERGE) {
            return Contents.of(next, club.merge(next, progress));
        }
        if (next.isOnlyMap()) {
            club.replaceMap(next.map(), progress);
        } else {
            club.replace(next, progress);
        }
        return Contents.of(next);
    }
}
