package lynchet.core.people;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import lynchet.core.mat.Side;
import org.jspecify.annotations.Nullable;

/**
 * How something came to be remembered as it is, day by day on one side: what stands behind "fresh", "fading" and "rusty".
 *
 * @param brought since when it counts as brought from elsewhere; null: it was not
 * @param days every day on which anything was done, the oldest first
 */
public record Memory(Side side, @Nullable FromBefore brought, List<Day> days) {

    /** The day from which it counts, and the days in which half is forgotten from then. */
    public record FromBefore(LocalDate on, double halfLife) {}

    /**
     * One day of practice.
     *
     * @param counts whether enough was done for a session
     * @param recall what was likely still there when the day began, 0 to 1; 0 before the first session
     * @param halfLife days in which half is forgotten, after this day; 0 before the first session
     */
    public record Day(PracticeDay done, boolean counts, double recall, double halfLife) {}

    /** @param days one for each day, in their order */
    static Memory of(Side side, @Nullable LocalDate brought, List<PracticeDay> days) {
        List<Day> told = new ArrayList<>();
        Fading was = null;
        boolean live = false;
        FromBefore from = null;
        for (PracticeDay day : days) {
            if (brought != null && from == null && !day.day().isBefore(brought)) {
                was = Fading.brought(was, brought);
                from = new FromBefore(brought, was.halfLife());
            }
            double recall = was == null ? 0 : was.recallOn(day.day());
            Fading is = Fading.after(was, live, day);
            told.add(new Day(day, day.isEffective(), recall, is == null ? 0 : is.halfLife()));
            was = is;
            live |= day.livePass();
        }
        if (brought != null && from == null) {
            from = new FromBefore(brought, Fading.brought(was, brought).halfLife());
        }
        return new Memory(side, from, told);
    }
}
