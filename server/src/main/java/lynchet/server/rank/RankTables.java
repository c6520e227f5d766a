package lynchet.server.rank;

import jakarta.persistence.EntityManager;
import lynchet.core.club.Parts;
import lynchet.core.rank.Ladder;
import lynchet.server.keep.PartStore;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Where the ladders are kept. */
@Configuration
class RankTables {

    @Bean
    PartStore<Ladder, LadderRow> ladders(EntityManager entities) {
        return new PartStore<>(entities, Parts.LADDERS, LadderRow.class, LadderRow::new);
    }
}
