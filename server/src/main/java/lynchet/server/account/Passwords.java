package lynchet.server.account;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Sha256;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/**
 * The rule of passwords: long enough, not one of the common ones, not the account's own name; long ones and every
 * character are welcome, and nothing else is asked. Kept as bcrypt of a SHA-256, since bcrypt alone looks at 72 bytes
 * only; the plain bcrypt of earlier versions is still read.
 */
@Component
class Passwords {

    static final int SHORTEST = 10;

    /** Doublings of bcrypt's work: what is usual, and what is least. */
    private static final int SLOW = 10;

    private static final int QUICK = 4;
    private final PasswordEncoder encoder;
    private final PasswordEncoder demo;
    private final Set<String> common;
    private volatile String nobody;

    Passwords() {
        encoder = encoder(SLOW);
        demo = encoder(QUICK);
        common = read();
    }

    private static PasswordEncoder encoder(int doublings) {
        Map<String, PasswordEncoder> known = new HashMap<>();
        known.put("sha256-bcrypt", new OfAnyLength(doublings));
        known.put("bcrypt", new BCryptPasswordEncoder());
        return new DelegatingPasswordEncoder("sha256-bcrypt", known);
    }

    private static final class OfAnyLength implements PasswordEncoder {

        private final PasswordEncoder bcrypt;

        OfAnyLength(int doublings) {
            bcrypt = new BCryptPasswordEncoder(doublings);
        }

        /** As text, since bcrypt stops at a zero byte. */
        private static String digest(CharSequence password) {
            return Base64.getEncoder().encodeToString(Sha256.of(password.toString()));
        }

        @Override
        public String encode(CharSequence password) {
            return bcrypt.encode(digest(password));
        }

        @Override
        public boolean matches(CharSequence password, String kept) {
            return bcrypt.matches(digest(password), kept);
        }
    }

    private static Set<String> read() {
        try (InputStream in = Passwords.class.getResourceAsStream("/common-passwords.txt")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.isBlank())
                    .collect(Collectors.toUnmodifiableSet());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * The digest of a password that keeps the rule.
     *
     * @throws Refusal 422 with what is wrong with it
     */
    String digest(String password, String account) {
        String said = password == null ? "" : password;
        String plain = said.strip().toLowerCase(Locale.ROOT);
        if (plain.length() < SHORTEST) {
            throw refused(
                    "PASSWORD_SHORT",
                    "The password needs at least " + SHORTEST + " characters; blanks at its "
                            + "ends do not count. A few words in a row are good.");
        }
        if (plain.chars().distinct().count() < 4 || common.contains(plain) || common.contains(withoutTail(plain))) {
            throw refused(
                    "PASSWORD_COMMON",
                    "That is one of the passwords that are tried first. A few words in a row"
                            + " that only you would put together are good.");
        }
        if (plain.contains(account.toLowerCase(Locale.ROOT)) && plain.length() < account.length() + 6) {
            throw refused("PASSWORD_NAME", "The password is little more than the account's name.");
        }
        return encoder.encode(said);
    }

    /** "password2026!" is "password" with a tail that everybody adds. */
    private static String withoutTail(String plain) {
        return plain.replaceFirst("[0-9!?.,*#_-]+$", "");
    }

    private static Refusal refused(String code, String why) {
        return Refusal.bad(code, "/password", why);
    }

    /** The digest of one that the demo chose, whatever the rule says: quick to make, since everybody is told it. */
    String digestForDemo(String password) {
        return demo.encode(password);
    }

    /** Whether a password fits a digest; takes as long when there is none. */
    boolean fits(String password, String digest) {
        return encoder.matches(password, digest == null ? nobody() : digest) && digest != null;
    }

    private String nobody() {
        if (nobody == null) {
            nobody = encoder.encode("nobody has this password");
        }
        return nobody;
    }
}
