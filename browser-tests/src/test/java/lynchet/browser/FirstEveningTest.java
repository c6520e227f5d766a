package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import lynchet.browser.Coach.With;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.Keys;

/** From an empty folder to a marked student: an own club, by hand, without any file. */
@Execution(ExecutionMode.CONCURRENT)
@Order(1)
class FirstEveningTest {

    @ParameterizedTest(name = "{0} at {1}x{2}")
    @CsvSource({"KEYBOARD, 1280, 800", "FINGER, 1024, 768"})
    void aClubMovesInInOneEvening(With with, int width, int height) {
        PackagedServer.NewClub club =
                PackagedServer.newClub("evening-" + with.name().toLowerCase());
        try (Coach head = new Coach(with, width, height, club.address())) {
            head.begin(club.code(), "WHOLE");
            String link = anAccountForMarta(head);
            aTrackWithATime(head);
            threePeople(head);
            tonightIsPlanned(head);
            try (Coach marta = new Coach(with, width, height, club.address())) {
                comesIn(marta, link);
                theEvening(marta);
                head.section("People", "6");
                head.use("a", "Ada Fell");
                head.see("span", "last seen");
                head.see("li", "Hip-bump sweep");
                head.see("[aria-label=Readiness] li");
                head.nothingIsWrongHere();
                System.out.println(
                        "The first evening by " + with + ": " + head.presses() + " presses and touches of the"
                                + " head coach and " + marta.presses() + " of the other coach.");
                assertThat(head.presses() + marta.presses()).isLessThanOrEqualTo(120);
                theWeekAfter(head);
            }
        }
    }

    /** What comes up once a club lives: a visitor, a plan worth keeping, closed days, a class that is called off. */
    private static void theWeekAfter(Coach head) {
        head.section("Mat", "5");
        head.use("button", "Guest");
        head.type(head.see("input[aria-label='Name of the guest']"), "Dov Reel", Keys.ENTER);
        head.see("*[@data-student][@aria-pressed='true']", "Dov");
        head.use("a", "Change the plan");
        head.use("button", "Keep as a pattern");
        head.type(head.see("input[aria-label='Name of the pattern']"), "First evening");
        head.use("button", "Keep it");
        head.see("button", "Keep as a pattern");
        head.nothingIsWrongHere();
        head.section("House", "0");
        head.use("a", "Tracks and closed days");
        head.see("li", "First evening");
        head.use("button", "Add closed days");
        head.type(head.field("What for"), "Fair");
        head.seeNone("[data-notices] > div"); // on a tablet it stands over the button for a moment
        head.use("button", "Save");
        head.see("*[@role='alert']", "People trained in Fundamentals");
        head.type(head.field("First day"), "02052030");
        head.use("button", "Save");
        head.see("li", "Tue 5 Feb 2030");
        head.file(holidays());
        head.see("h3", "1 closure in the file");
        head.nothingIsWrongButTheServer();
        head.use("button", "Close these days for everybody");
        head.see("li", "Mon 23 Dec 2030 to Fri 3 Jan 2031");
        head.section("Mat", "5");
        head.use("a", "The week");
        head.use("button[@aria-label='The week after']", "→");
        head.use("a[data-bare]");
        head.use("a", "Call it off");
        head.see("section", "Nothing is known to reach them by");
        head.see("p", "Ada, Bo, Cy");
        head.nothingIsWrongButTheServer();
        head.use("button", "Call it off");
        head.see("h1", "Called off");
        head.use("button", "It takes place after all");
        head.see("button", "Call it off");
    }

    private static Path holidays() {
        String ics = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//A school//EN\r\nBEGIN:VEVENT\r\nUID:w\r\n"
                + "SUMMARY:Winter\r\nDTSTART;VALUE=DATE:20301223\r\nDTEND;VALUE=DATE:20310104\r\n"
                + "END:VEVENT\r\nEND:VCALENDAR\r\n";
        try {
            return Files.writeString(Path.of("target/holidays.ics"), ics);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String anAccountForMarta(Coach head) {
        head.section("House", "0");
        head.use("a", "Accounts");
        head.type(head.field("Account name"), "Marta");
        head.nothingIsWrongHere();
        head.use("button", "Make the account");
        String link = head.see("input[aria-label='The link']").getAttribute("value");
        assertThat(link).contains("/enter#");
        head.use("[aria-label=Close]");
        head.see("span", "a link is open until");
        return link;
    }

    private static void aTrackWithATime(Coach head) {
        head.use("a", "Tracks and closed days");
        head.use("button", "Add a track");
        head.type(head.field("Name"), "Fundamentals");
        head.use("button", "Add a time");
        head.type(head.see("input[aria-label='Area of time 1']"), "Barn");
        head.use("button", "Save");
        head.see("li", "18:00–19:30");
        head.nothingIsWrongHere();
    }

    private static void threePeople(Coach head) {
        head.section("People", "6");
        head.use("a", "Add the first people");
        for (String name : new String[] {"Ada Fell", "Bo Marsh", "Cy Thorn"}) {
            head.type(head.field("Name"), name);
            head.type(head.field("Birth date"), "02031994");
            head.use("button", "Save");
            head.see("a", name);
        }
        head.nothingIsWrongHere();
        head.use("button", "Done");
        head.see("span", "3 people");
        head.see("td", "White");
    }

    private static void tonightIsPlanned(Coach head) {
        head.section("Mat", "5");
        head.use("a", "Plan it");
        head.use("button", "Add a block");
        head.use("button", "Add a block");
        head.choose(head.see("input[aria-label='Technique of block 2']"), "side break", "Side breakfall");
        head.use("button", "Add a block");
        head.choose(head.see("input[aria-label='Technique of block 3']"), "hip-bump", "Hip-bump sweep");
        head.see("p", "30 + 1 between blocks + 4 water of 90 minutes, 55 left");
        head.nothingIsWrongHere();
        head.use("button", "Save");
        head.see("h3", "Hip-bump sweep");
    }

    private static void comesIn(Coach marta, String link) {
        marta.goTo(link);
        marta.see("strong", "Marta");
        marta.nothingIsWrongHere();
        marta.type(marta.see("input[autocomplete=new-password]"), "short", Keys.ENTER);
        marta.see("p", "At least 10 characters");
        marta.type(marta.see("input[autocomplete=new-password]"), " and then longer", Keys.ENTER);
        marta.see("h3", "Hip-bump sweep");
    }

    private static void theEvening(Coach marta) {
        for (String name : new String[] {"Ada", "Bo"}) {
            marta.use("button[@data-student]", name);
        }
        marta.see("span", "2 here");
        marta.use("button", "Done as planned");
        marta.touch(marta.see("label", "Mark"));
        marta.use("button[@data-student]", "Ada");
        marta.use("button", "Hip-bump sweep");
        marta.use("button", "You turn without lifting the hips");
        marta.use("button", "Not yet");
        marta.see("span", "not yet");
        marta.nothingIsWrongHere();
    }
}
