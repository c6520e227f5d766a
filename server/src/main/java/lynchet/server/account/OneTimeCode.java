package lynchet.server.account;

import java.nio.ByteBuffer;
import java.security.GeneralSecurityException;
import java.time.Instant;
import java.util.OptionalLong;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/** The six figures that an app shows for half a minute (RFC 6238: HMAC-SHA-1, steps of 30 seconds). */
final class OneTimeCode {

    private static final int STEP_SECONDS = 30;
    private static final int ALL = 1_000_000;

    private OneTimeCode() {}

    /** The figures of a step, with their zeros. */
    static String of(byte[] key, long step) {
        try {
            Mac mac = Mac.getInstance("HmacSHA1");
            mac.init(new SecretKeySpec(key, "HmacSHA1"));
            byte[] hash =
                    mac.doFinal(ByteBuffer.allocate(Long.BYTES).putLong(step).array());
            int from = hash[hash.length - 1] & 0xf;
            int figures = (ByteBuffer.wrap(hash, from, Integer.BYTES).getInt() & 0x7fffffff) % ALL;
            return String.format("%06d", figures);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    /**
     * The step whose figures these are; those before and after count too, since clocks differ.
     *
     * @param after the step of the last code that was taken: none works twice
     */
    static OptionalLong step(byte[] key, String figures, Instant now, long after) {
        long present = now.getEpochSecond() / STEP_SECONDS;
        for (long step = present - 1; step <= present + 1; step++) {
            if (step > after && of(key, step).equals(figures)) {
                return OptionalLong.of(step);
            }
        }
        return OptionalLong.empty();
    }
}
