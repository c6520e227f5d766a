package lynchet.core.mat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import org.jspecify.annotations.Nullable;

/**
 * Who worked with whom in a class, or in one block of it.
 *
 * @param block id of the block it was made for; null: for the evening
 * @param round which of the class's pairs they are, 1 the first; a device without the server counts on from what it knows
 * @param groups two or three people each, in the order they stand on the wall
 * @param at when it was made
 * @param by account of the person who made it
 */
public record Pairing(
        String id,
        String classId,
        @Nullable String block,
        int round,
        @Most(200) List<Together> groups,
        @Nullable Instant at,
        @Most(40) @Nullable String by) {

    /**
     * Two or three who work together; one who works with the coach is in none.
     *
     * @param anyway what stood against them and was lifted by the coach who made the pairing, as codes; empty: nothing
     */
    public record Together(
            @Most(3) List<String> people, @Most(10) List<@Most(20) String> anyway) {
        public Together {
            people = Require.list(people);
            anyway = Require.list(anyway);
        }

        public Together(List<String> people) {
            this(people, List.of());
        }
    }

    public Pairing {
        Require.id("a pairing", id);
        Require.present("the class of this pairing", classId);
        Require.within("the round of this pairing", round, 0, 200);
        groups = Require.list(groups);
        List<String> all = new ArrayList<>();
        groups.forEach(group -> all.addAll(group.people()));
        if (all.stream().distinct().count() != all.size()) {
            throw new IllegalArgumentException("this pairing names somebody twice");
        }
    }

    /** The same pairing, as the house writes down who made it and when. */
    public Pairing stamped(@Nullable Instant when, @Nullable String account) {
        return new Pairing(id, classId, block, round, groups, when, account);
    }
}
