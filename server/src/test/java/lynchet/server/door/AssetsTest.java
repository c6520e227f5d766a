package lynchet.server.door;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What a browser may keep, and what it has to ask for again. */
@ExtendWith(RunningClub.class)
class AssetsTest {

    private HttpUser stranger;

    @BeforeEach
    void open() {
        stranger = RunningClub.stranger();
    }

    private String cached(String path) {
        String headers = stranger.get(path).expect(200).headers().toLowerCase(Locale.ROOT);
        Matcher control = Pattern.compile("cache-control=?:? ?\\[?([^\\]\\n]*)").matcher(headers);
        return control.find() ? control.group(1) : "";
    }

    @Test
    void scriptsWithTheirContentInTheirNameAreKeptForGood() {
        Matcher script =
                Pattern.compile("/assets/[^\"]+\\.js").matcher(stranger.get("/").text());
        assertThat(script.find()).isTrue();
        assertThat(cached(script.group())).contains("immutable", "max-age=31536000");
    }

    @Test
    void thePageAndWhatWorksWithoutTheServerAreAskedForAgain() {
        assertThat(cached("/")).contains("no-cache");
        assertThat(cached("/sw.js")).contains("no-cache");
    }
}
