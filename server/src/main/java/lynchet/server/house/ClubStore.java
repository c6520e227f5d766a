package lynchet.server.house;

import lynchet.core.Club;
import lynchet.server.chain.ChainStore;
import lynchet.server.keep.Journal;
import lynchet.server.map.MapStore;
import lynchet.server.mat.ClassStore;
import lynchet.server.mat.RecordStore;
import lynchet.server.people.PeopleStore;
import lynchet.server.rank.LadderStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** The whole club at once: what an archive is written from and read into. */
@Service
public class ClubStore {

    private final ClubRepository club;
    private final MapStore maps;
    private final ChainStore chains;
    private final LadderStore ladders;
    private final ClassStore classes;
    private final PeopleStore people;
    private final RecordStore records;
    private final Journal journal;
    private final TransactionTemplate transaction;

    ClubStore(
            ClubRepository club,
            MapStore maps,
            ChainStore chains,
            LadderStore ladders,
            ClassStore classes,
            PeopleStore people,
            RecordStore records,
            Journal journal,
            TransactionTemplate transaction) {
        this.club = club;
        this.maps = maps;
        this.chains = chains;
        this.ladders = ladders;
        this.classes = classes;
        this.people = people;
        this.records = records;
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
                classes.tracks(),
                people.all(),
                classes.all(),
                records.allAttendance(),
                records.allPractice(),
                records.allMarks()));
    }

    /** Puts a checked club in the place of the present one: all of it or nothing. Accounts stay. */
    public void replace(Club next) {
        transaction.executeWithoutResult(status -> {
            records.clear();
            people.clear();
            classes.clear();
            ladders.clear();
            chains.clear();
            maps.clear();
            maps.fill(next.map());
            chains.fill(next.chains());
            ladders.fill(next.ladders());
            classes.fill(next.tracks(), next.classes());
            people.fill(next.people());
            records.fill(next.attendance(), next.practice(), next.marks());
            club.findById(ClubRow.ID)
                    .ifPresentOrElse(row -> row.rename(next.name()), () -> club.save(new ClubRow(next.name())));
            journal.write("replace", "club", "club", null, null);
        });
        maps.reload();
    }
}
