package lynchet.server.house;

import java.io.IOException;
import java.io.InputStream;
import java.util.Map;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.server.club.ClubSettings;
import lynchet.server.keep.Durable;
import lynchet.server.keep.Journal;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the club is called, and its badge: both stand on sheets and slips. */
@RestController
@RequestMapping("/api/club")
class ClubController {

    private final ClubSettings club;
    private final Journal journal;
    private final Durable durable;

    ClubController(ClubSettings club, Journal journal, Durable durable) {
        this.club = club;
        this.journal = journal;
        this.durable = durable;
    }

    record ClubName(@Most(80) String name) {}

    @OpenTo(Who.HEADS)
    @PutMapping
    ClubName rename(@RequestBody ClubName given) {
        String name = Require.text("the name of the club", given.name()).strip();
        return durable.write(() -> {
            String before = club.name();
            club.rename(name);
            if (!before.equals(name)) {
                journal.write("change", "club", "club", Map.of("name", before), Map.of("name", name));
            }
            return new ClubName(name);
        });
    }

    /** The badge as a picture; no content where the club has none. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping(path = "/badge", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> badge() {
        return club.badge()
                .map(png -> ResponseEntity.ok()
                        .cacheControl(CacheControl.noCache())
                        .contentType(MediaType.IMAGE_PNG)
                        .body(png))
                .orElseGet(() -> ResponseEntity.noContent().build());
    }

    /** Takes a picture of at most 100 kB, whatever its kind, and draws it again. */
    @OpenTo(Who.HEADS)
    @PutMapping(path = "/badge", consumes = "image/*")
    ResponseEntity<Void> keep(InputStream sent) throws IOException {
        byte[] png = Badge.drawn(sent.readNBytes(Badge.MOST_BYTES + 1));
        durable.write(() -> {
            club.badge(png);
            return png;
        });
        return ResponseEntity.noContent().build();
    }

    @OpenTo(Who.HEADS)
    @DeleteMapping("/badge")
    ResponseEntity<Void> remove() {
        if (club.badge().isEmpty()) {
            throw Refusal.bad("NOT_FOUND", "/badge", "The club has no badge.");
        }
        durable.write(() -> {
            club.badge(null);
            return true;
        });
        return ResponseEntity.noContent().build();
    }
}
