package lynchet.core.term;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Usual;
import org.jspecify.annotations.Nullable;

/**
 * What a track is taught in a term, and on which days.
 *
 * @param term id of the term
 * @param track id of the track
 * @param fresh new items that a class bears, 1 to 6
 * @param minutes of technique in a class, 0 to 240; 0: half of the class
 * @param placed on which days the goals are met, by weekly time; what is no goal stands there for nothing
 */
public record TermPlan(
        String id,
        String term,
        String track,
        int fresh,
        @Usual("0") int minutes,
        @Most(200) List<Goal> goals,
        @Most(2000) List<Placed> placed) {

    /**
     * Something to be taught: a technique, or a chain.
     *
     * @param must whether it has to be there; else it comes if time allows
     * @param week monday of the week whose theme it is; null: none's
     * @param known whether the track had met it before the plan was made: then nothing of it is new
     */
    public record Goal(
            @Nullable String technique,
            @Nullable String chain,
            boolean must,
            @Nullable LocalDate week,
            @Usual("false") boolean known) {

        /** Whether it is one of both, and not both. */
        public boolean namesOne() {
            return (technique == null) != (chain == null);
        }

        /** The technique or the chain, as practice and marks name it. */
        public String subject() {
            return technique == null ? String.valueOf(chain) : technique;
        }
    }

    /**
     * A goal met on a day.
     *
     * @param goal the technique or the chain of one of the goals
     * @param slot id of the weekly time
     * @param kept whether the planner leaves it there
     */
    public record Placed(
            String goal,
            String slot,
            LocalDate on,
            @Usual("false") boolean kept) {
        public Placed {
            Require.present("the goal that is placed", goal);
            Require.present("the weekly time of a goal", slot);
            Require.present("the day of a goal", on);
        }

        /** The id of the class it is met in. */
        public String classId() {
            return slot + "-" + on;
        }
    }

    public TermPlan {
        Require.id("a plan", id);
        Require.present("the term of this plan", term);
        Require.present("the track of this plan", track);
        Require.within("the new items a class of this plan", fresh, 1, 6);
        Require.within("the minutes of technique of this plan", minutes, 0, 240);
        goals = Require.list(goals);
        Set<String> subjects = new HashSet<>();
        for (Goal goal : goals) {
            if (goal.namesOne() && !subjects.add(goal.subject())) {
                throw new IllegalArgumentException("this plan names one goal twice");
            }
        }
        placed = Require.list(placed);
        Set<String> meetings = new HashSet<>();
        for (Placed one : placed) {
            if (!meetings.add(one.goal() + " " + one.classId())) {
                throw new IllegalArgumentException("this plan places one goal twice on " + one.on());
            }
        }
    }

    /** The goal about a technique or a chain. */
    public Optional<Goal> goal(String subject) {
        return goals.stream().filter(goal -> goal.subject().equals(subject)).findFirst();
    }

    /** The same plan with its goals as they are known now, on other days. */
    public TermPlan placing(List<Goal> asKnown, List<Placed> others) {
        return new TermPlan(id, term, track, fresh, minutes, asKnown, others);
    }

    /** The same plan about another technique where it was about one. */
    public TermPlan about(String other, String instead) {
        List<Goal> renamed = goals.stream()
                .filter(goal -> !other.equals(goal.technique()) || goal(instead).isEmpty())
                .map(goal -> other.equals(goal.technique())
                        ? new Goal(instead, null, goal.must(), goal.week(), goal.known())
                        : goal)
                .toList();
        List<Placed> moved = placed.stream()
                .map(one -> one.goal().equals(other) ? new Placed(instead, one.slot(), one.on(), one.kept()) : one)
                .distinct()
                .toList();
        Set<String> seen = new HashSet<>();
        return new TermPlan(
                id,
                term,
                track,
                fresh,
                minutes,
                renamed,
                moved.stream()
                        .filter(one -> seen.add(one.goal() + " " + one.classId()))
                        .toList());
    }
}
