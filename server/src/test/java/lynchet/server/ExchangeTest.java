package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Sheets, merging, and what the library offers, over HTTP; each test leaves the club as it was. */
@ExtendWith(RunningClub.class)
class ExchangeTest {

    private final HttpUser head = RunningClub.as("head");
    private String before;

    @BeforeEach
    void remember() {
        before = head.get("/api/archive").expect(200).text();
    }

    @AfterEach
    void putBack() {
        if (!head.get("/api/archive").text().equals(before)) {
            head.post("/api/archive?mode=replace", before).expect(200);
        }
    }

    /** Asks until the import has ended. */
    private JsonNode ended(HttpUser.Answer started) {
        String path = "/api/imports/" + started.expect(202).json().path("id").asString();
        Instant patience = Instant.now().plus(Duration.ofMinutes(5));
        while (true) {
            JsonNode job = head.get(path).expect(200).json();
            if (!List.of("WAITING", "RUNNING").contains(job.path("state").asString())) {
                return job;
            }
            assertThat(Instant.now()).as("the import is still " + job).isBefore(patience);
            LockSupport.parkNanos(20_000_000);
        }
    }

    @ParameterizedTest
    @CsvSource({"roster", "attendance", "marks"})
    void aSheetThatWasWrittenChangesNothingWhenReadAgain(String kind) {
        String csv = head.get("/api/csv/" + kind).expect(200).text();
        JsonNode preview =
                head.post("/api/csv/" + kind + "/check", csv).expect(200).json();
        assertThat(preview.path("same").asInt()).isPositive();
        assertThat(preview.path("add").asInt()
                        + preview.path("change").asInt()
                        + preview.path("bad").asInt())
                .as(preview.toString())
                .isZero();
        assertThat(ended(head.post("/api/csv/" + kind, csv)).path("state").asString())
                .isEqualTo("DONE");
        assertThat(head.get("/api/archive").text()).isEqualTo(before);
    }

    @Test
    void theRosterSheetHoldsNothingPrivate() {
        String csv = head.get("/api/csv/roster").text();
        assertThat(before).contains("left shoulder", "0555");
        assertThat(csv).contains("Orla Fenwick").doesNotContain("left shoulder", "0555", "Prefers to start");
    }

    @Test
    void aSheetWithABadLineIsRefusedWholeUnlessBadLinesAreLeftOut() {
        String csv = "name;born;card\nNew Person;01.02.2001;8001\nOther Person;31.02.2001;8002\n";
        JsonNode refused = ended(head.post("/api/csv/roster", csv));
        assertThat(refused.path("state").asString()).isEqualTo("FAILED");
        assertThat(refused.path("problem").path("code").asString()).isEqualTo("CSV_LINES");
        assertThat(refused.path("problem").path("where").asString()).isEqualTo("line 3");
        assertThat(head.get("/api/archive").text()).isEqualTo(before);

        assertThat(ended(head.post("/api/csv/roster?skipBad=true", csv))
                        .path("result")
                        .path("add")
                        .asInt())
                .isEqualTo(1);
        assertThat(head.get("/api/people/card/8001").expect(200).text())
                .contains("New Person")
                .doesNotContain("new-person");
        head.get("/api/people/card/8002").expect(404);
    }

    @Test
    void aCancelledImportLeavesNothing() {
        String csv = IntStream.range(0, 20_000)
                .mapToObj(i -> "Crowd " + i + ",2001-02-03")
                .collect(Collectors.joining("\n", "name,born\n", "\n"));
        HttpUser.Answer started = head.post("/api/csv/roster", csv);
        head.delete("/api/imports/" + started.json().path("id").asString()).expect(200);
        assertThat(ended(started).path("state").asString()).isEqualTo("CANCELLED");
        assertThat(head.get("/api/archive").text()).isEqualTo(before);
    }

    @Test
    void mergingTheSameFileChangesNothingAndADifferingRecordRefusesIt() {
        JsonNode check =
                head.post("/api/archive/check?mode=merge", before).expect(200).json();
        assertThat(check.path("merge").findValuesAsString("added")).containsOnly("0");
        JsonNode merged = ended(head.post("/api/imports?mode=merge", before));
        assertThat(merged.path("state").asString()).as(merged.toString()).isEqualTo("DONE");
        assertThat(head.get("/api/archive").text()).isEqualTo(before);

        String other = before.replace("\"name\" : \"Orla Fenwick\"", "\"name\" : \"Orla F.\"");
        assertThat(head.post("/api/archive/check?mode=merge", other)
                        .json()
                        .path("conflicts")
                        .get(0)
                        .path("id")
                        .asString())
                .isEqualTo("orla-fenwick");
        HttpUser.Answer refused = head.post("/api/archive?mode=merge", other).expect(422);
        assertThat(refused.code()).isEqualTo("RECORD_DIFFERS");
        assertThat(refused.text()).contains("orla-fenwick");
        assertThat(head.get("/api/archive").text()).isEqualTo(before);
    }

    @Test
    void aMapAloneReplacesTheMapAndMayOrphanNothing() {
        String map = head.get("/api/archive?part=map").text();
        head.post("/api/archive?mode=replace", map.replace("\"name\" : \"Body drop\"", "\"name\" : \"Our drop\""))
                .expect(200);
        assertThat(head.get("/api/archive").text())
                .isEqualTo(before.replace("\"name\" : \"Body drop\"", "\"name\" : \"Our drop\""));
        HttpUser.Answer refused = head.post("/api/archive?mode=replace", "{\"format\":2,\"map\":{}}")
                .expect(422);
        assertThat(refused.code()).isEqualTo("ORPHANS");
        assertThat(head.get("/api/people/orla-fenwick").expect(200).text()).contains("Orla");
    }

    @Test
    void theMapGoesOutForOtherPrograms() {
        assertThat(head.get("/api/archive/map.graphml").expect(200).text()).contains("<graphml", "closed-guard");
        assertThat(head.get("/api/archive/map.dot").expect(200).text())
                .startsWith("digraph")
                .contains("closed-guard");
    }

    @Test
    void theLibraryOffersWhatTheClubLacksAndKeepsWhatItChanged() {
        JsonNode offered = head.get("/api/library").expect(200).json();
        assertThat(offered.findValuesAsString("key"))
                .contains("ladders/adult/white", "ladders/adult/yellow", "ladders/adult/orange")
                .allMatch(key -> key.startsWith("ladders/"));
        assertThat(offered.findValuesAsString("who")).containsOnly("CLUB");
        JsonNode touched = head.get("/api/library/touched?ladder=adult&rank=white")
                .expect(200)
                .json();
        assertThat(touched.path("wear").asInt())
                .as("nobody has passed a fall that their coaches forgot")
                .isPositive()
                .isEqualTo(touched.path("lackMore").size());
        assertThat(touched.path("lackMore").findValuesAsString("name"))
                .isNotEmpty()
                .allMatch(name -> name.contains(" "));
        assertThat(touched.path("lackLess")).isEmpty();
        assertThat(head.get("/api/library/touched?ladder=adult&rank=beige")
                        .expect(404)
                        .text())
                .contains("beige");
        JsonNode left = head.post("/api/library", Map.of("keys", List.of("ladders/adult/white")))
                .expect(200)
                .json();
        assertThat(left.findValuesAsString("key"))
                .contains("ladders/adult/orange")
                .doesNotContain("ladders/adult/white");
        JsonNode after = head.post("/api/library", Map.of("keys", left.findValuesAsString("key")))
                .expect(200)
                .json();
        assertThat(after.size()).isZero();
        assertThat(head.post("/api/library", Map.of("keys", List.of("techniques/flying")))
                        .expect(422)
                        .text())
                .contains("techniques/flying");
    }

    @ParameterizedTest
    @CsvSource({"viewer", "coach"})
    void onlyTheHeadCoachTakesInAndGivesOut(String account) {
        HttpUser user = RunningClub.as(account);
        for (String path : List.of(
                "/api/csv/roster",
                "/api/archive/map.dot",
                "/api/library",
                "/api/library/touched?ladder=adult&rank=white",
                "/api/imports/x")) {
            user.get(path).expect(403);
        }
        user.post("/api/csv/roster", "name\nX\n").expect(403);
        user.post("/api/imports?mode=merge", before).expect(403);
        user.get("/api/words").expect(200);
        user.get("/api/drills").expect(200);
    }
}
