package lynchet.server.edit;

import java.util.Map;
import lynchet.core.club.Club;
import lynchet.core.club.TechniqueMerge;
import lynchet.server.club.Edits;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.Journal;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Making one technique of two. */
@RestController
class MergeController {

    private final Journal journal;
    private final Edits edits;
    private final TeachingSnapshots taught;

    MergeController(Journal journal, Edits edits, TeachingSnapshots taught) {
        this.journal = journal;
        this.edits = edits;
        this.taught = taught;
    }

    /** @param into id of the technique that stays */
    record Merge(String into) {}

    /**
     * What a merge did or would do.
     *
     * @param changed how many things of each kind follow
     * @param edit for taking it back; null for a mere look
     */
    record Merged(Map<String, Integer> changed, String edit) {}

    /** Makes one technique of two; {@code look}: only says what would follow. */
    @OpenTo(Who.HEADS)
    @PostMapping("/api/map/techniques/{id}/merge")
    Merged merge(
            @PathVariable String id, @RequestBody Merge merge, @RequestParam(defaultValue = "false") boolean look) {
        if (merge.into() == null) {
            throw Refusal.bad("MERGE_INTO", "/into", "Say which technique stays.");
        }
        if (look) {
            Club before = edits.look(Touching.technique(taught.now().taught(), id));
            return new Merged(Following.between(before, TechniqueMerge.of(before, merge.into(), id)), null);
        }
        Edits.Changed changed = edits.change(
                () -> Touching.technique(taught.now().taught(), id), now -> TechniqueMerge.of(now, merge.into(), id));
        String edit = journal.of("technique", id, 1).get(0).edit();
        return new Merged(Following.between(changed.before(), changed.after()), edit);
    }
}
