package lynchet.server.round;

import java.util.Comparator;
import java.util.List;
import lynchet.core.round.Round;
import lynchet.server.keep.Remembered;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the rounds. */
@Service
public class RoundStore {

    private final RoundRepository rows;
    private final Remembered<List<Round>> remembered = new Remembered<>();

    RoundStore(RoundRepository rows) {
        this.rows = rows;
    }

    @Transactional(readOnly = true)
    public List<Round> all() {
        return remembered.get(() -> rows.findAll().stream()
                .map(RoundRow::toCore)
                .sorted(Comparator.comparing(Round::at).thenComparing(Round::id))
                .toList());
    }

    public void clear() {
        remembered.changed();
        rows.deleteAllInBatch();
    }

    public void fill(List<Round> all) {
        remembered.changed();
        rows.saveAll(all.stream().map(RoundRow::new).toList());
        rows.flush();
    }
}
