package lynchet.server.start;

import org.flywaydb.core.api.MigrationInfo;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** A club that a newer Lynchet has kept is not opened by an older one. */
@Configuration
class Newer {

    @Bean
    FlywayMigrationStrategy onlyForward() {
        return flyway -> {
            MigrationInfo[] known = flyway.info().all();
            for (MigrationInfo one : known) {
                if (one.getState().isApplied() && !one.getState().isResolved()) {
                    throw new Refused("This club was kept by a newer Lynchet. Update this one and start again.");
                }
            }
            flyway.migrate();
        };
    }
}
