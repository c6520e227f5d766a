package lynchet.server.people;

import java.time.LocalDate;
import java.util.List;
import lynchet.core.people.Promotion;
import lynchet.core.rule.Most;
import lynchet.server.keep.AccountRights;
import lynchet.server.keep.Durable;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
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
    private final Promoting promoting;

    PromotionController(People people, Durable durable, Promoting promoting) {
        this.people = people;
        this.durable = durable;
        this.promoting = promoting;
    }

    /** What a student was given, the oldest first; a viewer is not told why, nor by which figures. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping
    List<Promotion> of(@RequestParam String student, Authentication who) {
        people.one(student);
        List<Promotion> all = people.promotionsOf(student);
        return AccountRights.isViewer(who)
                ? all.stream().map(Promotion::withoutReasons).toList()
                : all;
    }

    /**
     * Gives a belt or a stripe. The time, the account, the verdict of this moment and its figures are the server's; a rank
     * that is given against the verdict wants a reason.
     */
    @OpenTo(Who.HEADS)
    @PostMapping
    Promotion give(@RequestBody Promotion promotion) {
        return durable.write(() -> people.inTurn(() -> promoting.give(promotion)));
    }

    /** The next stripe for several people: which ladder, on which day, to whom. */
    record Stripes(String ladder, LocalDate date, @Most(200) List<Promoting.Striped> given) {}

    @OpenTo(Who.HEADS)
    @PostMapping("/stripes")
    List<Promotion> stripes(@RequestBody Stripes asked) {
        if (asked.given() == null || asked.given().isEmpty()) {
            throw Refusal.bad("GIVEN_EMPTY", "/given", "Say to whom.");
        }
        if (asked.ladder() == null) {
            throw Refusal.bad("GIVEN_EMPTY", "/ladder", "Say on which ladder.");
        }
        LocalDate day = asked.date() == null ? people.today() : asked.date();
        return durable.write(() -> people.inTurn(() -> promoting.stripes(asked.ladder(), day, asked.given())));
    }

    /** Takes one back that was not announced yet; who did it stays in the journal. */
    @OpenTo(Who.HEADS)
    @DeleteMapping("/{id}")
    Promotion takeBack(@PathVariable String id) {
        return durable.write(() -> people.inTurn(() -> promoting.takeBack(id)));
    }

    /** Corrects one that was announced, with a reason; both stay. */
    @OpenTo(Who.HEADS)
    @PostMapping("/{id}/correction")
    Promotion correct(@PathVariable String id, @RequestBody Promoting.Meant meant) {
        return durable.write(() -> people.inTurn(() -> promoting.correct(id, meant)));
    }

    /** Which are said aloud. */
    record Announced(@Most(200) List<String> ids) {}

    @OpenTo(Who.HEADS)
    @PostMapping("/announce")
    List<Promotion> announce(@RequestBody Announced asked) {
        if (asked.ids() == null || asked.ids().isEmpty()) {
            throw Refusal.bad("GIVEN_EMPTY", "/ids", "Say which.");
        }
        return durable.write(() -> people.inTurn(() -> promoting.announce(asked.ids())));
    }
}
