package lynchet.server.words;

import java.util.List;
import lynchet.core.words.Word;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The words of the mat, with their parts. */
@RestController
@RequestMapping("/api/words")
class WordController {

    private final WordStore words;

    WordController(WordStore words) {
        this.words = words;
    }

    @GetMapping
    List<Word> words() {
        return words.all();
    }
}
