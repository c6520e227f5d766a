package lynchet.core.people;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;
import lynchet.core.mat.Mark;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import lynchet.core.mat.TrainingClass;

/** What a student practised as performer, folded by technique and side into sessions and fading. */
public final class PracticeLog {

    private final Map<String, Map<Side, SortedMap<LocalDate, PracticeDay>>> days = new HashMap<>();
    private final Map<String, Map<Side, Optional<Fading>>> folded = new HashMap<>();

    private PracticeLog() {}

    public static PracticeLog of(StudentRecord record) {
        PracticeLog log = new PracticeLog();
        Map<String, LocalDate> dateOf = new HashMap<>();
        for (TrainingClass attended : record.attended()) {
            dateOf.put(attended.id(), attended.date());
        }
        for (PracticeEntry entry : record.practice()) {
            LocalDate day = dateOf.get(entry.classId());
            if (day != null && entry.role() == Role.PERFORMER) {
                log.add(
                        subject(entry),
                        entry.side(),
                        day,
                        entry.part() ? 0 : entry.reps(),
                        entry.part() ? entry.reps() : 0);
            }
        }
        record.marks().stream()
                .filter(mark -> mark.role() == Role.PERFORMER && mark.withdraws() == null)
                .forEach(mark -> log.mark(mark, dateOf.get(mark.classId()), record.marks()));
        log.days.forEach((subject, bySide) -> {
            Map<Side, Optional<Fading>> fading = new HashMap<>();
            bySide.forEach((side, byDay) -> fading.put(side, Fading.of(List.copyOf(byDay.values()))));
            log.folded.put(subject, fading);
        });
        return log;
    }

    private static String subject(PracticeEntry entry) {
        return entry.technique() != null ? entry.technique() : entry.chain();
    }

    private void add(String subject, Side side, LocalDate day, int whole, int part) {
        for (Side one : sidesOf(side)) {
            byDay(subject, one)
                    .merge(
                            day,
                            new PracticeDay(day, whole, part, 0, false),
                            (a, b) -> new PracticeDay(
                                    day,
                                    a.wholeReps() + b.wholeReps(),
                                    a.partReps() + b.partReps(),
                                    a.faultShare(),
                                    a.livePass()));
        }
    }

    /** A mark tells how well that day's practice went; a live pass is a session by itself. */
    private void mark(Mark mark, LocalDate day, List<Mark> all) {
        if (day == null) {
            return;
        }
        List<Mark> sameDay = all.stream()
                .filter(m -> m.subject().equals(mark.subject()) && Objects.equals(m.classId(), mark.classId()))
                .toList();
        double faulty =
                (double) sameDay.stream().filter(m -> !m.faults().isEmpty()).count() / sameDay.size();
        boolean live = mark.passed() && mark.standard() == Standard.LIVE;
        for (Side one : sidesOf(mark.side())) {
            SortedMap<LocalDate, PracticeDay> byDay = byDay(mark.subject(), one);
            PracticeDay before = byDay.getOrDefault(day, new PracticeDay(day, 0, 0, 0, false));
            byDay.put(
                    day,
                    new PracticeDay(day, before.wholeReps(), before.partReps(), faulty, before.livePass() || live));
        }
    }

    private SortedMap<LocalDate, PracticeDay> byDay(String subject, Side side) {
        return days.computeIfAbsent(subject, s -> new HashMap<>()).computeIfAbsent(side, s -> new TreeMap<>());
    }

    private static List<Side> sidesOf(Side side) {
        return side == Side.BOTH ? List.of(Side.RIGHT, Side.LEFT) : List.of(side);
    }

    /** Whether anything at all was practised. */
    public boolean introduced(String subject) {
        return days.containsKey(subject);
    }

    /** Sessions and fading on one side; without a side, the better practised of the two. */
    public Optional<Fading> on(String subject, Side side) {
        Map<Side, Optional<Fading>> bySide = folded.getOrDefault(subject, Map.of());
        Stream<Side> sides = side == null || side == Side.BOTH ? Stream.of(Side.RIGHT, Side.LEFT) : Stream.of(side);
        return sides.map(one -> bySide.getOrDefault(one, Optional.empty()))
                .flatMap(Optional::stream)
                .max(java.util.Comparator.comparingInt(Fading::sessions).thenComparing(Fading::last));
    }
}
