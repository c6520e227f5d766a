package lynchet.server;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The one clock. {@code lynchet.today} fixes the day, so that tests and pictures do not change overnight. */
@Configuration
class Today {

    @Bean
    Clock clock(@Value("${lynchet.today:}") String fixedDay) {
        if (fixedDay.isBlank()) {
            return Clock.systemDefaultZone();
        }
        ZoneId zone = ZoneId.systemDefault();
        return Clock.fixed(LocalDate.parse(fixedDay).atTime(18, 0).atZone(zone).toInstant(), zone);
    }
}
