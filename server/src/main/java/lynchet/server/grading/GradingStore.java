package lynchet.server.grading;

import java.util.Comparator;
import lynchet.core.grading.Grading;
import lynchet.server.keep.Shelf;
import org.springframework.stereotype.Service;

/** Keeps the grading days. */
@Service
public class GradingStore extends Shelf<Grading, GradingRow> {

    GradingStore(GradingRepository rows) {
        super(rows, GradingRow::new, Comparator.comparing(Grading::date).thenComparing(Grading::id));
    }
}
