package lynchet.server.erase;

import java.time.LocalDate;
import java.util.List;
import lynchet.core.people.Student;
import lynchet.server.club.ClubSettings;
import lynchet.server.keep.Durable;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.people.People;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How long the club keeps what it knows of people who are gone, and who is due. Nobody is erased but by hand. */
@RestController
@OpenTo(Who.HEADS)
@RequestMapping("/api/keeping")
class KeepingController {

    private static final int MOST_YEARS = 50;
    private static final int MOST = 100;

    private final ClubSettings club;
    private final People people;
    private final Durable durable;
    private final JdbcTemplate jdbc;

    KeepingController(ClubSettings club, People people, Durable durable, JdbcTemplate jdbc) {
        this.club = club;
        this.people = people;
        this.durable = durable;
        this.jdbc = jdbc;
    }

    /**
     * Somebody whose time is up.
     *
     * @param since the day they left, or were last here as a guest
     */
    record Due(String id, String name, LocalDate since, boolean guest) {}

    /**
     * @param years how many years are kept after somebody left; null: the club has not said, and nobody is due
     * @param due who is, the longest gone first, 100 at most
     */
    record Keeping(@Nullable Integer years, List<Due> due) {}

    @GetMapping
    Keeping keeping() {
        Integer years = club.keepYears().orElse(null);
        return new Keeping(years, years == null ? List.of() : due(people.today().minusYears(years)));
    }

    /** What the club says. */
    record Years(@Nullable Integer years) {}

    @PutMapping
    Keeping keep(@RequestBody Years asked) {
        if (asked.years() != null && (asked.years() < 1 || asked.years() > MOST_YEARS)) {
            throw Refusal.bad("OUT_OF_RANGE", "/years", "Say 1 to " + MOST_YEARS + " years, or none.");
        }
        durable.write(() -> {
            club.keepYears(asked.years());
            return asked;
        });
        return keeping();
    }

    private List<Due> due(LocalDate before) {
        java.sql.Date day = java.sql.Date.valueOf(before);
        List<Object[]> found = jdbc.query(
                "select id, since, is_guest from (select s.id, s.left_on as since, s.is_guest from student s"
                        + " where s.left_on <= ? union all select s.id, coalesce((select max(a.class_date) from attendance a"
                        + " where a.student = s.id), s.joined), true from student s where s.is_guest = true"
                        + " and s.left_on is null and s.joined <= ? and not exists (select 1 from attendance a"
                        + " where a.student = s.id and a.class_date > ?)) gone order by since, id limit " + 2 * MOST,
                (row, n) -> new Object[] {row.getString(1), row.getObject(2, LocalDate.class), row.getBoolean(3)},
                day,
                day,
                day);
        return found.stream()
                .map(row -> new Due(
                        (String) row[0], people.one((String) row[0]).name(), (LocalDate) row[1], (boolean) row[2]))
                .filter(due -> !due.name().equals(Student.ERASED))
                .limit(MOST)
                .toList();
    }
}
