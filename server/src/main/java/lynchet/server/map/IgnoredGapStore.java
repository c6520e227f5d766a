package lynchet.server.map;

import jakarta.persistence.EntityManager;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import lynchet.core.club.Parts;
import lynchet.core.walk.Finding;
import lynchet.core.walk.IgnoredGap;
import lynchet.server.keep.BodyRecords;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps which findings are left as they are, and why. */
@Service
public class IgnoredGapStore extends BodyRecords<IgnoredGap, IgnoredGapRow> {

    IgnoredGapStore(EntityManager entities, JdbcTemplate jdbc) {
        super(entities, jdbc, Parts.IGNORED_GAPS, IgnoredGapRow.class, IgnoredGapRow::new, null);
    }

    /** Those decided through these eyes, the oldest first. */
    @Transactional(readOnly = true)
    public List<IgnoredGap> through(String rank, String student) {
        return core(entities()
                        .createQuery(
                                from() + "where coalesce(r.rankId, '') = :rank and coalesce(r.student, '') = :student",
                                IgnoredGapRow.class)
                        .setParameter("rank", rank == null ? "" : rank)
                        .setParameter("student", student == null ? "" : student)
                        .getResultList())
                .stream()
                .sorted(Comparator.comparing(IgnoredGap::at).thenComparing(IgnoredGap::id))
                .toList();
    }

    /** The findings that nobody has decided to leave; what an earlier rank opened is left there. */
    public List<Finding> withoutIgnored(List<Finding> findings, String rank, String student) {
        Map<String, List<IgnoredGap>> left = new HashMap<>();
        return findings.stream()
                .filter(finding -> {
                    String through = finding.since() == null ? rank : finding.since();
                    return left.computeIfAbsent(through, at -> through(at, student)).stream()
                            .noneMatch(gap -> gap.covers(finding, through, student));
                })
                .toList();
    }
}
