package lynchet.bench.season;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import lynchet.core.club.Club;
import lynchet.core.mat.Role;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.term.Calendar;
import lynchet.core.term.Teaching;
import lynchet.core.term.Term;
import lynchet.core.term.TermPlan;
import lynchet.starter.StarterLibrary;

/** A term of a fundamentals track, played with people who come and go, learn and forget. */
final class Season {

    static final int WEEKS = 14;
    static final int MINUTES = 45;
    static final int FRESH = 2;
    private static final int PEOPLE = 40;
    private static final LocalDate MONDAY = LocalDate.of(2026, 1, 12);

    /** One in three of the syllabus is known from the term before: met so many times, up to so many weeks ago. */
    private static final int KNOWN = 3;

    private static final int MET_BEFORE = 4;
    private static final int WEEKS_BEFORE = 16;

    /** Says what a class teaches. */
    interface Teacher {
        /** @param here who has come */
        List<String> teaches(int lesson, List<Pupil> here);
    }

    /**
     * What a term came to.
     *
     * @param recalled share of the syllabus that is there on grading day, mean of all people
     * @param worst the same of the worst tenth of them
     * @param minutes of technique that were used
     * @param uneven Gini index of how often each person met each item: 0 all the same, near 1 a few over and over
     */
    record Outcome(double recalled, double worst, double uneven, double minutes) {}

    final Teaching teaching;
    final Set<TermPlan.Goal> syllabus;
    final List<TrainingClass> lessons;
    final LocalDate grading = MONDAY.plusWeeks(WEEKS).plusDays(5);
    final Set<String> known = new HashSet<>();
    private final List<Pupil> people = new ArrayList<>();
    private final Random coming;

    /** @param items how many of the first rank's items the term has; that rank has 40 */
    Season(int items, long seed) {
        Club club = StarterLibrary.club("A season");
        teaching = new Teaching(lynchet.core.map.GrapplingMap.of(club.map()), club.chains());
        Ladder ladder = club.ladders().get(0);
        syllabus = new LinkedHashSet<>(ladder.ranks()
                .get(0)
                .items()
                .filter(item -> item.kind() == Item.Kind.TECHNIQUE && item.role() == Role.PERFORMER)
                .limit(items)
                .map(item -> new TermPlan.Goal(item.ref(), null, true, null, false))
                .toList());
        List<Track.Slot> slots =
                List.of(slot("mon", DayOfWeek.MONDAY), slot("wed", DayOfWeek.WEDNESDAY), slot("fri", DayOfWeek.FRIDAY));
        Track track = new Track("fundamentals", "Fundamentals", null, slots, List.of());
        Term term = new Term(
                "term",
                "Term",
                MONDAY,
                MONDAY.plusWeeks(WEEKS).minusDays(1),
                slots.stream().map(Track.Slot::id).toList(),
                List.of(),
                List.of(grading));
        lessons = Calendar.of(List.of(track), List.of(term), List.of()).between(term.from(), term.until());
        Random random = new Random(seed);
        for (int n = 0; n < PEOPLE; n++) {
            people.add(Pupil.drawn(n, slots.stream().map(Track.Slot::id).toList(), random));
        }
        int n = 0;
        for (TermPlan.Goal goal : syllabus) {
            if (n++ % KNOWN == 0) {
                known.add(goal.subject());
                for (Pupil pupil : people) {
                    List<Integer> days = random.ints(MET_BEFORE, 3, 7 * WEEKS_BEFORE)
                            .boxed()
                            .sorted((a, b) -> b - a)
                            .distinct()
                            .toList();
                    days.forEach(ago -> pupil.meets(goal.subject(), MONDAY.minusDays(ago), true));
                }
            }
        }
        coming = new Random(random.nextLong());
    }

    private static Track.Slot slot(String id, DayOfWeek day) {
        return new Track.Slot(id, null, null, day, LocalTime.of(18, 30), 2 * MINUTES, null, null, 0);
    }

    /** Minutes of something: shown for the first time, or met again. */
    int minutes(String subject, boolean isFirst) {
        TermPlan.Goal goal = goal(subject);
        return isFirst ? teaching.first(goal) : teaching.again(goal);
    }

    TermPlan.Goal goal(String subject) {
        return syllabus.stream()
                .filter(goal -> goal.subject().equals(subject))
                .findFirst()
                .orElseThrow();
    }

    /** Breakfalls that anything asks for. */
    Set<String> falls() {
        Set<String> falls = new HashSet<>();
        syllabus.stream()
                .flatMap(goal -> teaching.techniques(goal).stream())
                .forEach(one -> falls.addAll(one.receiverFalls()));
        return falls;
    }

    Outcome played(Teacher teacher) {
        Set<String> shown = new HashSet<>(known);
        int all = 0;
        for (int n = 0; n < lessons.size(); n++) {
            TrainingClass lesson = lessons.get(n);
            List<Pupil> here = people.stream()
                    .filter(pupil -> coming.nextDouble() < pupil.comes().get(lesson.slot()))
                    .toList();
            int used = 0;
            for (String subject : teacher.teaches(n, here)) {
                boolean isFirst = shown.add(subject);
                used += minutes(subject, isFirst);
                here.forEach(pupil -> pupil.meets(subject, lesson.date(), isFirst));
            }
            if (used > MINUTES) {
                throw new IllegalStateException("class " + n + " takes " + used + " minutes");
            }
            all += used;
        }
        return outcome(all);
    }

    private Outcome outcome(int minutes) {
        int day = (int) grading.toEpochDay();
        double[] each = people.stream()
                .mapToDouble(pupil -> syllabus.stream()
                        .mapToDouble(goal -> pupil.memory().recall(goal.subject(), day))
                        .average()
                        .orElse(0))
                .sorted()
                .toArray();
        double[] met = people.stream()
                .flatMapToDouble(pupil ->
                        syllabus.stream().mapToDouble(goal -> pupil.memory().met(goal.subject())))
                .sorted()
                .toArray();
        double worst =
                Arrays.stream(each, 0, Math.max(1, each.length / 10)).average().orElse(0);
        return new Outcome(Arrays.stream(each).average().orElse(0), worst, gini(met), minutes);
    }

    private static double gini(double[] sorted) {
        double sum = 0;
        double weighted = 0;
        for (int n = 0; n < sorted.length; n++) {
            sum += sorted[n];
            weighted += (2.0 * (n + 1) - sorted.length - 1) * sorted[n];
        }
        return sum == 0 ? 0 : weighted / (sorted.length * sum);
    }
}
