package lynchet.core.people;

import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import lynchet.core.map.GrapplingMap;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.rank.SyllabusGroup;

/**
 * Promotion windows that went by while a student had met everything and nobody held them: what a coach is told, so that
 * nobody is forgotten. Where it is not known when something was met, the latest day it can have been is taken.
 *
 * <p>Worked: windows in March, July and November, everything met on 2 February, nothing given until today, 1 December: three.
 */
public final class PassedOver {

    private final Readiness.Question asked;
    private final LadderCount count;
    private final Progress progress;

    private PassedOver(Readiness.Question asked, LadderCount count) {
        this.asked = asked;
        this.count = count;
        this.progress = new Progress(asked.state(), asked.map());
    }

    /**
     * @param asked about somebody who is eligible now
     * @param classesMet the day on which the classes were there
     * @return windows that are over, 0 or more
     */
    public static int windows(Readiness.Question asked, LocalDate classesMet) {
        LadderCount count = asked.state().ladders().get(asked.ladder().id());
        PassedOver over = new PassedOver(asked, count);
        LocalDate met = over.metOn(classesMet);
        int windows = 0;
        YearMonth month = YearMonth.from(met);
        for (; month.isBefore(YearMonth.from(asked.today())); month = month.plusMonths(1)) {
            LocalDate last = month.atEndOfMonth();
            List<Integer> months = asked.ladder().policy().promotionMonths();
            boolean isWindow = months.isEmpty() || months.contains(month.getMonthValue());
            windows += isWindow && !over.wasStopped(last.withDayOfMonth(1), last) ? 1 : 0;
        }
        return windows;
    }

    /** Whether somebody held them back, or something limited them, in some of these days. */
    private boolean wasStopped(LocalDate first, LocalDate last) {
        Student student = asked.student();
        return student.holds().stream()
                        .anyMatch(hold -> !hold.from().isAfter(last)
                                && (hold.ended() == null || hold.ended().isAfter(first)))
                || student.restrictions().stream()
                        .anyMatch(limit -> !limit.from().isAfter(last) && limit.holdsFrom(first));
    }

    private LocalDate metOn(LocalDate classesMet) {
        Ladder ladder = asked.ladder();
        Rank rank = ladder.rank(count.held().rank()).orElseThrow();
        GrapplingMap map = asked.map();
        Stream<LocalDate> fixed = Stream.of(classesMet, count.held().since().plusWeeks(rank.minWeeks()));
        Stream<LocalDate> age = ladder
                .after(rank.id())
                .filter(next -> next.minAge() > 0 && asked.student().born() != null)
                .map(next -> asked.student().born().plusYears(next.minAge()))
                .stream();
        Stream<LocalDate> syllabus = rank.syllabus().stream().flatMap(group -> met(group).stream());
        Stream<LocalDate> falls = progress.falls(rank).stream()
                .flatMap(fall -> asked.state().marks().firstPass(fall).stream())
                .map(PassedOver::day);
        Stream<LocalDate> besides = Stream.of(
                        ladder.policy().chart() ? asked.besides().chart() : null,
                        ladder.policy().conduct() ? asked.besides().conduct() : null,
                        ladder.policy().seminars() ? asked.besides().seminar() : null)
                .filter(Objects::nonNull);
        return Stream.of(fixed, age, syllabus, falls, besides)
                .flatMap(days -> days)
                .max(LocalDate::compareTo)
                .orElseThrow();
    }

    /** The day on which the last of the items that were needed was there. */
    private Optional<LocalDate> met(SyllabusGroup group) {
        return group.items().stream()
                .map(item -> progress.metOn(item, asked.today()))
                .flatMap(Optional::stream)
                .sorted()
                .limit(group.needed())
                .max(LocalDate::compareTo);
    }

    static LocalDate day(Instant at) {
        return at.atZone(ZoneOffset.UTC).toLocalDate();
    }
}
