package lynchet.format.ics;

/** A calendar file that is not taken in; the message says what and where. */
public final class BadCalendar extends RuntimeException {

    private final String code;

    BadCalendar(String code, String message) {
        super(message);
        this.code = code;
    }

    /** What is wrong, for programs. */
    public String code() {
        return code;
    }
}
