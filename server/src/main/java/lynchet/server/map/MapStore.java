package lynchet.server.map;

import java.util.concurrent.locks.ReentrantLock;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.MapData;
import lynchet.core.map.PositionPair;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.map.Technique;
import lynchet.server.keep.Changes;
import lynchet.server.keep.Journal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Keeps the map. It is read as one snapshot, published after the commit that changed it; writes take one lock, since
 * the map's rules cross its parts, and every changed map is checked whole before it is kept.
 */
@Service
public class MapStore {

    private final PairRepository pairs;
    private final TechniqueRepository techniques;
    private final ReactionRepository reactions;
    private final LinkRepository links;
    private final RulesetRepository rulesets;
    private final Journal journal;
    private final TransactionTemplate transaction;
    private final ReentrantLock writing = new ReentrantLock();
    private volatile MapSnapshot current;
    private long revision;

    MapStore(
            PairRepository pairs,
            TechniqueRepository techniques,
            ReactionRepository reactions,
            LinkRepository links,
            RulesetRepository rulesets,
            Journal journal,
            TransactionTemplate transaction) {
        this.pairs = pairs;
        this.techniques = techniques;
        this.reactions = reactions;
        this.links = links;
        this.rulesets = rulesets;
        this.journal = journal;
        this.transaction = transaction;
    }

    /** The present map. */
    public MapSnapshot snapshot() {
        MapSnapshot seen = current;
        if (seen != null) {
            return seen;
        }
        writing.lock();
        try {
            if (current == null) {
                publish(GrapplingMap.of(transaction.execute(status -> read())));
            }
            return current;
        } finally {
            writing.unlock();
        }
    }

    private MapData read() {
        return new MapData(
                pairs.findAll().stream().map(PairRow::toCore).toList(),
                techniques.findAll().stream().map(TechniqueRow::toCore).toList(),
                links.findAll().stream().map(LinkRow::toCore).toList(),
                reactions.findAll().stream().map(ReactionRow::toCore).toList(),
                rulesets.findAll().stream().map(RulesetRow::toCore).toList());
    }

    private void publish(GrapplingMap map) {
        current = new MapSnapshot(map, ++revision);
    }

    /** Whoever is reading the map just now publishes what was there before; it is forgotten after that. */
    private void forgetAfterTransaction() {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                inTurn(() -> current = null);
            }
        });
    }

    /** Runs a write while nobody else writes the map. */
    void inTurn(Runnable write) {
        writing.lock();
        try {
            write.run();
        } finally {
            writing.unlock();
        }
    }

    /**
     * Keeps these parts in the place of those of the same id, or beside the others where they are new.
     *
     * @throws lynchet.core.map.NotWellFormed if the map would not hold together; nothing is changed then
     */
    public void put(MapData changes) {
        inTurn(() -> {
            MapData before = snapshot().map().data();
            rewrite(before, before.with(changes));
        });
    }

    /**
     * Writes what differs between two states, the first of them the present one. The map is published when the
     * transaction around it, or its own where there is none, has committed.
     */
    public void rewrite(MapData before, MapData after) {
        inTurn(() -> {
            GrapplingMap map = GrapplingMap.of(after);
            Parts parts = new Parts(before, after);
            if (!parts.isEmpty()) {
                transaction.executeWithoutResult(status -> {
                    publishAfterCommit(map);
                    write(parts, map);
                });
            }
        });
    }

    private record Parts(
            Changes<PositionPair> pairs,
            Changes<Technique> techniques,
            Changes<Link> links,
            Changes<Reaction> reactions,
            Changes<Ruleset> rulesets) {
        Parts(MapData before, MapData after) {
            this(
                    Changes.between("pair", before.pairs(), after.pairs(), PositionPair::id),
                    Changes.between("technique", before.techniques(), after.techniques(), Technique::id),
                    Changes.between("link", before.links(), after.links(), Link::id),
                    Changes.between("reaction", before.reactions(), after.reactions(), Reaction::id),
                    Changes.between("ruleset", before.rulesets(), after.rulesets(), Ruleset::id));
        }

        boolean isEmpty() {
            return pairs.size() + techniques.size() + links.size() + reactions.size() + rulesets.size() == 0;
        }
    }

    /** What is pointed at comes before what points at it, and goes after it. */
    private void write(Parts parts, GrapplingMap map) {
        parts.pairs().keep(pairs, PairRow::new, PairRow::keep, journal);
        parts.techniques().keep(techniques, TechniqueRow::new, TechniqueRow::keep, journal);
        parts.rulesets().keep(rulesets, RulesetRow::new, RulesetRow::keep, journal);
        parts.reactions().keep(reactions, r -> new ReactionRow(r, map), (row, r) -> row.keep(r, map), journal);
        parts.links().keep(links, l -> new LinkRow(l, map), (row, l) -> row.keep(l, map), journal);
        parts.links().remove(links, journal);
        parts.reactions().remove(reactions, journal);
        parts.techniques().remove(techniques, journal);
        parts.rulesets().remove(rulesets, journal);
        parts.pairs().remove(pairs, journal);
    }

    private void publishAfterCommit(GrapplingMap map) {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                inTurn(() -> publish(map));
            }
        });
    }

    /** Removes the whole map in the caller's transaction; chains must be gone before. */
    public void clear() {
        links.deleteAllInBatch();
        reactions.deleteAllInBatch();
        techniques.deleteAllInBatch();
        rulesets.deleteAllInBatch();
        pairs.deleteAllInBatch();
    }

    /** Keeps a whole checked map in the caller's transaction; it is seen once that is committed. */
    public void fill(MapData data) {
        forgetAfterTransaction();
        GrapplingMap map = GrapplingMap.of(data);
        pairs.saveAll(data.pairs().stream().map(PairRow::new).toList());
        techniques.saveAll(data.techniques().stream().map(TechniqueRow::new).toList());
        reactions.saveAll(
                data.reactions().stream().map(r -> new ReactionRow(r, map)).toList());
        pairs.flush();
        links.saveAll(data.links().stream().map(link -> new LinkRow(link, map)).toList());
        rulesets.saveAll(data.rulesets().stream().map(RulesetRow::new).toList());
        rulesets.flush();
    }
}
