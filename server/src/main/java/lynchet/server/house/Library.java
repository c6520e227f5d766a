package lynchet.server.house;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lynchet.core.club.Club;
import lynchet.core.club.LibraryUpdate;
import lynchet.server.club.ClubSettings;
import lynchet.server.club.Edits;
import lynchet.server.club.Imports;
import lynchet.server.club.Incoming;
import lynchet.server.club.Taught;
import lynchet.server.keep.ETags;
import lynchet.starter.StarterChoice;
import lynchet.starter.StarterLibrary;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The shipped library: what a club begins with, and what later versions of it have to offer. */
@Service
public class Library {

    private final Imports imports;
    private final Edits edits;
    private final Taught taught;
    private final ClubSettings settings;
    private final JdbcTemplate jdbc;

    Library(Imports imports, Edits edits, Taught taught, ClubSettings settings, JdbcTemplate jdbc) {
        this.imports = imports;
        this.edits = edits;
        this.taught = taught;
        this.settings = settings;
        this.jdbc = jdbc;
    }

    /** Begins an empty club with what was chosen. */
    @Transactional
    void begin(String name, StarterChoice choice) {
        Club library = StarterLibrary.club(name, choice);
        imports.begin(Incoming.held(library));
        beganWith(choice, library);
    }

    /** Begins the demo club, which has the whole library. */
    @Transactional
    void beginDemo(Club demo) {
        imports.begin(Incoming.held(demo));
        beganWith(StarterChoice.WHOLE, StarterLibrary.club(demo.name(), StarterChoice.WHOLE));
    }

    private void beganWith(StarterChoice choice, Club library) {
        settings.beganWith(choice.name());
        jdbc.update("delete from library_item");
        remember(LibraryUpdate.things(library));
    }

    private void remember(Map<String, Object> things) {
        List<Object[]> all = things.entrySet().stream()
                .map(thing -> new Object[] {ETags.of(thing.getValue()), thing.getKey()})
                .toList();
        forget(things.keySet());
        jdbc.batchUpdate("insert into library_item (digest, item_key) values (?, ?)", all);
    }

    private void forget(Set<String> keys) {
        jdbc.batchUpdate(
                "delete from library_item where item_key = ?",
                keys.stream().map(key -> new Object[] {key}).toList());
    }

    /** What the shipped library has that the club has not. */
    List<LibraryUpdate.Difference> differences() {
        Club present = taught.now().taught();
        return LibraryUpdate.between(present, shipped(present), taken(), ETags::of);
    }

    /**
     * Takes these things as the library has them, all or none.
     *
     * @throws lynchet.format.ArchiveRefused if the club would not hold together
     */
    void take(Set<String> keys) {
        edits.taught(present -> {
            Club shipped = shipped(present);
            Map<String, Object> now = new HashMap<>(LibraryUpdate.things(shipped));
            now.keySet().retainAll(keys);
            Club next = LibraryUpdate.take(present, shipped, keys);
            forget(keys);
            remember(now);
            return next;
        });
    }

    private Club shipped(Club present) {
        StarterChoice choice = settings.library()
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
