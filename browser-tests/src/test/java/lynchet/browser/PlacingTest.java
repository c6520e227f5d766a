package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import lynchet.browser.Coach.With;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Measured in the browser: no plot overlaps another, none stands more than half a grade from its control. */
class PlacingTest {

    private static final String MEASURE = """
            const hill = document.querySelector('[aria-label=Hillside]').getBoundingClientRect();
            const ground = document.querySelector('[aria-label=Hillside]').scrollHeight;
            const plots = [...document.querySelectorAll('[data-plot]')].map((p) => {
              const r = p.getBoundingClientRect();
              return { id: p.dataset.plot, control: Number(p.dataset.control), l: r.left, r: r.right, t: r.top, b: r.bottom };
            });
            const centre = (p) => (p.l + p.r) / 2;
            const grade = (hill.width - 168) / 6;
            const wrong = [];
            for (const p of plots) {
              const drift = Math.abs(centre(p) - (hill.left + 84 + (p.control + 3) * grade)) / grade;
              if (drift > 0.5 + 1e-3) wrong.push(p.id + ' drifts ' + drift.toFixed(2));
              if (p.l < hill.left || p.r > hill.right || p.b > hill.top + ground) wrong.push(p.id + ' leaves the hill');
              for (const q of plots) {
                if (p.id < q.id && p.l < q.r && q.l < p.r && p.t < q.b && q.t < p.b) wrong.push(p.id + ' overlaps ' + q.id);
              }
            }
            const counterparts = plots.filter((p) => !plots.some((q) => q.id !== p.id && Math.abs(q.t + q.b - p.t - p.b) < 2
              && Math.abs(q.control + p.control) < 0.01) && p.control !== 0);
            counterparts.forEach((p) => wrong.push(p.id + ' has no mirror in its row'));
            if (plots.length < 30) wrong.push('only ' + plots.length + ' plots');
            return wrong;
            """;

    @ParameterizedTest(name = "{0}x{1} at {2}")
    @CsvSource({"1280, 800, /map", "1024, 768, /map", "1280, 800, /map?eyes=rank:orange"})
    void atRestEveryPlotStandsAtItsControl(int width, int height, String at) {
        try (Coach coach = new Coach(With.KEYBOARD, width, height)) {
            coach.comeIn("viewer", at);
            coach.see("[data-plot=closed-guard]");
            assertThat((List<?>) coach.script(MEASURE)).isEmpty();
        }
    }

    @Test
    void whicheverIsSelectedEveryPlotStandsAtItsControl() {
        try (Coach coach = new Coach(With.FINGER, 1280, 800)) {
            coach.comeIn("viewer", "/map");
            coach.see("[data-plot=closed-guard]");
            List<?> ids = (List<?>)
                    coach.script("return [...document.querySelectorAll('[data-plot]')].map((p) => p.dataset.plot)");
            Map<Object, Object> wrong = new TreeMap<>();
            for (Object id : ids) {
                coach.use("[data-plot=" + id + "]");
                coach.see("[data-plot=" + id + "][aria-pressed=true]");
                coach.see("[data-sheet='" + id + "'] h3");
                List<?> here = (List<?>) coach.script(MEASURE);
                if (!here.isEmpty()) {
                    wrong.put(id, here);
                }
            }
            assertThat(ids).hasSizeGreaterThan(80);
            assertThat(wrong).as("what is wrong with each selected").isEmpty();
        }
    }
}
