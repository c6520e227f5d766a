package lynchet.core.rank;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import lynchet.core.mat.Standard;
import lynchet.core.walk.Finding;

/**
 * What a rank asks for that was asked before: again at the same standard, or at a lower one. What could be chosen was not
 * surely asked.
 */
final class AskedAgain {

    private final Ladder ladder;
    private final Function<Item, String> name;

    AskedAgain(Ladder ladder, Function<Item, String> name) {
        this.ladder = ladder;
        this.name = name;
    }

    List<Finding> at(int rank) {
        List<Finding> findings = new ArrayList<>();
        List<Item> items = ladder.ranks().get(rank).items().toList();
        List<Item> before = askedBefore(rank);
        for (Item item : items) {
            best(before, item).ifPresent(had -> {
                if (had == item.standard()) {
                    findings.add(finding(
                            Finding.Code.DUPLICATE,
                            1,
                            item,
                            name.apply(item) + ": asked for before at the same standard."));
                } else if (had.compareTo(item.standard()) > 0) {
                    findings.add(finding(
                            Finding.Code.STANDARD_DROP,
                            2,
                            item,
                            name.apply(item) + ": asked for at a higher standard before."));
                }
            });
            before.add(item);
        }
        boolean isLast = rank == ladder.ranks().size() - 1;
        if (!isLast && items.stream().allMatch(item -> isNothingNew(askedBefore(rank), item))) {
            findings.add(new Finding(
                    Finding.Code.LADDER_GAP,
                    2,
                    null,
                    null,
                    null,
                    ladder.ranks().get(rank).name() + ": asks for nothing new.",
                    null));
        }
        return findings;
    }

    private boolean isNothingNew(List<Item> before, Item item) {
        return best(before, item)
                .filter(had -> had.compareTo(item.standard()) >= 0)
                .isPresent();
    }

    private List<Item> askedBefore(int rank) {
        List<Item> before = new ArrayList<>();
        for (Rank lower : ladder.ranks().subList(0, rank)) {
            lower.syllabus().stream()
                    .filter(group -> group.needed() >= group.items().size())
                    .forEach(group -> before.addAll(group.items()));
        }
        return before;
    }

    /** The highest standard at which the same was asked for on the same sides at least. */
    private static Optional<Standard> best(List<Item> before, Item item) {
        return before.stream()
                .filter(earlier -> covers(earlier, item))
                .map(Item::standard)
                .max(java.util.Comparator.naturalOrder());
    }

    private static boolean covers(Item earlier, Item item) {
        boolean isCountedAnew =
                switch (item.kind()) {
                    case LIVE_ROUNDS, HELPING_HOURS -> true;
                    case TECHNIQUE, COUNTER, CHAIN, WORDS, FORM, POSITION_GOAL -> false;
                };
        return !isCountedAnew
                && earlier.kind() == item.kind()
                && Objects.equals(earlier.ref(), item.ref())
                && Objects.equals(earlier.words(), item.words())
                && earlier.count() == item.count()
                && earlier.role() == item.role()
                && (item.version() == null || item.version().equals(earlier.version()))
                && earlier.sides().covers(item.sides());
    }

    private static Finding finding(Finding.Code code, int severity, Item item, String sentence) {
        String technique = item.kind() == Item.Kind.TECHNIQUE ? item.ref() : null;
        return Finding.ofItem(code, severity, technique, item.id(), sentence, null);
    }
}
