package lynchet.server.mat;

import java.util.List;
import java.util.Map;
import lynchet.core.card.Technique;
import lynchet.core.club.Parts;
import lynchet.core.mat.Credit;
import lynchet.core.mat.Mark;
import lynchet.core.people.StudentEvent;
import lynchet.server.club.RecordDesk;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.PersonOf;
import lynchet.server.keep.Refusal;
import org.springframework.stereotype.Service;

/** What coaches judge: marks, and practice from elsewhere that they let count. Nobody judges themselves. */
@Service
class MarkDesk {

    private final RecordDesk desk;
    private final MarkStore marks;
    private final CreditStore credits;
    private final ClassDesk classes;
    private final StudentStates states;
    private final TeachingSnapshots taught;
    private final PersonOf persons;

    MarkDesk(
            RecordDesk desk,
            MarkStore marks,
            CreditStore credits,
            ClassDesk classes,
            StudentStates states,
            TeachingSnapshots taught,
            PersonOf persons) {
        this.desk = desk;
        this.marks = marks;
        this.credits = credits;
        this.classes = classes;
        this.states = states;
        this.taught = taught;
        this.persons = persons;
    }

    /** Keeps a judgement; one that takes another back has that student's subject folded again. */
    Mark mark(Mark sent) {
        return desk.take(Parts.MARKS, sent, this::mayBeMarked, this::marked);
    }

    private void mayBeMarked(Mark mark) {
        persons.judges(mark.student());
        if (mark.classId() != null) {
            classes.open(mark.classId());
        }
        if (mark.withdraws() == null) {
            notRetired(mark.subject());
        }
    }

    private void marked(Mark mark) {
        if (mark.withdraws() != null) {
            String subject = marks.find(mark.withdraws()).orElseThrow().subject();
            states.foldAgain(List.of(mark.student()), List.of(subject));
            return;
        }
        StudentEvent event = new StudentEvent.Marked(
                mark,
                mark.classId() == null ? null : classes.trained(mark.classId()).date());
        states.fold(Map.of(mark.student(), List.of(event)));
    }

    /** What is retired stays in history and is judged no more. */
    private void notRetired(String subject) {
        taught.now().map().technique(subject).filter(Technique::retired).ifPresent(gone -> {
            throw Refusal.bad(
                    "RETIRED", "/subject", gone.name() + " is retired. Nothing was recorded; choose another.");
        });
    }

    /** Lets practice from elsewhere count: once for each student and subject. */
    Credit credit(Credit sent) {
        return desk.take(Parts.CREDITS, sent, this::mayBeCredited, this::foldAgain);
    }

    private void mayBeCredited(Credit credit) {
        persons.judges(credit.student());
        notRetired(credit.subject());
        states.lock(credit.student());
        if (credits.of(credit.student()).stream()
                .anyMatch(kept -> kept.subject().equals(credit.subject()))) {
            throw Refusal.bad(
                    "CREDITED_ALREADY",
                    "/subject",
                    "That is credited once already. Take that back before it is said in another way.");
        }
    }

    /** Takes a credit back. */
    Credit takeBackCredit(String id) {
        return desk.takeBack(Parts.CREDITS, id, credit -> {
            states.lock(credit.student());
            foldAgain(credit);
        });
    }

    private void foldAgain(Credit credit) {
        states.foldAgain(List.of(credit.student()), List.of(credit.subject()));
    }
}
