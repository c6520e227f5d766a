package lynchet.core.card;

import java.util.List;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;

/**
 * One way of doing a technique; steps, faults and needs replace the technique's own where given.
 *
 * @param because which school prefers it, and why
 */
public record Version(
        String id,
        String name,
        Purpose purpose,
        @Most(400) String because,
        List<Step> steps,
        List<Fault> faults,
        List<Need> needs) {

    public Version {
        Require.id("a version", id);
        Require.text("the name of this version", name);
        purpose = purpose == null ? Purpose.TEACHING : purpose;
        because = because == null ? "" : because;
        steps = Require.list("the steps of this version", steps);
        faults = Require.list("the faults of this version", faults);
        needs = Require.list("the needs of this version", needs);
    }

    /** The same version under another id, with other faults. */
    public Version with(String otherId, List<Fault> others) {
        return new Version(otherId, name, purpose, because, steps, others, needs);
    }
}
