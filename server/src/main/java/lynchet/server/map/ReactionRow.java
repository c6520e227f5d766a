package lynchet.server.map;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.map.Reaction;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "reaction")
class ReactionRow extends KeptAsJson<Reaction> {

    private String leaves;

    protected ReactionRow() {}

    ReactionRow(Reaction value) {
        super(value.id(), value);
        point(value);
    }

    @Override
    public void keep(Reaction value) {
        super.keep(value);
        point(value);
    }

    private void point(Reaction value) {
        leaves = value.leaves();
    }

    @Override
    protected Class<Reaction> type() {
        return Reaction.class;
    }
}
