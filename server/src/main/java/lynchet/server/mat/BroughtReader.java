package lynchet.server.mat;

import java.util.Collection;
import java.util.function.BiConsumer;
import lynchet.core.people.Brought;
import lynchet.format.Json;
import lynchet.server.keep.Sql;
import org.springframework.jdbc.core.JdbcTemplate;

/** Reads what some students knew already when they came: part of their records, and of how they stand. */
final class BroughtReader {

    private BroughtReader() {}

    /** @param subjects only of these things; null: of all */
    static void read(
            JdbcTemplate jdbc,
            Collection<String> students,
            Collection<String> subjects,
            BiConsumer<String, Brought> each) {
        jdbc.query(
                "select student, body from brought where answer = 'ALL' and student in (" + Sql.marks(students.size())
                        + ") order by id",
                row -> {
                    Brought all = Json.read(row.getString(2), Brought.class);
                    each.accept(
                            row.getString(1),
                            subjects == null
                                    ? all
                                    : all.having(all.had().stream()
                                            .filter(had -> subjects.contains(had.subject()))
                                            .toList()));
                },
                students.toArray());
    }
}
