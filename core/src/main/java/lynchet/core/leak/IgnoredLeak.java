package lynchet.core.leak;

import java.time.LocalDate;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;

/**
 * A leak that a coach leaves alone until a day, and why.
 *
 * @param position id of the position of the one who finishes
 * @param until last day on which it is left alone
 */
public record IgnoredLeak(
        String id, String position, @Most(200) String reason, LocalDate until) {

    public IgnoredLeak {
        Require.id("an ignored leak", id);
        Require.present("the position of this leak", position);
        Require.text("the reason to leave this leak", reason);
        Require.present("the day until which this leak is left", until);
    }
}
