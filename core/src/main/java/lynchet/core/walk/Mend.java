package lynchet.core.walk;

import java.util.List;

/**
 * A cheap set of techniques to add so that a finding goes away.
 *
 * @param techniques ids to add, missing prerequisites included, in order of id
 * @param cost sum of {@code learn} over them, each counted once
 * @param cheapest whether nothing cheaper exists; false: the search was cut short and this is a cheap one
 * @param way how it goes, a sentence a move
 * @param walk ids of the positions it passes, in order; none where it is only an order of teaching
 */
public record Mend(List<String> techniques, int cost, boolean cheapest, List<String> way, List<String> walk) {
    public Mend {
        techniques = List.copyOf(techniques);
        way = List.copyOf(way);
        walk = List.copyOf(walk);
    }
}
