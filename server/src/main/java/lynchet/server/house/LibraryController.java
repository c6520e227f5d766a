package lynchet.server.house;

import java.util.List;
import java.util.Set;
import lynchet.core.club.LibraryUpdate;
import lynchet.server.keep.Durable;
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
    private final Durable durable;

    LibraryController(Library library, Durable durable) {
        this.library = library;
        this.durable = durable;
    }

    record Taking(Set<String> keys) {}

    /** Everything in which club and library differ, with who changed it. */
    @GetMapping
    List<LibraryUpdate.Difference> differences() {
        return library.differences();
    }

    /** Takes the things with these keys; answers what differs afterwards. */
    @PostMapping
    List<LibraryUpdate.Difference> take(@RequestBody Taking taking) {
        if (taking.keys() == null || taking.keys().isEmpty()) {
            throw Refusal.bad("KEYS", "/keys", "Say what is to be taken.");
        }
        return durable.writeAlone(() -> {
            library.take(taking.keys());
            return library.differences();
        });
    }
}
