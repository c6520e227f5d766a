package lynchet.core.club;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lynchet.core.card.Fault;
import lynchet.core.card.Need;
import lynchet.core.card.Technique;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainStep;
import lynchet.core.map.Link;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.words.Word;

/**
 * What has to come along with what is taken from the library, so that nothing points at what the club does not have: a rank
 * brings its new techniques, a technique its falls and its links, a link its positions and reactions.
 */
final class LibraryNeeds {

    private final Map<String, Object> things;
    private final Set<String> had;
    private final Set<String> moved;
    private final List<Chain> chains;
    private final Map<String, String> pairOf;
    private final Map<String, List<Link>> linksOf;
    private final Map<String, List<Link>> answers;

    /** @param moved keys of what the library changed or has no more, and the club has as it was taken */
    LibraryNeeds(Club club, Club library, Set<String> moved) {
        this.moved = moved;
        this.chains = club.chains();
        this.things = LibraryUpdate.things(library);
        this.had = LibraryUpdate.things(club).keySet();
        this.pairOf = library.map().pairs().stream()
                .flatMap(pair -> pair.positions().stream().map(at -> Map.entry(at.id(), pair.id())))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
        this.linksOf = library.map().links().stream().collect(Collectors.groupingBy(Link::technique));
        this.answers = Stream.concat(library.map().links().stream(), club.map().links().stream())
                .filter(link -> link.when() != null)
                .collect(Collectors.groupingBy(Link::when));
    }

    /** These keys and all that has to come along, as the library has it. */
    Set<String> with(Set<String> keys) {
        Set<String> all = new LinkedHashSet<>(keys);
        ArrayDeque<String> toLookAt = new ArrayDeque<>(keys);
        while (!toLookAt.isEmpty()) {
            String looked = toLookAt.poll();
            Object thing = things.get(looked);
            // A link and the reactions beside it move together, or an answer would start where nobody stands.
            boolean moves = thing == null || thing instanceof Link || thing instanceof Reaction;
            (thing == null ? chainsWith(looked) : names(thing))
                    .filter(key -> things.containsKey(key) && !had.contains(key) || moves && moved.contains(key))
                    .filter(all::add)
                    .forEach(toLookAt::add);
        }
        return all;
    }

    /** The club's chains that use a link which goes. */
    private Stream<String> chainsWith(String link) {
        return chains.stream()
                .filter(chain -> chain.first() != null)
                .filter(chain -> {
                    List<String> links = new ArrayList<>();
                    collect(chain.first(), links);
                    return links.stream().anyMatch(one -> key(Parts.LINKS, one).equals(link));
                })
                .map(chain -> key(Parts.CHAINS, chain.id()));
    }

    private Stream<String> names(Object thing) {
        if (thing instanceof LibraryUpdate.RankAsks asked) {
            return asked.syllabus().stream()
                    .flatMap(group -> group.items().stream())
                    .flatMap(this::item);
        }
        if (thing instanceof Ladder ladder) {
            return Stream.of(key(Parts.RULESETS, ladder.ruleset()), key(Parts.LADDERS, ladder.nextLadder()));
        }
        if (thing instanceof Ruleset rules) {
            return Stream.concat(all(Parts.TECHNIQUES, rules.illegalTechniques()), places(named(rules)));
        }
        if (thing instanceof Technique technique) {
            return Stream.of(
                            all(Parts.TECHNIQUES, technique.prerequisites()),
                            all(Parts.TECHNIQUES, technique.receiverFalls()),
                            all(Parts.TECHNIQUES, technique.carriesOverTo()),
                            all(Parts.LINKS, technique.faults(), Fault::opens),
                            all(Parts.LINKS, linksOf.getOrDefault(technique.id(), List.of()), Link::id))
                    .flatMap(Function.identity());
        }
        if (thing instanceof Link link) {
            Stream<String> others =
                    Stream.of(key(Parts.TECHNIQUES, link.technique()), key(Parts.REACTIONS, link.when()));
            return Stream.of(
                            others,
                            places(link.from(), link.to(), link.partial(), link.ifStopped()),
                            all(Parts.LINKS, link.needs(), Need::madeBy))
                    .flatMap(Function.identity());
        }
        if (thing instanceof Reaction reaction) {
            return Stream.of(
                            Stream.of(key(Parts.LINKS, reaction.link()), key(Parts.LINKS, reaction.attack())),
                            places(reaction.position(), reaction.leaves()),
                            all(Parts.LINKS, answers.getOrDefault(reaction.id(), List.of()), Link::id))
                    .flatMap(Function.identity());
        }
        if (thing instanceof Chain chain) {
            List<String> links = new ArrayList<>();
            if (chain.first() != null) {
                collect(chain.first(), links);
            }
            return Stream.concat(all(Parts.LINKS, links), places(chain.start()));
        }
        if (thing instanceof Word word) {
            return all(Parts.TECHNIQUES, word.techniques());
        }
        return Stream.of();
    }

    /** The positions where a bout starts, is held and is paid for. */
    private static String[] named(Ruleset rules) {
        Set<String> positions = new LinkedHashSet<>(rules.entries());
        rules.pins().forEach(pin -> positions.add(pin.position()));
        rules.points().forEach(points -> positions.addAll(points.at()));
        rules.reached().forEach(paid -> {
            positions.addAll(paid.positions());
            positions.addAll(paid.onlyFrom());
            positions.addAll(paid.unlessFrom());
        });
        if (rules.landings() != null) {
            positions.addAll(rules.landings().back());
            positions.addAll(rules.landings().seat());
        }
        return positions.toArray(String[]::new);
    }

    private Stream<String> item(Item item) {
        return switch (item.kind()) {
            case TECHNIQUE -> Stream.of(key(Parts.TECHNIQUES, item.ref()));
            case COUNTER -> Stream.of(key(Parts.LINKS, item.ref()));
            case CHAIN -> Stream.of(key(Parts.CHAINS, item.ref()));
            case POSITION_GOAL -> places(item.ref());
            case WORDS, FORM, LIVE_ROUNDS, HELPING_HOURS -> Stream.of();
        };
    }

    private static void collect(ChainStep step, List<String> links) {
        links.add(step.link());
        step.next().forEach(turn -> collect(turn.step(), links));
    }

    private Stream<String> places(String... positions) {
        return Stream.of(positions)
                .filter(Objects::nonNull)
                .map(pairOf::get)
                .filter(Objects::nonNull)
                .map(pair -> key(Parts.PAIRS, pair));
    }

    private static <T> Stream<String> all(Part<?> part, List<T> named, Function<T, String> id) {
        return named.stream().map(id).filter(Objects::nonNull).map(one -> key(part, one));
    }

    private static Stream<String> all(Part<?> part, List<String> ids) {
        return all(part, ids, Function.identity());
    }

    private static String key(Part<?> part, String id) {
        return part.name() + "/" + id;
    }
}
