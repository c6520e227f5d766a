package lynchet.server.promote;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import lynchet.core.promote.Nomination;
import lynchet.server.keep.Row;

@Entity
@Table(name = "nomination")
class NominationRow extends Row<Nomination> {

    private String student;

    private String ladder;

    private String heldRank;

    private LocalDate windowOn;

    private String note;

    private Instant at;

    @Column(name = "by_account")
    private String by;

    protected NominationRow() {}

    NominationRow(Nomination value) {
        super(value.id());
        keep(value);
    }

    @Override
    public void keep(Nomination value) {
        student = value.student();
        ladder = value.ladder();
        heldRank = value.rank();
        windowOn = value.window();
        note = value.note();
        at = value.at();
        by = value.by();
    }

    @Override
    public Nomination toCore() {
        return new Nomination(getId(), student, ladder, heldRank, windowOn, note, at, by);
    }
}
