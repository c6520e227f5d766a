package lynchet.core.pair;

/** What stands against two people working together, or is to be minded when they do. */
public enum Why {
    /** Juniors work with juniors who are at most two years older or younger. */
    AGES(true, "juniors work with juniors, two years apart at most"),
    /** Where an age is not known, nobody is put with a junior. */
    AGE_NEEDED(true, "an age is not known; nobody of unknown age works with juniors"),
    /** Nobody knows how old or how heavy a guest is: the coach says who works with them, and live rounds wait. */
    GUEST_UNKNOWN(true, "a guest whose age or weight is not known"),
    /** Too much weight between them for this work. */
    WEIGHT(true, "too much weight between them"),
    /** A coach keeps them apart. */
    APART(true, "kept apart"),
    /** Neither of them may be thrown as this work asks. */
    NO_FALLS(true, "neither may be thrown here"),
    /** Neither of them may be worked on the neck. */
    NO_NECK(true, "neither may be worked on the neck"),
    /** Neither of them may have an arm or shoulder locked. */
    NO_ARM(true, "no arm locks on either of them"),
    /** Neither of them may have a leg locked. */
    NO_LEG(true, "no leg locks on either of them"),
    /** No throws for one of them, given or taken. */
    NO_THROWS(true, "no throws for one of them"),
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
    /** One of them has no arm or shoulder locked. */
    ONE_ARM(false, "no arm locks on one of them"),
    /** One of them has no leg locked. */
    ONE_LEG(false, "no leg locks on one of them, nothing on the knee"),
    /** One of them works lightly. */
    ONE_LIGHT(false, "one of them works lightly"),
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
