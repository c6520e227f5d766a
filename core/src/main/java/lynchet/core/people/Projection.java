package lynchet.core.people;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Optional;
import org.apache.commons.statistics.distribution.GammaDistribution;
import org.jspecify.annotations.Nullable;

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

    /** Further ahead no date is told: nobody knows, and nobody would believe it. */
    private static final int MOST_YEARS = 2;

    /** Why no date is told. */
    public enum Silence {
        /** No class in eight weeks. */
        NOT_ATTENDING,
        /** Fewer than four weeks, or classes, to tell a pace from. */
        TOO_EARLY,
        /** More than two years at this pace. */
        TOO_FAR
    }

    /** A date, or why there is none. */
    public record Answer(
            @Nullable Projection projection, @Nullable Silence silence) {

        private static Answer nothing(Silence silence) {
            return new Answer(null, silence);
        }

        Optional<LocalDate> median() {
            return Optional.ofNullable(projection).map(Projection::median);
        }
    }

    /** @param sinceRank classes counted since the rank was given */
    static Answer of(int toGo, Recent recent, int sinceRank, LocalDate joined, ClubPace pace, LocalDate today) {
        if (toGo <= 0) {
            return new Answer(new Projection(0, today, today, today), null);
        }
        if (recent.classes() == 0) {
            return Answer.nothing(Silence.NOT_ATTENDING);
        }
        if (recent.isTooEarly(sinceRank, today)) {
            return Answer.nothing(Silence.TOO_EARLY);
        }
        int weeks = (int) pace.openWeeks().stream()
                .filter(monday -> !monday.plusDays(6).isBefore(joined))
                .limit(ClubPace.WEEKS)
                .count();
        double perWeek = perWeek(recent.classes(), weeks, pace.classesAWeek());
        Projection told = new Projection(
                perWeek,
                after(today, weeks(toGo, perWeek, 0.5)),
                after(today, weeks(toGo, perWeek, 0.2)),
                after(today, weeks(toGo, perWeek, 0.8)));
        return isTooFar(told.median(), today) ? Answer.nothing(Silence.TOO_FAR) : new Answer(told, null);
    }

    static boolean isTooFar(LocalDate day, LocalDate today) {
        return day.isAfter(today.plusYears(MOST_YEARS));
    }

    static LocalDate mondayOf(LocalDate day) {
        return day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }

    private static LocalDate after(LocalDate today, double weeks) {
        return today.plusDays((long) Math.ceil(Math.min(weeks, 5200) * 7));
    }
}
