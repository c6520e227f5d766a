package lynchet.server.account;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.OptionalLong;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Sha256;
import org.apache.commons.codec.binary.Base32;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * A second thing that an account may ask for beside the password: six figures that an app on the owner's phone shows, or one
 * of eight recovery codes, each of which works once. A new password chosen by a link of the head coach ends it.
 */
@Service
class SecondFactor {

    private static final int KEY_BYTES = 20;
    private static final int RECOVERY = 8;

    private final AccountRepository accounts;

    /** That of the phone, on whatever day the demo stands. */
    private final Clock clock = Clock.systemUTC();

    private final SecureRandom random = new SecureRandom();

    SecondFactor(AccountRepository accounts) {
        this.accounts = accounts;
    }

    /** @param recoveryLeft recovery codes that still work */
    record SecondView(boolean isOn, int recoveryLeft) {}

    /**
     * What the app on the phone takes in.
     *
     * @param key to type where no picture can be taken
     * @param address what an app on the same device opens
     * @param picture of the address, for its camera
     */
    record Begun(String key, String address, QrPicture picture) {}

    @Transactional(readOnly = true)
    SecondView view(String account) {
        Account one = one(account);
        return new SecondView(one.secondKey() != null, recovery(one).size());
    }

    /** A key for an account; nothing is asked for until a code of it was seen. */
    Begun begin(String account, String club) {
        byte[] bytes = new byte[KEY_BYTES];
        random.nextBytes(bytes);
        String key = new Base32().encodeToString(bytes);
        String text =
                "otpauth://totp/" + encoded(club + ": " + account) + "?secret=" + key + "&issuer=" + encoded(club);
        return new Begun(key, text, QrPicture.of(text));
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
    }

    /**
     * From now on a code is asked for.
     *
     * @return recovery codes, shown this once
     * @throws Refusal 422 where the figures are not those of the key
     */
    @Transactional
    List<String> turnOn(String account, String key, String figures) {
        OptionalLong step = OneTimeCode.step(bytes(key), plain(figures), clock.instant(), 0);
        if (step.isEmpty()) {
            throw wrong(HttpStatus.UNPROCESSABLE_ENTITY);
        }
        List<String> codes = new ArrayList<>();
        for (int i = 0; i < RECOVERY; i++) {
            byte[] bytes = new byte[5];
            random.nextBytes(bytes);
            codes.add(
                    new Base32().encodeToString(bytes).toLowerCase(Locale.ROOT).replaceFirst("(?<=^.{4})", "-"));
        }
        one(account)
                .askSecond(
                        key,
                        step.getAsLong(),
                        String.join(
                                " ", codes.stream().map(SecondFactor::digest).toList()));
        return codes;
    }

    @Transactional
    void turnOff(String account) {
        one(account).askNoSecond();
    }

    /**
     * Lets an account in that asks for a code, and uses the code up.
     *
     * @throws Refusal 401 where none was sent or it does not fit
     */
    @Transactional
    void check(String account, String figures) {
        Account one = accounts.held(account).orElseThrow(() -> Refusal.missing("account", account));
        if (one.secondKey() == null) {
            return;
        }
        if (figures == null || figures.isBlank()) {
            throw Refusal.of(
                    HttpStatus.UNAUTHORIZED,
                    "SECOND_FACTOR",
                    "/code",
                    "Now the six figures that the app on your phone shows, or a recovery code.");
        }
        OptionalLong step = OneTimeCode.step(bytes(one.secondKey()), plain(figures), clock.instant(), one.secondStep());
        List<String> left = recovery(one);
        if (step.isPresent()) {
            one.askSecond(one.secondKey(), step.getAsLong(), String.join(" ", left));
        } else if (left.remove(digest(plain(figures)))) {
            one.askSecond(one.secondKey(), one.secondStep(), String.join(" ", left));
        } else {
            throw wrong(HttpStatus.UNAUTHORIZED);
        }
    }

    private static Refusal wrong(HttpStatus status) {
        return Refusal.of(
                status,
                "SECOND_WRONG",
                "/code",
                "These are not the figures of this half minute. Look at the app again; the clock of the phone must be right.");
    }

    private static List<String> recovery(Account account) {
        String kept = account.recovery();
        return new ArrayList<>(kept == null || kept.isEmpty() ? List.of() : List.of(kept.split(" ")));
    }

    /** A code is 40 random bits behind the brake, so that its plain digest can be kept. */
    private static String digest(String code) {
        return HexFormat.of().formatHex(Sha256.of(plain(code)));
    }

    private static String plain(String typed) {
        return typed == null ? "" : typed.replaceAll("[\\s-]", "").toLowerCase(Locale.ROOT);
    }

    private static byte[] bytes(String key) {
        return new Base32().decode(key);
    }

    private Account one(String name) {
        return accounts.named(name).orElseThrow(() -> Refusal.missing("account", name));
    }
}
