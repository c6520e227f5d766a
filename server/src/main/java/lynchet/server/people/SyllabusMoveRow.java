package lynchet.server.people;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import lynchet.core.people.SyllabusMove;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "syllabus_move")
class SyllabusMoveRow extends KeptAsJson<SyllabusMove> {

    private String student;

    private String ladder;

    @Column(name = "held_rank")
    private String rank;

    private LocalDate toDay;

    protected SyllabusMoveRow() {}

    SyllabusMoveRow(SyllabusMove value) {
        super(value.id(), value);
        point(value);
    }

    @Override
    public void keep(SyllabusMove value) {
        super.keep(value);
        point(value);
    }

    private void point(SyllabusMove value) {
        student = value.student();
        ladder = value.ladder();
        rank = value.rank();
        toDay = value.to();
    }

    @Override
    protected Class<SyllabusMove> type() {
        return SyllabusMove.class;
    }
}
