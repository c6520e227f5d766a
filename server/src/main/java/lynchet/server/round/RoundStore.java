package lynchet.server.round;

import java.util.Comparator;
import java.util.List;
import lynchet.core.round.Round;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the rounds. */
@Service
public class RoundStore {

    private final RoundRepository rows;

    RoundStore(RoundRepository rows) {
        this.rows = rows;
    }

    @Transactional(readOnly = true)
    public List<Round> all() {
        return rows.findAll().stream()
                .map(RoundRow::toCore)
                .sorted(Comparator.comparing(Round::at).thenComparing(Round::id))
                .toList();
    }

    public void clear() {
        rows.deleteAllInBatch();
    }

    public void fill(List<Round> all) {
        rows.saveAll(all.stream().map(RoundRow::new).toList());
        rows.flush();
    }
}
