package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import lynchet.browser.Coach.With;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.Keys;

/** The first walk down the hill: map, chain, rank, class, drill, pass, and what is still missing. */
class StoryTest {

    @ParameterizedTest(name = "{0} at {1}x{2}")
    @CsvSource({
        "KEYBOARD, 1280, 800, Yellow, Flat front breakfall, bram-oakhurst, Bram",
        "FINGER, 1024, 768, Orange, Duck out of the standing headlock, ines-calloway, Ines",
    })
    void aCoachDoesTheWholeJobOnce(
            With with, int width, int height, String rank, String missing, String student, String calledBy) {
        try (Coach coach = new Coach(with, width, height)) {
            coach.signIn("head");
            readsADecisionTable(coach, with);
            String chain = "Test walk by " + with.name().toLowerCase();
            buildsAChain(coach, chain);
            putsItIntoARank(coach, rank, chain);
            mendsTheRank(coach, missing);
            opensTonightsClass(coach, student, calledBy);
            logsTheDrill(coach);
            passesTheStudent(coach, student, calledBy);
            seesWhatIsMissing(coach, student);
            coach.nothingIsWrongHere();
        }
    }

    private static void readsADecisionTable(Coach coach, With with) {
        coach.type(coach.see("input[aria-label=Find]"), "closed guard, bot");
        coach.see("button", "Closed guard, bottom");
        coach.type(Keys.ENTER);
        coach.seeAt("at=closed-guard");
        coach.see("h3", "On my own initiative");
        coach.see("h3", "If they post the hand you reached over");
        coach.see("h3", "If they hug the waist and squeeze");
        coach.see("h3", "What they can do to me");
        if (with == With.KEYBOARD) {
            coach.type(coach.see("[data-plot=closed-guard]"), "x");
            coach.seeAt("at=in-closed-guard");
            coach.see("h2", "Closed guard, top");
            String best = coach.see("[data-next=true]").getAttribute("data-plot");
            coach.type(coach.see("[data-plot=in-closed-guard]"), Keys.ARROW_RIGHT);
            coach.seeAt("at=" + best);
            coach.type(coach.see("[data-plot=" + best + "]"), "r");
            coach.see("h2", "Routes from");
            coach.see("th", "all taught at");
        }
    }

    private static void buildsAChain(Coach coach, String name) {
        coach.section("Chains", "2");
        coach.use("a", "New chain");
        coach.type(coach.field("Name"), name);
        coach.choose("Starts in", "Closed guard, b", "Closed guard, bottom");
        coach.see("strong", name);

        coach.type(coach.see("input[aria-label='Next from Closed guard, bottom']"), "hip-b", Keys.ENTER);
        coach.type(coach.see("input[aria-label='Next from Mount, top']"), "if they post", Keys.ENTER);
        coach.see("div", "if they post the hand you reached over");
        coach.type(coach.see("input[aria-label='Next from Closed guard, bottom']"), "double wr", Keys.ENTER);
        coach.type(coach.see("input[aria-label='Next from Bent arm lock on']"), Keys.ENTER);
        coach.type(coach.see("input[aria-label='Next from Mount, top']"), "straight", Keys.ENTER);
        coach.see("li", "if they drive back with the head low, the chain has no answer");
        coach.use("button", "Save");
        coach.see("div", name + " is saved.");
    }

    private static void putsItIntoARank(Coach coach, String rank, String chain) {
        coach.section("Ranks", "3");
        coach.use(coach.see("a", rank));
        coach.type(coach.see("input[aria-label='Add to " + rank + "']"), chain);
        coach.see("div[@role='option']", chain);
        coach.type(Keys.ARROW_DOWN, Keys.ENTER);
        coach.keepsTheChange(chain + " added to " + rank + ".");
        coach.see("li", chain);
    }

    private static void mendsTheRank(Coach coach, String missing) {
        coach.use(coach.see("ul[@aria-label='Findings']//button", missing));
        coach.see("section[@aria-label='What it would do']//li", "Closed");
        coach.keepsTheChange(missing);
        coach.seeNo("ul[@aria-label='Findings']//button", missing);
        coach.see("li", missing);
    }

    private static void opensTonightsClass(Coach coach, String student, String calledBy) {
        coach.section("Mat", "5");
        coach.use("a", "Fundamentals");
        coach.see("a[@aria-current='page']", "Fundamentals");
        coach.use("[data-student=" + student + "][aria-pressed=false]");
        coach.see("div", calledBy + " is here.");
        coach.see("[data-student=" + student + "][aria-pressed=true]");
        coach.type(coach.see("input[aria-label='Card number']"), "9999", Keys.ENTER);
        coach.see("div", "No student carries the card 9999");
        coach.script("document.activeElement.blur()");
        coach.type("4007", Keys.ENTER);
        coach.see("[data-student=orla-fenwick][aria-pressed=true]");
    }

    private static void logsTheDrill(Coach coach) {
        if (coach.script("return document.querySelector('[data-block=drill-1]').innerText.includes('Logged')")
                .equals(false)) {
            coach.use(coach.see("li[@data-block='drill-1']//button", "Done as planned"));
        }
        coach.see("li[@data-block='drill-1']//p", "Logged: 8 each side");
    }

    private static void passesTheStudent(Coach coach, String student, String calledBy) {
        coach.see("label", "Mark").click();
        coach.use("[data-student=" + student + "]");
        coach.use("button", "Hip-bump sweep");
        coach.use("button", "You turn without lifting the hips");
        coach.use("button", "Not yet");
        coach.see("div", calledBy + ", Hip-bump sweep: not yet.");
        coach.use("button", "Pass");
        coach.see("div", calledBy + ", Hip-bump sweep: pass.");
    }

    private static void seesWhatIsMissing(Coach coach, String student) {
        coach.section("People", "6");
        coach.use(coach.see("a[@href='/people/" + student + "']", ""));
        coach.see("h2", "Towards yellow");
        coach.see("li[contains(@class, 'met')]", "Hip-bump sweep");
        coach.see("div", "to be passed");
        assertThat(coach.see("section[aria-label=Readiness]").getText()).contains("about", "classes");
    }
}
