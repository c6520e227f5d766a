package lynchet.core.term.tonight;

import java.util.List;
import lynchet.core.mat.TrainingClass;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.term.TermPlan;

/**
 * Who is here, and the class they are here for.
 *
 * @param here in order of id
 * @param minutes of technique that the class bears
 * @param fresh new items that it bears
 * @param numbers the club's
 * @param planned what the track is to learn this term, whatever the ranks ask
 */
public record Room(
        TrainingClass training,
        List<Here> here,
        int minutes,
        int fresh,
        List<TermPlan.Goal> planned,
        ClubNumbers numbers) {

    public Room {
        here = here.stream()
                .sorted(java.util.Comparator.comparing(one -> one.body().id()))
                .toList();
    }

    boolean isPlanned(String subject) {
        return planned.stream().anyMatch(goal -> goal.subject().equals(subject));
    }

    /** Falls that everybody here bears: few where anybody is a junior or new, for all of them drill the same. */
    int mostFalls() {
        boolean isCareful = here.stream().map(Here::body).anyMatch(one -> one.isNew(numbers) || one.isJunior(numbers));
        return isCareful ? numbers.fewFalls() : numbers.mostFalls();
    }
}
