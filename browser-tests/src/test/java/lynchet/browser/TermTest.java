package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import lynchet.browser.Coach.With;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** A term as a field and by week, moved by key and by thumb, planned again, and made in a club that has none. */
@Execution(ExecutionMode.CONCURRENT)
@Order(1)
class TermTest {

    private static PackagedServer.Own club;

    @BeforeAll
    static void open() throws Exception {
        club = new PackagedServer.Own(Path.of("target/term.log"), true, "2026-11-24", List.of());
        club.start();
    }

    @AfterAll
    static void close() throws Exception {
        club.kill();
    }

    private static final By MARKS = By.cssSelector("[data-goal] button[data-moves]");

    /** Of the marks that may be moved the one that stands earliest: there is a class to its right. */
    private static WebElement earliest(Coach coach) {
        coach.see(MARKS);
        return coach.all("[data-goal] button[data-moves]").stream()
                .min(Comparator.comparingInt(mark -> mark.getLocation().getX()))
                .orElseThrow();
    }

    /** Looked at in one go, since the page may draw itself again at any time. */
    private static boolean shows(Coach coach, String css, String what, String value) {
        return Boolean.TRUE.equals(coach.script("return [...document.querySelectorAll('" + css
                + "')].some((one) => one." + what + " === '" + value.replace("'", "\\'") + "')"));
    }

    @Test
    void aMarkMovesByKeyAndTheFieldSaysWhatThatBreaks() {
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800, club.address)) {
            coach.comeIn("coach", "/term/running-term-juniors");
            coach.see("h2", "Why the plan is as it is");
            coach.nothingIsWrongHere();
            WebElement mark = earliest(coach);
            String was = mark.getAttribute("aria-label");
            mark.sendKeys(Keys.ARROW_RIGHT);
            coach.see("div", "is met on");
            coach.until("the mark stands elsewhere", () -> !shows(coach, "[data-goal] button", "ariaLabel", was));
            coach.see("aside li[aria-current]");
            coach.use("button", "Undo");
            coach.see("div", "Taken back");
            coach.until("the mark is back", () -> shows(coach, "[data-goal] button", "ariaLabel", was));
            coach.drag(earliest(coach), coach.see("[aria-label=Classes] li:nth-last-child(2) button"));
            coach.until("the mark is dragged", () -> !shows(coach, "[data-goal] button", "ariaLabel", was));
            coach.use("output/div[contains(., 'is met on')]/button", "Undo");
            coach.until("and back", () -> shows(coach, "[data-goal] button", "ariaLabel", was));
            coach.go("/term/running-term-juniors/met");
            coach.see("[data-met='2']").sendKeys(Keys.ENTER);
            coach.see("p", "met on");
            coach.nothingIsWrongHere();
        }
    }

    @Test
    void aPlanIsMadeAnewLookedAtAndTaken() {
        try (Coach coach = new Coach(With.FINGER, 1024, 768, club.address)) {
            coach.comeIn("head", "/term/running-term-fundamentals?do=goals");
            coach.see("h3", "What they need next");
            coach.see("button", "Take the first");
            coach.nothingIsWrongHere();
            String dropped =
                    coach.see(By.cssSelector("ul[aria-label=Goals] li strong")).getText();
            coach.touch(coach.see(By.cssSelector("[aria-label='Drop " + dropped + "']")));
            coach.see("div", dropped + " is dropped");
            coach.touch(coach.see("button", "Replan"));
            coach.until("it is planned", () -> shows(coach, "button", "textContent", "Leave it"));
            coach.see("h2", "change");
            coach.nothingIsWrongHere();
            if (shows(coach, "button", "textContent", "Take it")) {
                coach.touch(coach.see("button", "Take it"));
                coach.see("div", "The plan is taken");
            }
            coach.go("/term/running-term-fundamentals?view=week");
            coach.see("th", "Tue 18:30");
            coach.touch(coach.see(By.cssSelector("td button:not([data-over])")));
            coach.see("a", "Class sheet");
            coach.nothingIsWrongHere();
            coach.go("/term/week?on=2026-12-01");
            coach.see("em", "if time allows");
            coach.go("/term/week");
            coach.see("h3", "Juniors");
            assertThat(coach.printedPages()).isEqualTo(1);
            coach.nothingIsWrongHere();
        }
    }

    @Test
    void aTermIsMadeByHand() {
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800, club.address)) {
            coach.comeIn("head", "/term/terms/new");
            coach.type(coach.field("Name"), "Summer");
            coach.use("button", "Save");
            coach.see("div", "The term is kept");
            coach.touch(coach.see("input[aria-label=Plan]"));
            coach.touch(
                    coach.see(By.xpath("//div[@role='option'][contains(., 'Plan Throws') and contains(., 'Summer')]")));
            coach.see("h2", "Nothing is to be taught yet");
            coach.touch(coach.see("button", "Take the first"));
            coach.see("div", "items are to be taught");
            coach.see("[data-goal]");
            coach.touch(coach.see("button", "Plan it"));
            coach.until("it is planned", () -> shows(coach, "button", "textContent", "Leave it"));
            coach.nothingIsWrongHere();
        }
    }

    @Test
    void anEveningIsMadeFromWhoIsHere() {
        try (Coach coach = new Coach(With.FINGER, 1024, 768, club.address)) {
            coach.comeIn("coach", "/mat/juniors-2026-11-24/tonight");
            coach.see("h2", "Nobody is here yet");
            coach.nothingIsWrongHere();
            coach.touch(coach.see("a", "Check people in"));
            for (String who : List.of("milo-thorne", "tess-ashgrove", "bo-lindale", "ada-quickly")) {
                coach.touch(coach.see("[data-student=" + who + "]"));
            }
            coach.see("span", "4 here");
            String planned = coach.see("aside h2").getText();
            coach.touch(coach.see("a", "From who is here"));
            coach.see("span", " of 4 need");
            coach.nothingIsWrongHere();
            coach.touch(coach.see("button", "Make it the class"));
            coach.see("div", "This is the class now");
            coach.until("the class is another", () -> !shows(coach, "aside h2", "textContent", planned));
            coach.use("button", "Undo");
            coach.see("div", "The class is as it was");
            coach.until("the class is as it was", () -> shows(coach, "aside h2", "textContent", planned));
        }
    }

    @Test
    void onThePhoneTheFieldIsAList() {
        try (Coach coach = new Coach(With.FINGER, 390, 844, club.address)) {
            coach.comeIn("coach", "/term/running-term-juniors");
            coach.see("[data-goal]");
            coach.see("h2", "Why the plan is as it is");
            coach.nothingIsWrongHere();
        }
    }
}
