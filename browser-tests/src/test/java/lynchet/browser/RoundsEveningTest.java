package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import lynchet.browser.Coach.With;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.openqa.selenium.By;

/** An evening of rounds in a club of one's own: twelve people, three rounds, two tablets, one of them cut off for a round. */
@Execution(ExecutionMode.CONCURRENT)
class RoundsEveningTest {

    private static final int TOUCHES = 90;

    @Test
    void theCardsOfAnEveningShowWhatTheyAreCaughtWithAndWhatIsDoneAboutIt() {
        PackagedServer.NewClub club = PackagedServer.newClub("rounds");
        try (Coach head = new Coach(With.FINGER, 1024, 768, club.address());
                Coach assistant = new Coach(With.FINGER, 1024, 768, club.address())) {
            head.begin(club.code(), "WHOLE");
            makesAnEvening(head);
            assistant.signIn("anna", "long enough");
            int before = 0;
            for (Coach coach : List.of(head, assistant)) {
                coach.go("/mat/by-hand?do=pairs");
            }
            head.use("button", "Pair them");
            head.see("*[@data-group]", "");
            assistant.go("/mat/by-hand?do=pairs");
            for (Coach coach : List.of(head, assistant)) {
                coach.use("button", "How rounds ended");
                assertThat(coach.all("[data-card]")).hasSize(6);
                before += coach.presses();
            }
            round(head, 0, 6);
            assistant.use("button", "Round 2");
            assistant.cutOff(true);
            round(assistant, 6, 6);
            assistant.see("button", "6 waiting to send");
            assistant.cutOff(false);
            assistant.seeNone("[data-waiting]");
            head.use("button", "Round 2");
            head.use("button", "Round 3");
            round(head, 12, 6);
            assertThat(head.presses() + assistant.presses() - before - 3)
                    .as("touches for eighteen cards")
                    .isLessThanOrEqualTo(TOUCHES);

            head.go("/rounds");
            head.see("article", "Caught 7 times from ");
            head.use(head.all("article button").get(0));
            head.see("div", "It is in the class of");
            head.see("button", "It is in ");
            assertThat(head.get("/api/classes?from=2026-11-25&to=2026-12-08"))
                    .as("the next class has it")
                    .contains("\"id\":\"leak-");
            head.nothingIsWrongHere();
            String technique = Pattern.compile("/map/techniques/([a-z-]+)")
                    .matcher(caughtWith(head))
                    .results()
                    .findFirst()
                    .orElseThrow()
                    .group(1);
            head.go("/map/techniques/" + technique);
            head.use("a", "7 rounds ended so");
            head.see("section[@aria-label='Evenings']", "by tap");
            assertThat(head.all("section[aria-label=Evenings] li")).hasSize(7);
        }
    }

    /** Twelve grown-ups on a track with a class tonight, which is over already by the clock, and one every Thursday. */
    private static void makesAnEvening(Coach head) {
        head.post(
                "/api/tracks",
                "{\"id\":\"evenings\",\"name\":\"Evenings\",\"slots\":[{\"id\":\"thu\",\"day\":\"THURSDAY\","
                        + "\"start\":\"18:00\",\"minutes\":90}]}");
        head.put(
                "/api/classes/by-hand",
                "{\"id\":\"by-hand\",\"date\":\"2026-11-24\",\"start\":\"00:00\",\"minutes\":60,\"track\":\"evenings\","
                        + "\"blocks\":[{\"id\":\"free\",\"kind\":\"FREE_ROUNDS\",\"title\":\"Free rounds\",\"minutes\":30}]}");
        for (int n = 0; n < 12; n++) {
            String answer = head.post(
                    "/api/people",
                    "{\"id\":\"x\",\"name\":\"" + (char) ('A' + n)
                            + " Person\",\"joined\":\"2025-11-01\",\"born\":\"1990-02-03\","
                            + "\"weightKg\":75,\"tracks\":[\"evenings\"]}");
            String id = answer.replaceFirst("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
            head.post(
                    "/api/attendance",
                    "{\"id\":\"here-" + (char) ('a' + n) + "\",\"student\":\"" + id
                            + "\",\"classId\":\"by-hand\",\"how\":\"NAME\"}");
        }
    }

    /** Of eighteen cards seven are taps from the first place that is offered, with the first thing; the others run out of time. */
    private static void round(Coach coach, int from, int many) {
        List<String> cards = new ArrayList<>();
        coach.all("[data-card]").forEach(card -> cards.add(card.getDomAttribute("data-card")));
        for (int n = 0; n < many; n++) {
            coach.touch(coach.see("[data-card='" + cards.get(n) + "']"));
            boolean isTap = (from + n) % 5 < 2 && from + n < 16;
            coach.touch(choice(coach, "How did it end?", isTap ? "Tap" : "Time"));
            if (isTap) {
                coach.touch(choice(coach, "Who won?", ""));
                coach.touch(choice(coach, "From where?", ""));
                coach.touch(choice(coach, "With what?", ""));
            } else {
                coach.touch(coach.see("button", "Keep it"));
            }
            coach.seeNone("fieldset");
            coach.closeNotices();
        }
    }

    private static org.openqa.selenium.WebElement choice(Coach coach, String question, String text) {
        return coach.see(By.xpath("(//fieldset[legend='" + question + "']//button[contains(., '" + text + "')])[1]"));
    }

    /** Where the first leak says what they are caught with. */
    private static String caughtWith(Coach head) {
        return head.get("/api/rounds/leaks").replaceFirst("(?s).*?\"technique\":\"([^\"]+)\".*", "/map/techniques/$1");
    }
}
