package lynchet.server.promote;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import lynchet.core.promote.Nomination;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "nomination")
class NominationRow extends KeptAsJson<Nomination> {

    private String student;

    private String ladder;

    private String heldRank;

    private LocalDate windowOn;

    protected NominationRow() {}

    NominationRow(Nomination value) {
        super(value.id(), value);
        point(value);
    }

    @Override
    public void keep(Nomination value) {
        super.keep(value);
        point(value);
    }

    private void point(Nomination value) {
        student = value.student();
        ladder = value.ladder();
        heldRank = value.rank();
        windowOn = value.window();
    }

    @Override
    protected Class<Nomination> type() {
        return Nomination.class;
    }
}
