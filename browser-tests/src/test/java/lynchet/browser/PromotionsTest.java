package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import lynchet.browser.Coach.With;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** A window is worked through on a club of its own: first with the finger, then, for others, by keyboard. */
@Execution(ExecutionMode.SAME_THREAD)
class PromotionsTest {

    private static PackagedServer.Own server;

    @BeforeAll
    static void start() throws IOException {
        server = new PackagedServer.Own(Path.of("target/promotions.log"), true, "2026-11-24", List.of());
        server.start();
    }

    @AfterAll
    static void stop() throws InterruptedException {
        server.kill();
    }

    private record Window(
            List<String> forward, List<String> held, List<String> ready, String early, List<String> stripes) {}

    private static final Window FINGER = new Window(
            List.of(
                    "Tobias Marrow",
                    "Orla Fenwick",
                    "Nadia Thorne",
                    "Yara Pinder",
                    "Hamish Oake",
                    "Wanda Crake",
                    "Ebbe Rushworth",
                    "Noor Tidewell"),
            List.of("Bram Oakhurst", "Pavel Drumm"),
            List.of("Yara Pinder", "Hamish Oake"),
            "Priya Fenlow",
            List.of("Jonah Wick", "Mei Larkspur", "Ngozi Hartfell", "Anders Thistle", "Kofi Marsden"));

    private static final Window KEYBOARD = new Window(
            List.of(
                    "Amara Quist",
                    "Devrim Hallow",
                    "Ines Calloway",
                    "Sunniva Beck",
                    "Ilse Wrenfield",
                    "Ruben Saltry",
                    "Maud Sallow",
                    "Leila Moorcroft"),
            List.of("Tariq Lanmore", "Ellis Quayle"),
            List.of(),
            "Tobias Marrow",
            List.of("Vera Lindqvist-Poole", "Maud Sallow", "Ebbe Rushworth", "Noor Tidewell", "Wanda Crake"));

    @ParameterizedTest
    @EnumSource(With.class)
    void aWindowIsWorkedThrough(With with) {
        Window window = with == With.FINGER ? FINGER : KEYBOARD;
        try (Coach coach = new Coach(with, with == With.FINGER ? 1024 : 1280, 800, server.address)) {
            coach.comeIn("head", "/people/promotions?ladder=adult");
            coach.see("[data-flag=yara-pinder]");
            coach.nothingIsWrongHere();
            int before = coach.presses();
            coach.touch(coach.see(By.xpath("//label[contains(., 'Table')]")));
            for (String name : window.forward()) {
                coach.use(inView(coach, "[aria-label='Put forward " + name + "']"));
                coach.seeNone("[aria-label='Put forward " + name + "']");
            }
            for (String name : window.held()) {
                open(coach, name);
                coach.use("button", "Hold back …");
                coach.type(coach.field("Why they stay"), "not calm enough yet", Keys.ENTER);
                coach.see("span", "is held back");
                coach.seeNone("[aria-label='Put forward " + name + "']");
            }
            window.ready().forEach(name -> promoted(coach, name));
            open(coach, window.early());
            coach.use(coach.see(By.xpath("//button[starts-with(., 'Promote to')]")));
            coach.type(coach.field("Not everything is there"), "moves away next week", Keys.ENTER);
            coach.see("span", "is promoted to");
            String belt = coach.see(worn(window.stripes().get(0), "")).getAttribute("aria-label");
            for (String name : window.stripes()) {
                coach.touch(inView(coach, "input[aria-label='Tick " + name + "']"));
            }
            coach.use("button", "Give each the next stripe");
            coach.see("span", "5 stripes are given");
            coach.use(coach.see(By.xpath("//*[contains(., '5 stripes are given')]/button[contains(., 'Undo')]")));
            coach.see(worn(window.stripes().get(0), belt));
            if (with == With.FINGER) {
                coach.go("/people/promotions?ladder=junior&as=table");
                List.of("Ada Quickly", "Bo Lindale", "Idris Penhale", "Tess Ashgrove")
                        .forEach(name -> promoted(coach, name));
            }
            assertThat(coach.presses() - before).as("touches").isLessThanOrEqualTo(70);
            coach.nothingIsWrongHere();
            coach.go("/people/promotions?ladder=adult");
            coach.use("button", "Announce");
            coach.see("span", "announced");
            coach.use("a", "Slips and the list");
            coach.see("h2", window.early());
            assertThat(coach.printedPages()).isEqualTo(1);
            coach.nothingIsWrongHere();
        }
    }

    /** The belt of somebody in the table, as it is read aloud. */
    private static By worn(String name, String belt) {
        return By.xpath("//tr[.//button[normalize-space(.)='" + name + "']]//*[@role='img'][contains(@aria-label, '"
                + belt + "')]");
    }

    /** Scrolled to by hand, off the head of the table and the notices at its foot. */
    private static WebElement inView(Coach coach, String css) {
        WebElement found = coach.see(css);
        coach.script("document.querySelector(\"" + css + "\").scrollIntoView({ block: 'center' })");
        return found;
    }

    private static void open(Coach coach, String name) {
        String id = name.toLowerCase(Locale.ROOT).replace(' ', '-');
        coach.use(inView(coach, "[data-row=" + id + "]"));
        coach.see("h2", name);
    }

    private static void promoted(Coach coach, String name) {
        coach.use(inView(coach, "button[aria-label='Promote " + name + "']"));
        coach.use(coach.see(By.xpath("//form[@aria-label='Promote " + name + "']//button[@type='submit']")));
        coach.seeNone("[aria-label='Promote " + name + "']");
    }
}
