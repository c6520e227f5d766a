package lynchet.server.words;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.words.Word;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "word")
class WordRow extends KeptAsJson<Word> {

    protected WordRow() {}

    WordRow(Word value) {
        super(value.id(), value);
    }

    @Override
    protected Class<Word> type() {
        return Word.class;
    }
}
