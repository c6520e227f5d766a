package lynchet.core.term.plan;

import java.time.format.TextStyle;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SortedSet;
import java.util.TreeSet;
import lynchet.core.rule.Phrases;
import org.jspecify.annotations.Nullable;

/**
 * What a plan breaks, what is to be minded in it, and why it is as it is, rule by rule in a coach's words; the same looks at a
 * plan that a coach moves by hand.
 */
public final class PlanSays {

    private static final int NAMED = 4;

    /** How much it weighs. */
    public enum Level {
        BREAKS,
        MINDS,
        SAYS
    }

    /**
     * One sentence.
     *
     * @param items ids of the items it is about
     * @param lesson id of the class it is about; null: none
     */
    public record Said(
            Level level,
            String sentence,
            List<String> items,
            @Nullable String lesson) {}

    private final PlanningTask asked;
    private final Planner.Placing placing;
    private final Map<String, Item> byId = new HashMap<>();
    private final List<Said> said = new ArrayList<>();

    private PlanSays(PlanningTask asked, Planner.Placing placing) {
        this.asked = asked;
        this.placing = placing;
        asked.items().forEach(item -> byId.put(item.id(), item));
    }

    /** What is broken first, then what is to be minded, then the rest. */
    public static List<Said> of(PlanningTask asked, Planner.Placing placing) {
        PlanSays says = new PlanSays(asked, placing);
        says.order();
        says.classes();
        says.owed();
        says.waits();
        says.stale();
        says.regulars();
        says.leftOut();
        says.full();
        says.said.sort(java.util.Comparator.comparing(Said::level));
        return says.said;
    }

    private void add(Level level, String sentence, List<String> items, @Nullable Lesson lesson) {
        said.add(new Said(level, sentence, items, lesson == null ? null : lesson.id()));
    }

    private Lesson lesson(int at) {
        return asked.lessons().get(at);
    }

    private void order() {
        boolean isKept = true;
        for (Item item : asked.items()) {
            SortedSet<Integer> on = placing.of(item.id());
            if (on.isEmpty() || !item.fresh()) {
                continue;
            }
            Lesson first = lesson(on.first());
            for (String need : new TreeSet<>(item.needs())) {
                Item other = byId.get(need);
                if (other == null || !other.fresh()) {
                    continue;
                }
                SortedSet<Integer> its = placing.of(need);
                if (its.isEmpty() || its.first() >= on.first()) {
                    isKept = false;
                    add(
                            Level.BREAKS,
                            item.name() + " comes before " + other.name() + ", which it builds on.",
                            List.of(item.id(), need),
                            first);
                }
            }
            if (item.must() && asked.lastFirst() != null && first.date().isAfter(asked.lastFirst())) {
                add(
                        Level.BREAKS,
                        item.name() + " is shown less than three weeks before the grading.",
                        List.of(item.id()),
                        first);
            }
        }
        if (isKept && asked.items().stream().anyMatch(item -> !item.needs().isEmpty())) {
            add(Level.SAYS, "Nothing is taught before its fall, or before what it builds on.", List.of(), null);
        }
    }

    private void classes() {
        for (Lesson lesson : asked.lessons()) {
            if (!lesson.open()) {
                continue;
            }
            List<Item> here = here(lesson);
            int minutes = minutes(lesson);
            long fresh = here.stream().filter(item -> isNewIn(item, lesson)).count();
            double falls = here.stream().mapToDouble(Item::falls).sum();
            if (minutes > lesson.minutes()) {
                add(
                        Level.BREAKS,
                        day(lesson) + " holds " + minutes + " minutes of technique and has " + lesson.minutes() + ".",
                        ids(here),
                        lesson);
            }
            if (fresh > lesson.fresh()) {
                add(
                        Level.BREAKS,
                        day(lesson) + " brings " + fresh + " new items, " + lesson.fresh() + " are enough.",
                        ids(here),
                        lesson);
            }
            if (falls > asked.mostFalls()) {
                add(
                        Level.BREAKS,
                        day(lesson) + " has " + Math.round(falls) + " falls for everybody, at most "
                                + Math.round(asked.mostFalls()) + ".",
                        ids(here),
                        lesson);
            }
        }
    }

    private void owed() {
        List<Item> none = asked.items().stream()
                .filter(item -> item.must() && placing.of(item.id()).isEmpty())
                .toList();
        if (!none.isEmpty()) {
            add(
                    Level.BREAKS,
                    named(none) + (none.size() == 1 ? " stands" : " stand") + " nowhere yet.",
                    ids(none),
                    null);
        }
        List<Item> few = asked.items().stream()
                .filter(item -> item.must() && !placing.of(item.id()).isEmpty())
                .filter(item -> placing.of(item.id()).size() < Item.MEETINGS)
                .toList();
        if (!few.isEmpty()) {
            add(
                    Level.BREAKS,
                    named(few) + (few.size() == 1 ? " is" : " are") + " met fewer than four times.",
                    ids(few),
                    null);
        }
    }

    /** Anybody who waits much longer for a first review than wanted. */
    private void waits() {
        for (Item item : asked.items()) {
            List<Integer> on = List.copyOf(placing.of(item.id()));
            if (on.size() < 2 || !lesson(on.get(1)).open()) {
                continue;
            }
            long days = ChronoUnit.DAYS.between(
                    lesson(on.get(0)).date(), lesson(on.get(1)).date());
            if (on.get(1) - on.get(0) > 2 && days > PlanningTask.LAST) {
                add(
                        Level.MINDS,
                        item.name() + " waits " + days / 7 + " weeks until it is met again.",
                        List.of(item.id()),
                        lesson(on.get(1)));
            }
        }
    }

    private void stale() {
        if (asked.grading() == null) {
            return;
        }
        List<Item> stale = asked.items().stream()
                .filter(item -> item.must() && !placing.of(item.id()).isEmpty())
                .filter(item -> placing.of(item.id()).stream()
                        .map(at -> lesson(at).date())
                        .noneMatch(day -> !day.isAfter(asked.grading())
                                && !day.isBefore(asked.grading().minusDays(PlanningTask.LAST))))
                .toList();
        if (!stale.isEmpty()) {
            add(
                    Level.MINDS,
                    named(stale) + (stale.size() == 1 ? " is" : " are")
                            + " not met in the last two weeks before the grading.",
                    ids(stale),
                    null);
        }
    }

    private void regulars() {
        Map<String, List<Lesson>> slots = new LinkedHashMap<>();
        asked.lessons().forEach(lesson -> slots.computeIfAbsent(lesson.slot(), slot -> new ArrayList<>())
                .add(lesson));
        List<Item> must = asked.items().stream().filter(Item::must).toList();
        if (must.isEmpty()) {
            return;
        }
        slots.forEach((slot, lessons) -> {
            List<Item> rarely = must.stream()
                    .filter(item -> lessons.stream()
                                    .filter(lesson -> placing.of(item.id()).contains(lesson.index()))
                                    .count()
                            < 3)
                    .toList();
            String weekday = lessons.get(0).date().getDayOfWeek().getDisplayName(TextStyle.FULL, Locale.ENGLISH);
            add(
                    Level.SAYS,
                    rarely.isEmpty()
                            ? "Whoever only comes on " + weekday + "s meets every item three times."
                            : "Whoever only comes on " + weekday + "s meets " + (must.size() - rarely.size()) + " of "
                                    + must.size() + " items three times.",
                    ids(rarely),
                    null);
        });
    }

    private void leftOut() {
        List<Item> out = asked.items().stream()
                .filter(item -> !item.must() && placing.of(item.id()).isEmpty())
                .toList();
        if (!out.isEmpty()) {
            add(Level.SAYS, "There is no time for " + named(out) + ".", ids(out), null);
        }
    }

    private void full() {
        asked.lessons().stream()
                .filter(lesson -> lesson.open() && lesson.minutes() > 0)
                .max(java.util.Comparator.comparing(lesson -> minutes(lesson) / (double) lesson.minutes()))
                .filter(lesson -> minutes(lesson) > 0)
                .ifPresent(lesson -> add(
                        Level.SAYS,
                        "The fullest class is " + day(lesson) + ": " + minutes(lesson) + " of " + lesson.minutes()
                                + " minutes.",
                        List.of(),
                        lesson));
    }

    private List<Item> here(Lesson lesson) {
        return asked.items().stream()
                .filter(item -> placing.of(item.id()).contains(lesson.index()))
                .toList();
    }

    private boolean isNewIn(Item item, Lesson lesson) {
        return item.fresh() && placing.of(item.id()).first() == lesson.index();
    }

    private int minutes(Lesson lesson) {
        return here(lesson).stream()
                .mapToInt(item -> isNewIn(item, lesson) ? item.first() : item.again())
                .sum();
    }

    private static String day(Lesson lesson) {
        return lesson.date().getDayOfWeek().getDisplayName(TextStyle.SHORT, Locale.ENGLISH) + " "
                + lesson.date().getDayOfMonth() + " "
                + lesson.date().getMonth().getDisplayName(TextStyle.SHORT, Locale.ENGLISH);
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
