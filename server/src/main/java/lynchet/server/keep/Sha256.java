package lynchet.server.keep;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;

/** The digest that every Java has. */
public final class Sha256 {

    private Sha256() {}

    public static byte[] of(String text) {
        return of(text.getBytes(StandardCharsets.UTF_8));
    }

    public static byte[] of(byte[] bytes) {
        try {
            return MessageDigest.getInstance("SHA-256").digest(bytes);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
