package lynchet.server.door;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.slf4j.LoggerFactory;

/** An open page says where it broke: into the log, in one line, and not without end. */
@ExtendWith(RunningClub.class)
class PageErrorsTest {

    private static final String BODY =
            "{\"page\":\"/people/-\",\"error\":\"TypeError\",\"stack\":[\"a.js:1\\nforged line\"]}";

    @Test
    void whoeverIsSignedInMaySayItAndNobodyElse() {
        assertThat(RunningClub.as("viewer").post("/api/page-errors", BODY).status())
                .isEqualTo(204);
        assertThat(RunningClub.stranger().post("/api/page-errors", BODY).status())
                .isEqualTo(401);
    }

    @Test
    void itIsOneLineAndAtMostTwentyAMinute() {
        ListAppender<ILoggingEvent> log = new ListAppender<>();
        log.start();
        ((Logger) LoggerFactory.getLogger(PageErrors.class)).addAppender(log);
        PageErrors errors = new PageErrors(Clock.fixed(Instant.EPOCH, ZoneOffset.UTC));
        for (int n = 0; n < 100; n++) {
            errors.broke(new PageErrors.PageError("/map", "TypeError", List.of("a.js:1\nforged line")));
        }
        assertThat(log.list).hasSizeBetween(PageErrors.MOST_A_MINUTE, PageErrors.MOST_A_MINUTE + 1);
        assertThat(log.list).allSatisfy(line -> assertThat(line.getFormattedMessage())
                .contains("TypeError at /", "a.js:1?forged")
                .doesNotContain("\n"));
    }
}
