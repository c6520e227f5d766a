package lynchet.core.club;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.Credit;
import lynchet.core.mat.Mark;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.Brought;
import lynchet.core.people.Promotion;
import lynchet.core.people.StudentRecord;
import lynchet.core.round.Round;

/** The records of each student of a club, or of a slice of one that holds all the records of some students. */
public final class ClubRecords {

    private ClubRecords() {}

    /** One record for each of the people, in their order. */
    public static List<StudentRecord> of(Club club) {
        Map<String, TrainingClass> classes =
                club.classes().stream().collect(Collectors.toMap(TrainingClass::id, c -> c));
        Map<String, LocalDate> days = new HashMap<>();
        classes.forEach((id, c) -> days.put(id, c.date()));
        Map<String, List<Attendance>> attended =
                club.attendance().stream().collect(Collectors.groupingBy(Attendance::student));
        Map<String, List<PracticeEntry>> drilled =
                club.practice().stream().collect(Collectors.groupingBy(PracticeEntry::classId));
        Map<String, List<Mark>> marks = club.marks().stream().collect(Collectors.groupingBy(Mark::student));
        Map<String, List<Promotion>> given =
                club.promotions().stream().collect(Collectors.groupingBy(Promotion::student));
        Map<String, List<Credit>> credits =
                club.all(Parts.CREDITS).stream().collect(Collectors.groupingBy(Credit::student));
        Map<String, List<Brought>> brought =
                club.all(Parts.BROUGHT).stream().collect(Collectors.groupingBy(Brought::student));
        Map<String, LocalDate> roundDays = new HashMap<>();
        club.rounds().forEach(round -> roundDays.put(round.id(), day(round, days)));
        Map<String, Set<Round>> rounds = new HashMap<>();
        club.rounds().forEach(round -> round.members().forEach(who -> rounds.computeIfAbsent(who, w -> new HashSet<>())
                .add(round)));
        return club.people().stream()
                .map(student -> {
                    String id = student.id();
                    List<TrainingClass> there = attended.getOrDefault(id, List.of()).stream()
                            .map(a -> classes.get(a.classId()))
                            .toList();
                    List<PracticeEntry> practice = there.stream()
                            .flatMap(c -> drilled.getOrDefault(c.id(), List.of()).stream())
                            .filter(entry -> entry.countsFor(id))
                            .toList();
                    return new StudentRecord(
                            id,
                            given.getOrDefault(id, List.of()),
                            there,
                            practice,
                            marks.getOrDefault(id, List.of()),
                            days,
                            List.copyOf(rounds.getOrDefault(id, Set.of())),
                            roundDays,
                            credits.getOrDefault(id, List.of()),
                            brought.getOrDefault(id, List.of()));
                })
                .toList();
    }

    /** The day of a round: that of its class, or the one on which it was logged. */
    public static LocalDate day(Round round, Map<String, LocalDate> classDays) {
        LocalDate day = round.classId() == null ? null : classDays.get(round.classId());
        return day == null ? round.at().atZone(ZoneOffset.UTC).toLocalDate() : day;
    }
}
