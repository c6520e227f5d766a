package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Days without classes, and patterns of classes, made by hand. */
@ExtendWith(RunningClub.class)
class ClosuresTest {

    private final HttpUser head = RunningClub.as("head");

    private static String closure(String id, String from, String until, String tracks) {
        return "{\"id\":\"%s\",\"name\":\"Hall let out\",\"from\":\"%s\",\"until\":\"%s\",\"tracks\":[%s]}"
                .formatted(id, from, until, tracks);
    }

    private String calendar(String day) {
        return head.get("/api/classes?from=%s&to=%s".formatted(day, day))
                .expect(200)
                .text();
    }

    @Test
    void aClosureTakesTheClassesOfItsTracksOutOfTheCalendar() {
        String tuesday = "2027-08-03";
        assertThat(calendar(tuesday)).contains("juniors-" + tuesday, "fundamentals-" + tuesday);
        HttpUser.Answer added = head.post("/api/closures", closure("let", "2027-08-02", tuesday, "\"juniors\""))
                .expect(200);
        assertThat(calendar(tuesday))
                .doesNotContain("juniors-" + tuesday)
                .contains("fundamentals-" + tuesday, "Hall let out");
        assertThat(calendar("2027-08-04")).doesNotContain("Hall let out");
        HttpUser.Answer changed = head.put("/api/closures/let", closure("let", "2027-08-02", tuesday, ""), added.tag())
                .expect(200);
        assertThat(calendar(tuesday)).doesNotContain("fundamentals-" + tuesday);
        assertThat(head.get("/api/archive").text()).contains("Hall let out");
        head.send("DELETE", "/api/closures/let", null, changed.tag()).expect(204);
        assertThat(calendar(tuesday)).contains("juniors-" + tuesday);
    }

    @Test
    void daysOnWhichPeopleTrainedAreNotClosedAfterwards() {
        String day = head.get("/api/classes?from=2026-11-02&to=2026-11-20")
                .json()
                .path("classes")
                .valueStream()
                .filter(c -> c.path("track").asString().equals("fundamentals")
                        && !c.path("cancelled").asBoolean())
                .map(c -> c.path("date").asString())
                .findFirst()
                .orElseThrow();
        HttpUser.Answer refused = head.post("/api/closures", closure("late", day, day, "\"fundamentals\""));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.code()).isEqualTo("CLOSURE_ATTENDED");
        assertThat(refused.json().path("where").asString()).isEqualTo("/from");
        assertThat(refused.json().path("detail").asString()).contains("Fundamentals on " + day);
        assertThat(head.get("/api/closures").text()).doesNotContain("\"late\"");
        HttpUser.Answer whole = head.post("/api/closures", closure("late", "2026-09-01", "2026-11-20", ""));
        assertThat(whole.json().path("detail").asString()).containsPattern("and in \\d+ more classes");
    }

    @Test
    void aPatternIsKeptByACoachAndItsCardsStay() {
        HttpUser coach = RunningClub.as("coach");
        String blocks =
                "{\"id\":\"b1\",\"kind\":\"WHOLE_DRILL\",\"title\":\"Floor\",\"minutes\":20,\"technique\":\"%s\"}";
        String pattern = "{\"id\":\"usual\",\"name\":\"Usual\",\"blocks\":[" + blocks + "]}";
        assertThat(coach.post("/api/patterns", pattern.formatted("no-such-card"))
                        .status())
                .isEqualTo(422);
        assertThat(RunningClub.as("viewer")
                        .post("/api/patterns", pattern.formatted("sprawl"))
                        .status())
                .isEqualTo(403);
        HttpUser.Answer kept =
                coach.post("/api/patterns", pattern.formatted("sprawl")).expect(200);
        assertThat(head.get("/api/patterns").text()).contains("\"usual\"", "\"Floor\"", "\"sprawl\"");
        head.send("DELETE", "/api/patterns/usual", null, kept.tag()).expect(204);
        assertThat(head.get("/api/patterns").text()).doesNotContain("\"usual\"");
    }

    @Test
    void onlyTheHeadCoachCloses() {
        for (String account : new String[] {"coach", "viewer"}) {
            HttpUser user = RunningClub.as(account);
            user.get("/api/closures").expect(200);
            assertThat(user.post("/api/closures", closure("x", "2027-01-01", "2027-01-02", ""))
                            .status())
                    .isEqualTo(403);
            assertThat(user.send("DELETE", "/api/closures/x", null, "\"x\"").status())
                    .isEqualTo(403);
        }
    }

    private static String ics(String... events) {
        StringBuilder all = new StringBuilder("BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//A school//EN\r\n");
        for (String event : events) {
            all.append("BEGIN:VEVENT\r\nUID:u\r\nDTSTAMP:20260101T000000Z\r\n")
                    .append(event.replace(" ", "\r\n"))
                    .append("\r\nEND:VEVENT\r\n");
        }
        return all.append("END:VCALENDAR\r\n").toString();
    }

    @Test
    void holidaysComeFromACalendarFileAllOrNone() {
        String file = ics(
                "SUMMARY:Spring DTSTART;VALUE=DATE:20280403 DTEND;VALUE=DATE:20280415",
                "SUMMARY:Spring DTSTART;VALUE=DATE:20280501",
                "SUMMARY:Old DTSTART;VALUE=DATE:20200501",
                "SUMMARY:Talk DTSTART:20280405T180000");
        HttpUser.Answer looked = head.post("/api/closures/calendar", file).expect(200);
        assertThat(looked.json().path("found"))
                .extracting(one -> one.path("id").asString() + " "
                        + one.path("from").asString() + " " + one.path("until").asString())
                .containsExactly("spring 2028-04-03 2028-04-14", "spring-2 2028-05-01 2028-05-01");
        assertThat(looked.json().path("past").asInt()).isEqualTo(1);
        assertThat(looked.json().path("timed").asInt()).isEqualTo(1);
        assertThat(head.get("/api/closures").text()).as("only looked at").doesNotContain("spring-2");
        head.post("/api/closures/calendar?keep=true", file).expect(200);
        assertThat(head.get("/api/closures").text()).contains("spring-2");
        assertThat(head.post("/api/closures/calendar?keep=true", file)
                        .expect(200)
                        .json()
                        .path("there")
                        .asInt())
                .as("again changes nothing")
                .isEqualTo(2);
        String written = head.get("/api/calendar.ics?track=juniors").expect(200).text();
        assertThat(written).contains("UID:juniors-").doesNotContain("UID:fundamentals-");
        assertThat(head.get("/api/calendar.ics?track=nothing").status()).isEqualTo(404);

        HttpUser.Answer endless = head.post(
                "/api/closures/calendar?keep=true",
                ics(
                        "SUMMARY:Summer DTSTART;VALUE=DATE:20280801",
                        "SUMMARY:Ever DTSTART;VALUE=DATE:20281221 RRULE:FREQ=YEARLY"));
        assertThat(endless.code()).isEqualTo("ICS_ENDLESS");
        assertThat(endless.text()).contains("Event 2, Ever");
        assertThat(head.get("/api/closures").text()).as("refused whole").doesNotContain("Summer");
        assertThat(head.post("/api/closures/calendar", "x".repeat(10 << 20)).status())
                .as("ten megabytes")
                .isEqualTo(413);
        RunningClub.as("coach").post("/api/closures/calendar?keep=true", file).expect(403);
    }
}
