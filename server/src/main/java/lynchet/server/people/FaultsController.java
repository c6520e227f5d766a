package lynchet.server.people;

import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Which faults were seen in whom: what a coach corrects in the room instead of one at a time. */
@RestController
@OpenTo(Who.ACCOUNTS)
@RequestMapping("/api/people/faults")
class FaultsController {

    private static final int MOST_DAYS = 366;

    private final JdbcTemplate jdbc;
    private final Names names;
    private final Clock clock;

    FaultsController(JdbcTemplate jdbc, Names names, Clock clock) {
        this.jdbc = jdbc;
        this.names = names;
        this.clock = clock;
    }

    /** Somebody who shows a fault, with the marks that say so. */
    record Shows(String id, String name, int marks) {}

    /**
     * One fault of one technique.
     *
     * @param who those who showed it, most marks first
     * @param before how many people showed it in as many days before
     * @param room how often it was ticked for the room, without a name
     */
    record FaultSeen(String technique, String fault, List<Shows> who, int before, int room) {}

    /** The faults of some days, those that most people show first; {@code marked}: how many people were marked at all. */
    record FaultsSeen(LocalDate from, LocalDate to, int marked, List<FaultSeen> seen) {}

    private record Key(String technique, String fault) {}

    /**
     * Marks that were taken back do not count.
     *
     * @param track only marks given in classes of this track
     * @param ladder with {@code rank}: only those who hold it now
     */
    @GetMapping
    FaultsSeen faults(
            @RequestParam LocalDate from,
            @RequestParam LocalDate to,
            @RequestParam(required = false) String track,
            @RequestParam(required = false) String ladder,
            @RequestParam(required = false) String rank) {
        if (to.isBefore(from) || to.isAfter(from.plusDays(MOST_DAYS))) {
            throw Refusal.bad("DAYS_MANY", "to", "Ask for 1 to " + MOST_DAYS + " days.");
        }
        Filter asked = new Filter(track, ladder, rank);
        long days = ChronoUnit.DAYS.between(from, to) + 1;
        Map<Key, List<Shows>> now = read(asked, from, to);
        Map<Key, List<Shows>> before = read(asked, from.minusDays(days), from.minusDays(1));
        List<FaultSeen> seen = new ArrayList<>();
        Map<Key, Integer> room = room(asked, from, to);
        room.keySet().forEach(key -> now.computeIfAbsent(key, k -> new ArrayList<>()));
        now.forEach((key, who) -> {
            who.sort(Comparator.comparingInt((Shows one) -> -one.marks()).thenComparing(Shows::name));
            int showed = before.getOrDefault(key, List.of()).size();
            seen.add(new FaultSeen(key.technique(), key.fault(), who, showed, room.getOrDefault(key, 0)));
        });
        seen.sort(Comparator.comparingInt((FaultSeen one) -> -one.who().size())
                .thenComparing((FaultSeen one) -> -one.room())
                .thenComparing(FaultSeen::technique)
                .thenComparing(FaultSeen::fault));
        return new FaultsSeen(from, to, marked(asked, from, to), seen);
    }

    private record Filter(
            @Nullable String track,
            @Nullable String ladder,
            @Nullable String rank) {}

    private static final String FROM =
            " from mark m join student s on s.id = m.student" + " left join training_class c on c.id = m.class_id";

    private static final String WHERE = " where m.at >= ? and m.at < ? and m.withdraws is null and s.left_on is null"
            + " and not exists (select 1 from mark w where w.student = m.student and w.withdraws = m.id)";

    private Map<Key, List<Shows>> read(Filter asked, LocalDate from, LocalDate to) {
        List<Object> values = new ArrayList<>(List.of(start(from), start(to.plusDays(1))));
        String where = WHERE + also(asked, values);
        Map<String, String> named =
                names.all(to, true).stream().collect(Collectors.toMap(Names.Name::id, Names.Name::name));
        Map<Key, List<Shows>> all = new HashMap<>();
        jdbc.query(
                "select m.subject, f.fault, m.student, count(*)" + FROM + " join mark_fault f on f.mark = m.id" + where
                        + " group by m.subject, f.fault, m.student",
                row -> {
                    String student = row.getString(3);
                    all.computeIfAbsent(new Key(row.getString(1), row.getString(2)), key -> new ArrayList<>())
                            .add(new Shows(student, named.getOrDefault(student, student), row.getInt(4)));
                },
                values.toArray());
        return all;
    }

    /** Ticks for the room; they name nobody, so a rank cannot ask for them. */
    private Map<Key, Integer> room(Filter asked, LocalDate from, LocalDate to) {
        Map<Key, Integer> room = new HashMap<>();
        if (asked.rank() != null) {
            return room;
        }
        List<Object> values = new ArrayList<>(List.of(java.sql.Date.valueOf(from), java.sql.Date.valueOf(to)));
        if (asked.track() != null) {
            values.add(asked.track());
        }
        jdbc.query(
                "select t.technique, t.fault, count(*) from tally t join training_class c on c.id = t.class_id"
                        + " where c.class_date between ? and ?" + (asked.track() == null ? "" : " and c.track = ?")
                        + " group by t.technique, t.fault",
                row -> {
                    room.put(new Key(row.getString(1), row.getString(2)), row.getInt(3));
                },
                values.toArray());
        return room;
    }

    private int marked(Filter asked, LocalDate from, LocalDate to) {
        List<Object> values = new ArrayList<>(List.of(start(from), start(to.plusDays(1))));
        String where = WHERE + also(asked, values);
        return jdbc.queryForObject("select count(distinct m.student)" + FROM + where, Integer.class, values.toArray());
    }

    private static String also(Filter asked, List<Object> values) {
        String also = "";
        if (asked.track() != null) {
            also += " and c.track = ?";
            values.add(asked.track());
        }
        if (asked.ladder() != null && asked.rank() != null) {
            also += " and exists (select 1 from student_ladder l where l.student = m.student and l.ladder = ?"
                    + " and l.rank_id = ?)";
            values.add(asked.ladder());
            values.add(asked.rank());
        }
        return also;
    }

    private OffsetDateTime start(LocalDate day) {
        return day.atStartOfDay(clock.getZone()).toOffsetDateTime();
    }
}
