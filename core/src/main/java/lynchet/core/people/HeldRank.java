package lynchet.core.people;

import java.time.LocalDate;
import lynchet.core.rule.Say;

/**
 * A rank that a student holds or held.
 *
 * @param stripes stripes on it now
 * @param since the day it was given
 */
public record HeldRank(String ladder, String rank, int stripes, LocalDate since) {
    public HeldRank {
        Say.there("the ladder of a held rank", ladder);
        Say.there("the rank of a held rank", rank);
        Say.within("the stripes of a held rank", stripes, 0, 9);
        Say.there("the date of a held rank", since);
    }
}
