package lynchet.server.map;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Reaction;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "reaction")
class ReactionRow extends KeptAsJson<Reaction> {

    @Column(name = "leaves_pair")
    private String leavesPair;

    protected ReactionRow() {}

    ReactionRow(Reaction reaction, GrapplingMap map) {
        super(reaction.id(), reaction);
        keep(reaction, map);
    }

    void keep(Reaction reaction, GrapplingMap map) {
        keep(reaction);
        leavesPair = map.pairOf(reaction.leaves()).id();
    }

    @Override
    protected Class<Reaction> type() {
        return Reaction.class;
    }
}
