package lynchet.server.mat;

import java.util.List;
import java.util.Optional;
import lynchet.core.club.Parts;
import lynchet.core.mat.TrainingClass;
import lynchet.server.club.ReferenceCheck;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.ETags;
import lynchet.server.keep.Journal;
import lynchet.server.keep.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps classes: those that somebody planned, and those that a weekly time gives once something is recorded in them. */
@Service
public class ClassDesk {

    private final ClassStore classes;
    private final StudentStates states;
    private final TeachingSnapshots taught;
    private final ReferenceCheck known;
    private final Journal journal;

    ClassDesk(
            ClassStore classes, StudentStates states, TeachingSnapshots taught, ReferenceCheck known, Journal journal) {
        this.classes = classes;
        this.states = states;
        this.taught = taught;
        this.known = known;
        this.journal = journal;
    }

    /** Adds a class, or changes one that is still as the caller saw it; who was in it is counted again. */
    @Transactional
    public TrainingClass put(TrainingClass changed, String ifMatch) {
        known.check(Parts.CLASSES, changed);
        Optional<TrainingClass> kept = classes.lock(changed.id());
        Optional<TrainingClass> seen = kept.or(() -> taught.now().calendar().find(changed.id()));
        seen.ifPresent(before -> ETags.match(ifMatch, before, changed.id()));
        if (kept.isEmpty()) {
            classes.add(List.of(changed));
            journal.write("add", "class", changed.id(), null, changed);
            return changed;
        }
        TrainingClass before = kept.get();
        if (before.equals(changed)) {
            return changed;
        }
        classes.change(List.of(changed));
        journal.write("change", "class", changed.id(), before, changed);
        if (!before.date().equals(changed.date())
                || !before.track().equals(changed.track())
                || before.cancelled() != changed.cancelled()) {
            states.foldAgain(states.inClass(changed.id()), null);
        }
        return changed;
    }

    /** Refuses a class that points at what is not there. */
    void checked(TrainingClass planned) {
        known.check(Parts.CLASSES, planned);
    }

    /** The class as it is kept, or as the calendar gives it. */
    @Transactional(readOnly = true)
    public TrainingClass trained(String id) {
        return found(id).orElseThrow(() -> Refusal.missing("class", id));
    }

    /** The same, or nothing where there is no such class yet. */
    @Transactional(readOnly = true)
    public Optional<TrainingClass> found(String id) {
        return classes.find(id).or(() -> taught.now().calendar().find(id));
    }

    /** The class, locked in the caller's transaction; one that a slot gives is kept from now on, since something will point at it. */
    public TrainingClass open(String id) {
        return classes.lock(id).orElseGet(() -> {
            TrainingClass given = taught.now()
                    .calendar()
                    .find(id)
                    .orElseThrow(() -> Refusal.bad("RECORD_CLASS", "/classId", "There is no such class."));
            classes.add(List.of(given));
            journal.write("add", "class", id, null, given);
            return given;
        });
    }

    /** Lets nobody else change what is recorded in a class until the transaction ends. */
    void lock(String id) {
        classes.lock(id);
    }
}
