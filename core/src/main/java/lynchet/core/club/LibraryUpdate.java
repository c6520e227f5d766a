package lynchet.core.club;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import lynchet.core.card.Technique;
import lynchet.core.chain.Chain;
import lynchet.core.map.PositionPair;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.mat.DrillShape;
import lynchet.core.rank.Ladder;
import lynchet.core.words.Word;

/** What the shipped library has that a club has not taken, told apart by who changed it; and taking some of it. */
public final class LibraryUpdate {

    /** Who changed a thing since the club last took it from the library. */
    public enum Who {
        /** The club does not have it. */
        NEW,
        /** The library changed it, the club did not. */
        LIBRARY,
        /** The club changed it, the library did not. */
        CLUB,
        /** Both did. */
        BOTH,
        /** The library has it no more, and the club has it as it was taken; taking this takes it out. */
        GONE
    }

    /**
     * One thing that differs.
     *
     * @param key part and id, such as {@code techniques/body-drop}
     */
    public record Difference(String key, String part, String id, String name, Who who) {}

    private LibraryUpdate() {}

    /**
     * Everything that differs, part by part, in the library's order.
     *
     * @param taken digest of each thing as it was when last taken, by key; what is missing was never taken
     * @param digest the digest of a thing
     */
    public static List<Difference> between(
            Club club, Club library, Map<String, String> taken, Function<Object, String> digest) {
        Map<String, Object> mine = things(club);
        List<Difference> differences = new ArrayList<>();
        things(library).forEach((key, theirs) -> {
            Object own = mine.get(key);
            if (!theirs.equals(own)) {
                differences.add(difference(key, theirs, who(own, theirs, taken.get(key), digest)));
            }
        });
        Set<String> shipped = things(library).keySet();
        mine.forEach((key, own) -> {
            boolean isAsTaken = digest.apply(own).equals(taken.get(key));
            if (isAsTaken && !shipped.contains(key)) {
                differences.add(difference(key, own, Who.GONE));
            }
        });
        return List.copyOf(differences);
    }

    private static Who who(Object own, Object theirs, String taken, Function<Object, String> digest) {
        if (own == null) {
            return Who.NEW;
        }
        boolean byClub = !digest.apply(own).equals(taken);
        boolean byLibrary = !digest.apply(theirs).equals(taken);
        return byClub && byLibrary ? Who.BOTH : byClub ? Who.CLUB : Who.LIBRARY;
    }

    /** The club with these things as the library has them, without those it has no more; check it before keeping it. */
    public static Club take(Club club, Club library, Set<String> keys) {
        Set<String> unknown = new HashSet<>(keys);
        unknown.removeAll(things(library).keySet());
        unknown.removeAll(things(club).keySet());
        if (!unknown.isEmpty()) {
            throw new IllegalArgumentException("the library has nothing called "
                    + unknown.stream().sorted().findFirst().orElseThrow());
        }
        Club taken = club;
        for (Part<?> part : Parts.LIBRARY) {
            taken = taken(part, taken, library, keys);
        }
        return taken;
    }

    private static <T> Club taken(Part<T> part, Club club, Club library, Set<String> keys) {
        Map<String, T> all = new LinkedHashMap<>();
        club.all(part).stream()
                .filter(thing -> !keys.contains(key(part, thing)))
                .forEach(thing -> all.put(part.idOf(thing), thing));
        library.all(part).stream()
                .filter(thing -> keys.contains(key(part, thing)))
                .forEach(thing -> all.put(part.idOf(thing), thing));
        return club.with(part, List.copyOf(all.values()));
    }

    private static <T> String key(Part<T> part, T thing) {
        return part.name() + "/" + part.idOf(thing);
    }

    /** Everything that a library teaches, by key. */
    public static Map<String, Object> things(Club club) {
        Map<String, Object> all = new LinkedHashMap<>();
        Parts.LIBRARY.forEach(part -> put(all, part, club));
        return all;
    }

    private static <T> void put(Map<String, Object> all, Part<T> part, Club club) {
        club.all(part).forEach(thing -> all.put(key(part, thing), thing));
    }

    private static Difference difference(String key, Object thing, Who who) {
        String part = key.substring(0, key.indexOf('/'));
        String id = key.substring(part.length() + 1);
        return new Difference(key, part, id, name(thing, id), who);
    }

    private static String name(Object thing, String id) {
        if (thing instanceof PositionPair pair) {
            return pair.first().name();
        }
        if (thing instanceof Technique technique) {
            return technique.name();
        }
        if (thing instanceof Chain chain) {
            return chain.name();
        }
        if (thing instanceof Ladder ladder) {
            return ladder.name();
        }
        if (thing instanceof Ruleset ruleset) {
            return ruleset.name();
        }
        if (thing instanceof Reaction reaction) {
            return reaction.text();
        }
        if (thing instanceof Word word) {
            return word.term();
        }
        return thing instanceof DrillShape drill ? drill.name() : id.replace('-', ' ');
    }
}
