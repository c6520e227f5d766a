package lynchet.core.club;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import lynchet.core.card.Hazard;
import lynchet.core.card.Technique;
import lynchet.core.chain.Chain;
import lynchet.core.map.Position;
import lynchet.core.map.PositionPair;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.mat.DrillShape;
import lynchet.core.numbers.Ages;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rule.Phrases;
import lynchet.core.safety.Cautions;
import lynchet.core.words.Word;

/** What a coach would notice of a difference between the club and the library, in sentences. */
final class LibrarySays {

    /** How many are named one by one. */
    private static final int MOST_NAMES = 6;

    /** Below this age nobody is counted in years. */
    private static final int GROWN = 99;

    private final Club club;
    private final Club library;

    LibrarySays(Club club, Club library) {
        this.club = club;
        this.library = library;
    }

    /** What a thing is called. */
    String name(Object thing, String id) {
        if (thing instanceof LibraryUpdate.RankAsks asked) {
            return library.ladders().stream()
                    .filter(ladder -> ladder.id().equals(asked.ladder()))
                    .flatMap(ladder ->
                            ladder.rank(asked.rank()).stream().map(rank -> ladder.name() + ": " + rank.name()))
                    .findFirst()
                    .orElse(id);
        }
        if (thing instanceof PositionPair pair) {
            return pair.first().name();
        }
        if (thing instanceof Technique technique) {
            return technique.name();
        }
        if (thing instanceof Chain chain) {
            return chain.name();
        }
        if (thing instanceof Ladder ladder) {
            return ladder.name();
        }
        if (thing instanceof Ruleset ruleset) {
            return ruleset.name();
        }
        if (thing instanceof Reaction reaction) {
            return reaction.text();
        }
        if (thing instanceof Word word) {
            return word.term();
        }
        return thing instanceof DrillShape drill ? drill.name() : id.replace('-', ' ');
    }

    /** What somebody may be hurt by: hazards, ages, what is illegal for whom, what is done before it is locked. */
    List<String> aboutSafety(Object own, Object theirs) {
        List<String> says = new ArrayList<>();
        if (own instanceof Technique before && theirs instanceof Technique after) {
            ages(Ages.of(before), Ages.of(after), says);
            Set<Hazard> added = less(after.hazards(), before.hazards());
            added.forEach(
                    hazard -> says.add("New caution: " + Cautions.of(hazard).text()));
            less(before.hazards(), after.hazards())
                    .forEach(hazard ->
                            says.add("No longer said: " + Cautions.of(hazard).text()));
        }
        if (own instanceof Ruleset before && theirs instanceof Ruleset after) {
            limits(before, after, says);
        }
        if (own instanceof PositionPair before && theirs instanceof PositionPair after) {
            Map<String, Position> had =
                    before.positions().stream().collect(Collectors.toMap(Position::id, Function.identity()));
            after.positions().forEach(position -> position.cautions().stream()
                    .filter(caution -> !had.containsKey(position.id())
                            || !had.get(position.id()).cautions().contains(caution))
                    .forEach(caution -> says.add(position.name() + ": " + caution)));
        }
        return says;
    }

    private static void ages(Ages before, Ages after, List<String> says) {
        if (after.never() && !before.never()) {
            says.add("Nobody trains it any more, at any age.");
        } else if (after.from() > before.from()) {
            says.add((after.from() - 1) + "-year-olds may no longer do it: from " + after.from() + " on.");
        } else if (after.from() < before.from()) {
            says.add("From " + after.from() + " on, where it was " + before.from() + ".");
        }
        if (after.shownBelow() > Math.max(before.shownBelow(), after.from())) {
            says.add((after.shownBelow() - 1) + "-year-olds may no longer try it live, only be shown it.");
        } else if (after.shownBelow() < before.shownBelow() && !after.never()) {
            says.add("Tried live from " + Math.max(after.shownBelow(), after.from()) + " on, where it was "
                    + before.shownBelow() + ".");
        }
    }

    private static void limits(Ruleset before, Ruleset after, List<String> says) {
        for (Hazard hazard : Hazard.values()) {
            int was = below(before, hazard);
            int is = below(after, hazard);
            if (is != was) {
                String what = plain(hazard) + ": ";
                says.add(what
                        + (is == GROWN
                                ? "not legal any more, at any age."
                                : is > was
                                        ? (is - 1) + "-year-olds may no longer: legal from " + is + " on."
                                        : "legal from " + is + " on, where it was "
                                                + (was == GROWN ? "at no age." : was + ".")));
            }
        }
    }

    /** Below which age it is illegal; 0: at none. */
    private static int below(Ruleset rules, Hazard hazard) {
        return rules.illegalHazards().stream()
                .filter(limit -> limit.hazard() == hazard)
                .mapToInt(limit -> limit.belowAge() == 0 ? GROWN : limit.belowAge())
                .max()
                .orElse(0);
    }

    private static String plain(Hazard hazard) {
        String words = hazard.name().replace('_', ' ').toLowerCase(Locale.ROOT);
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    private static Set<Hazard> less(Set<Hazard> from, Set<Hazard> what) {
        Set<Hazard> left = EnumSet.noneOf(Hazard.class);
        left.addAll(from);
        left.removeAll(what);
        return left;
    }

    /** What a rank asks for and did not, or the other way round. */
    List<String> aboutSyllabus(LibraryUpdate.RankAsks own, LibraryUpdate.RankAsks theirs) {
        Map<String, Item> before = byWhat(own);
        Map<String, Item> after = byWhat(theirs);
        List<String> says = new ArrayList<>();
        say("Asks for ", after, before, library, says);
        say("No longer asks for ", before, after, club, says);
        List<String> changed = after.keySet().stream()
                .filter(what -> before.containsKey(what) && !isAlike(before.get(what), after.get(what)))
                .map(what -> name(after.get(what), library))
                .toList();
        if (!changed.isEmpty()) {
            says.add("At another standard, side or stripe: " + names(changed) + ".");
        }
        if (says.isEmpty()) {
            says.add("The same in another order or under other headings.");
        }
        return says;
    }

    private static Map<String, Item> byWhat(LibraryUpdate.RankAsks asked) {
        return asked.syllabus().stream()
                .flatMap(group -> group.items().stream())
                .collect(Collectors.toMap(
                        item -> item.kind() + " " + item.subject() + " " + item.role(),
                        Function.identity(),
                        (one, other) -> one,
                        java.util.LinkedHashMap::new));
    }

    private static boolean isAlike(Item one, Item other) {
        return one.standard() == other.standard()
                && one.sides() == other.sides()
                && one.stripe() == other.stripe()
                && one.count() == other.count();
    }

    private static void say(
            String start, Map<String, Item> these, Map<String, Item> notThese, Club named, List<String> says) {
        List<String> names = these.keySet().stream()
                .filter(what -> !notThese.containsKey(what))
                .map(what -> name(these.get(what), named))
                .toList();
        if (!names.isEmpty()) {
            says.add(start + names(names) + ".");
        }
    }

    private static String names(List<String> names) {
        int more = names.size() - MOST_NAMES;
        return more <= 1
                ? Phrases.and(names)
                : String.join(", ", names.subList(0, MOST_NAMES)) + " and " + more + " more";
    }

    private static String name(Item item, Club club) {
        return switch (item.kind()) {
            case TECHNIQUE -> technique(item.ref(), club).orElse(item.ref());
            case COUNTER ->
                club.map().links().stream()
                        .filter(link -> link.id().equals(item.ref()))
                        .findFirst()
                        .flatMap(link -> technique(link.technique(), club))
                        .orElse(item.ref());
            case CHAIN ->
                club.chains().stream()
                        .filter(chain -> chain.id().equals(item.ref()))
                        .findFirst()
                        .map(chain -> chain.name())
                        .orElse(item.ref());
            case POSITION_GOAL ->
                "holding "
                        + club.map().pairs().stream()
                                .flatMap(pair -> pair.positions().stream())
                                .filter(position -> position.id().equals(item.ref()))
                                .findFirst()
                                .map(Position::name)
                                .orElse(item.ref());
            case WORDS, FORM, LIVE_ROUNDS, HELPING_HOURS -> item.words();
        };
    }

    private static Optional<String> technique(String id, Club club) {
        return club.map().techniques().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .map(Technique::name);
    }
}
