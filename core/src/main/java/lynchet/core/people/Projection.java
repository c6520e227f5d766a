package lynchet.core.people;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Optional;
import org.apache.commons.statistics.distribution.GammaDistribution;

/**
 * When the classes still missing will have been attended.
 *
 * <p>λ = (classes in the last 8 weeks + 2c)/(w + 2) a week; waiting for m classes is Gamma(m, λ). Worked: 14 classes,
 * w = 8, c = 1.5 gives λ = 1.7; 9 to go gives a median of 5.10 weeks.
 *
 * @param perWeek λ
 * @param median the day by which it is as likely as not
 * @param early one time in five it is sooner
 * @param late one time in five it is later
 */
public record Projection(double perWeek, LocalDate median, LocalDate early, LocalDate late) {

    /** λ from classes attended, weeks that count and the club's mean. */
    static double perWeek(int attended, int weeks, double clubMean) {
        return (attended + 2 * clubMean) / (weeks + 2);
    }

    /** Weeks until {@code toGo} more classes with the given probability. */
    static double weeks(int toGo, double perWeek, double probability) {
        return GammaDistribution.of(toGo, 1 / perWeek).inverseCumulativeProbability(probability);
    }

    /**
     * @param recent the student's counted classes of the last eight weeks
     * @return empty when there was no class in eight weeks: not attending, no date
     */
    static Optional<Projection> of(int toGo, int recent, LocalDate joined, ClubPace pace, LocalDate today) {
        if (toGo <= 0) {
            return Optional.of(new Projection(0, today, today, today));
        }
        if (recent == 0) {
            return Optional.empty();
        }
        int weeks = (int) pace.openWeeks().stream()
                .filter(monday -> !monday.plusDays(6).isBefore(joined))
                .limit(ClubPace.WEEKS)
                .count();
        double perWeek = perWeek(recent, weeks, pace.classesAWeek());
        return Optional.of(new Projection(
                perWeek,
                after(today, weeks(toGo, perWeek, 0.5)),
                after(today, weeks(toGo, perWeek, 0.2)),
                after(today, weeks(toGo, perWeek, 0.8))));
    }

    static LocalDate mondayOf(LocalDate day) {
        return day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }

    private static LocalDate after(LocalDate today, double weeks) {
        return today.plusDays((long) Math.ceil(Math.min(weeks, 5200) * 7));
    }
}
