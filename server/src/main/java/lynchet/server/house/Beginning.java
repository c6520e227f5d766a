package lynchet.server.house;

import java.util.Map;
import lynchet.starter.demo.DemoClub;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Lazy;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** What is said on the console once the server is up, and the demo club when it is asked for. */
@Component
@Lazy(false)
class Beginning {

    private static final Logger LOG = LoggerFactory.getLogger(Beginning.class);

    private final Accounts accounts;
    private final Library library;
    private final boolean demo;

    Beginning(Accounts accounts, Library library, DemoAhead ahead, @Value("${lynchet.demo}") boolean demo) {
        this.accounts = accounts;
        this.library = library;
        this.demo = demo;
        if (demo && accounts.firstCode().isPresent()) {
            library.beginDemo(ahead.club());
            accounts.addForDemo(
                    Map.of("head", Role.HEAD, "coach", Role.COACH, "viewer", Role.VIEWER), DemoClub.PASSWORD);
        }
    }

    @EventListener(ApplicationReadyEvent.class)
    void ready() {
        accounts.firstCode()
                .ifPresent(code -> LOG.info(
                        "Nobody can sign in yet. Open the first page and make the head coach with the code {}", code));
    }
}
