package lynchet.server.term;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.term.Term;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "term")
class TermRow extends KeptAsJson<Term> {

    protected TermRow() {}

    TermRow(Term value) {
        super(value.id(), value);
    }

    @Override
    protected Class<Term> type() {
        return Term.class;
    }
}
