package lynchet.server.keep;

import java.time.Clock;
import java.time.OffsetDateTime;
import lynchet.format.Json;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** The append-only trail of changes: who, when, what, before, after. Nothing about health is ever written here. */
@Component
public class Journal {

    private final JdbcTemplate jdbc;
    private final Clock clock;

    Journal(JdbcTemplate jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Writes one line in the caller's transaction; {@code before} or {@code after} is null where there is none. */
    public void write(String what, String kind, String target, Object before, Object after) {
        jdbc.update(
                "insert into journal (at, who, what, kind, target, before_body, after_body) values (?, ?, ?, ?, ?, ?, ?)",
                OffsetDateTime.now(clock),
                who(),
                what,
                kind,
                target,
                before == null ? null : Json.write(before),
                after == null ? null : Json.write(after));
    }

    /** The account that acts, or "system". */
    public static String who() {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        return authentication == null ? "system" : authentication.getName();
    }
}
