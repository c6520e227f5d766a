package lynchet.server.promote;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import lynchet.core.promote.Merit;
import lynchet.server.keep.Row;

@Entity
@Table(name = "merit")
class MeritRow extends Row<Merit> {

    private String student;

    @Enumerated(EnumType.STRING)
    private Merit.Kind kind;

    private LocalDate onDay;

    private int classes;

    private String words;

    private Instant at;

    @Column(name = "by_account")
    private String by;

    protected MeritRow() {}

    MeritRow(Merit value) {
        super(value.id());
        keep(value);
    }

    @Override
    public void keep(Merit value) {
        student = value.student();
        kind = value.kind();
        onDay = value.on();
        classes = value.classes();
        words = value.words();
        at = value.at();
        by = value.by();
    }

    @Override
    public Merit toCore() {
        return new Merit(getId(), student, kind, onDay, classes, words, at, by);
    }
}
