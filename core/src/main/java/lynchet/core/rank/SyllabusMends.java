package lynchet.core.rank;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import lynchet.core.card.Family;
import lynchet.core.card.Technique;
import lynchet.core.chain.Chain;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.Role;
import lynchet.core.mat.Standard;
import lynchet.core.rule.Phrases;
import lynchet.core.walk.Finding;

/** What can be changed in a ladder so that a finding about one of its ranks goes away; the coach looks and decides. */
public final class SyllabusMends {

    /** More is no mend but another syllabus. */
    private static final int MOST_MOVED = 12;

    /** Where what is added goes, where no group of its kind is there. */
    private static final String ALSO = "Also";

    private final SyllabusCheck check;
    private final GrapplingMap map;
    private final Map<String, Chain> chains;

    /** @param check the one that found it */
    public SyllabusMends(SyllabusCheck check, GrapplingMap map, List<Chain> chains) {
        this.check = check;
        this.map = map;
        this.chains = chains.stream().collect(Collectors.toMap(Chain::id, Function.identity(), (one, other) -> one));
    }

    /**
     * One way.
     *
     * @param words what a press would do, as it stands on the button
     * @param ranks what ranks would ask that ask something else now
     */
    public record RankMend(String words, List<MendedRank> ranks) {

        /** What one rank would ask. */
        public record MendedRank(String rank, List<SyllabusGroup> syllabus) {}
    }

    /** The ways that there are, the least change first; none where only a coach can know. */
    public List<RankMend> of(Ladder ladder, String rankId, Finding finding) {
        Rank rank = ladder.rank(rankId).orElseThrow();
        return switch (finding.code()) {
            case FALL_ORDER, ORDER, CHAIN_ORPHAN ->
                finding.mend() == null
                        ? List.of()
                        : List.of(taught(ladder, rank, finding.mend().techniques()));
            case CHOOSE_IMPOSSIBLE -> everyOne(ladder, rank, finding.item());
            case VERSION_CLASH -> houseVersion(ladder, rank, finding.item());
            case TOO_EARLY -> olderOrNot(ladder, rank, finding);
            case DUPLICATE, STANDARD_DROP ->
                itemOf(rank, finding.item()).map(item -> out(ladder, rank, item)).stream()
                        .toList();
            case OVERLOAD -> lighter(ladder, rank).stream().toList();
            default -> List.of();
        };
    }

    private static Optional<Item> itemOf(Rank rank, String id) {
        return rank.items().filter(item -> item.id().equals(id)).findFirst();
    }

    private static RankMend way(String words, Ladder before, Ladder after) {
        List<RankMend.MendedRank> asks = new ArrayList<>();
        for (Rank rank : after.ranks()) {
            if (!rank.equals(before.rank(rank.id()).orElseThrow())) {
                asks.add(new RankMend.MendedRank(rank.id(), rank.syllabus()));
            }
        }
        return new RankMend(words, asks);
    }

    private List<RankMend> everyOne(Ladder ladder, Rank rank, String group) {
        return rank.syllabus().stream()
                .filter(one -> one.name().equals(group) && !one.items().isEmpty())
                .map(one -> way(
                        "Ask for all " + one.items().size() + " of " + group,
                        ladder,
                        ladder.withRank(changing(rank, group, one.items()))))
                .limit(1)
                .toList();
    }

    /** The rank with other items in a group, all of which are asked. */
    private static Rank changing(Rank rank, String group, List<Item> items) {
        return rank.withSyllabus(rank.syllabus().stream()
                .map(one -> one.name().equals(group) ? new SyllabusGroup(group, 0, items) : one)
                .toList());
    }

    private List<RankMend> houseVersion(Ladder ladder, Rank rank, String id) {
        return itemOf(rank, id)
                .map(item -> {
                    Technique technique = map.technique(item.ref()).orElseThrow();
                    String house = technique.houseVersion();
                    return way(
                            (house == null ? "Examine any version of " : "Examine the house version of ")
                                    + technique.name(),
                            ladder,
                            ladder.withRank(with(rank, item, item.about(item.ref(), house))));
                })
                .stream()
                .toList();
    }

    private static Rank with(Rank rank, Item item, Item changed) {
        return rank.withSyllabus(rank.syllabus().stream()
                .map(group -> new SyllabusGroup(
                        group.name(),
                        group.choose(),
                        group.items().stream()
                                .map(one -> one.equals(item) ? changed : one)
                                .toList()))
                .toList());
    }

    /** The rank without some items; of what is left of a choice no more is asked than there is. */
    private static Rank without(Rank rank, Set<Item> items) {
        return rank.withSyllabus(rank.syllabus().stream()
                .map(group -> {
                    List<Item> left = group.items().stream()
                            .filter(item -> !items.contains(item))
                            .toList();
                    boolean isSame = left.size() == group.items().size();
                    return isSame
                            ? group
                            : new SyllabusGroup(group.name(), Math.min(group.choose(), left.size()), left);
                })
                .toList());
    }

    private RankMend out(Ladder ladder, Rank rank, Item item) {
        return way(
                "Take " + check.nameOf(item) + " out of " + rank.name(),
                ladder,
                ladder.withRank(without(rank, Set.of(item))));
    }

    private List<RankMend> olderOrNot(Ladder ladder, Rank rank, Finding finding) {
        Item item = itemOf(rank, finding.item()).orElse(null);
        if (item == null) {
            return List.of();
        }
        List<RankMend> ways = new ArrayList<>();
        if (item.standard().compareTo(Standard.SHOWN) > 0) {
            Ladder shown = ladder.withRank(with(rank, item, item.at(Standard.SHOWN)));
            if (!isTooEarly(shown, rank.id(), item.id())) {
                ways.add(way("Only show " + check.nameOf(item), ladder, shown));
            }
        }
        for (Rank later : ladder.ranks()
                .subList(ladder.indexOf(rank.id()) + 1, ladder.ranks().size())) {
            Ladder moved = moved(ladder, rank, later, List.of(item));
            if (!isTooEarly(moved, later.id(), item.id())) {
                ways.add(way("Move " + check.nameOf(item) + " to " + later.name(), ladder, moved));
                break;
            }
        }
        ways.add(out(ladder, rank, item));
        return ways;
    }

    private boolean isTooEarly(Ladder ladder, String rank, String item) {
        return new TeachingOrder(map, chains, ladder, rank)
                .ofItems().stream().anyMatch(one -> one.code() == Finding.Code.TOO_EARLY && item.equals(one.item()));
    }

    /** What is missing is taught here: brought forward from where it is taught later, else added. */
    private RankMend taught(Ladder ladder, Rank rank, List<String> techniques) {
        Ladder changed = ladder;
        Map<String, List<String>> brought = new LinkedHashMap<>();
        List<String> added = new ArrayList<>();
        for (String technique : techniques) {
            String name = map.technique(technique).orElseThrow().name();
            Rank here = changed.rank(rank.id()).orElseThrow();
            Optional<Placed> later = later(changed, rank, technique);
            if (later.isPresent()) {
                brought.computeIfAbsent(later.get().rank().name(), at -> new ArrayList<>())
                        .add(name);
                changed = moved(
                        changed, later.get().rank(), here, List.of(later.get().item()));
            } else {
                added.add(name);
                changed = changed.withRank(placing(here, fresh(changed, rank, technique)));
            }
        }
        List<String> words = new ArrayList<>();
        brought.forEach((from, names) -> words.add("bring " + Phrases.and(names) + " forward from " + from));
        if (!added.isEmpty()) {
            words.add("teach " + Phrases.and(added));
        }
        String said = Phrases.and(words);
        return way(
                Character.toUpperCase(said.charAt(0))
                        + said.substring(1)
                        + (brought.isEmpty() ? " at " + rank.name() : ""),
                ladder,
                changed);
    }

    private record Placed(Rank rank, Item item) {}

    /** Where a technique is asked of its performer after a rank, and must be met there. */
    private static Optional<Placed> later(Ladder ladder, Rank rank, String technique) {
        return ladder
                .ranks()
                .subList(ladder.indexOf(rank.id()) + 1, ladder.ranks().size())
                .stream()
                .flatMap(one -> one.syllabus().stream()
                        .filter(group -> !group.choosesSome())
                        .flatMap(group -> group.items().stream())
                        .filter(item -> item.kind() == Item.Kind.TECHNIQUE
                                && item.role() == Role.PERFORMER
                                && technique.equals(item.ref()))
                        .map(item -> new Placed(one, item)))
                .findFirst();
    }

    private Item fresh(Ladder ladder, Rank rank, String technique) {
        Set<String> taken =
                ladder.ranks().stream().flatMap(Rank::items).map(Item::id).collect(Collectors.toSet());
        String first = rank.id() + "-" + technique;
        first = first.substring(0, Math.min(first.length(), 70));
        String id = first;
        for (int n = 2; taken.contains(id); n++) {
            id = first + "-" + n;
        }
        boolean isSided = map.technique(technique).map(Technique::sided).orElse(false);
        return new Item(
                id,
                Item.Kind.TECHNIQUE,
                technique,
                null,
                null,
                Standard.SHOWN,
                isSided ? Sides.BOTH : Sides.EITHER,
                Role.PERFORMER,
                0,
                0);
    }

    private Ladder moved(Ladder ladder, Rank from, Rank to, List<Item> items) {
        Ladder changed = ladder.withRank(without(ladder.rank(from.id()).orElseThrow(), new HashSet<>(items)));
        for (Item item : items) {
            Rank there = changed.rank(to.id()).orElseThrow();
            changed = changed.withRank(placing(there, item.fromStripe(Math.min(item.stripe(), there.stripes()))));
        }
        return changed;
    }

    /** The rank with one item more: beside others of its kind, else in the first group of which all is asked. */
    private Rank placing(Rank rank, Item item) {
        Optional<Family> family = family(item);
        List<SyllabusGroup> whole =
                rank.syllabus().stream().filter(group -> group.choose() == 0).toList();
        Optional<SyllabusGroup> group = whole.stream()
                .filter(one ->
                        one.items().stream().anyMatch(other -> family(other).equals(family)))
                .findFirst()
                .or(() -> whole.stream().findFirst());
        if (group.isEmpty()) {
            List<SyllabusGroup> all = new ArrayList<>(rank.syllabus());
            all.add(new SyllabusGroup(ALSO, 0, List.of(item)));
            return rank.withSyllabus(all);
        }
        List<Item> items = new ArrayList<>(group.get().items());
        items.add(item);
        return changing(rank, group.get().name(), items);
    }

    private Optional<Family> family(Item item) {
        return Ladder.techniqueOf(item, map)
                .or(() -> Optional.ofNullable(item.ref()))
                .flatMap(map::technique)
                .map(Technique::family);
    }

    /** What takes most goes to the first rank above that has room for it, so long as nothing is taught before what it needs. */
    private Optional<RankMend> lighter(Ladder ladder, Rank rank) {
        for (Rank above : ladder.ranks()
                .subList(ladder.indexOf(rank.id()) + 1, ladder.ranks().size())) {
            List<Item> going = new ArrayList<>();
            Ladder changed = ladder;
            while (going.size() < MOST_MOVED && share(changed, rank) > TeachingLoad.HEAVY) {
                Optional<Item> next = heaviest(changed, rank, above);
                if (next.isEmpty()) {
                    break;
                }
                going.add(next.get());
                changed = moved(changed, rank, above, List.of(next.get()));
            }
            if (share(changed, rank) <= TeachingLoad.HEAVY) {
                String names = Phrases.and(going.stream().map(check::nameOf).toList());
                return Optional.of(way("Move " + names + " to " + above.name(), ladder, changed));
            }
        }
        return Optional.empty();
    }

    private double share(Ladder ladder, Rank rank) {
        return check.load(ladder, rank.id()).share();
    }

    private Optional<Item> heaviest(Ladder ladder, Rank rank, Rank above) {
        double before = check.load(ladder, rank.id()).needed();
        Map<Item, Double> saves = new LinkedHashMap<>();
        ladder.rank(rank.id()).orElseThrow().syllabus().stream()
                .filter(group -> group.choose() == 0)
                .flatMap(group -> group.items().stream())
                .forEach(item -> saves.put(
                        item,
                        before
                                - check.load(without(ladder, rank, item), rank.id())
                                        .needed()));
        int order = outOfOrder(ladder);
        return saves.entrySet().stream()
                .filter(one -> one.getValue() > 0)
                .sorted(Map.Entry.<Item, Double>comparingByValue().reversed())
                .map(Map.Entry::getKey)
                .filter(item -> {
                    Ladder changed = moved(ladder, rank, above, List.of(item));
                    return share(changed, above) <= TeachingLoad.HEAVY && outOfOrder(changed) <= order;
                })
                .findFirst();
    }

    private static Ladder without(Ladder ladder, Rank rank, Item item) {
        return ladder.withRank(without(ladder.rank(rank.id()).orElseThrow(), Set.of(item)));
    }

    /** How much is taught before what it needs, on the whole ladder. */
    private int outOfOrder(Ladder ladder) {
        int found = 0;
        for (Rank rank : ladder.ranks()) {
            TeachingOrder order = new TeachingOrder(map, chains, ladder, rank.id());
            found += order.ofAllTaught().size() + order.ofItems().size();
        }
        return found;
    }
}
