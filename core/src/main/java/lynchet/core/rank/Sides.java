package lynchet.core.rank;

import java.util.List;
import lynchet.core.mat.Side;

/** On which sides an item is asked for. */
public enum Sides {
    BOTH,
    EITHER,
    RIGHT,
    LEFT;

    /** Whether who is asked for these sides is asked for the others too. */
    public boolean covers(Sides others) {
        return this == BOTH || this == others || others == EITHER;
    }

    /** The sides that must each be there; empty means that any will do. */
    public List<Side> required() {
        return switch (this) {
            case BOTH -> List.of(Side.RIGHT, Side.LEFT);
            case EITHER -> List.of();
            case RIGHT -> List.of(Side.RIGHT);
            case LEFT -> List.of(Side.LEFT);
        };
    }
}
