package lynchet.server.people;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import lynchet.core.people.Brought;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "brought")
class BroughtRow extends KeptAsJson<Brought> {

    private String student;

    private String ladder;

    private String below;

    @Enumerated(EnumType.STRING)
    private Brought.Answer answer;

    protected BroughtRow() {}

    BroughtRow(Brought value) {
        super(value.id(), value);
        point(value);
    }

    @Override
    public void keep(Brought value) {
        super.keep(value);
        point(value);
    }

    private void point(Brought value) {
        student = value.student();
        ladder = value.ladder();
        below = value.below();
        answer = value.answer();
    }

    @Override
    protected Class<Brought> type() {
        return Brought.class;
    }
}
