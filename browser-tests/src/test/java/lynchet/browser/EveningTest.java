package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import lynchet.browser.Coach.With;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;

/** An evening on one tablet: who is here, who with whom, the clock, what was done, marks and an injury; its middle without the server. */
@Execution(ExecutionMode.CONCURRENT)
@Order(1)
class EveningTest {

    private PackagedServer.Own club;
    private String classId;
    private Coach coach;

    @BeforeEach
    void open() throws Exception {
        LocalDate tuesday = LocalDate.now().with(TemporalAdjusters.next(DayOfWeek.TUESDAY));
        club = new PackagedServer.Own(Path.of("target/evening.log"), true, tuesday.toString(), List.of());
        club.start();
        classId = "fundamentals-" + tuesday;
        coach = new Coach(With.FINGER, 1024, 768, club.address);
        coach.comeIn("coach", "/mat/" + classId);
    }

    @AfterEach
    void close() throws Exception {
        coach.close();
        club.kill();
    }

    private void mode(String name) {
        coach.touch(coach.see(By.xpath("//footer//label[normalize-space(.)='" + name + "']")));
    }

    private int touches(Runnable what) {
        int before = coach.presses();
        what.run();
        return coach.presses() - before;
    }

    private List<WebElement> all(String css) {
        return coach.all(css);
    }

    @Test
    void theEveningRunsWithAndWithoutTheServer() throws Exception {
        coach.see("[data-student]");
        coach.keeps(classId);
        assertThat(touches(this::checksTwelveIn)).as("twelve check-ins").isLessThanOrEqualTo(12);
        assertThat(touches(this::pairs)).as("pairs").isLessThanOrEqualTo(2);
        coach.nothingIsWrongHere();
        mode("Run");
        assertThat(touches(() -> coach.touch(coach.see("button", "Start"))))
                .as("the clock")
                .isEqualTo(1);
        coach.see("button", "Pause");
        coach.nothingIsWrongHere();

        club.kill();
        coach.touch(all("ol[aria-label='The evening'] button").get(2));
        if (Boolean.getBoolean("write.documents")) {
            coach.seeNone("output button");
            coach.picture("run");
        }
        assertThat(touches(this::logsWithThreeExceptions)).as("a log").isLessThanOrEqualTo(8);
        coach.see("p", "not so for");
        ticksTwoHundredFaults();
        countsPositionalRounds();
        assertThat(touches(this::passesThree)).as("three marks").isLessThanOrEqualTo(9);
        assertThat(touches(this::headKnock)).as("an injury").isLessThanOrEqualTo(3);
        coach.see("a[href^='tel:']");
        coach.see("p", "A suspected concussion");
        coach.nothingIsWrongButTheServer();
        coach.seeNone("[data-group] [data-paired='" + hurt + "']");
        swapsTwo();
        newPairsWithoutTheServer();
        List<?> before = groups();
        coach.go("/mat/" + classId);
        mode("Run");
        assertThat(groups()).as("after a reload").isEqualTo(before);

        assertThat(waiting()).isGreaterThan(200);
        club.start();
        coach.signInAgain();
        coach.until("some of what waits is sent", () -> waiting() < 195);
        club.kill();
        assertThat(waiting()).as("killed while they are sent").isPositive();
        club.start();
        coach.signInAgain();
        coach.seeNone("[data-waiting]");
        coach.go("/mat/" + classId);
        mode("Pairs");
        coach.until("the same pairs, once the server has them", () -> groups().equals(before));
        coach.go("/people/" + hurt + "?tab=trail");
        coach.see("a", "Head knock");
        assertThat(coach.async("""
                const [classId, hurt, done] = arguments;
                const read = (path) => fetch('/api' + path).then((answer) => answer.json());
                Promise.all([read('/classes/' + classId), read('/people/' + hurt)]).then(([sheet, person]) => done([
                  sheet.attendance.length, sheet.practice.length, sheet.tallies.length, sheet.starts.length,
                  (person.student ?? person).restrictions.filter((one) => one.kind === 'HEAD_KNOCK').length].join()));
                """, classId, hurt))
                .as("here, logged for all and for two, ticked, counted, limited: each once")
                .isEqualTo("12,3,200,3,1");
        coach.go("/mat/" + classId + "/wall");
        coach.see("ul[aria-label=Pairs] li");
        coach.seeNo("main", "thrown");
        coach.nothingIsWrongButTheServer();
    }

    private String hurt;

    private void checksTwelveIn() {
        int here = ids("[data-student][aria-pressed=true]").size();
        for (int n = here; n < 12; n++) {
            coach.touch(all("[data-student][aria-pressed=false]").get(0));
            int now = n + 1;
            coach.see("span", now + " here");
        }
    }

    private void pairs() {
        mode("Pairs");
        coach.touch(coach.see("button", "Pair them"));
        coach.see("[data-group]");
    }

    private void logsWithThreeExceptions() {
        coach.touch(coach.see("button", "But …"));
        List<WebElement> who = coach.all("fieldset[aria-label='Who did otherwise'] fieldset:last-child button");
        coach.touch(who.get(0));
        coach.touch(coach.see("button", "Received only"));
        coach.touch(who.get(1));
        coach.touch(coach.see("button", "Right only"));
        coach.touch(who.get(2));
        coach.touch(coach.see("button", "Done as planned"));
    }

    private void ticksTwoHundredFaults() {
        coach.see("[data-tally]");
        coach.async("""
                const done = arguments[0];
                const count = () => Number(document.querySelector('[data-tally] strong').textContent);
                const tick = () => {
                  if (count() === 200) return done();
                  document.querySelector('[data-tally]').click();
                  const before = count();
                  const seen = () => (count() > before ? tick() : requestAnimationFrame(seen));
                  seen();
                };
                tick();
                """);
    }

    /** How many records wait to be sent. */
    private int waiting() {
        return ((Long) coach.script(
                        "return parseInt(document.querySelector('[data-waiting]')?.textContent ?? '0') || 0"))
                .intValue();
    }

    private void countsPositionalRounds() {
        coach.touch(all("ol[aria-label='The evening'] button").get(4));
        for (String thumb : List.of("escaped", "held", "escaped")) {
            coach.touch(coach.see("[data-thumb=" + thumb + "]"));
        }
        coach.see("p", "3 starts, 2 escapes");
        coach.nothingIsWrongButTheServer();
    }

    private void passesThree() {
        mode("Mark");
        coach.until("three to mark", () -> ids("[data-student]").size() >= 3);
        List<String> three = ids("[data-student]").subList(0, 3);
        for (String one : three) {
            coach.touch(coach.see("[data-student='" + one + "']"));
            coach.touch(coach.see(By.xpath("//aside//button[normalize-space(.)='Pass']")));
        }
        coach.see("button", "waiting to send");
    }

    private void headKnock() {
        hurt = ids("[data-student]").get(0);
        coach.use(coach.see(By.xpath("//footer//button[normalize-space(.)='Injury']")));
        coach.touch(coach.see("[data-hurt='" + hurt + "']"));
        coach.touch(coach.see("button", "Head knock"));
    }

    private void swapsTwo() {
        List<String> paired = ids("[data-paired]");
        coach.touch(coach.see("button", "Back to the class"));
        coach.touch(coach.see("[data-paired='" + paired.get(0) + "']"));
        coach.touch(coach.see("[data-paired='" + paired.get(3) + "']"));
        coach.see("div", "have changed places");
        List<String> after = ids("[data-paired]");
        assertThat(after.get(0)).isEqualTo(paired.get(3));
        assertThat(after.get(3)).isEqualTo(paired.get(0));
    }

    private void newPairsWithoutTheServer() {
        coach.touch(coach.see("button", "New pairs"));
        coach.see("div", "waiting to send");
        assertThat(ids("[data-paired]"))
                .doesNotHaveDuplicates()
                .doesNotContain(hurt)
                .hasSizeGreaterThan(8);
    }

    @SuppressWarnings("unchecked")
    private List<String> ids(String css) {
        String field = css.contains("paired") ? "paired" : "student";
        return (List<String>) coach.script(
                "return [...document.querySelectorAll('" + css + "')].map((one) => one.dataset." + field + ")");
    }

    private List<?> groups() {
        coach.see("[data-group]");
        return (List<?>) coach.script("return [...document.querySelectorAll('[data-group]')].map((group) =>"
                + " [...group.querySelectorAll('[data-paired]')].map((one) => one.dataset.paired).join())");
    }

    /** The clock is worked out from when it began: ten minutes in which nobody looked, and a reload, take nothing from it. */
    @Test
    void theClockIsRightAfterTenMinutesUnseenAndAReload() {
        mode("Run");
        coach.touch(coach.see("button", "Start"));
        coach.see("button", "Pause");
        coach.script("const key = 'clock-' + arguments[0]; const kept = JSON.parse(localStorage.getItem(key));"
                        .replace("arguments[0]", "'" + classId + "'")
                + "kept.clock.since = Date.now() - 613000; localStorage.setItem(key, JSON.stringify(kept));");
        coach.go("/mat/" + classId);
        mode("Run");
        String shown = coach.see("[role=timer]").getText();
        assertThat(shown)
                .as("a block of ten minutes, thirteen seconds ago and what this page took")
                .startsWith("+0:");
        Long since = (Long) coach.script("return Math.floor((Date.now() - JSON.parse(localStorage.getItem('clock-"
                + classId + "')).clock.since) / 1000) - 600");
        int seconds = Integer.parseInt(shown.substring(3));
        assertThat(seconds).isBetween(since.intValue() - 2, since.intValue());
        coach.touch(coach.see("button", "Pause"));
        String stands = coach.see("[role=timer]").getText();
        coach.go("/mat/" + classId);
        mode("Run");
        assertThat(coach.see("[role=timer]").getText()).isEqualTo(stands);
    }
}
