package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import lynchet.core.club.Club;
import lynchet.format.ClubArchive;
import lynchet.starter.StarterLibrary;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

@ExtendWith(RunningClub.class)
class ArchiveTest {

    private final HttpUser head = RunningClub.as("head");

    @Test
    void whatIsExportedComesBackToTheSameBytes() {
        String demo = head.get("/api/archive").expect(200).text();
        try {
            for (Club club : List.of(StarterLibrary.club("Empty club"), Club.named("With nothing"))) {
                String other = new String(ClubArchive.write(club), StandardCharsets.UTF_8);
                head.post("/api/archive?mode=replace", other).expect(200);
                assertThat(head.get("/api/people").json().path("total").asInt()).isZero();
                assertThat(head.get("/api/archive").text()).isEqualTo(other);
            }
        } finally {
            head.post("/api/archive?mode=replace", demo).expect(200);
        }
        assertThat(head.get("/api/archive").text()).isEqualTo(demo);
        assertThat(head.get("/api/archive?part=map").text())
                .doesNotContain("orla-fenwick")
                .contains("closed-guard");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "a missing id       | \"technique\" : \"hip-sweep\"     | \"technique\" : \"hip-sweeep\"   | LINK_TECHNIQUE | /map/links/",
                "broken counterpart | \"control\" : -2.4                | \"control\" : -2.3               | CONTROL_MIRRORS | /map/pairs/",
                "a ring             | \"prerequisites\" : [ \"back-fall\" ] | \"prerequisites\" : [ \"forward-roll-fall\" ] | PREREQUISITE_CYCLE | /map/techniques/",
                "an unknown student | \"student\" : \"orla-fenwick\"    | \"student\" : \"orla\"           | RECORD_STUDENT | /",
                "not JSON           | {                                 | (                                | READABLE | line 1",
            })
    void aBrokenArchiveIsRefusedWholeWithPathAndRule(String name, String part, String by, String rule, String where) {
        String sound = head.get("/api/archive").text();
        assertThat(sound).contains(part);
        String broken = sound.replace(part, by);
        for (String path : new String[] {"/api/archive/check", "/api/archive?mode=replace"}) {
            HttpUser.Answer refused = head.post(path, broken).expect(422);
            assertThat(refused.code()).isEqualTo(rule);
            assertThat(refused.json().path("where").asString()).startsWith(where);
        }
        assertThat(head.get("/api/archive").text()).isEqualTo(sound);
    }

    @Test
    void nonsenseAndDeepNestingAreRefused() {
        String before = head.get("/api/archive").text();
        head.post("/api/archive?mode=replace", "\u0000?".repeat(5 << 20)).expect(422);
        head.post("/api/archive?mode=replace", "{\"chains\":" + "[{\"first\":".repeat(20_000))
                .expect(422);
        head.post("/api/archive?mode=everything", before).expect(422);
        assertThat(head.get("/api/archive").text()).isEqualTo(before);
    }
}
