package lynchet.core.pair;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A room in pairs and trios at the least cost (design: pairs). Who comes late or leaves afterwards is placed by the device in
 * hand, from the same table of couples, so that it can be done without the server.
 *
 * @param groups two or three people each
 * @param alone who is left for the coach
 */
public record Pairs(List<List<String>> groups, List<String> alone) {

    public Pairs {
        groups = groups.stream().map(List::copyOf).toList();
        alone = List.copyOf(alone);
    }

    /**
     * As many in pairs as the rules allow, at the least cost; the person who is left joins the pair that costs least as a third.
     *
     * @param here ids of those who are to be paired
     */
    public static Pairs of(Collection<String> here, Couples couples) {
        List<String> people = List.copyOf(new TreeSet<>(here));
        int n = people.size();
        int[] mates = LeastCost.matching(
                n,
                (i, j) ->
                        couples.fit(people.get(i), people.get(j)) ? couples.cost(people.get(i), people.get(j)) : null);
        List<List<String>> pairs = new ArrayList<>();
        List<String> left = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            if (mates[i] < 0) {
                left.add(people.get(i));
            } else if (i < mates[i]) {
                pairs.add(List.of(people.get(i), people.get(mates[i])));
            }
        }
        return trios(pairs, left, couples);
    }

    /** Those who are left as thirds, as many as possible and at the least cost, at most one to a pair. */
    private static Pairs trios(List<List<String>> pairs, List<String> left, Couples couples) {
        int many = left.size();
        int[] mates = LeastCost.matching(many + pairs.size(), (i, j) -> {
            int person = Math.min(i, j);
            int pair = Math.max(i, j) - many;
            return person < many && pair >= 0 ? third(left.get(person), pairs.get(pair), couples) : null;
        });
        List<List<String>> groups = new ArrayList<>();
        for (int k = 0; k < pairs.size(); k++) {
            int person = mates[many + k];
            groups.add(person < 0 ? pairs.get(k) : with(pairs.get(k), left.get(person)));
        }
        List<String> alone = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            if (mates[i] < 0) {
                alone.add(left.get(i));
            }
        }
        return new Pairs(groups, alone);
    }

    /** What it costs that somebody joins a pair; null where the rules say no. */
    private static @Nullable Integer third(String person, List<String> pair, Couples couples) {
        int sum = 0;
        for (String other : pair) {
            if (!couples.fit(person, other)) {
                return null;
            }
            sum += couples.cost(person, other);
        }
        return sum;
    }

    private static List<String> with(List<String> people, String another) {
        return Stream.concat(people.stream(), Stream.of(another)).toList();
    }
}
