package lynchet.server.mat;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import lynchet.core.club.Club;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.MapData;
import lynchet.core.mat.Role;
import lynchet.core.people.Memory;
import lynchet.core.people.Skill;
import lynchet.core.people.StudentEvent;
import lynchet.core.people.StudentRecord;
import lynchet.core.people.StudentState;
import lynchet.core.rank.Ladder;
import lynchet.server.club.AfterRecords;
import lynchet.server.club.Stores;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.Progress;
import lynchet.server.keep.Reopened;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Keeps the state of every student in step with the records, in the transaction that writes them. What happens on the
 * latest day or after it is folded on; what is late, withdrawn or corrected has the student's technique folded again.
 */
@Service
public class StudentStates implements AfterRecords {

    private static final int PAGE = 50;

    private final StateTables tables;
    private final OpenSyllabus syllabus;
    private final RecordReader reader;
    private final TeachingSnapshots taught;
    private final Stores stores;
    private final JdbcTemplate jdbc;
    private final List<Consumer<Set<String>>> listeners = new CopyOnWriteArrayList<>();

    StudentStates(
            StateTables tables,
            OpenSyllabus syllabus,
            RecordReader reader,
            TeachingSnapshots taught,
            Stores stores,
            JdbcTemplate jdbc) {
        this.tables = tables;
        this.syllabus = syllabus;
        this.reader = reader;
        this.taught = taught;
        this.stores = stores;
        this.jdbc = jdbc;
    }

    /** The states of these students, by id; a student of whom nothing is recorded has an empty one. */
    @Transactional(readOnly = true)
    public Map<String, StudentState> of(Collection<String> students) {
        return tables.load(students, null);
    }

    /**
     * The same, with what they have of some things only: a track's states whole are many and long.
     *
     * @param subjects ids of techniques and chains
     */
    @Transactional(readOnly = true)
    public Map<String, StudentState> of(Collection<String> students, Collection<String> subjects) {
        return tables.load(students, Set.copyOf(subjects));
    }

    /** How one student stood at the end of a day, from what is known of it today. */
    @Transactional(readOnly = true)
    public StudentState asOf(String student, LocalDate day, ZoneId zone) {
        return recordOf(student)
                .until(day, zone)
                .state(taught.now().ladders(), taught.now().map());
    }

    /** All that was recorded of one student. */
    @Transactional(readOnly = true)
    public StudentRecord recordOf(String student) {
        return reader.read(List.of(student), RecordReader.What.ALL, null).get(student);
    }

    /** Practice of one thing, day by day and side by side. */
    @Transactional(readOnly = true)
    public List<Memory> memory(String student, String subject) {
        return reader.read(List.of(student), RecordReader.What.ALL, List.of(subject))
                .get(student)
                .memory(subject, taught.now().map());
    }

    /** Repetitions of one thing that a student took as the receiver. */
    @Transactional(readOnly = true)
    public int received(String student, String subject) {
        return reader.read(List.of(student), RecordReader.What.ALL, List.of(subject)).get(student).practice().stream()
                .filter(entry -> entry.role() == Role.RECEIVER)
                .mapToInt(entry -> entry.reps() * entry.side().each().size())
                .sum();
    }

    /** Folds what has just been recorded, in the caller's transaction. */
    public void fold(Map<String, List<StudentEvent>> events) {
        if (events.isEmpty()) {
            return;
        }
        changed(events.keySet());
        Map<String, LocalDate> seen = tables.lock(events.keySet());
        Set<String> subjects = new HashSet<>();
        events.values().forEach(all -> all.forEach(event -> subject(event, subjects)));
        Map<String, StudentState> was = tables.load(events.keySet(), subjects, seen);
        Map<String, StudentState> is = new HashMap<>();
        Set<String> late = new HashSet<>();
        events.forEach((student, all) -> {
            StudentState state = was.get(student);
            for (StudentEvent event : all) {
                if (state != null && state.takes(event)) {
                    state = state.after(event);
                } else {
                    state = null;
                }
            }
            if (state == null) {
                late.add(student);
            } else {
                is.put(student, state);
            }
        });
        tables.save(was, is);
        foldAgain(late, subjects);
    }

    private static void subject(StudentEvent event, Set<String> subjects) {
        if (event instanceof StudentEvent.Practised did) {
            subjects.add(did.subject());
        } else if (event instanceof StudentEvent.Marked judged) {
            subjects.add(judged.mark().subject());
        }
    }

    /** Nobody else writes about this student until the caller's transaction ends. */
    void lock(String student) {
        tables.lock(List.of(student));
    }

    /**
     * Folds everything about some subjects again, and the classes, in the caller's transaction.
     *
     * @param subjects null: every subject
     */
    public void foldAgain(Collection<String> students, Collection<String> subjects) {
        if (students.isEmpty()) {
            return;
        }
        changed(Set.copyOf(students));
        List<Ladder> ladders = taught.now().ladders();
        foldAgain(students, subjects, ladders, taught.now().map());
    }

    private void foldAgain(
            Collection<String> students, Collection<String> subjects, List<Ladder> ladders, GrapplingMap map) {
        Map<String, LocalDate> seen = tables.lock(students);
        List<String> all = List.copyOf(students);
        for (int from = 0; from < all.size(); from += PAGE) {
            List<String> some = all.subList(from, Math.min(all.size(), from + PAGE));
            Map<String, StudentState> was = tables.load(some, subjects, seen);
            tables.save(was, folded(some, subjects, ladders, map));
        }
    }

    private Map<String, StudentState> folded(
            List<String> students, Collection<String> subjects, List<Ladder> ladders, GrapplingMap map) {
        Map<String, StudentState> is = new HashMap<>();
        reader.read(students, RecordReader.What.ALL, subjects).forEach((student, record) -> {
            StudentState state = record.state(ladders, map);
            is.put(student, subjects == null ? state : only(state, subjects));
        });
        return is;
    }

    /** Rounds are read whole, so what they say of other subjects is left out again. */
    private static StudentState only(StudentState state, Collection<String> subjects) {
        Map<StudentState.SkillKey, Skill> skills = new HashMap<>(state.skills());
        skills.keySet().removeIf(key -> !subjects.contains(key.subject()));
        return new StudentState(state.lastSeen(), state.ladders(), skills, state.marks(), state.brought());
    }

    /** Counts classes again after a belt was given or taken, in the caller's transaction. */
    public void recount(Collection<String> students) {
        foldAgain(students, List.of());
    }

    /**
     * It is known from now on, or not any more, that these students brought some things: what they have practised of them
     * since is folded again, in the caller's transaction.
     */
    public void brought(Collection<String> students, Collection<String> subjects) {
        List<String> all = List.copyOf(students);
        for (int from = 0; from < all.size(); from += PAGE) {
            List<String> some = all.subList(from, Math.min(all.size(), from + PAGE));
            tables.lock(some);
            List<String> practised = tables.practised(some);
            foldAgain(practised, subjects);
            tables.touch(some.stream().filter(one -> !practised.contains(one)).toList());
        }
        changed(Set.copyOf(students));
    }

    @Override
    public void allNew(Progress progress) {
        changed(Set.of());
        tables.clear();
        List<String> students = jdbc.queryForList("select id from student order by id", String.class);
        List<Ladder> ladders = all(Parts.LADDERS);
        GrapplingMap map = GrapplingMap.of(new MapData(
                all(Parts.PAIRS), all(Parts.TECHNIQUES), all(Parts.LINKS), all(Parts.REACTIONS), all(Parts.RULESETS)));
        OpenSyllabus.Ranks ranks = new OpenSyllabus.Ranks(ladders, map);
        for (int from = 0; from < students.size(); from += PAGE) {
            progress.at("students", from, students.size());
            List<String> some = students.subList(from, Math.min(students.size(), from + PAGE));
            Map<String, StudentState> states = folded(some, null, ladders, map);
            tables.save(Map.of(), states);
            syllabus.begin(states, ranks);
        }
    }

    /** Folds everything of everybody, for a club that was kept before there were states. */
    @Transactional
    public void buildOnce() {
        allNew(Progress.UNWATCHED);
    }

    private <T> List<T> all(Part<T> part) {
        return stores.of(part).all();
    }

    @Override
    public void changed(Club before, Club after) {
        AffectedStudents affected = AffectedStudents.by(before, after, this::inClass, this::whoDid);
        if (affected.everybody()) {
            List<String> students = jdbc.queryForList("select id from student order by id", String.class);
            changed(Set.of());
            foldAgain(
                    students,
                    affected.students().isEmpty() ? List.of() : affected.subjects(),
                    after.ladders(),
                    GrapplingMap.of(after.map()));
        } else if (!affected.students().isEmpty()) {
            changed(affected.students());
            foldAgain(affected.students(), affected.subjects(), after.ladders(), GrapplingMap.of(after.map()));
        }
    }

    /** Those who were in a class, and those who were marked or had a round in it. */
    List<String> inClass(String classId) {
        return jdbc.queryForList(
                "select student from attendance where class_id = ? union select student from mark where class_id = ?"
                        + " union select first_student from round where class_id = ?"
                        + " union select second_student from round where class_id = ? and second_student is not null",
                String.class,
                classId,
                classId,
                classId,
                classId);
    }

    /** Those who did this link in a round: what worked counts for the technique that it is done with. */
    private List<String> whoDid(String link) {
        return jdbc
                .queryForList(
                        "select case e.who when 'FIRST' then r.first_student else r.second_student end as who"
                                + " from round_event e join round r on r.id = e.round where e.link = ? union select case r.winner"
                                + " when 'FIRST' then r.first_student else r.second_student end as who from round r where r.end_link = ?",
                        String.class,
                        link,
                        link)
                .stream()
                .filter(java.util.Objects::nonNull)
                .toList();
    }

    /**
     * Whether somebody can have been in a class of a day: they had joined, or they were a guest. Anybody who came before joining
     * was one.
     */
    public boolean canHaveBeen(String student, LocalDate day) {
        return jdbc.queryForObject(
                        "select count(*) from student s where s.id = ? and s.is_guest = false and s.joined > ?"
                                + " and not exists (select 1 from attendance a where a.student = s.id and a.class_date < s.joined)",
                        Integer.class,
                        student,
                        java.sql.Date.valueOf(day))
                == 0;
    }

    /** Tells everything that remembers something of these students to forget it; nobody in particular: of all. */
    public void onChange(Consumer<Set<String>> listener) {
        listeners.add(listener);
    }

    @EventListener(Reopened.class)
    void readAgain() {
        listeners.forEach(listener -> listener.accept(Set.of()));
    }

    /** Says it at once and again after the transaction, so that what others read meanwhile is not kept. */
    public void changed(Set<String> students) {
        listeners.forEach(listener -> listener.accept(students));
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCompletion(int status) {
                    listeners.forEach(listener -> listener.accept(students));
                }
            });
        }
    }
}
