package lynchet.core.term.cycle;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import lynchet.core.mat.TrainingClass;
import lynchet.core.term.PlannedClasses.Stands;
import org.jspecify.annotations.Nullable;

/**
 * When somebody who begins now has been shown everything.
 *
 * @param first day of their first class; null: there is none to come
 * @param met how many subjects they have been shown after one round
 * @param of how many there are
 * @param all day on which the last was shown; null: not within two rounds
 */
public record Joining(
        @Nullable LocalDate first,
        int met,
        int of,
        @Nullable LocalDate all) {

    /**
     * Somebody who comes to some of the classes from a day on.
     *
     * @param comes whether they come to a class
     * @param portions what the classes of a week are about
     */
    public static Joining on(
            LocalDate day,
            ThemeCycle cycle,
            ThemeWeeks weeks,
            Predicate<TrainingClass> comes,
            Function<ThemeWeeks.Week, Portions> portions) {
        Set<String> every = new HashSet<>();
        cycle.themes().forEach(theme -> theme.subjects().forEach(one -> every.add(one)));
        int round = cycle.themes().size();
        List<ThemeWeeks.Week> ahead = weeks.from(day, 2 * round + 1).stream()
                .filter(week ->
                        week.classes().stream().anyMatch(one -> !one.date().isBefore(day) && comes.test(one)))
                .limit(2L * round)
                .toList();
        Set<String> shown = new HashSet<>();
        LocalDate first = null;
        LocalDate all = null;
        int met = 0;
        for (int n = 0; n < ahead.size(); n++) {
            List<TrainingClass> classes = ahead.get(n).classes();
            List<List<Stands>> about = portions.apply(ahead.get(n)).classes();
            for (int at = 0; at < classes.size(); at++) {
                TrainingClass one = classes.get(at);
                if (one.date().isBefore(day) || !comes.test(one)) {
                    continue;
                }
                first = first == null ? one.date() : first;
                about.get(at).stream()
                        .filter(Stands::isFirst)
                        .forEach(stands -> shown.add(stands.goal().subject()));
                if (all == null && shown.containsAll(every)) {
                    all = one.date();
                }
            }
            if (n < round) {
                met = shown.size();
            }
        }
        return new Joining(first, met, every.size(), every.isEmpty() ? null : all);
    }
}
