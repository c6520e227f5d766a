package lynchet.server.map;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.card.Technique;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "technique")
class TechniqueRow extends KeptAsJson<Technique> {

    protected TechniqueRow() {}

    TechniqueRow(Technique value) {
        super(value.id(), value);
    }

    @Override
    protected Class<Technique> type() {
        return Technique.class;
    }
}
