package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import lynchet.browser.Coach.With;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;

/** A club of one's own, made by hand, with belts that people came with. */
@Execution(ExecutionMode.CONCURRENT)
class OwnClubTest {

    private static final Pattern ROUTE = Pattern.compile("<Route path=\"(/?[^\"*]+)\"");

    /** Every page of the interface, with things that were left out on a form, and without what its address may name. */
    @Test
    void everyPageOfAClubWithEveryShapeIsThereAndNothingIsInTheConsole() {
        PackagedServer.NewClub club = PackagedServer.newClub("shapes");
        try (Coach head = new Coach(With.KEYBOARD, 1280, 800, club.address())) {
            head.begin(club.code(), "WHOLE");
            for (String path : everyPage(List.of(), List.of(), List.of())) {
                isThere(head, path);
            }
            makesEveryShape(head);
            head.go("/map"); // what was made behind its back is read
            head.see("nav[aria-label=Sections]");
            List<String> people = ids(head, "/api/people?size=200", "{\"student\":{\"id\":\"");
            assertThat(people).hasSizeGreaterThan(4);
            for (String path : everyPage(people, List.of("bare", "second", "lone"), List.of("by-hand"))) {
                isThere(head, path);
            }
        }
    }

    /** What the routes of the interface say, so that no page is forgotten; what an address names is filled in. */
    private static List<String> everyPage(List<String> people, List<String> ladders, List<String> classes) {
        List<String> pages = new ArrayList<>();
        try {
            ROUTE.matcher(Files.readString(Path.of("../web/src/App.tsx")))
                    .results()
                    .forEach(found -> {
                        String route = found.group(1);
                        String path = route.startsWith("/") ? route : "/house/" + route;
                        if (!path.contains(":")) {
                            pages.add(path);
                        } else if (path.startsWith("/people/:id")) {
                            people.forEach(id -> pages.add(path.replace(":id", id)));
                        } else if (path.startsWith("/mat/:id")) {
                            classes.forEach(id -> pages.add(path.replace(":id", id)));
                        } else if (path.startsWith("/ranks/:ladder")) {
                            ladders.forEach(
                                    id -> pages.add(path.replace(":ladder", id).replace(":rank", id + "-one")));
                        } else if (path.equals("/chains/:id") || path.equals("/term/terms/:id")) {
                            pages.add(path.replace(":id", "new"));
                        }
                    });
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        people.forEach(
                id -> List.of("game", "then", "trail").forEach(tab -> pages.add("/people/" + id + "?tab=" + tab)));
        List.of("pairs", "mark", "run", "injury")
                .forEach(mode -> classes.forEach(id -> pages.add("/mat/" + id + "?do=" + mode)));
        ladders.forEach(id -> List.of("promotions", "promotions/slips", "charts")
                .forEach(page -> pages.add("/people/" + page + "?ladder=" + id)));
        assertThat(pages).hasSizeGreaterThan(20);
        return pages;
    }

    private static void isThere(Coach coach, String path) {
        coach.goWithin(path);
        coach.thereAndBack(); // what the page asks is asked by then
        coach.loads();
        assertThat(coach.console()).as("the console at " + path).isEmpty();
    }

    private static List<String> ids(Coach coach, String path, String before) {
        String text = coach.get(path);
        return Pattern.compile(Pattern.quote(before) + "([^\"]+)\"")
                .matcher(text)
                .results()
                .map(found -> found.group(1))
                .toList();
    }

    private static void makesEveryShape(Coach head) {
        for (String id : List.of("bare", "second")) {
            head.post("/api/ladders", ladder(id, id + "-one", id + "-two", id + "-three"));
        }
        head.post("/api/ladders", ladder("lone", "lone-one"));
        head.post("/api/tracks", "{\"id\":\"never\",\"name\":\"Never\",\"slots\":[]}");
        head.post(
                "/api/tracks",
                "{\"id\":\"evenings\",\"name\":\"Evenings\",\"slots\":[{\"id\":\"tue\",\"day\":\"TUESDAY\","
                        + "\"start\":\"18:00\",\"minutes\":90}]}");
        person(head, "Nobody In Particular", "", "");
        person(head, "First Fell", ",\"tracks\":[\"evenings\"]", "bare bare-one");
        person(head, "Last Fell", ",\"born\":\"1990-02-03\"", "bare bare-three");
        person(head, "Both Fell", "", "bare bare-one second second-two");
        person(head, "Lone Fell", ",\"tracks\":[\"never\"]", "lone lone-one");
        person(head, "Guest Fell", ",\"guest\":{\"fallsKnown\":false}", "");
        String gone = person(head, "Gone Fell", ",\"left\":\"2026-06-01\"", "bare bare-one");
        head.post("/api/accounts", "{\"name\":\"gone\",\"role\":\"COACH\",\"person\":\"" + gone + "\"}");
        head.put(
                "/api/classes/by-hand",
                "{\"id\":\"by-hand\",\"date\":\"2026-11-24\",\"start\":\"20:00\",\"minutes\":60,\"track\":\"evenings\"}");
        String one =
                ids(head, "/api/people?find=First", "{\"student\":{\"id\":\"").get(0);
        head.post(
                "/api/attendance",
                "{\"id\":\"a1\",\"student\":\"" + one + "\",\"classId\":\"by-hand\",\"how\":\"NAME\"}");
    }

    private static String ladder(String id, String... ranks) {
        List<String> all = java.util.stream.Stream.of(ranks)
                .map(rank ->
                        "{\"id\":\"" + rank + "\",\"name\":\"" + rank + "\",\"colours\":[\"white\"],\"syllabus\":[]}")
                .toList();
        return "{\"id\":\"" + id + "\",\"name\":\"" + id + "\",\"ranks\":" + all
                + ",\"policy\":{\"stripes\":\"BY_COACH\",\"belt\":\"BY_COACH\"}}";
    }

    private static String person(Coach head, String name, String more, String ranks) {
        String answer = head.post(
                "/api/people", "{\"id\":\"x\",\"name\":\"" + name + "\",\"joined\":\"2025-11-01\"" + more + "}");
        String id = answer.replaceFirst("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        String[] held = ranks.isEmpty() ? new String[0] : ranks.split(" ");
        for (int i = 0; i < held.length; i += 2) {
            head.post(
                    "/api/promotions",
                    "{\"id\":\"p-" + held[i] + id + "\",\"student\":\"" + id + "\",\"ladder\":\"" + held[i]
                            + "\",\"to\":\"" + held[i + 1]
                            + "\",\"stripes\":0,\"date\":\"2025-11-01\",\"fromBefore\":true}");
        }
        return id;
    }

    /** Three belts by hand without rules, twelve people with belts from a sheet, and an evening with all of them. */
    @Test
    void aClubOfBeltsMovesInAndTrainsTheSameEvening() {
        PackagedServer.NewClub club = PackagedServer.newClub("belts");
        try (Coach head = new Coach(With.KEYBOARD, 1280, 800, club.address())) {
            head.begin(club.code(), "WHOLE");
            aLadderOfThreeBelts(head);
            head.post("/api/tracks", "{\"id\":\"evenings\",\"name\":\"Evenings\",\"slots\":[]}");
            twelveFromASheet(head);
            theyHaveWhatIsBelowTheirBelt(head);
            List<String> people = ids(head, "/api/people?size=200&ladder=boatyard", "{\"student\":{\"id\":\"");
            assertThat(people).hasSize(12);
            anEveningWithAllOfThem(head, people);
            for (String id : people) {
                for (String tab : List.of("next", "game", "then", "trail")) {
                    isThere(head, "/people/" + id + "?tab=" + tab);
                }
            }
            oneIsPromoted(head);
            everythingIsTakenBack(head);
        }
    }

    private static void aLadderOfThreeBelts(Coach head) {
        head.go("/ranks");
        head.use("a", "New ladder");
        head.type(head.field("Name"), "Boatyard");
        for (int n = 1; n <= 3; n++) {
            if (n > 1) {
                head.use("button", "Add a rank");
            }
            head.type(
                    head.see(By.xpath("(//label[normalize-space(.)='Rank']/following::input[1])[" + n + "]")),
                    List.of("Grey", "Blue", "Dark").get(n - 1));
        }
        head.use("button", "Save");
        head.see("h2", "Dark");
        head.use("a", "Grey");
        for (String technique : List.of("Side breakfall", "Backward breakfall", "Body drop", "Scarf hold")) {
            head.choose(head.see("input[aria-label='Add to Grey']"), technique, technique);
            head.see("li", technique);
        }
        head.use("button[@aria-label='Change Body drop']", "…");
        head.type(head.field("Standard"), Keys.ARROW_DOWN, Keys.ARROW_DOWN, Keys.ENTER);
        head.see("li[contains(., 'Body drop')]//span", "moving · both sides");
        head.nothingIsWrongHere();
        head.use("button[@aria-label='Change the group What is asked']", "…");
        head.type(head.see("fieldset[aria-label='The group What is asked'] input"), " at grey", Keys.ENTER);
        head.see("h2", "What is asked at grey");
        head.touch(head.see("input[aria-label='Add something else']"));
        head.touch(head.see("div[@role='option']", "Words to know"));
        head.type(head.field("Which words"), "Count to ten", Keys.ENTER);
        head.see("li", "Count to ten");
        head.go("/ranks/boatyard/boatyard-blue");
        head.choose(head.see("input[aria-label='Copy what another rank asks']"), "White, Adult", "White, Adult ladder");
        head.see("div", "copied");
        head.use("button", "Undo");
        head.see("p", "Blue asks for nothing yet");
        head.nothingIsWrongHere();
    }

    private static void twelveFromASheet(Coach head) {
        StringBuilder sheet = new StringBuilder("name,born,joined,ladder,rank,tracks,weight_kg\n");
        for (int n = 0; n < 12; n++) {
            sheet.append("Sheet ")
                    .append((char) ('A' + n))
                    .append(",")
                    .append(1980 + n)
                    .append("-05-05,2026-11-01,");
            sheet.append("boatyard,")
                    .append(n < 6 ? "Blue" : n < 10 ? "Dark" : "Grey")
                    .append(",evenings,");
            sheet.append(70 + n).append("\n");
        }
        head.go("/house/exchange");
        head.see("button", "Choose a file");
        try {
            head.file(Files.writeString(Path.of("target/belts.csv"), sheet));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        head.use("button", "Take in 12 lines");
        head.see("div", "belts.csv is taken in");
    }

    /** Ten have something below their belt; two began at the foot. */
    private static void theyHaveWhatIsBelowTheirBelt(Coach head) {
        int before = head.presses();
        head.section("People", "6");
        head.use("button", "came with a belt");
        head.see("span", "10 people");
        head.use("button", "They have all below their belt");
        head.see("div", "10 people have all that is asked below their belt");
        assertThat(head.presses() - before).isLessThanOrEqualTo(10);
        head.see("p", "Nobody is like that");
        head.use("button", "falls not seen here");
        head.see("span", "10 people");
        head.nothingIsWrongHere();
    }

    private static void anEveningWithAllOfThem(Coach head, List<String> people) {
        String today = today(head);
        head.put(
                "/api/classes/tonight",
                "{\"id\":\"tonight\",\"date\":\"" + today
                        + "\",\"start\":\"18:00\",\"minutes\":60,\"track\":\"evenings\","
                        + "\"blocks\":[{\"id\":\"b\",\"kind\":\"WHOLE_DRILL\",\"title\":\"Body drop\",\"minutes\":20,"
                        + "\"technique\":\"body-drop\"}]}");
        for (String id : people) {
            head.post(
                    "/api/attendance",
                    "{\"id\":\"at-" + id + "\",\"student\":\"" + id + "\",\"classId\":\"tonight\",\"how\":\"NAME\"}");
        }
        head.go("/mat/tonight?do=pairs");
        head.use("button", "Pair them");
        head.see("[data-group]");
        int paired = head.all("[data-paired]").size();
        int told = head.count("[aria-label='Not paired'] li p");
        assertThat(paired + told).as("everybody is paired or told why").isEqualTo(people.size());
        head.nothingIsWrongHere();
    }

    private static void oneIsPromoted(Coach head) {
        head.go("/people?find=Sheet A");
        head.use("a", "Sheet A");
        head.see("section", "things asked below blue");
        String id = head.address().replaceFirst(".*/people/([^?]+).*", "$1");
        String given = head.post(
                "/api/promotions",
                "{\"id\":\"pr-up\",\"student\":\"" + id + "\",\"ladder\":\"boatyard\",\"from\":\"boatyard-blue\","
                        + "\"to\":\"boatyard-dark\",\"stripes\":0,\"date\":\"" + today(head)
                        + "\",\"reason\":\"ready\",\"figures\":[]}");
        assertThat(given).contains("\"id\":\"pr-up\"");
        head.go("/people?find=Sheet A");
        head.see("td", "Dark");
    }

    private static String today(Coach head) {
        return head.get("/api/classes").replaceFirst("(?s).*\"today\":\"([0-9-]+)\".*", "$1");
    }

    private static void everythingIsTakenBack(Coach head) {
        head.use("a", "Sheet A");
        head.see("span", "Dark since");
        head.goWithin("/people/" + head.address().replaceFirst(".*/people/([^?]+).*", "$1") + "?tab=trail");
        head.use("section[@aria-label='Belts and stripes']//button", "Take back");
        head.see("span", "Blue since");
        head.go("/people?find=Sheet B");
        head.use("a", "Sheet B");
        head.use("section[@aria-label='From before']//button", "Take back");
        head.see("h2", "Sheet came with blue");
        head.see("p", "5 things are asked below it");
        head.use("button", "Undo");
        head.see("section", "things asked below blue");
        head.nothingIsWrongHere();
    }
}
