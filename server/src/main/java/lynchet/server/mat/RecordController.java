package lynchet.server.mat;

import lynchet.core.club.Parts;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.Mark;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.Tally;
import lynchet.server.club.RecordDesk;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Who;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is recorded in a class. Every record is on the disk before it is answered, and sent twice it is kept once. */
@RestController
@OpenTo(Who.COACHES)
@RequestMapping("/api")
class RecordController {

    private final RecordDesk desk;
    private final AttendanceDesk attendance;
    private final PracticeDesk practice;
    private final MarkDesk marks;
    private final ClassDesk classes;

    RecordController(
            RecordDesk desk, AttendanceDesk attendance, PracticeDesk practice, MarkDesk marks, ClassDesk classes) {
        this.desk = desk;
        this.attendance = attendance;
        this.practice = practice;
        this.marks = marks;
        this.classes = classes;
    }

    @PostMapping("/attendance")
    Attendance attend(@RequestBody Attendance sent) {
        return attendance.attend(sent);
    }

    @DeleteMapping("/attendance/{id}")
    ResponseEntity<Void> leave(@PathVariable String id) {
        attendance.leave(id);
        return ResponseEntity.noContent().build();
    }

    @PostMapping("/practice")
    PracticeEntry practise(@RequestBody PracticeEntry sent) {
        return practice.practise(sent);
    }

    @DeleteMapping("/practice/{id}")
    PracticeEntry withdraw(@PathVariable String id) {
        return practice.withdraw(id);
    }

    @PostMapping("/marks")
    Mark mark(@RequestBody Mark sent) {
        return marks.mark(sent);
    }

    /** Counts a fault of the room. */
    @PostMapping("/tallies")
    Tally tally(@RequestBody Tally sent) {
        return desk.take(Parts.TALLIES, sent, tally -> classes.open(tally.classId()), tally -> {});
    }

    @DeleteMapping("/tallies/{id}")
    ResponseEntity<Void> takeBackTally(@PathVariable String id) {
        desk.uncount(Parts.TALLIES, id);
        return ResponseEntity.noContent().build();
    }
}
