package lynchet.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ClubArchiveTest {

    private static final String SOUND = """
            {"format": 1, "name": "Test club",
             "map": {
               "pairs": [{"id": "apart", "stage": "APART", "first": {"id": "standing", "name": "Standing apart", "control": 0}},
                         {"id": "guard", "stage": "LEGS_BETWEEN",
                          "first": {"id": "guard-bottom", "name": "Guard, bottom", "control": 0.4},
                          "second": {"id": "guard-top", "name": "Guard, top", "control": -0.4}}],
               "techniques": [{"id": "sit", "name": "Sit to guard", "family": "TRANSITION", "learn": 1, "master": 2}],
               "links": [{"id": "sit-down", "from": "standing", "technique": "sit", "to": "guard-bottom"}]},
             "tracks": [{"id": "all", "name": "All"}],
             "people": [{"id": "ana", "name": "Ana Test", "joined": "2026-01-05", "weightKg": 61.5}],
             "classes": [{"id": "c1", "date": "2026-02-03", "start": "18:30:00", "minutes": 60, "track": "all"}],
             "attendance": [{"id": "a1", "student": "ana", "classId": "c1", "at": "2026-02-03T18:31:02Z"}]}
            """;

    private static ByteArrayInputStream bytes(String json) {
        return new ByteArrayInputStream(json.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void writesTheSameBytesAgain() {
        byte[] once = ClubArchive.write(ClubArchive.read(bytes(SOUND)));
        byte[] twice = ClubArchive.write(ClubArchive.read(new ByteArrayInputStream(once)));
        assertThat(new String(twice, StandardCharsets.UTF_8)).isEqualTo(new String(once, StandardCharsets.UTF_8));
        assertThat(new String(once, StandardCharsets.UTF_8))
                .contains("\"weightKg\" : 61.5")
                .doesNotContain("null");
    }

    @ParameterizedTest(name = "{2} at {3}")
    @CsvSource(
            delimiter = '|',
            value = {
                "\"to\": \"guard-bottom\"      | \"to\": \"nowhere\"       | LINK_ENDS       | /map/links/0/to",
                "\"control\": -0.4             | \"control\": 0.4          | CONTROL_MIRRORS | /map/pairs/1/second/control",
                "\"learn\": 1                  | \"learn\": 9              | READABLE        | /map/techniques/0",
                "\"learn\": 1                  | \"lern\": 1               | READABLE        | /map/techniques/0",
                "\"family\": \"TRANSITION\"    | \"family\": \"DANCE\"     | READABLE        | /map/techniques/0/family",
                "\"student\": \"ana\"          | \"student\": \"bob\"      | RECORD_STUDENT  | /attendance/0/student",
                "\"joined\": \"2026-01-05\"    | \"joined\": \"2026-02-30\" | READABLE       | /people/0/joined",
                "\"format\": 1                 | \"format\": 2             | FORMAT          | /format",
                "\"weightKg\": 61.5            | \"weightKg\": 1e9         | READABLE        | /people/0",
                "\"tracks\" | \"words\": [{\"id\": \"w\", \"term\": \"w\", \"meaning\": \"m\", \"techniques\": [\"nope\"]}], \"tracks\" | WORD_TECHNIQUE | /words/0/techniques",
                "\"tracks\" | \"drills\": [{\"id\": \"d\", \"name\": \"D\", \"kind\": \"POSITIONAL_ROUNDS\", \"start\": \"nope\", \"resetWhen\": [\"x\"], \"minutes\": 5}], \"tracks\" | DRILL_START | /drills/0/start",
                "\"tracks\" | \"drills\": [{\"id\": \"d\", \"name\": \"D\", \"kind\": \"POSITIONAL_ROUNDS\", \"minutes\": 5}], \"tracks\" | READABLE | /drills/0",
                "\"tracks\" | \"terms\": [{\"id\": \"t\", \"name\": \"T\", \"from\": \"2026-01-01\", \"until\": \"2026-02-01\", \"slots\": [{\"track\": \"nope\", \"day\": \"MONDAY\", \"start\": \"18:00:00\", \"minutes\": 60}]}], \"tracks\" | SLOT_TRACK | /terms/0/slots",
                "\"tracks\" | \"gradings\": [{\"id\": \"g\", \"name\": \"G\", \"date\": \"2026-01-01\", \"ladder\": \"nope\", \"candidates\": [{\"student\": \"ana\", \"rank\": \"nope\"}]}], \"tracks\" | GRADING_LADDER | /gradings/0/ladder",
                "\"tracks\" | \"rounds\": [{\"id\": \"r\", \"at\": \"2026-02-03T18:31:02Z\", \"first\": \"ana\", \"second\": \"bob\", \"ended\": {\"how\": \"TIME\"}}], \"tracks\" | RECORD_STUDENT | /rounds/0/second",
                "{\"id\": \"sit-down\"         | {\"id\": \"x\", \"id\": \"y\" | READABLE    | line 8",
            })
    void refusesWithPathAndRule(String part, String by, String rule, String where) {
        assertThat(SOUND).contains(part);
        assertThatThrownBy(() -> ClubArchive.read(bytes(SOUND.replace(part, by))))
                .isInstanceOfSatisfying(ArchiveRefused.class, refused -> {
                    assertThat(refused.breaches().get(0).rule()).isEqualTo(rule);
                    assertThat(refused.breaches().get(0).where()).startsWith(where);
                    assertThat(refused.breaches().get(0).sentence()).isNotBlank();
                });
    }

    @ParameterizedTest(name = "{1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"format\": 7, \"hologram\": [1]}             | format 7 and this program reads up to format 1",
                "{\"format\": 1, \"hologram\": [1]}             | does not know \"hologram\"; the file may come from a newer",
                "{\"name\": \"x\"}                              | a club's file says \"format\": 1 at its beginning",
                "{\"format\": 1, \"chains\": [{\"id\": \"a   | ends in the middle; it was probably cut off",
            })
    void saysWhatHelps(String json, String sentence) {
        assertThatThrownBy(() -> ClubArchive.read(bytes(json))).hasMessageContaining(sentence);
    }

    @Test
    void refusesNonsenseAndDeepNesting() {
        assertThatThrownBy(() -> ClubArchive.read(bytes("x".repeat(10 << 20)))).isInstanceOf(ArchiveRefused.class);
        assertThatThrownBy(() -> ClubArchive.read(bytes("[".repeat(100_000)))).isInstanceOf(ArchiveRefused.class);
        String deep = "{\"format\":1,\"chains\":[{\"first\":" + "{\"next\":[{\"step\":".repeat(5000);
        assertThatThrownBy(() -> ClubArchive.read(bytes(deep))).hasMessageContaining("nested too deeply");
        assertThatThrownBy(() -> ClubArchive.read(bytes(""))).isInstanceOf(ArchiveRefused.class);
        assertThatThrownBy(() -> ClubArchive.read(bytes("null"))).isInstanceOf(ArchiveRefused.class);
    }

    @Test
    void theSchemasInTheDocsAreTheRecordsOwn() throws Exception {
        check("lynchet-club.schema.json", ArchiveSchema.json());
        check("lynchet-map.schema.json", ArchiveSchema.mapJson());
    }

    private static void check(String name, String schema) throws Exception {
        Path file = Path.of("../docs/format/" + name);
        if (Boolean.getBoolean("write.documents")) {
            Files.writeString(file, schema);
        }
        assertThat(Files.readString(file))
                .as("run ./lynchet api and commit the file")
                .isEqualTo(schema);
    }
}
