package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.TreeMap;
import lynchet.format.Json;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Nothing that a viewer is answered, not even a header, tells of what they may not see. */
@ExtendWith(RunningClub.class)
class ViewerTest {

    private static final String STUDENT = "kit-harrowgate";

    private final HttpUser viewer = RunningClub.as("viewer");
    private final HttpUser head = RunningClub.as("head");

    @Test
    void everyAnswerStaysTheSameWhenOnlyHiddenFieldsChange() {
        Map<String, String> before = answers();
        assertThat(before).hasSizeGreaterThan(30);
        HttpUser.Answer kept = head.get("/api/people/" + STUDENT).expect(200);
        ObjectNode changed = (ObjectNode) kept.json();
        changed.put("born", "1971-02-03")
                .put("weightKg", 61.5)
                .put("weighed", "2026-11-01")
                .put("heightCm", 177)
                .put("notes", "something else");
        changed.set("contacts", json("{\"emergency\":\"Neighbour\",\"emergencyPhone\":\"0555 0199\"}"));
        changed.set("holds", json("[{\"by\":\"head\",\"from\":\"2026-11-01\",\"reason\":\"not yet\"}]"));
        changed.set("restrictions", json("[{\"kind\":\"NO_NECK\",\"from\":\"2026-11-02\",\"note\":\"stiff\"}]"));
        changed.set("keepApart", json("[\"orla-fenwick\"]"));
        String tag = head.put("/api/people/" + STUDENT, changed.toString(), kept.tag())
                .expect(200)
                .tag();
        try {
            assertThat(head.get("/api/people/" + STUDENT + "/readiness").text())
                    .as("the coach is told")
                    .contains("NO_HOLD");
            Map<String, String> after = answers();
            before.forEach(
                    (path, answer) -> assertThat(after.get(path)).as(path).isEqualTo(answer));
        } finally {
            head.put("/api/people/" + STUDENT, kept.text(), tag).expect(200);
        }
    }

    private static JsonNode json(String text) {
        return Json.mapper().readTree(text);
    }

    private Map<String, String> answers() {
        Map<String, String> answers = new TreeMap<>();
        EveryRead.addresses(STUDENT).forEach((there, path) -> answers.put(there, answer(there)));
        answers.remove("/api/session/mine"); // says when each of their own sessions was last used
        String list = "/api/people?size=200&sort=";
        for (String sort : new String[] {"name", "seen", "rank"}) {
            answers.put(list + sort, answer(list + sort));
        }
        return answers;
    }

    private String answer(String path) {
        HttpUser.Answer answer = viewer.get(path);
        return answer.status() + answer.text() + answer.headers().replaceAll("date=\\[[^]]*]", "");
    }
}
