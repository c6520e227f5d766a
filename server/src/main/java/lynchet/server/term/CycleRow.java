package lynchet.server.term;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.term.cycle.ThemeCycle;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "theme_cycle")
class CycleRow extends KeptAsJson<ThemeCycle> {

    protected CycleRow() {}

    CycleRow(ThemeCycle value) {
        super(value.id(), value);
    }

    @Override
    protected Class<ThemeCycle> type() {
        return ThemeCycle.class;
    }
}
