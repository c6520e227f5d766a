package lynchet.core.club;

import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.BiFunction;
import java.util.function.Function;

/**
 * One kind of things that a club is made of, and everything that is to be said of a kind: archive, check, merge, library,
 * undo, history, erasing and store go through {@link Parts#ALL} and know no kind by name. {@link Parts} describes each once.
 */
public final class Part<T> {

    private final String name;
    private final String one;
    private final Class<T> type;
    private final Function<T, String> id;
    private final boolean isRecord;

    private BiConsumer<T, Offering> offers = (thing, to) -> {};
    private BiConsumer<T, Referring> refers = (thing, to) -> {};
    private List<Unique<T>> unique = List.of();
    private Function<T, String> called;
    private BiFunction<T, Names, String> known = (thing, names) -> null;
    private Spoken spoken;
    private String word;
    private boolean isUndone;
    private boolean isOfCoaches;
    private boolean hasHistory;
    private boolean isRetired;
    private Erased whenErased = Erased.STAYS;

    private Part(String name, String one, Class<T> type, Function<T, String> id, boolean isRecord) {
        this.name = name;
        this.one = one;
        this.type = type;
        this.id = id;
        this.isRecord = isRecord;
        this.called = thing -> isRecord ? "a record of " + name : "a " + one;
        this.spoken = new Spoken("the " + one + " %s", "a " + one);
        this.word = one;
    }

    /** Told what a thing offers. */
    @FunctionalInterface
    public interface Offering {
        void offer(Target target, String id);
    }

    /** Told what a thing points at; a null id points at nothing and is passed over. */
    @FunctionalInterface
    public interface Referring {
        /**
         * @param rule code of the rule that it must exist
         * @param field where it is named, such as {@code blocks/0/technique}
         */
        void refer(String rule, String field, Target target, String id);
    }

    /** What things are called that others point at; null: nobody knows any more. */
    @FunctionalInterface
    public interface Names {
        String of(Target target, String id);
    }

    /**
     * What is unique: {@code inner} within {@code outer}; a null outer is unique with everything.
     *
     * @param sentence what is wrong when it is not, for a person
     */
    public record Unique<T>(
            String rule,
            String field,
            Function<T, String> outer,
            Function<T, String> inner,
            Function<T, String> sentence) {}

    /** What becomes of a record when somebody it is about is erased. */
    public enum Erased {
        /** It stays, about nobody: classes and faults are still counted. */
        STAYS,
        /** It was about them alone, and goes. */
        GOES
    }

    /** How a thing is spoken of: with a name in the place of {@code %s}, and where nobody knows one. */
    private record Spoken(String named, String unnamed) {}

    /** What a club teaches: read all at once, changed as often as somebody likes. */
    static <T> Part<T> taught(String name, String one, Class<T> type, Function<T, String> id) {
        return new Part<>(name, one, type, id, false).undone();
    }

    /** Records of what happened: never read all at once, added by id and not replaced by a merge. */
    static <T> Part<T> record(String name, String one, Class<T> type, Function<T, String> id) {
        return new Part<>(name, one, type, id, true);
    }

    Part<T> offering(BiConsumer<T, Offering> others) {
        offers = others;
        return this;
    }

    Part<T> pointingAt(BiConsumer<T, Referring> others) {
        refers = others;
        return this;
    }

    Part<T> noTwo(Unique<T> rule) {
        unique = List.of(rule);
        return this;
    }

    /** @param own its own name, which stands after the word for the kind */
    Part<T> called(Function<T, String> own) {
        called = thing -> "the " + one + " " + own.apply(thing);
        known = (thing, names) -> own.apply(thing);
        return this;
    }

    /** @param by what a list of changes knows it by, where it has no name of its own: whose it is, or what it is about */
    Part<T> knownBy(BiFunction<T, Names, String> by) {
        known = by;
        return this;
    }

    /**
     * @param named how a list of changes speaks of it, such as {@code the class of %s}
     * @param unnamed the same where nobody knows what to call it
     */
    Part<T> spokenOf(String named, String unnamed) {
        spoken = new Spoken(named, unnamed);
        return this;
    }

    /** @param other what a coach calls one of them, where that is not what the journal calls it */
    Part<T> inWords(String other) {
        word = other;
        return this;
    }

    /** An edit of it can be taken back from the list of changes. */
    Part<T> undone() {
        isUndone = true;
        return this;
    }

    /** What is changed is put right where it stands. */
    Part<T> notUndone() {
        isUndone = false;
        return this;
    }

    /** Every coach may write it, and take back what they did themselves. */
    Part<T> ofCoaches() {
        isOfCoaches = true;
        return this;
    }

    /** What was changed of one of them is shown where it stands; nobody's records are. */
    Part<T> withHistory() {
        hasHistory = true;
        return this;
    }

    /** One that something stands on can be retired instead of going. */
    Part<T> retired() {
        isRetired = true;
        return this;
    }

    Part<T> goesWithItsPerson() {
        whenErased = Erased.GOES;
        return this;
    }

    /** What the archive calls them, such as {@code chains}. */
    public String name() {
        return name;
    }

    /** What the journal calls one of them, such as {@code chain}. */
    public String one() {
        return one;
    }

    public Class<T> type() {
        return type;
    }

    /** Whether they are records of what happened. */
    public boolean isRecord() {
        return isRecord;
    }

    /** What others may point at through one of them. */
    public BiConsumer<T, Offering> offers() {
        return offers;
    }

    /** What one of them points at. */
    public BiConsumer<T, Referring> refers() {
        return refers;
    }

    /** What two of them may not have in common. */
    public List<Unique<T>> unique() {
        return unique;
    }

    /** What a coach calls one of them, such as "the chain Two steps"; no id. */
    public Function<T, String> called() {
        return called;
    }

    /** What a coach calls any of them, such as "kept class". */
    public String word() {
        return word;
    }

    /** How a list of changes speaks of one of them, such as "the class of Juniors". */
    public String spoken(T thing, Names names) {
        String by = known.apply(thing, names);
        return by == null || by.isBlank() ? spoken.unnamed() : spoken.named().formatted(by);
    }

    public boolean isUndone() {
        return isUndone;
    }

    public boolean isOfCoaches() {
        return isOfCoaches;
    }

    public boolean hasHistory() {
        return hasHistory;
    }

    public boolean isRetired() {
        return isRetired;
    }

    public Erased whenErased() {
        return whenErased;
    }

    public String idOf(T thing) {
        return id.apply(thing);
    }

    /** Parts are told apart by name. */
    @Override
    public boolean equals(Object other) {
        return other instanceof Part<?> part && part.name.equals(name);
    }

    @Override
    public int hashCode() {
        return name.hashCode();
    }

    @Override
    public String toString() {
        return name;
    }
}
