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
    private LocalDate classDate;

    protected ClassRow() {}

    ClassRow(TrainingClass trainingClass) {
        super(trainingClass.id(), trainingClass);
        keep(trainingClass);
    }

    @Override
    public void keep(TrainingClass trainingClass) {
        super.keep(trainingClass);
        classDate = trainingClass.date();
    }

    @Override
    protected Class<TrainingClass> type() {
        return TrainingClass.class;
    }
}
