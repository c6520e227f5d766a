package lynchet.server.grading;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import lynchet.core.grading.Grading;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "grading")
class GradingRow extends KeptAsJson<Grading> {

    private LocalDate gradingDate;

    private String ladder;

    protected GradingRow() {}

    GradingRow(Grading value) {
        super(value.id(), value);
        gradingDate = value.date();
        ladder = value.ladder();
    }

    @Override
    protected Class<Grading> type() {
        return Grading.class;
    }
}
