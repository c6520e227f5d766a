package lynchet.format.csv;

/** Why a line cannot be taken; its message names the column. */
final class BadLine extends RuntimeException {

    private static final long serialVersionUID = 1L;

    BadLine(String why) {
        super(why, null, false, false);
    }
}
