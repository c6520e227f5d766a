package lynchet.server.chain;

import java.util.Comparator;
import java.util.List;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainCheck;
import lynchet.core.chain.ChainFinding;
import lynchet.core.map.GrapplingMap;
import lynchet.server.keep.Changes;
import lynchet.server.keep.ETags;
import lynchet.server.keep.Journal;
import lynchet.server.keep.Refusal;
import lynchet.server.map.MapStore;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the chains. A chain whose links do not exist is refused; one with a broken join is kept and says so. */
@Service
public class ChainStore {

    private final ChainRepository chains;
    private final MapStore maps;
    private final Journal journal;

    ChainStore(ChainRepository chains, MapStore maps, Journal journal) {
        this.chains = chains;
        this.maps = maps;
        this.journal = journal;
    }

    /** All chains, retired ones included, by name. */
    @Transactional(readOnly = true)
    public List<Chain> all() {
        return chains.findAll().stream()
                .map(ChainRow::toCore)
                .sorted(Comparator.comparing(Chain::name).thenComparing(Chain::id))
                .toList();
    }

    @Transactional(readOnly = true)
    public Chain one(String id) {
        return chains.findById(id).map(ChainRow::toCore).orElseThrow(() -> Refusal.missing("chain", id));
    }

    /** Adds a chain; the same chain again is the same answer. */
    @Transactional
    public Chain add(Chain chain) {
        exists(chain);
        return chains.findById(chain.id())
                .map(row -> {
                    if (!row.toCore().equals(chain)) {
                        throw Refusal.taken(chain.id(), "There is another chain with the id " + chain.id() + ".");
                    }
                    return chain;
                })
                .orElseGet(() -> {
                    chains.save(new ChainRow(chain));
                    journal.write("add", "chain", chain.id(), null, chain);
                    return chain;
                });
    }

    /** Changes a chain that is still as the caller saw it. */
    @Transactional
    public Chain change(Chain chain, String ifMatch, boolean isHead) {
        ChainRow row = chains.findById(chain.id()).orElseThrow(() -> Refusal.missing("chain", chain.id()));
        Chain before = row.toCore();
        ETags.match(ifMatch, before, chain.id());
        if (!isHead && before.owner() != null && !before.owner().equals(Journal.who())) {
            throw Refusal.of(
                    HttpStatus.FORBIDDEN,
                    "NOT_YOURS",
                    chain.id(),
                    "This chain belongs to " + before.owner() + ". Only they and the head coach change it.");
        }
        exists(chain);
        row.keep(chain);
        journal.write("change", "chain", chain.id(), before, chain);
        return chain;
    }

    private void exists(Chain chain) {
        GrapplingMap map = maps.snapshot().map();
        if (map.position(chain.start()).isEmpty()) {
            throw Refusal.bad("CHAIN_START", "/start", "There is no position " + chain.start() + ".");
        }
        ChainCheck.check(map, chain, null).findings().stream()
                .filter(finding -> finding.code() == ChainFinding.Code.UNKNOWN_LINK)
                .findFirst()
                .ifPresent(finding -> {
                    throw Refusal.bad(
                            "CHAIN_LINK",
                            "/first",
                            "Step " + finding.step() + " names the link " + finding.link() + ", which does not exist.");
                });
    }

    /** Writes what differs between two states in the caller's transaction; somebody has checked the new one. */
    public void rewrite(List<Chain> before, List<Chain> after) {
        Changes<Chain> changes = Changes.between("chain", before, after, Chain::id);
        changes.keep(chains, ChainRow::new, ChainRow::keep, journal);
        changes.remove(chains, journal);
    }

    public void clear() {
        chains.deleteAll();
        chains.flush();
    }

    public void fill(List<Chain> all) {
        chains.saveAll(all.stream().map(ChainRow::new).toList());
        chains.flush();
    }
}
