package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import lynchet.browser.Coach.With;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A club brings its people. */
class ExchangeStoryTest {

    @TempDir
    Path folder;

    @ParameterizedTest(name = "{0} at {1}x{2}")
    @CsvSource({"KEYBOARD, 1280, 800, Zed Newcomer", "FINGER, 1024, 768, Una Newcomer"})
    void aSheetIsLookedAtBeforeItIsTakenIn(With with, int width, int height, String name) throws Exception {
        Path sheet = folder.resolve("people.csv");
        Files.writeString(sheet, "\uFEFFName;Born;Shoe size\n" + name + ";01.02.2001;43\nBad Date;31.02.2001;40\n");
        try (Coach coach = new Coach(with, width, height)) {
            coach.comeIn("head", "/house/exchange");
            coach.see("button", "Choose a file");
            coach.file(sheet);
            coach.see("span", "read as UTF-8, columns parted by “;”");
            coach.see("p", "Not used: shoe_size");
            coach.see("td", "born 31.02.2001 is not a day of the calendar");
            coach.nothingIsWrongHere();
            coach.use("button", "Take in 1 line, leave out 1 bad");
            coach.see("div", "people.csv is taken in");
            coach.section("People", "6");
            coach.type(coach.see("input[aria-label='Search people']"), name);
            coach.see("a", name);
        }
    }

    @Test
    void aBrokenFileIsRefusedInWords() throws Exception {
        Path file = Files.writeString(folder.resolve("later.json"), "{\"format\": 9}");
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800)) {
            coach.comeIn("head", "/house/exchange");
            coach.see("button", "Choose a file");
            coach.file(file);
            assertThat(coach.see("[role=alert]").getText())
                    .contains("later.json was refused", "file is in format 9", "update the program");
        }
    }
}
