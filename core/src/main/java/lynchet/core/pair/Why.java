package lynchet.core.pair;

import org.jspecify.annotations.Nullable;

/** What stands against two people working together, or is to be minded when they do. */
public enum Why {
    /** Juniors work with juniors who are at most two years older or younger. */
    AGES(Lift.NEVER, "juniors work with juniors, two years apart at most"),
    /** Where an age is not known, nobody is put with a junior. */
    AGE_NEEDED(Lift.NEVER, "an age is not known; nobody of unknown age works with juniors"),
    /** Nobody knows how old or how heavy a guest is: the coach says who works with them, and live rounds wait. */
    GUEST_UNKNOWN(Lift.NEVER, "a guest whose age or weight is not known"),
    /** Too much weight between them for this work. */
    WEIGHT(Lift.ANYWAY, "too much weight between them"),
    /** Too much weight between juniors who both try. */
    JUNIOR_WEIGHT(Lift.NEVER, "too much weight between juniors for live rounds"),
    /** A coach keeps them apart. */
    APART(Lift.NEVER, "kept apart"),
    /** Neither of them has passed the falls that this work asks for. */
    NO_FALLS(Lift.FALLS, "neither has passed the falls for this"),
    /** Neither of them may be thrown: a limit says so. */
    NO_THROWS_TAKEN(Lift.NEVER, "no throws taken by either of them"),
    /** Neither of them may be worked on the neck. */
    NO_NECK(Lift.NEVER, "neither may be worked on the neck"),
    /** Neither of them may have an arm or shoulder locked. */
    NO_ARM(Lift.NEVER, "no arm locks on either of them"),
    /** Neither of them may have a leg locked. */
    NO_LEG(Lift.NEVER, "no leg locks on either of them"),
    /** No throws for one of them, given or taken. */
    NO_THROWS(Lift.NEVER, "no throws for one of them"),
    /** No live rounds for one of them. */
    NO_LIVE(Lift.NEVER, "no live rounds for one of them"),
    /** One of them knocked their head. */
    KNOCKED(Lift.NEVER, "a suspected concussion"),

    /** Neither of them is thrown: they have something else to do at the throws. */
    NEITHER_FALLS(null, "neither of them is thrown: something else for them at the throws"),
    /** One of them drills and has no part in the live rounds. */
    ONE_LIVE(null, "one of them drills only, no live rounds"),
    /** One of them throws and is not thrown. */
    ONE_FALLS(null, "one of them is not thrown"),
    /** One of them is not worked on the neck. */
    ONE_NECK(null, "nothing on the neck of one of them"),
    /** One of them has no arm or shoulder locked. */
    ONE_ARM(null, "no arm locks on one of them"),
    /** One of them has no leg locked. */
    ONE_LEG(null, "no leg locks on one of them, nothing on the knee"),
    /** One of them works lightly. */
    ONE_LIGHT(null, "one of them works lightly"),
    /** One of them works on one side only. */
    ONE_SIDE(null, "one side only for one of them"),
    /** One of them has not trained four weeks yet: whether they go live is the coach's word. */
    LIVE_EARLY(null, "new here under four weeks: watch the sparring"),
    /** A weight is not known: the coach looks. */
    WEIGHT_UNKNOWN(null, "a weight is not known: have a look"),
    /** An age is not known: the coach looks. */
    AGE_UNKNOWN(null, "an age is not known: have a look"),
    /** They worked together in the last class. */
    LAST_CLASS(null, "together in the last class"),
    /** They worked together earlier this evening. */
    TONIGHT(null, "together already tonight");

    /** What lifts what bars two from being paired. */
    public enum Lift {
        /** No touch of anybody. */
        NEVER,
        /** A coach who says so. */
        ANYWAY,
        /** A fall that was seen, or lowering them onto the crash mat. */
        FALLS
    }

    private final @Nullable Lift lift;
    private final String words;

    Why(@Nullable Lift lift, String words) {
        this.lift = lift;
        this.words = words;
    }

    /** Whether they are not paired because of it. */
    public boolean bars() {
        return lift != null;
    }

    /** Whether no touch of anybody puts them together. */
    public boolean isFinal() {
        return lift == Lift.NEVER;
    }

    /** What lifts it; null: it bars nobody. */
    public @Nullable Lift lift() {
        return lift;
    }

    public String words() {
        return words;
    }
}
