package lynchet.starter.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import lynchet.core.Club;
import lynchet.core.map.GrapplingMap;
import lynchet.core.people.ClubPace;
import lynchet.core.people.Readiness;
import lynchet.core.people.StudentRecord;
import lynchet.format.ClubArchive;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DemoClubTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 24);

    @Test
    void isTheSameForTheSameDayAndReadsAgain() {
        byte[] once = ClubArchive.write(DemoClub.on(TODAY));
        assertThat(ClubArchive.write(DemoClub.on(TODAY))).isEqualTo(once);
        assertThat(ClubArchive.write(ClubArchive.read(new ByteArrayInputStream(once))))
                .isEqualTo(once);
    }

    @ParameterizedTest
    @ValueSource(strings = {"2026-11-24", "2028-02-29", "2027-01-01"})
    void hasSomebodyAtEveryVerdictAndAClassToday(String day) {
        LocalDate today = LocalDate.parse(day);
        Club club = DemoClub.on(today);
        GrapplingMap map = GrapplingMap.of(club.map());
        List<StudentRecord> records =
                StudentRecord.of(club.people(), club.classes(), club.attendance(), club.practice(), club.marks());
        ClubPace pace = ClubPace.of(records, club.classes(), today);
        Set<Readiness.Verdict> verdicts = records.stream()
                .flatMap(r -> club.ladders().stream().flatMap(l -> Readiness.of(r, l, map, pace, today).stream()))
                .map(Readiness::verdict)
                .collect(Collectors.toSet());
        assertThat(club.people()).hasSize(16);
        assertThat(verdicts).contains(Readiness.Verdict.HELD, Readiness.Verdict.NOT_YET, Readiness.Verdict.ELIGIBLE);
        assertThat(club.classes())
                .anyMatch(c -> c.date().equals(today) && c.track().equals("fundamentals"));
    }
}
