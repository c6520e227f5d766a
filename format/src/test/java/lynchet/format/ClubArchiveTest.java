package lynchet.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import lynchet.core.club.Club;
import lynchet.core.mat.Mark;
import lynchet.core.mat.Track;
import lynchet.core.people.HeldRank;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ClubArchiveTest {

    private static final String SOUND = """
            {"format": 3, "name": "Test club",
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
                "\"format\": 3                 | \"format\": 4             | FORMAT          | /format",
                "\"name\": \"Ana Test\"       | \"name\": \"Ana Test\", \"notes\": \"LONG\" | TEXT_LONG | /people/0/notes",
                "\"weightKg\": 61.5            | \"weightKg\": 1e9         | READABLE        | /people/0",
                "\"tracks\" | \"words\": [{\"id\": \"w\", \"term\": \"w\", \"meaning\": \"m\", \"techniques\": [\"nope\"]}], \"tracks\" | WORD_TECHNIQUE | /words/0/techniques/0",
                "\"tracks\" | \"drills\": [{\"id\": \"d\", \"name\": \"D\", \"kind\": \"POSITIONAL_ROUNDS\", \"start\": \"nope\", \"resetWhen\": [\"x\"], \"minutes\": 5}], \"tracks\" | DRILL_START | /drills/0/start",
                "\"tracks\" | \"drills\": [{\"id\": \"d\", \"name\": \"D\", \"kind\": \"POSITIONAL_ROUNDS\", \"minutes\": 5}], \"tracks\" | READABLE | /drills/0",
                "\"tracks\" | \"terms\": [{\"id\": \"t\", \"name\": \"T\", \"from\": \"2026-01-01\", \"until\": \"2026-02-01\", \"slots\": [\"nope\"]}], \"tracks\" | TERM_SLOT | /terms/0/slots/0",
                "\"tracks\" | \"gradings\": [{\"id\": \"g\", \"name\": \"G\", \"date\": \"2026-01-01\", \"ladder\": \"nope\", \"candidates\": [{\"student\": \"ana\", \"rank\": \"nope\"}]}], \"tracks\" | GRADING_LADDER | /gradings/0/ladder",
                "\"tracks\" | \"rounds\": [{\"id\": \"r\", \"at\": \"2026-02-03T18:31:02Z\", \"first\": \"ana\", \"second\": \"bob\", \"ended\": {\"how\": \"TIME\"}}], \"tracks\" | RECORD_STUDENT | /rounds/0/second",
                "{\"id\": \"sit-down\"         | {\"id\": \"x\", \"id\": \"y\" | READABLE    | line 8",
            })
    void refusesWithPathAndRule(String part, String by, String rule, String where) {
        assertThat(SOUND).contains(part);
        assertThatThrownBy(() -> ClubArchive.read(bytes(SOUND.replace(part, by.replace("LONG", "x".repeat(2001))))))
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
                "{\"format\": 7, \"hologram\": [1]}             | format 7 and this program reads up to format 3",
                "{\"format\": 3, \"hologram\": [1]}             | does not know \"hologram\"; the file may come from a newer",
                "{\"name\": \"x\"}                              | a club's file says \"format\": 3 at its beginning",
                "{\"format\": 3, \"chains\": [{\"id\": \"a   | ends in the middle; it was probably cut off",
            })
    void saysWhatHelps(String json, String sentence) {
        assertThatThrownBy(() -> ClubArchive.read(bytes(json))).hasMessageContaining(sentence);
    }

    @Test
    void refusesNonsenseAndDeepNesting() {
        assertThatThrownBy(() -> ClubArchive.read(bytes("x".repeat(10 << 20)))).isInstanceOf(ArchiveRefused.class);
        assertThatThrownBy(() -> ClubArchive.read(bytes("[".repeat(100_000)))).isInstanceOf(ArchiveRefused.class);
        String deep = "{\"format\":2,\"chains\":[{\"first\":" + "{\"next\":[{\"step\":".repeat(5000);
        assertThatThrownBy(() -> ClubArchive.read(bytes(deep))).hasMessageContaining("nested too deeply");
        assertThatThrownBy(() -> ClubArchive.read(bytes(""))).isInstanceOf(ArchiveRefused.class);
        assertThatThrownBy(() -> ClubArchive.read(bytes("null"))).isInstanceOf(ArchiveRefused.class);
    }

    /** The door refuses what is left out; a file, the journal and the disk are read as they were meant when they were written. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2})
    void whatAFileLeavesOutIsReadAsItMeantIt(int format) {
        String marks = SOUND.replace("\"format\": 3", "\"format\": " + format)
                .replace(
                        "\"attendance\"",
                        "\"marks\": [{\"id\": \"m1\", \"student\": \"ana\", \"subject\": \"sit\", \"standard\": \"SHOWN\", \"at\": \"2026-02-03T18:40:00Z\"}], \"attendance\"");
        Club club = ClubArchive.read(bytes(marks));
        assertThat(club.marks()).singleElement().satisfies(mark -> assertThat(mark.passed())
                .isFalse());
        assertThat(club.people().get(0).priorClasses()).isZero();
        assertThat(Json.read(
                                "{\"id\": \"m1\", \"student\": \"ana\", \"subject\": \"sit\", \"standard\": \"SHOWN\"}",
                                Mark.class)
                        .passed())
                .as("a body of the journal or of the disk")
                .isFalse();
    }

    /** A file of the first format: ranks in the people, slots in the terms, a ladder that counts a track nobody has. */
    @Test
    void anOlderFileIsReadAsIfItWereOfToday() {
        String old = """
                {"format": 1, "name": "Old club",
                 "ladders": [{"id": "adult", "name": "Adult", "policy": {}, "tracks": ["all", "gone"],
                              "ranks": [{"id": "white", "name": "White", "colours": ["white"]}]}],
                 "tracks": [{"id": "all", "name": "All"}],
                 "terms": [{"id": "t1", "name": "One", "from": "2026-01-01", "until": "2026-03-31",
                            "slots": [{"track": "all", "day": "MONDAY", "start": "18:30:00", "minutes": 60, "area": "Mat"}]},
                           {"id": "t2", "name": "Two", "from": "2026-04-01", "until": "2026-06-30",
                            "slots": [{"track": "all", "day": "MONDAY", "start": "18:30:00", "minutes": 60, "area": "Mat"},
                                      {"track": "all", "day": "MONDAY", "start": "18:30:00", "minutes": 90}]}],
                 "people": [{"id": "ana", "name": "Ana Test", "joined": "2026-01-05",
                             "ranks": [{"ladder": "adult", "rank": "white", "stripes": 2, "since": "2026-02-03"}]}]}
                """;
        Club club = ClubArchive.read(bytes(old));
        assertThat(HeldRank.of(club.promotions()))
                .containsEntry("adult", new HeldRank("adult", "white", 2, LocalDate.of(2026, 2, 3), true));
        assertThat(club.ladders().get(0).tracks()).containsExactly("all");
        assertThat(club.terms().get(1).slots()).containsExactly("all-mon-1830", "all-mon-1830-2");
        assertThat(club.tracks().get(0).slots())
                .extracting(Track.Slot::id, Track.Slot::from, Track.Slot::until, Track.Slot::minutes)
                .containsExactly(
                        tuple("all-mon-1830", LocalDate.of(2026, 1, 1), LocalDate.of(2026, 6, 30), 60),
                        tuple("all-mon-1830-2", LocalDate.of(2026, 4, 1), LocalDate.of(2026, 6, 30), 90));
        byte[] now = ClubArchive.write(club);
        assertThat(ClubArchive.read(new ByteArrayInputStream(now))).isEqualTo(club);
        String bad = old.replace("\"since\": \"2026-02-03\"", "\"since\": \"soon\"");
        assertThatThrownBy(() -> ClubArchive.read(bytes(bad))).hasMessageContaining("/people/0");
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
