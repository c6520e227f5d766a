package lynchet.server.term;

import java.time.LocalDate;
import java.util.List;
import lynchet.core.mat.TrainingClass;
import lynchet.core.rule.Phrases;
import lynchet.core.term.Closure;
import lynchet.core.term.Term;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.Refusal;
import lynchet.server.mat.ClassStore;
import org.springframework.stereotype.Component;

/** Which days may be closed, by hand or out of a calendar file. */
@Component
class ClosureRules {

    private static final int NAMED = 3;

    private final TeachingSnapshots taught;
    private final ClassStore classes;

    ClosureRules(TeachingSnapshots taught, ClassStore classes) {
        this.taught = taught;
        this.classes = classes;
    }

    /** Whether the days may be closed: nobody trained on them, and nobody is to be examined. */
    void fits(Closure closure) {
        nobodyTrained(closure);
        nobodyIsExamined(closure);
    }

    /** A day on which people trained was not closed. */
    private void nobodyTrained(Closure closure) {
        List<String> held = classes.attendedBetween(closure.from(), closure.until()).stream()
                .filter(closure::closes)
                .map(this::said)
                .toList();
        if (!held.isEmpty()) {
            String some = Phrases.and(held.subList(0, Math.min(NAMED, held.size())));
            String more = held.size() > NAMED ? ", and in " + (held.size() - NAMED) + " more classes" : "";
            throw Refusal.bad("CLOSURE_ATTENDED", "/from", "People trained in " + some + more + " on these days.");
        }
    }

    /** A day on which a term has its grading is not closed to everybody. */
    private void nobodyIsExamined(Closure closure) {
        for (Term term : taught.now().taught().terms()) {
            for (LocalDate day : term.gradingDays()) {
                if (closure.closesAll(day)) {
                    throw Refusal.bad(
                            "CLOSURE_GRADING",
                            "/from",
                            term.name() + " has its grading on " + day + ": move the grading, or leave that day open.");
                }
            }
        }
    }

    private String said(TrainingClass trained) {
        LocalDate day = trained.date();
        return taught.now().taught().tracks().stream()
                        .filter(track -> track.id().equals(trained.track()))
                        .map(track -> track.name())
                        .findFirst()
                        .orElse(trained.track())
                + " on " + day;
    }
}
