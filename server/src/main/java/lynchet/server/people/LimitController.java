package lynchet.server.people;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import lynchet.core.people.Hold;
import lynchet.core.people.Restriction;
import lynchet.core.people.Stood;
import lynchet.core.people.Student;
import lynchet.core.rule.Most;
import lynchet.server.keep.Durable;
import lynchet.server.keep.Journal;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Sight;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * What must not be done with somebody for a while, and who is kept at a rank on purpose. Coaches set limits and end them; a
 * head knock is lifted by the head coach alone, who writes who cleared them. The head coach holds back and lifts that.
 */
@RestController
@RequestMapping("/api/people/{id}")
class LimitController {

    private final People people;
    private final Promoting promoting;
    private final Durable durable;

    LimitController(People people, Promoting promoting, Durable durable) {
        this.people = people;
        this.promoting = promoting;
        this.durable = durable;
    }

    /** Sets a limit; the same kind once more takes the place of the one that holds. A head knock has no last day. */
    @PostMapping("/limits")
    Student limit(@PathVariable String id, @RequestBody Restriction limit) {
        limit.mustBeSound();
        return change(id, student -> student.limitedBy(limit));
    }

    /**
     * Which limit ends.
     *
     * @param clearedBy who says that they may train again; needed for a head knock
     */
    record Lifted(
            Restriction.Kind kind, @Most(120) @Nullable String clearedBy) {}

    /** Ends a limit: yesterday was its last day. */
    @PostMapping("/limits/lift")
    Student lift(@PathVariable String id, @RequestBody Lifted lifted, Authentication who) {
        boolean isHeadKnock = lifted.kind() == Restriction.Kind.HEAD_KNOCK;
        if (isHeadKnock && !Sight.isHead(who)) {
            throw Refusal.of(HttpStatus.FORBIDDEN, "NOT_ALLOWED", "/kind", "Only the head coach lifts a head knock.");
        }
        if (isHeadKnock && (lifted.clearedBy() == null || lifted.clearedBy().isBlank())) {
            throw Refusal.bad("CLEARED_BY", "/clearedBy", "Write which medical professional cleared them.");
        }
        people.notThemselves(id);
        LocalDate today = people.today();
        return change(id, student -> {
            List<Restriction> limits = new ArrayList<>();
            boolean found = false;
            for (Restriction one : student.restrictions()) {
                boolean ends = one.kind() == lifted.kind() && one.holdsOn(today);
                found |= ends;
                if (!ends) {
                    limits.add(one);
                } else if (one.from().isBefore(today)) {
                    limits.add(one.endedOn(today.minusDays(1), lifted.clearedBy()));
                }
            }
            if (!found) {
                throw Refusal.missing("limit", String.valueOf(lifted.kind()));
            }
            return student.limited(limits);
        });
    }

    /** Why somebody is kept at a rank, and when that is looked at again. */
    record HoldBack(@Most(300) String reason, @Nullable LocalDate reviewOn) {}

    @PostMapping("/holds")
    Student hold(@PathVariable String id, @RequestBody HoldBack held) {
        LocalDate today = people.today();
        if (held.reason() == null || held.reason().isBlank()) {
            throw Refusal.bad("REASON_MISSING", "/reason", "Write why; it is kept and shown to coaches.");
        }
        if (held.reviewOn() != null && !held.reviewOn().isAfter(today)) {
            throw Refusal.bad("REVIEW_DAY", "/reviewOn", "The day to look at it again is a day to come.");
        }
        people.one(id);
        List<Stood> stood = promoting.stands(id);
        return change(id, student -> {
            if (student.staysHeld()) {
                throw Refusal.bad("HELD_ALREADY", "/reason", student.name() + " is held back already.");
            }
            List<Hold> holds = new ArrayList<>(student.holds());
            holds.add(new Hold(today, held.reviewOn(), held.reason(), Journal.who(), null, stood));
            return student.holding(holds);
        });
    }

    @PostMapping("/holds/lift")
    Student liftHold(@PathVariable String id) {
        people.notThemselves(id);
        LocalDate today = people.today();
        return change(id, student -> {
            if (!student.staysHeld()) {
                throw Refusal.missing("hold", id);
            }
            return student.holding(student.holds().stream()
                    .map(hold -> hold.ended() == null ? hold.endedOn(today) : hold)
                    .toList());
        });
    }

    private Student change(String id, java.util.function.UnaryOperator<Student> change) {
        return people.seenByThemselves(durable.write(() -> people.inTurn(() -> people.changeMany(List.of(id), change)))
                .get(0));
    }
}
