package lynchet.core.people;

import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import lynchet.core.mat.Mark;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;

/**
 * Which of one student's marks stand: the latest of each key of subject, role, side, version and standard. Both sides are
 * read as right and left. A later "not yet" also suspends passes above it for that key until it is passed again.
 *
 * <p>It can be put together mark by mark in any order; only taking one back needs the others of its subject again.
 */
public final class MarkBook {

    private static final Comparator<Standing> IN_TIME =
            Comparator.comparing(Standing::at).thenComparing(Standing::mark);

    /** What two marks share when the later one takes the earlier one's place; {@code version} is empty for none. */
    public record Key(String subject, Role role, Side side, String version, Standard standard) {
        private boolean isOf(String wantedSubject, Role wantedRole, Side wantedSide, String wantedVersion) {
            return subject.equals(wantedSubject)
                    && role == wantedRole
                    && (wantedSide == null || side.covers(wantedSide))
                    && (wantedVersion == null || wantedVersion.equals(version));
        }
    }

    /** The mark that stands for a key. */
    public record Standing(String mark, boolean passed, Instant at) {}

    private final Map<String, Map<Key, Standing>> bySubject = new HashMap<>();
    private final Map<String, Map<Key, Standing>> broughtBySubject = new HashMap<>();

    /** The book of what stands already. */
    public MarkBook(Map<Key, Standing> standing) {
        standing.forEach((key, mark) ->
                bySubject.computeIfAbsent(key.subject(), s -> new HashMap<>()).put(key, mark));
    }

    /** The same book, also knowing what was brought from elsewhere. */
    MarkBook with(List<Brought> brought) {
        MarkBook book = new MarkBook(standing());
        brought.forEach(book::add);
        return book;
    }

    /** @param marks one student's marks in any order */
    public static MarkBook of(List<Mark> marks) {
        MarkBook book = new MarkBook(Map.of());
        withoutTakenBack(marks).forEach(book::add);
        return book;
    }

    /** Marks that are neither taken back nor take one back. */
    public static List<Mark> withoutTakenBack(List<Mark> marks) {
        Set<String> takenBack = new TreeSet<>();
        marks.stream().map(Mark::withdraws).filter(Objects::nonNull).forEach(takenBack::add);
        return marks.stream()
                .filter(mark -> mark.withdraws() == null && !takenBack.contains(mark.id()))
                .toList();
    }

    /** The keys that a mark stands for: two where it was given for both sides. */
    static List<Key> keys(Mark mark) {
        String version = mark.version() == null ? "" : mark.version();
        return mark.side().each().stream()
                .map(side -> new Key(mark.subject(), mark.role(), side, version, mark.standard()))
                .toList();
    }

    private static Standing later(Standing a, Standing b) {
        return IN_TIME.compare(a, b) >= 0 ? a : b;
    }

    /** Adds a mark that takes nothing back. */
    void add(Mark mark) {
        Standing its = new Standing(mark.id(), mark.passed(), mark.at());
        Map<Key, Standing> of = bySubject.computeIfAbsent(mark.subject(), s -> new HashMap<>());
        keys(mark).forEach(key -> of.merge(key, its, MarkBook::later));
    }

    /** What was brought stands like a pass of that moment, beside the marks and not among them. */
    private void add(Brought brought) {
        Standing its = new Standing(brought.id(), true, brought.since());
        for (Brought.Had had : brought.had()) {
            Map<Key, Standing> of = broughtBySubject.computeIfAbsent(had.subject(), s -> new HashMap<>());
            String version = had.version() == null ? "" : had.version();
            had.side()
                    .each()
                    .forEach(side -> of.merge(
                            new Key(had.subject(), had.role(), side, version, had.standard()), its, MarkBook::later));
        }
    }

    /** A copy of the marks that stand, by key; what was brought is no mark. */
    public Map<Key, Standing> standing() {
        Map<Key, Standing> all = new HashMap<>();
        bySubject.values().forEach(all::putAll);
        return all;
    }

    /** Ids of the subjects that anything stands for. */
    public Set<String> subjects() {
        Set<String> subjects = new TreeSet<>(bySubject.keySet());
        subjects.addAll(broughtBySubject.keySet());
        return subjects;
    }

    private Map<Key, Standing> of(String subject) {
        Map<Key, Standing> marked = bySubject.getOrDefault(subject, Map.of());
        Map<Key, Standing> brought = broughtBySubject.get(subject);
        if (brought == null) {
            return marked;
        }
        Map<Key, Standing> both = new HashMap<>(marked);
        brought.forEach((key, its) -> {
            if (!isOverruled(key, its, marked)) {
                both.merge(key, its, MarkBook::later);
            }
        });
        return both;
    }

    /** A coach who saw that it is not there yet is right, in whichever version they saw it. */
    private static boolean isOverruled(Key key, Standing brought, Map<Key, Standing> marked) {
        return marked.entrySet().stream()
                .anyMatch(mark -> !mark.getValue().passed()
                        && mark.getKey().role() == key.role()
                        && mark.getKey().side() == key.side()
                        && mark.getKey().standard().compareTo(key.standard()) <= 0
                        && IN_TIME.compare(mark.getValue(), brought) > 0);
    }

    /** The same book without what was brought. */
    MarkBook here() {
        return broughtBySubject.isEmpty() ? this : new MarkBook(standing());
    }

    /** Whether a coach here has passed somebody on it as performer, at any standard; what was only brought was not seen. */
    public boolean isSeenHere(String subject) {
        return best(bySubject.getOrDefault(subject, Map.of()), subject, Role.PERFORMER, null, null)
                .isPresent();
    }

    /** Whether it counts as passed only because it was brought. */
    public boolean isOnlyBrought(String subject) {
        return !isSeenHere(subject) && best(subject, Role.PERFORMER, null, null).isPresent();
    }

    /** The standard at which a performer has it to use, drilled or better. */
    public Optional<Standard> known(String subject) {
        return best(subject, Role.PERFORMER, null, null).filter(best -> best.compareTo(Standard.DRILLED) >= 0);
    }

    /** The highest standard passed; a pass at a higher standard holds for the lower ones. {@code version} null: any. */
    public Optional<Standard> best(String subject, Role role, Side side, String version) {
        return best(of(subject), subject, role, side, version);
    }

    private static Optional<Standard> best(
            Map<Key, Standing> its, String subject, Role role, Side side, String version) {
        return its.entrySet().stream()
                .filter(entry -> entry.getKey().isOf(subject, role, side, version))
                .filter(entry -> entry.getValue().passed() && !isSuspended(entry.getKey(), entry.getValue(), its))
                .map(entry -> entry.getKey().standard())
                .max(Comparator.naturalOrder());
    }

    /** When a standard or more was first passed, as far as the marks that stand tell; {@code side} null: on any. */
    public Optional<Instant> since(String subject, Role role, Side side, String version, Standard standard) {
        Map<Key, Standing> its = of(subject);
        return its.entrySet().stream()
                .filter(entry -> entry.getKey().isOf(subject, role, side, version)
                        && entry.getKey().standard().compareTo(standard) >= 0)
                .filter(entry -> entry.getValue().passed() && !isSuspended(entry.getKey(), entry.getValue(), its))
                .map(entry -> entry.getValue().at())
                .min(Comparator.naturalOrder());
    }

    /** When something was first passed by the person who does it, at any standard. */
    Optional<Instant> firstPass(String subject) {
        return since(subject, Role.PERFORMER, null, null, Standard.INTRODUCED);
    }

    private static boolean isSuspended(Key key, Standing pass, Map<Key, Standing> its) {
        return its.entrySet().stream()
                .anyMatch(other -> !other.getValue().passed()
                        && other.getKey().standard().compareTo(key.standard()) < 0
                        && other.getKey().role() == key.role()
                        && other.getKey().side() == key.side()
                        && other.getKey().version().equals(key.version())
                        && IN_TIME.compare(other.getValue(), pass) > 0);
    }
}
