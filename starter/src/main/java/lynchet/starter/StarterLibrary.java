package lynchet.starter;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import lynchet.core.card.Family;
import lynchet.core.card.Group;
import lynchet.core.card.Jacket;
import lynchet.core.card.Technique;
import lynchet.core.chain.Chain;
import lynchet.core.club.Club;
import lynchet.core.map.Link;
import lynchet.core.map.MapData;
import lynchet.core.map.PositionPair;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.map.Stage;
import lynchet.core.mat.DrillShape;
import lynchet.core.rank.Ladder;
import lynchet.core.words.Word;
import lynchet.format.Json;

/**
 * The technique library that ships: a map, chains and ladders that a new club starts from.
 *
 * <p>The data stands in {@code resources/starter}: positions and links by stage, techniques by family and group.
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
            List<Ladder> ladders,
            List<Word> words,
            List<DrillShape> drills) {}

    /** A club with what it chose to begin with, and nobody in it. */
    public static Club club(String name, StarterChoice choice) {
        return switch (choice) {
            case WHOLE -> club(name);
            case JACKET -> OneJacket.of(club(name), Jacket.JACKET);
            case NO_JACKET -> OneJacket.of(club(name), Jacket.NO_JACKET);
            case EMPTY -> Club.teaching(name, null, null, null, null, null);
        };
    }

    /** A club with the whole library and nobody in it. */
    public static Club club(String name) {
        return Club.teaching(
                name,
                map(),
                read("chains.json").chains(),
                read("ladders.json").ladders(),
                read("words.json").words(),
                read("drills.json").drills());
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
            for (String file : files(family)) {
                techniques.addAll(read("techniques/" + file + ".json").techniques());
            }
        }
        return new MapData(
                pairs, techniques, links, reactions, read("rulesets.json").rulesets());
    }

    /** One file a family; throws and submissions, of which there are many, have one a group. */
    private static List<String> files(Family family) {
        List<String> groups = Stream.of(Group.values())
                .filter(group -> group.family() == family)
                .map(group -> fileName(family) + "/" + fileName(group))
                .toList();
        return groups.isEmpty() ? List.of(fileName(family)) : groups;
    }

    private static String fileName(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static Part read(String file) {
        return read(file, Part.class);
    }

    static <T> T read(String file, Class<T> type) {
        try (InputStream in = StarterLibrary.class.getResourceAsStream("/starter/" + file)) {
            return Json.mapper().readValue(in, type);
        } catch (IOException e) {
            throw new UncheckedIOException("the starter library lacks " + file, e);
        }
    }
}
