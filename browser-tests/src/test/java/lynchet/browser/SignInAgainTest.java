package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import lynchet.browser.Coach.With;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** A sign-in runs out while something is half typed: it is done again over the page, and nothing is lost. */
class SignInAgainTest {

    private static final String MAT = "/mat/fundamentals-2026-11-24";

    private Coach coach;

    @BeforeEach
    void open() {
        coach = new Coach(With.KEYBOARD, 1280, 800);
        coach.signIn("head");
    }

    @AfterEach
    void close() {
        coach.close();
    }

    /** As when twelve hours have passed: the server knows nobody any more. */
    private void runOut() {
        coach.async("""
                fetch('/api/session', { method: 'DELETE', headers: {
                  'X-XSRF-TOKEN': document.cookie.match(/XSRF-TOKEN=([^;]*)/)[1] } }).then(() => arguments[0]());
                """);
    }

    /** The same, noticed because something was read meanwhile. */
    private void runOutInTheMiddle() {
        runOut();
        coach.script("window.dispatchEvent(new Event('signed-out'))");
    }

    private void signInAgain() {
        coach.see("p", "Your sign-in has run out.");
        assertThat(coach.axe()).isEmpty();
        coach.type(coach.see(".mantine-Modal-content input[autocomplete=current-password]"), "saltmarsh", Keys.ENTER);
        coach.seeNone(".mantine-Modal-content");
    }

    @Test
    void aCardStaysTyped() {
        coach.go("/map/techniques/sprawl");
        coach.see("article h2");
        coach.use("button", "Change");
        coach.field("In a sentence").sendKeys(Keys.chord(Keys.CONTROL, "a"), "Hips back, typed before it ran out.");
        runOut();
        coach.use("button", "Save");
        signInAgain();
        coach.use("button", "Save");
        coach.see("p", "typed before it ran out");
        coach.use("button", "Undo");
        coach.see("div", "Taken back.");
    }

    @Test
    void aChainStaysTyped() {
        coach.go("/chains");
        coach.use("a", "New chain");
        coach.type(coach.field("Name"), "Half typed");
        coach.choose("Starts in", "Closed guard, b", "Closed guard, bottom");
        coach.type(coach.see("input[aria-label='Next from Closed guard, bottom']"), "hip-b", Keys.ENTER);
        coach.see("h2", "1 step deep");
        runOut();
        coach.use("button", "Save");
        signInAgain();
        coach.see("input[aria-label='Next from Mount, top']");
        coach.use("button", "Save");
        coach.see("div", "Half typed is saved.");
        coach.use("button", "Undo");
    }

    @Test
    void aMarkStaysChosenAndOneThatIsOnItsWayArrives() {
        coach.go(MAT);
        coach.use("[data-student=maud-sallow][aria-pressed=false]");
        coach.see("[data-student=maud-sallow][aria-pressed=true]");
        coach.see("label", "Mark").click();
        coach.use("[data-student=maud-sallow]");
        coach.use("button", "Hip-bump sweep");
        coach.use("button", "You turn without lifting the hips");
        runOutInTheMiddle();
        signInAgain();
        coach.see("button[@aria-pressed='true']", "You turn without lifting the hips");
        runOut();
        coach.use("button", "Not yet");
        coach.see("button", "1 waiting to send");
        signInAgain();
        coach.seeNone("[data-waiting]");
        assertThat((Boolean) coach.async("""
                fetch('/api/archive').then((answer) => answer.json()).then((club) => arguments[0](
                    club.marks.some((m) => m.student === 'maud-sallow' && m.faults?.length && m.at > '2026-11-24')));
                """)).isTrue();
    }

    @Test
    void aFormStaysFilledIn() {
        coach.go("/map?at=half-guard-bottom");
        coach.use("button", "Add something to do here");
        coach.choose("Technique", "pendulum", "Pendulum sweep");
        runOutInTheMiddle();
        signInAgain();
        assertThat(coach.field("Technique").getDomProperty("value")).isEqualTo("Pendulum sweep");
    }

    @Test
    void aCheckInAsksAtMostTwoThings() {
        coach.go(MAT);
        coach.see("[data-student=kofi-marsden][aria-pressed=false]");
        coach.thereAndBack();
        coach.requests();
        coach.use("[data-student=kofi-marsden]");
        coach.see("[data-student=kofi-marsden][aria-pressed=true]");
        coach.seeNone("[data-waiting]");
        coach.thereAndBack();
        List<String> asked =
                coach.requests().stream().filter(url -> url.contains("/api/")).toList();
        assertThat(asked).hasSizeLessThanOrEqualTo(2).noneMatch(url -> url.contains("/people"));
        assertThat(asked).anyMatch(url -> url.endsWith("/api/attendance"));
        coach.use("[data-student=kofi-marsden]");
    }
}
