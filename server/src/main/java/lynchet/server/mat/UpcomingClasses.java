package lynchet.server.mat;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import lynchet.core.mat.TrainingClass;
import lynchet.server.club.TeachingSnapshots;
import org.springframework.stereotype.Service;

/** Classes that take place on some days, those that the weekly times give among them. */
@Service
public class UpcomingClasses {

    private final ClassStore classes;
    private final TeachingSnapshots taught;

    UpcomingClasses(ClassStore classes, TeachingSnapshots taught) {
        this.classes = classes;
        this.taught = taught;
    }

    /** In the order of their days and hours, without those that were called off. */
    public List<TrainingClass> between(LocalDate from, LocalDate to) {
        return ClassStore.together(
                        classes.between(from, to), taught.now().calendar().between(from, to))
                .stream()
                .filter(one -> !one.cancelled())
                .sorted(Comparator.comparing(TrainingClass::date).thenComparing(TrainingClass::start))
                .toList();
    }
}
