package lynchet.server.people;

import java.util.List;
import lynchet.core.people.Promotion;
import lynchet.server.keep.Durable;
import lynchet.server.keep.Sight;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Belts and stripes: given, and what was given to somebody. */
@RestController
@RequestMapping("/api/promotions")
class PromotionController {

    private final People people;
    private final Durable durable;

    PromotionController(People people, Durable durable) {
        this.people = people;
        this.durable = durable;
    }

    /** What a student was given, the oldest first; a viewer is not told why, nor by which figures. */
    @GetMapping
    List<Promotion> of(@RequestParam String student, Authentication who) {
        people.one(student);
        List<Promotion> all = people.promotionsOf(student);
        return Sight.isOpen(who) ? all.stream().map(Promotion::withoutReasons).toList() : all;
    }

    /** Gives a belt or a stripe. The time and the account are the server's. */
    @PostMapping
    Promotion give(@RequestBody Promotion promotion) {
        return durable.write(() -> people.promote(promotion));
    }
}
