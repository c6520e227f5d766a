package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import lynchet.browser.Coach.With;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** Theme weeks in own clubs: laid out from a syllabus by key, and made one by one by finger where there is nothing. */
@Execution(ExecutionMode.CONCURRENT)
class ThemeWeeksTest {

    private static void aTrack(Coach head) {
        head.post("/api/tracks", """
                {"id": "duo", "name": "Beginners", "slots": [
                  {"id": "duo-tue", "day": "TUESDAY", "start": "18:00", "minutes": 75},
                  {"id": "duo-thu", "day": "THURSDAY", "start": "18:00", "minutes": 75}]}
                """);
        head.go("/term"); // what was sent past the page is read again
    }

    /** Takes back what a notice speaks of. */
    private static void undo(Coach head, String notice) {
        head.use("output/div[contains(., '%s')]/button".formatted(notice), "Undo");
    }

    private static void begin(Coach head) {
        WebElement plan = head.see("input[aria-label=Plan]");
        head.type(plan, Keys.ENTER);
        head.see("div[@role='option']", "Theme weeks for Beginners");
        head.type(plan, Keys.ARROW_DOWN, Keys.ENTER);
        head.seeAt("/term/cycles/duo-weeks");
    }

    @Test
    void aSyllabusIsLaidOutAndMovedByKey() {
        PackagedServer.NewClub club = PackagedServer.newClub("theme-weeks");
        try (Coach head = new Coach(With.KEYBOARD, 1280, 800, club.address())) {
            head.begin(club.code(), "WHOLE");
            aTrack(head);
            begin(head);
            head.choose("Ranks", "White", "White");
            head.type(Keys.ESCAPE);
            head.nothingIsWrongHere();
            head.use("button", "Lay it out");
            head.use("button", "Take them");
            head.see("p", "has been shown all");
            int weeks = head.all("ol > li").size();
            assertThat(weeks).isGreaterThan(3);

            WebElement first = head.see("ol > li:nth-child(1) ul button");
            String subject = first.getText();
            first.sendKeys(Keys.ARROW_RIGHT);
            head.see("ol/li[2]//button", subject);
            undo(head, "are taken");
            head.see("div", "take that back first");
            head.see("ol/li[2]//button", subject);
            undo(head, "is shown in");
            head.see("ol/li[1]//button", subject);
            head.nothingIsWrongHere();
            head.canBeReadByNight();

            head.use("ol > li:nth-child(2) > button");
            head.type(head.field("Theme"), Keys.chord(Keys.CONTROL, "a"), "Hold and leave", Keys.ENTER);
            head.see("ol/li[2]/button", "Hold and leave");
            head.use("button", "Later");
            head.see("ol/li[3]/button", "Hold and leave");
            String shown = head.see("ol > li:nth-child(3) ul button").getText();
            head.use("aside a");
            head.see("h3", shown);
            head.nothingIsWrongHere();
        }
    }

    @Test
    void weeksAreMadeOneByOneWhereThereIsNoSyllabus() {
        PackagedServer.NewClub club = PackagedServer.newClub("theme-weeks-bare");
        try (Coach head = new Coach(With.FINGER, 1024, 768, club.address())) {
            head.begin(club.code(), "EMPTY");
            String made = head.post("/api/map/techniques", """
                    {"id": "stand", "name": "Stand in base", "family": "MOVEMENT", "jacket": "EITHER", "learn": 1,
                     "master": 1, "sided": false}
                    """);
            assertThat(made).contains("Stand in base");
            aTrack(head);
            head.use("input[aria-label=Plan]");
            head.touch(head.see("div[@role='option']", "Theme weeks for Beginners"));
            head.see("p", "No rank has a syllabus yet");
            head.nothingIsWrongHere();
            head.use("button", "Close");
            head.use("button", "Add a week");
            head.use("input[aria-label='Add a technique or a chain']");
            head.touch(head.see("div[@role='option']", "Stand in base"));
            head.see("ol/li[1]//button", "Stand in base");
            head.use("button", "Close");
            head.use("button", "Add a week");
            head.use("button", "Close");
            head.see("li", "Week 2 has nothing in it yet.");
            head.use("ol > li:nth-child(1) > button");
            head.use("input[aria-label='Week of Stand in base']");
            head.touch(head.see("div[@role='option']", "2 Week 2"));
            head.see("ol/li[2]//button", "Stand in base");
            head.use("button", "Take the week out");
            head.see("p", "1 week a round");
            head.nothingIsWrongHere();
            head.use("button", "Take them out");
            undo(head, "are gone");
            head.section("Term", "4");
            head.see("span", "Week 2");
        }
    }
}
