package lynchet.core.grading;

import java.time.LocalDate;
import java.util.List;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;

/**
 * A grading day with its candidates, past or to come.
 *
 * @param examiners account names
 */
public record Grading(
        String id,
        String name,
        LocalDate date,
        String ladder,
        List<@Most(40) String> examiners,
        @Most(500) List<Candidate> candidates) {

    /** What became of a candidate. */
    public enum Outcome {
        PROMOTED,
        CONDITIONAL,
        STRIPE,
        HOLD,
        WITHDRAWN
    }

    /**
     * Somebody put forward.
     *
     * @param rank id of the rank held on the day
     * @param outcome null: not examined yet
     */
    public record Candidate(
            String student,
            String rank,
            Outcome outcome,
            @Most(300) String note) {
        public Candidate {
            Require.present("the student of a candidate", student);
            Require.present("the rank of a candidate", rank);
        }
    }

    public Grading {
        Require.id("a grading", id);
        Require.text("the name of this grading", name);
        Require.present("the date of this grading", date);
        Require.present("the ladder of this grading", ladder);
        examiners = Require.list(examiners);
        candidates = Require.list(candidates);
        if (candidates.stream().map(Candidate::student).distinct().count() != candidates.size()) {
            throw new IllegalArgumentException("this grading names a candidate twice");
        }
    }
}
