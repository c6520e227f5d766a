package lynchet.core.people;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lynchet.core.rule.Require;

/**
 * The rank that a student holds on a ladder, as their promotions say.
 *
 * @param stripes stripes on it now
 * @param since the day the rank was given
 * @param fromBefore whether they came with it
 */
public record HeldRank(String ladder, String rank, int stripes, LocalDate since, boolean fromBefore) {
    public HeldRank {
        Require.present("the ladder of a held rank", ladder);
        Require.present("the rank of a held rank", rank);
        Require.within("the stripes of a held rank", stripes, 0, 9);
        Require.present("the date of a held rank", since);
    }

    /** The rank after a promotion; a stripe on the same rank leaves the day it was given. */
    static HeldRank after(HeldRank was, Promotion given) {
        boolean sameRank = was != null && was.rank().equals(given.to());
        return new HeldRank(
                given.ladder(),
                given.to(),
                given.stripes(),
                sameRank ? was.since() : given.date(),
                sameRank ? was.fromBefore() : given.fromBefore());
    }

    /** Those that stand: what another one corrects does not, and neither does one that a correction of it corrected. */
    public static List<Promotion> standing(List<Promotion> promotions) {
        Set<String> corrected = promotions.stream()
                .flatMap(p -> Stream.ofNullable(p.corrects()))
                .collect(Collectors.toSet());
        return promotions.stream().filter(p -> !corrected.contains(p.id())).toList();
    }

    /** What somebody holds, by ladder, after promotions in any order; those of one day in the order of their stripes. */
    public static Map<String, HeldRank> of(List<Promotion> promotions) {
        Map<String, HeldRank> held = new LinkedHashMap<>();
        standing(promotions).stream()
                .sorted(Comparator.comparing(Promotion::date)
                        .thenComparing(Promotion::at)
                        .thenComparing(Promotion::id))
                .forEach(given -> held.put(given.ladder(), after(held.get(given.ladder()), given)));
        return held;
    }
}
