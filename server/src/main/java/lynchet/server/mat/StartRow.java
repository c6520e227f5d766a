package lynchet.server.mat;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import lynchet.core.mat.Start;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "start_counted")
class StartRow extends KeptAsJson<Start> {

    private String classId;

    @Column(name = "position_id")
    private String position;

    private Instant at;

    protected StartRow() {}

    StartRow(Start value) {
        super(value.id(), value);
        point(value);
    }

    @Override
    public void keep(Start value) {
        super.keep(value);
        point(value);
    }

    private void point(Start value) {
        classId = value.classId();
        position = value.position();
        at = value.at();
    }

    @Override
    protected Class<Start> type() {
        return Start.class;
    }
}
