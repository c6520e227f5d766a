package lynchet.core.mat;

/** Right or left as performed; both for what has no side or was done on each. */
public enum Side {
    RIGHT,
    LEFT,
    BOTH;

    /** Whether something done on this side counts for {@code wanted}. */
    public boolean covers(Side wanted) {
        return this == BOTH || wanted == BOTH || this == wanted;
    }
}
