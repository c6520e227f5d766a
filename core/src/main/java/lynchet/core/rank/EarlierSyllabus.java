package lynchet.core.rank;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;

/**
 * What the ranks of a ladder asked before a new syllabus was published. Those who got their rank while it was in force go
 * on with it.
 *
 * @param until the last day on which a rank is given under it
 * @param ranks what each rank asked, each rank once; a rank that came later is not among them
 */
public record EarlierSyllabus(LocalDate until, @Most(60) List<AskedThen> ranks) {

    /** What one rank asked. */
    public record AskedThen(String rank, @Most(100) List<SyllabusGroup> syllabus) {
        public AskedThen {
            Require.present("the rank of an earlier syllabus", rank);
            syllabus = Require.list(syllabus);
        }
    }

    public EarlierSyllabus {
        Require.present("the last day of an earlier syllabus", until);
        ranks = Require.list(ranks);
        if (ranks.stream().map(AskedThen::rank).distinct().count() != ranks.size()) {
            throw new IllegalArgumentException("an earlier syllabus of this ladder names a rank twice");
        }
    }

    /** What the ranks of a ladder ask now, until a day. */
    static EarlierSyllabus of(List<Rank> ranks, LocalDate until) {
        return new EarlierSyllabus(
                until,
                ranks.stream()
                        .map(rank -> new AskedThen(rank.id(), rank.syllabus()))
                        .toList());
    }

    /** These ranks as they were asked then. */
    List<Rank> asked(List<Rank> now) {
        Map<String, List<SyllabusGroup>> then = new HashMap<>();
        ranks.forEach(of -> then.put(of.rank(), of.syllabus()));
        return now.stream()
                .map(rank -> rank.withSyllabus(then.getOrDefault(rank.id(), rank.syllabus())))
                .toList();
    }

    /** The same without the ranks that a ladder has no more. */
    EarlierSyllabus only(List<Rank> kept) {
        return new EarlierSyllabus(
                until,
                ranks.stream()
                        .filter(of -> kept.stream().anyMatch(rank -> rank.id().equals(of.rank())))
                        .toList());
    }
}
