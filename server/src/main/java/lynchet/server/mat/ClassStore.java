package lynchet.server.mat;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.mat.TrainingClass;
import lynchet.server.keep.BodyRecords;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps dated classes with their blocks. */
@Service
public class ClassStore extends BodyRecords<TrainingClass, ClassRow> {

    private static final Comparator<TrainingClass> IN_TIME = Comparator.comparing(TrainingClass::date)
            .thenComparing(TrainingClass::start)
            .thenComparing(TrainingClass::id);

    private final AttendanceStore attendance;

    ClassStore(EntityManager entities, JdbcTemplate jdbc, AttendanceStore attendance) {
        super(entities, jdbc, Parts.CLASSES, ClassRow.class, ClassRow::new, Target.CLASS);
        this.attendance = attendance;
    }

    @Override
    public void change(List<TrainingClass> things) {
        super.change(things);
        things.forEach(trained -> attendance.dayOf(trained.id()));
    }

    /** Those that are kept from a day to a day, in order of time. */
    @Transactional(readOnly = true)
    public List<TrainingClass> between(LocalDate from, LocalDate to) {
        return core(entities()
                        .createQuery(from() + "where r.date between :from and :to", ClassRow.class)
                        .setParameter("from", from)
                        .setParameter("to", to)
                        .getResultList())
                .stream()
                .sorted(IN_TIME)
                .toList();
    }

    /** Those from a day to a day in which somebody was, in order of time. */
    @Transactional(readOnly = true)
    public List<TrainingClass> attendedBetween(LocalDate from, LocalDate to) {
        return core(entities()
                        .createQuery(
                                from() + "where r.date between :from and :to and r.cancelled = false and exists"
                                        + " (select 1 from AttendanceRow a where a.classId = r.id)",
                                ClassRow.class)
                        .setParameter("from", from)
                        .setParameter("to", to)
                        .getResultList())
                .stream()
                .sorted(IN_TIME)
                .toList();
    }

    /** Kept classes and those that the calendar gives besides, in order of time. */
    public static List<TrainingClass> together(List<TrainingClass> kept, List<TrainingClass> given) {
        Set<String> ids = new HashSet<>();
        kept.forEach(trained -> ids.add(trained.id()));
        List<TrainingClass> all = new ArrayList<>(kept);
        given.stream().filter(trained -> !ids.contains(trained.id())).forEach(all::add);
        all.sort(IN_TIME);
        return all;
    }

    /** The class, which nobody else changes or records something in until the transaction ends. */
    Optional<TrainingClass> lock(String id) {
        return Optional.ofNullable(entities().find(ClassRow.class, id, LockModeType.PESSIMISTIC_WRITE))
                .map(ClassRow::toCore);
    }

    @Override
    public boolean has(Target target, String id) {
        return target == Target.CLASS && entities().find(ClassRow.class, id) != null;
    }
}
