package lynchet.core.map;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.LongStream;
import lynchet.core.card.Family;
import lynchet.core.card.Hazard;
import lynchet.core.card.Jacket;
import lynchet.core.card.Technique;
import lynchet.core.card.TechniqueBuilder;
import lynchet.core.walk.Finding;
import lynchet.core.walk.Gaps;
import lynchet.core.walk.Knowledge;
import lynchet.core.walk.MoveGraph;

/** Builds small maps for tests; a position is named after its pair, the counterpart has "-x" behind it. */
public final class TinyMap {

    public final List<PositionPair> pairs = new ArrayList<>();
    public final Map<String, Technique> techniques = new HashMap<>();
    public final List<Link> links = new ArrayList<>();
    public final List<Reaction> reactions = new ArrayList<>();
    public final List<Ruleset> rulesets = new ArrayList<>();

    /** Starts with the position "s", its own counterpart, standing apart. */
    public TinyMap() {
        pairs.add(new PositionPair("s", Stage.APART, position("s", 0), null));
    }

    public static Position position(String id, double control) {
        return new Position(id, id, null, control, null, null, false, null, null, null, null, false);
    }

    public static Technique technique(String id, int learn, String... prerequisites) {
        return card(id, Family.ESCAPE, learn, List.of(prerequisites), List.of());
    }

    public static Technique card(String id, Family family, int learn, List<String> prerequisites, List<String> falls) {
        return card(id, family, learn, 3, prerequisites, falls, null, Set.of());
    }

    /** A takedown that bears a tag. */
    static Technique tagged(String id, String tag) {
        return card(id, Family.TAKEDOWN, 1, 3, null, null, null, Set.of(), List.of(tag));
    }

    /** An escape that needs a jacket, or must not have one. */
    public static Technique worn(String id, Jacket jacket) {
        return TechniqueBuilder.builder()
                .id(id)
                .name(id)
                .family(Family.ESCAPE)
                .jacket(jacket)
                .sided(true)
                .learn(1)
                .master(3)
                .build();
    }

    /** Every other part of a card is left out. */
    public static Technique card(
            String id,
            Family family,
            int learn,
            int master,
            List<String> prerequisites,
            List<String> falls,
            String houseVersion,
            Set<Hazard> hazards) {
        return card(id, family, learn, master, prerequisites, falls, houseVersion, hazards, null);
    }

    private static Technique card(
            String id,
            Family family,
            int learn,
            int master,
            List<String> prerequisites,
            List<String> falls,
            String houseVersion,
            Set<Hazard> hazards,
            List<String> tags) {
        return TechniqueBuilder.builder()
                .id(id)
                .name(id)
                .family(family)
                .sided(true)
                .houseVersion(houseVersion)
                .prerequisites(prerequisites)
                .receiverFalls(falls)
                .hazards(hazards)
                .tags(tags)
                .learn(learn)
                .master(master)
                .build();
    }

    public TinyMap pair(String id, Stage stage, double control) {
        pairs.add(new PositionPair(id, stage, position(id, control), position(id + "-x", -control)));
        return this;
    }

    public TinyMap add(Technique technique) {
        techniques.put(technique.id(), technique);
        return this;
    }

    public TinyMap cost(String technique, int learn, String... prerequisites) {
        return add(technique(technique, learn, prerequisites));
    }

    /** A link on one's own initiative; the technique is made if it is new. */
    public TinyMap link(String id, String from, String technique, String to) {
        return answer(id, null, from, technique, to);
    }

    public TinyMap answer(String id, String when, String from, String technique, String to) {
        techniques.computeIfAbsent(technique, t -> technique(t, 1));
        if (to.equals(Link.TAP)) {
            techniques.computeIfPresent(
                    technique,
                    (t, own) -> own.family() == Family.SUBMISSION
                            ? own
                            : card(t, Family.SUBMISSION, own.learn(), own.prerequisites(), List.of()));
        }
        links.add(new Link(id, from, technique, null, when, null, null, to, null, null, null, false));
        return this;
    }

    public TinyMap reaction(String id, String link, String leaves) {
        reactions.add(new Reaction(id, link, null, "they " + id, null, null, leaves, null, null, false));
        return this;
    }

    public TinyMap reactionAt(String id, String position, String leaves) {
        reactions.add(new Reaction(id, null, position, "they " + id, null, null, leaves, null, null, false));
        return this;
    }

    public MapData data() {
        List<Technique> sorted = techniques.values().stream()
                .sorted(java.util.Comparator.comparing(Technique::id))
                .toList();
        return new MapData(pairs, sorted, links, reactions, rulesets);
    }

    public GrapplingMap map() {
        return GrapplingMap.of(data());
    }

    public MoveGraph graph() {
        return MoveGraph.from(map(), List.of("s"));
    }

    public static List<Finding> gaps(MoveGraph graph, Set<String> known) {
        return Gaps.find(graph, Knowledge.sameLevel(graph, known), Map.of(), false, Set.of());
    }

    /** A ruleset in which a hazard is not legal below an age. */
    public static Ruleset forbidding(String id, Hazard hazard, int belowAge) {
        return new Ruleset(
                id,
                id,
                null,
                null,
                List.of(new Ruleset.HazardLimit(hazard, belowAge)),
                null,
                null,
                false,
                0,
                null,
                null,
                5,
                null,
                false,
                0,
                null);
    }

    /** A ruleset in which holding a position for twenty seconds wins. */
    public static Ruleset pinning(String id, String position, String... illegal) {
        return new Ruleset(
                id,
                id,
                null,
                List.of(illegal),
                null,
                List.of("s"),
                null,
                false,
                0,
                List.of(new Ruleset.HeldPin(position, 20, 0)),
                null,
                5,
                null,
                false,
                0,
                null);
    }

    /** Seeds of {@link #random}, for tests against a slow second way. */
    public static LongStream twoHundredSeeds() {
        return LongStream.rangeClosed(1, 200);
    }

    /** A random well-formed map: up to 5 pairs, 6 techniques with prerequisites, 14 links, 5 reactions. */
    public static TinyMap random(long seed) {
        Random random = new Random(seed);
        TinyMap tiny = new TinyMap();
        List<String> places = new ArrayList<>(List.of("s"));
        for (int p = 0; p < 2 + random.nextInt(3); p++) {
            tiny.pair(
                    "p" + p, random.nextBoolean() ? Stage.LEGS_BETWEEN : Stage.LEGS_CLEARED, random.nextInt(31) / 10.0);
            places.add("p" + p);
            places.add("p" + p + "-x");
        }
        for (int t = 0; t < 6; t++) {
            String[] before = t > 1 && random.nextInt(3) == 0 ? new String[] {"t" + random.nextInt(t)} : new String[0];
            tiny.cost("t" + t, 1 + random.nextInt(5), before);
        }
        for (int l = 0; l < 9; l++) {
            String to = random.nextInt(8) == 0 ? Link.TAP : pick(places, random);
            tiny.link("l" + l, pick(places, random), "t" + random.nextInt(6), to);
        }
        for (int r = 0; r < 4; r++) {
            String leaves = pick(places, random);
            if (random.nextBoolean()) {
                tiny.reaction("r" + r, "l" + random.nextInt(9), leaves);
            } else {
                tiny.reactionAt("r" + r, pick(places, random), leaves);
            }
            if (random.nextInt(4) > 0) {
                tiny.answer("a" + r, "r" + r, leaves, "t" + random.nextInt(6), pick(places, random));
            }
        }
        return tiny;
    }

    /** The same with what may go wrong: something retired, throws, and a ruleset "r" that forbids and ends. */
    public static TinyMap randomWithRules(long seed) {
        Random random = new Random(seed * 31);
        TinyMap tiny = random(seed);
        String thrown = "t" + random.nextInt(6);
        if (tiny.links.stream().noneMatch(l -> l.endsInTap() && l.technique().equals(thrown))) {
            Technique own = tiny.techniques.get(thrown);
            tiny.add(card(thrown, Family.THROW, own.learn(), own.prerequisites(), List.of()));
        }
        int gone = random.nextInt(tiny.links.size());
        tiny.links.set(gone, tiny.links.get(gone).asRetired());
        int undone = random.nextInt(tiny.reactions.size());
        tiny.reactions.set(undone, tiny.reactions.get(undone).asRetired());
        List<String> illegal = random.nextBoolean() ? List.of("t" + random.nextInt(6)) : List.of();
        String held = tiny.pairs.get(random.nextInt(tiny.pairs.size())).first().id();
        List<Ruleset.HeldPin> pins = List.of(new Ruleset.HeldPin(held, 20, random.nextInt(2) * 3));
        tiny.rulesets.add(new Ruleset(
                "r",
                "R",
                null,
                illegal,
                null,
                List.of("s"),
                List.of(),
                random.nextBoolean(),
                2,
                pins,
                null,
                5,
                null,
                false,
                1,
                List.of(new Ruleset.Paid(List.of("p0"), 2))));
        return tiny;
    }

    public static LongStream threeHundredSeeds() {
        return LongStream.rangeClosed(1, 300);
    }

    public static <T> T pick(List<T> from, Random random) {
        return from.get(random.nextInt(from.size()));
    }
}
