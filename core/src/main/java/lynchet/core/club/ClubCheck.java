package lynchet.core.club;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiPredicate;
import lynchet.core.map.WellFormed;
import lynchet.core.rank.Ladder;
import lynchet.core.rule.Breach;

/**
 * Whether a club holds together: every id once, every reference at something that exists. One list of references serves
 * an archive, which is looked through part by part without being held, and each single write.
 */
public final class ClubCheck {

    /** More breaches than anybody reads. */
    private static final int MOST_BREACHES = 200;

    private final Map<Target, Set<String>> offered = new EnumMap<>(Target.class);
    private final BiPredicate<Target, String> elsewhere;
    private final List<Breach> breaches = new ArrayList<>();
    private final Map<String, Ladder> ladders = new java.util.LinkedHashMap<>();

    private ClubCheck(BiPredicate<Target, String> elsewhere) {
        this.elsewhere = elsewhere;
    }

    /** A check of things that are all seen by it. */
    public static ClubCheck ofAll() {
        return new ClubCheck((target, id) -> false);
    }

    /** A check of things that may also point at what is kept elsewhere. */
    public static ClubCheck beside(BiPredicate<Target, String> elsewhere) {
        return new ClubCheck(elsewhere);
    }

    /** Every breach, map first; an empty list means that the club can be taken in as it is. */
    public static List<Breach> check(Club club) {
        List<Breach> ofTheMap = WellFormed.check(club.map());
        if (!ofTheMap.isEmpty()) {
            return ofTheMap;
        }
        ClubCheck check = ofAll();
        Parts.ALL.forEach(part -> check.whole(part, club));
        return check.breaches();
    }

    private <T> void whole(Part<T> part, Club club) {
        Looking<T> looking = begin(part);
        club.all(part).forEach(looking::at);
        looking.end();
    }

    /**
     * Where one thing points at nothing, each with its field as {@code where}.
     *
     * @param exists whether there is such a thing
     */
    public static <T> List<Breach> ofOne(Part<T> part, T thing, BiPredicate<Target, String> exists) {
        List<Breach> found = new ArrayList<>();
        String id = part.idOf(thing);
        part.refers().accept(thing, (rule, field, target, to) -> {
            if (to != null && !exists.test(target, to)) {
                found.add(nothing(rule, "/" + field, id, part.called().apply(thing), target));
            }
        });
        return found;
    }

    private static Breach nothing(String rule, String where, String id, String called, Target target) {
        return new Breach(rule, where, id, called + " names " + target.words() + " that does not exist");
    }

    public List<Breach> breaches() {
        return List.copyOf(breaches);
    }

    /** Begins to look through a part; parts that it points at come before. */
    public <T> Looking<T> begin(Part<T> part) {
        return new Looking<>(part);
    }

    /** Looks through one part, thing by thing. */
    public final class Looking<T> {

        private record Open(String rule, String where, String id, String called, Target target, String to) {}

        private final Part<T> part;
        private final String path;
        private final Set<String> ids = new HashSet<>();
        private final List<Map<String, Set<String>>> unique = new ArrayList<>();
        private final List<Open> open = new ArrayList<>();
        private int count;

        private Looking(Part<T> part) {
            this.part = part;
            this.path = (Parts.MAP.contains(part) ? "/map/" : "/") + part.name() + "/";
            part.unique().forEach(rule -> unique.add(new HashMap<>()));
        }

        /** Looks at the next one. */
        public void at(T thing) {
            String id = part.idOf(thing);
            String where = path + count++;
            if (!ids.add(id)) {
                breach("ID_UNIQUE", where + "/id", id, "the same id is used twice among the " + part.name());
            }
            for (int i = 0; i < unique.size(); i++) {
                unique(part.unique().get(i), unique.get(i), thing, where, id);
            }
            part.offers().accept(thing, (target, offer) -> {
                boolean isNew =
                        offered.computeIfAbsent(target, t -> new HashSet<>()).add(offer);
                if (!isNew && target.isUnique()) {
                    breach(
                            "ID_UNIQUE",
                            where,
                            id,
                            part.called().apply(thing) + " has the id of another: " + target.words() + " twice");
                }
            });
            if (thing instanceof Ladder ladder) {
                ladders.putIfAbsent(ladder.id(), ladder);
            }
            part.refers().accept(thing, (rule, field, target, to) -> {
                if (to != null && !isThere(target, to)) {
                    open.add(new Open(
                            rule, where + "/" + field, id, part.called().apply(thing), target, to));
                }
            });
        }

        private void unique(Part.Unique<T> rule, Map<String, Set<String>> taken, T thing, String where, String id) {
            String inner = rule.inner().apply(thing);
            String outer = rule.outer().apply(thing);
            if (inner != null
                    && !taken.computeIfAbsent(outer == null ? "" : outer, key -> new HashSet<>())
                            .add(inner)) {
                breach(
                        rule.rule(),
                        where + "/" + rule.field(),
                        id,
                        rule.sentence().apply(thing));
            }
        }

        /** Ends the part: what pointed at something later in it is looked at again. */
        public void end() {
            if (part.equals(Parts.LADDERS)) {
                laddersGoOn();
            }
            for (Open one : open) {
                if (!isThere(one.target(), one.to())) {
                    Breach breach = nothing(one.rule(), one.where(), one.id(), one.called(), one.target());
                    breach(breach.rule(), breach.where(), breach.id(), breach.sentence());
                }
            }
        }
    }

    /** Somebody who grows out of a ladder comes to another one, and never back. */
    private void laddersGoOn() {
        for (Ladder ladder : ladders.values()) {
            Set<String> met = new HashSet<>();
            Ladder at = ladder;
            while (at != null && met.add(at.id())) {
                at = at.nextLadder() == null ? null : ladders.get(at.nextLadder());
            }
            if (at != null && at.id().equals(ladder.id())) {
                breach(
                        "LADDER_CYCLE",
                        "/ladders",
                        ladder.id(),
                        "who goes on from " + ladder.name() + " comes back to it in the end");
                return;
            }
            agesGoOn(ladder);
        }
    }

    /** The next ladder begins in the year in which this one ends, or the year after: nobody stands between or on both. */
    private void agesGoOn(Ladder ladder) {
        Ladder next = ladder.nextLadder() == null ? null : ladders.get(ladder.nextLadder());
        if (next == null || ladder.toAge() == 0 || next.fromAge() == 0) {
            return;
        }
        if (next.fromAge() < ladder.toAge() || next.fromAge() > ladder.toAge() + 1) {
            breach(
                    "LADDER_AGES",
                    "/ladders",
                    ladder.id(),
                    ladder.name() + " goes up to " + ladder.toAge() + " and leads to " + next.name()
                            + ", which begins at " + next.fromAge()
                            + (next.fromAge() < ladder.toAge()
                                    ? ": the years between are on both"
                                    : ": the years between are on none"));
        }
    }

    private boolean isThere(Target target, String to) {
        return offered.getOrDefault(target, Set.of()).contains(to) || elsewhere.test(target, to);
    }

    private void breach(String rule, String where, String id, String sentence) {
        if (breaches.size() < MOST_BREACHES) {
            breaches.add(new Breach(rule, where, id, sentence));
        }
    }
}
