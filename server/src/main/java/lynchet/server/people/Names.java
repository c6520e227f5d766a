package lynchet.server.people;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import lynchet.core.people.Restriction;
import lynchet.core.people.Student;
import lynchet.server.keep.Remembered;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Everybody by name, as little of each as finding and checking in need; remembered until somebody changes. */
@Service
public class Names {

    private final StudentStore students;
    private final Remembered<List<Student>> slim = new Remembered<>();

    Names(StudentStore students) {
        this.students = students;
        students.onChange(slim::changed);
    }

    /**
     * Somebody.
     *
     * @param limits what must not be done with them today; nothing for a viewer
     * @param step where they are on a way back: its step in words; nothing for a viewer
     * @param guest where they only visit
     */
    record Name(
            String id,
            String name,
            String calledBy,
            @Nullable String card,
            List<String> tracks,
            Collection<Restriction.Kind> limits,
            @Nullable String step,
            Student.@Nullable Guest guest) {}

    @Transactional(readOnly = true)
    List<Name> all(LocalDate today, boolean open) {
        return slim.get(this::read).stream()
                .map(s -> new Name(
                        s.id(),
                        s.name(),
                        s.calledBy(),
                        s.card(),
                        s.tracks(),
                        open ? List.of() : s.limitsOn(today),
                        open ? null : s.stepOn(today).orElse(null),
                        s.guest()))
                .toList();
    }

    private List<Student> read() {
        List<Student> all = new ArrayList<>();
        students.each(student -> {
            if (student.left() == null) {
                all.add(student);
            }
        });
        all.sort(java.util.Comparator.comparing(Student::name).thenComparing(Student::id));
        return List.copyOf(all);
    }
}
