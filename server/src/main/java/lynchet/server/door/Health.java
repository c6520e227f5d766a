package lynchet.server.door;

import java.time.Duration;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import lynchet.server.keep.Room;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.JdbcTemplate;

/** Whether the club can be read and written to: its data answers, and there is room on the disk. */
@Configuration
class Health {

    /** Strangers may ask as well; all who ask within it are told what was just seen. */
    private static final Duration HOLDS = Duration.ofSeconds(1);

    @Bean
    HealthIndicator kept(JdbcTemplate jdbc, Room room) {
        Look seen = new Look(jdbc, room);
        return () -> (seen.isWell()
                        ? org.springframework.boot.health.contributor.Health.up()
                        : org.springframework.boot.health.contributor.Health.down())
                .build();
    }

    private static final class Look {

        private final JdbcTemplate jdbc;
        private final Room room;
        private final ReentrantLock looking = new ReentrantLock();
        private volatile long at = System.nanoTime() - TimeUnit.DAYS.toNanos(1);
        private volatile boolean isWell = true;

        private Look(JdbcTemplate jdbc, Room room) {
            this.jdbc = jdbc;
            this.room = room;
        }

        /** One looks; the others are told what was seen last, so that nobody fills the pool by asking. */
        private boolean isWell() {
            if (System.nanoTime() - at > HOLDS.toNanos() && looking.tryLock()) {
                try {
                    isWell = !room.isShort() && answers();
                    at = System.nanoTime();
                } finally {
                    looking.unlock();
                }
            }
            return isWell;
        }

        private boolean answers() {
            try {
                return jdbc.queryForObject("select count(*) from club", Integer.class) >= 0;
            } catch (RuntimeException unreachable) {
                return false;
            }
        }
    }
}
