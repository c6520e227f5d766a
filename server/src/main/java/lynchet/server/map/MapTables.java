package lynchet.server.map;

import jakarta.persistence.EntityManager;
import lynchet.core.card.Technique;
import lynchet.core.club.Parts;
import lynchet.core.map.Link;
import lynchet.core.map.PositionPair;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.server.keep.PartStore;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Where the parts of the map are kept. */
@Configuration
class MapTables {

    @Bean
    PartStore<PositionPair, PairRow> pairs(EntityManager entities) {
        return new PartStore<>(entities, Parts.PAIRS, PairRow.class, PairRow::new);
    }

    @Bean
    PartStore<Technique, TechniqueRow> techniques(EntityManager entities) {
        return new PartStore<>(entities, Parts.TECHNIQUES, TechniqueRow.class, TechniqueRow::new);
    }

    @Bean
    PartStore<Ruleset, RulesetRow> rulesets(EntityManager entities) {
        return new PartStore<>(entities, Parts.RULESETS, RulesetRow.class, RulesetRow::new);
    }

    @Bean
    PartStore<Reaction, ReactionRow> reactions(EntityManager entities) {
        return new PartStore<>(entities, Parts.REACTIONS, ReactionRow.class, ReactionRow::new);
    }

    @Bean
    PartStore<Link, LinkRow> links(EntityManager entities) {
        return new PartStore<>(entities, Parts.LINKS, LinkRow.class, LinkRow::new);
    }
}
