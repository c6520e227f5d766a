package lynchet.server.people;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.people.Student;
import lynchet.format.csv.Roll;
import lynchet.server.keep.BodyRecords;
import lynchet.server.mat.StateTables;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps who trains here. */
@Service
class StudentStore extends BodyRecords<Student, StudentRow> {

    private final StateTables states;
    private final JdbcTemplate jdbc;
    private final List<Runnable> listeners = new CopyOnWriteArrayList<>();

    StudentStore(EntityManager entities, JdbcTemplate jdbc, StateTables states) {
        super(entities, jdbc, Parts.PEOPLE, StudentRow.class, StudentRow::new, Target.STUDENT);
        this.states = states;
        this.jdbc = jdbc;
    }

    @Override
    public void add(List<Student> things) {
        super.add(things);
        states.begin(things.stream().map(Student::id).toList());
        reach(things);
        listeners.forEach(Runnable::run);
    }

    @Override
    public void change(List<Student> things) {
        super.change(things);
        unreach(things.stream().map(Student::id).toList());
        reach(things);
        listeners.forEach(Runnable::run);
    }

    /** Tells everything that remembers something of everybody that somebody is different. */
    void onChange(Runnable listener) {
        listeners.add(listener);
    }

    @Override
    public void remove(Collection<String> ids) {
        states.forget(ids);
        unreach(List.copyOf(ids));
        super.remove(ids);
        listeners.forEach(Runnable::run);
    }

    /** Keeps by what each is reached, so that families are found. */
    private void reach(List<Student> things) {
        List<Object[]> rows = new ArrayList<>();
        for (Student student : things) {
            if (student.contacts() != null) {
                student.contacts().reachedBy().forEach(by -> rows.add(new Object[] {student.id(), by}));
            }
        }
        if (!rows.isEmpty()) {
            entities().flush();
            jdbc.batchUpdate("insert into student_reach (student, reached_by) values (?, ?)", rows);
        }
    }

    private void unreach(List<String> ids) {
        jdbc.batchUpdate(
                "delete from student_reach where student = ?",
                ids.stream().map(id -> new Object[] {id}).toList());
    }

    /** Ids of others who are reached by the same address or number, those who left among them. */
    public List<String> familyOf(String student) {
        return jdbc.queryForList(
                "select distinct b.student from student_reach a join student_reach b on b.reached_by = a.reached_by"
                        + " where a.student = ? and b.student <> ? order by b.student",
                String.class,
                student,
                student);
    }

    @Override
    public boolean has(Target target, String id) {
        return target == Target.STUDENT && entities().find(StudentRow.class, id) != null;
    }

    /** Those who train on a track and have not left, in order of id, at most so many. */
    List<Student> trainingOn(String track, int most) {
        List<String> ids = jdbc.queryForList(
                "select p.thing from points_at p join student s on s.id = p.thing"
                        + " where p.part = ? and p.target = ? and p.pointed = ? and s.left_on is null"
                        + " order by p.thing fetch first " + most + " rows only",
                String.class,
                Parts.PEOPLE.name(),
                Target.TRACK.name(),
                track);
        Map<String, Student> found = find(ids);
        return ids.stream().map(found::get).toList();
    }

    @Transactional(readOnly = true)
    List<Student> wearing(String ladder, String rank) {
        List<String> ids = jdbc.queryForList(
                "select l.student from student_ladder l join student s on s.id = l.student"
                        + " where l.ladder = ? and l.rank_id = ? and s.left_on is null order by l.student",
                String.class,
                ladder,
                rank);
        Map<String, Student> found = find(ids);
        return ids.stream().map(found::get).toList();
    }

    @Transactional(readOnly = true)
    public Optional<Student> byCard(String card) {
        return core(entities()
                        .createQuery(from() + "where r.card = :card", StudentRow.class)
                        .setParameter("card", card)
                        .getResultList())
                .stream()
                .findFirst();
    }

    @Transactional(readOnly = true)
    public List<Student> named(String name) {
        return core(entities()
                .createQuery(from() + "where r.foldedName = :name order by r.id", StudentRow.class)
                .setParameter("name", Roll.fold(name))
                .getResultList());
    }

    @Override
    public Map<Student, String> clashing(List<Student> things) {
        Map<String, Student> wanted = new HashMap<>();
        things.stream().filter(one -> one.card() != null).forEach(one -> wanted.put(one.card(), one));
        Map<Student, String> clashes = new LinkedHashMap<>();
        if (!wanted.isEmpty()) {
            core(entities()
                            .createQuery(from() + "where r.card in :cards", StudentRow.class)
                            .setParameter("cards", wanted.keySet())
                            .getResultList())
                    .forEach(kept -> {
                        Student incoming = wanted.get(kept.card());
                        if (!incoming.id().equals(kept.id())) {
                            clashes.put(incoming, "the card " + kept.card() + " belongs to two people");
                        }
                    });
        }
        return clashes;
    }
}
