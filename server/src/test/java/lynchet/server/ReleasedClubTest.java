package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.zip.GZIPInputStream;
import lynchet.core.club.Club;
import lynchet.core.club.ClubRecords;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.Mark;
import lynchet.core.people.HeldRank;
import lynchet.core.people.Student;
import lynchet.format.ClubArchive;
import lynchet.format.Json;
import lynchet.server.mat.StudentStates;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/**
 * A club that the version before promotions and slots made, with every part filled: its data file is opened, its archive
 * is taken in, and both ways lead to the same club with nothing lost.
 */
@ExtendWith(RunningClub.class)
class ReleasedClubTest {

    /** Parts that there were none of yet. */
    private static final List<Part<?>> LATER = List.of(
            Parts.PROMOTIONS,
            Parts.CLOSURES,
            Parts.PATTERNS,
            Parts.PLANS,
            Parts.IGNORED_LEAKS,
            Parts.CYCLES,
            Parts.ASKS,
            Parts.INCIDENTS,
            Parts.CREDITS,
            Parts.NOMINATIONS,
            Parts.MERITS,
            Parts.BELTS,
            Parts.TALLIES,
            Parts.PAIRINGS,
            Parts.STARTS,
            Parts.BROUGHT,
            Parts.NUMBERS,
            Parts.SYLLABUS_MOVES);

    @TempDir
    Path data;

    private static byte[] archive() throws IOException {
        try (InputStream file = ReleasedClubTest.class.getResourceAsStream("/released/club-1.json.gz")) {
            return new GZIPInputStream(file).readAllBytes();
        }
    }

    private ConfigurableApplicationContext opened() throws Exception {
        Path script = Path.of("src/test/resources/released/club-1.zip").toAbsolutePath();
        try (Connection old = DriverManager.getConnection("jdbc:h2:file:" + data.resolve("club"), "sa", "");
                PreparedStatement run = old.prepareStatement("runscript from ? compression zip")) {
            run.setString(1, script.toString());
            run.execute();
        }
        return RunningClub.start(
                "--server.port=0",
                "--lynchet.data=" + data,
                "--lynchet.today=" + RunningClub.TODAY,
                "--spring.datasource.url=jdbc:h2:file:" + data.resolve("club"));
    }

    @Test
    void comesAlongWhole() throws Exception {
        JsonNode released = Json.mapper().readTree(archive());
        String carried;
        try (ConfigurableApplicationContext club = opened()) {
            carried = RunningClub.head(club).get("/api/archive").expect(200).text();
            Club kept = ClubArchive.read(new ByteArrayInputStream(carried.getBytes(StandardCharsets.UTF_8)));
            nothingIsLost(released, kept);
            GrapplingMap map = GrapplingMap.of(kept.map());
            List<String> ids = kept.people().stream().map(Student::id).toList();
            var states = club.getBean(StudentStates.class).of(ids);
            ClubRecords.of(kept).forEach(one -> {
                var replayed = one.state(kept.ladders(), map);
                assertThat(states.get(one.student()).skills()).as(one.student()).isEqualTo(replayed.skills());
                assertThat(states.get(one.student()).ladders())
                        .as(one.student())
                        .isEqualTo(replayed.ladders());
            });
        }
        HttpUser other = RunningClub.as("head");
        String others = other.get("/api/archive").text();
        try {
            other.post("/api/archive?mode=replace", new String(archive(), StandardCharsets.UTF_8))
                    .expect(200);
            assertThat(other.get("/api/archive").text().equals(carried))
                    .as("the data file and the archive lead to the same club")
                    .isTrue();
        } finally {
            other.post("/api/archive?mode=replace", others).expect(200);
        }
    }

    private static void nothingIsLost(JsonNode released, Club kept) {
        for (Part<?> part : Parts.ALL) {
            JsonNode was =
                    Parts.MAP.contains(part) ? released.path("map").path(part.name()) : released.path(part.name());
            Set<String> ids = new TreeSet<>();
            was.forEach(one -> ids.add(one.path("id").asString()));
            assertThat(!ids.isEmpty() || LATER.contains(part))
                    .as("some " + part.name())
                    .isTrue();
            assertThat(ids(part, kept)).as(part.name()).containsAll(ids);
        }
        int ranks = 0;
        for (JsonNode student : released.path("people")) {
            List<HeldRank> held = HeldRank.of(kept.promotions().stream()
                            .filter(one ->
                                    one.student().equals(student.path("id").asString()))
                            .toList())
                    .values()
                    .stream()
                    .toList();
            assertThat(held.stream().map(one -> one.ladder() + one.rank() + one.stripes() + one.since()))
                    .containsExactlyInAnyOrderElementsOf(student.path("ranks")
                            .valueStream()
                            .map(one -> one.path("ladder").asString()
                                    + one.path("rank").asString()
                                    + one.path("stripes").asInt()
                                    + one.path("since").asString())
                            .toList());
            ranks += held.size();
        }
        assertThat(ranks).isGreaterThan(40);
        Mark lettingGo = kept.marks().stream()
                .filter(one -> one.id().equals("rel-3"))
                .findFirst()
                .orElseThrow();
        assertThat(lettingGo.version()).as("a version that no card has").isNull();
        assertThat(lettingGo.faults()).as("a fault that no card has").isEmpty();
    }

    private static <T> Set<String> ids(Part<T> part, Club club) {
        return club.all(part).stream().map(part::idOf).collect(Collectors.toSet());
    }
}
