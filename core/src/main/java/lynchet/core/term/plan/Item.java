package lynchet.core.term.plan;

import java.time.LocalDate;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Something that is to be taught, as the planner sees it.
 *
 * @param must whether it is examined, or has to be there all the same; else it comes where time allows
 * @param fresh whether the track meets it for the first time this term
 * @param standing whether it starts on the feet
 * @param first minutes when it is shown for the first time
 * @param again minutes when it is met again
 * @param falls falls that each person takes when it is drilled once in a class
 * @param needs ids of items that come before it
 * @param beside ids of items that stand next to it in a chain
 * @param theme monday of the week whose theme it is; null: none's
 */
public record Item(
        String id,
        String name,
        boolean must,
        boolean fresh,
        boolean standing,
        int first,
        int again,
        double falls,
        Set<String> needs,
        Set<String> beside,
        @Nullable LocalDate theme) {

    /** Introduced, and met again three times: then it is drilled. */
    public static final int MEETINGS = 4;

    public Item {
        needs = Set.copyOf(needs);
        beside = Set.copyOf(beside);
    }

    Item asMust() {
        return new Item(id, name, true, fresh, standing, first, again, falls, needs, beside, theme);
    }

    /** Minutes of its n-th meeting this term, 0 the first. */
    int minutes(int n) {
        return n == 0 && fresh ? first : again;
    }

    /** Minutes that it takes at least, over the term. */
    int least() {
        return minutes(0) + (MEETINGS - 1) * again;
    }

    @Override
    public String toString() {
        return id;
    }
}
