package lynchet.server.map;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.MapData;
import lynchet.core.map.PositionPair;
import lynchet.core.map.Reaction;
import lynchet.core.map.Technique;
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

    void put(PositionPair pair) {
        change(
                data -> new MapData(
                        replaced(data.pairs(), pair, PositionPair::id),
                        data.techniques(),
                        data.links(),
                        data.reactions(),
                        data.rulesets()),
                map -> pairs.findById(pair.id())
                        .ifPresentOrElse(
                                row -> journalled("pair", pair.id(), row.toCore(), pair, () -> row.keep(pair)),
                                () -> journalled("pair", pair.id(), null, pair, () -> pairs.save(new PairRow(pair)))));
    }

    void put(Technique technique) {
        change(
                data -> new MapData(
                        data.pairs(),
                        replaced(data.techniques(), technique, Technique::id),
                        data.links(),
                        data.reactions(),
                        data.rulesets()),
                map -> techniques
                        .findById(technique.id())
                        .ifPresentOrElse(
                                row -> journalled(
                                        "technique",
                                        technique.id(),
                                        row.toCore(),
                                        technique,
                                        () -> row.keep(technique)),
                                () -> journalled(
                                        "technique",
                                        technique.id(),
                                        null,
                                        technique,
                                        () -> techniques.save(new TechniqueRow(technique)))));
    }

    void put(Link link) {
        change(
                data -> new MapData(
                        data.pairs(),
                        data.techniques(),
                        replaced(data.links(), link, Link::id),
                        data.reactions(),
                        data.rulesets()),
                map -> links.findById(link.id())
                        .ifPresentOrElse(
                                row -> journalled("link", link.id(), row.toCore(), link, () -> row.keep(link, map)),
                                () -> journalled(
                                        "link", link.id(), null, link, () -> links.save(new LinkRow(link, map)))));
    }

    void put(Reaction reaction) {
        change(
                data -> new MapData(
                        data.pairs(),
                        data.techniques(),
                        data.links(),
                        replaced(data.reactions(), reaction, Reaction::id),
                        data.rulesets()),
                map -> reactions
                        .findById(reaction.id())
                        .ifPresentOrElse(
                                row -> journalled(
                                        "reaction",
                                        reaction.id(),
                                        row.toCore(),
                                        reaction,
                                        () -> row.keep(reaction, map)),
                                () -> journalled(
                                        "reaction",
                                        reaction.id(),
                                        null,
                                        reaction,
                                        () -> reactions.save(new ReactionRow(reaction, map)))));
    }

    private void change(UnaryOperator<MapData> edit, java.util.function.Consumer<GrapplingMap> keep) {
        writing.lock();
        try {
            GrapplingMap changed = GrapplingMap.of(edit.apply(snapshot().map().data()));
            transaction.executeWithoutResult(status -> keep.accept(changed));
            publish(changed);
        } finally {
            writing.unlock();
        }
    }

    private void journalled(String kind, String id, Object before, Object after, Runnable keep) {
        keep.run();
        journal.write(before == null ? "add" : "change", kind, id, before, after);
    }

    private static <T> List<T> replaced(List<T> all, T one, Function<T, String> id) {
        List<T> changed = new ArrayList<>(all);
        for (int i = 0; i < changed.size(); i++) {
            if (id.apply(changed.get(i)).equals(id.apply(one))) {
                changed.set(i, one);
                return changed;
            }
        }
        changed.add(one);
        return changed;
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
