package lynchet.server;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import lynchet.format.Json;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What somebody who wants to break it would send: over every operation of the API document, from a seed. */
final class HostileInputs {

    /** One request. */
    record Input(String method, String path, String body, String tag) {}

    private static final List<String> ODD = List.of(
            "",
            " ",
            "null",
            "pointsAtNothing",
            "../../etc/passwd",
            "\u0000",
            "\u200b",
            "\u202egnorw",
            "=1+1",
            "'; drop table student; --",
            "<script>alert(1)</script>",
            "-1",
            "2147483648",
            "9223372036854775808",
            "1e400",
            "NaN",
            "2026-02-30",
            "+999999999-12-31",
            "-999999999-01-01",
            "24:00",
            "\uD83E\uDD3C\uD83C\uDFFD",
            "x".repeat(5000));

    private final Random random;
    private final JsonNode document;
    private final JsonNode club;
    private final String archive;
    private final List<String> ids = new ArrayList<>();
    private final List<String[]> operations = new ArrayList<>();

    /** @param archive a whole club, for ids that are there and as a file to spoil */
    HostileInputs(long seed, JsonNode document, String archive, String leftOut) {
        this.random = new Random(seed);
        this.document = document;
        this.archive = archive;
        this.club = Json.mapper().readTree(archive);
        club.forEach(part -> part.forEach(thing -> {
            if (thing.has("id")) {
                ids.add(thing.path("id").asString());
            }
        }));
        document.path("paths").properties().forEach(path -> {
            if (!path.getKey().matches(leftOut)) {
                path.getValue().propertyNames().forEach(method -> operations.add(new String[] {method, path.getKey()}));
            }
        });
    }

    Input next() {
        String[] operation = operations.get(random.nextInt(operations.size()));
        JsonNode asked = document.path("paths").path(operation[1]).path(operation[0]);
        StringBuilder path = new StringBuilder(operation[1]);
        for (int at = path.indexOf("{"); at >= 0; at = path.indexOf("{")) {
            path.replace(at, path.indexOf("}") + 1, encoded(random.nextInt(3) == 0 ? odd() : id()));
        }
        String sign = "?";
        for (JsonNode parameter : asked.path("parameters")) {
            if (parameter.path("in").asString().equals("query") && random.nextInt(4) > 0) {
                String value = random.nextInt(3) == 0
                        ? odd()
                        : value(parameter.path("schema"), parameter.path("name").asString(), 0)
                                .asString("x");
                path.append(sign)
                        .append(parameter.path("name").asString())
                        .append('=')
                        .append(encoded(value));
                sign = "&";
            }
        }
        String method = operation[0].toUpperCase(Locale.ROOT);
        return new Input(method, path.toString(), method.equals("GET") ? null : body(operation[1], asked), tag());
    }

    private String tag() {
        return switch (random.nextInt(6)) {
            case 0 -> "*";
            case 1 -> "\"0\"";
            case 2 -> "W/\"x\", y";
            case 3 -> "x".repeat(3000);
            default -> null;
        };
    }

    private String body(String path, JsonNode asked) {
        if (path.startsWith("/api/archive")) {
            return random.nextInt(3) == 0 ? cut(archive) : spoiled();
        }
        if (path.startsWith("/api/csv")) {
            return sheet();
        }
        if (path.contains("calendar")) {
            return calendar();
        }
        JsonNode schema = asked.at("/requestBody/content").properties().stream()
                .map(content -> content.getValue().path("schema"))
                .findFirst()
                .orElse(null);
        if (schema == null) {
            return random.nextBoolean() ? null : "{}";
        }
        return switch (random.nextInt(25)) {
            case 0 -> "[".repeat(3000);
            case 1 -> cut(Json.write(value(schema, "", 0)));
            case 2 -> "{\"id\":\"a\",\"id\":\"b\"}";
            default -> Json.write(value(schema, "", 0));
        };
    }

    private String cut(String text) {
        return text.substring(0, random.nextInt(text.length() + 1));
    }

    /** The club with something in it changed. */
    private String spoiled() {
        ObjectNode spoiled = (ObjectNode) Json.mapper().readTree(archive);
        for (int n = 0; n <= random.nextInt(3); n++) {
            JsonNode at = spoiled;
            for (int depth = 0; depth < 6; depth++) {
                List<String> names = new ArrayList<>(at.propertyNames());
                if (at instanceof ArrayNode list && !list.isEmpty()) {
                    int i = random.nextInt(list.size());
                    if (random.nextInt(4) == 0) {
                        list.set(i, oddNode());
                        break;
                    }
                    at = list.get(i);
                } else if (at instanceof ObjectNode object && !names.isEmpty()) {
                    String name = names.get(random.nextInt(names.size()));
                    if (depth > 0 && random.nextInt(3) == 0) {
                        object.set(name, oddNode());
                        break;
                    }
                    at = object.get(name);
                }
            }
        }
        return Json.write(spoiled);
    }

    private String sheet() {
        String[] columns = {"name", "born", "student", "date", "track", "technique", "verdict", odd().replace("\n", " ")
        };
        StringBuilder sheet = new StringBuilder();
        for (int row = 0; row < random.nextInt(6); row++) {
            for (int column = 0; column < columns.length; column++) {
                String cell = row == 0 ? columns[column] : random.nextBoolean() ? odd() : id();
                sheet.append(column == 0 ? "" : random.nextInt(30) == 0 ? "\t" : ",")
                        .append(cell);
            }
            sheet.append(random.nextInt(20) == 0 ? "\"" : "\n");
        }
        return sheet.toString();
    }

    private String calendar() {
        StringBuilder calendar = new StringBuilder("BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\n");
        String[] lines = {
            "DTSTART;VALUE=DATE:20261221",
            "DTSTART;TZID=Nowhere/Else:20270105T100000",
            "DTEND;VALUE=DATE:99991231",
            "DTEND;TZID=X:20270105T100000",
            "RRULE:FREQ=SECONDLY",
            "RRULE:FREQ=YEARLY;BYDAY=99MO;COUNT=3",
            "EXDATE;TZID=X:20270105T100000",
            "SUMMARY:" + odd(),
            odd() + ":" + odd()
        };
        for (int event = 0; event < random.nextInt(4); event++) {
            calendar.append("BEGIN:VEVENT\r\n");
            for (int line = 0; line < random.nextInt(5); line++) {
                calendar.append(lines[random.nextInt(lines.length)]).append("\r\n");
            }
            calendar.append(random.nextInt(10) == 0 ? "" : "END:VEVENT\r\n");
        }
        return calendar.append("END:VCALENDAR\r\n").toString();
    }

    /** Something that fits a schema, but for what is odd in it. */
    private JsonNode value(JsonNode given, String name, int depth) {
        if (depth > 0 && random.nextInt(14) == 0) {
            return oddNode();
        }
        JsonNode schema = given;
        if (schema.has("oneOf")) {
            schema = schema.path("oneOf").path(0);
        }
        if (schema.has("$ref")) {
            schema = document.at(schema.path("$ref").asString().substring(1));
        }
        if (depth > 7) {
            return Json.mapper().nullNode();
        }
        if (schema.has("enum")) {
            return schema.path("enum").path(random.nextInt(schema.path("enum").size()));
        }
        String type = schema.path("type").isArray()
                ? schema.path("type").path(0).asString()
                : schema.path("type").asString("object");
        return switch (type) {
            case "array" -> list(schema.path("items"), name, depth);
            case "integer" -> Json.mapper().valueToTree(random.nextInt(20) - 1);
            case "number" -> Json.mapper().valueToTree(random.nextDouble() * 80);
            case "boolean" -> Json.mapper().valueToTree(random.nextBoolean());
            case "string" ->
                Json.mapper().valueToTree(text(schema.path("format").asString(""), name));
            default -> object(schema, depth);
        };
    }

    private JsonNode list(JsonNode items, String name, int depth) {
        ArrayNode list = Json.mapper().createArrayNode();
        for (int n = 0; n < random.nextInt(3); n++) {
            list.add(value(items, name, depth + 1));
        }
        return list;
    }

    private JsonNode object(JsonNode schema, int depth) {
        Map<String, JsonNode> all = new TreeMap<>();
        schema.path("properties").properties().forEach(property -> {
            if (random.nextInt(20) > 0) {
                all.put(property.getKey(), value(property.getValue(), property.getKey(), depth + 1));
            }
        });
        return Json.mapper().valueToTree(all);
    }

    /** What is called something is called it in a refusal, so no name looks like an id. */
    private String text(String format, String name) {
        boolean isSpoken = name.matches("name|intent|words|note|what|reason|text");
        return switch (format) {
            case "date" -> "2026-1" + random.nextInt(3) + "-1" + random.nextInt(10);
            case "date-time" -> "2026-11-24T18:00:00Z";
            default -> random.nextInt(3) == 0 ? odd() : isSpoken ? id().replace('-', ' ') : id();
        };
    }

    private JsonNode oddNode() {
        return switch (random.nextInt(7)) {
            case 0 -> Json.mapper().nullNode();
            case 1 -> Json.mapper().createArrayNode().addNull();
            case 2 -> Json.mapper().createObjectNode();
            case 3 -> Json.mapper().createArrayNode();
            case 4 -> Json.mapper().valueToTree(Long.MAX_VALUE);
            case 5 -> Json.mapper().valueToTree(-1.5e308);
            default -> Json.mapper().valueToTree(odd());
        };
    }

    private String odd() {
        return ODD.get(random.nextInt(ODD.size()));
    }

    private String id() {
        return ids.get(random.nextInt(ids.size()));
    }

    private static String encoded(String text) {
        return java.net.URLEncoder.encode(text, java.nio.charset.StandardCharsets.UTF_8)
                .replace("+", "%20");
    }
}
