package lynchet.server.map;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import lynchet.core.walk.Finding;
import lynchet.core.walk.IgnoredGap;
import lynchet.server.keep.Journal;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Shelf;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps which findings are left as they are, and why. */
@Service
public class IgnoredGapStore extends Shelf<IgnoredGap, IgnoredGapRow> {

    private final Journal journal;

    IgnoredGapStore(IgnoredGapRepository rows, Journal journal) {
        super(rows, IgnoredGapRow::new, Comparator.comparing(IgnoredGap::at).thenComparing(IgnoredGap::id));
        this.journal = journal;
    }

    /** Those decided through these eyes. */
    public List<IgnoredGap> through(String rank, String student) {
        return all().stream()
                .filter(gap ->
                        java.util.Objects.equals(gap.rank(), rank) && java.util.Objects.equals(gap.student(), student))
                .toList();
    }

    /** The findings that nobody has decided to leave. */
    public List<Finding> withoutIgnored(List<Finding> findings, String rank, String student) {
        List<IgnoredGap> ignored = through(rank, student);
        return findings.stream()
                .filter(finding -> ignored.stream().noneMatch(gap -> gap.covers(finding, rank, student)))
                .toList();
    }

    /** Adds a decision; the same one again is the same answer. */
    @Transactional
    public IgnoredGap add(IgnoredGap gap) {
        List<IgnoredGap> before = all();
        if (before.stream().anyMatch(one -> one.id().equals(gap.id()))) {
            throw Refusal.taken(gap.id(), "There is another decision with the id " + gap.id() + ".");
        }
        List<IgnoredGap> after = new ArrayList<>(before);
        after.add(gap);
        rewrite("gap", before, after, IgnoredGap::id, journal);
        return gap;
    }

    /** Takes a decision back, so that the finding is listed again. */
    @Transactional
    public void remove(String id) {
        List<IgnoredGap> before = all();
        List<IgnoredGap> after =
                before.stream().filter(gap -> !gap.id().equals(id)).toList();
        if (after.size() == before.size()) {
            throw Refusal.missing("ignored gap", id);
        }
        rewrite("gap", before, after, IgnoredGap::id, journal);
    }
}
