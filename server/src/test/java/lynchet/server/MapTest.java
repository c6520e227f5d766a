package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import lynchet.core.walk.Finding;
import lynchet.format.Json;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

@ExtendWith(RunningClub.class)
class MapTest {

    private final HttpUser head = RunningClub.as("head");

    @Test
    void aDecisionTableHasItsFourParts() {
        JsonNode table = head.get("/api/map/positions/closed-guard").expect(200).json();
        assertThat(table.path("own").size()).isGreaterThan(3);
        assertThat(table.path("answers").toString()).contains("hip-bump-they-post", "double-wrist-lock");
        assertThat(head.get("/api/map/positions/held-from-behind")
                        .json()
                        .path("unanswered")
                        .toString())
                .contains("peel-they-lift");
        assertThat(table.path("theirs").toString()).contains("kneel-guard-break");
        assertThat(head.get("/api/map/positions/nowhere")
                        .expect(404)
                        .json()
                        .path("where")
                        .asString())
                .isEqualTo("nowhere");
    }

    @Test
    void everyBlockingGapHasAMendAndApplyingItRemovesIt() {
        List<Finding> gaps = gaps("orange");
        List<Finding> blocking = gaps.stream().filter(f -> f.severity() == 3).toList();
        assertThat(blocking).extracting(Finding::code).contains(Finding.Code.NO_ANSWER, Finding.Code.FALL_ORDER);
        for (Finding finding : blocking) {
            assertThat(finding.mend()).as(finding.sentence()).isNotNull();
            ObjectNode before = rank("adult", "orange");
            String tag = tag("adult", "orange");
            ArrayNode groups = (ArrayNode) before.path("syllabus").deepCopy();
            ObjectNode added = groups.addObject();
            added.put("name", "Added by the mend").put("choose", 0);
            ArrayNode items = added.putArray("items");
            finding.mend().techniques().forEach(technique -> items.addObject()
                    .put("id", "mend-" + technique)
                    .put("kind", "TECHNIQUE")
                    .put("ref", technique));
            String path = "/api/ladders/adult/ranks/orange/syllabus";
            head.put(path, Map.of("groups", groups), tag).expect(200);

            assertThat(gaps("orange"))
                    .noneMatch(f -> f.severity() == 3 && f.sentence().equals(finding.sentence()));
            assertThat(head.put(path, Map.of("groups", groups), tag).expect(412).code())
                    .isEqualTo("STALE");
            assertThat(head.put(path, Map.of("groups", groups), null)
                            .expect(428)
                            .code())
                    .isEqualTo("IF_MATCH_MISSING");
            head.put(path, Map.of("groups", before.path("syllabus")), tag("adult", "orange"))
                    .expect(200);
        }
        assertThat(gaps("orange")).isEqualTo(gaps);
    }

    private List<Finding> gaps(String rank) {
        List<Finding> findings = new ArrayList<>();
        head.get("/api/map/gaps?rank=" + rank)
                .expect(200)
                .json()
                .forEach(node -> findings.add(Json.mapper().treeToValue(node, Finding.class)));
        return findings;
    }

    private ObjectNode rank(String ladder, String rank) {
        for (JsonNode one :
                head.get("/api/ladders/" + ladder).json().path("ladder").path("ranks")) {
            if (one.path("id").asString().equals(rank)) {
                return (ObjectNode) one;
            }
        }
        throw new AssertionError(rank);
    }

    private String tag(String ladder, String rank) {
        return head.get("/api/ladders/" + ladder).json().path("tags").path(rank).asString();
    }

    @Test
    void reachTellsTheWay() {
        JsonNode reach = head.get("/api/map/reach?rank=white").expect(200).json();
        assertThat(reach.path("scarf-hold-bottom").path("way").toString()).contains("THEIRS", "floating-hip-throw");
        assertThat(reach.has("triangle-on")).isFalse();
        assertThat(head.get("/api/map/reach?rank=white&against=anyone")
                        .expect(200)
                        .json()
                        .has("in-triangle"))
                .isTrue();
    }

    @ParameterizedTest
    @CsvSource({
        "/api/map/gaps?rank=purple, 404, NOT_FOUND",
        "/api/map/gaps?student=nobody, 404, NOT_FOUND",
        "/api/map/gaps?ruleset=none, 404, NOT_FOUND",
        "/api/map/gaps?against=giants, 422, AGAINST",
        "/api/edits/history?kind=mark&id=x, 422, HISTORY_KIND",
        "/api/edits/changes?since=yesterday, 400, NOT_READABLE",
        "/api/edits/changes, 400, NOT_READABLE",
        "/api/map/legal?jacket=SILK, 400, NOT_READABLE",
        "/api/map/suggestions?from=nowhere, 404, NOT_FOUND",
        "/api/map/suggestions?from=turtle&technique=none, 404, NOT_FOUND",
        "/api/map/gaps?rank=white&student=orla-fenwick, 422, EYES",
    })
    void aBadQuestionGetsAClearAnswer(String path, int status, String code) {
        assertThat(head.get(path).expect(status).code()).isEqualTo(code);
    }

    @Test
    void aLinkThatBreaksARuleIsRefusedAndNothingChanges() {
        String before = head.get("/api/map").text();
        Map<String, Object> bad = Map.of("id", "bad", "from", "closed-guard", "technique", "arm-lock", "to", "nowhere");
        HttpUser.Answer refused = head.post("/api/map/links", bad).expect(422);
        assertThat(refused.code()).isEqualTo("LINK_ENDS");
        assertThat(refused.text()).contains("/to", "Straight arm lock", "position that does not exist");
        assertThat(head.post("/api/map/links", "{\"id\": 7, \"from\"")
                        .expect(400)
                        .code())
                .isEqualTo("NOT_READABLE");
        assertThat(head.post("/api/map/links", Map.of("id", "Bad Id", "from", "x", "technique", "y", "to", "z"))
                        .status())
                .isEqualTo(400);
        assertThat(head.get("/api/map").text()).isEqualTo(before);
    }

    @Test
    void aNewLinkIsOnTheTableUntilItIsRetired() {
        Map<String, Object> link = Map.of(
                "id", "test-link", "from", "half-guard-bottom", "technique", "close-the-guard", "to", "closed-guard");
        head.post("/api/map/links", link).expect(200);
        assertThat(head.get("/api/map/positions/half-guard-bottom").text()).contains("test-link");
        head.post("/api/map/links", link).expect(200);
        assertThat(head.post(
                                "/api/map/links",
                                Map.of(
                                        "id",
                                        "test-link",
                                        "from",
                                        "mount-bottom",
                                        "technique",
                                        "close-the-guard",
                                        "to",
                                        "closed-guard"))
                        .expect(409)
                        .code())
                .isEqualTo("ID_TAKEN");
        assertThat(head.delete("/api/map/links/test-link").expect(428).code()).isEqualTo("IF_MATCH_MISSING");
        head.delete(
                        "/api/map/links/test-link",
                        head.get("/api/map/links/test-link").tag())
                .expect(200);
        assertThat(head.get("/api/map/positions/half-guard-bottom").text()).doesNotContain("test-link");
        assertThat(head.delete(
                                "/api/map/positions/half-guard",
                                head.get("/api/map/pairs/half-guard").tag())
                        .expect(422)
                        .code())
                .isEqualTo("STILL_LINKED");
        head.delete("/api/map/techniques/nothing").expect(404);
    }

    @Test
    void routesStartWhereTheyAreAskedAndGetLessLikely() {
        JsonNode routes = head.get("/api/map/routes?from=turtle&end=any&k=5&rank=yellow")
                .expect(200)
                .json();
        assertThat(routes.size()).isEqualTo(5);
        double before = 1;
        for (JsonNode view : routes) {
            JsonNode legs = view.path("route").path("legs");
            assertThat(legs.get(0).path("from").asString()).isEqualTo("turtle");
            assertThat(legs.size()).isLessThanOrEqualTo(8);
            double product = 1;
            for (int i = 0; i < legs.size(); i++) {
                product *= legs.get(i).path("chance").asDouble();
                if (i > 0) {
                    assertThat(legs.get(i).path("from"))
                            .isEqualTo(legs.get(i - 1).path("to"));
                }
            }
            double chance = view.path("route").path("chance").asDouble();
            assertThat(chance).isCloseTo(product, within(1e-9)).isLessThanOrEqualTo(before);
            assertThat(view.path("rank").asString()).isIn("white", "yellow");
            before = chance;
        }
        head.get("/api/map/routes?from=nowhere&end=any").expect(404);
        assertThat(head.get("/api/map/routes?from=turtle").expect(422).code()).isEqualTo("ROUTE_END");
        assertThat(head.get("/api/map/routes?from=turtle&end=any&k=99")
                        .expect(422)
                        .code())
                .isEqualTo("ROUTE_COUNT");
    }

    /** A rank is looked at under the ruleset of its ladder, or under the one that is asked for. */
    @Test
    void aRankIsSeenUnderItsLaddersRules() {
        HttpUser viewer = RunningClub.as("viewer");
        String gaps = "/api/map/gaps?rank=junior-orange";
        assertThat(viewer.get(gaps).expect(200).text())
                .isEqualTo(
                        viewer.get(gaps + "&ruleset=jacket-ground").expect(200).text());
        assertThat(viewer.get(gaps + "&ruleset=jacket-throwing").expect(200).text())
                .contains("Of no use under Jacket throwing");
        assertThat(viewer.get(gaps + "&ruleset=no-jacket").expect(200).text())
                .contains("Of no use under No-jacket submission");
    }

    /** Without a jacket what needs one is left out; what half works leads on only where that is asked for. */
    @Test
    void theJacketAndHalvesAreAskedFor() {
        HttpUser viewer = RunningClub.as("viewer");
        assertThat(viewer.get("/api/map/gaps?jacket=NO_JACKET").expect(200).text())
                .contains("Of no use without a jacket, and left out: ");
        assertThat(viewer.get("/api/map/gaps").expect(200).text()).doesNotContain("Of no use");
        assertThat(viewer.get("/api/map/gaps?jacket=WOOL").status()).isEqualTo(400);
        String reach = "/api/map/reach?rank=orange";
        assertThat(viewer.get(reach).expect(200).text()).doesNotContain("HALFWAY");
        assertThat(viewer.get(reach + "&halfway=true").expect(200).text()).contains("MINE_HALFWAY");
    }
}
