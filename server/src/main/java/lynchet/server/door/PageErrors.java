package lynchet.server.door;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Who;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What broke in an open page, into the log: where in the program, never what somebody typed or saw. */
@RestController
@OpenTo(Who.ACCOUNTS)
class PageErrors {

    private static final Logger LOG = LoggerFactory.getLogger(PageErrors.class);

    /** More than this within a minute are not written. */
    static final int MOST_A_MINUTE = 20;

    private final Clock clock;
    private final Deque<Instant> written = new ArrayDeque<>();

    PageErrors(Clock clock) {
        this.clock = clock;
    }

    /**
     * What broke.
     *
     * @param page the address without names and ids, such as {@code /people/-}
     * @param error what kind of error, such as {@code TypeError}
     * @param stack where in the program, the innermost first
     */
    record PageError(@Most(120) String page, @Most(60) String error, List<@Most(200) String> stack) {

        PageError {
            Require.text("the page of an error", page);
            Require.text("the kind of an error", error);
            stack = Require.list("the places of an error", stack);
        }
    }

    @PostMapping("/api/page-errors")
    ResponseEntity<Void> broke(@RequestBody PageError broke) {
        if (mayWrite()) {
            LOG.warn(
                    "A page broke: {} at {}: {}",
                    plain(broke.error()),
                    plain(broke.page()),
                    broke.stack().stream().map(PageErrors::plain).toList());
        }
        return ResponseEntity.noContent().build();
    }

    private synchronized boolean mayWrite() {
        Instant now = clock.instant();
        written.removeIf(at -> at.isBefore(now.minusSeconds(60)));
        if (written.size() >= MOST_A_MINUTE) {
            return false;
        }
        written.add(now);
        return true;
    }

    /** One line of a log stays one line. */
    private static String plain(String text) {
        return text.replaceAll("[^\\x20-\\x7e]", "?");
    }
}
