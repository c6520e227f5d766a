package lynchet.server.keep;

import org.springframework.http.HttpStatus;

/** What a caller did that cannot be done: a status, a code, where, and a sentence. Becomes problem details. */
public final class Refusal extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final HttpStatus status;
    private final String code;
    private final String where;

    private Refusal(HttpStatus status, String code, String where, String sentence) {
        super(sentence);
        this.status = status;
        this.code = code;
        this.where = where;
    }

    public static Refusal missing(String kind, String id) {
        return new Refusal(HttpStatus.NOT_FOUND, "NOT_FOUND", id, "There is no such " + kind + ", or not any more.");
    }

    /** @throws Refusal 422 if a thing is sent to the address of another one */
    public static void unlessSame(String address, String sent) {
        if (!address.equals(sent)) {
            throw bad("ID_DIFFERS", "/id", "The address and what was sent name two different things.");
        }
    }

    public static Refusal bad(String code, String where, String sentence) {
        return new Refusal(HttpStatus.UNPROCESSABLE_ENTITY, code, where, sentence);
    }

    public static Refusal taken(String where, String sentence) {
        return new Refusal(HttpStatus.CONFLICT, "ID_TAKEN", where, sentence);
    }

    public static Refusal of(HttpStatus status, String code, String where, String sentence) {
        return new Refusal(status, code, where, sentence);
    }

    public HttpStatus status() {
        return status;
    }

    public String code() {
        return code;
    }

    public String where() {
        return where;
    }
}
