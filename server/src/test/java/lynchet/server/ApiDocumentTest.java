package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import lynchet.format.Json;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningClub.class)
class ApiDocumentTest {

    @Test
    void theCommittedDocumentIsWhatTheServerServes() throws Exception {
        RunningClub.as("viewer").get("/v3/api-docs").expect(200);
        Map<?, ?> served = Json.mapper()
                .readValue(
                        RunningClub.as("viewer").get("/v3/api-docs").expect(200).text(), Map.class);
        String text = Json.mapper().writerWithDefaultPrettyPrinter().writeValueAsString(served) + "\n";
        Path file = Path.of("../web/openapi.json");
        if (Boolean.getBoolean("write.documents")) {
            Files.writeString(file, text);
        }
        assertThat(Files.readString(file))
                .as("run ./lynchet api and commit the file")
                .isEqualTo(text);
    }

    /** docs/api.md lists what people script against: such a path is in the document, or it was taken away under them. */
    @Test
    void whatPeopleScriptAgainstIsThere() throws Exception {
        JsonNode paths = EveryRead.document().path("paths");
        List<String> listed = Files.readString(Path.of("../docs/api.md"))
                .lines()
                .filter(line -> line.matches("\\| `[A-Z]+ /.*"))
                .map(line -> line.substring(3, line.indexOf('`', 3)))
                .toList();
        assertThat(listed).hasSizeGreaterThan(50).allSatisfy(one -> {
            String[] asked = one.split(" ");
            assertThat(paths.path(asked[1])
                            .path(asked[0].toLowerCase(java.util.Locale.ROOT))
                            .isObject())
                    .as(one)
                    .isTrue();
        });
    }

    /** Each property is there and of the type that is said; null only where it is said. */
    @Test
    void everyAnswerIsWhatTheDocumentSays() {
        JsonNode document = EveryRead.document();
        Set<String> wrong = new TreeSet<>();
        int[] looked = new int[1];
        for (String student : List.of("kit-harrowgate", "ada-quickly")) {
            EveryRead.addresses(student).forEach((there, path) -> {
                HttpUser.Answer answer = RunningClub.as("head").get(there);
                JsonNode content = document.path("paths").path(path).at("/get/responses/200/content");
                if (answer.status() == 200 && answer.headers().contains("json") && !content.isEmpty()) {
                    JsonNode schema = content.values().iterator().next().path("schema");
                    new Look(document, wrong).at(path, schema, answer.json());
                    looked[0]++;
                }
            });
        }
        assertThat(looked[0]).isGreaterThan(40);
        assertThat(wrong).isEmpty();
    }

    private record Look(JsonNode document, Set<String> wrong) {

        private static final Set<String> SPOKEN_FREELY = Set.of("JsonNode", "StreamingResponseBody", "ProblemDetail");

        void at(String where, JsonNode schema, JsonNode value) {
            if (schema.has("oneOf")) {
                if (!value.isNull()) {
                    at(where, schema.path("oneOf").get(0), value);
                }
                return;
            }
            String ref = schema.path("$ref").asString("");
            if (!ref.isEmpty()) {
                if (SPOKEN_FREELY.contains(ref.substring(ref.lastIndexOf('/') + 1))) {
                    return;
                }
                at(ref.substring(ref.lastIndexOf('/') + 1), document.at(ref.substring(1)), value);
                return;
            }
            String types = schema.path("type").toString();
            String type = value.isNull()
                    ? "null"
                    : value.isArray()
                            ? "array"
                            : value.isObject()
                                    ? "object"
                                    : value.isString() ? "string" : value.isBoolean() ? "boolean" : "number";
            if (schema.has("type") && !types.contains(type) && !(type.equals("number") && types.contains("integer"))) {
                wrong.add(where + " is " + type + " and not " + types);
            }
            if (value.isArray()) {
                value.forEach(entry -> at(where + " of", schema.path("items"), entry));
            }
            if (value.isObject() && schema.has("properties")) {
                schema.path("properties").properties().forEach(property -> {
                    if (value.has(property.getKey())) {
                        at(where + "." + property.getKey(), property.getValue(), value.path(property.getKey()));
                    } else {
                        wrong.add(where + "." + property.getKey() + " is missing");
                    }
                });
            }
        }
    }
}
