package lynchet.server.words;

import java.util.Comparator;
import java.util.List;
import lynchet.core.words.Word;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the words of the mat. */
@Service
public class WordStore {

    private final WordRepository rows;

    WordStore(WordRepository rows) {
        this.rows = rows;
    }

    @Transactional(readOnly = true)
    public List<Word> all() {
        return rows.findAll().stream()
                .map(WordRow::toCore)
                .sorted(Comparator.comparing(Word::id))
                .toList();
    }

    public void clear() {
        rows.deleteAllInBatch();
    }

    public void fill(List<Word> all) {
        rows.saveAll(all.stream().map(WordRow::new).toList());
        rows.flush();
    }
}
