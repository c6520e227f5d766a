package lynchet.core.promote;

import java.util.List;
import lynchet.core.rule.Most;
import lynchet.core.rule.Nonsense;
import lynchet.core.rule.Require;

/**
 * Belts of one colour and size that the club has in its cupboard.
 *
 * @param colours as a rank names them, one or two
 * @param size as belts are sold
 * @param count how many there are, 0 to 1000
 */
public record Belt(
        String id,
        @Most(20) List<@Most(20) String> colours,
        @Most(12) String size,
        int count) {

    public Belt {
        Require.id("a belt", id);
        colours = Require.list(colours);
        if (colours.isEmpty() || colours.size() > 2) {
            throw new Nonsense(Nonsense.Rule.TOO_MANY, "the colours of this belt are one or two");
        }
        Require.text("the size of this belt", size);
        Require.within("the count of this belt", count, 0, 1000);
    }
}
