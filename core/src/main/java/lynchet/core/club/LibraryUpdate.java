package lynchet.core.club;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import lynchet.core.chain.Chain;
import lynchet.core.map.Link;
import lynchet.core.map.MapData;
import lynchet.core.map.PositionPair;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.map.Technique;
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
        BOTH
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

    /** The club with these things as the library has them; check it before keeping it. */
    public static Club take(Club club, Club library, Set<String> keys) {
        Set<String> unknown = new HashSet<>(keys);
        unknown.removeAll(things(library).keySet());
        if (!unknown.isEmpty()) {
            throw new IllegalArgumentException("the library has nothing called "
                    + unknown.stream().sorted().findFirst().orElseThrow());
        }
        MapData a = club.map();
        MapData b = library.map();
        return new Club(
                club.name(),
                new MapData(
                        taken("pairs", a.pairs(), b.pairs(), PositionPair::id, keys),
                        taken("techniques", a.techniques(), b.techniques(), Technique::id, keys),
                        taken("links", a.links(), b.links(), Link::id, keys),
                        taken("reactions", a.reactions(), b.reactions(), Reaction::id, keys),
                        taken("rulesets", a.rulesets(), b.rulesets(), Ruleset::id, keys)),
                taken("chains", club.chains(), library.chains(), Chain::id, keys),
                taken("ladders", club.ladders(), library.ladders(), Ladder::id, keys),
                taken("words", club.words(), library.words(), Word::id, keys),
                taken("drills", club.drills(), library.drills(), DrillShape::id, keys),
                club.tracks(),
                club.terms(),
                club.people(),
                club.classes(),
                club.attendance(),
                club.practice(),
                club.marks(),
                club.gradings(),
                club.rounds(),
                club.ignoredGaps());
    }

    private static <T> List<T> taken(
            String part, List<T> mine, List<T> theirs, Function<T, String> id, Set<String> keys) {
        Map<String, T> all = new LinkedHashMap<>();
        mine.forEach(thing -> all.put(id.apply(thing), thing));
        theirs.stream()
                .filter(thing -> keys.contains(part + "/" + id.apply(thing)))
                .forEach(thing -> all.put(id.apply(thing), thing));
        return List.copyOf(all.values());
    }

    /** Everything that a library teaches, by key. */
    public static Map<String, Object> things(Club club) {
        Map<String, Object> all = new LinkedHashMap<>();
        MapData map = club.map();
        put(all, "pairs", map.pairs(), PositionPair::id);
        put(all, "techniques", map.techniques(), Technique::id);
        put(all, "links", map.links(), Link::id);
        put(all, "reactions", map.reactions(), Reaction::id);
        put(all, "rulesets", map.rulesets(), Ruleset::id);
        put(all, "chains", club.chains(), Chain::id);
        put(all, "ladders", club.ladders(), Ladder::id);
        put(all, "words", club.words(), Word::id);
        put(all, "drills", club.drills(), DrillShape::id);
        return all;
    }

    private static <T> void put(Map<String, Object> all, String part, List<T> things, Function<T, String> id) {
        things.forEach(thing -> all.put(part + "/" + id.apply(thing), thing));
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
