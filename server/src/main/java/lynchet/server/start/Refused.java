package lynchet.server.start;

/** Why the server does not start, in a sentence that names the way back. Nothing was touched. */
public final class Refused extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public Refused(String sentence) {
        super(sentence);
    }
}
