package lynchet.server.grading;

import java.util.Comparator;
import java.util.List;
import lynchet.core.grading.Grading;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the grading days. */
@Service
public class GradingStore {

    private final GradingRepository rows;

    GradingStore(GradingRepository rows) {
        this.rows = rows;
    }

    @Transactional(readOnly = true)
    public List<Grading> all() {
        return rows.findAll().stream()
                .map(GradingRow::toCore)
                .sorted(Comparator.comparing(Grading::date).thenComparing(Grading::id))
                .toList();
    }

    public void clear() {
        rows.deleteAllInBatch();
    }

    public void fill(List<Grading> all) {
        rows.saveAll(all.stream().map(GradingRow::new).toList());
        rows.flush();
    }
}
