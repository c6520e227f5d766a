package lynchet.server.round;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import lynchet.core.club.Club;
import lynchet.core.club.ClubRecords;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.mat.Side;
import lynchet.core.people.StudentState;
import lynchet.core.round.Round;
import lynchet.core.round.RoundBuilder;
import lynchet.format.ClubArchive;
import lynchet.format.Json;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import lynchet.server.mat.StudentStates;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** A round is kept once, corrected and taken back, and what worked in it is practice at every moment. */
class RoundsTest {

    private static final LocalDate TODAY = LocalDate.parse(RunningClub.TODAY);

    /** Its own, since it looks at everybody's states. */
    private static ConfigurableApplicationContext server;

    private static HttpUser head;
    private static HttpUser coach;

    @BeforeAll
    static void open() {
        server = RunningClub.another();
        head = RunningClub.head(server);
        coach = RunningClub.user(server, "coach");
    }

    @AfterAll
    static void close() {
        server.close();
    }

    private static final String CHOKE = "front-choke-from-front-choke-on";
    private static final String HERE = "front-choke-on";
    private static final String ORLA = "orla-fenwick";
    private static final String KIT = "kit-harrowgate";

    private static Club club() {
        String archive = head.get("/api/archive").expect(200).text();
        return ClubArchive.read(new ByteArrayInputStream(archive.getBytes(StandardCharsets.UTF_8)));
    }

    private static Round card(String id, String first, String second, Round.Ended ended) {
        return RoundBuilder.builder()
                .id(id)
                .first(first)
                .second(second)
                .ended(ended)
                .build();
    }

    private static Round.Ended tap(Round.Who winner, String position, String link) {
        return new Round.Ended(Round.How.TAP, winner, position, link);
    }

    private HttpUser.Answer put(Round round) {
        return coach.put("/api/rounds/" + round.id(), Json.write(round), null);
    }

    private static int sessions(String student, String technique) {
        StudentState state =
                server.getBean(StudentStates.class).of(List.of(student)).get(student);
        return state.on(technique, Side.RIGHT).map(fading -> fading.sessions()).orElse(0);
    }

    @Test
    void aCardIsKeptOnceCorrectedAndTakenBack() {
        int orla = sessions(ORLA, "front-choke");
        int kit = sessions(KIT, "front-choke");
        Round first = card("once", ORLA, KIT, tap(Round.Who.FIRST, null, CHOKE));
        JsonNode kept = put(first).expect(200).json();
        assertThat(kept.path("ended").path("position").asString())
                .as("where it starts")
                .isEqualTo(HERE);
        assertThat(kept.path("by").asString()).isEqualTo("coach");
        assertThat(sessions(ORLA, "front-choke")).isEqualTo(orla + 1);
        assertThat(put(first).expect(200).json()).as("the same again").isEqualTo(kept);
        JsonNode corrected = put(card("once", ORLA, KIT, tap(Round.Who.SECOND, HERE, CHOKE)))
                .expect(200)
                .json();
        assertThat(corrected.path("at")).as("it was when it was").isEqualTo(kept.path("at"));
        assertThat(sessions(ORLA, "front-choke")).isEqualTo(orla);
        assertThat(sessions(KIT, "front-choke")).isEqualTo(kit + 1);
        Round older = RoundBuilder.builder(first)
                .at(java.time.Instant.parse(kept.path("at").asString()).minusSeconds(60))
                .build();
        assertThat(put(older).expect(200).json())
                .as("what was written before the correction does not undo it")
                .isEqualTo(corrected);
        assertThat(coach.delete("/api/rounds/once").status()).isEqualTo(204);
        assertThat(sessions(KIT, "front-choke")).isEqualTo(kit);
        assertThat(coach.delete("/api/rounds/once").status()).isEqualTo(404);
    }

    /** Each is refused with its rule and field, and nothing of it is kept. */
    @ParameterizedTest
    @CsvSource({
        "orla-fenwick, orla-fenwick, TAP, FIRST, , , , NOT_READABLE",
        "orla-fenwick, nobody-here, TAP, FIRST, , , , RECORD_STUDENT",
        "orla-fenwick, kit-harrowgate, TAP, , , , , WINNER",
        "orla-fenwick, kit-harrowgate, TIME, FIRST, , , , WINNER",
        "orla-fenwick, kit-harrowgate, TAP, FIRST, closed-guard, front-choke-from-front-choke-on, , END_FROM_THERE",
        "orla-fenwick, kit-harrowgate, PIN, FIRST, , front-choke-from-front-choke-on, , END_FROM_THERE",
        "orla-fenwick, kit-harrowgate, TAP, FIRST, no-such-place, , , ROUND_POSITION",
        "orla-fenwick, kit-harrowgate, TAP, FIRST, , no-such-link, , ROUND_LINK",
        "orla-fenwick, kit-harrowgate, STOPPED, , , , no-such-class, RECORD_CLASS",
    })
    void whatCannotHaveBeenIsRefused(
            String first,
            String second,
            Round.How how,
            Round.Who winner,
            String position,
            String link,
            String classId,
            String code) {
        Map<String, Object> ended = new HashMap<>();
        ended.put("how", how);
        ended.put("winner", winner);
        ended.put("position", position);
        ended.put("link", link);
        Map<String, Object> body = new HashMap<>(Map.of("id", "refused", "first", first, "second", second));
        body.put("classId", classId);
        body.put("ended", ended);
        assertThat(coach.put("/api/rounds/refused", Json.write(body), null).code())
                .isEqualTo(code);
        assertThat(coach.delete("/api/rounds/refused").status()).isEqualTo(404);
    }

    @Test
    void nobodyHasARoundBeforeJoiningInAClassThatWasCalledOffOrOnceErased() {
        String off = coach.get("/api/classes?from=" + TODAY + "&to=" + TODAY.plusDays(7))
                .json()
                .path("classes")
                .get(0)
                .path("id")
                .asString();
        head.send(
                        "POST",
                        "/api/classes/" + off + "/news",
                        "{\"news\":\"CALLED_OFF\",\"reason\":\"the hall is shut\"}",
                        head.get("/api/classes/" + off).tag())
                .expect(200);
        Round in = RoundBuilder.builder(card("off", ORLA, KIT, new Round.Ended(Round.How.TIME, null, null, null)))
                .classId(off)
                .build();
        assertThat(put(in).code()).isEqualTo("CALLED_OFF");
        String id = head.post(
                        "/api/people", Map.of("id", "just-come", "name", "Just Come", "joined", RunningClub.TODAY))
                .expect(200)
                .json()
                .path("id")
                .asString();
        Round before = RoundBuilder.builder(card("early", id, null, tap(Round.Who.FIRST, HERE, null)))
                .at(java.time.Instant.parse("2026-10-01T18:00:00Z"))
                .build();
        HttpUser.Answer refused = put(before);
        assertThat(refused.code()).isEqualTo("BEFORE_JOINING");
        assertThat(refused.json().path("where").asString()).isEqualTo("/first");
        put(card("today", id, null, tap(Round.Who.SECOND, HERE, null))).expect(200);
        head.post("/api/people/" + id + "/erase", Map.of("name", "Just Come")).expect(200);
        Round kept = club().rounds().stream()
                .filter(round -> round.id().equals("today"))
                .findFirst()
                .orElseThrow();
        assertThat(kept.first()).as("counted still, named no more").isNotEqualTo(id);
        assertThat(kept.second()).isNull();
        assertThat(put(card("after", kept.first(), null, tap(Round.Who.SECOND, HERE, null)))
                        .code())
                .isEqualTo("ERASED");
        coach.delete("/api/rounds/today");
    }

    @Test
    void eightTabletsThatSendOneRoundKeepOne() throws Exception {
        ExecutorService tablets = Executors.newFixedThreadPool(8);
        try {
            List<Callable<Integer>> sends = new ArrayList<>();
            for (int n = 0; n < 8; n++) {
                HttpUser tablet = RunningClub.user(server, "coach");
                Round round = card("same", ORLA, KIT, tap(Round.Who.values()[n % 2], HERE, CHOKE));
                sends.add(() ->
                        tablet.put("/api/rounds/same", Json.write(round), null).status());
            }
            for (Future<Integer> answer : tablets.invokeAll(sends)) {
                assertThat(answer.get()).isEqualTo(200);
            }
        } finally {
            tablets.shutdown();
        }
        assertThat(club().rounds().stream().filter(round -> round.id().equals("same")))
                .hasSize(1);
        coach.delete("/api/rounds/same");
    }

    /** Five hundred cards sent, corrected, taken back and put back: the states are those of a replay. */
    @Test
    void whatIsFoldedIsWhatAReplaySays() {
        Club club = club();
        GrapplingMap map = GrapplingMap.of(club.map());
        List<Link> ends = map.links().stream().filter(Link::endsInTap).toList();
        List<String> people = club.people().stream()
                .filter(person -> person.left() == null && person.joined().isBefore(TODAY.minusDays(300)))
                .map(person -> person.id())
                .limit(8)
                .toList();
        Random random = new Random(37);
        for (int n = 0; n < 500; n++) {
            String id = "random-" + random.nextInt(60);
            if (random.nextInt(4) == 0) {
                HttpUser.Answer gone = coach.delete("/api/rounds/" + id);
                if (gone.edit() != null && random.nextBoolean()) {
                    coach.undo(gone.edit()).expect(200);
                }
                continue;
            }
            int one = random.nextInt(people.size());
            int other = random.nextInt(people.size() + 1);
            Link link = ends.get(random.nextInt(ends.size()));
            Round.Ended ended = random.nextInt(4) == 0
                    ? new Round.Ended(Round.How.TIME, null, null, null)
                    : tap(
                            Round.Who.values()[random.nextInt(2)],
                            link.from(),
                            random.nextInt(5) == 0 ? null : link.id());
            put(card(id, people.get(one), other == one || other == people.size() ? null : people.get(other), ended))
                    .expect(200);
        }
        Club after = club();
        GrapplingMap now = GrapplingMap.of(after.map());
        Map<String, StudentState> states = server.getBean(StudentStates.class).of(people);
        assertThat(after.rounds().stream().filter(round -> round.id().startsWith("random-")))
                .hasSizeGreaterThan(20);
        ClubRecords.of(after).stream()
                .filter(one -> people.contains(one.student()))
                .forEach(one -> assertThat(states.get(one.student()).skills())
                        .as(one.student())
                        .isEqualTo(one.state(after.ladders(), now).skills()));
        after.rounds().stream()
                .filter(round -> round.id().startsWith("random-"))
                .forEach(round -> coach.delete("/api/rounds/" + round.id()));
    }

    @Test
    void aListIsNarrowedByWhoWhereWhatAndWhen() {
        put(card("listed", ORLA, null, tap(Round.Who.SECOND, HERE, CHOKE))).expect(200);
        for (String query : List.of(
                "by=" + ORLA,
                "position=" + HERE,
                "link=" + CHOKE,
                "technique=front-choke",
                "since=" + RunningClub.TODAY,
                "kind=LIVE")) {
            JsonNode page = coach.get("/api/rounds?" + query).expect(200).json();
            assertThat(page.path("rounds").valueStream().map(one -> one.path("id")
                            .asString()))
                    .as(query)
                    .contains("listed");
            assertThat(page.path("names").path(ORLA).asString()).isEqualTo("Orla Fenwick");
        }
        for (String query : List.of(
                "by=" + KIT,
                "position=closed-guard",
                "technique=hip-bump-sweep",
                "until=2026-01-01",
                "kind=COMPETITION",
                "fought=jacket-throwing",
                "track=juniors",
                "in=no-such-class")) {
            assertThat(coach.get("/api/rounds?" + query)
                            .expect(200)
                            .json()
                            .path("rounds")
                            .valueStream()
                            .map(one -> one.path("id").asString()))
                    .as(query)
                    .doesNotContain("listed");
        }
        assertThat(coach.get("/api/rounds?page=-1").code()).isEqualTo("PAGE");
        assertThat(coach.get("/api/rounds?technique=no-such").status()).isEqualTo(404);
        assertThat(RunningClub.user(server, "viewer").get("/api/rounds").status())
                .isEqualTo(403);
        coach.delete("/api/rounds/listed");
    }
}
