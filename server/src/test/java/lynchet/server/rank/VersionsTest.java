package lynchet.server.rank;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.StreamSupport;
import lynchet.format.Json;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A ladder with a new syllabus from a day on: who stands on which, and moving them. */
@ExtendWith(RunningClub.class)
class VersionsTest {

    private static final AtomicInteger YARDS = new AtomicInteger();

    private final HttpUser head = RunningClub.as("head");
    private final String yard = "boatyard" + YARDS.incrementAndGet();
    private final String ladder = "/api/ladders/" + yard;
    private final String grey = yard + "-grey";

    /** Two who got grey in January and one who got it in October; grey asks something else from September. */
    @BeforeEach
    void boatyard() {
        head.post("/api/ladders", """
                        { "id": "boatyard", "name": "Boatyard",
                          "policy": { "stripes": "NONE", "belt": "BY_COACH" },
                          "ranks": [
                            { "id": "boatyard-grey", "name": "Grey", "colours": [ "grey" ],
                              "syllabus": [ { "name": "All", "items": [
                                { "id": "knots", "kind": "WORDS", "words": "Three knots", "standard": "SHOWN" } ] } ] },
                            { "id": "boatyard-blue", "name": "Blue", "colours": [ "blue" ] } ] }
                        """.replace("boatyard", yard).replace("knots", yard + "-knots"))
                .expect(200);
        for (String who : List.of("ana", "bo", "cy")) {
            head.post(
                            "/api/people",
                            "{\"id\":\"" + yard + who + "\",\"name\":\"" + who + " " + yard
                                    + "\",\"joined\":\"2025-11-01\",\"born\":\"1990-01-01\"}")
                    .expect(200);
        }
        List<String> all = people();
        wear(all.get(0), "2026-01-10");
        wear(all.get(1), "2026-01-10");
        wear(all.get(2), "2026-10-10");
    }

    private List<String> people() {
        JsonNode rows = head.get("/api/people?find=" + yard + "&size=200")
                .expect(200)
                .json()
                .path("rows");
        return StreamSupport.stream(rows.spliterator(), false)
                .map(row -> row.at("/student/id").asString())
                .toList();
    }

    private void wear(String who, String day) {
        head.post(
                        "/api/promotions",
                        "{\"id\":\"given-" + yard + YARDS.incrementAndGet() + "\",\"student\":\"" + who
                                + "\",\"ladder\":\"" + yard + "\",\"to\":\"" + grey + "\",\"stripes\":0,\"date\":\""
                                + day
                                + "\",\"reason\":\"x\"}")
                .expect(200);
    }

    private JsonNode versions() {
        return head.get(ladder + "/versions").expect(200).json();
    }

    private String tag() {
        return head.get(ladder).expect(200).json().path("tag").asString();
    }

    private HttpUser.Answer asksAlso(String words, String from) {
        JsonNode view = head.get(ladder).json();
        ObjectNode body = Json.mapper().createObjectNode();
        ArrayNode groups = (ArrayNode) view.at("/ladder/ranks/0/syllabus").deepCopy();
        ((ArrayNode) groups.get(0).path("items"))
                .addObject()
                .put("id", yard + words.toLowerCase().replace(' ', '-'))
                .put("kind", "WORDS")
                .put("words", words)
                .put("standard", "SHOWN");
        body.set("groups", groups);
        return head.put(
                ladder + "/ranks/" + grey + "/syllabus" + from,
                body,
                view.at("/tags/" + grey).asString());
    }

    private List<Integer> lacks() {
        return people().stream()
                .map(who -> head.get("/api/people/" + who + "/progress")
                        .expect(200)
                        .json()
                        .at("/ladders/0/groups/0/needed")
                        .asInt())
                .toList();
    }

    private List<String> told() {
        return StreamSupport.stream(versions().spliterator(), false)
                .map(one ->
                        one.path("from").asString("") + "/" + one.path("until").asString("") + " "
                                + one.path("people").asInt())
                .toList();
    }

    @Test
    void whoHasTheRankGoesOnWithWhatWasAskedAndIsMovedByTheHead() {
        assertThat(told()).containsExactly("/ 3");
        asksAlso("Splices", "?from=2026-09-01").expect(200);
        assertThat(told()).containsExactly("2026-09-01/ 1", "/2026-08-31 2");
        assertThat(lacks()).containsExactly(1, 1, 2);
        assertThat(head.get("/api/people/" + people().get(0) + "/progress")
                        .json()
                        .at("/ladders/0/until")
                        .asString())
                .isEqualTo("2026-08-31");
        asksAlso("Whipping", "").expect(200);
        assertThat(lacks())
                .as("a change of the newest is for those who stand on it")
                .containsExactly(1, 1, 3);
        assertThat(readiness(0)).isEqualTo("1");
        assertThat(readiness(2)).isEqualTo("3");

        String one = people().get(0);
        HttpUser.Answer look = head.post(ladder + "/versions/2026-09-01/moves/look", "{\"students\":[\"" + one + "\"]}")
                .expect(200);
        assertThat(look.json().at("/0/touched").asInt()).isEqualTo(1);
        assertThat(look.json().at("/0/touches/0/names/0").asString()).isEqualTo("ana");
        assertThat(lacks()).containsExactly(1, 1, 3);

        HttpUser.Answer moved = head.post(ladder + "/versions/2026-09-01/moves", "{\"students\":[\"" + one + "\"]}")
                .expect(200);
        assertThat(lacks()).containsExactly(3, 1, 3);
        JsonNode standing =
                head.get(ladder + "/versions/2026-09-01/people").expect(200).json();
        assertThat(standing).hasSize(2);
        assertThat(standing.at("/0/moved").asBoolean()).isTrue();
        assertThat(standing.at("/1/moved").asBoolean()).isFalse();

        HttpUser.Answer all = head.post(ladder + "/versions/2026-09-01/moves", "{\"everybody\":true}")
                .expect(200);
        assertThat(all.json().path("people").asInt()).isEqualTo(1);
        assertThat(lacks()).containsExactly(3, 3, 3);
        head.undo(all.edit()).expect(200);
        head.undo(moved.edit()).expect(200);
        assertThat(lacks()).containsExactly(1, 1, 3);

        head.post(ladder + "/versions/2026-08-31/moves", "{\"everybody\":true}").expect(200);
        assertThat(lacks()).as("and back to the older one").containsExactly(1, 1, 1);
        head.delete(ladder + "/versions/2026-08-31", tag()).expect(204);
        assertThat(lacks()).as("there is one syllabus again").containsExactly(3, 3, 3);
    }

    private String readiness(int who) {
        JsonNode all = head.get("/api/people/" + people().get(who) + "/readiness")
                .expect(200)
                .json();
        return StreamSupport.stream(all.at("/0/conditions").spliterator(), false)
                .filter(one -> one.path("code").asString().equals("SYLLABUS"))
                .map(one -> one.path("need").asString())
                .findFirst()
                .orElse("none");
    }

    @Test
    void theLookBeforeAChangeNamesOnlyThoseWhoStandOnIt() {
        asksAlso("Splices", "?from=2026-09-01").expect(200);
        ObjectNode body = Json.mapper().createObjectNode();
        body.putArray("ranks").addObject().put("rank", grey).putArray("groups");
        JsonNode look = head.post(ladder + "/look", body).expect(200).json();
        assertThat(look.at("/ranks/0/wearers").asInt()).isEqualTo(1);
        assertThat(look.at("/ranks/0/earlier").asInt()).isEqualTo(2);
        assertThat(look.at("/ranks/0/touched").asInt()).isEqualTo(1);
        JsonNode later =
                head.post(ladder + "/look?from=2026-11-01", body).expect(200).json();
        assertThat(later.at("/ranks/0/touched").asInt()).isZero();
        assertThat(later.at("/ranks/0/earlier").asInt()).isEqualTo(3);
    }

    @Test
    void aRankGivenLaterStandsOnWhatIsAskedThenAndAnErasedOneIsNotMovedAnyMore() {
        asksAlso("Splices", "?from=2026-09-01").expect(200);
        String one = people().get(0);
        head.post(ladder + "/versions/2026-09-01/moves", "{\"students\":[\"" + one + "\"]}")
                .expect(200);
        head.post("/api/people/" + one + "/erase", "{\"name\":\"ana " + yard + "\",\"fromText\":false}")
                .expect(200);
        assertThat(head.get("/api/archive").text()).doesNotContain(one).doesNotContain("ana " + yard);
        assertThat(told()).containsExactly("2026-09-01/ 1", "/2026-08-31 1");
    }

    @Test
    void whatMakesNoSenseIsRefusedAndNothingIsHalfDone() {
        asksAlso("Splices", "?from=2026-09-01").expect(200);
        JsonNode before = head.get(ladder).json();
        HttpUser.Answer earlier = asksAlso("Whipping", "?from=2026-08-01").expect(422);
        assertThat(earlier.code()).isEqualTo("BEGAN_ALREADY");
        assertThat(earlier.json().path("detail").asString())
                .startsWith("A syllabus of Boatyard begins on 2026-09-01 already.");
        assertThat(head.post(ladder + "/versions", "{}").code()).isEqualTo("NO_DAY");
        assertThat(head.delete(ladder + "/versions/2026-08-30", tag()).code()).isEqualTo("NO_VERSION");
        assertThat(head.post(
                                ladder + "/versions/2026-09-01/moves",
                                "{\"students\":[\"" + people().get(0) + "\",\"orla-fenwick\"]}")
                        .code())
                .isEqualTo("NOBODY");
        assertThat(head.get(ladder).json()).isEqualTo(before);
        assertThat(told()).containsExactly("2026-09-01/ 1", "/2026-08-31 2");

        ObjectNode whole = (ObjectNode) before.path("ladder").deepCopy();
        whole.remove("earlier");
        head.put(ladder, whole, tag()).expect(200);
        assertThat(told()).as("a form that knows no versions keeps them").hasSize(2);
        RunningClub.as("coach")
                .post(ladder + "/versions/2026-09-01/moves", "{\"everybody\":true}")
                .expect(403);
        RunningClub.as("viewer").get(ladder + "/versions/2026-09-01/people").expect(403);
    }
}
