package lynchet.server.keep;

/** Told how far a long piece of work has come; it may answer that nobody wants it any more. */
@FunctionalInterface
public interface Progress {

    /** Nobody watches. */
    Progress UNWATCHED = (stage, done, total) -> {};

    /**
     * @param stage what is being done, in a word or two
     * @throws Cancelled when the work is no longer wanted; the transaction around it leaves nothing behind
     */
    void at(String stage, int done, int total);

    /** Shows the best found so far; most work has none. */
    default void best(Object soFar) {}

    /** Somebody cancelled the work. */
    final class Cancelled extends RuntimeException {
        private static final long serialVersionUID = 1L;

        public Cancelled() {
            super("cancelled", null, false, false);
        }
    }
}
