package lynchet.browser;

import lynchet.browser.Coach.With;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;

/** A new club chooses what it begins with. */
@Execution(ExecutionMode.CONCURRENT)
class NewClubTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"NO_JACKET | Closed guard, bottom", "EMPTY | The hill is bare"})
    void aNewClubChoosesWhatItBeginsWith(String choice, String seen) {
        PackagedServer.NewClub club = PackagedServer.newClub("new-" + choice.toLowerCase());
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800, club.address())) {
            coach.go("/");
            coach.type(coach.see(By.xpath("//label[contains(., 'Code')]/following::input[1]")), club.code());
            coach.type(
                    coach.see(By.xpath("//label[contains(., 'Name of the club')]/following::input[1]")), "Test Club");
            WebElement begin = coach.see(By.cssSelector("select"));
            new Select(begin).selectByValue(choice);
            coach.type(coach.see("input[autocomplete=username]"), "anna");
            coach.nothingIsWrongHere();
            coach.type(coach.see("input[autocomplete=new-password]"), "long enough", Keys.ENTER);
            coach.see("nav[aria-label=Sections]");
            coach.go("/map");
            coach.see("*", seen);
            coach.nothingIsWrongHere();
            coach.go("/house/library");
            if (choice.equals("EMPTY")) {
                coach.see("button", "Tick all");
                makesALadder(coach);
            } else {
                coach.see("p", "Your club has everything the library has");
            }
        }
    }

    /** By hand and without a file: two ranks, on which somebody new begins. */
    private static void makesALadder(Coach coach) {
        coach.go("/ranks");
        coach.use("a", "Make one");
        coach.use("button", "Save");
        coach.see("p", "What is it called?");
        coach.type(coach.field("Name"), "Boatyard");
        coach.type(coach.field("Rank"), "Grey");
        coach.use("button", "Add a rank");
        coach.type(coach.see(By.xpath("(//label[normalize-space(.)='Rank']/following::input[1])[2]")), "Blue");
        coach.nothingIsWrongHere();
        coach.use("button", "Save");
        coach.see("h2", "Grey");
        coach.see("h2", "Blue");
        coach.go("/people/new");
        coach.type(coach.field("Name"), "Ada Fell");
        coach.use("button", "Save");
        coach.see("a", "Ada Fell");
        coach.go("/ranks");
        coach.see("li", "1 student");
        coach.nothingIsWrongHere();
    }
}
