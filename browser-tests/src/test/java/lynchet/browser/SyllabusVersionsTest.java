package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import lynchet.browser.Coach.With;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;

/** A syllabus changed in mid-term: whom it touches, for whom it is new, and what mends what it leaves open. */
@Execution(ExecutionMode.CONCURRENT)
class SyllabusVersionsTest {

    private static final String BOATYARD = """
            { "id": "boatyard", "name": "Boatyard", "policy": { "stripes": "NONE", "belt": "BY_COACH" },
              "ranks": [
                { "id": "grey", "name": "Grey", "colours": [ "grey" ], "syllabus": [
                  { "name": "Words", "items": [ { "id": "knots", "kind": "WORDS", "words": "Three knots" },
                    { "id": "bowline", "kind": "WORDS", "words": "Bowline" } ] },
                  { "name": "Free choice", "choose": 4, "items": [
                    { "id": "splices", "kind": "WORDS", "words": "Splices" },
                    { "id": "whipping", "kind": "WORDS", "words": "Whipping" } ] } ] },
                { "id": "blue", "name": "Blue", "colours": [ "blue" ] } ] }
            """;

    @Test
    void itIsBegunAnewAndPeopleAreMovedAndWhatIsImpossibleIsMended() {
        PackagedServer.NewClub club = PackagedServer.newClub("versions");
        try (Coach head = new Coach(With.KEYBOARD, 1280, 800, club.address())) {
            head.begin(club.code(), "EMPTY");
            head.post("/api/ladders", BOATYARD);
            wears(head, "Ana");
            wears(head, "Bo");
            mendsTheChoice(head);
            movesAnItemToAnotherRank(head);
            beginsANewSyllabus(head);
            movesEverybodyAndBack(head);
            twoChangeOneRankAtOnce(head, club.address());
        }
    }

    private static void wears(Coach head, String name) {
        String made = head.post(
                "/api/people",
                "{\"id\":\"boat-" + name.toLowerCase() + "\",\"name\":\"" + name
                        + " Boatman\",\"joined\":\"2024-01-01\",\"born\":\"1990-01-01\"}");
        String id = made.replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        assertThat(
                        head.post(
                                "/api/promotions",
                                "{\"id\":\"given-" + name.toLowerCase() + "\",\"student\":\"" + id
                                        + "\",\"ladder\":\"boatyard\",\"to\":\"grey\",\"stripes\":0,\"date\":\"2025-01-01\",\"reason\":\"x\"}"))
                .contains("\"grey\"");
    }

    private static void mendsTheChoice(Coach head) {
        head.go("/ranks/boatyard/grey");
        head.see("li", "Free choice: asks to choose 4 of 2.");
        head.use("button", "Ask for all 2 of Free choice");
        head.see("section[@aria-label='What it would do']//li", "Closed Free choice: asks to choose 4 of 2.");
        head.use("button", "Leave it as it was");
        head.seeNo("h2", "Ask for all 2");
        head.use("button", "Ask for all 2 of Free choice");
        head.keepsTheChange("Ask for all 2 of Free choice: done.");
        head.seeNo("button", "Ask for all 2");
        head.closeNotices();
    }

    /** Both have the page open; the second who keeps something keeps it beside the first's. */
    private static void twoChangeOneRankAtOnce(Coach head, String address) {
        head.go("/ranks/boatyard/grey");
        head.see("button[aria-label='Change Bowline']");
        try (Coach other = new Coach(With.KEYBOARD, 1280, 800, address)) {
            other.signIn("anna", "long enough");
            other.go("/ranks/boatyard/grey");
            asks(other, "Three knots", "Live");
        }
        asks(head, "Bowline", "Moving");
        head.see("div", "Somebody else changed this rank too; both stand.");
        head.closeNotices();
        head.see(By.xpath("//li[.//span[.='Three knots'] and .//span[.='live']]"));
        head.see(By.xpath("//li[.//span[.='Bowline'] and .//span[.='moving']]"));
    }

    private static void asks(Coach coach, String item, String standard) {
        change(coach, item);
        coach.pick(
                coach.see(By.xpath("//fieldset[@aria-label='What is asked of " + item
                        + "']//label[normalize-space(.)='Standard']/following::input[1]")),
                standard);
        coach.keepsTheChange(item + ": " + standard.toLowerCase() + ".");
    }

    private static void movesAnItemToAnotherRank(Coach head) {
        change(head, "Whipping");
        WebElement to = head.see(By.xpath("//fieldset[@aria-label='What is asked of Whipping']"
                + "//label[normalize-space(.)='To the rank']/following::input[1]"));
        head.pick(to, "Blue");
        head.see("h3", "2 of 2 students on Grey would notice");
        head.see("strong", "2 of 2 no longer lack Whipping");
        head.nothingIsWrongHere();
        head.keepsTheChange("Whipping moved to Blue.");
        head.seeNo("span", "Whipping");
        head.closeNotices();
    }

    private static void change(Coach head, String item) {
        head.see("button[aria-label='Change " + item + "']");
        head.script("document.querySelector(\"button[aria-label='Change " + item
                + "']\").scrollIntoView({block: 'center'})");
        head.use(head.see("button[aria-label='Change " + item + "']"));
    }

    /** Taking something out would be noticed by both; it is asked no more of belts given from New Year on. */
    private static void beginsANewSyllabus(Coach head) {
        change(head, "Splices");
        head.use("button", "Take out");
        head.see("h3", "2 of 2 students on Grey would notice");
        head.type(head.field("Or only for belts given from"), "01012027");
        head.use("button", "Begin a new syllabus");
        head.see("div", "It is asked for belts from Fri 1 Jan");
        head.closeNotices();
        head.see("p", "2 students still stand on what was asked before");
    }

    private static void movesEverybodyAndBack(Coach head) {
        head.use("a", "Versions");
        head.see("h2", "From Fri 1 Jan");
        head.see("h2", "Until Thu 31 Dec");
        head.see("li", "Took Splices out of Free choice");
        head.see("span", "2 students stand on it");
        head.nothingIsWrongHere();
        head.touch(head.see(By.xpath("//label[normalize-space(.)='All 2']")));
        head.use("button", "Move 2");
        head.see("strong", "2 of 2 no longer lack Splices");
        head.use("button", "Move all 2");
        head.see("div", "2 students stand on “From Fri 1 Jan");
        head.use("button", "Undo");
        head.see("div", "Taken back.");
        head.see("span", "2 students stand on it");
        assertThat(head.get("/api/ladders/boatyard/versions/2027-01-01/people")).isEqualTo("[]");
    }
}
