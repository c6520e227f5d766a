package lynchet.server.account;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.ScheduledThreadPoolExecutor;
import lynchet.server.keep.Background;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Who came in, and who tried to: for the head coach, for 90 days. Wrong tries from one place within an hour are one line. A
 * name that is nobody's is not kept, since it may be a password typed in the wrong field.
 */
@Component
class SignIns {

    private static final Logger LOG = LoggerFactory.getLogger(SignIns.class);
    private static final Duration KEPT = Duration.ofDays(90);
    private static final Duration TOGETHER = Duration.ofHours(1);
    private static final int MOST = 20_000;
    private static final int SHOWN = 200;
    private static final int BROWSER = 200;
    private static final int WAITING = 200;

    private final JdbcTemplate jdbc;
    private final Clock clock;

    /** Beside the sign-in, which waits for nothing here; whatever comes faster than it is written is not. */
    private final ScheduledThreadPoolExecutor pen;

    SignIns(JdbcTemplate jdbc, Clock clock, Background background) {
        this.jdbc = jdbc;
        this.clock = clock;
        pen = background.thread("sign-ins");
        pen.setExecuteExistingDelayedTasksAfterShutdownPolicy(true);
    }

    /**
     * One line of the list.
     *
     * @param account null: a name that is nobody's
     * @param browser what it calls itself
     * @param tries how many, from the first to the last
     */
    record SignInLine(
            @Nullable String account,
            String address,
            String browser,
            boolean gotIn,
            int tries,
            Instant first,
            Instant last) {}

    /** The latest first. */
    List<SignInLine> latest() {
        return jdbc.query(
                "select account, address, browser, got_in, tries, began, last_at from sign_in"
                        + " where last_at > ? order by last_at desc, id desc limit " + SHOWN,
                (row, n) -> new SignInLine(
                        row.getString(1),
                        row.getString(2),
                        row.getString(3),
                        row.getBoolean(4),
                        row.getInt(5),
                        row.getTimestamp(6).toInstant(),
                        row.getTimestamp(7).toInstant()),
                Timestamp.from(clock.instant().minus(KEPT)));
    }

    /** @param account null: a name that is nobody's */
    void note(@Nullable String account, String address, @Nullable String browser, boolean gotIn) {
        Instant now = clock.instant();
        String plain = browser == null ? "" : browser.replaceAll("[^\\x20-\\x7e]", "?");
        String device = plain.substring(0, Math.min(BROWSER, plain.length()));
        if (pen.getQueue().size() >= WAITING) {
            return;
        }
        pen.execute(() -> {
            try {
                write(account, address, device, gotIn, now);
            } catch (RuntimeException failed) {
                LOG.warn("A sign-in could not be noted: {}", failed.getMessage());
            }
        });
    }

    private void write(String account, String address, String browser, boolean gotIn, Instant now) {
        int added = gotIn
                ? 0
                : jdbc.update(
                        "update sign_in set tries = tries + 1, last_at = ? where got_in = false and address = ?"
                                + " and browser = ? and account is not distinct from ? and began > ?",
                        Timestamp.from(now),
                        address,
                        browser,
                        account,
                        Timestamp.from(now.minus(TOGETHER)));
        if (added > 0) {
            return;
        }
        jdbc.update("delete from sign_in where last_at < ?", Timestamp.from(now.minus(KEPT)));
        if (!gotIn && jdbc.queryForObject("select count(*) from sign_in", Integer.class) >= MOST) {
            return;
        }
        jdbc.update(
                "insert into sign_in (account, address, browser, got_in, tries, began, last_at) values (?, ?, ?, ?, 1, ?, ?)",
                account,
                address,
                browser,
                gotIn,
                Timestamp.from(now),
                Timestamp.from(now));
    }
}
