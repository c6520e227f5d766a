package lynchet.server.house;

import java.util.List;
import java.util.Set;
import lynchet.core.club.LibraryUpdate;
import lynchet.core.rule.Most;
import lynchet.server.keep.Refusal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the shipped library offers to a club that has gone its own way. */
@RestController
@RequestMapping("/api/library")
class LibraryController {

    private final Library library;

    LibraryController(Library library) {
        this.library = library;
    }

    record Taking(@Most(2000) Set<@Most(120) String> keys) {}

    /** Everything in which club and library differ, with who changed it. */
    @GetMapping
    List<LibraryUpdate.Difference> differences() {
        return library.differences();
    }

    /** Takes the things with these keys; answers what differs afterwards. */
    @PostMapping
    List<LibraryUpdate.Difference> take(@RequestBody Taking taking) {
        if (taking.keys() == null || taking.keys().isEmpty() || taking.keys().contains(null)) {
            throw Refusal.bad("KEYS", "/keys", "Say what is to be taken.");
        }
        library.take(taking.keys());
        return library.differences();
    }
}
