package lynchet.server.chain;

import jakarta.persistence.EntityManager;
import lynchet.core.chain.Chain;
import lynchet.core.club.Parts;
import lynchet.server.keep.PartStore;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Where the chains are kept. */
@Configuration
class ChainTables {

    @Bean
    PartStore<Chain, ChainRow> chains(EntityManager entities) {
        return new PartStore<>(entities, Parts.CHAINS, ChainRow.class, ChainRow::new);
    }
}
