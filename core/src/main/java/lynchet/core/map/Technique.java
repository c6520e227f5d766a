package lynchet.core.map;

import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import lynchet.core.Say;
import lynchet.core.safety.Hazard;

/**
 * A thing one does, with all that a coach says about it.
 *
 * @param sided whether it is done to one side (right or left)
 * @param directions off-balancing directions seen from the receiver, for a right-handed performer
 * @param houseVersion id of the version the club teaches; null when there are no versions
 * @param prerequisites ids of techniques to be learned before
 * @param receiverFalls ids of breakfalls that the receiver needs
 * @param learn 1 to 5, how hard it is to pick up
 * @param master 1 to 5, how hard it is to make it work live
 */
public record Technique(
        String id,
        String name,
        List<Alias> aliases,
        Family family,
        Group group,
        Jacket jacket,
        boolean sided,
        List<Direction> directions,
        String summary,
        List<Step> steps,
        List<String> signs,
        List<Fault> faults,
        List<Version> versions,
        String houseVersion,
        List<String> prerequisites,
        List<String> receiverFalls,
        List<String> carriesOverTo,
        Set<Hazard> hazards,
        String soloForm,
        List<String> tags,
        int learn,
        int master,
        boolean retired) {

    public Technique {
        Say.id("a technique", id);
        Say.text("the name of technique " + id, name, 80);
        aliases = Say.list(aliases);
        Say.there("the family of technique " + id, family);
        if (group != null && group.family() != family) {
            throw new IllegalArgumentException(
                    "technique " + id + " is a " + family + " and cannot be in the group " + group);
        }
        jacket = jacket == null ? Jacket.EITHER : jacket;
        directions = Say.list(directions);
        summary = summary == null ? "" : summary;
        steps = Say.list(steps);
        signs = Say.list(signs);
        faults = Say.list(faults);
        versions = Say.list(versions);
        prerequisites = Say.list(prerequisites);
        receiverFalls = Say.list(receiverFalls);
        carriesOverTo = Say.list(carriesOverTo);
        hazards =
                hazards == null || hazards.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(hazards));
        tags = Say.list(tags);
        Say.within("learn of technique " + id, learn, 1, 5);
        Say.within("master of technique " + id, master, 1, 5);
    }
}
