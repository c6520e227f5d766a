package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import lynchet.browser.Coach.With;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** A class added up while it is planned, its sheet on one page, and a wall that says nothing of anybody. */
@Execution(ExecutionMode.CONCURRENT)
class ClassSheetTest {

    private static final String CLASS = "/mat/fundamentals-2026-11-24";

    @Test
    void aDoseIsWorkedOutFromItsMinutesAndBack() {
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800)) {
            coach.comeIn("head", CLASS + "/plan");
            coach.see("p", "76 + 2 between blocks + 4 water of 90 minutes, 8 left");
            coach.touch(coach.see("summary", "Room for 18 reps a side; 8 reps take about 10 min"));
            coach.touch(coach.see("button", "Do 18"));
            coach.see("summary", "18 reps take about 18 min");
            coach.see("input[aria-label='Repetitions of block 3'][value='18 reps']");
            coach.type(coach.see("input[aria-label='Swaps of block 3']"), Keys.ARROW_UP, Keys.ARROW_UP);
            coach.see("summary", "Room for 17 reps a side; 18 reps take about 19 min");
            coach.touch(coach.see("button", "Take 19 min"));
            coach.see("p", "77 + 2 between blocks + 4 water of 90 minutes, 7 left");
            coach.nothingIsWrongHere();
        }
    }

    @Test
    void theSheetIsOnePageAndNamesNobody() {
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800)) {
            coach.signIn("head");
            for (String way : List.of("/sheet", "/sheet?large")) {
                coach.go(CLASS + way);
                coach.see("h3", "Hip-bump sweep");
                assertThat(coach.printedPages()).as(way).isEqualTo(1);
                coach.nothingIsWrongHere();
            }
            coach.see("a", "For the hand");
            coach.seeNo("p", "Watch:");
        }
    }

    /** Two groups on one mat, each with its sheet; the person who is in one comes over to the other with a tap. */
    @Test
    void aClassIsSplitIntoGroups() {
        try (Coach coach = new Coach(With.FINGER, 1024, 768)) {
            coach.signIn("head");
            String whole = "/mat/throws-2026-12-10";
            coach.go(whole);
            WebElement first = coach.all("[data-student]").get(0);
            String who = first.getAttribute("data-student");
            coach.touch(first);
            coach.see("span", "1 here");
            coach.go(whole + "/plan");
            coach.use("a", "Another group beside it");
            coach.see("h1", "another group");
            coach.type(coach.field("Group"), "Beginners");
            coach.use("button", "Save");
            coach.see("strong", "Beginners");
            coach.see("span", "in the other group");
            coach.nothingIsWrongHere();
            coach.touch(coach.see("[data-student='" + who + "']"));
            coach.see("div", "has come over from the other group");
            coach.see("[data-student='" + who + "'][aria-pressed=true]");
            coach.go(whole);
            coach.see("span", "in Beginners");
            coach.see("[data-student='" + who + "'][aria-pressed=false]");
        }
    }

    /** Whatever is known of somebody: the wall holds the names people are called by, and nothing beside them. */
    @Test
    void theWallHoldsNamesAndNothingElse() {
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800)) {
            coach.comeIn("head", "/mat/fundamentals-2026-11-17/wall");
            coach.see("ul[aria-label=Pairs] li");
            assertThat((List<?>) coach.async("""
                    const [done] = arguments;
                    fetch('/api/people/names').then((answer) => answer.json()).then((names) => {
                      const called = new Set(names.map((one) => one.calledBy));
                      const shown = [...document.querySelectorAll('ul[aria-label=Pairs] li')].flatMap((one) =>
                        one.innerText.split('·').map((name) => name.trim()));
                      done(shown.length < 6 ? ['too few'] : shown.filter((name) => !called.has(name)));
                    });
                    """)).isEmpty();
            coach.nothingIsWrongHere();
        }
    }
}
