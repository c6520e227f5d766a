package lynchet.server.promote;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.promote.Belt;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "belt")
class BeltRow extends KeptAsJson<Belt> {

    protected BeltRow() {}

    BeltRow(Belt value) {
        super(value.id(), value);
    }

    @Override
    protected Class<Belt> type() {
        return Belt.class;
    }
}
