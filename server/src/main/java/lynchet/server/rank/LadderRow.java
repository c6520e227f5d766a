package lynchet.server.rank;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.rank.Ladder;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "ladder")
class LadderRow extends KeptAsJson<Ladder> {

    protected LadderRow() {}

    LadderRow(Ladder value) {
        super(value.id(), value);
    }

    @Override
    protected Class<Ladder> type() {
        return Ladder.class;
    }
}
