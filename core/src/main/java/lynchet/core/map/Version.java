package lynchet.core.map;

import java.util.List;
import lynchet.core.Say;

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
        because = because == null ? "" : because;
        steps = Say.list(steps);
        faults = Say.list(faults);
        needs = Say.list(needs);
    }
}
