package lynchet.server.edit;

import java.util.Comparator;
import java.util.List;
import lynchet.server.keep.AccountRights;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What somebody did last, and whether and how it can be taken back. */
@RestController
@OpenTo(Who.COACHES)
@RequestMapping("/api/edits")
class DoneController {

    private final LastEdits last;
    private final TakingBack takingBack;

    DoneController(LastEdits last, TakingBack takingBack) {
        this.last = last;
        this.takingBack = takingBack;
    }

    /** The last ten edits of the account that asks, the newest first. */
    @GetMapping
    List<Done> mine(Authentication who) {
        return last.of(who.getName());
    }

    /**
     * How an edit can be taken back.
     *
     * @param with later edits that stand on it and go back with it, the newest first
     * @param not why it cannot be taken back; null if it can
     */
    record WayBackOf(Done edit, List<Done> with, @Nullable String not, TakingBack.@Nullable Retire retire) {}

    /** What taking an edit back would do; nothing is changed. */
    @GetMapping("/{edit}")
    WayBackOf wayBack(@PathVariable String edit, Authentication who) {
        Done done = last.told(edit).orElseThrow(() -> Refusal.missing("edit", edit));
        if (!AccountRights.isHead(who) && !done.who().equals(who.getName())) {
            throw Refusal.of(
                    HttpStatus.FORBIDDEN,
                    "NOT_YOURS",
                    "edit",
                    "Somebody else did this. A head coach can take it back.");
        }
        TakingBack.Way way = takingBack.way(edit, who.getName(), AccountRights.isHead(who));
        List<Done> with = way.with().stream()
                .flatMap(other -> last.told(other).stream())
                .sorted(Comparator.comparing(Done::at).reversed())
                .toList();
        return new WayBackOf(done, with, way.not(), way.retire());
    }
}
