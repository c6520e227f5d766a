package lynchet.server.people;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import lynchet.core.people.Hold;
import lynchet.core.people.Restriction;
import lynchet.core.people.StandingThen;
import lynchet.core.people.Student;
import lynchet.core.people.WayBack;
import lynchet.core.rule.Most;
import lynchet.server.keep.AccountRights;
import lynchet.server.keep.Durable;
import lynchet.server.keep.Journal;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
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

    /** Sets a limit beside those that hold: they add up. A head knock has no last day. */
    @OpenTo(Who.COACHES)
    @PostMapping("/limits")
    Student limit(@PathVariable String id, @RequestBody Restriction limit) {
        limit.mustBeSound();
        if (limit.step() != null) {
            throw Refusal.bad("WAY_BACK", "/step", "The steps of a way back are set together.");
        }
        return change(id, student -> student.limitedBy(limit));
    }

    /**
     * Which limit ends.
     *
     * @param from the first day of the one that is meant; null: each of this kind that holds today
     * @param clearedBy who says that they may train again; needed for a head knock
     */
    record Lifted(
            Restriction.Kind kind,
            @Nullable LocalDate from,
            @Most(120) @Nullable String clearedBy) {}

    /** Ends a limit: yesterday was its last day. One that has not begun is gone. */
    @OpenTo(Who.COACHES)
    @PostMapping("/limits/lift")
    Student lift(@PathVariable String id, @RequestBody Lifted lifted, Authentication who) {
        if (lifted.kind() == null) {
            throw Refusal.bad("MISSING", "/kind", "Say which limit ends.");
        }
        boolean isHeadKnock = lifted.kind() == Restriction.Kind.HEAD_KNOCK;
        if (isHeadKnock && !AccountRights.isHead(who)) {
            throw Refusal.of(HttpStatus.FORBIDDEN, "NOT_ALLOWED", "/kind", "Only the head coach lifts a head knock.");
        }
        if (isHeadKnock && (lifted.clearedBy() == null || lifted.clearedBy().isBlank())) {
            throw Refusal.bad("CLEARED_BY", "/clearedBy", "Write which medical professional cleared them.");
        }
        LocalDate today = people.today();
        return lifting(
                id,
                "limit",
                String.valueOf(lifted.kind()),
                lifted.clearedBy(),
                limit -> limit.step() == null
                        && limit.kind() == lifted.kind()
                        && (lifted.from() == null
                                ? limit.holdsOn(today)
                                : limit.from().equals(lifted.from())));
    }

    /** Sets a way back of up to four steps; one at a time, beside whatever else limits them. */
    @OpenTo(Who.COACHES)
    @PostMapping("/limits/way-back")
    Student wayBack(@PathVariable String id, @RequestBody WayBack back) {
        back.mustBeSound();
        LocalDate today = people.today();
        return change(id, student -> {
            if (student.isOnWayBack(today)) {
                throw Refusal.bad(
                        "WAY_BACK_RUNS", "/steps", student.name() + " is on a way back already; end that one first.");
            }
            Student limited = student;
            for (Restriction limit : back.limits()) {
                limited = limited.limitedBy(limit);
            }
            return limited;
        });
    }

    /** How many days longer somebody stays on the step they are at; the later steps wait as long. */
    record Longer(int days) {}

    private static final int MOST_LONGER = 56;

    @OpenTo(Who.COACHES)
    @PostMapping("/limits/way-back/longer")
    Student longer(@PathVariable String id, @RequestBody Longer longer) {
        if (longer.days() < 1 || longer.days() > MOST_LONGER) {
            throw Refusal.bad("OUT_OF_RANGE", "/days", "A step is made 1 to " + MOST_LONGER + " days longer.");
        }
        LocalDate today = people.today();
        return change(id, student -> {
            if (!student.isOnWayBack(today)) {
                throw Refusal.missing("way back", id);
            }
            return student.wayBackLater(today, longer.days());
        });
    }

    /** Ends a way back, with the steps to come: they train in full again. */
    @OpenTo(Who.COACHES)
    @PostMapping("/limits/way-back/lift")
    Student liftWayBack(@PathVariable String id) {
        return lifting(id, "way back", id, null, limit -> limit.step() != null);
    }

    private Student lifting(
            String id, String what, String named, @Nullable String clearedBy, Predicate<Restriction> which) {
        people.notThemselves(id);
        LocalDate today = people.today();
        return change(id, student -> {
            if (student.restrictions().stream().noneMatch(limit -> which.test(limit) && limit.holdsFrom(today))) {
                throw Refusal.missing(what, named);
            }
            return student.lifting(which, today, clearedBy);
        });
    }

    /** Why somebody is kept at a rank, and when that is looked at again. */
    record HoldBack(@Most(300) String reason, @Nullable LocalDate reviewOn) {}

    @OpenTo(Who.HEADS)
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
        List<StandingThen> stood = promoting.stands(id);
        return change(id, student -> {
            if (student.staysHeld()) {
                throw Refusal.bad("HELD_ALREADY", "/reason", student.name() + " is held back already.");
            }
            List<Hold> holds = new ArrayList<>(student.holds());
            holds.add(new Hold(today, held.reviewOn(), held.reason(), Journal.who(), null, stood));
            return student.holding(holds);
        });
    }

    @OpenTo(Who.HEADS)
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

    private Student change(String id, UnaryOperator<Student> change) {
        return people.seenByThemselves(durable.write(() -> people.inTurn(() -> people.changeMany(List.of(id), change)))
                .get(0));
    }
}
