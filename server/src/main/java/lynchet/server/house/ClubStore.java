package lynchet.server.house;

import lynchet.core.Club;
import lynchet.server.chain.ChainStore;
import lynchet.server.grading.GradingStore;
import lynchet.server.keep.Journal;
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
                rounds.all()));
    }

    /** Puts a checked club in the place of the present one: all of it or nothing. Accounts stay. */
    public void replace(Club next) {
        transaction.executeWithoutResult(status -> {
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
            maps.fill(next.map());
            chains.fill(next.chains());
            ladders.fill(next.ladders());
            words.fill(next.words());
            classes.fill(next.tracks(), next.drills(), next.classes());
            terms.fill(next.terms());
            people.fill(next.people());
            records.fill(next.attendance(), next.practice(), next.marks());
            gradings.fill(next.gradings());
            rounds.fill(next.rounds());
            club.findById(ClubRow.ID)
                    .ifPresentOrElse(row -> row.rename(next.name()), () -> club.save(new ClubRow(next.name())));
            journal.write("replace", "club", "club", null, null);
        });
        maps.reload();
    }
}
