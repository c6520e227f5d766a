package lynchet.core.leak;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import lynchet.core.round.Round;
import lynchet.core.round.RoundFilter;
import org.jspecify.annotations.Nullable;

/**
 * Somebody was finished in the same way so many times.
 *
 * @param position id of the position of the one who finished them; null: not seen
 * @param how how it ended, one of {@link #FINISHES}
 * @param link id of the link it ended with; null: not seen
 * @param student id of the one who was caught
 * @param times 1 or more
 */
public record Caught(
        @Nullable String position, Round.How how, @Nullable String link, String student, int times) {

    /** A lead on points says who was better, not what somebody was caught with. */
    public static final Set<Round.How> FINISHES = EnumSet.of(Round.How.TAP, Round.How.THROW, Round.How.PIN);

    /** Who was caught in these rounds, each way once with its number, in order of student, position and link. */
    public static List<Caught> in(List<Round> rounds, RoundFilter filter) {
        Map<List<String>, Caught> all = new TreeMap<>(java.util.Comparator.comparing(Object::toString));
        for (Round round : rounds) {
            Round.Ended end = round.ended();
            String loser = round.loser();
            boolean isMeant = filter.student() == null || filter.student().equals(loser);
            if (loser != null && isMeant && FINISHES.contains(end.how()) && filter.takes(round)) {
                List<String> key = new ArrayList<>(List.of(loser, String.valueOf(end.position())));
                key.add(String.valueOf(end.link()));
                key.add(end.how().name());
                all.merge(
                        key,
                        new Caught(end.position(), end.how(), end.link(), loser, 1),
                        (one, more) -> new Caught(one.position, one.how, one.link, one.student, one.times + 1));
            }
        }
        return List.copyOf(all.values());
    }
}
