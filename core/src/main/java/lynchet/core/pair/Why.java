package lynchet.core.pair;

/** What stands against two people working together, or is to be minded when they do. */
public enum Why {
    /** Juniors work with juniors who are at most two years older or younger. */
    AGES(true, "juniors work with juniors, two years apart at most"),
    /** Too much weight between them for this work. */
    WEIGHT(true, "too much weight between them"),
    /** A coach keeps them apart. */
    APART(true, "kept apart"),
    /** Neither of them may be thrown as this work asks. */
    NO_FALLS(true, "neither may be thrown here"),
    /** Neither of them may be worked on the neck. */
    NO_NECK(true, "neither may be worked on the neck"),
    /** No live rounds for one of them. */
    NO_LIVE(true, "no live rounds for one of them"),
    /** One of them knocked their head. */
    KNOCKED(true, "a suspected concussion"),

    /** One of them drills and has no part in the live rounds. */
    ONE_LIVE(false, "one of them drills only, no live rounds"),
    /** One of them throws and is not thrown. */
    ONE_FALLS(false, "one of them is not thrown"),
    /** One of them is not worked on the neck. */
    ONE_NECK(false, "nothing on the neck of one of them"),
    /** One of them works on one side only. */
    ONE_SIDE(false, "one side only for one of them"),
    /** One of them has not trained four weeks yet: whether they go live is the coach's word. */
    LIVE_EARLY(false, "live in the first four weeks; look"),
    /** A weight is not known: the coach looks. */
    WEIGHT_UNKNOWN(false, "a weight is not known; look"),
    /** An age is not known: the coach looks. */
    AGE_UNKNOWN(false, "an age is not known; look"),
    /** They worked together in the last class. */
    LAST_CLASS(false, "together in the last class"),
    /** They worked together earlier this evening. */
    TONIGHT(false, "together already tonight");

    private final boolean bars;
    private final String words;

    Why(boolean bars, String words) {
        this.bars = bars;
        this.words = words;
    }

    /** Whether they are not paired because of it. */
    public boolean bars() {
        return bars;
    }

    public String words() {
        return words;
    }
}
