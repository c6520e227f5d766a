package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import lynchet.browser.Coach.With;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** The map as a coach works with it: finding the way, mending a gap, changing it without breaking it. */
class MapWorkTest {

    @ParameterizedTest
    @EnumSource(With.class)
    void findsWalksReadsRoutesAndMends(With with) {
        try (Coach coach = with == With.KEYBOARD ? new Coach(with, 1280, 800) : new Coach(with, 1024, 768)) {
            coach.signIn("head");
            findsByAnAlias(coach, with);
            String at = "seated-hooks";
            for (int link = 0; link < 2; link++) {
                at = walksOn(coach, with, at);
            }
            opensACardAndComesBack(coach, with, at);
            if (with == With.KEYBOARD) {
                coach.type(coach.see("[data-plot=" + at + "]"), "r");
            } else {
                coach.use("button", "Routes (r)");
            }
            coach.see("th", "failing costs");
            coach.see("[aria-label='The chosen route'] li");
            coach.use("button[aria-label='Close the routes']");
            coach.use("button[aria-label='Close the sheet']");
            takesAMend(coach);
        }
    }

    private static void findsByAnAlias(Coach coach, With with) {
        if (with == With.KEYBOARD) {
            coach.type(coach.see("body"), "/");
        } else {
            coach.see("input[aria-label=Find]").click();
        }
        coach.type(coach.see("input[aria-label=Find]"), "seated guard with h");
        WebElement found = coach.see("button", "Seated hooks");
        if (with == With.KEYBOARD) {
            coach.type(Keys.ENTER);
        } else {
            found.click();
        }
        coach.see("[data-sheet=seated-hooks] h3");
    }

    private static String walksOn(Coach coach, With with, String at) {
        String next = coach.see("[data-next=true]").getAttribute("data-plot");
        if (with == With.KEYBOARD) {
            coach.type(coach.see("[data-plot=" + at + "]"), Keys.ARROW_RIGHT);
        } else {
            coach.press("[data-plot=" + next + "]");
        }
        coach.see("[data-sheet=" + next + "] h3");
        coach.see("[data-plot=" + next + "][aria-pressed=true]");
        return next;
    }

    private static void opensACardAndComesBack(Coach coach, With with, String at) {
        if (with == With.KEYBOARD) {
            coach.see("[data-next=true]");
            coach.type(coach.see("[data-plot=" + at + "]"), "c");
        } else {
            coach.use("[data-sheet=" + at + "] section button.plain");
        }
        coach.seeAt("/map/techniques/");
        coach.see("article h2");
        coach.use("button", "Back");
        coach.see("[data-sheet=" + at + "] h3");
    }

    /** Seen on the hill, taken, and taken back, so that the club is as it was. */
    private static void takesAMend(Coach coach) {
        coach.go("/map?eyes=rank:orange");
        coach.use("button", "findings");
        coach.see("[data-sheet=gaps] section");
        coach.use("button", "Show on the hill");
        coach.see("button", "Off the hill");
        coach.see("[data-plot=head-caught-standing]");
        coach.use("button", "Take it");
        coach.keepsTheChange("added to Orange");
        coach.seeNo("p", "Duck out of the standing headlock");
        coach.use("button", "Undo");
        coach.see("p", "Duck out of the standing headlock");
    }

    @Test
    void aGapIsLeftForAReasonAndListedAgain() {
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800)) {
            coach.comeIn("head", "/map?eyes=rank:junior-white");
            coach.use("button", "findings");
            coach.see("[data-sheet=gaps] section");
            coach.use("button", "Ignore this");
            coach.field("Why it stays as it is").sendKeys("Next term", Keys.ENTER);
            coach.see("h3", "Left as it is");
            coach.see("div", "Next term");
            coach.nothingIsWrongHere();
            coach.use("button", "List it again");
            coach.seeNo("h3", "Left as it is");
        }
    }

    @Test
    void whatIsToBePutRightIsSaidAtItsFieldAndNothingTypedIsLost() {
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800)) {
            coach.comeIn("head", "/map/techniques/sprawl");
            coach.see("article h2");
            coach.use("button", "Change");
            WebElement name = coach.field("Name");
            name.sendKeys(Keys.chord(Keys.CONTROL, "a"), Keys.DELETE);
            coach.use("button", "Save");
            assertThat(coach.see("form > [role=alert]").getText()).contains("One field is to be put right");
            coach.see("p", "What is it called?");
            name.sendKeys("Hips away", Keys.TAB);
            coach.see("input[value=Sprawl]");
            coach.use("button", "Save");
            coach.see("h1", "Hips away");
            coach.see("li", "Sprawl");
            assertThat(coach.axe()).isEmpty();
            coach.use("button", "History");
            coach.see("div", "name: Sprawl → Hips away");
            coach.use("button", "Take this back");
            coach.see("h1", "Sprawl");
        }
    }

    @Test
    void twoCoachesOnOneCardSeeBothVersions() {
        try (Coach one = new Coach(With.KEYBOARD, 1280, 800);
                Coach other = new Coach(With.KEYBOARD, 1280, 800)) {
            for (Coach coach : new Coach[] {one, other}) {
                coach.comeIn("head", "/map/techniques/sprawl");
                coach.see("article h2");
                coach.use("button", "Change");
            }
            rewrites(one, "Hips back, chest heavy, as the first says.");
            one.use("button", "Save");
            one.see("article h2");
            rewrites(other, "Hips back, as the other says.");
            other.use("button", "Save");
            WebElement both = other.see("section[aria-label='Yours and theirs']");
            assertThat(both.getText()).contains("as the first says", "as the other says");
            assertThat(other.axe()).isEmpty();
            other.use("button", "Save mine");
            other.see("p", "as the other says");
            for (int edit = 0; edit < 2; edit++) {
                other.use("button", "History");
                other.see("ol li");
                other.use("button", "Take this back");
                other.see("div", "Taken back.");
                other.use("button", "Back to the card");
                other.use("[data-notices] button[aria-label='Close this notice']");
            }
        }
    }

    private static void rewrites(Coach coach, String sentence) {
        WebElement field = coach.field("In a sentence");
        field.sendKeys(Keys.chord(Keys.CONTROL, "a"), sentence);
    }

    @Test
    void aLinkIsAddedFromWhatFitsAndTakenBackFromItsNotice() {
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800)) {
            coach.comeIn("head", "/map?at=half-guard-bottom");
            coach.use("button", "Add something to do here");
            coach.choose("Technique", "pendulum", "Pendulum sweep");
            coach.use("button", "Save");
            coach.see("p", "Where does it lead?");
            coach.field("Leads to").sendKeys(Keys.ARROW_DOWN, Keys.ENTER);
            assertThat(coach.axe()).isEmpty();
            coach.use("button", "Save");
            coach.see("[data-sheet=half-guard-bottom]");
            coach.see("button", "Pendulum sweep");
            coach.use("button", "Undo");
            coach.see("div", "Taken back.");
            coach.seeNo("button", "Pendulum sweep");
        }
    }

    @Test
    void twoTechniquesAreMergedAndPartedAgain() {
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800)) {
            coach.comeIn("head", "/map/techniques/double-ankle-sweep");
            coach.see("article h2");
            coach.use("button", "Merge");
            coach.choose("The one that stays", "pendulum", "Pendulum sweep");
            coach.see("li", "links");
            coach.nothingIsWrongHere();
            coach.use("button", "Merge into Pendulum sweep");
            coach.see("h1", "Pendulum sweep");
            coach.see("li", "Double ankle sweep");
            coach.use("button", "Undo");
            coach.seeNo("li", "Double ankle sweep");
            coach.go("/map/techniques/double-ankle-sweep");
            coach.seeNo("p", "Retired");
            coach.see("article h2");
        }
    }

    @Test
    void aLadderIsChangedByAHeadCoachAlone() {
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800)) {
            coach.comeIn("viewer", "/ranks/adult");
            coach.seeAt("/ranks?ladder=adult");
            coach.see("h2", "Orange");
            coach.seeNo("a", "New ladder");
        }
    }

    @Test
    void aCardPrintsOnOnePageAndTheHillOnOneATerrace() {
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800)) {
            coach.signIn("viewer");
            for (String card : new String[] {"major-outer-reap", "arm-lock", "belt-over-back", "mount-hold"}) {
                coach.go("/map/techniques/" + card);
                coach.see("article h2");
                assertThat(coach.printedPages()).as(card).isEqualTo(1);
            }
            coach.go("/map");
            coach.see("[data-plot=closed-guard]");
            assertThat(coach.printedPages()).isEqualTo(6);
        }
    }
}
