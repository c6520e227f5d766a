package lynchet.starter.demo;

import java.time.LocalDate;
import java.util.List;
import lynchet.core.grading.Grading;
import lynchet.core.grading.Grading.Candidate;
import lynchet.core.grading.Grading.Outcome;
import lynchet.core.rank.Ladder;

/** The grading that gave the newest belts, and the one that is coming in three weeks. */
final class DemoGradings {

    /** Whoever has worn a belt for this many weeks got it at the past grading. */
    static final int WEEKS_AGO = 17;

    private DemoGradings() {}

    static LocalDate next(LocalDate today) {
        return today.plusWeeks(3);
    }

    static List<Grading> of(LocalDate today, List<DemoPeople.Person> people, Ladder adult) {
        List<DemoPeople.Person> adults = people.stream()
                .filter(p -> p.held().ladder().equals(adult.id()))
                .toList();
        List<Candidate> past = new java.util.ArrayList<>(adults.stream()
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
}
