package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import org.junit.jupiter.api.Test;

/** The page reads again what shows a changed thing by the kind the journal calls it: one that it does not know would stay as it was. */
class WebKnowsEveryPartTest {

    @Test
    void ofEachKindItIsSaidWhatShowsIt() throws IOException {
        String shows = Files.readString(Path.of("../web/src/api/shows.ts"));
        assertThat(Stream.concat(Parts.ALL.stream().map(Part::one), Stream.of("syllabus", "account", "club")))
                .allSatisfy(kind -> assertThat(shows).contains("\n  " + kind + ": "));
    }
}
