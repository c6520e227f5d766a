package lynchet.server.erase;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.lang.reflect.RecordComponent;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.rule.Most;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Somebody who is erased is nowhere in the data any more, and what they took part in is still counted. */
@ExtendWith(RunningClub.class)
@Execution(ExecutionMode.CONCURRENT)
class EraseTest {

    private static final String NAME = "Zebediah Quillfeather";
    private static final String EMAIL = "quillfeather@example.test";
    private static final String CLASS = "fundamentals-2026-11-24";
    private static final String OTHER = "juniors-2026-11-24";

    private static final String ASKED = "why my left ankle hurts";

    @Test
    void nothingPersonalStaysAndTheCountsDo(@TempDir Path data) throws IOException {
        ConfigurableApplicationContext club = RunningClub.onDisk(data);
        String id;
        String kept;
        try {
            HttpUser head = RunningClub.head(club);
            id = somebodyWithALife(head);
            assertThat(files(data, NAME)).as("the search finds what there is").isNotEmpty();
            JsonNode out = head.get("/api/people/" + id + "/all").expect(200).json();
            assertThat(out.path("student").path("name").asString()).isEqualTo(NAME);
            assertThat(out.path("marks").size()).isEqualTo(1);
            assertThat(out.path("marks").path(0).path("faults").size()).isEqualTo(1);
            assertThat(out.path("classes").size()).isEqualTo(1);
            assertThat(out.path("rounds").size()).isEqualTo(1);
            assertThat(out.path("incidents").size()).isEqualTo(1);
            assertThat(out.path("credits").size()).isEqualTo(1);
            assertThat(out.path("promotions").path(0).path("reason").asString()).contains("because");

            String copy = head.post("/api/copies", null)
                    .expect(200)
                    .json()
                    .path("name")
                    .asString();
            JsonNode before = head.get("/api/classes/" + CLASS).json();
            assertThat(head.post("/api/people/" + id + "/erase", Map.of("name", "Zebediah"))
                            .code())
                    .isEqualTo("NAME_DIFFERS");
            JsonNode mentions =
                    head.get("/api/people/" + id + "/mentions").expect(200).json();
            assertThat(mentions.valueStream().map(one -> one.path("kind").asString()))
                    .containsExactlyInAnyOrder("class", "incident", "incident", "credit");
            assertThat(mentions.path(0).path("text").asString()).contains("with " + NAME);
            assertThat(mentions.path(0).path("canGo").asBoolean()).isTrue();
            JsonNode erased = head.post("/api/people/" + id + "/erase", Map.of("name", NAME, "fromText", true))
                    .expect(200)
                    .json();
            assertThat(erased.path("kept").path("attendance").asInt()).isEqualTo(1);
            assertThat(erased.path("copies").path(0).asString()).isEqualTo(copy);
            assertThat(erased.path("mentions").size()).isZero();
            head.get("/api/people/" + id).expect(404);
            assertThat(head.get("/api/people?find=quillfeather&who=left")
                            .json()
                            .path("total")
                            .asInt())
                    .isZero();
            JsonNode after = head.get("/api/classes/" + CLASS).json();
            assertThat(after.path("attendance").size())
                    .isEqualTo(before.path("attendance").size());
            assertThat(head.get("/api/people/faults?from=2026-11-24&to=2026-11-24&track=fundamentals")
                            .json()
                            .path("seen")
                            .size())
                    .as("who left is in no count of faults")
                    .isZero();
            kept = head.get("/api/archive").text();
            JsonNode incident =
                    head.get("/api/incidents/inc-erase").expect(200).json().path("incident");
            assertThat(incident.path("kind").asString())
                    .as("that there was one stays")
                    .isEqualTo("INJURY");
            assertThat(incident.path("what").asString()
                            + incident.path("partner").asString(""))
                    .isEmpty();
            assertThat(kept).doesNotContain(NAME, EMAIL, "\"" + id + "\"");
            head.post("/api/archive/check", kept).expect(200);
        } finally {
            club.close();
        }
        assertThat(files(data, NAME)).isEmpty();
        assertThat(files(data, "quillfeather")).as("as it is compared").isEmpty();
        assertThat(files(data, EMAIL)).isEmpty();
        assertThat(files(data, ASKED))
                .as("what they asked goes from the trail as well")
                .isEmpty();
        assertThat(files(data, id)).isEmpty();
        assertThat(data.resolve("club.erased")).doesNotExist();
        ConfigurableApplicationContext again = RunningClub.onDisk(data);
        try {
            assertThat(RunningClub.head(again).get("/api/archive").text())
                    .as("the file written anew holds the same")
                    .isEqualTo(kept);
        } finally {
            again.close();
        }
    }

    /** Accounts, letters, what they gave and what the journal says of others: nothing names them any more. */
    @Test
    void whatNamedThemNamesNobody(@TempDir Path data) throws IOException {
        ConfigurableApplicationContext club = RunningClub.onDisk(data);
        try {
            HttpUser head = RunningClub.head(club);
            String id = head.post(
                            "/api/people",
                            Map.of(
                                    "id",
                                    "x",
                                    "name",
                                    NAME,
                                    "joined",
                                    "2026-01-10",
                                    "priorClasses",
                                    0,
                                    "contacts",
                                    Map.of("email", EMAIL)))
                    .expect(200)
                    .json()
                    .path("id")
                    .asString();
            String erase = "/api/people/" + id + "/erase";
            Map<String, Object> sure = Map.of("name", NAME, "fromText", false);

            head.put("/api/accounts/head", account("HEAD", id), null).expect(200);
            assertThat(head.post(erase, sure).code())
                    .as("nobody erases themselves")
                    .isEqualTo("OWN_JUDGEMENT");
            head.put("/api/accounts/head", account("HEAD", null), null).expect(200);
            head.put("/api/accounts/coach", account("COACH", id), null).expect(200);

            HttpUser.Answer gives = head.post("/api/coaches/meant", Map.of("text", "Wren Abbot", "person", id))
                    .expect(200);
            HttpUser.Answer refused = head.post(erase, sure);
            assertThat(refused.code()).isEqualTo("GIVES_CLASSES");
            assertThat(refused.text()).contains(NAME + " still gives ");
            head.undo(gives.edit()).expect(200);

            HttpUser.Answer planned = head.get("/api/classes/" + CLASS).expect(200);
            ObjectNode training = (ObjectNode) planned.json().path("training");
            training.put("coach", id);
            training.put("theme", "x".repeat(60) + NAME + "y".repeat(60));
            head.put("/api/classes/" + CLASS, training.toString(), planned.tag())
                    .expect(200);
            Path letters = Files.createDirectories(data.resolve("outbox"));
            Files.writeString(letters.resolve("a-1.eml"), letter("Somebody <" + EMAIL + ">", "Juniors is called off."));
            Files.writeString(letters.resolve("a-2.eml"), letter("other@example.test", NAME + " is not here."));
            Files.writeString(letters.resolve("a-3.eml"), letter("other@example.test", "Juniors is called off."));

            JsonNode mention = head.get("/api/people/" + id + "/mentions")
                    .expect(200)
                    .json()
                    .path(0);
            assertThat(mention.path("text").asString()).isEqualTo("…" + "x".repeat(40) + NAME + "y".repeat(40) + "…");
            JsonNode left =
                    head.post(erase, sure).expect(200).json().path("mentions").path(0);
            assertThat(left.path("text").asString())
                    .as("its text is left to a coach")
                    .contains(NAME);

            assertThat(data.resolve("club.erased")).as("asks for a new file").exists();
            assertThat(head.get("/api/accounts").expect(200).text()).doesNotContain(id);
            assertThat(head.get("/api/classes/" + CLASS)
                            .json()
                            .path("training")
                            .path("coach")
                            .isNull())
                    .isTrue();
            assertThat(letters.resolve("a-1.eml")).doesNotExist();
            assertThat(letters.resolve("a-2.eml")).doesNotExist();
            assertThat(letters.resolve("a-3.eml")).exists();
            assertThat(head.get("/api/edits").expect(200).text())
                    .as("what was done is told without them")
                    .doesNotContain(id, NAME);
        } finally {
            club.close();
        }
    }

    private static String account(String role, String person) {
        return "{\"role\":\"%s\",\"person\":%s,\"isOff\":false}"
                .formatted(role, person == null ? "null" : "\"" + person + "\"");
    }

    private static String letter(String to, String text) {
        return "From: club@lynchet.invalid\r\nTo: " + to + "\r\nSubject: News\r\n\r\n" + text + "\r\n";
    }

    /** Two letters are no name that could be looked for: every other word would be theirs. */
    @Test
    void aNameOfTwoLettersIsNotLookedFor() {
        ConfigurableApplicationContext club = RunningClub.another();
        try {
            HttpUser head = RunningClub.head(club);
            String id = head.post(
                            "/api/people", Map.of("id", "x", "name", "Bo", "joined", "2026-01-10", "priorClasses", 0))
                    .expect(200)
                    .json()
                    .path("id")
                    .asString();
            String before = head.get("/api/archive?part=map").text();
            assertThat(head.get("/api/people/" + id + "/mentions").expect(200).text())
                    .isEqualTo("[]");
            assertThat(head.post("/api/people/" + id + "/erase", Map.of("name", "Bo", "fromText", true))
                            .expect(200)
                            .json()
                            .path("mentions")
                            .size())
                    .isZero();
            assertThat(head.get("/api/archive?part=map").text()).isEqualTo(before);
        } finally {
            club.close();
        }
    }

    /** A name in every text of every part that is no id: each is found, wherever a part to come keeps its texts. */
    @Test
    void everyFreeTextOfEveryPartIsLookedThrough() {
        ConfigurableApplicationContext club = RunningClub.another();
        try {
            HttpUser head = RunningClub.head(club);
            ObjectNode whole = (ObjectNode) head.get("/api/archive").json();
            Map<String, List<String>> planted = new TreeMap<>();
            for (Part<?> part : Parts.ALL) {
                JsonNode things =
                        Parts.MAP.contains(part) ? whole.path("map").path(part.name()) : whole.path(part.name());
                int tried = 0;
                for (JsonNode thing : things) {
                    if (tried++ < 40) {
                        plant((ObjectNode) thing, part.type(), part.name(), planted);
                    }
                }
            }
            head.post("/api/archive?mode=replace", whole.toString()).expect(200);
            String id = head.post(
                            "/api/people", Map.of("id", "x", "name", NAME, "joined", "2026-01-10", "priorClasses", 0))
                    .expect(200)
                    .json()
                    .path("id")
                    .asString();
            String found =
                    head.get("/api/people/" + id + "/mentions").expect(200).text();
            assertThat(planted).as("parts with free texts").hasSizeGreaterThan(12);
            planted.forEach((part, ids) -> assertThat(ids)
                    .as("%s that name somebody", part)
                    .anySatisfy(one -> assertThat(found).contains("\"id\":\"" + one + "\"")));
        } finally {
            club.close();
        }
    }

    /** Puts the name into one text that may hold more than a name of its own. */
    private static void plant(ObjectNode thing, Class<?> type, String part, Map<String, List<String>> planted) {
        for (RecordComponent component : type.getRecordComponents()) {
            Most most = component.getAnnotatedType().getAnnotation(Most.class);
            boolean isFree = component.getType() == String.class && most != null && most.value() >= 100;
            if (isFree && thing.path("id").isString()) {
                thing.put(component.getName(), "as " + NAME + " said");
                planted.computeIfAbsent(part, all -> new ArrayList<>())
                        .add(thing.path("id").asString());
                return;
            }
        }
    }

    private static String somebodyWithALife(HttpUser head) {
        Map<String, Object> person = Map.of(
                "id", "x",
                "name", NAME,
                "joined", "2026-01-10",
                "born", "1990-02-03",
                "tracks", List.of("fundamentals"),
                "contacts", Map.of("email", EMAIL),
                "notes", "Zebediah Quillfeather likes to be called early");
        String id =
                head.post("/api/people", person).expect(200).json().path("id").asString();
        head.post("/api/asks", Map.of("id", "ask-erase", "student", id, "words", ASKED))
                .expect(200);
        JsonNode asked = head.get("/api/asks?student=" + id).expect(200).json().path(0);
        ObjectNode answered = ((ObjectNode) asked.path("ask")).put("done", RunningClub.TODAY);
        head.put("/api/asks/ask-erase", answered.toString(), asked.path("tag").asString())
                .expect(200);
        HttpUser.Answer other = head.get("/api/people/kit-harrowgate").expect(200);
        ObjectNode apart = (ObjectNode) other.json();
        apart.putArray("keepApart").add(id);
        head.put("/api/people/kit-harrowgate", apart.toString(), other.tag()).expect(200);
        head.post(
                        "/api/promotions",
                        Map.of(
                                "id",
                                "pr-erase",
                                "student",
                                id,
                                "ladder",
                                "adult",
                                "to",
                                "white",
                                "stripes",
                                0,
                                "date",
                                "2026-01-10",
                                "fromBefore",
                                true,
                                "reason",
                                "because Quillfeather knew it"))
                .expect(200);
        head.post("/api/attendance", Map.of("id", "a-erase", "student", id, "classId", CLASS, "how", "NAME"))
                .expect(200);
        head.post(
                        "/api/marks",
                        Map.of(
                                "id",
                                "m-erase",
                                "student",
                                id,
                                "subject",
                                "scissor-sweep",
                                "standard",
                                "SHOWN",
                                "passed",
                                false,
                                "faults",
                                List.of(fault(head)),
                                "classId",
                                CLASS))
                .expect(200);
        head.post(
                        "/api/incidents",
                        Map.of(
                                "incident",
                                Map.of(
                                        "id", "inc-erase",
                                        "student", id,
                                        "partner", "kit-harrowgate",
                                        "on", "2026-11-20",
                                        "kind", "INJURY",
                                        "what", NAME + " fell on " + EMAIL)))
                .expect(200);
        head.post(
                        "/api/incidents",
                        Map.of(
                                "incident",
                                Map.of(
                                        "id", "inc-partner",
                                        "student", "orla-fenwick",
                                        "partner", id,
                                        "on", "2026-11-20",
                                        "kind", "INJURY",
                                        "what", "bumped into " + NAME)))
                .expect(200);
        head.put(
                        "/api/pairings/pr-erase",
                        Map.of(
                                "id",
                                "pr-erase",
                                "classId",
                                CLASS,
                                "round",
                                1,
                                "groups",
                                List.of(Map.of("people", List.of(id, "devrim-hallow")))),
                        null)
                .expect(200);
        head.post(
                        "/api/credits",
                        Map.of(
                                "id",
                                "cr-erase",
                                "student",
                                id,
                                "subject",
                                "single-leg",
                                "reps",
                                50,
                                "on",
                                "2020-01-01",
                                "note",
                                NAME + " says so"))
                .expect(200);
        head.post("/api/attendance", Map.of("id", "a-gone", "student", id, "classId", OTHER, "how", "NAME"))
                .expect(200);
        head.delete("/api/attendance/a-gone").expect(204);
        JsonNode round =
                head.get("/api/people/kit-harrowgate/all").json().path("rounds").path(0);
        assertThat(round.isMissingNode()).isFalse();
        ObjectNode archive = (ObjectNode) head.get("/api/archive").json();
        for (JsonNode one : archive.path("rounds")) {
            if (one.path("id").equals(round.path("id"))) {
                String whose = one.path("first").asString().equals("kit-harrowgate") ? "second" : "first";
                ((ObjectNode) one).put(whose, id);
            }
        }
        head.post("/api/archive?mode=replace", archive.toString()).expect(200);
        HttpUser.Answer planned = head.get("/api/classes/" + CLASS).expect(200);
        ObjectNode training = (ObjectNode) planned.json().path("training");
        training.put("theme", "with " + NAME + " as partner");
        head.put("/api/classes/" + CLASS, training.toString(), planned.tag()).expect(200);
        return id;
    }

    private static String fault(HttpUser head) {
        return head.get("/api/map/techniques/scissor-sweep")
                .json()
                .path("technique")
                .path("faults")
                .path(0)
                .path("id")
                .asString();
    }

    /** Where in the files of a folder some letters stand, as UTF-8 or as H2 and UTF-16 keep them. */
    private static List<String> files(Path data, String letters) throws IOException {
        List<String> found = new ArrayList<>();
        try (Stream<Path> all = Files.walk(data)) {
            for (Path file : all.filter(Files::isRegularFile).toList()) {
                String bytes = new String(Files.readAllBytes(file), StandardCharsets.ISO_8859_1);
                String wide = new String(letters.getBytes(StandardCharsets.UTF_16BE), StandardCharsets.ISO_8859_1);
                int at = Math.max(bytes.indexOf(letters), bytes.indexOf(wide));
                if (at >= 0) {
                    String around = bytes.substring(Math.max(0, at - 200), Math.min(bytes.length(), at + 200));
                    found.add(file + ": " + around.replaceAll("[^ -~]+", "."));
                }
            }
        }
        return found;
    }

    @Test
    void onlyTheHeadCoachErasesAndGivesOut() {
        HttpUser coach = RunningClub.as("coach");
        coach.get("/api/people/orla-fenwick/all").expect(403);
        coach.post("/api/people/orla-fenwick/erase", Map.of("name", "Orla Fenwick"))
                .expect(403);
        RunningClub.as("viewer").get("/api/people/orla-fenwick/all").expect(403);
    }
}
