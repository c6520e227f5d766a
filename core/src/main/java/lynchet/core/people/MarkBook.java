package lynchet.core.people;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lynchet.core.mat.Mark;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;

/**
 * Which marks stand: a later one supersedes an earlier one with the same subject, role, side, version and standard;
 * a withdrawn one is gone.
 */
public final class MarkBook {

    private final List<Mark> standing;

    private MarkBook(List<Mark> standing) {
        this.standing = standing;
    }

    /** @param marks one student's marks in the order they were given */
    public static MarkBook of(List<Mark> marks) {
        Set<String> withdrawn = new HashSet<>();
        marks.stream().filter(mark -> mark.withdraws() != null).forEach(mark -> withdrawn.add(mark.withdraws()));
        Map<List<Object>, Mark> latest = new LinkedHashMap<>();
        for (Mark mark : marks) {
            if (mark.withdraws() == null && !withdrawn.contains(mark.id())) {
                latest.put(key(mark), mark);
            }
        }
        return new MarkBook(List.copyOf(latest.values()));
    }

    private static List<Object> key(Mark mark) {
        return List.of(
                mark.subject(),
                mark.role(),
                mark.side(),
                mark.standard(),
                mark.version() == null ? "" : mark.version());
    }

    public List<Mark> standing() {
        return standing;
    }

    /** The highest standard passed; a pass at a higher standard holds for the lower ones. {@code version} null: any. */
    public Optional<Standard> best(String subject, Role role, Side side, String version) {
        return standing.stream()
                .filter(mark -> mark.passed()
                        && mark.subject().equals(subject)
                        && mark.role() == role
                        && (side == null || mark.side().covers(side))
                        && (version == null || version.equals(mark.version())))
                .map(Mark::standard)
                .max(Standard::compareTo);
    }
}
