package lynchet.core.round;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The same thing logged so many times.
 *
 * @param mine whether the one who is asked about did it; what everybody did is mine
 * @param begins whether it was the first thing of its round
 * @param link id of the link tried; null for a change of position without a name
 * @param position id of the position that the person who did it is in afterwards; null: where the link says
 * @param reaction id of the other one's reaction; null: none that has a name
 * @param card whether it is the end of a card, which says what worked and nothing of what was tried before
 */
public record Logged(
        boolean mine,
        boolean begins,
        @Nullable String link,
        @Nullable String position,
        @Nullable String reaction,
        Round.Intent intent,
        Round.Outcome outcome,
        boolean card,
        int count) {

    private record What(
            boolean mine,
            boolean begins,
            String link,
            String position,
            String reaction,
            Round.Intent intent,
            Round.Outcome outcome,
            boolean card) {}

    /** What rounds say, counted; each thing once with its number. */
    public static List<Logged> count(List<Round> rounds, RoundFilter filter) {
        Map<What, Integer> counts = new LinkedHashMap<>();
        for (Round round : rounds) {
            if (!filter.takes(round)) {
                continue;
            }
            boolean begins = true;
            for (Round.Event e : round.events()) {
                counts.merge(
                        new What(
                                isMine(round, e.who(), filter),
                                begins,
                                e.link(),
                                e.position(),
                                e.reaction(),
                                e.intent(),
                                e.outcome(),
                                false),
                        1,
                        Integer::sum);
                begins = false;
            }
            Round.Ended end = round.ended();
            if (round.hasNoLog() && end.winner() != null && end.position() != null) {
                counts.merge(
                        new What(
                                isMine(round, end.winner(), filter),
                                false,
                                end.link(),
                                end.position(),
                                null,
                                Round.Intent.TRY,
                                Round.Outcome.WORKED,
                                true),
                        1,
                        Integer::sum);
            }
        }
        List<Logged> all = new ArrayList<>();
        counts.forEach((w, n) ->
                all.add(new Logged(w.mine, w.begins, w.link, w.position, w.reaction, w.intent, w.outcome, w.card, n)));
        return List.copyOf(all);
    }

    private static boolean isMine(Round round, Round.Who who, RoundFilter filter) {
        return filter.student() == null || filter.student().equals(round.member(who));
    }
}
