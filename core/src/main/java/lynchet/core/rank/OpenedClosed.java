package lynchet.core.rank;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import lynchet.core.walk.Finding;
import org.jspecify.annotations.Nullable;

/**
 * What a change opens and closes on a ladder, each where it first stands open.
 *
 * @param opened what hangs together no more
 * @param closed what hangs together now
 */
public record OpenedClosed(List<OfRank> opened, List<OfRank> closed) {

    /** @param rank id of the rank at which it stands open */
    public record OfRank(String rank, Finding finding) {}

    private record Topic(
            String rank, Finding.About about, @Nullable String item) {
        /** What is about nothing on the map, such as a choice, is told apart by its group; there is one load of a rank. */
        static Topic of(OfRank one) {
            Finding.About about = one.finding().about();
            boolean isAbout = about.position() != null || about.technique() != null || about.reaction() != null;
            return new Topic(one.rank(), about, isAbout ? null : one.finding().item());
        }
    }

    /**
     * The difference of two ladders of the same ranks, each looked at by its own check.
     *
     * @param before the check under what held before
     * @param after the check under what would hold
     */
    public static OpenedClosed between(SyllabusCheck before, Ladder was, SyllabusCheck after, Ladder is) {
        List<OfRank> old = findings(before, was);
        List<OfRank> fresh = findings(after, is);
        return new OpenedClosed(without(fresh, old), without(old, fresh));
    }

    private static List<OfRank> findings(SyllabusCheck check, Ladder ladder) {
        List<List<Finding>> all = check.of(ladder);
        List<OfRank> findings = new ArrayList<>();
        for (int at = 0; at < all.size(); at++) {
            String rank = ladder.ranks().get(at).id();
            all.get(at).stream()
                    .filter(finding -> finding.since() == null)
                    .forEach(finding -> findings.add(new OfRank(rank, finding)));
        }
        return findings;
    }

    private static List<OfRank> without(List<OfRank> all, List<OfRank> others) {
        Set<Topic> known = new HashSet<>();
        others.forEach(one -> known.add(Topic.of(one)));
        return all.stream().filter(one -> !known.contains(Topic.of(one))).toList();
    }
}
