package lynchet.server.term;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.term.TermPlan;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "term_plan")
class PlanRow extends KeptAsJson<TermPlan> {

    protected PlanRow() {}

    PlanRow(TermPlan value) {
        super(value.id(), value);
    }

    @Override
    protected Class<TermPlan> type() {
        return TermPlan.class;
    }
}
