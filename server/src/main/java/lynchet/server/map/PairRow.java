package lynchet.server.map;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.map.PositionPair;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "position_pair")
class PairRow extends KeptAsJson<PositionPair> {

    protected PairRow() {}

    PairRow(PositionPair pair) {
        super(pair.id(), pair);
    }

    @Override
    protected Class<PositionPair> type() {
        return PositionPair.class;
    }
}
