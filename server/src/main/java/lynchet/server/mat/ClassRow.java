package lynchet.server.mat;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import lynchet.core.mat.TrainingClass;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "training_class")
class ClassRow extends KeptAsJson<TrainingClass> {

    @Column(name = "class_date")
    private LocalDate date;

    private String track;

    private boolean cancelled;

    protected ClassRow() {}

    ClassRow(TrainingClass value) {
        super(value.id(), value);
        point(value);
    }

    @Override
    public void keep(TrainingClass value) {
        super.keep(value);
        point(value);
    }

    private void point(TrainingClass value) {
        date = value.date();
        track = value.track();
        cancelled = value.cancelled();
    }

    LocalDate getDate() {
        return date;
    }

    @Override
    protected Class<TrainingClass> type() {
        return TrainingClass.class;
    }
}
