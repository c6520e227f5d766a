package lynchet.server.account;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.SecureRandom;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.HexFormat;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import lynchet.server.keep.Sha256;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * The devices on which an account came in before, by a cookie that opens nothing: it only says that the wrong tries of others
 * do not count for this device. What is kept of it is a digest.
 */
@Component
class Devices {

    private static final String COOKIE = "lynchet-device";
    private static final Duration HOLDS = Duration.ofDays(180);
    private static final Pattern TOKEN = Pattern.compile("[A-Za-z0-9_-]{32}");

    private final JdbcTemplate jdbc;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    Devices(JdbcTemplate jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** What this device is known as to an account; null: the account never came in on it. */
    @Nullable
    String known(HttpServletRequest request, String account) {
        try {
            return token(request)
                    .map(Devices::digest)
                    .filter(digest -> isKnown(digest, account))
                    .orElse(null);
        } catch (DataAccessException damaged) {
            return null;
        }
    }

    private boolean isKnown(String digest, String account) {
        return jdbc.queryForObject(
                        "select count(*) from known_device where token = ? and lower(account) = lower(?) and last_at > ?",
                        Integer.class,
                        digest,
                        account,
                        Timestamp.from(clock.instant().minus(HOLDS)))
                > 0;
    }

    /** An account came in on this device. */
    void remember(HttpServletRequest request, HttpServletResponse response, String account) {
        String token = token(request).orElseGet(this::fresh);
        try {
            keep(token, account);
        } catch (DataAccessException unkept) {
            return; // the head coach comes in to damaged data too, and sees the way back
        }
        ResponseCookie cookie = ResponseCookie.from(COOKIE, token)
                .httpOnly(true)
                .sameSite("Strict")
                .secure(request.isSecure())
                .path("/api/session")
                .maxAge(HOLDS)
                .build();
        response.addHeader(HttpHeaders.SET_COOKIE, cookie.toString());
    }

    private void keep(String token, String account) {
        Instant now = clock.instant();
        jdbc.update("delete from known_device where last_at < ?", Timestamp.from(now.minus(HOLDS)));
        jdbc.update(
                "merge into known_device (token, account, last_at) key (token, account) values (?, ?, ?)",
                digest(token),
                account,
                Timestamp.from(now));
    }

    /** An account has a new password: its devices are strangers again. */
    void forget(String account) {
        jdbc.update("delete from known_device where account = ?", account);
    }

    private String fresh() {
        byte[] bytes = new byte[24];
        random.nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }

    private static Optional<String> token(HttpServletRequest request) {
        Cookie[] cookies = request.getCookies() == null ? new Cookie[0] : request.getCookies();
        return Stream.of(cookies)
                .filter(cookie -> cookie.getName().equals(COOKIE))
                .map(Cookie::getValue)
                .filter(value -> TOKEN.matcher(value).matches())
                .findFirst();
    }

    private static String digest(String token) {
        return HexFormat.of().formatHex(Sha256.of(token));
    }
}
