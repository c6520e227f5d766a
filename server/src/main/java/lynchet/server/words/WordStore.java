package lynchet.server.words;

import java.util.Comparator;
import lynchet.core.words.Word;
import lynchet.server.keep.Shelf;
import org.springframework.stereotype.Service;

/** Keeps the words of the mat. */
@Service
public class WordStore extends Shelf<Word, WordRow> {

    WordStore(WordRepository rows) {
        super(rows, WordRow::new, Comparator.comparing(Word::id));
    }
}
