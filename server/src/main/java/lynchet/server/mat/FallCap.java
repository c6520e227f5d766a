package lynchet.server.mat;

import java.sql.Date;
import java.time.LocalDate;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.mat.ClassSum;
import lynchet.core.mat.TrainingClass;
import lynchet.core.numbers.ClubNumbers;
import lynchet.server.club.Snapshot;
import lynchet.server.keep.AccountRights;
import lynchet.server.keep.Refusal;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Component;

/** At most so many falls a class for each person; a head coach lets there be more for one class, and writes why. */
@Component
class FallCap {

    private final JdbcTemplate jdbc;

    FallCap(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * Lets a class pass that throws nobody more often than the club's numbers say, or no more often than it did.
     *
     * @param before the class as it was; null: it is new
     * @throws Refusal 422 if it has too many falls and nobody who may has written why
     */
    void check(TrainingClass changed, @Nullable TrainingClass before, Snapshot now, Authentication who) {
        int most = most(changed.track(), changed.date(), now.numbers());
        double falls = falls(changed, now);
        boolean isMore = before == null || falls > falls(before, now);
        String reason = changed.fallsReason();
        boolean isSaid = reason != null && !reason.isBlank();
        boolean isNewlySaid = isSaid && (before == null || !reason.equals(before.fallsReason()));
        if (isNewlySaid && !AccountRights.isHead(who)) {
            throw Refusal.bad("FALLS_MANY", "/fallsReason", "A head coach decides that there may be more falls.");
        }
        if (falls > most && isMore && !isSaid) {
            throw Refusal.bad(
                    "FALLS_MANY",
                    "/fallsReason",
                    "This throws each of them " + Math.round(falls) + " times, and " + most
                            + " is the most. Take some out, or let a head coach write why there may be more this once.");
        }
    }

    private static double falls(TrainingClass training, Snapshot now) {
        return ClassSum.of(training, now.map()::technique, chain -> now.chain(chain)
                        .falls(now.map()))
                .falls();
    }

    /** Few where more than half of the track are juniors. */
    private int most(String track, LocalDate day, ClubNumbers numbers) {
        int[] young = new int[2];
        jdbc.query(
                "select count(*), coalesce(sum(case when s.born > ? then 1 else 0 end), 0) from student s"
                        + " join points_at p on p.part = ? and p.target = ? and p.pointed = ? and p.thing = s.id"
                        + " where s.left_on is null",
                row -> {
                    young[0] = row.getInt(1);
                    young[1] = row.getInt(2);
                },
                Date.valueOf(day.minusYears(numbers.juniorsBelow())),
                Parts.PEOPLE.name(),
                Target.TRACK.name(),
                track);
        return young[1] * 2 > young[0] ? numbers.fewFalls() : numbers.mostFalls();
    }
}
