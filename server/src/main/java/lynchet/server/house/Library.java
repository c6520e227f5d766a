package lynchet.server.house;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lynchet.core.club.Club;
import lynchet.core.club.ClubCheck;
import lynchet.core.club.LibraryUpdate;
import lynchet.core.rule.Breach;
import lynchet.format.ArchiveRefused;
import lynchet.server.keep.ETags;
import lynchet.server.keep.Progress;
import lynchet.starter.StarterChoice;
import lynchet.starter.StarterLibrary;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** The shipped library: what a club begins with, and what later versions of it have to offer. */
@Service
public class Library {

    private final ClubStore store;
    private final ClubRepository club;
    private final JdbcTemplate jdbc;
    private final TransactionTemplate transaction;

    Library(ClubStore store, ClubRepository club, JdbcTemplate jdbc, TransactionTemplate transaction) {
        this.transaction = transaction;
        this.store = store;
        this.club = club;
        this.jdbc = jdbc;
    }

    /** Begins an empty club with what was chosen. */
    @Transactional
    void begin(String name, StarterChoice choice) {
        Club library = StarterLibrary.club(name, choice);
        store.replace(library, Progress.UNWATCHED);
        beganWith(choice, library);
    }

    /** Begins the demo club, which has the whole library. */
    @Transactional
    void beginDemo(Club demo) {
        store.replace(demo, Progress.UNWATCHED);
        beganWith(StarterChoice.WHOLE, StarterLibrary.club(demo.name(), StarterChoice.WHOLE));
    }

    private void beganWith(StarterChoice choice, Club library) {
        ClubRow row = club.findById(ClubRow.ID).orElseThrow();
        row.beganWith(choice.name());
        club.save(row);
        jdbc.update("delete from library_item");
        remember(LibraryUpdate.things(library));
    }

    private void remember(Map<String, Object> things) {
        jdbc.batchUpdate(
                "merge into library_item (item_key, digest) key (item_key) values (?, ?)",
                things.entrySet().stream()
                        .map(thing -> new Object[] {thing.getKey(), ETags.of(thing.getValue())})
                        .toList());
    }

    /** What the shipped library has that the club has not. */
    List<LibraryUpdate.Difference> differences() {
        Club present = store.read();
        return LibraryUpdate.between(present, shipped(present), taken(), ETags::of);
    }

    /**
     * Takes these things as the library has them, all or none.
     *
     * @throws ArchiveRefused if the club would not hold together
     */
    void take(Set<String> keys) {
        Club present = store.read();
        Club shipped = shipped(present);
        Club next = LibraryUpdate.take(present, shipped, keys);
        List<Breach> breaches = ClubCheck.check(next);
        if (!breaches.isEmpty()) {
            throw new ArchiveRefused(breaches);
        }
        Map<String, Object> now = new HashMap<>(LibraryUpdate.things(shipped));
        now.keySet().retainAll(keys);
        transaction.executeWithoutResult(status -> {
            store.replace(next, Progress.UNWATCHED);
            remember(now);
        });
    }

    private Club shipped(Club present) {
        StarterChoice choice = club.findById(ClubRow.ID)
                .map(ClubRow::library)
                .map(StarterChoice::valueOf)
                .filter(began -> began != StarterChoice.EMPTY)
                .orElse(StarterChoice.WHOLE);
        return StarterLibrary.club(present.name(), choice);
    }

    private Map<String, String> taken() {
        Map<String, String> taken = new HashMap<>();
        jdbc.query("select item_key, digest from library_item", row -> {
            taken.put(row.getString(1), row.getString(2));
        });
        return taken;
    }
}
