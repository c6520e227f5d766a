package lynchet.server.house;

import java.util.Map;
import java.util.Optional;
import lynchet.server.account.Accounts;
import lynchet.server.account.Opening;
import lynchet.server.account.Role;
import lynchet.server.club.ClubSettings;
import lynchet.server.door.Tablet;
import lynchet.server.exchange.Library;
import lynchet.server.mat.StudentStates;
import lynchet.starter.demo.DemoClub;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Lazy;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** What is done and said once the server is up: the demo club when it is asked for, then the door is opened. */
@Component
@Lazy(false)
class Beginning {

    private static final Logger LOG = LoggerFactory.getLogger(Beginning.class);

    private final Accounts accounts;
    private final Library library;
    private final DemoAhead ahead;
    private final Opening opening;
    private final ClubSettings settings;
    private final StudentStates states;
    private final Tablet tablet;
    private final boolean demo;

    Beginning(
            Accounts accounts,
            Library library,
            DemoAhead ahead,
            Opening opening,
            ClubSettings settings,
            StudentStates states,
            Tablet tablet,
            @Value("${lynchet.demo}") boolean demo) {
        this.accounts = accounts;
        this.library = library;
        this.ahead = ahead;
        this.opening = opening;
        this.settings = settings;
        this.states = states;
        this.tablet = tablet;
        this.demo = demo;
    }

    @EventListener(ApplicationReadyEvent.class)
    void ready() {
        if (demo && accounts.firstCode().isPresent()) {
            library.beginDemo(ahead.club());
            accounts.addForDemo(
                    Map.of("head", Role.HEAD, "coach", Role.COACH, "viewer", Role.VIEWER), DemoClub.PASSWORD);
        }
        if (!settings.statesBuilt()) {
            LOG.info(
                    "This club comes from an earlier version; what was recorded of each student is being folded once.");
            states.buildOnce();
            settings.statesBuilt(true);
        }
        opening.open();
        Optional.ofNullable(tablet.wayIn().authority())
                .ifPresent(at ->
                        LOG.info("A tablet installs the club's authority once, from {}\n{}", at, Tablet.drawn(at)));
        accounts.firstCode()
                .ifPresent(code -> LOG.info(
                        "Nobody can sign in yet. Open the first page and make the head coach with the code {}", code));
    }
}
