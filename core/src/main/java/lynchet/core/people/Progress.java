package lynchet.core.people;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import lynchet.core.card.Family;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.rank.Sides;
import lynchet.core.rank.SyllabusGroup;
import org.jspecify.annotations.Nullable;

/** How far a student is with each item of a rank's syllabus. */
public final class Progress {

    private final StudentState state;
    private final GrapplingMap map;

    public Progress(StudentState state, GrapplingMap map) {
        this.state = state;
        this.map = map;
    }

    /**
     * One item.
     *
     * @param have the standard reached on every side asked for; null: nothing yet
     * @param sessions effective sessions on the least practised side asked for
     * @param fading how fresh it is; null when no practice is logged
     * @param subject what it is about, as marks and practice name it
     * @param onSides each side that is asked for; empty where any will do
     * @param fromBefore whether they came with it, and nobody here has passed it
     * @param missing what is missing, in words; empty when met
     */
    public record ItemProgress(
            Item item,
            String subject,
            boolean met,
            @Nullable Standard have,
            List<OnSide> onSides,
            int sessions,
            Fading.@Nullable State fading,
            @Nullable LocalDate lastPractised,
            boolean fromBefore,
            String missing) {}

    /** What is there on one side; {@code have} null: nothing yet. */
    public record OnSide(Side side, @Nullable Standard have, int sessions) {}

    /** A group with how many of its items are met out of how many are needed. */
    public record GroupProgress(String name, int needed, int met, List<ItemProgress> items) {
        public boolean allMet() {
            return met >= needed;
        }
    }

    public List<GroupProgress> of(Rank rank, LocalDate today) {
        List<GroupProgress> groups = new ArrayList<>();
        for (SyllabusGroup group : rank.syllabus()) {
            List<ItemProgress> items =
                    group.items().stream().map(item -> of(item, today)).toList();
            int met = (int) items.stream().filter(ItemProgress::met).count();
            groups.add(new GroupProgress(group.name(), group.needed(), met, items));
        }
        return groups;
    }

    ItemProgress of(Item item, LocalDate today) {
        String subject = subject(item, map);
        List<Side> sides = sides(item);
        Standard have = have(item, subject, sides);
        int sessions = leastSessions(subject, sides);
        Optional<Fading> best = state.on(subject, null);
        boolean met = isEnough(item, have);
        return new ItemProgress(
                item,
                subject,
                met,
                have,
                sides.stream()
                        .map(side -> new OnSide(
                                side,
                                best(item, subject, side),
                                state.on(subject, side).map(Fading::sessions).orElse(0)))
                        .toList(),
                sessions,
                best.map(f -> f.stateOn(today)).orElse(null),
                best.filter(Fading::isPractised).map(Fading::last).orElse(null),
                have != null && have != have(item, subject, sides, state.marks().here()),
                met ? "" : missing(item, subject, sides, sessions));
    }

    /** The latest day on which an item that is met can have become so; empty where it is not met. */
    Optional<LocalDate> metOn(Item item, LocalDate today) {
        ItemProgress now = of(item, today);
        if (!now.met()) {
            return Optional.empty();
        }
        String subject = subject(item, map);
        List<Side> sides = sides(item).isEmpty() ? java.util.Collections.singletonList(null) : sides(item);
        LocalDate last = LocalDate.MIN;
        for (Side side : sides) {
            LocalDate one = state.marks()
                    .since(subject, item.role(), side, item.version(), item.standard())
                    .map(PassedOver::day)
                    .or(() -> state.on(subject, side).map(Fading::last))
                    .orElse(today);
            last = one.isAfter(last) ? one : last;
        }
        return Optional.of(last);
    }

    private Standard have(Item item, String subject, List<Side> sides) {
        return have(item, subject, sides, state.marks());
    }

    private Standard have(Item item, String subject, List<Side> sides, MarkBook marks) {
        return sides.isEmpty() ? best(item, subject, null, marks) : worst(item, subject, sides, marks);
    }

    private static boolean isEnough(Item item, Standard have) {
        return have != null && have.compareTo(item.standard()) >= 0;
    }

    private boolean isMet(Item item) {
        return isEnough(item, have(item, subject(item, map), sides(item)));
    }

    /** How many of a rank's groups are not met, and one more while falls that its throws need are not passed. */
    public int open(Rank rank) {
        int open = openFalls(rank).isEmpty() ? 0 : 1;
        for (SyllabusGroup group : rank.syllabus()) {
            long met = group.items().stream().filter(this::isMet).count();
            open += met < group.needed() ? 1 : 0;
        }
        return open;
    }

    /**
     * Those who are examined on throws are thrown in turn: the falls that the throws of a rank need, in order of id. Of what is
     * chosen only that counts which was passed.
     */
    public List<String> falls(Rank rank) {
        return rank.syllabus().stream()
                .flatMap(group -> group.items().stream().filter(item -> !group.choosesSome() || isMet(item)))
                .flatMap(item -> Ladder.techniqueOf(item, map).stream())
                .map(id -> map.technique(id).orElseThrow())
                .filter(technique -> technique.family() != Family.BREAKFALL)
                .flatMap(technique -> technique.receiverFalls().stream())
                .distinct()
                .sorted()
                .toList();
    }

    /** Those of the falls that are not passed. */
    public List<String> openFalls(Rank rank) {
        return falls(rank).stream()
                .filter(fall ->
                        state.marks().best(fall, Role.PERFORMER, null, null).isEmpty())
                .toList();
    }

    private int leastSessions(String subject, List<Side> sides) {
        List<Side> asked = sides.isEmpty() ? List.of(Side.BOTH) : sides;
        return asked.stream()
                .mapToInt(side -> state.on(subject, side).map(Fading::sessions).orElse(0))
                .min()
                .orElse(0);
    }

    /** What has to be known of a student to judge an item, as marks and practice name it. */
    public static Set<String> subjects(Item item, GrapplingMap map) {
        Set<String> subjects = new HashSet<>();
        subjects.add(subject(item, map));
        map.technique(item.ref()).ifPresent(thrown -> subjects.addAll(thrown.receiverFalls()));
        return subjects;
    }

    /** What an item is about, as marks and practice name it. */
    public String subject(Item item) {
        return subject(item, map);
    }

    /** Marks and practice name a counter by its technique. */
    static String subject(Item item, GrapplingMap map) {
        return item.kind() == Item.Kind.COUNTER
                ? map.link(item.ref()).map(link -> link.technique()).orElse(item.ref())
                : item.subject();
    }

    /** Sides only mean something where the technique has sides. */
    private List<Side> sides(Item item) {
        boolean sided = map.technique(subject(item, map)).map(Technique::sided).orElse(false);
        return sided ? item.sides().required() : Sides.EITHER.required();
    }

    private Standard worst(Item item, String subject, List<Side> sides, MarkBook marks) {
        Standard worst = Standard.LIVE;
        for (Side side : sides) {
            Standard one = best(item, subject, side, marks);
            if (one == null) {
                return null;
            }
            worst = one.compareTo(worst) < 0 ? one : worst;
        }
        return worst;
    }

    private Standard best(Item item, String subject, Side side) {
        return best(item, subject, side, state.marks());
    }

    private Standard best(Item item, String subject, Side side, MarkBook marks) {
        Optional<Standard> passed = marks.best(subject, item.role(), side, item.version());
        if (passed.filter(Standard::isMarked).isPresent()) {
            return passed.get();
        }
        if (state.on(subject, side).filter(Fading::isDrilled).isPresent()) {
            return Standard.DRILLED;
        }
        return passed.orElse(state.introduced(subject) ? Standard.INTRODUCED : null);
    }

    private String missing(Item item, String subject, List<Side> sides, int sessions) {
        List<String> lacking = sides.stream()
                .filter(side -> {
                    Standard one = best(item, subject, side);
                    return one == null || one.compareTo(item.standard()) < 0;
                })
                .map(side -> side == Side.RIGHT ? "right" : "left")
                .toList();
        String where = lacking.size() == 1 && sides.size() == 2 ? " on the " + lacking.get(0) : "";
        if (item.standard() == Standard.DRILLED) {
            int toGo = Math.max(1, Fading.DRILLED_AFTER - sessions);
            return lynchet.core.rule.Phrases.count(toGo, "session", "sessions") + " to go" + where;
        }
        if (item.standard() == Standard.INTRODUCED) {
            return "not met yet in class";
        }
        return "to be passed" + where;
    }
}
