package lynchet.core.rank;

import java.time.LocalDate;
import java.util.List;
import lynchet.core.rule.Require;
import lynchet.core.rule.Usual;
import org.jspecify.annotations.Nullable;

/**
 * How stripes and belts are earned on a ladder; the club's to change.
 *
 * @param classesPerStripe classes for a stripe, where stripes go by attendance
 * @param promotionMonths months (1 to 12) in which belts are given; none: any month
 * @param techniqueMinutes minutes of technique in a usual class
 * @param classesAWeek classes a week a student can come to
 * @param attendanceShare share of them that a usual student comes to, 0 to 1
 * @param seminars whether seminars count as classes
 * @param chart whether a home chart must have been seen since the rank was given
 * @param conduct whether a coach must have noted their conduct since then
 * @param standing share of the techniques that should start on the feet, 0 to 1; null: the club has not said
 */
public record Policy(
        Stripes stripes,
        Belt belt,
        @Usual("0") int classesPerStripe,
        @Usual("false") boolean oneClassADay,
        List<Integer> promotionMonths,
        @Usual("0") int techniqueMinutes,
        @Usual("0") double classesAWeek,
        @Usual("0") double attendanceShare,
        @Nullable Double standing,
        @Usual("false") boolean seminars,
        @Usual("false") boolean chart,
        @Usual("false") boolean conduct) {

    /** How stripes are given. */
    public enum Stripes {
        BY_CLASSES,
        BY_COACH,
        NONE
    }

    /** How a belt is given. */
    public enum Belt {
        BY_COACH,
        BY_EXAM
    }

    public Policy {
        stripes = stripes == null ? Stripes.NONE : stripes;
        belt = belt == null ? Belt.BY_COACH : belt;
        Require.within("classes per stripe", classesPerStripe, 0, 1000);
        promotionMonths = Require.list(promotionMonths);
        promotionMonths.forEach(month -> Require.within("a promotion month", month, 1, 12));
        Require.within("technique minutes per class", techniqueMinutes, 0, 300);
        if (standing != null && !(standing >= 0 && standing <= 1)) {
            throw new IllegalArgumentException("the share that stands is 0 to 1, not " + standing);
        }
        if (!(classesAWeek >= 0 && classesAWeek <= 30) || !(attendanceShare >= 0 && attendanceShare <= 1)) {
            throw new IllegalArgumentException("classes a week are 0 to 30 and the attendance share 0 to 1");
        }
    }

    /**
     * The window of a day, or the next one after it: the first day of its month. Where belts are given in any month, that of the
     * day.
     */
    public LocalDate window(LocalDate day) {
        LocalDate month = day.withDayOfMonth(1);
        while (!promotionMonths.isEmpty() && !promotionMonths.contains(month.getMonthValue())) {
            month = month.plusMonths(1);
        }
        return month;
    }

    /** Classes counted before a rank may be left: those of every stripe and of the belt. */
    public int classesForRank(Rank rank) {
        return stripes == Stripes.BY_CLASSES ? classesPerStripe * (rank.stripes() + 1) : 0;
    }
}
