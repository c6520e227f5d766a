package lynchet.server.mat;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import lynchet.core.mat.Credit;
import lynchet.core.mat.Side;
import lynchet.server.keep.Row;

@Entity
@Table(name = "credit")
class CreditRow extends Row<Credit> {

    private String student;

    private String subject;

    @Enumerated(EnumType.STRING)
    private Side side;

    private int reps;

    private LocalDate practisedOn;

    private String note;

    private Instant at;

    @Column(name = "by_account")
    private String by;

    protected CreditRow() {}

    CreditRow(Credit value) {
        super(value.id());
        keep(value);
    }

    @Override
    public void keep(Credit value) {
        student = value.student();
        subject = value.subject();
        side = value.side();
        reps = value.reps();
        practisedOn = value.on();
        note = value.note();
        at = value.at();
        by = value.by();
    }

    @Override
    public Credit toCore() {
        return new Credit(getId(), student, subject, side, reps, practisedOn, note, at, by);
    }
}
