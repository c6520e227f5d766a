package lynchet.server.term;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.term.Closure;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "closure")
class ClosureRow extends KeptAsJson<Closure> {

    protected ClosureRow() {}

    ClosureRow(Closure value) {
        super(value.id(), value);
    }

    @Override
    protected Class<Closure> type() {
        return Closure.class;
    }
}
