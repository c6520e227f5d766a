package lynchet.server.mat;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import lynchet.core.mat.Tally;
import lynchet.server.keep.Row;

@Entity
@Table(name = "tally")
class TallyRow extends Row<Tally> {

    private String classId;

    private String technique;

    private String fault;

    private Instant at;

    @Column(name = "by_account")
    private String by;

    protected TallyRow() {}

    TallyRow(Tally value) {
        super(value.id());
        keep(value);
    }

    @Override
    public void keep(Tally value) {
        classId = value.classId();
        technique = value.technique();
        fault = value.fault();
        at = value.at();
        by = value.by();
    }

    @Override
    public Tally toCore() {
        return new Tally(getId(), classId, technique, fault, at, by);
    }
}
