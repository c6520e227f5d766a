package lynchet.server.people;

import java.sql.Date;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.Credit;
import lynchet.core.mat.Mark;
import lynchet.core.people.Memory;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.mat.CreditStore;
import lynchet.server.mat.MarkStore;
import lynchet.server.mat.StudentStates;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What stands behind the figures of one student: each class, each day of practice, each mark with what took it back. */
@RestController
@OpenTo(Who.ACCOUNTS)
@RequestMapping("/api/people/{id}")
class TrailController {

    /** A year and a day, as a calendar shows it. */
    private static final int MOST_DAYS = 366;

    private final People people;
    private final StudentStates states;
    private final MarkStore marks;
    private final CreditStore credits;
    private final JdbcTemplate jdbc;

    TrailController(People people, StudentStates states, MarkStore marks, CreditStore credits, JdbcTemplate jdbc) {
        this.people = people;
        this.states = states;
        this.marks = marks;
        this.credits = credits;
        this.jdbc = jdbc;
    }

    /**
     * How something came to be known as it is.
     *
     * @param memory by side, as far as anything was done there
     * @param marks all of it, the oldest first, with those that take others back
     * @param credits practice from before that counts
     * @param received repetitions that they took as the receiver
     */
    record MemoryView(List<Memory> memory, List<Mark> marks, List<Credit> credits, int received) {}

    /** Practice and marks of one technique, chain or item. */
    @GetMapping("/memory")
    MemoryView memory(@PathVariable String id, @RequestParam String subject) {
        people.one(id);
        List<Mark> all = marks.of(id);
        Set<String> about = all.stream()
                .filter(mark -> mark.subject().equals(subject))
                .map(Mark::id)
                .collect(Collectors.toSet());
        return new MemoryView(
                states.memory(id, subject),
                all.stream()
                        .filter(mark -> about.contains(mark.id()) || about.contains(mark.withdraws()))
                        .toList(),
                credits.of(id).stream()
                        .filter(credit -> credit.subject().equals(subject))
                        .toList(),
                states.received(id, subject));
    }

    /**
     * A class somebody was in.
     *
     * @param id of the attendance
     * @param trial whether it was before the day they joined, so that it counts for nothing
     * @param cancelled whether it was called off afterwards
     */
    record ClassAttended(
            String id,
            String classId,
            LocalDate date,
            String track,
            Attendance.How how,
            @Nullable Instant at,
            @Nullable String by,
            boolean trial,
            boolean cancelled) {}

    /** The classes of at most a year, the oldest first. */
    @GetMapping("/attendance")
    List<ClassAttended> attendance(@PathVariable String id, @RequestParam LocalDate from, @RequestParam LocalDate to) {
        LocalDate joined = people.one(id).joined();
        if (to.isAfter(from.plusDays(MOST_DAYS))) {
            throw Refusal.bad("DAYS_MANY", "to", "Ask for at most a year at once.");
        }
        return jdbc.query(
                "select a.id, a.class_id, a.class_date, c.track, a.how, a.at, a.by_account, c.cancelled"
                        + " from attendance a join training_class c on c.id = a.class_id"
                        + " where a.student = ? and a.class_date between ? and ? order by a.class_date, a.class_id",
                (row, n) -> new ClassAttended(
                        row.getString(1),
                        row.getString(2),
                        row.getObject(3, LocalDate.class),
                        row.getString(4),
                        Attendance.How.valueOf(row.getString(5)),
                        row.getObject(6) == null
                                ? null
                                : row.getObject(6, OffsetDateTime.class).toInstant(),
                        row.getString(7),
                        row.getObject(3, LocalDate.class).isBefore(joined),
                        row.getBoolean(8)),
                id,
                Date.valueOf(from),
                Date.valueOf(to));
    }
}
