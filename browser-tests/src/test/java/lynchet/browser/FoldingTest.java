package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import lynchet.browser.Coach.With;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A map of 400 positions: terraces fold and unfold, and no two labels overlap at any step. */
@Execution(ExecutionMode.CONCURRENT)
class FoldingTest {

    private static final String OVERLAPS = """
            const boxes = [...document.querySelectorAll('[data-plot],[data-bin],[data-terrace]')].map((e) => {
              const r = e.getBoundingClientRect();
              return { id: e.dataset.plot || e.dataset.bin || e.dataset.terrace, l: r.left, r: r.right, t: r.top, b: r.bottom };
            }).sort((a, b) => a.t - b.t);
            const wrong = [];
            boxes.forEach((a, i) => {
              for (let j = i + 1; j < boxes.length && boxes[j].t < a.b - 0.5; j++) {
                const b = boxes[j];
                if (a.l < b.r - 0.5 && b.l < a.r - 0.5) wrong.push(a.id + ' overlaps ' + b.id);
              }
            });
            return wrong;
            """;

    private static PackagedServer.NewClub club;

    @BeforeAll
    static void bringTheMap() {
        club = PackagedServer.newClub("large-map");
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800, club.address())) {
            coach.begin(club.code(), "EMPTY");
            assertThat(coach.post("/api/archive?mode=replace", LargeMap.json())).contains("\"pairs\":200");
        }
    }

    private static List<?> overlaps(Coach coach) {
        return (List<?>) coach.script(OVERLAPS);
    }

    private static List<?> ids(Coach coach) {
        return (List<?>)
                coach.script("return [...document.querySelectorAll('[data-plot]')].map((p) => p.dataset.plot)");
    }

    @ParameterizedTest(name = "{0}x{1}")
    @CsvSource({"1280, 800", "1024, 768"})
    void noTwoLabelsOverlapAtAnyStep(int width, int height) {
        try (Coach coach = new Coach(With.FINGER, width, height, club.address())) {
            coach.signIn("anna", "long enough");
            coach.go("/map");
            coach.see("[data-bin]");
            Map<String, List<?>> wrong = new TreeMap<>();
            wrong.put("folded", overlaps(coach));
            int plots = 0;
            for (String stage : List.of("APART", "GRIPPED", "HALF_DOWN", "LEGS_BETWEEN", "LEGS_CLEARED", "FINISH")) {
                coach.use("[data-terrace=" + stage + "][aria-expanded=false]");
                coach.see("[data-terrace=" + stage + "][aria-expanded=true]");
                wrong.put(stage + " open", overlaps(coach));
                List<?> here = ids(coach);
                plots += here.size();
                for (int i = 0; i < here.size(); i += 1 + here.size() / 3) {
                    coach.press("[data-plot=" + here.get(i) + "]");
                    coach.see("[data-sheet='" + here.get(i) + "'] h3");
                    wrong.put(stage + " with " + here.get(i), overlaps(coach));
                    coach.press("[data-plot=" + here.get(i) + "]");
                    coach.see("[data-terrace=" + stage + "][aria-expanded=true]");
                }
                coach.use("[data-terrace=" + stage + "][aria-expanded=true]");
                coach.see("[data-bin]");
            }
            wrong.values().removeIf(List::isEmpty);
            assertThat(wrong).isEmpty();
            assertThat(plots).as("every plot was seen").isEqualTo(400);
            coach.nothingIsWrongHere();
        }
    }

    /** Not asserted: speed is reported. From the tap to the second frame after it, on this machine. */
    @Test
    void tellsHowLongASelectionTakesToRepaint() {
        try (Coach coach = new Coach(With.FINGER, 1280, 800, club.address())) {
            coach.signIn("anna", "long enough");
            coach.go("/map");
            coach.use("[data-terrace=LEGS_BETWEEN][aria-expanded=false]");
            coach.see("[data-terrace=LEGS_BETWEEN][aria-expanded=true]");
            List<?> here = ids(coach);
            StringBuilder told = new StringBuilder("repaint after selecting, ms:");
            for (int i = 0; i < 10; i++) {
                Object plot = here.get(i * here.size() / 10);
                Object took = coach.async("""
                        const plot = document.querySelector('[data-plot=' + arguments[0] + ']');
                        const start = performance.now();
                        plot.click();
                        requestAnimationFrame(() => requestAnimationFrame(() => arguments[1](performance.now() - start)));
                        """, plot);
                told.append(" %.0f".formatted(((Number) took).doubleValue()));
                coach.see("[data-sheet='" + plot + "'] h3");
                assertThat(coach.see("[data-plot=" + plot + "]").getAttribute("aria-pressed"))
                        .isEqualTo("true");
            }
            System.out.println(told);
        }
    }
}
