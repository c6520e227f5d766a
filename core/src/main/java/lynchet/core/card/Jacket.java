package lynchet.core.card;

/** Whether something needs a jacket to hold on to. */
public enum Jacket {
    JACKET,
    NO_JACKET,
    EITHER;

    /** Whether a thing of this kind can be done where the other kind is worn. */
    public boolean fits(Jacket worn) {
        return this == EITHER || worn == EITHER || this == worn;
    }
}
