package lynchet.server.chain;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.Table;
import java.util.HashSet;
import java.util.Set;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainStep;
import lynchet.server.keep.KeptAsJson;

/** A chain's tree is its body; its links stand in a table besides, which keeps the references honest. */
@Entity
@Table(name = "chain")
class ChainRow extends KeptAsJson<Chain> {

    @ElementCollection
    @CollectionTable(name = "chain_link", joinColumns = @JoinColumn(name = "chain"))
    @Column(name = "link")
    private Set<String> links = new HashSet<>();

    protected ChainRow() {}

    ChainRow(Chain value) {
        super(value.id(), value);
        point(value);
    }

    @Override
    public void keep(Chain value) {
        super.keep(value);
        point(value);
    }

    private void point(Chain value) {
        Set<String> used = new HashSet<>();
        if (value.first() != null) {
            collect(value.first(), used);
        }
        links.retainAll(used);
        links.addAll(used);
    }

    private static void collect(ChainStep step, Set<String> used) {
        used.add(step.link());
        step.next().forEach(turn -> collect(turn.step(), used));
    }

    @Override
    protected Class<Chain> type() {
        return Chain.class;
    }
}
