package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import lynchet.browser.Coach.With;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** What somebody has drilled and passed, what is missing, and what is done to many at once. */
@Execution(ExecutionMode.CONCURRENT)
class PeopleTest {

    /** From anywhere: the key that finds, the name, Enter. */
    @ParameterizedTest(name = "{0} at {1}x{2}")
    @CsvSource({"KEYBOARD, 1280, 800, Devrim Hallow", "FINGER, 1024, 768, Amara Quist"})
    void whatIsMissingIsAnsweredInThreeKeysAndJudgedOnThePage(With with, int width, int height, String name) {
        try (Coach coach = new Coach(with, width, height)) {
            coach.comeIn("coach", "/chains");
            coach.see("ul h2");
            if (with == With.KEYBOARD) {
                coach.type("/");
                coach.type(name);
                coach.see("*[@aria-label='Found']", name);
                coach.type(Keys.ENTER);
            } else {
                coach.go("/people/" + name.toLowerCase().replace(' ', '-'));
            }
            coach.see("h1", name);
            coach.see("[aria-label=Readiness] li");
            coach.see("[aria-label='This week'] li");
            judges(coach);
            coach.nothingIsWrongHere();
        }
    }

    /** Three passes, a fault for one, and one pass taken back. */
    private static void judges(Coach coach) {
        List<String> open = List.of("Hip escape", "Bridge", "Turning-in step");
        int before = coach.presses();
        for (String item : open) {
            coach.use(line(coach, item));
            coach.see("section[aria-label='Judge " + item + "'] button");
            coach.use(coach.see("section[aria-label='Judge " + item + "'] > div:last-child button:first-child"));
            coach.see("section[@aria-label='Behind " + item + "']//strong", "Pass");
        }
        coach.use(coach.see("section[aria-label='Behind Turning-in step'] li button"));
        coach.see("section[@aria-label='Behind Turning-in step']//li", "taken back");
        coach.use(line(coach, "Technical stand-up"));
        coach.seeNone("output button"); // notices stand over the foot of the page for a moment
        String judge = "section[aria-label='Judge Technical stand-up']";
        coach.use(coach.see(judge + " fieldset:last-of-type button"));
        coach.use(coach.see(judge + " > div:last-child button:last-child"));
        coach.see("section[@aria-label='Behind Technical stand-up']//strong", "Not yet");
        assertThat(coach.presses() - before).as("touches").isLessThanOrEqualTo(14);
    }

    private static WebElement line(Coach coach, String item) {
        return coach.see(By.xpath("//section[@aria-label='Syllabus progress']//button[contains(., '" + item + "')]"));
    }

    @Test
    void aCoachWeighsListsAndLimits() {
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800)) {
            coach.comeIn("head", "/people?track=juniors");
            coach.see("span", "15 people");
            coach.touch(coach.see("input[aria-label='Choose Nell Corrow']"));
            coach.touch(coach.see("input[aria-label='Choose Odd Farrier']"));
            coach.see("strong", "2 people chosen");
            coach.use("button", "Weigh");
            coach.see("h2", "Weigh 2 people");
            coach.type(coach.field("Nell Corrow"), "29.4", Keys.ENTER);
            coach.type("53", Keys.ENTER);
            coach.use("button", "Save 2 weights");
            coach.see("span", "2 weights kept");
            coach.use("button", "Squad list");
            coach.type(coach.see("input[aria-label=Event]"), "Spring meeting");
            coach.see("h2", "Spring meeting");
            coach.see("td", "29.4 kg");
            assertThat(coach.printedPages()).isEqualTo(1);
            coach.nothingIsWrongHere();

            coach.go("/people/nell-corrow");
            coach.use("button", "Add a limit");
            coach.type(coach.field("For the coach on the mat"), "left knee");
            coach.nothingIsWrongHere();
            coach.use("button", "Keep it");
            coach.see("section[@aria-label='Limits']//strong", "No throws taken");
            coach.use(coach.see("section[aria-label=Limits] button"));
            coach.see("span", "No throws taken is lifted");
            coach.use("a", "Sheet");
            coach.see("h2", "Nell Corrow");
            coach.seeNo("article", "left knee");
            assertThat(coach.printedPages()).as("a page for the parents").isEqualTo(1);

            coach.go("/people/faults?days=91");
            coach.see("article h3");
            coach.nothingIsWrongHere();
        }
    }

    /** A coach who goes from one to the next keeps their place on the page; what was typed about one is not said of the other. */
    @Test
    void somebodysPageStaysForTheNextOne() {
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800)) {
            coach.comeIn("head", "/people/nell-corrow");
            coach.see("h1", "Nell Corrow");
            coach.see("section[aria-label='Syllabus progress']");
            coach.type(coach.see("input[aria-label='What did they ask for?']"), "to fall to the side");
            coach.script("const left = document.querySelector('[aria-label=\"Worked so far\"]');"
                    + " left.scrollTop = 300; left.dataset.kept = 'yes'");
            coach.goWithin("/people/odd-farrier");
            coach.see("h1", "Odd Farrier");
            assertThat(coach.script("const left = document.querySelector('[aria-label=\"Worked so far\"]');"
                            + " return left.dataset.kept + ' ' + (left.scrollTop > 0)"))
                    .isEqualTo("yes true");
            assertThat(coach.see("input[aria-label='What did they ask for?']").getDomProperty("value"))
                    .isEmpty();
            coach.nothingIsWrongHere();
        }
    }

    /** Of a long list only what is in sight is drawn; the last are reached, and all of it goes on paper. */
    @Test
    void theRosterIsDrawnWhereItIsSeen() {
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800)) {
            coach.comeIn("head", "/people");
            coach.see("tbody tr[aria-rowindex='2']");
            long people = (Long) coach.script("return Number(document.querySelector('table').ariaRowCount) - 1");
            coach.seeNone("tr[aria-rowindex='" + (people + 1) + "']");
            coach.script("document.querySelector('table').parentElement.scrollTop = 9999");
            coach.see("tr[aria-rowindex='" + (people + 1) + "'] a");
            coach.seeNone("tr[aria-rowindex='2']");
            coach.script("addEventListener('beforeprint', () => {"
                    + " window.onPaper = document.querySelectorAll('tbody tr[aria-rowindex] a').length })");
            coach.printedPages();
            assertThat(coach.script("return window.onPaper")).isEqualTo(people);
            coach.nothingIsWrongHere();
        }
    }

    /** Twelve are here in twelve touches; the rest by card; a technique for all of them but one; one is taken out again. */
    @Test
    void aClassIsTakenAndMarkedInAFewTouches() {
        try (Coach coach = new Coach(With.FINGER, 1024, 768)) {
            coach.comeIn("coach", "/mat/juniors-2026-11-24");
            List<String> twelve = List.of(
                    "pia-thorne",
                    "milo-thorne",
                    "tess-ashgrove",
                    "odd-farrier",
                    "zofia-brill",
                    "idris-penhale",
                    "nell-corrow",
                    "bo-lindale",
                    "ada-quickly",
                    "jun-harbour",
                    "fenn-osprey",
                    "mirela-stoat");
            int before = coach.presses();
            for (String student : twelve) {
                coach.use("[data-student=" + student + "]");
            }
            coach.see("span", "12 here");
            assertThat(coach.presses() - before).as("touches").isLessThanOrEqualTo(12);
            coach.use("[data-student=odd-farrier]");
            coach.see("span", "11 here");
            coach.see("summary", "1 correction");
            coach.use("a", "Cards");
            coach.use("[data-card='4105']");
            coach.see("[data-card='4105'][aria-pressed=true]");
            coach.nothingIsWrongHere();
            coach.use("a", "Back to the class");
            coach.see("span", "12 here");
            coach.use(coach.see(By.xpath("(//li[@data-block]//button[contains(., 'But')])[1]")));
            coach.use(coach.see(By.xpath("//fieldset[@aria-label='Who did otherwise']//button[.='Pia']")));
            coach.use(coach.see(By.xpath("(//button[.='Done as planned'])[1]")));
            coach.see("p", "but not so for Pia");
            coach.use(coach.see(By.xpath("(//summary[starts-with(., 'Seen in the room')])[1]")));
            coach.use(coach.see(By.xpath("(//button[@data-tally])[1]")));
            coach.see("summary", "Seen in the room: 1");
            before = coach.presses();
            coach.use("label", "Mark");
            coach.use("section[aria-label='The whole class'] fieldset:last-of-type button:last-child");
            coach.use("button", "Pass 11 of 12");
            coach.see("span", "11 passes");
            assertThat(coach.presses() - before).as("touches").isEqualTo(3);
            coach.nothingIsWrongHere();
        }
    }

    /** Somebody is hurt: written down, limited at once, its sheet completed and one page for the insurer. */
    @Test
    void aHeadKnockIsWrittenDownAndItsSheetCompleted() {
        try (Coach coach = new Coach(With.FINGER, 390, 844)) {
            coach.comeIn("coach", "/people/anders-thistle?tab=trail");
            coach.use("button", "Write down what happened");
            coach.use(coach.field("What happened"));
            coach.use("div[@role='option']", "Head knock");
            coach.see("p", "until the head coach writes down");
            coach.nothingIsWrongHere();
            coach.use("button", "Keep it");
            coach.use("section[aria-label=Incidents] li a");
            coach.see("p", "An insurer will ask for");
            coach.see("p", "until lifted");
            coach.use("button", "Complete it");
            coach.type(coach.see("textarea"), "Two heads met in a scramble.");
            coach.use("button", "Keep it");
            coach.see("p", "Two heads met");
            coach.nothingIsWrongHere();
            assertThat(coach.printedPages()).isEqualTo(1);
            coach.go("/people/anders-thistle");
            coach.see("section[@aria-label='Limits']//strong", "Head knock");
            coach.go("/people/incidents");
            coach.see("a", "Anders Thistle");
            coach.nothingIsWrongHere();
        }
    }

    /** In a place nobody else looks at: somebody who is added here and erased again. */
    @Test
    void theHeadCoachErasesSomebodyForGood() {
        try (Coach coach = new Coach(With.FINGER, 1024, 768)) {
            coach.signIn("head");
            String made =
                    coach.post("/api/people", "{\"id\":\"x\",\"name\":\"Perrin Holloway\",\"joined\":\"2026-01-10\"}");
            String id = made.replaceFirst("(?s).*\"id\":\"(s-[0-9a-f]+)\".*", "$1");
            coach.go("/people/" + id);
            coach.use("a", "Their data");
            coach.see("a[href='/api/people/" + id + "/all']");
            coach.type(coach.field("Write the name"), "Perrin Holloway");
            coach.nothingIsWrongHere();
            coach.use("button", "Erase for good");
            coach.see("h2", "Nothing personal is kept any more");
            coach.go("/people?find=perrin&who=left");
            coach.see("p", "Nobody is like that");
        }
    }
}
