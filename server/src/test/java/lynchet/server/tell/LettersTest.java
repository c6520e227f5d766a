package lynchet.server.tell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import lynchet.core.term.Telling;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class LettersTest {

    @TempDir
    Path data;

    private static Telling.Letter letter(String to, String whom) {
        return new Telling.Letter(to, List.of(new Telling.Person(whom, whom)), "News", "Hello");
    }

    /** One who was kept with an address that is none keeps nobody else from being told. */
    @Test
    void theOthersAreWrittenAndWhoCannotBeIsToldByWord() {
        Letters letters = new Letters(data, Clock.systemUTC());
        Telling telling = new Telling(
                List.of(letter("ada@ex.org", "Ada"), letter("b..o@ex.org", "Bo"), letter("cy@ex.org", "Cy")),
                List.of(),
                List.of(new Telling.Person("Dee", "Dee")));

        Telling told = telling.without(letters.write("Club", "juniors", telling.letters()));

        assertThat(letters.all())
                .extracting(Letters.LetterView::to)
                .containsExactlyInAnyOrder("ada@ex.org", "cy@ex.org");
        assertThat(told.letters()).extracting(Telling.Letter::to).containsExactly("ada@ex.org", "cy@ex.org");
        assertThat(told.unreached()).extracting(Telling.Person::id).containsExactly("Dee", "Bo");
    }
}
