package lynchet.server.rank;

import java.util.Comparator;
import java.util.List;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.rank.SyllabusGroup;
import lynchet.server.chain.ChainStore;
import lynchet.server.keep.Changes;
import lynchet.server.keep.ETags;
import lynchet.server.keep.Journal;
import lynchet.server.keep.Refusal;
import lynchet.server.map.MapStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the ladders with their syllabuses. */
@Service
public class LadderStore {

    private final LadderRepository ladders;
    private final MapStore maps;
    private final ChainStore chains;
    private final Journal journal;

    LadderStore(LadderRepository ladders, MapStore maps, ChainStore chains, Journal journal) {
        this.ladders = ladders;
        this.maps = maps;
        this.chains = chains;
        this.journal = journal;
    }

    @Transactional(readOnly = true)
    public List<Ladder> all() {
        return ladders.findAll().stream()
                .map(LadderRow::toCore)
                .sorted(Comparator.comparing(Ladder::id))
                .toList();
    }

    @Transactional(readOnly = true)
    public Ladder one(String id) {
        return ladders.findById(id).map(LadderRow::toCore).orElseThrow(() -> Refusal.missing("ladder", id));
    }

    /** The ladder on which a rank stands. */
    public Ladder withRank(String rank) {
        return all().stream()
                .filter(ladder -> ladder.indexOf(rank) >= 0)
                .findFirst()
                .orElseThrow(() -> Refusal.missing("rank", rank));
    }

    /** Replaces a rank's syllabus, if the rank is still as the caller saw it. */
    @Transactional
    public Rank changeSyllabus(String ladderId, String rankId, List<SyllabusGroup> groups, String ifMatch) {
        LadderRow row = ladders.findById(ladderId).orElseThrow(() -> Refusal.missing("ladder", ladderId));
        Ladder ladder = row.toCore();
        Rank before = ladder.rank(rankId).orElseThrow(() -> Refusal.missing("rank", rankId));
        ETags.match(ifMatch, before, rankId);
        Rank after = before.withSyllabus(groups);
        Ladder changed = ladder.withRank(after);
        changed.broken(maps.snapshot().map(), chains.all()).ifPresent(why -> {
            throw Refusal.bad("SYLLABUS_ITEM", "/groups", why);
        });
        row.keep(changed);
        journal.write("change", "syllabus", rankId, before, after);
        return after;
    }

    /** Writes what differs between two states in the caller's transaction; somebody has checked the new one. */
    public void rewrite(List<Ladder> before, List<Ladder> after) {
        Changes<Ladder> changes = Changes.between("ladder", before, after, Ladder::id);
        changes.keep(ladders, LadderRow::new, LadderRow::keep, journal);
        changes.remove(ladders, journal);
    }

    public void clear() {
        ladders.deleteAllInBatch();
    }

    public void fill(List<Ladder> all) {
        ladders.saveAll(all.stream().map(LadderRow::new).toList());
    }
}
