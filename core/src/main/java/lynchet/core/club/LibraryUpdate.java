package lynchet.core.club;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.rank.SyllabusGroup;

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
     * @param key part and id, such as {@code techniques/body-drop}; what a rank asks for is {@code ladders/adult/yellow}
     * @param safety whether it bears on what somebody may be hurt by; those come first
     * @param says what a coach would notice of it, in sentences; empty where the name says it
     */
    public record Difference(
            String key, String part, String id, String name, Who who, boolean safety, List<String> says) {}

    /** What one rank of a ladder asks for, which is taken by itself. */
    public record RankAsks(String ladder, String rank, List<SyllabusGroup> syllabus) {}

    private LibraryUpdate() {}

    /**
     * Everything that differs: what bears on safety first, then part by part, in the library's order.
     *
     * @param taken digest of each thing as it was when last taken, by key; what is missing was never taken
     * @param digest the digest of a thing
     */
    public static List<Difference> between(
            Club club, Club library, Map<String, String> taken, Function<Object, String> digest) {
        Map<String, String> known = rankByRank(taken, club, library, digest);
        Map<String, Object> mine = things(club);
        Map<String, Object> shipped = things(library);
        LibrarySays says = new LibrarySays(club, library);
        List<Difference> differences = new ArrayList<>();
        shipped.forEach((key, theirs) -> {
            Object own = mine.get(key);
            boolean comesWithItsLadder = own == null && theirs instanceof RankAsks;
            if (!theirs.equals(own) && !comesWithItsLadder) {
                differences.add(difference(key, own, theirs, who(own, theirs, known.get(key), digest), says));
            }
        });
        mine.forEach((key, own) -> {
            if (!shipped.containsKey(key) && isAsTaken(key, own, mine, known, digest)) {
                differences.add(difference(key, null, own, Who.GONE, says));
            }
        });
        differences.sort(Comparator.comparing(Difference::safety).reversed());
        return List.copyOf(differences);
    }

    /** A ladder goes as a whole or not at all; what one rank of it asks for does not go by itself. */
    private static boolean isAsTaken(
            String key,
            Object own,
            Map<String, Object> mine,
            Map<String, String> taken,
            Function<Object, String> digest) {
        if (own instanceof RankAsks) {
            return false;
        }
        boolean isLadder = own instanceof Ladder;
        return mine.entrySet().stream()
                .filter(one ->
                        one.getKey().equals(key) || isLadder && one.getKey().startsWith(key + "/"))
                .allMatch(one -> digest.apply(one.getValue()).equals(taken.get(one.getKey())));
    }

    /**
     * Digests as they were taken, those of ladders rank by rank. A club that took its ladders when they were taken whole has
     * one digest a ladder: it says what its ranks were where either side still has the ladder as it was.
     */
    public static Map<String, String> rankByRank(
            Map<String, String> taken, Club club, Club library, Function<Object, String> digest) {
        Map<String, String> all = new HashMap<>(taken);
        Stream.of(library, club).flatMap(one -> one.ladders().stream()).forEach(ladder -> {
            String key = key(Parts.LADDERS, ladder);
            if (digest.apply(ladder).equals(taken.get(key))) {
                ofLadder(ladder).forEach((part, thing) -> all.put(part, digest.apply(thing)));
            }
        });
        return all;
    }

    private static Who who(Object own, Object theirs, String taken, Function<Object, String> digest) {
        if (own == null) {
            return Who.NEW;
        }
        boolean byClub = !digest.apply(own).equals(taken);
        boolean byLibrary = !digest.apply(theirs).equals(taken);
        return byClub && byLibrary ? Who.BOTH : byClub ? Who.CLUB : Who.LIBRARY;
    }

    /**
     * These keys with all that has to come along so that nothing points at what the club does not have.
     *
     * @param differences all that differs, as {@link #between} says it
     */
    public static Set<String> complete(Club club, Club library, List<Difference> differences, Set<String> keys) {
        Set<String> moved = differences.stream()
                .filter(one -> one.who() == Who.LIBRARY || one.who() == Who.GONE)
                .map(Difference::key)
                .collect(Collectors.toSet());
        return new LibraryNeeds(club, library, moved).with(keys);
    }

    /** The club with these things as the library has them, without those it has no more; check it before keeping it. */
    public static Club take(Club club, Club library, Set<String> keys) {
        Set<String> unknown = new HashSet<>(keys);
        unknown.removeAll(things(library).keySet());
        unknown.removeAll(things(club).keySet());
        if (!unknown.isEmpty()) {
            throw new IllegalArgumentException("the library has nothing called “"
                    + unknown.stream().sorted().findFirst().orElseThrow() + "”; look at it again");
        }
        Club taken = club;
        for (Part<?> part : Parts.LIBRARY) {
            taken = part.equals(Parts.LADDERS) ? ladders(taken, library, keys) : taken(part, taken, library, keys);
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

    private static Club ladders(Club club, Club library, Set<String> keys) {
        Map<String, Ladder> theirs =
                library.ladders().stream().collect(Collectors.toMap(Ladder::id, Function.identity()));
        Map<String, Ladder> all = new LinkedHashMap<>();
        club.ladders().forEach(own -> {
            Ladder shipped = theirs.get(own.id());
            if (shipped != null) {
                all.put(own.id(), ladder(own, shipped, keys));
            } else if (!keys.contains(key(Parts.LADDERS, own))) {
                all.put(own.id(), own);
            }
        });
        library.ladders().stream()
                .filter(ladder -> keys.contains(key(Parts.LADDERS, ladder)))
                .forEach(ladder -> all.putIfAbsent(ladder.id(), ladder));
        return club.with(Parts.LADDERS, List.copyOf(all.values()));
    }

    private static Ladder ladder(Ladder own, Ladder shipped, Set<String> keys) {
        String key = key(Parts.LADDERS, own);
        Ladder ladder = keys.contains(key) ? shipped.withEarlier(own.earlier()) : own;
        for (Rank rank : ladder.ranks()) {
            Rank asking = (keys.contains(key + "/" + rank.id()) ? shipped : own)
                    .rank(rank.id())
                    .orElse(rank);
            ladder = ladder.withRank(rank.withSyllabus(asking.syllabus()));
        }
        return ladder;
    }

    private static <T> String key(Part<T> part, T thing) {
        return part.name() + "/" + part.idOf(thing);
    }

    /** Everything that a library teaches, by key. */
    public static Map<String, Object> things(Club club) {
        Map<String, Object> all = new LinkedHashMap<>();
        Parts.LIBRARY.forEach(part -> {
            if (part.equals(Parts.LADDERS)) {
                club.ladders().forEach(ladder -> all.putAll(ofLadder(ladder)));
            } else {
                put(all, part, club);
            }
        });
        return all;
    }

    /** The ladder without what its ranks ask for, and what each of them asks for. */
    private static Map<String, Object> ofLadder(Ladder ladder) {
        String key = key(Parts.LADDERS, ladder);
        Map<String, Object> all = new LinkedHashMap<>();
        Ladder bare = ladder.withEarlier(List.of());
        for (Rank rank : ladder.ranks()) {
            bare = bare.withRank(rank.withSyllabus(List.of()));
        }
        all.put(key, bare);
        ladder.ranks()
                .forEach(rank -> all.put(key + "/" + rank.id(), new RankAsks(ladder.id(), rank.id(), rank.syllabus())));
        return all;
    }

    private static <T> void put(Map<String, Object> all, Part<T> part, Club club) {
        club.all(part).forEach(thing -> all.put(key(part, thing), thing));
    }

    private static Difference difference(String key, Object own, Object theirs, Who who, LibrarySays says) {
        String part = key.substring(0, key.indexOf('/'));
        String id = key.substring(part.length() + 1);
        List<String> safety = own == null || who == Who.CLUB ? List.of() : says.aboutSafety(own, theirs);
        List<String> all = own instanceof RankAsks before && theirs instanceof RankAsks after
                ? says.aboutSyllabus(before, after)
                : safety;
        return new Difference(key, part, id, says.name(theirs, id), who, !safety.isEmpty(), all);
    }
}
