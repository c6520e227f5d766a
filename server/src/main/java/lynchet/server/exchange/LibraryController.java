package lynchet.server.exchange;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import lynchet.core.club.LibraryUpdate;
import lynchet.core.people.Student;
import lynchet.core.people.Touched;
import lynchet.core.rule.Most;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.people.People;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What the shipped library offers to a club that has gone its own way. */
@RestController
@OpenTo(Who.HEADS)
@RequestMapping("/api/library")
class LibraryController {

    private final Library library;
    private final People people;

    LibraryController(Library library, People people) {
        this.library = library;
        this.people = people;
    }

    record Taking(@Most(2000) Set<@Most(120) String> keys) {}

    /** Everything in which club and library differ, with who changed it. */
    @GetMapping
    List<LibraryUpdate.Difference> differences() {
        return library.differences();
    }

    /**
     * Whom it touches that what a rank asks for is taken from the library.
     *
     * @param wear how many wear the rank
     * @param lackMore those who then lack something that they do not lack now
     * @param lackLess those who then no longer lack something
     */
    record LibraryTouches(int wear, List<Named> lackMore, List<Named> lackLess) {}

    record Named(String id, String name) {}

    @GetMapping("/touched")
    LibraryTouches touched(@RequestParam String ladder, @RequestParam String rank) {
        Map<String, Student> wearing = people.wearing(ladder, rank).stream()
                .collect(Collectors.toMap(Student::id, Function.identity(), (one, other) -> one, TreeMap::new));
        Touched touched = library.touched(ladder, rank, wearing.keySet());
        return new LibraryTouches(
                touched.wear(), named(touched.lackMore(), wearing), named(touched.lackLess(), wearing));
    }

    private static List<Named> named(List<String> ids, Map<String, Student> people) {
        return ids.stream().map(id -> new Named(id, people.get(id).name())).toList();
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
