package lynchet.core.leak;

import java.util.List;
import lynchet.core.round.Round;
import org.jspecify.annotations.Nullable;

/**
 * A position from which members are caught, what catches them there, and what would answer it.
 *
 * @param position id of the position of the one who finishes them
 * @param times how often in the window
 * @param before how often in the window before, which is as long
 * @param per100 how often in a hundred rounds; null: too few for a rate, fewer than {@link Leaks#RATE} times
 * @param per100Before the same of the window before; null: no rate is told
 * @param finishes what they were caught with, the most frequent first
 * @param whose ids of those who were caught, the most often caught first
 * @param answers ways out of it for the one who is caught, the best known first; empty: the map has none
 * @param says what a coach would say of it
 */
public record Leak(
        String position,
        int times,
        int before,
        @Nullable Double per100,
        @Nullable Double per100Before,
        List<Finish> finishes,
        List<String> whose,
        List<Answer> answers,
        String says) {

    /** @param technique id of the technique; null: nobody saw which */
    public record Finish(Round.How how, @Nullable String technique, int times) {}

    /**
     * One way out of it, and how far those who were caught are with it.
     *
     * @param link id of the link that starts where they are caught
     * @param taught how many of them have been shown it, here or before
     * @param drilled how many have practised it here
     * @param fresh how many of those are likely to remember it
     * @param rusty how many of those are likely to have lost it
     * @param fromBefore how many only brought it from elsewhere
     */
    public record Answer(
            String link, String technique, int taught, int drilled, int fresh, int rusty, int fromBefore) {}
}
