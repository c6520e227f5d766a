package lynchet.server.mat;

import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.mat.Attendance;
import lynchet.server.keep.RowStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps who was in which class. */
@Service
class AttendanceStore extends RowStore<Attendance, AttendanceRow> {

    AttendanceStore(EntityManager entities) {
        super(entities, Parts.ATTENDANCE, AttendanceRow.class, one -> {
            throw new IllegalStateException("an attendance is kept with the day of its class");
        });
    }

    @Override
    protected List<AttendanceRow> rows(List<Attendance> things) {
        Map<String, LocalDate> days =
                days(things.stream().map(Attendance::classId).distinct().toList());
        return things.stream()
                .map(one -> new AttendanceRow(one, days.get(one.classId())))
                .toList();
    }

    /** The days of classes; the one that somebody checks in to has just been read. */
    private Map<String, LocalDate> days(List<String> classes) {
        if (classes.size() == 1) {
            return Map.of(
                    classes.get(0),
                    entities().find(ClassRow.class, classes.get(0)).getDate());
        }
        Map<String, LocalDate> days = new HashMap<>();
        entities()
                .createQuery("select c.id, c.date from ClassRow c where c.id in :ids", Object[].class)
                .setParameter("ids", classes)
                .getResultList()
                .forEach(row -> days.put((String) row[0], (LocalDate) row[1]));
        return days;
    }

    @Override
    public void change(List<Attendance> things) {
        super.change(things);
        things.stream().map(Attendance::classId).distinct().forEach(this::dayOf);
    }

    /** Follows the day of a class. */
    void dayOf(String classId) {
        entities()
                .createQuery("update AttendanceRow r set r.classDate = (select c.date from ClassRow c where c.id = :id)"
                        + " where r.classId = :id")
                .setParameter("id", classId)
                .executeUpdate();
    }

    @Transactional(readOnly = true)
    public Optional<Attendance> of(String student, String classId) {
        return isThere(student, classId)
                ? core(one(from(), AttendanceRow.class, student, classId)).stream()
                        .findFirst()
                : Optional.empty();
    }

    /** Asks for no more than an index holds: from a large club's figures it may look cheaper to read the whole class. */
    private boolean isThere(String student, String classId) {
        return !one("select r.student from AttendanceRow r ", String.class, student, classId)
                .isEmpty();
    }

    private <X> List<X> one(String select, Class<X> type, String student, String classId) {
        return entities()
                .createQuery(select + "where r.student = :student and r.classId = :class", type)
                .setParameter("student", student)
                .setParameter("class", classId)
                .getResultList();
    }

    /** Those of a class, in the order they came. */
    @Transactional(readOnly = true)
    public List<Attendance> ofClass(String classId) {
        return core(entities()
                .createQuery(from() + "where r.classId = :class order by r.at, r.id", AttendanceRow.class)
                .setParameter("class", classId)
                .getResultList());
    }

    @Override
    @Transactional(readOnly = true)
    public List<Attendance> pointingAt(Target target, Collection<String> ids, int most) {
        if (target != Target.CLASS) {
            return List.of();
        }
        return core(entities()
                .createQuery(from() + "where r.classId in :ids", AttendanceRow.class)
                .setParameter("ids", ids)
                .setMaxResults(most)
                .getResultList());
    }

    @Override
    public Map<Attendance, String> clashing(List<Attendance> things) {
        Map<String, Attendance> wanted = new HashMap<>();
        things.forEach(one -> wanted.put(one.student() + " " + one.classId(), one));
        Map<Attendance, String> clashes = new LinkedHashMap<>();
        if (wanted.isEmpty()) {
            return clashes;
        }
        core(entities()
                        .createQuery(
                                from() + "where r.classId in :classes and r.student in :students", AttendanceRow.class)
                        .setParameter(
                                "classes",
                                things.stream().map(Attendance::classId).toList())
                        .setParameter(
                                "students",
                                things.stream().map(Attendance::student).toList())
                        .getResultList())
                .forEach(kept -> {
                    Attendance incoming = wanted.get(kept.student() + " " + kept.classId());
                    if (incoming != null && !incoming.id().equals(kept.id())) {
                        clashes.put(
                                incoming,
                                kept.student() + " is in class " + kept.classId() + " already, as " + kept.id());
                    }
                });
        return clashes;
    }
}
