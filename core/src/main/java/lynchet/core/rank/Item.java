package lynchet.core.rank;

import lynchet.core.mat.Role;
import lynchet.core.mat.Standard;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Usual;
import org.jspecify.annotations.Nullable;

/**
 * One thing that a rank requires.
 *
 * @param ref id of the technique, link, chain or position it is about; null for words, form, rounds and hours
 * @param words what is asked, for the kinds that have no {@code ref} and for position goals
 * @param version id of the version that is examined; null: any
 * @param count rounds, hours or seconds, where the kind counts something
 * @param stripe from which stripe it is taught, 0 from the start
 */
public record Item(
        String id,
        Kind kind,
        @Nullable String ref,
        @Most(200) @Nullable String words,
        @Nullable String version,
        Standard standard,
        Sides sides,
        Role role,
        @Usual("0") int count,
        @Usual("0") int stripe) {

    /** What sort of thing is asked. Breakfalls and movements are techniques. */
    public enum Kind {
        TECHNIQUE,
        COUNTER,
        CHAIN,
        WORDS,
        FORM,
        POSITION_GOAL,
        LIVE_ROUNDS,
        HELPING_HOURS
    }

    public Item {
        Require.id("a syllabus item", id);
        Require.present("the kind of this item", kind);
        boolean aboutTheMap =
                switch (kind) {
                    case TECHNIQUE, COUNTER, CHAIN, POSITION_GOAL -> true;
                    case WORDS, FORM, LIVE_ROUNDS, HELPING_HOURS -> false;
                };
        if (aboutTheMap) {
            Require.present("what this item is about", ref);
        } else {
            Require.text("the words of this item", words);
        }
        standard = standard == null ? Standard.SHOWN : standard;
        sides = sides == null ? Sides.EITHER : sides;
        role = role == null ? Role.PERFORMER : role;
        Require.within("the count of this item", count, 0, 10_000);
        Require.within("the stripe of this item", stripe, 0, 9);
    }

    /** The thing it is about, as marks and practice name it. */
    public String subject() {
        return ref == null ? id : ref;
    }

    /** The same item asking for another technique or link, in a version of it. */
    public Item about(String otherRef, String otherVersion) {
        return new Item(id, kind, otherRef, words, otherVersion, standard, sides, role, count, stripe);
    }

    /** The same item, asked for on these sides. */
    public Item on(Sides otherSides) {
        return new Item(id, kind, ref, words, version, standard, otherSides, role, count, stripe);
    }

    /** The same item, asked for at another standard. */
    public Item at(Standard otherStandard) {
        return new Item(id, kind, ref, words, version, otherStandard, sides, role, count, stripe);
    }

    /** The same item, taught from another stripe on. */
    public Item fromStripe(int otherStripe) {
        return new Item(id, kind, ref, words, version, standard, sides, role, count, otherStripe);
    }
}
