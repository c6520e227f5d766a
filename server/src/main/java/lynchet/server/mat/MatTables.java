package lynchet.server.mat;

import jakarta.persistence.EntityManager;
import lynchet.core.club.Parts;
import lynchet.core.mat.ClassPattern;
import lynchet.core.mat.DrillShape;
import lynchet.core.mat.Track;
import lynchet.server.keep.PartStore;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Where tracks, drill shapes and patterns of classes are kept. */
@Configuration
class MatTables {

    @Bean
    PartStore<Track, TrackRow> tracks(EntityManager entities) {
        return new PartStore<>(entities, Parts.TRACKS, TrackRow.class, TrackRow::new);
    }

    @Bean
    PartStore<DrillShape, DrillRow> drills(EntityManager entities) {
        return new PartStore<>(entities, Parts.DRILLS, DrillRow.class, DrillRow::new);
    }

    @Bean
    PartStore<ClassPattern, PatternRow> patterns(EntityManager entities) {
        return new PartStore<>(entities, Parts.PATTERNS, PatternRow.class, PatternRow::new);
    }
}
