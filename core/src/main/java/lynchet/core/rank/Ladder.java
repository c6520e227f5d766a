package lynchet.core.rank;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.rule.Most;
import lynchet.core.rule.Nonsense;
import lynchet.core.rule.Require;
import lynchet.core.rule.Usual;
import org.jspecify.annotations.Nullable;

/**
 * A ranked sequence, lowest first.
 *
 * @param fromAge youngest age on it, 0: none
 * @param toAge oldest age on it, 0: none
 * @param ruleset id of the ruleset its syllabuses are checked under; null: the whole map
 * @param examList whether the syllabus is a fixed exam list (a missing way in is then a warning)
 * @param nextLadder where students go on at {@code toAge}; may be null
 * @param handOver rank here → rank there
 * @param tracks tracks whose classes count; none: all
 * @param earlier what its ranks asked before, the oldest first; {@code ranks} asks what is asked now
 */
public record Ladder(
        String id,
        String name,
        @Usual("0") int fromAge,
        @Usual("0") int toAge,
        @Nullable String ruleset,
        @Usual("false") boolean examList,
        List<Rank> ranks,
        Policy policy,
        @Nullable String nextLadder,
        Map<String, String> handOver,
        List<String> tracks,
        @Most(60) List<EarlierSyllabus> earlier) {

    public Ladder {
        Require.id("a ladder", id);
        Require.text("the name of this ladder", name);
        Require.within("the youngest age on this ladder", fromAge, 0, 99);
        Require.within("the oldest age on this ladder", toAge, 0, 99);
        if (toAge > 0 && toAge < fromAge) {
            throw new IllegalArgumentException("this ladder ends at " + toAge + " and begins at " + fromAge);
        }
        ranks = Require.list(ranks);
        Require.present("the policy of this ladder", policy);
        handOver = handOver == null ? Map.of() : Collections.unmodifiableMap(new TreeMap<>(handOver));
        tracks = Require.list(tracks);
        if (ranks.stream().map(Rank::id).distinct().count() != ranks.size()) {
            throw new IllegalArgumentException("this ladder names a rank twice");
        }
        if (ranks.stream().flatMap(Rank::items).map(Item::id).distinct().count()
                != ranks.stream().flatMap(Rank::items).count()) {
            throw new IllegalArgumentException("this ladder names a syllabus item twice");
        }
        earlier = Require.list(earlier).stream()
                .sorted(Comparator.comparing(EarlierSyllabus::until))
                .toList();
        if (earlier.stream().map(EarlierSyllabus::until).distinct().count() != earlier.size()) {
            throw new Nonsense(Nonsense.Rule.TOO_MANY, "two earlier syllabuses of this ladder end on one day");
        }
        for (EarlierSyllabus one : earlier) {
            if (!one.only(ranks).equals(one)) {
                throw new IllegalArgumentException(
                        "an earlier syllabus of this ladder has a rank that the ladder has not");
            }
        }
    }

    /** The ladder with the syllabus that was in force on a day, and those before it. */
    public Ladder asOf(LocalDate day) {
        return version(versionOn(day));
    }

    /** Which of its syllabuses was in force on a day, 0 the oldest. */
    public int versionOn(LocalDate day) {
        return (int) earlier.stream().filter(one -> day.isAfter(one.until())).count();
    }

    /** The ladder under each of its syllabuses, the oldest first and this one last. */
    public List<Ladder> versions() {
        return IntStream.rangeClosed(0, earlier.size()).mapToObj(this::version).toList();
    }

    /** @param at 0 the oldest of its syllabuses, {@code earlier.size()} that of now */
    public Ladder version(int at) {
        return at == earlier.size() ? this : of(earlier.get(at).asked(ranks), tracks, policy, earlier.subList(0, at));
    }

    /** The last day on which a rank was given under one of its versions; empty: it is given under that one still. */
    public Optional<LocalDate> lastDayOf(Ladder version) {
        int at = version.earlier().size();
        return at < earlier.size() ? Optional.of(earlier.get(at).until()) : Optional.empty();
    }

    /** The first day on which a rank is given under the present syllabus; empty: there was no other before it. */
    public Optional<LocalDate> publishedFrom() {
        return earlier.isEmpty()
                ? Optional.empty()
                : Optional.of(earlier.get(earlier.size() - 1).until().plusDays(1));
    }

    /**
     * The same ladder, asking what it asks from now on of those who get a rank from a day on; those before go on with what it
     * asks at present. On the day on which the present syllabus began it begins still.
     *
     * @throws IllegalArgumentException if the present syllabus begins later than that
     */
    public Ladder publishing(LocalDate from) {
        Optional<LocalDate> began = publishedFrom();
        if (began.filter(from::equals).isPresent()) {
            return this;
        }
        if (began.filter(from::isBefore).isPresent()) {
            throw new IllegalArgumentException("the syllabus of this ladder begins on " + began.get() + " already");
        }
        List<EarlierSyllabus> all = new ArrayList<>(earlier);
        all.add(EarlierSyllabus.of(ranks, from.minusDays(1)));
        return withEarlier(all);
    }

    /** The same ladder with these earlier syllabuses, as far as they are about its ranks. */
    public Ladder withEarlier(List<EarlierSyllabus> others) {
        return of(
                ranks,
                tracks,
                policy,
                others.stream().map(one -> one.only(ranks)).toList());
    }

    private Ladder of(
            List<Rank> otherRanks, List<String> otherTracks, Policy otherPolicy, List<EarlierSyllabus> others) {
        return new Ladder(
                id,
                name,
                fromAge,
                toAge,
                ruleset,
                examList,
                otherRanks,
                otherPolicy,
                nextLadder,
                handOver,
                otherTracks,
                others);
    }

    public Optional<Rank> rank(String rankId) {
        return ranks.stream().filter(rank -> rank.id().equals(rankId)).findFirst();
    }

    /** The place of a rank from below, 0 the lowest; −1 if it is not on this ladder. */
    public int indexOf(String rankId) {
        for (int i = 0; i < ranks.size(); i++) {
            if (ranks.get(i).id().equals(rankId)) {
                return i;
            }
        }
        return -1;
    }

    /**
     * Whether somebody may begin on it.
     *
     * @param age in years; empty: not known
     */
    public boolean suits(Optional<Integer> age) {
        int years = age.orElse(fromAge);
        return !ranks.isEmpty() && years >= fromAge && (toAge == 0 || years <= toAge);
    }

    public Optional<Rank> after(String rankId) {
        int next = indexOf(rankId) + 1;
        return next > 0 && next < ranks.size() ? Optional.of(ranks.get(next)) : Optional.empty();
    }

    /** The techniques that a student who meets everything up to and with this rank knows as performer. */
    public Set<String> knownBy(String rankId, GrapplingMap map) {
        Set<String> known = new LinkedHashSet<>();
        for (int i = 0; i <= indexOf(rankId); i++) {
            ranks.get(i).items().forEach(item -> techniqueOf(item, map).ifPresent(known::add));
        }
        return known;
    }

    /** The first rank, by id, at which each technique is taught. */
    public Map<String, String> taughtAt(GrapplingMap map) {
        Map<String, String> first = new TreeMap<>();
        for (Rank rank : ranks) {
            rank.items().forEach(item -> techniqueOf(item, map).ifPresent(id -> first.putIfAbsent(id, rank.id())));
        }
        return first;
    }

    /** The technique that an item teaches its performer; empty for chains, words and what the receiver does. */
    public static Optional<String> techniqueOf(Item item, GrapplingMap map) {
        return switch (item.kind()) {
            case TECHNIQUE ->
                item.role() == lynchet.core.mat.Role.PERFORMER ? Optional.of(item.ref()) : Optional.empty();
            case COUNTER -> map.link(item.ref()).map(Link::technique);
            case CHAIN, WORDS, FORM, POSITION_GOAL, LIVE_ROUNDS, HELPING_HOURS -> Optional.empty();
        };
    }

    /** The same ladder counting the classes of other tracks. */
    public Ladder counting(List<String> otherTracks) {
        return of(ranks, otherTracks, policy, earlier);
    }

    /** The same ladder under another policy. */
    public Ladder under(Policy other) {
        return of(ranks, tracks, other, earlier);
    }

    /** The same ladder where these ranks ask something else. */
    public Ladder asking(Map<String, List<SyllabusGroup>> syllabuses) {
        List<Rank> all = ranks.stream()
                .map(rank -> rank.withSyllabus(syllabuses.getOrDefault(rank.id(), rank.syllabus())))
                .toList();
        return of(all, tracks, policy, earlier);
    }

    public Ladder withRank(Rank changed) {
        List<Rank> all = ranks.stream()
                .map(r -> r.id().equals(changed.id()) ? changed : r)
                .toList();
        return of(all, tracks, policy, earlier);
    }
}
