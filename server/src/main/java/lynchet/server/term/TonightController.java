package lynchet.server.term;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import lynchet.core.card.Technique;
import lynchet.core.club.Parts;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.Student;
import lynchet.core.people.StudentState;
import lynchet.core.term.TermPlan;
import lynchet.core.term.TermQuestion;
import lynchet.core.term.tonight.Here;
import lynchet.core.term.tonight.Room;
import lynchet.core.term.tonight.Tonight;
import lynchet.server.club.Snapshot;
import lynchet.server.club.Stores;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Who;
import lynchet.server.mat.AttendanceDesk;
import lynchet.server.mat.ClassDesk;
import lynchet.server.mat.StudentStates;
import lynchet.server.people.SyllabusMoves;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Proposes an evening from who is here. */
@RestController
@OpenTo(Who.COACHES)
@RequestMapping("/api/classes")
class TonightController {

    private static final int FRESH = 2;

    private final ClassDesk classes;
    private final AttendanceDesk attendance;
    private final Stores stores;
    private final StudentStates states;
    private final SyllabusMoves moves;
    private final TeachingSnapshots taught;

    TonightController(
            ClassDesk classes,
            AttendanceDesk attendance,
            Stores stores,
            StudentStates states,
            SyllabusMoves moves,
            TeachingSnapshots taught) {
        this.classes = classes;
        this.attendance = attendance;
        this.stores = stores;
        this.states = states;
        this.moves = moves;
        this.taught = taught;
    }

    /**
     * An evening as it could be.
     *
     * @param here how many are here
     * @param ranked how many of them stand on a ladder that counts for the class, or may begin on one
     * @param minutes of technique that the class bears
     */
    record Evening(int here, int ranked, int minutes, Tonight tonight) {}

    @GetMapping("/{id}/tonight")
    @Transactional(readOnly = true)
    Evening tonight(@PathVariable String id) {
        TrainingClass training = classes.trained(id);
        Snapshot now = taught.now();
        Map<String, Student> present = stores.of(Parts.PEOPLE).find(attendance.presentIn(id));
        Map<String, StudentState> stand = states.of(List.copyOf(present.keySet()));
        Set<String> falls = now.map().techniques().stream()
                .map(Technique::receiverFalls)
                .flatMap(List::stream)
                .collect(Collectors.toSet());
        SyllabusMoves.Of moved = moves.of(present.keySet());
        List<Here> here = present.values().stream()
                .map(student -> {
                    StudentState state = stand.getOrDefault(student.id(), StudentState.empty());
                    return Here.of(
                            student,
                            state,
                            moved.asked(now.ladders(), student, state),
                            training.track(),
                            training.date(),
                            falls,
                            now.numbers());
                })
                .toList();
        TermPlan plan = now.taught().all(Parts.PLANS).stream()
                .filter(one ->
                        one.track().equals(training.track()) && one.term().equals(training.term()))
                .findFirst()
                .orElse(null);
        int minutes = plan == null ? training.minutes() / 2 : TermQuestion.minutes(plan, training);
        Room room = new Room(
                training,
                here,
                minutes,
                plan == null ? FRESH : plan.fresh(),
                plan == null ? now.cycled().themeOf(training) : plan.goals(),
                now.numbers());
        int ranked = (int)
                here.stream().filter(one -> !one.asked().lines().isEmpty()).count();
        return new Evening(here.size(), ranked, minutes, Tonight.of(room, now.teaching()));
    }
}
