package lynchet.core.people;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Usual;
import org.jspecify.annotations.Nullable;

/**
 * A belt or a stripe given; the rank that somebody holds is what their promotions say. Never edited: until it is announced it
 * is taken back, afterwards another one corrects it.
 *
 * @param from id of the rank held before; null: none on this ladder
 * @param to id of the rank held from now on, the same as {@code from} for a stripe
 * @param stripes stripes on it from now on
 * @param fromBefore whether it was given before the club kept records, and is only written down here
 * @param verdict how the student stood at that moment; null where nobody asked
 * @param figures what that verdict rested on; nothing about health is among them
 * @param reason why, where it was given against the verdict; may be empty
 * @param grading id of the grading at which it was given; may be null
 * @param at when it was recorded
 * @param announced the day it was said aloud; null: it can still be taken back
 * @param corrects id of an earlier one in whose place this one stands; null: none
 */
@RecordBuilder
@RecordBuilder.Options(inheritComponentAnnotations = false)
public record Promotion(
        String id,
        String student,
        String ladder,
        @Nullable String from,
        String to,
        int stripes,
        LocalDate date,
        @Usual("false") boolean fromBefore,
        Readiness.@Nullable Verdict verdict,
        List<Figure> figures,
        @Most(300) @Nullable String reason,
        @Nullable String grading,
        Instant at,
        @Most(40) String by,
        @Nullable LocalDate announced,
        @Nullable String corrects) {

    /** One condition as it stood: what was there, what was asked, and whether that was enough. */
    public record Figure(Condition.Code code, String label, String have, String need, boolean met) {
        public Figure {
            Require.present("the code of a figure", code);
        }
    }

    public Promotion {
        Require.id("a promotion", id);
        Require.present("the student of this promotion", student);
        Require.present("the ladder of this promotion", ladder);
        Require.present("the rank of this promotion", to);
        Require.within("the stripes of this promotion", stripes, 0, 9);
        Require.present("the day of this promotion", date);
        figures = Require.list(figures);
        reason = reason == null ? "" : reason;
        at = at == null ? Instant.EPOCH : at;
        if (id.equals(corrects)) {
            throw new IllegalArgumentException("this promotion corrects itself");
        }
    }

    /** The same as it is kept: with how the student stood, when it was recorded and by whom. */
    public Promotion stamped(Readiness.@Nullable Verdict stood, List<Figure> resting, Instant when, String account) {
        return PromotionBuilder.builder(this)
                .verdict(stood)
                .figures(resting)
                .at(when)
                .by(account)
                .build();
    }

    /** The same with what was stamped on another one. */
    public Promotion stampedLike(Promotion other) {
        return stamped(other.verdict, other.figures, other.at, other.by).announcedOn(other.announced);
    }

    /** The same, said aloud on a day; null: not yet. */
    public Promotion announcedOn(@Nullable LocalDate day) {
        return PromotionBuilder.builder(this).announced(day).build();
    }

    /** Whether it is a stripe on the rank held before. */
    public boolean onSameRank() {
        return to.equals(from);
    }

    /** What somebody sees who may not see how a student was judged. */
    public Promotion withoutReasons() {
        return PromotionBuilder.builder(this)
                .verdict(null)
                .figures(null)
                .reason(null)
                .build();
    }

    /** A rank that somebody came with. */
    public static Promotion fromBefore(
            String id, String student, String ladder, String rank, int stripes, LocalDate since) {
        return PromotionBuilder.builder()
                .id(id)
                .student(student)
                .ladder(ladder)
                .to(rank)
                .stripes(stripes)
                .date(since)
                .fromBefore(true)
                .build();
    }
}
