package lynchet.server.edit;

import java.util.Collection;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Which edits were taken back, and by which edit. What takes an edit back can be taken back as well: then it stands again. */
@Component
class Undone {

    private final JdbcTemplate jdbc;

    Undone(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /** Notes in the caller's transaction that {@code by} takes these back. */
    void note(Collection<String> edits, String by) {
        for (String edit : edits) {
            jdbc.update("update undone set stands_again = true where by_edit = ?", edit);
            jdbc.update("insert into undone (edit, by_edit, stands_again) values (?, ?, false)", edit, by);
        }
    }

    /** The edit that took this one back. */
    Optional<String> by(String edit) {
        return jdbc
                .queryForList("select by_edit from undone where edit = ? and not stands_again", String.class, edit)
                .stream()
                .findFirst();
    }

    /** Whether this edit only takes others back, or back again. */
    boolean takesBack(String edit) {
        return !jdbc.queryForList("select 1 from undone where by_edit = ? limit 1", Integer.class, edit)
                .isEmpty();
    }

    /** Those that neither were taken back nor only take others back. */
    Set<String> standing(Collection<String> edits) {
        Set<String> standing = new TreeSet<>(edits);
        standing.removeIf(edit -> by(edit).isPresent() || takesBack(edit));
        return standing;
    }
}
