package lynchet.core.card;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import lynchet.core.rule.Most;
import lynchet.core.rule.Nonsense;
import lynchet.core.rule.Require;
import lynchet.core.rule.Usual;
import org.jspecify.annotations.Nullable;

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
@RecordBuilder
@RecordBuilder.Options(inheritComponentAnnotations = false)
public record Technique(
        String id,
        String name,
        List<Alias> aliases,
        Family family,
        @Nullable Group group,
        Jacket jacket,
        boolean sided,
        List<Direction> directions,
        @Most(400) String summary,
        List<Step> steps,
        List<@Most(200) String> signs,
        List<Fault> faults,
        List<Version> versions,
        @Nullable String houseVersion,
        List<String> prerequisites,
        List<String> receiverFalls,
        List<String> carriesOverTo,
        Set<Hazard> hazards,
        @Most(400) @Nullable String soloForm,
        List<@Most(40) String> tags,
        int learn,
        int master,
        @Usual("false") boolean retired) {

    public Technique {
        Require.id("a technique", id);
        Require.text("the name of this technique", name);
        aliases = Require.list("the names of this technique", aliases);
        Require.present("the family of this technique", family);
        if (group != null && group.family() != family) {
            throw new Nonsense(
                    Nonsense.Rule.GROUP_FITS, "this technique is a " + family + " and cannot be in the group " + group);
        }
        jacket = jacket == null ? Jacket.EITHER : jacket;
        directions = Require.list("the directions of this technique", directions);
        summary = summary == null ? "" : summary;
        steps = Require.list("the steps of this technique", steps);
        signs = Require.texts("a sign of this technique", signs);
        faults = Require.list("the faults of this technique", faults);
        versions = Require.list("the versions of this technique", versions);
        prerequisites = Require.list("the prerequisites of this technique", prerequisites);
        receiverFalls = Require.list("the falls of this technique", receiverFalls);
        carriesOverTo = Require.list("what this technique carries over to", carriesOverTo);
        hazards =
                hazards == null || hazards.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(hazards));
        tags = Require.texts("a tag of this technique", tags);
        Require.within("learn of this technique", learn, 1, 5);
        Require.within("master of this technique", master, 1, 5);
    }

    /** The same technique, retired. */
    public Technique asRetired() {
        return copy(prerequisites, receiverFalls, carriesOverTo, faults, versions, true);
    }

    /** The same technique pointing at other techniques, with other faults and versions. */
    public Technique pointing(
            List<String> before, List<String> falls, List<String> carries, List<Fault> seen, List<Version> ways) {
        return copy(before, falls, carries, seen, ways, retired);
    }

    private Technique copy(
            List<String> before,
            List<String> falls,
            List<String> carries,
            List<Fault> seen,
            List<Version> ways,
            boolean isRetired) {
        return TechniqueBuilder.builder(this)
                .faults(seen)
                .versions(ways)
                .prerequisites(before)
                .receiverFalls(falls)
                .carriesOverTo(carries)
                .retired(isRetired)
                .build();
    }
}
