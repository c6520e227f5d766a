package lynchet.starter.demo;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import lynchet.core.grading.Grading;
import lynchet.core.grading.Grading.Candidate;
import lynchet.core.grading.Grading.Outcome;
import lynchet.core.people.HeldRank;
import lynchet.core.people.Promotion;
import lynchet.core.people.PromotionBuilder;
import lynchet.core.people.Readiness;
import lynchet.core.rank.Ladder;

/** The grading that gave the newest belts, and the one that is coming in three weeks. */
final class DemoGradings {

    /** Anybody who has worn a belt for this many weeks got it at the past grading. */
    static final int WEEKS_AGO = 17;

    private DemoGradings() {}

    static LocalDate next(LocalDate today) {
        return today.plusWeeks(3);
    }

    static List<Grading> of(LocalDate today, List<DemoPeople.Person> people, Ladder adult) {
        List<DemoPeople.Person> adults = people.stream()
                .filter(p -> p.held().ladder().equals(adult.id()))
                .toList();
        List<Candidate> past = new ArrayList<>(adults.stream()
                .filter(p -> p.held().since().equals(today.minusWeeks(WEEKS_AGO)))
                .filter(p -> adult.indexOf(p.held().rank()) > 0)
                .map(p -> new Candidate(
                        p.student().id(),
                        adult.ranks().get(adult.indexOf(p.held().rank()) - 1).id(),
                        Outcome.PROMOTED,
                        null))
                .toList());
        past.add(new Candidate("ellis-quayle", "yellow", Outcome.CONDITIONAL, "Knee slide pass again, moving."));
        past.add(new Candidate("rowan-pettifer", "yellow", Outcome.HOLD, "Finishes too hard on the partner."));
        List<Candidate> coming = adults.stream()
                .filter(p -> p.passed() >= 0.9)
                .map(p -> new Candidate(p.student().id(), p.held().rank(), null, null))
                .toList();
        return List.of(
                new Grading(
                        "past-grading",
                        "The last grading",
                        today.minusWeeks(WEEKS_AGO),
                        adult.id(),
                        List.of("head", "coach", "wren"),
                        past),
                new Grading(
                        "coming-grading",
                        "The next grading",
                        next(today),
                        adult.id(),
                        List.of("head", "coach"),
                        coming));
    }

    /**
     * The belts and stripes that people wear: those from before the club kept records are written down as such, the newest
     * were given at the past grading, stripes came evenly since.
     */
    static List<Promotion> promotions(LocalDate today, List<DemoPeople.Person> people, List<Ladder> ladders) {
        List<Promotion> all = new ArrayList<>();
        for (DemoPeople.Person person : people) {
            HeldRank held = person.held();
            Ladder ladder = ladders.stream()
                    .filter(l -> l.id().equals(held.ladder()))
                    .findFirst()
                    .orElseThrow();
            int place = ladder.indexOf(held.rank());
            String from = place == 0 || held.fromBefore()
                    ? null
                    : ladder.ranks().get(place - 1).id();
            boolean graded = from != null && held.since().equals(today.minusWeeks(WEEKS_AGO)) && !person.isJunior();
            String id = "pr-" + person.student().id();
            all.add(given(id, person, from, 0, held.since(), graded ? "past-grading" : null, held.fromBefore()));
            long weeks = ChronoUnit.WEEKS.between(held.since(), today);
            for (int stripe = 1; stripe <= held.stripes(); stripe++) {
                LocalDate day = held.since().plusWeeks(weeks * stripe / (held.stripes() + 1));
                all.add(given(id + "-" + stripe, person, held.rank(), stripe, day, null, held.fromBefore()));
            }
        }
        return all;
    }

    private static Promotion given(
            String id,
            DemoPeople.Person person,
            String from,
            int stripes,
            LocalDate day,
            String grading,
            boolean fromBefore) {
        HeldRank held = person.held();
        return PromotionBuilder.builder()
                .id(id)
                .student(person.student().id())
                .ladder(held.ladder())
                .from(from)
                .to(held.rank())
                .stripes(stripes)
                .date(day)
                .fromBefore(fromBefore)
                .verdict(grading == null ? null : Readiness.Verdict.ELIGIBLE)
                .grading(grading)
                .at(day.atTime(20, 0).toInstant(ZoneOffset.UTC))
                .by("head")
                .announced(fromBefore ? null : day)
                .build();
    }
}
