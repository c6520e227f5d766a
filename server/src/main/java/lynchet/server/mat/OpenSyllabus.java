package lynchet.server.mat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.locks.ReentrantLock;
import java.util.stream.Collectors;
import lynchet.core.map.GrapplingMap;
import lynchet.core.people.HeldRank;
import lynchet.core.people.LadderCount;
import lynchet.core.people.Progress;
import lynchet.core.people.StudentState;
import lynchet.core.people.SyllabusMove;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.format.Json;
import lynchet.server.club.Snapshot;
import lynchet.server.keep.Sha256;
import lynchet.server.keep.Sql;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * How much of the syllabus of the rank that somebody holds is open, kept beside the states so that everybody can be
 * counted at once. A row is old when the state has changed or the rank asks for something else; then it is worked out
 * again by the person who asks first.
 */
@Service
public class OpenSyllabus {

    private static final int PAGE = 50;

    private static final String INSERT =
            "insert into student_syllabus (student, ladder, open_conditions, version, stamp)"
                    + " select student, ?, ?, version, ? from student_state where student = ?";

    private final StateTables tables;
    private final JdbcTemplate jdbc;

    private final TransactionTemplate transaction;
    private final ReentrantLock oneAtATime = new ReentrantLock();

    OpenSyllabus(StateTables tables, JdbcTemplate jdbc, TransactionTemplate transaction) {
        this.tables = tables;
        this.jdbc = jdbc;
        this.transaction = transaction;
    }

    /**
     * Where somebody stands on a ladder.
     *
     * @param open see {@link Progress#open}
     */
    public record Standing(String student, String ladder, LadderCount count, int open) {}

    /** @param asked which of {@link Ranks} it is */
    private record Old(String student, String ladder, LadderCount count, String asked, long version) {}

    /** All who train here, on every ladder on which they hold a rank that there is. */
    public List<Standing> ofAll(Snapshot now) {
        oneAtATime.lock(); // before a connection is in hand: of eight of them none waits for another
        try {
            return transaction.execute(status -> read(now));
        } finally {
            oneAtATime.unlock();
        }
    }

    private List<Standing> read(Snapshot now) {
        Ranks ranks = new Ranks(now.ladders(), now.map());
        List<Standing> held = new ArrayList<>();
        List<Old> old = new ArrayList<>();
        jdbc.query(
                "select l." + StateTables.LADDER_COLUMNS.replace(", ", ", l.")
                        + ", st.version, y.version, y.stamp, y.open_conditions, s.joined, m.to_day from student s"
                        + " join student_ladder l on l.student = s.id join student_state st on st.student = s.id"
                        + " left join syllabus_move m on m.student = l.student and m.ladder = l.ladder"
                        + " and m.held_rank = l.rank_id"
                        + " left join student_syllabus y on y.student = l.student and y.ladder = l.ladder"
                        + " where s.left_on is null",
                row -> {
                    LadderCount count = StateTables.ladder(row);
                    String asked = ranks.of(
                            count.held(), row.getObject(13, LocalDate.class), row.getObject(14, LocalDate.class));
                    if (asked == null) {
                        return;
                    }
                    String stamp = ranks.stamp(asked);
                    if (stamp.equals(row.getString(11)) && row.getLong(9) == row.getLong(10)) {
                        held.add(new Standing(row.getString(1), row.getString(2), count, row.getInt(12)));
                    } else {
                        old.add(new Old(row.getString(1), row.getString(2), count, asked, row.getLong(9)));
                    }
                });
        held.addAll(again(old, ranks));
        return held;
    }

    /** Those of one rank together, since they are asked the same. */
    private List<Standing> again(List<Old> old, Ranks ranks) {
        List<Standing> held = new ArrayList<>();
        old.sort(Comparator.comparing(Old::asked));
        for (int from = 0; from < old.size(); from += PAGE) {
            List<Old> some = old.subList(from, Math.min(old.size(), from + PAGE));
            Set<String> students = some.stream().map(Old::student).collect(Collectors.toSet());
            Map<String, StudentState> states = tables.load(students, ranks.subjects(some));
            List<Object[]> rows = new ArrayList<>();
            for (Old one : some) {
                int open = ranks.open(one.asked(), states.get(one.student()));
                held.add(new Standing(one.student(), one.ladder(), one.count(), open));
                rows.add(new Object[] {one.ladder(), open, ranks.stamp(one.asked()), one.student(), one.version()});
            }
            jdbc.batchUpdate(
                    "delete from student_syllabus where student = ? and ladder = ?",
                    some.stream()
                            .map(one -> new Object[] {one.student(), one.ladder()})
                            .toList());
            jdbc.batchUpdate(INSERT + " and version = ?", rows);
        }
        return held;
    }

    /** Begins with states that have just been folded from nothing, in the caller's transaction. */
    void begin(Map<String, StudentState> states, Ranks ranks) {
        List<Object[]> rows = new ArrayList<>();
        if (states.isEmpty()) {
            return;
        }
        jdbc.query(
                "select s.id, s.joined, l.ladder, m.to_day from student s join student_ladder l on l.student = s.id"
                        + " left join syllabus_move m on m.student = l.student and m.ladder = l.ladder"
                        + " and m.held_rank = l.rank_id where s.id in (" + Sql.marks(states.size()) + ")",
                row -> {
                    StudentState state = states.get(row.getString(1));
                    String ladder = row.getString(3);
                    String asked = ranks.of(
                            state.heldOn(ladder).orElseThrow(),
                            row.getObject(2, LocalDate.class),
                            row.getObject(4, LocalDate.class));
                    if (asked != null) {
                        rows.add(new Object[] {ladder, ranks.open(asked, state), ranks.stamp(asked), row.getString(1)});
                    }
                },
                states.keySet().toArray());
        jdbc.batchUpdate(INSERT, rows);
    }

    /** What the ranks of all ladders ask for, and asked in earlier syllabuses. */
    static final class Ranks {

        private record RankSyllabus(Rank rank, Set<String> subjects, String stamp) {}

        private final GrapplingMap map;
        private final Map<String, Ladder> ladders = new HashMap<>();
        private final Map<String, RankSyllabus> asked = new HashMap<>();

        Ranks(Collection<Ladder> all, GrapplingMap map) {
            this.map = map;
            all.forEach(ladder -> ladders.put(ladder.id(), ladder));
        }

        /**
         * Which rank of which version is asked of somebody.
         *
         * @param moved the day they were moved to while they hold this rank; null: they were not
         * @return null: there is no such rank
         */
        private @Nullable String of(HeldRank held, LocalDate joined, @Nullable LocalDate moved) {
            Ladder ladder = ladders.get(held.ladder());
            if (ladder == null || ladder.indexOf(held.rank()) < 0) {
                return null;
            }
            int version = ladder.versionOn(SyllabusMove.day(held, joined, moved));
            String key = ladder.id() + "/" + held.rank() + "/" + version;
            asked.computeIfAbsent(
                    key, k -> asked(ladder.version(version).rank(held.rank()).orElseThrow()));
            return key;
        }

        private RankSyllabus asked(Rank rank) {
            Set<String> subjects = new HashSet<>();
            List<Object> facts = new ArrayList<>(List.of(rank));
            rank.items().forEach(item -> {
                Set<String> its = Progress.subjects(item, map);
                subjects.addAll(its);
                its.stream().sorted().forEach(subject -> {
                    facts.add(subject);
                    map.technique(subject).ifPresent(card -> facts.add(List.of(card.sided(), card.family())));
                });
            });
            return new RankSyllabus(rank, subjects, digest(Json.write(facts)));
        }

        private static String digest(String text) {
            return HexFormat.of().formatHex(Sha256.of(text));
        }

        /** Changes whenever the rank asks for something else. */
        private String stamp(String key) {
            return asked.get(key).stamp();
        }

        private Set<String> subjects(List<Old> some) {
            Set<String> subjects = new HashSet<>();
            some.forEach(one -> subjects.addAll(asked.get(one.asked()).subjects()));
            return subjects;
        }

        private int open(String key, StudentState state) {
            return new Progress(state, map).open(asked.get(key).rank());
        }
    }
}
