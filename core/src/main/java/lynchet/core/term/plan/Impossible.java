package lynchet.core.term.plan;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import lynchet.core.rule.Phrases;

/**
 * Why a term cannot be planned, and what would help least.
 *
 * @param rule the rule in the way
 * @param sentence what is in the way, in a coach's words
 * @param relief the smallest relief
 * @param items ids of the items it is about
 */
public record Impossible(Rule rule, String sentence, String relief, List<String> items) {

    /** What can stand in the way. */
    public enum Rule {
        /** Items need each other first. */
        CYCLE,
        /** Every class to come was made by a coach. */
        BY_HAND,
        /** No class is long enough for one item. */
        TOO_LONG,
        /** There are too few classes to meet something four times. */
        FEW_CLASSES,
        /** What is examined cannot be shown early enough. */
        EXAM_EARLY,
        /** More new items than the classes bear. */
        MANY_NEW,
        /** More minutes than there are. */
        TIME,
        /** More falls than the classes bear. */
        FALLS,
        /** No single rule is in the way; together they leave no place. */
        TOGETHER
    }

    private static final int NAMED = 3;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.UK);

    /** What can be said before anything is planned, most basic first; empty where nothing stands in the way. */
    public static List<Impossible> of(PlanningTask asked) {
        List<Item> must = asked.items().stream().filter(Item::must).toList();
        List<Lesson> open = asked.lessons().stream().filter(Lesson::open).toList();
        List<Impossible> found = new ArrayList<>();
        cycle(must).ifPresent(found::add);
        List<Lesson> byHand = asked.lessons().stream().filter(Lesson::byHand).toList();
        if (open.isEmpty() && !byHand.isEmpty() && !must.isEmpty()) {
            found.add(allByHand(must, byHand));
            return found;
        }
        tooLong(must, asked, open).ifPresent(found::add);
        fewClasses(must, asked, open).ifPresent(found::add);
        if (found.isEmpty()) {
            examEarly(must, asked, open).ifPresent(found::add);
        }
        if (found.isEmpty()) {
            manyNew(must, asked, open).ifPresent(found::add);
            time(must, asked, open).ifPresent(found::add);
            falls(must, asked, open).ifPresent(found::add);
        }
        return found;
    }

    /** What is said when no single rule stands in the way and something is owed all the same. */
    public static Impossible together(PlanningTask asked, Planner.Placing placing) {
        List<Item> short4 = asked.items().stream()
                .filter(Item::must)
                .filter(item -> placing.of(item.id()).size() < Item.MEETINGS)
                .toList();
        return new Impossible(
                Rule.TOGETHER,
                named(short4) + (short4.size() == 1 ? " finds" : " find")
                        + " no place for four meetings beside everything else.",
                "One class more, or make " + named(short4.subList(0, 1)) + " an item for if time allows.",
                ids(short4));
    }

    private static Impossible allByHand(List<Item> must, List<Lesson> byHand) {
        String days = Phrases.and(byHand.stream()
                .limit(NAMED)
                .map(lesson -> lesson.date().format(DAY))
                .toList());
        int more = byHand.size() - NAMED;
        return new Impossible(
                Rule.BY_HAND,
                (byHand.size() == 1 ? "The one class to come was" : "All " + byHand.size() + " classes to come were")
                        + " made by hand (" + days + (more > 0 ? " and " + more + " more" : "")
                        + "), and the plan leaves what you made alone.",
                "Clear one of them, or add a class, and the plan has a place to fill.",
                ids(must));
    }

    private static Optional<Impossible> cycle(List<Item> must) {
        Map<String, Item> byId = byId(must);
        for (Item item : must) {
            List<Item> round = round(item, byId);
            if (!round.isEmpty()) {
                return Optional.of(new Impossible(
                        Rule.CYCLE,
                        named(round) + " need each other first.",
                        "Take one of them out of what another is built on, or drop one.",
                        ids(round)));
            }
        }
        return Optional.empty();
    }

    /** The items on a way from one back to itself; none where there is no such way. */
    private static List<Item> round(Item from, Map<String, Item> byId) {
        Set<Item> way = new LinkedHashSet<>();
        return back(from, from, byId, way, new HashSet<>()) ? List.copyOf(way) : List.of();
    }

    private static boolean back(Item at, Item to, Map<String, Item> byId, Set<Item> way, Set<String> seen) {
        way.add(at);
        for (String need : new TreeSet<>(at.needs())) {
            Item next = byId.get(need);
            if (next == null) {
                continue;
            }
            if (next.equals(to) || (seen.add(need) && back(next, to, byId, way, seen))) {
                return true;
            }
        }
        way.remove(at);
        return false;
    }

    private static Optional<Impossible> tooLong(List<Item> must, PlanningTask asked, List<Lesson> open) {
        int longest = open.stream().mapToInt(Lesson::minutes).max().orElse(0);
        return must.stream()
                .filter(item -> set(item, asked) == 0 && item.minutes(0) > longest)
                .findFirst()
                .map(item -> new Impossible(
                        Rule.TOO_LONG,
                        item.name() + " takes " + item.minutes(0) + " minutes to show, and no class has more than "
                                + longest + ".",
                        "Give a class " + (item.minutes(0) - longest) + " minutes more, or drop " + item.name() + ".",
                        List.of(item.id())));
    }

    private static Optional<Impossible> fewClasses(List<Item> must, PlanningTask asked, List<Lesson> open) {
        List<Item> lacking = must.stream()
                .filter(item -> open.size() < Item.MEETINGS - set(item, asked))
                .toList();
        int most = lacking.stream()
                .mapToInt(item -> Item.MEETINGS - set(item, asked) - open.size())
                .max()
                .orElse(0);
        return lacking.isEmpty()
                ? Optional.empty()
                : Optional.of(new Impossible(
                        Rule.FEW_CLASSES,
                        (open.size() == 1 ? "There is one class" : "There are " + open.size() + " classes")
                                + " left for the plan" + besides(asked) + ", and " + named(lacking)
                                + (lacking.size() == 1 ? " is" : " are") + " to be met four times.",
                        classes(most) + " more, or let them come if time allows.",
                        ids(lacking)));
    }

    private static String besides(PlanningTask asked) {
        long byHand = asked.lessons().stream().filter(Lesson::byHand).count();
        return byHand == 0 ? "" : ", beside " + byHand + " made by hand";
    }

    private static Optional<Impossible> examEarly(List<Item> must, PlanningTask asked, List<Lesson> open) {
        LocalDate last = asked.lastFirst();
        if (last == null) {
            return Optional.empty();
        }
        Map<String, Item> byId = byId(must);
        Map<String, Integer> depth = new HashMap<>();
        List<Lesson> early =
                open.stream().filter(lesson -> !lesson.date().isAfter(last)).toList();
        List<Item> late = must.stream()
                .filter(item -> item.fresh() && set(item, asked) == 0)
                .filter(item -> Planner.depth(item, byId, depth) >= early.size())
                .toList();
        if (late.isEmpty()) {
            return Optional.empty();
        }
        int lacking =
                late.stream().mapToInt(item -> depth.get(item.id()) + 1).max().orElse(1) - early.size();
        String day = lacking <= 0 || early.size() + lacking > open.size()
                ? ""
                : "Examine on or after "
                        + open.get(early.size() + lacking - 1).date().plusDays(PlanningTask.WEEKS_BEFORE) + ", or l";
        return Optional.of(new Impossible(
                Rule.EXAM_EARLY,
                "The grading on " + asked.grading() + " is too early: " + named(late)
                        + " would have to be shown by " + last + ", and "
                        + classes(early.size()).toLowerCase(java.util.Locale.ROOT)
                        + (early.size() <= 1 ? " is" : " are") + " left until then.",
                (day.isEmpty() ? "L" : day) + "et " + (late.size() == 1 ? "it" : "them") + " come if time allows.",
                ids(late)));
    }

    private static Optional<Impossible> manyNew(List<Item> must, PlanningTask asked, List<Lesson> open) {
        LocalDate last = asked.lastFirst();
        List<Lesson> early = open.stream()
                .filter(lesson -> last == null || !lesson.date().isAfter(last))
                .toList();
        List<Item> fresh = must.stream()
                .filter(item -> item.fresh() && set(item, asked) == 0)
                .toList();
        int room = early.stream().mapToInt(Lesson::fresh).sum();
        if (fresh.size() <= room) {
            return Optional.empty();
        }
        int over = fresh.size() - room;
        int each = Math.max(1, early.stream().mapToInt(Lesson::fresh).max().orElse(1));
        return Optional.of(new Impossible(
                Rule.MANY_NEW,
                fresh.size() + " items are new, and the " + early.size() + " classes"
                        + (last == null ? "" : " until three weeks before the grading") + " bear " + room + ".",
                classes((over + each - 1) / each) + " more, one more new item a class, or drop " + over + " of them.",
                ids(fresh)));
    }

    private static Optional<Impossible> time(List<Item> must, PlanningTask asked, List<Lesson> open) {
        int room = open.stream().mapToInt(Lesson::minutes).sum();
        int needed = must.stream().mapToInt(item -> left(item, asked)).sum();
        if (needed <= room) {
            return Optional.empty();
        }
        int over = needed - room;
        int each = Math.max(1, open.stream().mapToInt(Lesson::minutes).max().orElse(1));
        List<Item> enough = smallest(must, asked, over);
        return Optional.of(new Impossible(
                Rule.TIME,
                "What must be there takes " + needed + " minutes, and the classes left have " + room + ".",
                classes((over + each - 1) / each) + " more, or drop "
                        + (enough.size() == 1 ? "one of " : "")
                        + named(enough.size() == 1 ? alike(must, asked, over) : enough) + ".",
                ids(must)));
    }

    private static Optional<Impossible> falls(List<Item> must, PlanningTask asked, List<Lesson> open) {
        double room = open.size() * asked.mostFalls();
        double needed = must.stream()
                .mapToDouble(item -> item.falls() * Math.max(0, Item.MEETINGS - set(item, asked)))
                .sum();
        List<Item> thrown =
                must.stream().filter(item -> item.falls() > asked.mostFalls()).toList();
        if (thrown.isEmpty() && needed <= room) {
            return Optional.empty();
        }
        List<Item> falling = thrown.isEmpty()
                ? must.stream().filter(item -> item.falls() > 0).toList()
                : thrown;
        return Optional.of(new Impossible(
                Rule.FALLS,
                thrown.isEmpty()
                        ? "Everybody would fall " + Math.round(needed) + " times, and the classes left bear "
                                + Math.round(room) + "."
                        : named(thrown) + " throw everybody more often than a class bears, "
                                + Math.round(asked.mostFalls()) + " times.",
                "Drill them on the crash mat, with fewer repetitions, or drop one of them.",
                ids(falling)));
    }

    /** Minutes that an item still takes at least. */
    private static int left(Item item, PlanningTask asked) {
        int has = set(item, asked);
        return has >= Item.MEETINGS ? 0 : item.least() - (has == 0 ? 0 : item.minutes(0) + (has - 1) * item.again());
    }

    /** As few items as make good for so many minutes. */
    private static List<Item> smallest(List<Item> must, PlanningTask asked, int over) {
        List<Item> largest = must.stream()
                .sorted(Comparator.comparing((Item item) -> -left(item, asked)).thenComparing(Item::id))
                .toList();
        List<Item> some = new ArrayList<>();
        int sum = 0;
        for (Item item : largest) {
            if (sum >= over) {
                break;
            }
            some.add(item);
            sum += left(item, asked);
        }
        return some;
    }

    /** The items each of which would be enough, the smallest first. */
    private static List<Item> alike(List<Item> must, PlanningTask asked, int over) {
        return must.stream()
                .filter(item -> left(item, asked) >= over)
                .sorted(Comparator.comparing((Item item) -> left(item, asked)).thenComparing(Item::id))
                .toList();
    }

    private static int set(Item item, PlanningTask asked) {
        return asked.set().getOrDefault(item.id(), new TreeSet<>()).size();
    }

    private static Map<String, Item> byId(List<Item> items) {
        Map<String, Item> byId = new HashMap<>();
        items.forEach(item -> byId.put(item.id(), item));
        return byId;
    }

    private static String classes(int many) {
        return switch (many) {
            case 0 -> "No class";
            case 1 -> "One class";
            case 2 -> "Two classes";
            case 3 -> "Three classes";
            default -> many + " classes";
        };
    }

    private static String named(List<Item> items) {
        List<String> names = items.stream().limit(NAMED).map(Item::name).toList();
        int more = items.size() - names.size();
        return more > 0 ? String.join(", ", names) + " and " + more + " more" : Phrases.and(names);
    }

    private static List<String> ids(List<Item> items) {
        return items.stream().map(Item::id).toList();
    }
}
