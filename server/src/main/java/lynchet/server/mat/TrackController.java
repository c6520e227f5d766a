package lynchet.server.mat;

import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import lynchet.core.club.Club;
import lynchet.core.club.Parts;
import lynchet.core.mat.SlotClash;
import lynchet.core.mat.Track;
import lynchet.server.club.OneThing;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.ETags;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The streams of classes and their weekly times. */
@RestController
@RequestMapping("/api/tracks")
class TrackController {

    private final TeachingSnapshots taught;
    private final OneThing edits;

    TrackController(TeachingSnapshots taught, OneThing edits) {
        this.taught = taught;
        this.edits = edits;
    }

    /** The tracks with the tag of each, for saving it. */
    record Tracks(List<Track> tracks, Map<String, String> tags) {}

    @OpenTo(Who.ACCOUNTS)
    @GetMapping
    Tracks all() {
        List<Track> tracks = taught.now().taught().tracks();
        Map<String, String> tags = new TreeMap<>();
        tracks.forEach(track -> tags.put(track.id(), ETags.of(track)));
        return new Tracks(tracks, tags);
    }

    @OpenTo(Who.HEADS)
    @PostMapping
    ResponseEntity<Track> add(@RequestBody Track track) {
        fits(track);
        return ETags.tagged(edits.add(Parts.TRACKS, track));
    }

    @OpenTo(Who.HEADS)
    @PutMapping("/{id}")
    ResponseEntity<Track> change(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Track track) {
        fits(track);
        return ETags.tagged(edits.change(Parts.TRACKS, id, tag, track));
    }

    /** Takes a track out that nothing names; one that has had classes stays. */
    @OpenTo(Who.HEADS)
    @DeleteMapping("/{id}")
    ResponseEntity<Void> remove(
            @PathVariable String id, @RequestHeader(name = "If-Match", required = false) String tag) {
        edits.remove(Parts.TRACKS, id, tag);
        return ResponseEntity.noContent().build();
    }

    private void fits(Track track) {
        Club club = taught.now().taught();
        SlotClash.of(track, club.tracks()).ifPresent(met -> {
            throw Refusal.bad(
                    "SLOT_CLASH",
                    "/slots/" + track.slots().indexOf(met.first()),
                    "On " + met.first().day().getDisplayName(TextStyle.FULL, Locale.ENGLISH) + " from " + met.from()
                            + " to " + met.to() + " " + met.otherTrack().name() + " is on "
                            + met.other().area() + " as well.");
        });
    }
}
