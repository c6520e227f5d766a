package lynchet.server.safety;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import lynchet.core.safety.Incident;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "incident")
class IncidentRow extends KeptAsJson<Incident> {

    private String student;

    private String partner;

    private String classId;

    private LocalDate happenedOn;

    protected IncidentRow() {}

    IncidentRow(Incident value) {
        super(value.id(), value);
        point(value);
    }

    @Override
    public void keep(Incident value) {
        super.keep(value);
        point(value);
    }

    private void point(Incident value) {
        student = value.student();
        partner = value.partner();
        classId = value.classId();
        happenedOn = value.on();
    }

    @Override
    protected Class<Incident> type() {
        return Incident.class;
    }
}
