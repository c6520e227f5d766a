package lynchet.starter;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import lynchet.core.card.Family;
import lynchet.core.card.Jacket;
import lynchet.core.club.Club;
import lynchet.format.ClubArchive;
import lynchet.format.Json;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A library cut down to what is done with a jacket, or without one. Whatever named something that went goes with it:
 * links, reactions, chains, syllabus items, words, drills.
 */
final class OneJacket {

    private final ObjectNode club;
    private final Jacket jacket;

    private OneJacket(Club whole, Jacket jacket) {
        this.club = (ObjectNode) Json.mapper().readTree(ClubArchive.write(whole));
        this.jacket = jacket;
    }

    static Club of(Club whole, Jacket jacket) {
        OneJacket cut = new OneJacket(whole, jacket);
        cut.map();
        cut.chains();
        cut.ladders();
        cut.rest();
        return ClubArchive.read(new java.io.ByteArrayInputStream(Json.mapper().writeValueAsBytes(cut.club)));
    }

    private Set<String> positions;
    private Set<String> techniques;
    private Set<String> links;
    private Set<String> chainIds;

    private void map() {
        ObjectNode map = (ObjectNode) club.get("map");
        keep(map, "pairs", pair -> fits(pair.path("first")) && fits(pair.path("second")));
        keep(map, "techniques", this::fits);
        keep(map, "rulesets", this::fits);
        positions = new HashSet<>();
        map.path("pairs").forEach(pair -> Stream.of("first", "second")
                .map(side -> pair.path(side).path("id").asString(""))
                .forEach(positions::add));
        techniques = ids(map.path("techniques"));
        boolean goesOn = true;
        while (goesOn) {
            int before = map.path("links").size() + map.path("reactions").size();
            Set<String> reactions = ids(map.path("reactions"));
            keep(
                    map,
                    "links",
                    link -> positions.contains(text(link, "from"))
                            && (text(link, "to").equals("TAP") || positions.contains(text(link, "to")))
                            && techniques.contains(text(link, "technique"))
                            && (!link.has("when") || reactions.contains(text(link, "when"))));
            links = ids(map.path("links"));
            keep(
                    map,
                    "reactions",
                    reaction -> positions.contains(text(reaction, "leaves"))
                            && (!reaction.has("position") || positions.contains(text(reaction, "position")))
                            && (!reaction.has("link") || links.contains(text(reaction, "link")))
                            && (!reaction.has("attack") || links.contains(text(reaction, "attack"))));
            goesOn = map.path("links").size() + map.path("reactions").size() < before;
        }
        keep(map, "techniques", this::isOfUse);
        techniques = ids(map.path("techniques"));
        Set<String> rulesets = ids(map.path("rulesets"));
        map.path("links").forEach(link -> {
            drop((ObjectNode) link, "partial", positions);
            drop((ObjectNode) link, "ifStopped", positions);
            link.path("needs").forEach(need -> drop((ObjectNode) need, "madeBy", links));
        });
        map.path("techniques").forEach(technique -> {
            ObjectNode card = (ObjectNode) technique;
            Stream.of("prerequisites", "receiverFalls", "carriesOverTo")
                    .forEach(list -> keep(card, list, id -> techniques.contains(id.asString())));
            card.path("faults").forEach(fault -> drop((ObjectNode) fault, "opens", links));
        });
        map.path("pairs").forEach(pair -> Stream.of("first", "second")
                .map(pair::path)
                .map(position -> position.path("controlIn"))
                .filter(JsonNode::isObject)
                .forEach(control -> ((ObjectNode) control).retain(rulesets)));
        map.path("rulesets").forEach(ruleset -> {
            keep((ObjectNode) ruleset, "entries", id -> positions.contains(id.asString()));
            keep((ObjectNode) ruleset, "pins", pin -> positions.contains(text(pin, "position")));
            keep((ObjectNode) ruleset, "illegalTechniques", id -> techniques.contains(id.asString()));
            places(ruleset.path("landings"), "back", "seat");
            ruleset.path("reached").forEach(paid -> places(paid, "positions", "onlyFrom", "unlessFrom"));
            ruleset.path("points").forEach(points -> places(points, "at"));
        });
    }

    /** Done alone, or at least one link of it is left. */
    private boolean isOfUse(JsonNode technique) {
        return Family.valueOf(text(technique, "family")).isSolo()
                || named(club.path("map").path("links"), "technique", text(technique, "id")) != null;
    }

    private void places(JsonNode owner, String... lists) {
        if (owner instanceof ObjectNode there) {
            Stream.of(lists).forEach(list -> keep(there, list, id -> positions.contains(id.asString())));
        }
    }

    private void chains() {
        keep(club, "chains", chain -> chain.findValuesAsString("link").stream().allMatch(links::contains));
        chainIds = ids(club.path("chains"));
    }

    private void ladders() {
        Set<String> rulesets = ids(club.path("map").path("rulesets"));
        if (jacket == Jacket.NO_JACKET) {
            keep(club, "ladders", ladder -> !text(ladder, "id").equals("exam"));
        }
        for (JsonNode ladder : club.path("ladders")) {
            if (!rulesets.contains(text(ladder, "ruleset"))) {
                ((ObjectNode) ladder).put("ruleset", "no-jacket");
            }
            if (jacket == Jacket.NO_JACKET) {
                earlier(ladder);
            }
            for (JsonNode rank : ladder.path("ranks")) {
                for (JsonNode group : rank.path("syllabus")) {
                    keep((ObjectNode) group, "items", this::isStillThere);
                    int left = group.path("items").size();
                    if (group.path("choose").asInt(0) > left) {
                        ((ObjectNode) group).put("choose", left);
                    }
                }
                keep((ObjectNode) rank, "syllabus", group -> group.path("items").size() > 0);
            }
        }
    }

    /** What comes earlier on each ladder, by its id. */
    private record WithoutJacket(Map<String, List<Earlier>> earlier) {}

    private record Earlier(String rank, String group, List<String> techniques) {}

    /** Without sleeve and lapel the first hold is a clinch, so that what leads there is taught from the first belt on. */
    private static void earlier(JsonNode ladder) {
        WithoutJacket without = StarterLibrary.read("no-jacket.json", WithoutJacket.class);
        for (Earlier move : without.earlier().getOrDefault(text(ladder, "id"), List.of())) {
            ArrayNode groups =
                    (ArrayNode) named(ladder.path("ranks"), "id", move.rank()).path("syllabus");
            JsonNode group = named(groups, "name", move.group());
            if (group == null) {
                ObjectNode added = groups.insertObject(1).put("name", move.group());
                added.putArray("items");
                group = added;
            }
            ArrayNode items = (ArrayNode) group.path("items");
            move.techniques().forEach(technique -> items.add(taken(technique, move.rank(), ladder)));
        }
    }

    /** The item of a later rank, which has it no more. */
    private static ObjectNode taken(String technique, String rank, JsonNode ladder) {
        ObjectNode item = Json.mapper().createObjectNode();
        for (JsonNode later : ladder.path("ranks")) {
            for (JsonNode group : later.path("syllabus")) {
                JsonNode there = named(group.path("items"), "ref", technique);
                if (there != null && item.isEmpty()) {
                    item.setAll((ObjectNode) there);
                    keep((ObjectNode) group, "items", one -> one != there);
                }
            }
        }
        if (item.isEmpty()) {
            item.put("kind", "TECHNIQUE")
                    .put("ref", technique)
                    .put("standard", "SHOWN")
                    .put("sides", "EITHER");
        }
        item.remove("stripe");
        return item.put("id", rank + "-" + technique);
    }

    private static JsonNode named(JsonNode list, String field, String value) {
        for (JsonNode one : list) {
            if (text(one, field).equals(value)) {
                return one;
            }
        }
        return null;
    }

    private boolean isStillThere(JsonNode item) {
        String ref = text(item, "ref");
        return switch (text(item, "kind")) {
            case "TECHNIQUE" -> techniques.contains(ref);
            case "COUNTER" -> links.contains(ref);
            case "CHAIN" -> chainIds.contains(ref);
            case "POSITION_GOAL" -> positions.contains(ref);
            default -> true;
        };
    }

    private void rest() {
        keep(
                club,
                "drills",
                drill -> (!drill.has("technique") || techniques.contains(text(drill, "technique")))
                        && (!drill.has("start") || positions.contains(text(drill, "start"))));
        keep(club, "words", word -> {
            keep((ObjectNode) word, "techniques", id -> techniques.contains(id.asString()));
            return true;
        });
    }

    private boolean fits(JsonNode thing) {
        String worn = text(thing, "jacket");
        return worn.isEmpty() || worn.equals("EITHER") || worn.equals(jacket.name());
    }

    private static void keep(ObjectNode owner, String list, Predicate<JsonNode> wanted) {
        if (owner.get(list) instanceof ArrayNode all) {
            ArrayNode left = all.arrayNode();
            all.forEach(thing -> {
                if (wanted.test(thing)) {
                    left.add(thing);
                }
            });
            owner.set(list, left);
        }
    }

    private static void drop(ObjectNode owner, String field, Set<String> there) {
        if (owner.has(field) && !there.contains(text(owner, field))) {
            owner.remove(field);
        }
    }

    private static Set<String> ids(JsonNode list) {
        Set<String> ids = new HashSet<>();
        list.forEach(thing -> ids.add(text(thing, "id")));
        return ids;
    }

    private static String text(JsonNode node, String field) {
        return node.path(field).asString("");
    }
}
