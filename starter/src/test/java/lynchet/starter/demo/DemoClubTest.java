package lynchet.starter.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import lynchet.core.club.Club;
import lynchet.core.club.ClubRecords;
import lynchet.core.game.Lopsided;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.Side;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.ClubPace;
import lynchet.core.people.Readiness;
import lynchet.core.people.Recent;
import lynchet.core.people.Soil;
import lynchet.core.people.Student;
import lynchet.core.people.StudentRecord;
import lynchet.core.people.StudentState;
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

    @Test
    void looksLikeLife() {
        Club club = DemoClub.on(TODAY);
        Map<String, TrainingClass> classes =
                club.classes().stream().collect(Collectors.toMap(TrainingClass::id, c -> c));
        Map<Integer, Long> byMonth = club.attendance().stream()
                .collect(Collectors.groupingBy(
                        a -> classes.get(a.classId()).date().getMonthValue(), Collectors.counting()));
        assertThat(byMonth.get(8)).isLessThan(byMonth.get(7) * 6 / 10).isLessThan(byMonth.get(9) * 6 / 10);
        assertThat(club.attendance())
                .filteredOn(a -> a.student().equals("ruben-saltry"))
                .isNotEmpty()
                .noneMatch(a -> classes.get(a.classId()).date().getDayOfWeek() == DayOfWeek.TUESDAY);
        assertThat(club.people())
                .filteredOn(s -> s.restrictions().stream().anyMatch(r -> r.holdsOn(TODAY)))
                .hasSize(3);
        assertThat(club.people())
                .filteredOn(s -> s.holds().stream().anyMatch(h -> h.standsOn(TODAY)))
                .hasSize(2);
    }

    @ParameterizedTest
    @ValueSource(strings = {"2026-11-24", "2028-02-29", "2027-01-01"})
    void hasSomebodyAtEveryVerdictAndAClassToday(String day) {
        LocalDate today = LocalDate.parse(day);
        Club club = DemoClub.on(today);
        GrapplingMap map = GrapplingMap.of(club.map());
        ClubPace pace = new ClubPace(Set.of(), 1.5);
        Map<String, Student> people = club.people().stream().collect(Collectors.toMap(Student::id, s -> s));
        Set<Readiness.Verdict> verdicts = ClubRecords.of(club).stream()
                .flatMap(record -> {
                    Student student = people.get(record.student());
                    StudentState state = record.state(club.ladders(), map);
                    return club.ladders().stream()
                            .flatMap(ladder -> Readiness.of(new Readiness.Question(
                                            student,
                                            state,
                                            new Recent(9, today.minusWeeks(8)),
                                            ladder,
                                            map,
                                            Map.of(),
                                            pace,
                                            today,
                                            Readiness.Eyes.COACH,
                                            Readiness.Besides.NOTHING))
                                    .stream());
                })
                .map(Readiness::verdict)
                .collect(Collectors.toSet());
        assertThat(club.people()).hasSize(47).filteredOn(s -> s.guest() != null).hasSize(1);
        assertThat(club.rounds()).hasSize(60);
        assertThat(club.gradings()).hasSize(2).allMatch(g -> g.candidates().size() >= 3);
        assertThat(club.terms()).singleElement().satisfies(term -> assertThat(today)
                .isBetween(term.from(), term.until()));
        assertThat(verdicts)
                .contains(
                        Readiness.Verdict.HELD,
                        Readiness.Verdict.NOT_YET,
                        Readiness.Verdict.ELIGIBLE,
                        Readiness.Verdict.ON_TRACK);
        assertThat(club.classes())
                .anyMatch(c -> c.date().equals(today) && c.track().equals("fundamentals"));
    }

    /** Somebody for each thing that a coach looks for, on any day. */
    @ParameterizedTest
    @ValueSource(strings = {"2026-11-24", "2028-02-29", "2027-01-01"})
    void itsPeopleRewardALook(String day) {
        LocalDate today = LocalDate.parse(day);
        Club club = DemoClub.on(today);
        GrapplingMap map = GrapplingMap.of(club.map());
        Map<String, StudentState> states = ClubRecords.of(club).stream()
                .collect(Collectors.toMap(StudentRecord::student, one -> one.state(club.ladders(), map)));
        assertThat(states.values())
                .as("one-sided, and on the right")
                .anyMatch(state -> Lopsided.of(map, state).weaker() == Side.LEFT);
        assertThat(states.values()).as("rusty").anyMatch(state -> Soil.of(map, state, today)
                .containsValue(Soil.WEED));
        assertThat(states.values())
                .as("absent")
                .anyMatch(state -> state.lastSeen() != null && state.lastSeen().isBefore(today.minusWeeks(8)));
        assertThat(club.people())
                .as("handing over")
                .anyMatch(one -> one.ageOn(today).orElse(0) >= 15 && on("junior", states.get(one.id())));
        assertThat(club.people())
                .as("a birthday soon")
                .anyMatch(one -> one.born() != null && !one.ageOn(today).equals(one.ageOn(today.plusDays(30))));
        assertThat(club.people())
                .as("a weight that is old")
                .anyMatch(one -> one.weighed() != null && one.weighed().isBefore(today.minusMonths(6)));
        assertThat(club.people().stream()
                        .flatMap(one -> Optional.ofNullable(one.contacts()).stream())
                        .flatMap(one -> one.reachedBy().stream())
                        .collect(Collectors.groupingBy(by -> by, Collectors.counting()))
                        .values())
                .as("brother and sister")
                .contains(2L);
    }

    private static boolean on(String ladder, StudentState state) {
        return state != null && state.heldOn(ladder).isPresent();
    }
}
