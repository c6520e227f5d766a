package lynchet.core.club;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import lynchet.core.mat.Attendance;
import lynchet.core.people.StudentRecord;
import lynchet.core.round.Round;
import org.junit.jupiter.api.Test;

class ClubRecordsTest {

    private final TinyClub tiny = new TinyClub();

    /** Ana was there and drilled; bo only fought her. What was drilled in a class one was not in is not one's own. */
    @Test
    void everybodyHasTheirOwn() {
        tiny.classes.add(TinyClub.trained("c2", "all", "hip-bump"));
        tiny.attendance.add(new Attendance("a2", "bo", "c2", null, TinyClub.AT, "coach"));
        tiny.practice.add(TinyClub.practice("p2", "c2", null, "hip-bump"));
        tiny.practice.add(TinyClub.practice("p3", "c2", "ana", "hip-bump"));
        List<StudentRecord> records = ClubRecords.of(tiny.club());
        assertThat(records).extracting(StudentRecord::student).containsExactly("ana", "bo");
        StudentRecord ana = records.get(0);
        StudentRecord bo = records.get(1);
        assertThat(ana.promotions()).isEqualTo(tiny.promotions);
        assertThat(ana.attended()).containsExactly(tiny.classes.get(0));
        assertThat(ana.practice()).containsExactly(tiny.practice.get(0));
        assertThat(ana.marks()).isEqualTo(tiny.marks);
        assertThat(ana.rounds()).isEqualTo(tiny.rounds);
        assertThat(ana.roundDays()).isEqualTo(Map.of("r1", TinyClub.DAY));
        assertThat(ana.markedIn()).containsKeys("c1", "c2");
        assertThat(bo.attended()).containsExactly(tiny.classes.get(1));
        assertThat(bo.practice()).as("everybody's of that class, not ana's").containsExactly(tiny.practice.get(1));
        assertThat(bo.marks()).isEmpty();
        assertThat(bo.promotions()).isEmpty();
        assertThat(bo.rounds()).isEqualTo(tiny.rounds);
    }

    @Test
    void aRoundIsOfTheDayOfItsClassElseOfItsOwn() {
        LocalDate moved = TinyClub.DAY.plusDays(5);
        Round inClass = TinyClub.round("r", "bo", "c1", null, "sweep", null);
        assertThat(ClubRecords.day(inClass, Map.of("c1", moved))).isEqualTo(moved);
        assertThat(ClubRecords.day(inClass, Map.of())).isEqualTo(TinyClub.DAY);
        assertThat(ClubRecords.day(TinyClub.round("r", "bo", null, null, "sweep", null), Map.of("c1", moved)))
                .isEqualTo(TinyClub.DAY);
    }
}
