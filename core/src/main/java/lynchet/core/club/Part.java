package lynchet.core.club;

import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Function;

/**
 * One kind of things that a club is made of, and everything that is the same for all kinds: archive, check, merge, library,
 * undo and store go through {@link Parts#ALL} and know no kind by name.
 *
 * @param name what the archive calls them, such as {@code chains}
 * @param one what the journal calls one of them, such as {@code chain}
 * @param isRecord whether they are records of what happened: never read all at once, added by id and not replaced by a merge
 * @param offers what others may point at through it
 * @param refers what it points at
 * @param unique what two of them may not have in common
 * @param called what a coach calls one of them, such as "the chain Two steps"; no id
 */
public record Part<T>(
        String name,
        String one,
        Class<T> type,
        Function<T, String> id,
        boolean isRecord,
        BiConsumer<T, Offering> offers,
        BiConsumer<T, Referring> refers,
        List<Unique<T>> unique,
        Function<T, String> called) {

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

    static <T> Part<T> taught(
            String name, String one, Class<T> type, Function<T, String> id, BiConsumer<T, Offering> offers) {
        return new Part<>(name, one, type, id, false, offers, (thing, to) -> {}, List.of(), thing -> "a " + one);
    }

    static <T> Part<T> record(String name, String one, Class<T> type, Function<T, String> id) {
        return new Part<>(
                name,
                one,
                type,
                id,
                true,
                (thing, to) -> {},
                (thing, to) -> {},
                List.of(),
                thing -> "a record of " + name);
    }

    Part<T> offering(BiConsumer<T, Offering> others) {
        return new Part<>(name, one, type, id, isRecord, others, refers, unique, called);
    }

    Part<T> pointingAt(BiConsumer<T, Referring> others) {
        return new Part<>(name, one, type, id, isRecord, offers, others, unique, called);
    }

    Part<T> noTwo(Unique<T> rule) {
        return new Part<>(name, one, type, id, isRecord, offers, refers, List.of(rule), called);
    }

    /** @param named its own name, which stands after the word for the kind */
    Part<T> called(Function<T, String> named) {
        return new Part<>(
                name,
                one,
                type,
                id,
                isRecord,
                offers,
                refers,
                unique,
                thing -> "the " + one + " " + named.apply(thing));
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
}
