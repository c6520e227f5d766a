package lynchet.server.keep;

import java.util.HexFormat;
import lynchet.format.Json;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;

/** An ETag is a digest of the value itself, so the same value always carries the same tag. */
public final class ETags {

    private ETags() {}

    public static String of(Object value) {
        return '"' + HexFormat.of().formatHex(Sha256.of(Json.write(value)), 0, 10) + '"';
    }

    /** The value with its tag. */
    public static <T> ResponseEntity<T> tagged(T value) {
        return ResponseEntity.ok().eTag(of(value)).body(value);
    }

    /**
     * Lets a write pass only if it was made on the present value.
     *
     * @throws Refusal 428 without a tag, 412 with a stale one
     */
    public static void match(String ifMatch, Object present, String where) {
        if (ifMatch == null || ifMatch.isBlank()) {
            throw Refusal.of(
                    HttpStatus.PRECONDITION_REQUIRED,
                    "IF_MATCH_MISSING",
                    where,
                    "Say which version you changed: send its ETag as If-Match.");
        }
        if (!ifMatch.equals(of(present))) {
            throw Refusal.of(
                    HttpStatus.PRECONDITION_FAILED,
                    "STALE",
                    where,
                    "Somebody else saved this meanwhile. Nothing was changed; look at theirs and save again.");
        }
    }
}
