package lynchet.core.club;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import lynchet.core.chain.Chain;
import lynchet.core.grading.Grading;
import lynchet.core.map.Link;
import lynchet.core.map.MapData;
import lynchet.core.map.PositionPair;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.map.Technique;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.DrillShape;
import lynchet.core.mat.Mark;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.Student;
import lynchet.core.rank.Ladder;
import lynchet.core.round.Round;
import lynchet.core.rule.Breach;
import lynchet.core.term.Term;
import lynchet.core.walk.IgnoredGap;
import lynchet.core.words.Word;

/**
 * A club with another one taken in (design: open format, merge): what is taught comes from the incoming one where both
 * have it; people and records are added by id, and one that differs under the same id is a breach.
 */
public final class ClubMerge {

    /** How many things of one part are new, different and the same. */
    public record Count(String part, int added, int changed, int same) {}

    /**
     * What came of it.
     *
     * @param club the merged club; only to be kept when there are no breaches
     * @param breaches records that differ, and whatever does not hold together afterwards
     */
    public record Merged(Club club, List<Count> counts, List<Breach> breaches) {
        public boolean changesNothing() {
            return counts.stream().allMatch(count -> count.added() + count.changed() == 0);
        }
    }

    private final List<Count> counts = new ArrayList<>();
    private final List<Breach> breaches = new ArrayList<>();

    private ClubMerge() {}

    /** {@code incoming} taken into {@code mine}, which keeps its name. */
    public static Merged of(Club mine, Club incoming) {
        ClubMerge merge = new ClubMerge();
        Club club = merge.both(mine, incoming);
        if (merge.breaches.isEmpty()) {
            merge.breaches.addAll(ClubCheck.check(club));
        }
        return new Merged(club, List.copyOf(merge.counts), List.copyOf(merge.breaches));
    }

    private Club both(Club mine, Club incoming) {
        MapData a = mine.map();
        MapData b = incoming.map();
        return new Club(
                mine.name(),
                new MapData(
                        taught("pairs", a.pairs(), b.pairs(), PositionPair::id),
                        taught("techniques", a.techniques(), b.techniques(), Technique::id),
                        taught("links", a.links(), b.links(), Link::id),
                        taught("reactions", a.reactions(), b.reactions(), Reaction::id),
                        taught("rulesets", a.rulesets(), b.rulesets(), Ruleset::id)),
                taught("chains", mine.chains(), incoming.chains(), Chain::id),
                taught("ladders", mine.ladders(), incoming.ladders(), Ladder::id),
                taught("words", mine.words(), incoming.words(), Word::id),
                taught("drills", mine.drills(), incoming.drills(), DrillShape::id),
                taught("tracks", mine.tracks(), incoming.tracks(), Track::id),
                taught("terms", mine.terms(), incoming.terms(), Term::id),
                recorded("people", mine.people(), incoming.people(), Student::id),
                recorded("classes", mine.classes(), incoming.classes(), TrainingClass::id),
                recorded("attendance", mine.attendance(), incoming.attendance(), Attendance::id),
                recorded("practice", mine.practice(), incoming.practice(), PracticeEntry::id),
                recorded("marks", mine.marks(), incoming.marks(), Mark::id),
                recorded("gradings", mine.gradings(), incoming.gradings(), Grading::id),
                recorded("rounds", mine.rounds(), incoming.rounds(), Round::id),
                recorded("ignoredGaps", mine.ignoredGaps(), incoming.ignoredGaps(), IgnoredGap::id));
    }

    private <T> List<T> taught(String part, List<T> mine, List<T> incoming, Function<T, String> id) {
        return merged(part, mine, incoming, id, true);
    }

    private <T> List<T> recorded(String part, List<T> mine, List<T> incoming, Function<T, String> id) {
        return merged(part, mine, incoming, id, false);
    }

    private <T> List<T> merged(
            String part, List<T> mine, List<T> incoming, Function<T, String> id, boolean incomingWins) {
        Map<String, T> all = new LinkedHashMap<>();
        mine.forEach(thing -> all.put(id.apply(thing), thing));
        int added = 0;
        int changed = 0;
        for (int i = 0; i < incoming.size(); i++) {
            T thing = incoming.get(i);
            T before = all.putIfAbsent(id.apply(thing), thing);
            if (before == null) {
                added++;
            } else if (!before.equals(thing)) {
                changed++;
                if (incomingWins) {
                    all.put(id.apply(thing), thing);
                } else {
                    breaches.add(new Breach(
                            "RECORD_DIFFERS",
                            "/" + part + "/" + i,
                            id.apply(thing),
                            id.apply(thing) + " among the " + part + " is not what is kept here under the same id"));
                }
            }
        }
        counts.add(new Count(part, added, changed, incoming.size() - added - changed));
        return List.copyOf(all.values());
    }
}
