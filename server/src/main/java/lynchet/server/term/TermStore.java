package lynchet.server.term;

import java.util.Comparator;
import java.util.List;
import lynchet.core.term.Term;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the terms. */
@Service
public class TermStore {

    private final TermRepository rows;

    TermStore(TermRepository rows) {
        this.rows = rows;
    }

    @Transactional(readOnly = true)
    public List<Term> all() {
        return rows.findAll().stream()
                .map(TermRow::toCore)
                .sorted(Comparator.comparing(Term::from).thenComparing(Term::id))
                .toList();
    }

    public void clear() {
        rows.deleteAllInBatch();
    }

    public void fill(List<Term> all) {
        rows.saveAll(all.stream().map(TermRow::new).toList());
        rows.flush();
    }
}
