package lynchet.server.words;

import jakarta.persistence.EntityManager;
import lynchet.core.club.Parts;
import lynchet.core.words.Word;
import lynchet.server.keep.PartStore;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Where the words are kept. */
@Configuration
class WordTables {

    @Bean
    PartStore<Word, WordRow> words(EntityManager entities) {
        return new PartStore<>(entities, Parts.WORDS, WordRow.class, WordRow::new);
    }
}
