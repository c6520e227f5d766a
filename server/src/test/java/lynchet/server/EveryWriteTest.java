package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BiConsumer;
import java.util.stream.Stream;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.rule.Limits;
import lynchet.format.Json;
import lynchet.server.keep.ETags;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.IntNode;
import tools.jackson.databind.node.NullNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.node.StringNode;

/**
 * Every write that the API document names, with one thing wrong in an otherwise good body: a reference at nothing, a
 * text one letter too long, a list one entry too long, a number or a yes or no left out or null, anything of another type.
 * Each is refused by field and rule, and the club stays as it was.
 */
@ExtendWith(RunningClub.class)
class EveryWriteTest {

    private static final String NOTHING = "points-at-nothing";
    private static final Set<String> DEFINING =
            Set.of("id", "by", "coach", "owner", "group", "blockId", "text", "name", "colours");

    /** Bodies of what is no part of a club. */
    private static final Map<String, String> MADE = Map.ofEntries(
            Map.entry("News", "{\"news\":\"CALLED_OFF\",\"reason\":\"x\"}"),
            Map.entry("Merge", "{\"into\":\"turn-away\"}"),
            Map.entry("Taking", "{\"keys\":[\"x\"]}"),
            Map.entry(
                    "IgnoredGap",
                    "{\"id\":\"hostile\",\"rank\":\"white\",\"code\":\"NO_ANSWER\",\"reaction\":\"hip-throw-they-sink\",\"reason\":\"x\"}"),
            Map.entry(
                    "First", "{\"code\":\"x\",\"name\":\"x\",\"password\":\"x\",\"club\":\"x\",\"library\":\"EMPTY\"}"),
            Map.entry("NewAccount", "{\"name\":\"hostile\",\"role\":\"COACH\",\"person\":\"orla-fenwick\"}"),
            Map.entry("AccountChange", "{\"role\":\"COACH\",\"person\":\"orla-fenwick\",\"isOff\":false}"),
            Map.entry("OnTracks", "{\"students\":[\"orla-fenwick\"],\"add\":[\"fundamentals\"],\"remove\":[]}"),
            Map.entry("Weighing", "{\"day\":\"2026-11-24\",\"weights\":[{\"student\":\"orla-fenwick\",\"kg\":61}]}"),
            Map.entry("WhoIsMeant", "{\"text\":\"Wren Abbot\",\"person\":\"orla-fenwick\"}"),
            Map.entry("GuestAnswers", "{\"age\":12,\"fallsKnown\":true,\"number\":\"0100 200\"}"),
            Map.entry("Saying", "{\"students\":[\"orla-fenwick\"],\"answer\":\"NOTHING\"}"),
            Map.entry("Restriction", "{\"kind\":\"NO_NECK\",\"from\":\"2026-11-24\",\"note\":\"x\"}"),
            Map.entry("Lifted", "{\"kind\":\"NO_NECK\",\"clearedBy\":\"x\"}"),
            Map.entry(
                    "WayBack",
                    "{\"steps\":[{\"from\":\"2026-11-24\",\"limits\":[\"NO_LIVE\"],\"note\":\"x\"}],\"full\":\"2026-12-24\"}"),
            Map.entry("Longer", "{\"days\":700}"),
            Map.entry("PageError", "{\"page\":\"/map\",\"error\":\"TypeError\",\"stack\":[\"x\"]}"),
            Map.entry("HoldBack", "{\"reason\":\"x\"}"),
            Map.entry("Erase", "{\"name\":\"Nobody\"}"),
            Map.entry(
                    "NewAsk",
                    "{\"id\":\"hostile\",\"student\":\"orla-fenwick\",\"words\":\"x\",\"subject\":\"hip-bump-sweep\"}"),
            Map.entry(
                    "Happened",
                    "{\"incident\":{\"id\":\"hostile\",\"student\":\"orla-fenwick\",\"partner\":\"kit-harrowgate\","
                            + "\"classId\":\"fundamentals-2026-11-24\",\"on\":\"2026-11-24\",\"kind\":\"INJURY\",\"what\":\"x\",\"done\":\"x\"}}"),
            Map.entry(
                    "Stripes",
                    "{\"ladder\":\"adult\",\"date\":\"2026-11-24\",\"given\":[{\"id\":\"hostile\",\"student\":\"orla-fenwick\"}]}"),
            Map.entry(
                    "Meant",
                    "{\"id\":\"hostile\",\"to\":\"white\",\"stripes\":0,\"date\":\"2026-11-24\",\"reason\":\"x\"}"),
            Map.entry("Announced", "{\"ids\":[\"hostile\"]}"),
            Map.entry(
                    "Counting",
                    "{\"promotionMonths\":[\"MARCH\"],\"classesPerStripe\":10,\"oneClassADay\":true,\"seminars\":true,\"chart\":false,\"conduct\":false}"),
            Map.entry(
                    "Laying",
                    "{\"cycle\":{\"id\":\"hostile\",\"track\":\"throws\",\"from\":\"2026-11-24\",\"minutes\":0,\"themes\":[{\"name\":\"x\","
                            + "\"subjects\":[\"hip-bump-sweep\"]}]},\"ranks\":[\"white\"],\"weeks\":4}"),
            Map.entry(
                    "IgnoredLeak",
                    "{\"id\":\"hostile\",\"position\":\"closed-guard\",\"reason\":\"x\",\"until\":\"2026-12-24\"}"),
            Map.entry("LeakInto", "{\"classId\":\"juniors-2026-11-24\"}"),
            Map.entry("Years", "{\"years\":5}"),
            Map.entry("ClubName", "{\"name\":\"x\"}"),
            Map.entry("Beginning", "{\"from\":\"2027-01-01\"}"),
            Map.entry("Moving", "{\"students\":[\"orla-fenwick\"]}"),
            Map.entry(
                    "ClubNumbers",
                    "{\"id\":\"club\",\"juniorsBelow\":16,\"ofAge\":18,\"newWeeks\":13,\"liveWeeks\":4,\"throwMetres\":4,"
                            + "\"groundMetres\":2.5,\"weightGap\":20,\"juniorLiveGap\":10,\"juniorKg\":4,\"juniorLiveKg\":3,"
                            + "\"juniorYears\":2,\"fewFalls\":20,\"mostFalls\":60,\"ages\":[{\"hazard\":\"ARM_LOCK\",\"from\":14,\"shownBelow\":17}]}"),
            Map.entry("Opened", "{\"link\":\"x\"}"),
            Map.entry("Chosen", "{\"link\":\"x\",\"password\":\"x\"}"),
            Map.entry("OwnPassword", "{\"password\":\"x\"}"),
            Map.entry("CodeSeen", "{\"code\":\"x\"}"),
            Map.entry("Changed", "{\"old\":\"x\",\"password\":\"x\"}"));

    private final HttpUser head = RunningClub.as("head");
    private final JsonNode document = read();
    private final String before = head.get("/api/archive").text();
    private final JsonNode club = Json.mapper().readTree(before);
    private final Set<String> known = ids(club, new TreeSet<>());

    private final Set<String> shaped = ConcurrentHashMap.newKeySet();

    private static JsonNode read() {
        try {
            return Json.mapper().readTree(Files.readString(Path.of("../web/openapi.json")));
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    /** Values of fields whose type does not say what is read. */
    private static final Map<String, JsonNode> PLAIN = Map.of(
            "start", StringNode.valueOf("18:00"),
            "minutes", Json.mapper().valueToTree(10),
            "colours", Json.mapper().valueToTree(List.of("white")));

    private record Write(String method, String path, String schema) {}

    /** A body with one thing wrong: what it is called, the field, the rule; null: any. */
    private record Bad(String what, String field, String rule, JsonNode body) {}

    @TestFactory
    Stream<DynamicTest> isRefusedByFieldAndRule() {
        List<DynamicTest> tests = new ArrayList<>();
        for (Write write : writes()) {
            tests.add(DynamicTest.dynamicTest(write.method() + " " + write.path(), () -> refused(write)));
        }
        return tests.stream();
    }

    private void refused(Write write) {
        if (write.schema() == null) {
            HttpUser.Answer answer = head.send(write.method(), write.path().replaceAll("\\{.*?}", NOTHING), "{}", "x");
            assertThat(answer.status()).as(answer.text()).isBetween(400, 499);
            assertThat(answer.code()).isNotEmpty();
        } else {
            JsonNode good = seed(write);
            List<Bad> all = bad(good, write.schema());
            assertThat(all).as("something to try").isNotEmpty();
            for (Bad one : all) {
                HttpUser.Answer answer =
                        head.send(write.method(), path(write, good), one.body().toString(), tag(write, good));
                assertThat(answer.status())
                        .as(one.what() + ": " + answer.text())
                        .isBetween(400, 499);
                if (one.rule() != null) {
                    assertThat(answer.code())
                            .as(one.what() + ": " + answer.text())
                            .isEqualTo(one.rule());
                }
                assertThat(answer.json().path("where").asString("")
                                + answer.json().path("detail"))
                        .as(one.what() + ": " + answer.text())
                        .contains(one.field());
            }
        }
        assertThat(head.get("/api/archive").text().equals(before))
                .as("the archive is what it was")
                .isTrue();
    }

    private List<Write> writes() {
        List<Write> writes = new ArrayList<>();
        document.path("paths")
                .properties()
                .forEach(path -> path.getValue().properties().forEach(operation -> {
                    String method = operation.getKey().toUpperCase(java.util.Locale.ROOT);
                    if (!method.equals("GET") && !path.getKey().matches("/api/session|/api/copies|.*/check")) {
                        String ref = operation
                                .getValue()
                                .at("/requestBody/content/application~1json/schema/$ref")
                                .asString("");
                        writes.add(new Write(
                                method, path.getKey(), ref.isEmpty() ? null : ref.substring(ref.lastIndexOf('/') + 1)));
                    }
                }));
        return writes;
    }

    /** A good body: the fullest thing of its kind that the club has, or one made for the purpose. */
    private JsonNode seed(Write write) {
        if (MADE.containsKey(write.schema())) {
            return Json.mapper().readTree(MADE.get(write.schema()));
        }
        if (write.schema().equals("Syllabus") || write.schema().equals("Syllabuses")) {
            JsonNode rank = club.path("ladders").get(0).path("ranks").get(0);
            ObjectNode body = Json.mapper().createObjectNode();
            ObjectNode asks = write.schema().equals("Syllabus")
                    ? body
                    : body.putArray("ranks")
                            .addObject()
                            .put("rank", rank.path("id").asString());
            asks.set("groups", rank.path("syllabus"));
            return body;
        }
        Part<?> part = part(write);
        JsonNode all = Parts.MAP.contains(part) ? club.path("map").path(part.name()) : club.path(part.name());
        JsonNode fullest = all.get(0);
        for (JsonNode one : all) {
            fullest = one.toString().length() > fullest.toString().length() ? one : fullest;
        }
        ObjectNode body = (ObjectNode) fullest.deepCopy();
        if (write.method().equals("POST")) {
            body.put("id", "hostile");
            if (write.schema().equals("Ladder")) { // its ranks are nobody else's
                body.remove("handOver");
                body.path("ranks").forEach(rank -> ((ObjectNode) rank)
                        .put("id", "hostile-" + rank.path("id").asString()));
            }
        }
        return body;
    }

    private static Part<?> part(Write write) {
        return Parts.ALL.stream()
                .filter(part -> part.type().getSimpleName().equals(write.schema()))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no good body is known for " + write));
    }

    private String path(Write write, JsonNode good) {
        JsonNode ladder =
                "Ladder".equals(write.schema()) ? good : club.path("ladders").get(0);
        return write.path()
                .replace("/ladders/{id}", "/ladders/" + ladder.path("id").asString())
                .replace("{day}", "2026-12-31")
                .replace("{rank}", ladder.path("ranks").get(0).path("id").asString())
                .replace("/promotions/{id}", "/promotions/pr-orla-fenwick")
                .replace("{name}", "coach")
                .replace("{position}", "closed-guard")
                .replace("{id}", good.path("id").asString("turn-in"));
    }

    private String tag(Write write, JsonNode good) {
        if (!write.method().equals("PUT")
                || List.of("AccountChange", "Years", "Counting", "ClubName").contains(write.schema())) {
            return null;
        }
        if (write.schema().startsWith("Syllabus")) {
            JsonNode view = head.get(path(write, good).replaceAll("/(ranks|syllabuses).*", ""))
                    .json();
            return write.schema().equals("Syllabuses")
                    ? view.path("tag").asString()
                    : view.path("tags")
                            .path(club.at("/ladders/0/ranks/0/id").asString())
                            .asString();
        }
        return ETags.of(Json.mapper().treeToValue(good, part(write).type()));
    }

    private List<Bad> bad(JsonNode good, String schema) {
        List<Bad> all = new ArrayList<>();
        each(good, "", (at, value) -> {
            String field = field(at);
            if (value.isString() && known.contains(value.asString()) && !DEFINING.contains(field)) {
                all.add(new Bad(at + " at nothing", field, null, with(good, at, StringNode.valueOf(NOTHING))));
            }
        });
        JsonNode full = good.deepCopy();
        limits(full, full, "", document.at("/components/schemas/" + schema), all, 0);
        if (shaped.add(schema)) { // it is read the same wherever it is sent
            shapes(full, full, "", document.at("/components/schemas/" + schema), all, 0);
        }
        if (all.isEmpty()) { // nothing but a number: one that is out of all range
            each(good, "", (at, value) -> {
                if (value.isInt()) {
                    all.add(new Bad(at + " too big", field(at), null, with(good, at, IntNode.valueOf(1_000_000))));
                }
            });
        }
        return all;
    }

    /** The name of the field that a place is in: the last step that is not a number. */
    private static String field(String at) {
        String[] steps = at.split("/");
        int last = steps.length - 1;
        while (steps[last].matches("\\d+")) {
            last--;
        }
        return steps[last];
    }

    private void limits(JsonNode whole, JsonNode value, String at, JsonNode schema, List<Bad> all, int depth) {
        JsonNode type = resolved(schema);
        if (type.has("maxItems") && type.path("items").has("enum")) {
            return; // a set of few: it cannot be longer
        } else if (type.has("maxItems")) {
            List<JsonNode> entries = new ArrayList<>();
            for (int i = 0; i <= type.path("maxItems").asInt(); i++) {
                entries.add(example(type.path("items"), i, 0));
            }
            all.add(new Bad(
                    at + " too many",
                    field(at),
                    at.matches("/ranks/\\d+/colours") ? "OUT_OF_RANGE" : "TOO_MANY", // a belt has one or two
                    with(whole, at, Json.mapper().valueToTree(entries))));
            if (value.isArray() && !value.isEmpty()) {
                limits(whole, value.get(0), at + "/0", type.path("items"), all, depth + 1);
            }
        } else if (type.has("maxLength") && value.isString()) {
            String text = "x".repeat(type.path("maxLength").asInt() + 1);
            String rule = at.endsWith("/id") && text.length() > Limits.TEXT ? "ID_FORM" : "TEXT_LONG";
            all.add(new Bad(at + " too long", field(at), rule, with(whole, at, StringNode.valueOf(text))));
            if (type.path("maxLength").asInt() > 8
                    && !at.toLowerCase(Locale.ROOT).endsWith("email")) { // a rule of its own
                String hidden = value.asString()
                                .substring(0, Math.min(3, value.asString().length())) + "\u0001";
                all.add(new Bad(at + " not seen", field(at), null, with(whole, at, StringNode.valueOf(hidden))));
            }
        } else if (type.has("properties") && value.isObject() && depth < 6) {
            type.path("properties")
                    .properties()
                    .forEach(property -> limits(
                            whole,
                            value.path(property.getKey()),
                            at + "/" + property.getKey(),
                            property.getValue(),
                            all,
                            depth + 1));
        }
    }

    private static final Map<String, List<JsonNode>> OTHER = Map.of(
            "boolean",
            List.of(IntNode.valueOf(1), StringNode.valueOf("true")),
            "integer",
            List.of(StringNode.valueOf("1"), Json.mapper().valueToTree(1.5)),
            "number",
            List.of(StringNode.valueOf("1")),
            "string",
            List.of(IntNode.valueOf(1)),
            "array",
            List.of(StringNode.valueOf("x")),
            "object",
            List.of(StringNode.valueOf("x")));

    /** What is left out, null or of another type; of a list its first entry. */
    private void shapes(JsonNode whole, JsonNode value, String at, JsonNode schema, List<Bad> all, int depth) {
        JsonNode type = resolved(schema);
        String plain = plainType(type);
        boolean isNeeded = !at.matches(".*/\\d+")
                && Set.of("boolean", "integer", "number").contains(plain)
                && !type.path("type").isArray()
                && !type.has("default");
        if (isNeeded) {
            all.add(new Bad(at + " null", field(at), "MISSING", with(whole, at, NullNode.getInstance())));
            all.add(new Bad(at + " left out", field(at), "MISSING", without(whole, at)));
        }
        if (!at.isEmpty()) {
            for (JsonNode other : OTHER.getOrDefault(type.has("properties") ? "object" : plain, List.of())) {
                all.add(new Bad(at + " is " + other, field(at), null, with(whole, at, other)));
            }
        }
        if (value.isArray() && type.path("items").isObject()) {
            JsonNode nothing = Json.mapper().createArrayNode().addNull();
            all.add(new Bad(at + " has nothing in it", field(at), null, with(whole, at, nothing)));
        }
        if (value.isArray() && !value.isEmpty() && depth < 6) {
            shapes(whole, value.get(0), at + "/0", type.path("items"), all, depth + 1);
        } else if (type.has("properties") && value.isObject() && depth < 6) {
            type.path("properties")
                    .properties()
                    .forEach(property -> shapes(
                            whole,
                            value.path(property.getKey()),
                            at + "/" + property.getKey(),
                            property.getValue(),
                            all,
                            depth + 1));
        }
    }

    private static JsonNode without(JsonNode whole, String at) {
        JsonNode copy = whole.deepCopy();
        int slash = at.lastIndexOf('/');
        ((ObjectNode) copy.at(at.substring(0, slash))).remove(at.substring(slash + 1));
        return copy;
    }

    private JsonNode resolved(JsonNode schema) {
        JsonNode said = schema.has("oneOf") ? schema.path("oneOf").get(0) : schema;
        String ref = said.path("$ref").asString("");
        return ref.isEmpty() ? said : document.at(ref.substring(1));
    }

    /** Something that can be read as what a schema describes; the number tells one from another. */
    private JsonNode example(JsonNode schema, int number, int depth) {
        JsonNode type = resolved(schema);
        if (type.has("enum")) {
            return type.path("enum").get(0);
        }
        if (type.has("properties")) {
            Map<String, JsonNode> fields = new LinkedHashMap<>();
            type.path("properties").properties().forEach(property -> {
                if (depth < 3) {
                    JsonNode plain = PLAIN.get(property.getKey());
                    fields.put(
                            property.getKey(), plain == null ? example(property.getValue(), number, depth + 1) : plain);
                }
            });
            return Json.mapper().valueToTree(fields);
        }
        Map<String, Object> plain = new HashMap<>();
        plain.put("boolean", false);
        plain.put("integer", 1);
        plain.put("number", 0.5);
        plain.put("array", List.of());
        plain.put("object", Map.of());
        String format = type.path("format").asString("");
        plain.put(
                "string",
                format.equals("date") ? "2026-01-01" : format.isEmpty() ? "x" + number : "2026-01-01T00:00:00Z");
        return Json.mapper().valueToTree(plain.get(plainType(type)));
    }

    private static String plainType(JsonNode type) {
        JsonNode said = type.path("type");
        return said.isArray() ? said.get(0).asString() : said.asString();
    }

    private static JsonNode with(JsonNode whole, String at, JsonNode value) {
        JsonNode copy = whole.deepCopy();
        int slash = at.lastIndexOf('/');
        JsonNode parent = copy.at(at.substring(0, slash));
        String last = at.substring(slash + 1);
        if (parent instanceof ArrayNode list) {
            list.set(Integer.parseInt(last), value);
        } else {
            ((ObjectNode) parent).set(last, value);
        }
        return copy;
    }

    private static void each(JsonNode value, String at, BiConsumer<String, JsonNode> to) {
        to.accept(at, value);
        if (value.isArray()) {
            for (int i = 0; i < value.size(); i++) {
                each(value.get(i), at + "/" + i, to);
            }
        } else {
            value.properties().forEach(property -> each(property.getValue(), at + "/" + property.getKey(), to));
        }
    }

    private static Set<String> ids(JsonNode value, Set<String> to) {
        each(value, "", (at, inner) -> {
            if (at.endsWith("/id")) {
                to.add(inner.asString());
            }
        });
        return to;
    }
}
