package lynchet.server.safety;

import java.util.List;
import java.util.stream.Stream;
import lynchet.core.card.Hazard;
import lynchet.core.club.Parts;
import lynchet.core.numbers.Ages;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.safety.Cautions;
import lynchet.server.club.Edits;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.ETags;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Who;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The numbers by which the club keeps its people safe: within bounds, and stricter only where they protect. */
@RestController
@RequestMapping("/api/numbers")
class NumbersController {

    private final TeachingSnapshots taught;
    private final Edits edits;

    NumbersController(TeachingSnapshots taught, Edits edits) {
        this.taught = taught;
        this.edits = edits;
    }

    /**
     * A hazard with its ages.
     *
     * @param says what the caution says with the usual ages
     * @param from youngest age at which it is usually trained; 0: any
     * @param shownBelow below this age it is usually only shown; 0: no such age
     */
    record HazardAges(Hazard hazard, String says, int from, int shownBelow) {}

    /**
     * The club's numbers with what may be chosen.
     *
     * @param isOwn whether the club has said anything; else these are the usual ones
     */
    record Numbers(ClubNumbers numbers, boolean isOwn, List<ClubNumbers.Bound> bounds, List<HazardAges> hazards) {}

    @OpenTo(Who.ACCOUNTS)
    @GetMapping
    ResponseEntity<Numbers> numbers() {
        ClubNumbers now = taught.now().numbers();
        Numbers all = new Numbers(
                now,
                !taught.now().taught().all(Parts.NUMBERS).isEmpty(),
                ClubNumbers.bounds(),
                Stream.of(Hazard.values())
                        .filter(hazard -> !Ages.of(hazard).never())
                        .map(NumbersController::ages)
                        .toList());
        return ResponseEntity.ok().eTag(ETags.of(now)).body(all);
    }

    private static HazardAges ages(Hazard hazard) {
        Ages usual = Ages.of(hazard);
        return new HazardAges(hazard, Cautions.of(hazard).text(), usual.from(), usual.shownBelow());
    }

    @OpenTo(Who.HEADS)
    @PutMapping
    ResponseEntity<ClubNumbers> change(
            @RequestHeader(name = "If-Match", required = false) String tag, @RequestBody ClubNumbers numbers) {
        edits.taught(club -> {
            ETags.match(tag, club.numbers(), ClubNumbers.ID);
            return club.with(Parts.NUMBERS, List.of(numbers));
        });
        return ETags.tagged(numbers);
    }
}
