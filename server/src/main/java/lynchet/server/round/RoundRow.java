package lynchet.server.round;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.round.Round;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "round")
class RoundRow extends KeptAsJson<Round> {

    private String firstStudent;

    private String secondStudent;

    private String classId;

    protected RoundRow() {}

    RoundRow(Round value) {
        super(value.id(), value);
        firstStudent = value.first();
        secondStudent = value.second();
        classId = value.classId();
    }

    @Override
    protected Class<Round> type() {
        return Round.class;
    }
}
