package lynchet.server.term;

import java.util.Comparator;
import lynchet.core.term.Term;
import lynchet.server.keep.Shelf;
import org.springframework.stereotype.Service;

/** Keeps the terms. */
@Service
public class TermStore extends Shelf<Term, TermRow> {

    TermStore(TermRepository rows) {
        super(rows, TermRow::new, Comparator.comparing(Term::from).thenComparing(Term::id));
    }
}
