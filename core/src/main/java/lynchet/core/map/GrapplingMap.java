package lynchet.core.map;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import lynchet.core.card.Technique;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.rule.Breach;

/**
 * One immutable, well-formed map: the positions and what can be done from each.
 *
 * <p>Everything that asks a question of the map takes one of these.
 */
public final class GrapplingMap {

    private final MapData data;
    private final ClubNumbers numbers;
    private final Map<String, Position> positions = new LinkedHashMap<>();
    private final Map<String, PositionPair> pairOf = new HashMap<>();
    private final Map<String, Technique> techniques = new LinkedHashMap<>();
    private final Map<String, Link> links = new LinkedHashMap<>();
    private final Map<String, Reaction> reactions = new LinkedHashMap<>();
    private final Map<String, Ruleset> rulesets = new LinkedHashMap<>();
    private final Map<String, List<Link>> linksFrom = new HashMap<>();
    private final Map<String, List<Reaction>> reactionsTo = new HashMap<>();

    private GrapplingMap(MapData data, ClubNumbers numbers) {
        this.data = data;
        this.numbers = numbers;
        for (PositionPair pair : data.pairs()) {
            for (Position position : pair.positions()) {
                positions.put(position.id(), position);
                pairOf.put(position.id(), pair);
            }
        }
        data.techniques().forEach(t -> techniques.put(t.id(), t));
        data.rulesets().forEach(r -> rulesets.put(r.id(), r));
        for (Link link : data.links()) {
            links.put(link.id(), link);
            if (!link.retired() && !techniques.get(link.technique()).retired()) {
                linksFrom.computeIfAbsent(link.from(), k -> new ArrayList<>()).add(link);
            }
        }
        for (Reaction reaction : data.reactions()) {
            reactions.put(reaction.id(), reaction);
            if (!reaction.retired()) {
                String to = reaction.link() != null ? "link " + reaction.link() : "position " + reaction.position();
                reactionsTo.computeIfAbsent(to, k -> new ArrayList<>()).add(reaction);
            }
        }
    }

    /**
     * The map of these parts.
     *
     * @throws NotWellFormed with every breach, if they do not hold together
     */
    public static GrapplingMap of(MapData data) {
        return of(data, ClubNumbers.USUAL);
    }

    /**
     * The map of these parts in a club with numbers of its own.
     *
     * @throws NotWellFormed with every breach, if they do not hold together
     */
    public static GrapplingMap of(MapData data, ClubNumbers numbers) {
        List<Breach> breaches = WellFormed.check(data);
        if (!breaches.isEmpty()) {
            throw new NotWellFormed(breaches);
        }
        return new GrapplingMap(data, numbers);
    }

    /** The numbers of the club whose map it is. */
    public ClubNumbers numbers() {
        return numbers;
    }

    public MapData data() {
        return data;
    }

    public Collection<Position> positions() {
        return Collections.unmodifiableCollection(positions.values());
    }

    public Collection<Technique> techniques() {
        return Collections.unmodifiableCollection(techniques.values());
    }

    public Collection<Link> links() {
        return Collections.unmodifiableCollection(links.values());
    }

    public Collection<Reaction> reactions() {
        return Collections.unmodifiableCollection(reactions.values());
    }

    public Optional<Position> position(String id) {
        return Optional.ofNullable(positions.get(id));
    }

    public Optional<Technique> technique(String id) {
        return Optional.ofNullable(techniques.get(id));
    }

    public Optional<Link> link(String id) {
        return Optional.ofNullable(links.get(id));
    }

    public Optional<Reaction> reaction(String id) {
        return Optional.ofNullable(reactions.get(id));
    }

    public Optional<Ruleset> ruleset(String id) {
        return Optional.ofNullable(rulesets.get(id));
    }

    /** The pair that a position stands in. */
    public PositionPair pairOf(String position) {
        return pairOf.get(position);
    }

    public Stage stageOf(String position) {
        return pairOf.get(position).stage();
    }

    /** The same moment seen by the partner; a self-counterpart is its own. */
    public Position counterpart(String position) {
        PositionPair pair = pairOf.get(position);
        if (pair.second() == null) {
            return pair.first();
        }
        return pair.first().id().equals(position) ? pair.second() : pair.first();
    }

    /** Links that start at a position and are not retired, in the order of the data. */
    public List<Link> linksFrom(String position) {
        return Collections.unmodifiableList(linksFrom.getOrDefault(position, List.of()));
    }

    /** Reactions that the partner has to an attempted link. */
    public List<Reaction> reactionsToLink(String link) {
        return Collections.unmodifiableList(reactionsTo.getOrDefault("link " + link, List.of()));
    }

    /** Reactions that the partner has at a position of mine. */
    public List<Reaction> reactionsAt(String position) {
        return Collections.unmodifiableList(reactionsTo.getOrDefault("position " + position, List.of()));
    }

    /** Links that answer a reaction. */
    public List<Link> answersTo(Reaction reaction) {
        return linksFrom(reaction.leaves()).stream()
                .filter(link -> reaction.id().equals(link.when()))
                .toList();
    }

    /** A technique with everything it builds on, in order of id; {@code technique} itself included. */
    public Set<String> withPrerequisites(String technique) {
        Set<String> all = new TreeSet<>();
        List<String> open = new ArrayList<>(List.of(technique));
        while (!open.isEmpty()) {
            String next = open.remove(open.size() - 1);
            if (all.add(next)) {
                open.addAll(techniques.get(next).prerequisites());
            }
        }
        return all;
    }
}
