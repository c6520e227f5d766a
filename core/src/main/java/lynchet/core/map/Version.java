package lynchet.core.map;

import java.util.List;
import lynchet.core.rule.Say;

/**
 * One way of doing a technique; steps, faults and needs replace the technique's own where given.
 *
 * @param because which school prefers it, and why
 */
public record Version(
        String id,
        String name,
        Purpose purpose,
        String because,
        List<Step> steps,
        List<Fault> faults,
        List<Need> needs) {

    public Version {
        Say.id("a version", id);
        Say.text("the name of version " + id, name, 80);
        purpose = purpose == null ? Purpose.TEACHING : purpose;
        because = because == null ? "" : Say.notLonger("the reason of version " + id, because, 400);
        steps = Say.few("the steps of version " + id, steps);
        faults = Say.few("the faults of version " + id, faults);
        needs = Say.few("the needs of version " + id, needs);
    }

    /** The same version under another id, with other faults. */
    public Version with(String otherId, List<Fault> others) {
        return new Version(otherId, name, purpose, because, steps, others, needs);
    }
}
