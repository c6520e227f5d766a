package lynchet.server.people;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lynchet.core.people.LadderCount;
import lynchet.core.people.Readiness;
import lynchet.core.rank.Ladder;
import lynchet.server.keep.Sql;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;

/** What counts towards a rank outside of classes and marks, of several students at once. */
final class BesidesReader {

    private final JdbcTemplate jdbc;

    BesidesReader(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    private record Seminar(LocalDate on, int classes) {}

    /** All of one student, from which what counts on a ladder is taken. */
    static final class OfStudent {

        private final Set<String> nominations = new HashSet<>();
        private final List<Seminar> seminars = new ArrayList<>();
        private LocalDate chart;
        private LocalDate conduct;

        Readiness.Besides on(Ladder ladder, @Nullable LadderCount count, LocalDate today) {
            if (count == null) {
                return Readiness.Besides.NOTHING;
            }
            List<Seminar> counting = seminars.stream()
                    .filter(seminar -> !seminar.on().isBefore(count.held().since()))
                    .toList();
            int classes = counting.stream().mapToInt(Seminar::classes).sum();
            LocalDate last =
                    counting.stream().map(Seminar::on).max(LocalDate::compareTo).orElse(null);
            boolean isNominated = nominations.contains(ladder.id() + " "
                    + count.held().rank() + " " + ladder.policy().window(today));
            return new Readiness.Besides(isNominated, classes, last, chart, conduct);
        }
    }

    Map<String, OfStudent> of(Collection<String> students) {
        Map<String, OfStudent> known = new HashMap<>();
        students.forEach(student -> known.put(student, new OfStudent()));
        if (students.isEmpty()) {
            return known;
        }
        String these = " where student in (" + Sql.marks(students.size()) + ")";
        jdbc.query(
                "select student, ladder, held_rank, window_on from nomination" + these,
                row -> {
                    known.get(row.getString(1))
                            .nominations
                            .add(row.getString(2) + " " + row.getString(3) + " " + row.getObject(4, LocalDate.class));
                },
                students.toArray());
        jdbc.query(
                "select student, kind, on_day, classes from merit" + these,
                row -> {
                    merit(
                            known.get(row.getString(1)),
                            row.getString(2),
                            row.getObject(3, LocalDate.class),
                            row.getInt(4));
                },
                students.toArray());
        return known;
    }

    private static void merit(OfStudent of, String kind, LocalDate on, int classes) {
        switch (kind) {
            case "SEMINAR" -> of.seminars.add(new Seminar(on, classes));
            case "CHART" -> of.chart = later(of.chart, on);
            default -> of.conduct = later(of.conduct, on);
        }
    }

    private static LocalDate later(LocalDate one, LocalDate other) {
        return one == null || other.isAfter(one) ? other : one;
    }
}
