package lynchet.server.mat;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.mat.Mark;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "mark")
class MarkRow extends KeptAsJson<Mark> {

    private String student;

    protected MarkRow() {}

    MarkRow(Mark mark) {
        super(mark.id(), mark);
        student = mark.student();
    }

    @Override
    protected Class<Mark> type() {
        return Mark.class;
    }
}
