package lynchet.server.people;

import java.util.List;
import java.util.Optional;
import lynchet.core.people.Promotion;
import lynchet.core.people.Readiness;
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

    private final Roster roster;

    PromotionController(People people, Durable durable, Roster roster) {
        this.people = people;
        this.durable = durable;
        this.roster = roster;
    }

    /** What a student was given, the oldest first; a viewer is not told why, nor by which figures. */
    @GetMapping
    List<Promotion> of(@RequestParam String student, Authentication who) {
        people.one(student);
        List<Promotion> all = people.promotionsOf(student);
        return Sight.isOpen(who) ? all.stream().map(Promotion::withoutReasons).toList() : all;
    }

    /**
     * Gives a belt or a stripe. The time, the account, the verdict of this moment and its figures are the server's; a rank
     * that is given against the verdict wants a reason.
     */
    @PostMapping
    Promotion give(@RequestBody Promotion promotion) {
        return durable.write(() -> people.promote(promotion, this::judged));
    }

    /** How the student stands on that ladder at this moment; empty for a first rank and one from before. */
    private Optional<Readiness> judged(Promotion given) {
        return given.fromBefore()
                ? Optional.empty()
                : roster.of(List.of(given.student()), people.today(), Readiness.Eyes.COACH).get(0).readiness().stream()
                        .filter(readiness -> readiness.ladder().equals(given.ladder()))
                        .findFirst();
    }
}
