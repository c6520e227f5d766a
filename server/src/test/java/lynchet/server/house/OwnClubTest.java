package lynchet.server.house;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lynchet.server.EveryRead;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import lynchet.server.account.Accounts;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** A club as forms make it, with every optional thing left out: whatever is asked of it, nothing breaks. */
class OwnClubTest {

    private static final String DAY = RunningClub.TODAY;

    private HttpUser head;

    @ParameterizedTest
    @ValueSource(strings = {"EMPTY", "WHOLE"})
    void everyReadOfAClubMadeByHandIsAnswered(String library) {
        try (ConfigurableApplicationContext application = RunningClub.start(
                "--server.port=0",
                "--lynchet.today=" + DAY,
                "--spring.datasource.url=jdbc:h2:mem:" + UUID.randomUUID() + ";DB_CLOSE_DELAY=-1")) {
            head = new HttpUser(Integer.parseInt(application.getEnvironment().getProperty("local.server.port")));
            begin(application.getBean(Accounts.class).firstCode().orElseThrow(), library);
            make();
            SoftAssertions all = new SoftAssertions();
            List<String> addresses = addresses();
            assertThat(addresses).hasSizeGreaterThan(150);
            for (String address : addresses) {
                all.check(
                        () -> assertThat(head.get(address).status()).as(address).isLessThan(500));
            }
            all.assertAll();
        }
    }

    private void begin(String code, String library) {
        head.post(
                        "/api/session/first",
                        Map.of(
                                "code",
                                code,
                                "name",
                                "ana",
                                "password",
                                "long enough",
                                "club",
                                "Reed Bank",
                                "library",
                                library))
                .expect(200);
    }

    /** Each shape that a form can leave behind. */
    private void make() {
        for (String bare : List.of("bare", "second")) {
            head.post("/api/ladders", ladder(bare, List.of(bare + "-one", bare + "-two", bare + "-three")))
                    .expect(200);
        }
        head.post("/api/ladders", ladder("lone", List.of("lone-one"))).expect(200);
        head.post("/api/tracks", Map.of("id", "evenings", "name", "Evenings", "slots", List.of(slot("tue"))))
                .expect(200);
        head.post("/api/tracks", Map.of("id", "never", "name", "Never", "slots", List.of()))
                .expect(200);
        person("nobody-in-particular", Map.of());
        String first = person("wears-the-first", Map.of("tracks", List.of("evenings")), "bare", "bare-one");
        person("wears-the-last", Map.of("born", "1990-02-03", "tracks", List.of("evenings")), "bare", "bare-three");
        person("on-two", Map.of("born", "2018-02-03"), "bare", "bare-one", "second", "second-two");
        person("alone-on-one", Map.of("tracks", List.of("never")), "lone", "lone-one");
        String left = person("left", Map.of("left", "2026-06-01", "joined", "2025-01-01"), "bare", "bare-one");
        head.post("/api/accounts", Map.of("name", "gone", "role", "COACH", "person", left))
                .expect(200);
        head.put(
                        "/api/classes/by-hand",
                        Map.of("id", "by-hand", "date", DAY, "start", "20:00", "minutes", 60, "track", "evenings"),
                        null)
                .expect(200);
        head.post("/api/attendance", Map.of("id", "a1", "student", first, "classId", "by-hand", "how", "NAME"))
                .expect(200);
        head.post("/api/terms", Map.of("id", "autumn", "name", "Autumn", "from", "2026-09-01", "until", "2026-12-20"))
                .expect(200);
        head.post("/api/words", Map.of("id", "base", "term", "base", "meaning", "how one stands"));
    }

    private static Map<String, Object> slot(String id) {
        return Map.of("id", id, "day", "TUESDAY", "start", "18:00", "minutes", 90, "from", "2026-01-01");
    }

    private static Map<String, Object> ladder(String id, List<String> ranks) {
        return Map.of(
                "id",
                id,
                "name",
                id,
                "ranks",
                ranks.stream()
                        .map(rank ->
                                Map.of("id", rank, "name", rank, "colours", List.of("white"), "syllabus", List.of()))
                        .toList(),
                "policy",
                Map.of("stripes", "BY_COACH", "belt", "BY_COACH"));
    }

    private String person(String id, Map<String, Object> more, String... ranks) {
        Map<String, Object> person = new java.util.HashMap<>(more);
        person.put("id", id);
        person.put("name", id.replace('-', ' '));
        person.putIfAbsent("joined", "2026-11-01");
        String made =
                head.post("/api/people", person).expect(200).json().path("id").asString();
        for (int i = 0; i < ranks.length; i += 2) {
            head.post(
                            "/api/promotions",
                            Map.of(
                                    "id",
                                    id + ranks[i],
                                    "student",
                                    made,
                                    "ladder",
                                    ranks[i],
                                    "to",
                                    ranks[i + 1],
                                    "stripes",
                                    0,
                                    "date",
                                    "2026-11-01",
                                    "fromBefore",
                                    true))
                    .expect(200);
        }
        return made;
    }

    private List<String> addresses() {
        JsonNode club = head.get("/api/archive").expect(200).json();
        List<String> all = new ArrayList<>();
        EveryRead.document().path("paths").properties().forEach(path -> {
            if (path.getValue().has("get")) {
                for (String there : there(path.getKey(), club)) {
                    asked(there, path.getKey(), path.getValue().path("get").path("parameters"), club, all);
                }
            }
        });
        return all;
    }

    private List<String> there(String path, JsonNode club) {
        if (!path.contains("{")) {
            return List.of(path);
        }
        List<String> ids = path.startsWith("/api/people/{id}")
                ? ids(club.path("people"))
                : path.startsWith("/api/ladders/")
                        ? ids(club.path("ladders"))
                        : path.startsWith("/api/classes/")
                                ? List.of("by-hand", "tue-" + DAY)
                                : path.startsWith("/api/map/positions")
                                        ? List.of("closed-guard-top", "standing-apart")
                                        : path.contains("{kind}") ? List.of("roster", "attendance") : List.of("none");
        return ids.stream()
                .map(id -> path.replaceAll("\\{\\w+}", id))
                .distinct()
                .toList();
    }

    private void asked(String there, String path, JsonNode parameters, JsonNode club, List<String> all) {
        List<String> starts = new ArrayList<>(List.of(there + "?"));
        for (JsonNode parameter : parameters) {
            String name = parameter.path("name").asString();
            if (!parameter.path("in").asString().equals("query")) {
                continue;
            }
            List<String> values = values(path, name, club);
            List<String> longer = new ArrayList<>();
            for (String start : starts) {
                if (!parameter.path("required").asBoolean(false)) {
                    longer.add(start);
                }
                if (parameter.path("required").asBoolean(false) || start.equals(starts.get(0))) {
                    values.forEach(value -> longer.add(start + name + "=" + value + "&"));
                }
            }
            starts = longer;
        }
        all.addAll(starts);
    }

    private List<String> values(String path, String name, JsonNode club) {
        return switch (name) {
            case "ladder" -> path.endsWith("touched") ? List.of("bare") : ids(club.path("ladders"));
            case "rank" -> path.startsWith("/api/map") ? List.of("bare-one", "bare-three") : List.of("bare-one");
            case "student" -> ids(club.path("people"));
            case "track" -> List.of("evenings", "never");
            case "from" ->
                path.endsWith("routes") || path.endsWith("suggestions")
                        ? List.of("closed-guard-top")
                        : List.of("2026-01-01");
            case "to" -> path.endsWith("routes") ? List.of("standing-apart") : List.of("2026-12-01");
            case "since", "until" -> List.of("2026-10-01");
            case "subject" -> List.of("body-drop");
            case "kind" -> path.endsWith("history") ? List.of("syllabus") : List.of();
            case "id" -> List.of("bare");
            case "end" -> List.of("any");
            default -> List.of();
        };
    }

    private static List<String> ids(JsonNode list) {
        List<String> ids = new ArrayList<>();
        list.forEach(one -> ids.add(one.path("id").asString()));
        return ids;
    }
}
