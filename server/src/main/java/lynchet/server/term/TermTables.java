package lynchet.server.term;

import jakarta.persistence.EntityManager;
import lynchet.core.club.Parts;
import lynchet.core.term.Closure;
import lynchet.core.term.Term;
import lynchet.core.term.TermPlan;
import lynchet.core.term.cycle.ThemeCycle;
import lynchet.server.keep.PartStore;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Where terms, their plans, cycles and closures are kept. */
@Configuration
class TermTables {

    @Bean
    PartStore<Term, TermRow> terms(EntityManager entities) {
        return new PartStore<>(entities, Parts.TERMS, TermRow.class, TermRow::new);
    }

    @Bean
    PartStore<TermPlan, PlanRow> plans(EntityManager entities) {
        return new PartStore<>(entities, Parts.PLANS, PlanRow.class, PlanRow::new);
    }

    @Bean
    PartStore<ThemeCycle, CycleRow> cycles(EntityManager entities) {
        return new PartStore<>(entities, Parts.CYCLES, CycleRow.class, CycleRow::new);
    }

    @Bean
    PartStore<Closure, ClosureRow> closures(EntityManager entities) {
        return new PartStore<>(entities, Parts.CLOSURES, ClosureRow.class, ClosureRow::new);
    }
}
