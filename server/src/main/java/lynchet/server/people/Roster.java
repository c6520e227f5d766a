package lynchet.server.people;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.sql.Date;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import lynchet.core.people.ClubPace;
import lynchet.core.people.HeldRank;
import lynchet.core.people.LadderCount;
import lynchet.core.people.PassedOver;
import lynchet.core.people.Readiness;
import lynchet.core.people.Recent;
import lynchet.core.people.Soil;
import lynchet.core.people.Student;
import lynchet.core.people.StudentState;
import lynchet.core.rank.Ladder;
import lynchet.server.club.Snapshot;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.Sql;
import lynchet.server.mat.OpenSyllabus;
import lynchet.server.mat.StudentStates;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The people as a table, a page at a time, with how each of them stands. What was worked out for somebody is remembered
 * until something is recorded of them, the club teaches something else or the day is over.
 */
@Service
public class Roster {

    /** Worked out at a time. */
    private static final int BATCH_SIZE = 200;

    private final StudentStore students;
    private final StudentStates states;
    private final OpenSyllabus syllabus;
    private final TeachingSnapshots taught;
    private final JdbcTemplate jdbc;
    private final ClassesMet classesMet;
    private final BesidesReader besides;
    private final SyllabusMoves moves;
    private final Cache<RowKey, Standing> remembered =
            Caffeine.newBuilder().maximumSize(10_000).build();
    private final AtomicLong generation = new AtomicLong();
    private volatile Paced paced;

    Roster(
            StudentStore students,
            StudentStates states,
            OpenSyllabus syllabus,
            SyllabusMoves moves,
            TeachingSnapshots taught,
            JdbcTemplate jdbc) {
        this.students = students;
        this.states = states;
        this.syllabus = syllabus;
        this.moves = moves;
        this.taught = taught;
        this.jdbc = jdbc;
        this.classesMet = new ClassesMet(jdbc);
        this.besides = new BesidesReader(jdbc);
        states.onChange(this::forget);
    }

    private void forget(Set<String> of) {
        generation.incrementAndGet();
        if (of.isEmpty()) {
            remembered.invalidateAll();
            paced = null;
        } else {
            for (Readiness.Eyes eyes : Readiness.Eyes.values()) {
                of.forEach(student -> remembered.invalidate(new RowKey(student, eyes)));
            }
        }
    }

    private record Paced(LocalDate day, ClubPace pace) {}

    private record RowKey(String student, Readiness.Eyes eyes) {}

    private record Basis(long revision, LocalDate day) {}

    /**
     * How somebody stands on a day.
     *
     * @param rusty passed techniques that have faded
     */
    public record Standing(
            Object basis,
            Student student,
            List<HeldRank> held,
            LocalDate lastSeen,
            int rusty,
            List<Readiness> readiness) {}

    /** How many hold a rank, and how many of them have met all that is asked for the next one. */
    record Holding(int people, int ready) {}

    /** How everybody who trains here stands towards the next rank, counted by ladder and rank held. */
    public Map<String, Map<String, Holding>> holding(LocalDate today, Readiness.Eyes eyes) {
        Map<String, Map<String, Holding>> counts = new TreeMap<>();
        eachHeld(today, eyes, (held, isReady) -> counts.computeIfAbsent(held.ladder(), ladder -> new TreeMap<>())
                .merge(
                        held.count().held().rank(),
                        new Holding(1, isReady ? 1 : 0),
                        (so, one) -> new Holding(so.people() + 1, so.ready() + one.ready())));
        return counts;
    }

    /** Ids of those who have met all that is asked for their next rank on some ladder. */
    public Set<String> ready(LocalDate today, Readiness.Eyes eyes) {
        Set<String> ready = new HashSet<>();
        eachHeld(today, eyes, (held, isReady) -> {
            if (isReady) {
                ready.add(held.student());
            }
        });
        return ready;
    }

    private void eachHeld(LocalDate today, Readiness.Eyes eyes, BiConsumer<OpenSyllabus.Standing, Boolean> to) {
        Snapshot now = taught.now();
        List<OpenSyllabus.Standing> all = syllabus.ofAll(now);
        Map<String, Student> close = students.find(all.stream()
                .filter(held -> held.open() == 0)
                .map(OpenSyllabus.Standing::student)
                .distinct()
                .toList());
        Map<String, BesidesReader.OfStudent> known = besides.of(close.keySet());
        Set<String> onIt =
                all.stream().map(held -> held.student() + " " + held.ladder()).collect(Collectors.toSet());
        for (OpenSyllabus.Standing held : all) {
            String next = now.ladder(held.ladder()).nextLadder();
            if (next != null && onIt.contains(held.student() + " " + next)) {
                continue; // they went on there
            }
            Student student = close.get(held.student());
            boolean isReady = student != null
                    && Readiness.isReady(
                            seen(student, eyes),
                            held.count(),
                            held.open(),
                            now.ladder(held.ladder()),
                            today,
                            eyes,
                            known.get(held.student()).on(now.ladder(held.ladder()), held.count(), today));
            to.accept(held, isReady);
        }
    }

    /** How these people stand today, in their order. */
    @Transactional(readOnly = true)
    public List<Standing> of(List<String> ids, LocalDate today, Readiness.Eyes eyes) {
        Snapshot now = taught.now();
        Basis basis = new Basis(now.revision(), today);
        Map<String, Standing> known = new HashMap<>();
        for (String id : ids) {
            Standing one = remembered.getIfPresent(new RowKey(id, eyes));
            if (one != null && one.basis().equals(basis)) {
                known.put(id, one);
            }
        }
        List<String> missing = ids.stream().filter(id -> !known.containsKey(id)).toList();
        long before = generation.get();
        for (int from = 0; from < missing.size(); from += BATCH_SIZE) {
            List<String> some = missing.subList(from, Math.min(missing.size(), from + BATCH_SIZE));
            known.putAll(work(some, now, basis, eyes));
        }
        if (generation.get() == before) {
            missing.forEach(id -> remembered.put(new RowKey(id, eyes), known.get(id)));
            if (generation.get() != before) {
                missing.forEach(id -> remembered.invalidate(new RowKey(id, eyes)));
            }
        }
        return ids.stream().map(known::get).toList();
    }

    private Map<String, Standing> work(List<String> ids, Snapshot now, Basis basis, Readiness.Eyes eyes) {
        Map<String, Student> who = students.find(ids);
        Map<String, StudentState> stand = states.of(ids);
        Map<String, Map<String, Recent>> recent = recent(ids, now, basis.day());
        ClubPace pace = pace(basis.day());
        Map<String, BesidesReader.OfStudent> known = besides.of(ids);
        SyllabusMoves.Of moved = moves.of(ids);
        Map<String, Standing> worked = new HashMap<>();
        for (String id : ids) {
            Student student = seen(who.get(id), eyes);
            StudentState state = stand.get(id);
            worked.put(
                    id,
                    new Standing(
                            basis,
                            student,
                            state.ladders().values().stream()
                                    .map(LadderCount::held)
                                    .sorted(java.util.Comparator.comparing(HeldRank::ladder))
                                    .toList(),
                            state.lastSeen(),
                            Soil.rusty(state, now.map(), basis.day()),
                            readiness(
                                    student,
                                    state,
                                    moved.asked(now.ladders(), student, state),
                                    recent.get(id),
                                    known.get(id),
                                    now,
                                    pace,
                                    basis.day(),
                                    eyes)));
        }
        return worked;
    }

    private static Student seen(Student student, Readiness.Eyes eyes) {
        return eyes == Readiness.Eyes.VIEWER ? student.withoutPrivate() : student;
    }

    private List<Readiness> readiness(
            Student student,
            StudentState state,
            List<Ladder> ladders,
            Map<String, Recent> recent,
            BesidesReader.OfStudent known,
            Snapshot now,
            ClubPace pace,
            LocalDate today,
            Readiness.Eyes eyes) {
        List<Readiness> all = new ArrayList<>();
        for (Ladder ladder : ladders) {
            if (ladder.nextLadder() != null && state.heldOn(ladder.nextLadder()).isPresent()) {
                continue; // they went on there
            }
            Readiness.Question asked = new Readiness.Question(
                    student,
                    state,
                    recent.getOrDefault(ladder.id(), Recent.NONE),
                    ladder,
                    now.map(),
                    now.chainNames(),
                    pace,
                    today,
                    eyes,
                    known.on(ladder, state.ladders().get(ladder.id()), today));
            Readiness.of(asked)
                    .map(one -> one.wantsReason() ? one : withPassedOver(one, asked))
                    .ifPresent(all::add);
        }
        return all;
    }

    /** A viewer is not told: the windows that a hold kept somebody out of do not count, and would tell of it. */
    private Readiness withPassedOver(Readiness one, Readiness.Question asked) {
        return asked.eyes() == Readiness.Eyes.VIEWER
                ? one
                : one.passedOver(PassedOver.windows(asked, classesMet.day(asked)));
    }

    /** Classes of the last weeks that count on each ladder, by student and ladder. */
    private Map<String, Map<String, Recent>> recent(Collection<String> ids, Snapshot now, LocalDate today) {
        Map<String, Map<LocalDate, List<String>>> tracks = new HashMap<>();
        List<Object> values = new ArrayList<>(ids);
        values.add(Date.valueOf(ClubPace.from(today)));
        values.add(Date.valueOf(today));
        jdbc.query(
                "select a.student, a.class_date, c.track from attendance a join training_class c on c.id = a.class_id"
                        + " where a.student in (" + Sql.marks(ids.size())
                        + ") and a.class_date > ? and a.class_date <= ? and c.cancelled = false",
                row -> {
                    tracks.computeIfAbsent(row.getString(1), s -> new HashMap<>())
                            .computeIfAbsent(row.getObject(2, LocalDate.class), d -> new ArrayList<>())
                            .add(row.getString(3));
                },
                values.toArray());
        Map<String, Map<String, Recent>> recent = new HashMap<>();
        for (String id : ids) {
            Map<String, Recent> counts = new HashMap<>();
            for (Ladder ladder : now.ladders()) {
                counts.put(ladder.id(), Recent.of(ladder, tracks.getOrDefault(id, Map.of())));
            }
            recent.put(id, counts);
        }
        return recent;
    }

    /** How often people of the club come; yesterday is the last day that counts, so that it is worked out once a day. */
    @Transactional(readOnly = true)
    public ClubPace pace(LocalDate today) {
        Paced so = paced;
        if (so == null || !so.day().equals(today)) {
            Object[] weeks = {Date.valueOf(ClubPace.from(today)), Date.valueOf(today)};
            List<LocalDate> open = jdbc.query(
                    "select distinct class_date from training_class"
                            + " where class_date > ? and class_date < ? and cancelled = false",
                    (row, n) -> row.getObject(1, LocalDate.class),
                    weeks);
            List<Integer> classes = jdbc.query(
                    "select count(*) from training_class c join attendance a on a.class_id = c.id"
                            + " join student s on s.id = a.student and s.left_on is null and s.is_guest = false"
                            + " where c.class_date > ? and c.class_date < ? and c.cancelled = false group by a.student",
                    (row, n) -> row.getInt(1),
                    weeks);
            so = new Paced(today, ClubPace.of(open, classes));
            paced = so;
        }
        return so.pace();
    }
}
