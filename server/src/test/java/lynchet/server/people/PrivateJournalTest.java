package lynchet.server.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.node.ObjectNode;

/** Health, contacts, birth dates and notes stay off the journal, which is never thinned; that something changed is on it. */
@Execution(ExecutionMode.CONCURRENT)
class PrivateJournalTest {

    private static final List<String> PRIVATE =
            List.of("torn-ligament", "quiet-at-first", "1999-09-09", "aunt-of-sparrow", "left-shoulder", "77.5");

    @Test
    void nothingPrivateIsWrittenThere() {
        try (ConfigurableApplicationContext club = RunningClub.another()) {
            HttpUser head = RunningClub.head(club);
            Map<String, Object> person = new HashMap<>(Map.of(
                    "id", "x", "name", "Sparrow Fell", "joined", "2026-01-01", "born", "1999-09-09", "weightKg", 77.5));
            person.put("notes", "quiet-at-first");
            person.put("contacts", Map.of("emergency", "aunt-of-sparrow"));
            person.put(
                    "restrictions",
                    List.of(Map.of("kind", "NO_LIVE", "from", RunningClub.TODAY, "note", "torn-ligament")));
            String id = head.post("/api/people", person)
                    .expect(200)
                    .json()
                    .path("id")
                    .asString();
            HttpUser.Answer kept = head.get("/api/people/" + id).expect(200);
            assertThat(kept.text()).as("kept with the person").contains(PRIVATE.get(0), PRIVATE.get(1), PRIVATE.get(2));
            ObjectNode changed = (ObjectNode) kept.json();
            changed.put("name", "Sparrow Fell-Ashby");
            changed.withArray("restrictions")
                    .addObject()
                    .put("kind", "NO_NECK")
                    .put("from", RunningClub.TODAY)
                    .put("note", "left-shoulder");
            head.put("/api/people/" + id, changed.toString(), kept.tag()).expect(200);

            List<String> lines = club.getBean(JdbcTemplate.class)
                    .queryForList(
                            "select concat(what, ' ', coalesce(before_body, ''), ' ', coalesce(after_body, ''))"
                                    + " from journal where target = ? order by id",
                            String.class,
                            id);
            assertThat(lines).hasSize(2);
            assertThat(lines.get(0)).startsWith("add").contains("Sparrow Fell");
            assertThat(lines.get(1)).startsWith("change").contains("Sparrow Fell-Ashby");
            for (String secret : PRIVATE) {
                assertThat(lines).as(secret).noneMatch(line -> line.contains(secret));
            }
        }
    }
}
