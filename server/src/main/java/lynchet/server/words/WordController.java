package lynchet.server.words;

import java.util.List;
import lynchet.core.words.Word;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Who;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The words of the mat, with their parts. */
@RestController
@OpenTo(Who.ACCOUNTS)
@RequestMapping("/api/words")
class WordController {

    private final TeachingSnapshots taught;

    WordController(TeachingSnapshots taught) {
        this.taught = taught;
    }

    @GetMapping
    List<Word> words() {
        return taught.now().taught().words();
    }
}
