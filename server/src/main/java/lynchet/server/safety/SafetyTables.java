package lynchet.server.safety;

import jakarta.persistence.EntityManager;
import lynchet.core.club.Parts;
import lynchet.core.numbers.ClubNumbers;
import lynchet.server.keep.PartStore;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Where the club's numbers are kept. */
@Configuration
class SafetyTables {

    @Bean
    PartStore<ClubNumbers, NumbersRow> numbers(EntityManager entities) {
        return new PartStore<>(entities, Parts.NUMBERS, NumbersRow.class, NumbersRow::new);
    }
}
