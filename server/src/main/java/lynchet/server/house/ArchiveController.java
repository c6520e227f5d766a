package lynchet.server.house;

import java.io.IOException;
import java.io.InputStream;
import lynchet.core.Club;
import lynchet.format.ClubArchive;
import lynchet.server.keep.Durable;
import lynchet.server.keep.Refusal;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The whole club in the open format, out and in. */
@RestController
@RequestMapping("/api/archive")
class ArchiveController {

    private final ClubStore club;
    private final Durable durable;

    ArchiveController(ClubStore club, Durable durable) {
        this.club = club;
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
            int records) {
        static Contents of(Club club) {
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
                            + club.gradings().size());
        }
    }

    @GetMapping(produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<byte[]> export(@RequestParam(required = false) String part) {
        Club whole = club.read();
        if (part != null && !part.equals("map")) {
            throw Refusal.bad("PART", "part", "The part is map, or left out for the whole club.");
        }
        Club wanted = part == null ? whole : Club.teaching(whole.name(), whole.map(), null, null, null, null);
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"lynchet-club.json\"")
                .body(ClubArchive.write(wanted));
    }

    /** Reads and checks an archive and changes nothing. */
    @PostMapping("/check")
    Contents check(InputStream body) throws IOException {
        return Contents.of(ClubArchive.read(body));
    }

    /** Puts the archive in the place of everything but the accounts. */
    @PostMapping
    Contents replace(@RequestParam String mode, InputStream body) throws IOException {
        if (!mode.equals("replace")) {
            throw Refusal.bad("MODE", "mode", "The mode is replace.");
        }
        Club next = ClubArchive.read(body);
        return durable.write(() -> {
            club.replace(next);
            return Contents.of(next);
        });
    }
}
