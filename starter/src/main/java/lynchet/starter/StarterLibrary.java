package lynchet.starter;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import lynchet.core.Club;
import lynchet.core.chain.Chain;
import lynchet.core.map.Family;
import lynchet.core.map.Link;
import lynchet.core.map.MapData;
import lynchet.core.map.PositionPair;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.map.Stage;
import lynchet.core.map.Technique;
import lynchet.core.rank.Ladder;
import lynchet.format.Json;

/**
 * The technique library that ships: a map, chains and ladders that a new club starts from.
 *
 * <p>The data stands in {@code resources/starter}: positions and links by stage, techniques by family.
 */
public final class StarterLibrary {

    private StarterLibrary() {}

    /** The parts of one file; each file holds some of them. */
    private record Part(
            List<PositionPair> pairs,
            List<Technique> techniques,
            List<Link> links,
            List<Reaction> reactions,
            List<Ruleset> rulesets,
            List<Chain> chains,
            List<Ladder> ladders) {}

    /** A club with the library and nobody in it. */
    public static Club club(String name) {
        return new Club(
                name,
                map(),
                read("chains.json").chains(),
                read("ladders.json").ladders(),
                null,
                null,
                null,
                null,
                null,
                null);
    }

    private static MapData map() {
        List<PositionPair> pairs = new ArrayList<>();
        List<Link> links = new ArrayList<>();
        List<Reaction> reactions = new ArrayList<>();
        for (Stage stage : Stage.values()) {
            String file = stage.ordinal() + 1 + "-" + fileName(stage) + ".json";
            pairs.addAll(read("positions/" + file).pairs());
            Part leaving = read("links/" + file);
            links.addAll(leaving.links());
            if (leaving.reactions() != null) {
                reactions.addAll(leaving.reactions());
            }
        }
        List<Technique> techniques = new ArrayList<>();
        for (Family family : Family.values()) {
            techniques.addAll(read("techniques/" + fileName(family) + ".json").techniques());
        }
        return new MapData(
                pairs, techniques, links, reactions, read("rulesets.json").rulesets());
    }

    private static String fileName(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static Part read(String file) {
        try (InputStream in = StarterLibrary.class.getResourceAsStream("/starter/" + file)) {
            return Json.mapper().readValue(in, Part.class);
        } catch (IOException e) {
            throw new UncheckedIOException("the starter library lacks " + file, e);
        }
    }
}
