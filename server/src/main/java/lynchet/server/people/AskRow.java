package lynchet.server.people;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import lynchet.core.people.Ask;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "ask")
class AskRow extends KeptAsJson<Ask> {

    private String student;

    private LocalDate askedOn;

    private LocalDate doneOn;

    protected AskRow() {}

    AskRow(Ask value) {
        super(value.id(), value);
        point(value);
    }

    @Override
    public void keep(Ask value) {
        super.keep(value);
        point(value);
    }

    private void point(Ask value) {
        student = value.student();
        askedOn = value.on();
        doneOn = value.done();
    }

    @Override
    protected Class<Ask> type() {
        return Ask.class;
    }
}
