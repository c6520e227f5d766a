package lynchet.core.promote;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What has to be bought before belts are given: what is wanted by colours and size, less what is in the cupboard.
 *
 * <p>Worked: two yellow belts of 260 wanted, one in the cupboard: one to order; three orange ones there and none wanted: nothing.
 *
 * @param lines by colours, then by size, those alone that somebody wants
 * @param unsized students whose size nobody knows
 */
public record BeltOrder(List<BeltLine> lines, List<String> unsized) {

    /** A belt that somebody is about to be given; {@code size} null: not known. */
    public record NeededBelt(
            String student, List<String> colours, @Nullable String size) {}

    /** One kind of belt. */
    public record BeltLine(List<String> colours, String size, int wanted, int there, int order) {}

    private record Kind(List<String> colours, String size) {}

    public static BeltOrder of(List<NeededBelt> wanted, List<Belt> cupboard) {
        Map<Kind, Integer> counts = new LinkedHashMap<>();
        List<String> unsized = new ArrayList<>();
        for (NeededBelt one : wanted) {
            if (one.size() == null || one.size().isBlank()) {
                unsized.add(one.student());
            } else {
                counts.merge(new Kind(one.colours(), one.size().strip()), 1, Integer::sum);
            }
        }
        List<BeltLine> lines = new ArrayList<>();
        counts.forEach((kind, count) -> {
            int there = cupboard.stream()
                    .filter(belt -> belt.colours().equals(kind.colours())
                            && belt.size().strip().equals(kind.size()))
                    .mapToInt(Belt::count)
                    .sum();
            lines.add(new BeltLine(kind.colours(), kind.size(), count, there, Math.max(0, count - there)));
        });
        lines.sort(Comparator.comparing((BeltLine line) -> String.join("-", line.colours()))
                .thenComparing(BeltLine::size));
        return new BeltOrder(List.copyOf(lines), List.copyOf(unsized));
    }
}
