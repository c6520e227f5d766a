package lynchet.server;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The one clock. {@code lynchet.today} fixes the day, so that tests and pictures do not change overnight: it begins at six and goes on. */
@Configuration
class Today {

    @Bean
    Clock clock(@Value("${lynchet.today:}") String fixedDay) {
        if (fixedDay.isBlank()) {
            return Clock.systemDefaultZone();
        }
        Instant evening = LocalDate.parse(fixedDay)
                .atTime(18, 0)
                .atZone(ZoneId.systemDefault())
                .toInstant();
        return Clock.offset(Clock.systemDefaultZone(), Duration.between(Instant.now(), evening));
    }
}
