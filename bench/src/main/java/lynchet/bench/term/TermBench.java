package lynchet.bench.term;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import lynchet.core.club.Club;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.Track;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.rank.Ladder;
import lynchet.core.term.Calendar;
import lynchet.core.term.Teaching;
import lynchet.core.term.Term;
import lynchet.core.term.TermPlan;
import lynchet.core.term.TermQuestion;
import lynchet.core.term.plan.Impossible;
import lynchet.core.term.plan.Lesson;
import lynchet.core.term.plan.Planner;
import lynchet.core.term.plan.PlanningTask;
import lynchet.starter.StarterLibrary;

/** How long four tracks' plans take, how long a replan takes and how many classes it changes, and how both grow. */
public final class TermBench {

    private static final LocalDate MONDAY = LocalDate.of(2026, 1, 12);
    private static final int TRACKS = 4;
    private static final int REPLANS = 30;
    private static final double NANOS = 1e9;

    private TermBench() {}

    public static void main(String[] args) {
        System.out.println("weeks  classes  items  four plans  replan (median, worst)  classes changed  if time  owed");
        for (int weeks : args.length > 0 ? new int[] {Integer.parseInt(args[0])} : new int[] {7, 14, 28, 52}) {
            print(weeks);
        }
    }

    private static void print(int weeks) {
        double seconds = 0;
        double[] replans = new double[0];
        int[] changed = new int[0];
        int left = 0;
        int owed = 0;
        int items = 0;
        for (int track = 0; track < TRACKS; track++) {
            PlanningTask asked = asked(weeks, track);
            items += asked.items().size();
            left += (int) asked.items().stream().filter(item -> !item.must()).count();
            long begin = System.nanoTime();
            Planner.Placing plan = Planner.plan(asked, Planner.Watch.NOBODY);
            owed += plan.owed();
            seconds += (System.nanoTime() - begin) / NANOS;
            int each = track < REPLANS % TRACKS ? REPLANS / TRACKS + 1 : REPLANS / TRACKS;
            for (int n = 0; n < each; n++) {
                int off = (n + 1) * asked.lessons().size() * 3 / 4 / (each + 1);
                PlanningTask again = cancelled(asked, plan, off);
                begin = System.nanoTime();
                Planner.Placing replan = Planner.plan(again, Planner.Watch.NOBODY);
                replans = added(replans, (System.nanoTime() - begin) / NANOS);
                changed = Arrays.copyOf(changed, changed.length + 1);
                changed[changed.length - 1] =
                        changed(plan, replan, asked.lessons().size());
            }
        }
        Arrays.sort(replans);
        Arrays.sort(changed);
        System.out.printf(
                "%-6d %-8d %-6d %6.1f s    %4.1f s, %4.1f s          %-16d %-8d %d%n",
                weeks,
                weeks * 3 * TRACKS,
                items,
                seconds,
                replans[replans.length / 2],
                replans[replans.length - 1],
                changed[changed.length / 2],
                left,
                owed);
    }

    private static double[] added(double[] to, double one) {
        double[] all = Arrays.copyOf(to, to.length + 1);
        all[to.length] = one;
        return all;
    }

    /** A track with three classes a week that learns what the ranks ask, from the beginning of one ladder or another on. */
    private static PlanningTask asked(int weeks, int track) {
        Club club = StarterLibrary.club("Terms");
        Teaching teaching = new Teaching(GrapplingMap.of(club.map()), club.chains());
        List<Ladder> ladders = club.ladders();
        List<TermPlan.Goal> goals = new ArrayList<>(ladders.get(track % ladders.size()).ranks().stream()
                .skip(track / ladders.size())
                .flatMap(rank -> rank.items())
                .filter(item -> item.kind() == lynchet.core.rank.Item.Kind.TECHNIQUE)
                .map(item -> item.ref())
                .distinct()
                .limit(weeks * 12L / 7)
                .map(technique -> new TermPlan.Goal(technique, null, true, null, false))
                .toList());
        PlanningTask asked = asked(weeks, teaching, goals);
        for (int n = goals.size() - 1; n >= 0 && !Impossible.of(asked).isEmpty(); n--) {
            goals.set(n, new TermPlan.Goal(goals.get(n).technique(), null, false, null, false));
            asked = asked(weeks, teaching, goals);
        }
        return asked;
    }

    private static PlanningTask asked(int weeks, Teaching teaching, List<TermPlan.Goal> goals) {
        List<Track.Slot> slots =
                List.of(slot("mon", DayOfWeek.MONDAY), slot("wed", DayOfWeek.WEDNESDAY), slot("fri", DayOfWeek.FRIDAY));
        LocalDate end = MONDAY.plusWeeks(weeks);
        Term term = new Term(
                "term",
                "Term",
                MONDAY,
                end.minusDays(1),
                slots.stream().map(Track.Slot::id).toList(),
                List.of(),
                List.of());
        return TermQuestion.of(
                        new TermPlan("plan", "term", "track", 2, 0, goals, List.of()),
                        end.minusDays(2),
                        Calendar.of(
                                        List.of(new Track("track", "Track", null, slots, List.of())),
                                        List.of(term),
                                        List.of())
                                .between(term.from(), term.until())
                                .stream()
                                .map(one -> new TermQuestion.TermClass(one, false, false, Set.of()))
                                .toList(),
                        teaching,
                        subject -> false,
                        ClubNumbers.USUAL.mostFalls())
                .asked();
    }

    private static Track.Slot slot(String id, DayOfWeek day) {
        return new Track.Slot(id, null, null, day, LocalTime.of(18, 30), 90, null, null, 0);
    }

    /** All before it has happened, and it bears nothing any more. */
    private static PlanningTask cancelled(PlanningTask first, Planner.Placing plan, int off) {
        Map<String, SortedSet<Integer>> done = new TreeMap<>();
        plan.at().forEach((item, on) -> done.put(item, new TreeSet<>(on.headSet(off))));
        List<Lesson> lessons = first.lessons().stream()
                .map(one -> new Lesson(
                        one.id(),
                        one.index(),
                        one.date(),
                        one.week(),
                        one.slot(),
                        one.index() == off ? 0 : one.minutes(),
                        one.fresh(),
                        one.index() > off))
                .toList();
        return new PlanningTask(lessons, first.items(), first.grading(), first.mostFalls(), done, plan.at());
    }

    private static int changed(Planner.Placing before, Planner.Placing after, int many) {
        int changed = 0;
        for (int n = 0; n < many; n++) {
            int lesson = n;
            changed += after.at().keySet().stream()
                            .anyMatch(item -> before.of(item).contains(lesson)
                                    != after.of(item).contains(lesson))
                    ? 1
                    : 0;
        }
        return changed;
    }
}
