package lynchet.core.term.plan;

import java.time.LocalDate;

/**
 * A class of the term as the planner sees it.
 *
 * @param index its place among the track's classes of the term, 0 the first
 * @param week monday of its week
 * @param slot id of its weekly time: who comes then are its regulars
 * @param minutes of technique that it bears
 * @param fresh new items that it bears
 * @param open whether anything may still be placed in it: it is to come, and nobody keeps it as it is
 * @param byHand whether it is to come and a coach has made it or pinned it, so that the plan leaves it alone
 */
public record Lesson(
        String id,
        int index,
        LocalDate date,
        LocalDate week,
        String slot,
        int minutes,
        int fresh,
        boolean open,
        boolean byHand) {

    public Lesson(
            String id, int index, LocalDate date, LocalDate week, String slot, int minutes, int fresh, boolean open) {
        this(id, index, date, week, slot, minutes, fresh, open, false);
    }

    @Override
    public String toString() {
        return id;
    }
}
