package lynchet.server.grading;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import lynchet.core.grading.Grading;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "grading")
class GradingRow extends KeptAsJson<Grading> {

    @Column(name = "grading_date")
    private LocalDate date;

    private String ladder;

    protected GradingRow() {}

    GradingRow(Grading value) {
        super(value.id(), value);
        point(value);
    }

    @Override
    public void keep(Grading value) {
        super.keep(value);
        point(value);
    }

    private void point(Grading value) {
        date = value.date();
        ladder = value.ladder();
    }

    @Override
    protected Class<Grading> type() {
        return Grading.class;
    }
}
