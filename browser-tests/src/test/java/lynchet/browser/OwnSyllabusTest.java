package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import lynchet.browser.Coach.With;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** From an empty ladder to a syllabus of one's own; what was done last; rules and numbers of the club. */
@Execution(ExecutionMode.CONCURRENT)
class OwnSyllabusTest {

    private static final List<String> GREY = List.of(
            "Backward breakfall",
            "Backward rolling breakfall",
            "Forward rolling breakfall",
            "Flat front breakfall",
            "Side breakfall",
            "Bridge",
            "Hip escape",
            "Leg pummelling on the back",
            "Reverse hip escape",
            "Shooting step",
            "Shoulder roll in place",
            "Sit-through");

    private static final List<String> BLUE = List.of(
            "Take sleeve and collar",
            "Floating hip throw",
            "Turn to the knees",
            "Stand up from turtle",
            "Peel the hands and face",
            "Slide out to the floor side",
            "Sprawl",
            "Post the head and circle out",
            "Stand from four points",
            "Peel and look up",
            "Kneeling guard break",
            "Side-step pass",
            "Bring the knees back in",
            "Side control to mount",
            "Bridge and roll");

    @ParameterizedTest
    @EnumSource(With.class)
    void twoRanksAreBuiltFromNothingAndHangTogether(With with) {
        PackagedServer.NewClub club =
                PackagedServer.newClub("own-" + with.name().toLowerCase());
        boolean byFinger = with == With.FINGER;
        try (Coach head = new Coach(with, byFinger ? 1024 : 1280, byFinger ? 768 : 800, club.address())) {
            head.begin(club.code(), "WHOLE");
            makesTheLadder(head);
            opens(head, "Grey");
            adds(head, "Grey", GREY);
            middle(head, "Add a group");
            head.use("button", "Add a group");
            choice(head, "Group 1", "Chosen", GREY.subList(GREY.size() - 4, GREY.size()));
            asks(head, GREY.get(0), "Standard", "Moving");
            goal(head, "Closed guard, bottom", "hold them there");
            hangsTogether(head);
            opens(head, "Blue");
            adds(head, "Blue", BLUE);
            stripe(head, BLUE.get(1));
            asks(head, BLUE.get(0), "Sides", "Right");
            hangsTogether(head);
            head.nothingIsWrongHere();
            assertThat(head.get("/api/ladders"))
                    .contains(
                            "\"choose\":2",
                            "\"standard\":\"MOVING\"",
                            "\"stripe\":1",
                            "POSITION_GOAL",
                            "\"sides\":\"RIGHT\"");
        }
    }

    private static void makesTheLadder(Coach head) {
        head.go("/ranks/new");
        head.type(head.field("Name"), "Boatyard");
        head.type(head.field("Rank"), "Grey");
        head.use("button", "Add a rank");
        head.type(second(head, "Rank"), "Blue");
        head.type(second(head, "Stripes"), Keys.chord(Keys.CONTROL, "a"), "2");
        head.use("button", "Save");
        head.see("h2", "Blue");
    }

    private static WebElement second(Coach head, String label) {
        return head.see(By.xpath("(//label[normalize-space(.)='" + label + "']/following::input[1])[2]"));
    }

    private static void opens(Coach head, String rank) {
        head.go("/ranks?ladder=boatyard");
        head.use(head.see(By.xpath("//h2[contains(., '" + rank + "')]//a | //a[.//h2[contains(., '" + rank + "')]]")));
        head.see("h1", rank);
    }

    /** Types the first letters and takes what was found: Enter by keyboard, a touch by finger. */
    private static void adds(Coach head, String rank, List<String> techniques) {
        for (String technique : techniques) {
            head.choose(head.see("input[aria-label='Add to " + rank + "']"), technique, technique);
            head.see(By.xpath("//button[@aria-label='Change " + technique + "']"));
        }
    }

    private static void change(Coach head, String technique) {
        WebElement button = head.see("button[aria-label='Change " + technique + "']");
        head.script("document.querySelector(\"button[aria-label='Change " + technique
                + "']\").scrollIntoView({block: 'center'})");
        head.use(button);
        head.see("fieldset[aria-label='What is asked of " + technique + "']");
    }

    private static WebElement field(Coach head, String technique, String label) {
        return head.see(By.xpath("//fieldset[@aria-label='What is asked of " + technique
                + "']//label[normalize-space(.)='" + label + "']/following::input[1]"));
    }

    private static void asks(Coach head, String technique, String label, String wanted) {
        change(head, technique);
        head.pick(field(head, technique, label), wanted);
        head.see("span", technique);
        head.until(
                technique + ": " + wanted,
                () -> field(head, technique, label).getAttribute("value").equals(wanted));
    }

    private static void stripe(Coach head, String technique) {
        change(head, technique);
        head.type(field(head, technique, "From stripe"), Keys.chord(Keys.CONTROL, "a"), "1");
        head.see("span", "from stripe 1");
    }

    /** Four of them into a group of their own, two of which are asked. */
    private static void choice(Coach head, String group, String name, List<String> items) {
        head.use(head.see("button[aria-label='Change the group " + group + "']"));
        WebElement named = head.see(By.xpath("//fieldset[@aria-label='The group " + group
                + "']//label[normalize-space(.)='Name']/following::input[1]"));
        head.type(named, Keys.chord(Keys.CONTROL, "a"), name, Keys.ENTER);
        head.see("h2", name);
        middle(head, "Change several at once");
        head.use("button", "Change several at once");
        for (String item : items) {
            head.script("document.querySelector(\"input[aria-label='Choose " + item
                    + "']\").scrollIntoView({block: 'center'})");
            head.touch(head.see("input[aria-label='Choose " + item + "']"));
        }
        head.see("p", "4 items chosen");
        head.pick(head.see(By.xpath("//label[normalize-space(.)='Into the group']/following::input[1]")), name);
        head.seeNo("p", "4 items chosen");
        head.use(head.see("button[aria-label='Change the group " + name + "']"));
        WebElement many = head.see(By.xpath("//fieldset[@aria-label='The group " + name
                + "']//label[normalize-space(.)='How many of them']/following::input[1]"));
        head.type(many, Keys.chord(Keys.CONTROL, "a"), "2");
        head.see("h2", "2 of 4");
    }

    /** What was said is closed, and the button scrolled to by hand. */
    private static void middle(Coach head, String button) {
        head.closeNotices();
        head.script("[...document.querySelectorAll('button, input')].find((one) => one.textContent.trim() === '"
                + button + "' || one.getAttribute('aria-label') === '" + button
                + "')?.scrollIntoView({block: 'center'})");
    }

    private static void goal(Coach head, String where, String what) {
        middle(head, "Add something else");
        head.pick(head.see("input[aria-label='Add something else']"), "A goal in a position");
        head.choose(
                head.see(
                        By.xpath(
                                "//form[@aria-label='A goal in a position']//label[normalize-space(.)='Where']/following::input[1]")),
                where,
                where);
        head.type(
                head.see(
                        By.xpath(
                                "//form[@aria-label='A goal in a position']//label[normalize-space(.)='What is to be done there']/following::input[1]")),
                what);
        middle(head, "Add it");
        head.use("button", "Add it");
        head.see("button[aria-label='Change " + where + "']");
    }

    private static void hangsTogether(Coach head) {
        head.see("h2", "Does it hang together?");
        head.loads();
        head.see("ul[aria-label=Findings]");
        assertThat(head.count("ul[aria-label=Findings] [aria-label=Blocks]"))
                .as("what blocks")
                .isZero();
    }

    /** What stands on another change is named and goes back with it, after a reload too. */
    @Test
    void whatWasDoneLastIsTakenBackWithWhatStandsOnIt() {
        PackagedServer.NewClub club = PackagedServer.newClub("undone");
        try (Coach head = new Coach(With.KEYBOARD, 1280, 800, club.address())) {
            head.begin(club.code(), "WHOLE");
            head.post(
                    "/api/map/techniques",
                    "{\"id\":\"own-way\",\"name\":\"Own way\",\"family\":\"PASS\",\"learn\":2,\"master\":2,\"sided\":true}");
            head.post(
                    "/api/map/links",
                    "{\"id\":\"own-link\",\"from\":\"in-closed-guard\",\"technique\":\"own-way\",\"to\":\"side-control-top\"}");
            head.go("/ranks");
            head.see("h1", "Ranks");
            head.type("u");
            head.see("h2", "What you did last");
            head.see("strong", "Added the way Own way from");
            head.nothingIsWrongHere();
            head.use(head.see(By.xpath("//li[.//strong[.='Added Own way']]//button")));
            head.see("p", "1 later change stands on it");
            head.use("button", "Take both back");
            head.see(By.xpath("//strong[.='Added Own way'][contains(@class, 'gone')]"));
            head.until("gone", () -> !head.get("/api/map").contains("own-way"));
            head.use(head.see(By.xpath("//li[.//strong[.='Added Own way']]//button[.='Put it back']")));
            head.until("there again", () -> head.get("/api/map").contains("own-way"));
        }
    }

    @Test
    void rulesAndNumbersOfTheClubAreItsOwn() {
        PackagedServer.NewClub club = PackagedServer.newClub("numbers");
        try (Coach head = new Coach(With.KEYBOARD, 1280, 800, club.address())) {
            head.begin(club.code(), "WHOLE");
            head.go("/house/numbers");
            head.type(head.field("Falls a class, everybody else"), Keys.chord(Keys.CONTROL, "a"), "50");
            head.use("button", "Keep these numbers");
            head.see("span", "numbers are kept");
            head.until("kept", () -> head.get("/api/numbers").contains("\"mostFalls\":50"));
            head.nothingIsWrongHere();
            head.go("/house/rules");
            head.see("h2", "Rules of bouts");
            head.use(head.see(By.xpath("(//a[.='Make one like it'])[1]")));
            head.see("aside", "Nothing changes yet");
            head.type(head.field("Name"), Keys.chord(Keys.CONTROL, "a"), "Hall rules");
            head.choose("Techniques that are not legal", "Triangle choke", "Triangle choke");
            head.see("aside", "No longer legal");
            head.use("button", "Save");
            head.see("strong", "Hall rules");
            head.nothingIsWrongHere();
            assertThat(head.get("/api/map/rulesets/hall-rules")).contains("triangle-choke");
        }
    }
}
