package lynchet.server.mat;

import java.time.Clock;
import java.time.LocalDate;
import lynchet.core.mat.Credit;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Practice from before the club: counted once for each student and subject, with a note, and taken back. */
@RestController
@OpenTo(Who.COACHES)
@RequestMapping("/api/credits")
class CreditController {

    private final MarkDesk marks;
    private final Clock clock;

    CreditController(MarkDesk marks, Clock clock) {
        this.marks = marks;
        this.clock = clock;
    }

    @PostMapping
    Credit credit(@RequestBody Credit credit) {
        if (credit.on().isAfter(LocalDate.now(clock))) {
            throw Refusal.bad("NOT_YET", "/on", "The day " + credit.on() + " has not come yet.");
        }
        return marks.credit(credit);
    }

    /** Takes one back; who did it stays in the journal. */
    @DeleteMapping("/{id}")
    Credit takeBack(@PathVariable String id) {
        return marks.takeBackCredit(id);
    }
}
