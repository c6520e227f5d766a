package lynchet.bench.club;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import lynchet.format.Json;
import tools.jackson.databind.JsonNode;

/** A term of one track of a grown club: what it needs, the plan, its field, who met what, an evening, theme weeks. */
final class PlanningBench {

    private static final int GOALS = 24;
    private static final int HERE = 60;
    private static final int TIMES = 5;
    private static final int WEEKS = 10;
    private static final String TRACK = GrownClub.TRACKS.get(0);

    /** Report of each figure, in ms. */
    interface Report {
        void that(String what, String target, double millis);
    }

    private final User head;
    private final LocalDate monday = LocalDate.now().with(DayOfWeek.MONDAY);
    private final Report told;

    PlanningBench(User head, Report told) {
        this.head = head;
        this.told = told;
    }

    void run(int students) {
        head.post("/api/terms", term());
        head.post("/api/plans", plan(List.of()));
        JsonNode wanted = timed("what a track needs, ms", () -> head.json("/api/plans/plan/wanted"));
        List<Map<String, Object>> goals = new ArrayList<>();
        for (int n = 0; n < Math.min(GOALS, wanted.size()); n++) {
            goals.add(goal(wanted.get(n)));
        }
        long from = System.nanoTime();
        JsonNode planned = planned(goals);
        told.that("a term of 14 weeks planned, ms", "15000", millis(from));
        head.put("/api/plans/plan", planned.path("view").path("plan"), tag("/api/plans"));
        timed("a term's field, ms", () -> head.json("/api/plans/plan"));
        int[] checkedIn = {0};
        timed("a term's field after a check-in, ms", () -> {
            checkIn(checkedIn[0]++);
            return head.json("/api/plans/plan");
        });
        timed("who has met what, ms", () -> head.json("/api/plans/plan/exposure"));
        String tonight = TRACK + "-0-" + monday;
        for (int n = checkedIn[0]; n < Math.min(HERE, students / GrownClub.TRACKS.size()); n++) {
            checkIn(n);
        }
        timed("tonight from who is here, ms", () -> head.json("/api/classes/" + tonight + "/tonight"));
        head.post("/api/cycles", cycle());
        timed("theme weeks, ms", () -> head.json("/api/cycles/weeks"));
    }

    private void checkIn(int n) {
        String student = GrownClub.student(n * GrownClub.TRACKS.size());
        head.post("/api/attendance", Map.of("id", "here-" + n, "student", student, "classId", TRACK + "-0-" + monday));
    }

    private Map<String, Object> term() {
        return Map.of(
                "id",
                "term",
                "name",
                "Term",
                "from",
                monday.minusWeeks(6).toString(),
                "until",
                monday.plusWeeks(8).minusDays(1).toString(),
                "slots",
                IntStream.range(0, 3).mapToObj(n -> TRACK + "-" + n).toList(),
                "gradingDays",
                List.of(monday.plusWeeks(7).toString()));
    }

    /** The theme weeks of another track: one week for each of its first ten techniques. */
    private Map<String, Object> cycle() {
        List<Map<String, Object>> themes = new ArrayList<>();
        head.json("/api/map").path("techniques").forEach(one -> {
            if (themes.size() < WEEKS) {
                themes.add(Map.of(
                        "name",
                        "Week " + themes.size(),
                        "subjects",
                        List.of(one.path("id").asString())));
            }
        });
        return Map.of(
                "id",
                "weeks",
                "track",
                GrownClub.TRACKS.get(1),
                "from",
                monday.minusYears(5).toString(),
                "minutes",
                0,
                "themes",
                themes);
    }

    private JsonNode planned(List<Map<String, Object>> goals) {
        String job = Json.mapper()
                .readTree(head.post("/api/plans/jobs", plan(goals)))
                .path("id")
                .asString();
        while (true) {
            JsonNode now = head.json("/api/plans/jobs/" + job);
            String state = now.path("state").asString();
            if (!state.equals("WAITING") && !state.equals("RUNNING")) {
                if (!state.equals("DONE")) {
                    throw new IllegalStateException(now.toString());
                }
                return now.path("result");
            }
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(100));
        }
    }

    private String tag(String lines) {
        return head.json(lines).get(0).path("tag").asString();
    }

    private static Map<String, Object> goal(JsonNode wanted) {
        Map<String, Object> goal = new LinkedHashMap<>();
        goal.put("technique", wanted.path("technique").asString(null));
        goal.put("chain", wanted.path("chain").asString(null));
        goal.put("must", true);
        goal.put("known", false);
        return goal;
    }

    private static Map<String, Object> plan(List<Map<String, Object>> goals) {
        return Map.of(
                "id", "plan", "term", "term", "track", TRACK, "fresh", 2, "minutes", 0, "goals", goals, "placed",
                List.of());
    }

    private static double millis(long from) {
        return (System.nanoTime() - from) / 1e6;
    }

    /** The first answer, and the median of some more. */
    private JsonNode timed(String what, Supplier<JsonNode> asking) {
        long first = System.nanoTime();
        JsonNode answer = asking.get();
        told.that(what + ", the first time", "", millis(first));
        double[] took = new double[TIMES];
        for (int n = 0; n < TIMES; n++) {
            long from = System.nanoTime();
            asking.get();
            took[n] = millis(from);
        }
        Arrays.sort(took);
        told.that(what, "", took[TIMES / 2]);
        return answer;
    }
}
