package lynchet.core.people;

import java.time.LocalDate;
import java.util.Map;
import lynchet.core.mat.Mark;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;

/** Something recorded that changes how a student stands. */
public sealed interface StudentEvent {

    /**
     * They were in a class that took place.
     *
     * @param counts by id of a ladder on which the class counts, whether only one class a day does
     */
    record Attended(LocalDate day, Map<String, Boolean> counts) implements StudentEvent {}

    /** They did something as performer; {@code done} is of one day. */
    record Practised(String subject, Side side, PracticeDay done) implements StudentEvent {}

    /**
     * They were judged.
     *
     * @param mark one that takes nothing back
     * @param day the day of the class in which it was given; null: outside any class
     */
    record Marked(Mark mark, LocalDate day) implements StudentEvent {

        /** Whether being judged counts as having done it that day. */
        boolean isPractice() {
            return day != null && mark.role() == Role.PERFORMER;
        }

        /** What was done that day, where it {@link #isPractice is practice}. */
        PracticeDay done() {
            boolean isLive = mark.passed() && mark.standard() == Standard.LIVE;
            return PracticeDay.marked(day, !mark.faults().isEmpty(), isLive);
        }
    }

    /** It was written down what they brought from elsewhere. */
    record Came(Brought brought) implements StudentEvent {}

    /** They were given a belt or a stripe. */
    record Promoted(Promotion promotion) implements StudentEvent {}
}
