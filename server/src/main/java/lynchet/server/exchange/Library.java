package lynchet.server.exchange;

import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lynchet.core.club.Club;
import lynchet.core.club.LibraryUpdate;
import lynchet.core.club.Parts;
import lynchet.core.map.GrapplingMap;
import lynchet.core.people.Touched;
import lynchet.core.rank.Rank;
import lynchet.server.club.ClubSettings;
import lynchet.server.club.Edits;
import lynchet.server.club.Imports;
import lynchet.server.club.Incoming;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.ETags;
import lynchet.server.keep.Refusal;
import lynchet.server.mat.StudentStates;
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
    private final TeachingSnapshots taught;
    private final ClubSettings settings;
    private final StudentStates states;
    private final Clock clock;
    private final JdbcTemplate jdbc;

    Library(
            Imports imports,
            Edits edits,
            TeachingSnapshots taught,
            ClubSettings settings,
            StudentStates states,
            Clock clock,
            JdbcTemplate jdbc) {
        this.imports = imports;
        this.edits = edits;
        this.taught = taught;
        this.settings = settings;
        this.states = states;
        this.clock = clock;
        this.jdbc = jdbc;
    }

    /** Begins an empty club with what was chosen. */
    @Transactional
    public void begin(String name, StarterChoice choice) {
        Club library = StarterLibrary.club(name, choice);
        imports.begin(Incoming.held(library));
        beganWith(choice, library);
    }

    /** Begins the demo club, which has the whole library. */
    @Transactional
    public void beginDemo(Club demo) {
        imports.begin(Incoming.held(demo));
        beganWith(StarterChoice.WHOLE, StarterLibrary.club(demo.name(), StarterChoice.WHOLE));
    }

    private void beganWith(StarterChoice choice, Club library) {
        settings.beganWith(choice.name());
        Map<String, String> digests = new HashMap<>();
        LibraryUpdate.things(library).forEach((key, thing) -> digests.put(key, ETags.of(thing)));
        remember(digests);
    }

    private void remember(Map<String, String> digests) {
        jdbc.update("delete from library_item");
        jdbc.batchUpdate(
                "insert into library_item (digest, item_key) values (?, ?)",
                digests.entrySet().stream()
                        .map(one -> new Object[] {one.getValue(), one.getKey()})
                        .toList());
    }

    /** What the shipped library has that the club has not. */
    List<LibraryUpdate.Difference> differences() {
        Club present = taught.now().taught();
        return differences(present, shipped(present));
    }

    private List<LibraryUpdate.Difference> differences(Club present, Club shipped) {
        return LibraryUpdate.between(present, shipped, taken(), ETags::of);
    }

    private Set<String> complete(Club present, Club shipped, Set<String> keys) {
        return LibraryUpdate.complete(present, shipped, differences(present, shipped), keys);
    }

    /**
     * Takes these things as the library has them, all or none.
     *
     * @throws lynchet.format.ArchiveRefused if the club would not hold together
     */
    void take(Set<String> keys) {
        edits.taught(present -> {
            Club shipped = shipped(present);
            Set<String> all = complete(present, shipped, keys);
            Club next = LibraryUpdate.take(present, shipped, all);
            Map<String, Object> now = LibraryUpdate.things(shipped);
            Map<String, String> digests = LibraryUpdate.rankByRank(taken(), present, shipped, ETags::of);
            all.forEach(
                    key -> digests.compute(key, (was, digest) -> now.containsKey(key) ? ETags.of(now.get(key)) : null));
            remember(digests);
            return next;
        });
    }

    /**
     * Whom it touches that what a rank asks for is taken.
     *
     * @throws Refusal 404 if club or library have no such rank
     */
    Touched touched(String ladder, String rank, Set<String> wearing) {
        Club present = taught.now().taught();
        Club shipped = shipped(present);
        Rank before = rank(present, ladder, rank);
        Rank after = before.withSyllabus(rank(shipped, ladder, rank).syllabus());
        String key = Parts.LADDERS.name() + "/" + ladder + "/" + rank;
        Club next = LibraryUpdate.take(present, shipped, complete(present, shipped, Set.of(key)));
        return Touched.by(before, after, states.of(wearing), GrapplingMap.of(next.map()), LocalDate.now(clock));
    }

    private static Rank rank(Club club, String ladder, String rank) {
        return club.ladders().stream()
                .filter(one -> one.id().equals(ladder))
                .findFirst()
                .flatMap(one -> one.rank(rank))
                .orElseThrow(() -> Refusal.missing("rank", rank));
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
