package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import lynchet.core.club.Club;
import lynchet.core.club.ClubRecords;
import lynchet.core.map.GrapplingMap;
import lynchet.core.people.Progress;
import lynchet.core.people.Student;
import lynchet.core.people.StudentState;
import lynchet.core.rank.Ladder;
import lynchet.format.ClubArchive;
import lynchet.format.Json;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.ETags;
import lynchet.server.mat.OpenSyllabus;
import lynchet.server.mat.StudentStates;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A thousand writes of all kinds in a random order. After every hundred the states of all students are what a replay of
 * the archive gives, and another club takes the archive in and gives out the same. {@code -Dwrites=3000} goes on for longer.
 */
@Execution(ExecutionMode.CONCURRENT)
@Order(1)
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class RandomWritesTest {

    private static final int ROUND = 100;

    private ConfigurableApplicationContext club;
    private ConfigurableApplicationContext otherClub;
    private HttpUser head;
    private HttpUser other;
    private final Random random = new Random(8);
    private final Map<String, Integer> done = new TreeMap<>();
    private final List<String> edits = new ArrayList<>();
    private JsonNode now;
    private int made;

    @BeforeAll
    void start() {
        club = RunningClub.another();
        head = RunningClub.head(club);
        otherClub = RunningClub.another();
        other = RunningClub.head(otherClub);
    }

    @AfterAll
    void stop() {
        otherClub.close();
        club.close();
    }

    @Test
    void leaveAClubThatIsSound() {
        for (int round = 0; round < Integer.getInteger("writes", 1000) / ROUND; round++) {
            now = Json.mapper().readTree(head.get("/api/archive").text());
            for (int kept = 0, tried = 0; kept < ROUND; tried++) {
                assertThat(tried)
                        .as("writes of which %s were kept: %s", kept, done)
                        .isLessThan(2000);
                kept += write() ? 1 : 0;
            }
            check(round);
        }
        assertThat(done.values()).as(done.toString()).allMatch(count -> count > 3);
        assertThat(done).hasSize(18);
    }

    private void check(int round) {
        String archive = head.get("/api/archive").text();
        Club kept = ClubArchive.read(new ByteArrayInputStream(archive.getBytes(StandardCharsets.UTF_8)));
        GrapplingMap map = GrapplingMap.of(kept.map());
        Map<String, Object> replayed = new TreeMap<>();
        ClubRecords.of(kept).forEach(one -> replayed.put(one.student(), plain(one.state(kept.ladders(), map))));
        List<String> ids = kept.people().stream().map(Student::id).toList();
        same(club.getBean(StudentStates.class).of(ids), replayed, "written, round " + round);
        open(club, kept, map);
        other.post("/api/archive?mode=replace", archive).expect(200);
        assertThat(other.get("/api/archive").text()).isEqualTo(archive);
        same(RunningClub.states(otherClub, ids), replayed, "taken in, round " + round);
    }

    /** What is kept of the syllabus of held ranks, each time of states that have changed meanwhile. */
    private static void open(ConfigurableApplicationContext club, Club kept, GrapplingMap map) {
        Map<String, Integer> open = new TreeMap<>();
        Set<String> here = kept.people().stream()
                .filter(one -> one.left() == null)
                .map(Student::id)
                .collect(Collectors.toSet());
        ClubRecords.of(kept).stream()
                .filter(one -> here.contains(one.student()))
                .forEach(one -> {
                    StudentState state = one.state(kept.ladders(), map);
                    for (Ladder ladder : kept.ladders()) {
                        Optional.ofNullable(state.ladders().get(ladder.id()))
                                .flatMap(count -> ladder.rank(count.held().rank()))
                                .ifPresent(rank -> open.put(
                                        one.student() + " on " + ladder.id(), new Progress(state, map).open(rank)));
                    }
                });
        Map<String, Integer> counted = new TreeMap<>();
        club.getBean(OpenSyllabus.class)
                .ofAll(club.getBean(TeachingSnapshots.class).now())
                .forEach(one -> counted.put(one.student() + " on " + one.ladder(), one.open()));
        assertThat(counted).isEqualTo(open);
    }

    private static void same(Map<String, StudentState> kept, Map<String, Object> replayed, String when) {
        replayed.forEach((student, state) ->
                assertThat(plain(kept.get(student))).as("%s, %s", student, when).isEqualTo(state));
    }

    private static Object plain(StudentState state) {
        return Arrays.asList(
                state.lastSeen(), state.ladders(), state.skills(), state.marks().standing());
    }

    private boolean write() {
        int what = random.nextInt(100);
        String kind;
        HttpUser.Answer answer;
        if (what < 25) {
            kind = "check in";
            answer =
                    head.post("/api/attendance", Map.of("id", id(), "student", id("people"), "classId", id("classes")));
        } else if (what < 30) {
            kind = "check out";
            answer = head.delete("/api/attendance/" + id("attendance"));
        } else if (what < 40) {
            kind = "drill";
            answer = head.post("/api/practice", drill());
        } else if (what < 43) {
            kind = "withdraw a drill";
            answer = head.delete("/api/practice/" + id("practice"));
        } else if (what < 58) {
            kind = "mark";
            answer = head.post("/api/marks", mark());
        } else if (what < 62) {
            kind = "take a mark back";
            ObjectNode mark = (ObjectNode) any("marks").deepCopy();
            mark.put("withdraws", mark.path("id").asString()).put("id", id());
            answer = head.post("/api/marks", mark);
        } else if (what < 66) {
            kind = "change a class";
            answer = changed("/api/classes/", "classes", one -> {
                one.put("cancelled", random.nextInt(3) == 0);
                one.put("date", "2026-10-" + (10 + random.nextInt(20)));
            });
        } else if (what < 70) {
            kind = "promote";
            answer = head.post("/api/promotions", promotion());
        } else if (what < 74) {
            kind = "add somebody";
            answer = head.post(
                    "/api/people",
                    Map.of(
                            "id",
                            "x",
                            "name",
                            "Some Body " + made++,
                            "joined",
                            "2026-0" + (1 + random.nextInt(9)) + "-01"));
        } else if (what < 78) {
            kind = "change somebody";
            answer = changed("/api/people/", "people", one -> one.put("notes", "note " + made++));
        } else if (what < 81) {
            kind = "add a chain";
            answer = head.post("/api/chains", with("chains", "name", "Chain " + made));
        } else if (what < 84) {
            kind = "change a chain";
            answer = changed("/api/chains/", "chains", one -> one.put("intent", "intent " + made++));
        } else if (what < 88) {
            kind = "change a link";
            answer = changed("/api/map/links/", "links", one -> one.put("note", "note " + made++));
        } else if (what < 92) {
            kind = "change a technique";
            answer = changed("/api/map/techniques/", "techniques", one -> one.put("summary", "summary " + made++));
        } else if (what < 95) {
            kind = "retire or remove a link";
            JsonNode link = any("links");
            answer = head.delete(
                    "/api/map/links/" + link.path("id").asString(),
                    ETags.of(Json.mapper().treeToValue(link, lynchet.core.map.Link.class)));
        } else if (what < 97 || edits.isEmpty()) {
            kind = "leave a gap";
            answer = head.post("/api/map/gaps/ignored", gap());
        } else if (what < 98) {
            kind = "merge two techniques";
            String gone = id("marks", "subject");
            answer = head.post("/api/map/techniques/" + gone + "/merge", Map.of("into", oneLike(gone)));
        } else {
            kind = "undo";
            answer = head.undo(edits.remove(random.nextInt(edits.size())));
        }
        assertThat(answer.status()).as(kind + ": " + answer.text()).isLessThan(500);
        if (answer.status() >= 300) {
            return false;
        }
        if (answer.edit() != null && !kind.equals("undo")) {
            edits.add(answer.edit());
        }
        done.merge(kind, 1, Integer::sum);
        return true;
    }

    private String id() {
        return "random-" + made++;
    }

    private String id(String part) {
        return id(part, "id");
    }

    private String id(String part, String field) {
        return any(part).path(field).asString();
    }

    /** A card of the same family: two of different ones are never the same technique. */
    private String oneLike(String card) {
        JsonNode all = now.path("map").path("techniques");
        String family = all.valueStream()
                .filter(one -> one.path("id").asString().equals(card))
                .map(one -> one.path("family").asString())
                .findFirst()
                .orElse("");
        List<String> same = all.valueStream()
                .filter(one -> one.path("family").asString().equals(family))
                .map(one -> one.path("id").asString())
                .toList();
        return same.isEmpty() ? id("techniques") : same.get(random.nextInt(same.size()));
    }

    private JsonNode any(String part) {
        JsonNode all = now.path(part).isMissingNode() ? now.path("map").path(part) : now.path(part);
        return all.get(random.nextInt(all.size()));
    }

    private interface Edit {
        void on(ObjectNode one);
    }

    private HttpUser.Answer changed(String path, String part, Edit edit) {
        ObjectNode one = (ObjectNode) any(part).deepCopy();
        String address = path + one.path("id").asString();
        String tag = head.get(address).tag();
        edit.on(one);
        return head.put(address, one.toString(), tag);
    }

    private ObjectNode with(String part, String field, String value) {
        ObjectNode one = (ObjectNode) any(part).deepCopy();
        return one.put("id", id()).put(field, value);
    }

    private Object drill() {
        return Map.of(
                "id", id(),
                "classId", id("classes"),
                "technique", id("techniques"),
                "reps", 1 + random.nextInt(20),
                "part", random.nextInt(4) == 0);
    }

    private Object mark() {
        return Map.of(
                "id", id(),
                "student", id("people"),
                "subject", id("techniques"),
                "standard", List.of("SHOWN", "MOVING", "LIVE").get(random.nextInt(3)),
                "passed", random.nextInt(4) > 0,
                "classId", id("classes"),
                "side", List.of("RIGHT", "LEFT", "BOTH").get(random.nextInt(3)));
    }

    private Object promotion() {
        JsonNode ladder = any("ladders");
        JsonNode ranks = ladder.path("ranks");
        return Map.of(
                "id", id(),
                "student", id("people"),
                "ladder", ladder.path("id").asString(),
                "to", ranks.get(random.nextInt(ranks.size())).path("id").asString(),
                "stripes", 0,
                "reason", "to see what happens",
                "date", "2026-11-" + (10 + random.nextInt(14)));
    }

    private Object gap() {
        JsonNode ranks = any("ladders").path("ranks");
        return Map.of(
                "id", id(),
                "rank", ranks.get(random.nextInt(ranks.size())).path("id").asString(),
                "code", "NO_ANSWER",
                "reaction", id("reactions"),
                "reason", "taught later");
    }
}
