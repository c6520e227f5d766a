package lynchet.core.mat;

import java.util.List;

/** Right or left as performed; both for what has no side or was done on each. */
public enum Side {
    RIGHT,
    LEFT,
    BOTH;

    /** Whether something done on this side counts for {@code wanted}. */
    public boolean covers(Side wanted) {
        return this == BOTH || wanted == BOTH || this == wanted;
    }

    /** Right and left for both, else the one. */
    public List<Side> each() {
        return this == BOTH ? List.of(RIGHT, LEFT) : List.of(this);
    }
}
