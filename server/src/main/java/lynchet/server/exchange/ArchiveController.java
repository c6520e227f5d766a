package lynchet.server.exchange;

import java.io.IOException;
import java.io.InputStream;
import lynchet.format.MapGraph;
import lynchet.server.club.Contents;
import lynchet.server.club.Exports;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Progress;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** The whole club in the open format, out and in, and its map for other programs. */
@RestController
@OpenTo(Who.HEADS)
@RequestMapping("/api/archive")
class ArchiveController {

    private final Exports exports;
    private final TakingIn takingIn;
    private final TeachingSnapshots taught;

    ArchiveController(Exports exports, TakingIn takingIn, TeachingSnapshots taught) {
        this.exports = exports;
        this.takingIn = takingIn;
        this.taught = taught;
    }

    /** The club as it stands, written as it is read. */
    @GetMapping(produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<StreamingResponseBody> export(@RequestParam(required = false) String part) {
        if (part != null && !part.equals("map")) {
            throw Refusal.bad("PART", "part", "The part is map, or left out for the whole club.");
        }
        return part == null ? file("lynchet-club.json", exports::all) : file("lynchet-map.json", exports::map);
    }

    /** The map as a graph for other programs. */
    @GetMapping(path = "/map.graphml", produces = "application/graphml+xml")
    ResponseEntity<String> graphMl() {
        return file("lynchet-map.graphml", MapGraph.graphMl(taught.now().map()));
    }

    /** The map as a Graphviz file. */
    @GetMapping(path = "/map.dot", produces = "text/vnd.graphviz")
    ResponseEntity<String> dot() {
        return file("lynchet-map.dot", MapGraph.dot(taught.now().map()));
    }

    private static <T> ResponseEntity<T> file(String name, T content) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .body(content);
    }

    /**
     * Reads and checks an archive and changes nothing.
     *
     * @param mode merge: also say what would be added and changed, and which records differ
     */
    @PostMapping("/check")
    Contents check(@RequestParam(required = false) String mode, InputStream body) throws IOException {
        TakingIn.Mode how = mode == null ? TakingIn.Mode.REPLACE : TakingIn.Mode.of(mode);
        try (Upload file = Upload.of(body)) {
            return takingIn.look(file.path(), how, Progress.UNWATCHED);
        }
    }

    /** Takes an archive in: in the place of everything but the accounts, or merged with what is there. */
    @PostMapping
    Contents take(@RequestParam String mode, InputStream body) throws IOException {
        TakingIn.Mode how = TakingIn.Mode.of(mode);
        try (Upload file = Upload.of(body)) {
            return takingIn.take(file.path(), how, Progress.UNWATCHED);
        }
    }
}
