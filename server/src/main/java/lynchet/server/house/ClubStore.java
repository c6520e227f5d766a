package lynchet.server.house;

import java.util.List;
import java.util.function.UnaryOperator;
import lynchet.core.club.Club;
import lynchet.core.club.ClubCheck;
import lynchet.core.club.ClubMerge;
import lynchet.core.map.MapData;
import lynchet.core.round.Round;
import lynchet.core.rule.Breach;
import lynchet.core.walk.IgnoredGap;
import lynchet.core.words.Word;
import lynchet.format.ArchiveRefused;
import lynchet.server.chain.ChainStore;
import lynchet.server.grading.GradingStore;
import lynchet.server.keep.Journal;
import lynchet.server.keep.Progress;
import lynchet.server.keep.Refusal;
import lynchet.server.map.IgnoredGapStore;
import lynchet.server.map.MapStore;
import lynchet.server.mat.ClassStore;
import lynchet.server.mat.RecordStore;
import lynchet.server.people.PeopleStore;
import lynchet.server.rank.LadderStore;
import lynchet.server.round.RoundStore;
import lynchet.server.term.TermStore;
import lynchet.server.words.WordStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** The whole club at once: what an archive is written from and read into. */
@Service
public class ClubStore {

    private final ClubRepository club;
    private final MapStore maps;
    private final ChainStore chains;
    private final LadderStore ladders;
    private final WordStore words;
    private final ClassStore classes;
    private final TermStore terms;
    private final PeopleStore people;
    private final RecordStore records;
    private final GradingStore gradings;
    private final RoundStore rounds;
    private final IgnoredGapStore ignoredGaps;
    private final Journal journal;
    private final TransactionTemplate transaction;

    ClubStore(
            ClubRepository club,
            MapStore maps,
            ChainStore chains,
            LadderStore ladders,
            WordStore words,
            ClassStore classes,
            TermStore terms,
            PeopleStore people,
            RecordStore records,
            GradingStore gradings,
            RoundStore rounds,
            IgnoredGapStore ignoredGaps,
            Journal journal,
            TransactionTemplate transaction) {
        this.club = club;
        this.maps = maps;
        this.chains = chains;
        this.ladders = ladders;
        this.words = words;
        this.classes = classes;
        this.terms = terms;
        this.people = people;
        this.records = records;
        this.gradings = gradings;
        this.rounds = rounds;
        this.ignoredGaps = ignoredGaps;
        this.journal = journal;
        this.transaction = transaction;
    }

    public String name() {
        return club.findById(ClubRow.ID).map(ClubRow::name).orElse("Our club");
    }

    /** The club as it stands, read in one transaction. */
    public Club read() {
        return transaction.execute(status -> new Club(
                name(),
                maps.snapshot().map().data(),
                chains.all(),
                ladders.all(),
                words.all(),
                classes.drills(),
                classes.tracks(),
                terms.all(),
                people.all(),
                classes.all(),
                records.allAttendance(),
                records.allPractice(),
                records.allMarks(),
                gradings.all(),
                rounds.all(),
                ignoredGaps.all()));
    }

    /**
     * Changes the map and whatever points at it in one edit; people, attendance and dates are not touched. Nobody else
     * may be writing.
     *
     * @return the club before and after
     * @throws ArchiveRefused if the changed club would not hold together; nothing is changed then
     */
    public Changed change(UnaryOperator<Club> edit) {
        Club[] both = new Club[2];
        transaction.executeWithoutResult(status -> {
            both[0] = read();
            both[1] = edit.apply(both[0]);
            List<Breach> breaches = ClubCheck.check(both[1]);
            if (!breaches.isEmpty()) {
                throw new ArchiveRefused(breaches);
            }
            write(both[0], both[1]);
        });
        return new Changed(both[0], both[1]);
    }

    /** A club before and after an edit. */
    public record Changed(Club before, Club after) {}

    /** What is taken away is let go of before it goes; a chain before its links. */
    private void write(Club before, Club after) {
        maps.rewrite(before.map(), before.map().with(after.map()));
        chains.rewrite(before.chains(), after.chains());
        ladders.rewrite(before.ladders(), after.ladders());
        words.rewrite("word", before.words(), after.words(), Word::id, journal);
        classes.rewrite(before.drills(), after.drills(), before.classes(), after.classes());
        records.rewrite(before.practice(), after.practice(), before.marks(), after.marks());
        rounds.rewrite("round", before.rounds(), after.rounds(), Round::id, journal);
        ignoredGaps.rewrite("gap", before.ignoredGaps(), after.ignoredGaps(), IgnoredGap::id, journal);
        maps.rewrite(before.map().with(after.map()), after.map());
    }

    /** Puts a checked club in the place of the present one: all of it or nothing. Accounts stay. */
    public void replace(Club next, Progress progress) {
        put(next, "replace", progress);
    }

    /**
     * Puts a map in the place of the present one and keeps everything else.
     *
     * @throws Refusal if something that is kept would point at nothing
     */
    public void replaceMap(MapData map, Progress progress) {
        Club present = read();
        Club next = present.onMap(map);
        List<Breach> orphans = ClubCheck.check(next);
        if (!orphans.isEmpty()) {
            Breach first = orphans.get(0);
            throw Refusal.bad(
                    "ORPHANS",
                    first.where(),
                    "Without what this map leaves out the club would not hold together: " + first.sentence() + ".");
        }
        put(next, "replace", progress);
    }

    /**
     * Takes another club in: what it teaches wins, its records are added.
     *
     * @throws ArchiveRefused if a record differs or the two do not fit together
     */
    public ClubMerge.Merged merge(Club incoming, Progress progress) {
        ClubMerge.Merged merged = ClubMerge.of(read(), incoming);
        if (!merged.breaches().isEmpty()) {
            throw new ArchiveRefused(merged.breaches());
        }
        if (!merged.changesNothing()) {
            put(merged.club(), "merge", progress);
        }
        return merged;
    }

    private void put(Club next, String what, Progress progress) {
        transaction.executeWithoutResult(status -> putAll(next, what, progress));
    }

    private void putAll(Club next, String what, Progress progress) {
        progress.at("clearing", 0, 1);
        ignoredGaps.clear();
        rounds.clear();
        gradings.clear();
        records.clear();
        people.clear();
        classes.clear();
        terms.clear();
        words.clear();
        ladders.clear();
        chains.clear();
        maps.clear();
        progress.at("map", 0, 1);
        maps.fill(next.map());
        progress.at("chains and ladders", 0, 1);
        chains.fill(next.chains());
        ladders.fill(next.ladders());
        words.fill(next.words());
        progress.at("classes", 0, 1);
        classes.fill(next.tracks(), next.drills(), next.classes());
        terms.fill(next.terms());
        progress.at("people", 0, 1);
        people.fill(next.people());
        records.fill(next.attendance(), next.practice(), next.marks(), progress);
        gradings.fill(next.gradings());
        rounds.fill(next.rounds());
        ignoredGaps.fill(next.ignoredGaps());
        club.findById(ClubRow.ID)
                .ifPresentOrElse(row -> row.rename(next.name()), () -> club.save(new ClubRow(next.name())));
        journal.write(what, "club", "club", null, null);
    }
}
