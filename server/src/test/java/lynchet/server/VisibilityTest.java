package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import lynchet.format.Json;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.node.ObjectNode;

/**
 * Who is answered what: every read, by role, with the hidden fields of one student that stand in the answer. The table in
 * {@code docs/visibility.md} is written by this test, with {@code -Dwrite.documents=true}, and held to what is answered.
 */
@ExtendWith(RunningClub.class)
@Execution(ExecutionMode.CONCURRENT)
class VisibilityTest {

    private static final Path TABLE = Path.of("../docs/visibility.md");
    private static final String STUDENT = "kit-harrowgate";

    /** What each hidden field holds, so that it is known again wherever it comes out. */
    private static final Map<String, String> PLANTED = new LinkedHashMap<>();

    static {
        PLANTED.put("birth date", "1971-02-03");
        PLANTED.put("weight", "61.37");
        PLANTED.put("height", "\"heightCm\":178");
        PLANTED.put("contacts", "PlantedNeighbour");
        PLANTED.put("hold", "plantedreason");
        PLANTED.put("limit", "NO_NECK");
        PLANTED.put("its note", "plantedshoulder");
        PLANTED.put("apart", "[\"orla-fenwick\"]");
        PLANTED.put("notes", "plantednote");
        PLANTED.put("consent", "PlantedGuardian");
        PLANTED.put("belt size", "\"beltSize\":\"9Z\"");
        PLANTED.put("incident", "plantedfall");
        PLANTED.put("cover note", "plantedcover");
        PLANTED.put("ask", "plantedask");
        PLANTED.put("merit", "plantedmerit");
        PLANTED.put("reason", "plantedwhy");
        PLANTED.put("put forward", "plantedforward");
    }

    @Test
    void everyReadTellsEachRoleWhatTheTableSays() throws IOException {
        ConfigurableApplicationContext club = RunningClub.another();
        try {
            plant(RunningClub.head(club));
            String table = table(club);
            if (Boolean.getBoolean("write.documents")) {
                Files.writeString(TABLE, table);
            }
            assertThat(table).isEqualTo(Files.readString(TABLE));
            assertThat(table.lines().filter(line -> line.startsWith("| `")))
                    .as("nothing hidden is told to a viewer")
                    .allMatch(line -> List.of("open", "–").contains(line.split("\\|")[2].strip()));
        } finally {
            club.close();
        }
    }

    private static void plant(HttpUser head) {
        String path = "/api/classes/fundamentals-" + RunningClub.TODAY;
        HttpUser.Answer tonight = head.get(path).expect(200);
        ObjectNode training = (ObjectNode) tonight.json().path("training");
        head.put(path, training.put("handOver", "planted cover"), tonight.tag()).expect(200);
        head.post("/api/asks", Map.of("id", "planted-ask", "student", STUDENT, "words", "planted ask"))
                .expect(200);
        Map<String, Object> merit = Map.of(
                "id",
                "planted-merit",
                "student",
                STUDENT,
                "kind",
                "CONDUCT",
                "on",
                "2026-11-02",
                "words",
                "planted merit");
        head.post("/api/merits", merit).expect(200);
        Map<String, Object> before = new LinkedHashMap<>(
                Map.of("id", "planted-promotion", "student", STUDENT, "ladder", "adult", "to", "white", "stripes", 0));
        before.putAll(Map.of("date", "2019-11-01", "fromBefore", true, "figures", List.of(), "reason", "planted why"));
        head.post("/api/promotions", before).expect(200);
        String rank = head.get("/api/people/" + STUDENT + "/progress")
                .json()
                .at("/ranks/0/rank")
                .asString();
        head.post(
                        "/api/nominations",
                        Map.of(
                                "id",
                                "planted-nomination",
                                "student",
                                STUDENT,
                                "ladder",
                                "adult",
                                "rank",
                                rank,
                                "window",
                                "2026-11-01",
                                "note",
                                "planted forward"))
                .expect(200);
        HttpUser.Answer kept = head.get("/api/people/" + STUDENT).expect(200);
        ObjectNode changed = (ObjectNode) kept.json();
        changed.put("born", "1971-02-03")
                .put("weightKg", 61.37)
                .put("heightCm", 178)
                .put("notes", "planted note");
        changed.set("contacts", Json.mapper().readTree("{\"emergency\":\"Planted Neighbour\"}"));
        changed.set(
                "holds",
                Json.mapper().readTree("[{\"by\":\"head\",\"from\":\"2026-11-01\",\"reason\":\"planted reason\"}]"));
        changed.set(
                "restrictions",
                Json.mapper()
                        .readTree(
                                "[{\"kind\":\"NO_NECK\",\"from\":\"2026-11-02\",\"note\":\"planted shoulder\",\"step\":{\"number\":1,\"of\":1}}]"));
        changed.set("keepApart", Json.mapper().readTree("[\"orla-fenwick\"]"));
        changed.put("beltSize", "9Z");
        changed.set(
                "consents",
                Json.mapper()
                        .readTree("[{\"kind\":\"PICTURES\",\"given\":\"2026-01-02\",\"by\":\"Planted Guardian\"}]"));
        head.post(
                        "/api/incidents",
                        Map.of(
                                "incident",
                                Map.of(
                                        "id", "planted-incident",
                                        "student", STUDENT,
                                        "on", "2026-11-01",
                                        "kind", "INJURY",
                                        "what", "planted fall")))
                .expect(200);
        head.put("/api/people/" + STUDENT, changed.toString(), kept.tag()).expect(200);
    }

    private static String table(ConfigurableApplicationContext club) {
        Map<String, String> paths = new TreeMap<>();
        EveryRead.addresses(STUDENT).forEach((address, path) -> paths.put(path, address));
        StringBuilder table = new StringBuilder("""
                # Who is answered what

                Every read of the program by role, as a test asked it of a student whose every hidden field was filled. *open*: \
                answered, with none of them; –: refused; else the hidden fields that stand in the answer. What a coach wrote \
                about another coach is left out for that coach. `{id}` and the like are the student's wherever the path speaks \
                of people.

                | path | viewer | coach | head coach |
                |---|---|---|---|
                """);
        Map<String, HttpUser> users = new LinkedHashMap<>();
        List.of("viewer", "coach", "head").forEach(role -> users.put(role, RunningClub.user(club, role)));
        paths.forEach((path, address) -> table.append("| `")
                .append(path)
                .append("` | ")
                .append(users.values().stream().map(user -> told(user, address)).collect(Collectors.joining(" | ")))
                .append(" |\n"));
        return table.toString();
    }

    private static String told(HttpUser user, String address) {
        HttpUser.Answer answer = user.get(address);
        if (answer.status() == 401 || answer.status() == 403) {
            return "–";
        }
        String text = answer.text().replaceAll("\\s", "");
        String told = PLANTED.entrySet().stream()
                .filter(field -> text.contains(field.getValue()))
                .map(Map.Entry::getKey)
                .collect(Collectors.joining(", "));
        return told.isEmpty() ? "open" : told;
    }
}
