package lynchet.server.pair;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import lynchet.core.mat.Pairing;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "pairing")
class PairingRow extends KeptAsJson<Pairing> {

    private String classId;

    private Instant at;

    protected PairingRow() {}

    PairingRow(Pairing value) {
        super(value.id(), value);
        point(value);
    }

    @Override
    public void keep(Pairing value) {
        super.keep(value);
        point(value);
    }

    private void point(Pairing value) {
        classId = value.classId();
        at = value.at();
    }

    @Override
    protected Class<Pairing> type() {
        return Pairing.class;
    }
}
