package lynchet.core.people;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.Credit;
import lynchet.core.mat.Mark;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.core.mat.TrainingClass;
import lynchet.core.rank.Ladder;
import lynchet.core.round.Round;
import lynchet.core.rule.Require;

/**
 * All that was recorded of one student, from which their state can be folded again.
 *
 * @param attended classes they were in, cancelled ones included
 * @param practice what was drilled in those classes and counts for them
 * @param marks their marks with those that take others back
 * @param markedIn days of the classes that marks name, by class id
 * @param rounds rounds they were in, with {@code roundDays} by round id
 * @param credits practice from elsewhere that counts
 * @param brought what they knew already when they came
 */
public record StudentRecord(
        String student,
        List<Promotion> promotions,
        List<TrainingClass> attended,
        List<PracticeEntry> practice,
        List<Mark> marks,
        Map<String, LocalDate> markedIn,
        List<Round> rounds,
        Map<String, LocalDate> roundDays,
        List<Credit> credits,
        List<Brought> brought) {

    public StudentRecord {
        Require.present("the student of a record", student);
        promotions = Require.list(promotions);
        attended = attended.stream()
                .sorted(Comparator.comparing(TrainingClass::date).thenComparing(TrainingClass::id))
                .toList();
        practice = Require.list(practice);
        marks = Require.list(marks);
        rounds = Require.list(rounds);
        credits = Require.list(credits);
        brought = Require.list(brought);
    }

    /**
     * What there was at the end of a day, as far as it stands today: what was taken back since counts as never given.
     *
     * @param zone where the club is, for marks that name no class
     */
    public StudentRecord until(LocalDate day, ZoneId zone) {
        List<Mark> standing = MarkBook.withoutTakenBack(marks).stream()
                .filter(mark -> !dayOf(mark, zone).isAfter(day))
                .toList();
        return new StudentRecord(
                student,
                HeldRank.standing(promotions).stream()
                        .filter(given -> !given.date().isAfter(day))
                        .toList(),
                attended.stream().filter(c -> !c.date().isAfter(day)).toList(),
                practice,
                standing,
                markedIn,
                rounds.stream()
                        .filter(round -> !roundDays.get(round.id()).isAfter(day))
                        .toList(),
                roundDays,
                credits.stream().filter(one -> !one.on().isAfter(day)).toList(),
                brought.stream().filter(one -> !one.on().isAfter(day)).toList());
    }

    private LocalDate dayOf(Mark mark, ZoneId zone) {
        LocalDate inClass = mark.classId() == null ? null : markedIn.get(mark.classId());
        return inClass != null ? inClass : LocalDate.ofInstant(mark.at(), zone);
    }

    /** The state folded from all of it, in the order of the days. */
    public StudentState state(List<Ladder> ladders, GrapplingMap map) {
        Map<String, LadderCount> held = new HashMap<>();
        HeldRank.of(promotions).forEach((ladder, rank) -> held.put(ladder, new LadderCount(rank, 0, null)));
        return new StudentState(null, held, Map.of(), new MarkBook(Map.of()), List.of()).after(events(ladders, map));
    }

    /** What stands behind the fading of one thing, on the right and on the left as far as anything was done there. */
    public List<Memory> memory(String subject, GrapplingMap map) {
        Map<Side, Map<LocalDate, PracticeDay>> days = new EnumMap<>(Side.class);
        for (StudentEvent event : events(List.of(), map)) {
            if (event instanceof StudentEvent.Practised did && did.subject().equals(subject)) {
                add(did.side(), did.done(), days);
            } else if (event instanceof StudentEvent.Marked judged
                    && judged.mark().subject().equals(subject)
                    && judged.isPractice()) {
                add(judged.mark().side(), judged.done(), days);
            }
        }
        Map<Side, LocalDate> from = broughtOn(subject);
        return Stream.concat(days.keySet().stream(), from.keySet().stream())
                .distinct()
                .sorted()
                .map(side -> Memory.of(
                        side,
                        from.get(side),
                        List.copyOf(days.getOrDefault(side, Map.of()).values())))
                .toList();
    }

    private Map<Side, LocalDate> broughtOn(String subject) {
        Map<Side, LocalDate> from = new EnumMap<>(Side.class);
        for (Brought one : brought) {
            one.had().stream()
                    .filter(had -> had.subject().equals(subject) && had.role() == Role.PERFORMER)
                    .flatMap(had -> had.side().each().stream())
                    .forEach(side -> from.merge(side, one.on(), (a, b) -> a.isBefore(b) ? b : a));
        }
        return from;
    }

    private static void add(Side side, PracticeDay done, Map<Side, Map<LocalDate, PracticeDay>> days) {
        side.each().forEach(one -> days.computeIfAbsent(one, s -> new TreeMap<>())
                .merge(done.day(), done, PracticeDay::and));
    }

    private record Dated(LocalDate day, StudentEvent event) {}

    private List<StudentEvent> events(List<Ladder> ladders, GrapplingMap map) {
        List<Dated> events = new ArrayList<>();
        brought.forEach(
                one -> events.add(new Dated(one.on(), new StudentEvent.Came(one)))); // before what was done that day
        Map<String, LocalDate> dayOf = new HashMap<>();
        for (TrainingClass c : attended) {
            if (!c.cancelled()) {
                dayOf.put(c.id(), c.date());
                events.add(new Dated(c.date(), new StudentEvent.Attended(c.date(), counts(ladders, c.track()))));
            }
        }
        for (PracticeEntry entry : practice) {
            LocalDate day = dayOf.get(entry.classId());
            if (day != null && entry.countsFor(student)) {
                practised(entry, day).ifPresent(event -> events.add(new Dated(day, event)));
            }
        }
        for (Mark mark : MarkBook.withoutTakenBack(marks)) {
            LocalDate day = mark.classId() == null ? null : markedIn.get(mark.classId());
            events.add(new Dated(day == null ? LocalDate.MIN : day, new StudentEvent.Marked(mark, day)));
        }
        for (Round round : rounds) {
            LocalDate day = roundDays.get(round.id());
            successes(round, student, map, day).forEach(event -> events.add(new Dated(day, event)));
        }
        credits.forEach(credit -> events.add(new Dated(credit.on(), credited(credit))));
        events.sort(Comparator.comparing(Dated::day));
        return events.stream().map(Dated::event).toList();
    }

    /** The ladders on which a class of a track counts, and whether only one a day does. */
    public static Map<String, Boolean> counts(List<Ladder> ladders, String track) {
        Map<String, Boolean> counts = new HashMap<>();
        for (Ladder ladder : ladders) {
            if (ladder.tracks().isEmpty() || ladder.tracks().contains(track)) {
                counts.put(ladder.id(), ladder.policy().oneClassADay());
            }
        }
        return counts;
    }

    /** What an entry is to somebody it counts for; nothing to a receiver. */
    public static java.util.Optional<StudentEvent> practised(PracticeEntry entry, LocalDate day) {
        if (entry.role() != Role.PERFORMER || entry.withdrawn()) {
            return java.util.Optional.empty();
        }
        PracticeDay done = PracticeDay.drilled(day, entry.part() ? 0 : entry.reps(), entry.part() ? entry.reps() : 0);
        return java.util.Optional.of(new StudentEvent.Practised(entry.subject(), entry.side(), done));
    }

    /** Credit is practice of the day it names. */
    public static StudentEvent credited(Credit credit) {
        return new StudentEvent.Practised(
                credit.subject(), credit.side(), PracticeDay.drilled(credit.on(), credit.reps(), 0));
    }

    /** What worked for somebody in a round, by technique. */
    public static List<StudentEvent> successes(Round round, String student, GrapplingMap map, LocalDate day) {
        return round.successesOf(student).stream()
                .flatMap(event -> map.link(event.link()).stream().map(link -> (StudentEvent)
                        new StudentEvent.Practised(link.technique(), event.side(), PracticeDay.worked(day))))
                .toList();
    }
}
