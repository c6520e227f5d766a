package lynchet.starter.demo;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lynchet.core.card.Fault;
import lynchet.core.card.Technique;
import lynchet.core.club.Club;
import lynchet.core.club.Parts;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.Block;
import lynchet.core.mat.Mark;
import lynchet.core.mat.MarkBuilder;
import lynchet.core.mat.Pairing;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.PracticeEntryBuilder;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import lynchet.core.mat.Start;
import lynchet.core.mat.Tally;
import lynchet.core.mat.TrainingClass;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.pair.Before;
import lynchet.core.pair.Couples;
import lynchet.core.pair.Pairs;
import lynchet.core.pair.Partner;
import lynchet.core.pair.Work;
import lynchet.core.people.HeldRank;
import lynchet.core.people.Student;
import lynchet.core.people.StudentState;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.term.Closure;
import lynchet.core.term.Term;
import lynchet.starter.StarterLibrary;

/**
 * Saltmarsh Lane Grappling, made up: the starter library with holes of its own ({@link Holes}), forty-six people, nine months
 * of classes, marks that look like life, sixty rounds, a grading behind and one ahead.
 *
 * <p>The same day and seed give the same club to the last byte.
 */
public final class DemoClub {

    public static final String NAME = "Saltmarsh Lane Grappling";
    public static final String PASSWORD = "saltmarsh";

    private final LocalDate today;
    private final Random random;
    private final Club library;
    private final GrapplingMap map;
    private final List<Ladder> ladders;
    private final List<Attendance> attendance = new ArrayList<>();
    private final List<PracticeEntry> practice = new ArrayList<>();
    private final List<Mark> marks = new ArrayList<>();
    private final Map<String, Set<String>> attended = new HashMap<>();

    private DemoClub(LocalDate today, long seed) {
        this.today = today;
        this.random = new Random(seed);
        this.library = StarterLibrary.club(NAME);
        this.map = GrapplingMap.of(library.map());
        this.ladders = library.ladders().stream()
                .map(Holes::in)
                .map(DemoClasses::counting)
                .toList();
    }

    /** The demo club as it stands on a day. */
    public static Club on(LocalDate today) {
        return new DemoClub(today, 1207).make();
    }

    private Club make() {
        List<DemoPeople.Person> people = DemoPeople.of(today);
        List<TrainingClass> classes = DemoClasses.of(today, map);
        List<TrainingClass> past =
                classes.stream().filter(c -> c.date().isBefore(today)).toList();
        for (TrainingClass c : past) {
            attend(c, people);
            logDrills(c, people);
        }
        Student guest = DemoPeople.guest(today);
        trial(guest, past);
        people.forEach(person -> pass(person, past));
        classWideFault(past);
        Ladder adult =
                ladders.stream().filter(l -> l.id().equals("adult")).findFirst().orElseThrow();
        Instant tournament = today.minusWeeks(5).atTime(11, 0).toInstant(ZoneOffset.UTC);
        Term term = DemoClasses.term(today, DemoGradings.next(today));
        List<Closure> closures = List.of(DemoClasses.closure(today));
        return library.with(Parts.LADDERS, ladders)
                .with(Parts.TRACKS, DemoClasses.tracks(today))
                .with(Parts.TERMS, List.of(term))
                .with(
                        Parts.PEOPLE,
                        Stream.concat(people.stream().map(DemoPeople.Person::student), Stream.of(guest))
                                .toList())
                .with(Parts.CLOSURES, closures)
                .with(Parts.CYCLES, List.of(DemoCycle.of(today)))
                .with(Parts.PLANS, DemoTerm.plans(today, term, closures, classes, practice, map, library.chains()))
                .with(Parts.PATTERNS, List.of(DemoClasses.pattern(past)))
                .with(Parts.PROMOTIONS, DemoGradings.promotions(today, people, ladders))
                .with(Parts.CLASSES, classes)
                .with(Parts.ATTENDANCE, attendance)
                .with(Parts.PRACTICE, practice)
                .with(Parts.MARKS, marks)
                .with(Parts.ASKS, DemoPeople.asks(today))
                .with(Parts.INCIDENTS, DemoIncidents.of(today, past))
                .with(Parts.CREDITS, DemoPeople.credits(today))
                .with(Parts.BROUGHT, DemoBrought.of(today, people, ladders, map))
                .with(Parts.NOMINATIONS, DemoWindow.nominations(today, ladders))
                .with(Parts.MERITS, DemoWindow.merits(today))
                .with(Parts.BELTS, DemoWindow.belts())
                .with(Parts.TALLIES, roomFaults(past))
                .with(Parts.PAIRINGS, pairings(past, people))
                .with(Parts.STARTS, starts(past))
                .with(Parts.GRADINGS, DemoGradings.of(today, people, adult))
                .with(Parts.ROUNDS, new DemoRounds(map, ladders, random).of(people, past, attended, tournament));
    }

    /** A guest tries the latest class without a jacket. */
    private void trial(Student guest, List<TrainingClass> past) {
        past.stream()
                .filter(c -> c.track().equals("no-jacket") && !c.cancelled())
                .reduce((a, b) -> b)
                .ifPresent(last -> attendance.add(new Attendance(
                        "a-" + last.id() + "-" + guest.id(),
                        guest.id(),
                        last.id(),
                        Attendance.How.NAME,
                        at(last, 4),
                        last.coach())));
    }

    private void attend(TrainingClass past, List<DemoPeople.Person> people) {
        for (DemoPeople.Person person : people) {
            Student student = person.student();
            boolean there = student.tracks().contains(past.track())
                    && !past.date().isBefore(student.joined())
                    && past.date().isBefore(today.minusWeeks(person.gone()))
                    && random.nextDouble() < chance(person, past.date());
            if (there) {
                attended.computeIfAbsent(past.id(), id -> new HashSet<>()).add(student.id());
                attendance.add(new Attendance(
                        "a-" + past.id() + "-" + student.id(),
                        student.id(),
                        past.id(),
                        random.nextInt(4) == 0 ? Attendance.How.NAME : Attendance.How.CARD,
                        at(past, 2),
                        past.coach()));
            }
        }
    }

    /** Fewer in August; one never on a Tuesday; one away for eleven weeks after an injury. */
    private double chance(DemoPeople.Person person, LocalDate day) {
        if (person.is("no-tuesdays") && day.getDayOfWeek() == DayOfWeek.TUESDAY) {
            return 0;
        }
        boolean injured = day.isAfter(today.minusWeeks(14)) && day.isBefore(today.minusWeeks(3));
        if (person.is("back-from-injury") && injured) {
            return 0;
        }
        return day.getMonthValue() == 8 ? 0.45 * person.comes() : person.comes();
    }

    private boolean wasThere(String student, TrainingClass c) {
        return attended.getOrDefault(c.id(), Set.of()).contains(student);
    }

    /** Everyone there is logged with one entry a block; the person who drilled one side only has an entry of their own. */
    private void logDrills(TrainingClass past, List<DemoPeople.Person> people) {
        List<String> oneSided = people.stream()
                .filter(person -> person.is("one-sided"))
                .map(person -> person.student().id())
                .filter(id -> wasThere(id, past))
                .toList();
        for (Block block : past.blocks()) {
            if (block.drills()) {
                practice.add(entry(past, block, null, Side.BOTH, block.dose().reps(), oneSided));
                for (String student : oneSided) {
                    practice.add(
                            entry(past, block, student, Side.RIGHT, block.dose().reps() * 2, List.of()));
                }
            }
        }
    }

    /** The evening on which half of the beginners turned before they lifted. */
    private void classWideFault(List<TrainingClass> past) {
        past.stream()
                .filter(c -> c.track().equals("fundamentals") && !c.date().isAfter(today.minusWeeks(5)))
                .filter(c -> c.blocks().stream().anyMatch(b -> Holes.ROOM_TECHNIQUE.equals(b.technique())))
                .reduce((first, second) -> second)
                .ifPresent(c -> attended.getOrDefault(c.id(), Set.of()).stream()
                        .sorted()
                        .limit(9)
                        .forEach(student -> marks.add(MarkBuilder.builder()
                                .id("m-fault-" + student)
                                .student(student)
                                .subject(Holes.ROOM_TECHNIQUE)
                                .side(Side.BOTH)
                                .version("hand")
                                .standard(Standard.SHOWN)
                                .faults(List.of(Holes.ROOM_FAULT))
                                .classId(c.id())
                                .at(at(c, 40))
                                .by(c.coach())
                                .build())));
    }

    /** Who worked with whom in the last weeks. */
    private List<Pairing> pairings(List<TrainingClass> past, List<DemoPeople.Person> people) {
        Map<String, Student> byId = new HashMap<>();
        people.forEach(person -> byId.put(person.student().id(), person.student()));
        List<Before.DatedPairing> made = new ArrayList<>();
        past.stream()
                .filter(c -> !c.cancelled() && c.date().isAfter(today.minusWeeks(3)))
                .forEach(c -> {
                    Set<String> here = attended.getOrDefault(c.id(), Set.of());
                    List<Partner> partners = here.stream()
                            .map(id -> Partner.of(
                                    byId.get(id),
                                    StudentState.empty(),
                                    List.of(),
                                    c.date(),
                                    Set.of(),
                                    ClubNumbers.USUAL))
                            .toList();
                    Pairs pairs = Pairs.of(
                            here, new Couples(partners, Work.EASY, new Before(c.id(), made), ClubNumbers.USUAL));
                    if (!pairs.groups().isEmpty()) {
                        List<Pairing.Together> groups = pairs.groups().stream()
                                .map(Pairing.Together::new)
                                .toList();
                        Pairing pairing = new Pairing("pairs-" + c.id(), c.id(), null, 1, groups, at(c, 20), c.coach());
                        made.add(new Before.DatedPairing(pairing, c.date()));
                    }
                });
        return made.stream().map(Before.DatedPairing::pairing).toList();
    }

    /** Positional rounds as they ended in the last weeks. */
    private List<Start> starts(List<TrainingClass> past) {
        List<Start> all = new ArrayList<>();
        past.stream()
                .filter(c -> !c.cancelled() && c.date().isAfter(today.minusWeeks(4)))
                .forEach(c -> c.blocks().stream()
                        .filter(block -> block.position() != null)
                        .forEach(block -> IntStream.range(0, 8)
                                .mapToObj(n -> new Start(
                                        "start-" + c.id() + "-" + n,
                                        c.id(),
                                        block.id(),
                                        block.position(),
                                        n % 3 == 1,
                                        at(c, 60),
                                        c.coach()))
                                .forEach(all::add)));
        return all;
    }

    /** What a coach ticked for the room on the latest evening with the hip-bump sweep. */
    private List<Tally> roomFaults(List<TrainingClass> past) {
        return past.stream()
                .filter(c -> c.track().equals("fundamentals") && !c.cancelled())
                .filter(c -> c.blocks().stream().anyMatch(b -> Holes.ROOM_TECHNIQUE.equals(b.technique())))
                .reduce((first, second) -> second)
                .map(c -> IntStream.range(0, 4)
                        .mapToObj(n -> new Tally(
                                "tally-" + n,
                                c.id(),
                                Holes.ROOM_TECHNIQUE,
                                n == 2 ? "fault-2" : Holes.ROOM_FAULT,
                                at(c, 35),
                                c.coach()))
                        .toList())
                .orElse(List.of());
    }

    private PracticeEntry entry(
            TrainingClass past, Block block, String student, Side side, int reps, List<String> except) {
        String id = "p-" + past.id() + "-" + block.id() + (student == null ? "" : "-" + student);
        return PracticeEntryBuilder.builder()
                .id(id)
                .classId(past.id())
                .blockId(block.id())
                .student(student)
                .technique(block.technique())
                .side(side)
                .reps(reps)
                .except(except)
                .at(at(past, 70))
                .by(past.coach())
                .build();
    }

    /** Everything of earlier ranks was passed before these weeks; of the present one, a share, in class. */
    private void pass(DemoPeople.Person person, List<TrainingClass> classes) {
        HeldRank held = person.held();
        Ladder ladder = ladders.stream()
                .filter(l -> l.id().equals(held.ladder()))
                .findFirst()
                .orElseThrow();
        for (int i = 0; i < ladder.indexOf(held.rank()); i++) {
            ladder.ranks().get(i).items().forEach(item -> mark(person, item, null, true));
        }
        List<Item> items = ladder.rank(held.rank())
                .orElseThrow()
                .items()
                .filter(item -> item.standard().isMarked())
                .toList();
        long passed = Math.round(items.size() * person.passed());
        for (int i = 0; i < items.size(); i++) {
            Item item = items.get(i);
            TrainingClass where = person.is("passed-over") ? null : lastClassWith(person, item, classes);
            if (i < passed) {
                mark(person, item, where, true);
            } else if (where != null && random.nextInt(3) == 0) {
                mark(person, item, where, false);
            }
        }
        if (person.passed() >= 1) {
            ladder.rank(held.rank())
                    .orElseThrow()
                    .items()
                    .filter(item -> !item.standard().isMarked())
                    .forEach(item -> mark(person, item, null, true));
        }
    }

    private TrainingClass lastClassWith(DemoPeople.Person person, Item item, List<TrainingClass> classes) {
        return classes.stream()
                .filter(c -> c.blocks().stream().anyMatch(b -> item.subject().equals(b.technique())))
                .filter(c -> wasThere(person.student().id(), c))
                .reduce((first, second) -> second)
                .orElse(null);
    }

    private void mark(DemoPeople.Person person, Item item, TrainingClass where, boolean passed) {
        Technique technique =
                Ladder.techniqueOf(item, map).flatMap(map::technique).orElse(null);
        List<String> faults = passed || technique == null
                ? List.of()
                : technique.faults().stream()
                        .map(Fault::id)
                        .limit(1 + random.nextInt(2))
                        .toList();
        Side side = person.is("one-sided") && technique != null && technique.sided() && where != null
                ? Side.RIGHT
                : Side.BOTH;
        Instant at = where == null ? person.held().since().atStartOfDay().toInstant(ZoneOffset.UTC) : at(where, 75);
        Standard standard = item.standard().isMarked() ? item.standard() : Standard.SHOWN;
        String subject = technique == null ? item.subject() : technique.id();
        marks.add(MarkBuilder.builder()
                .id("m-" + person.student().id() + "-" + item.id())
                .student(person.student().id())
                .subject(subject)
                .role(item.role())
                .side(side)
                .version(item.version())
                .standard(standard)
                .passed(passed)
                .faults(faults)
                .classId(where == null ? null : where.id())
                .at(at)
                .by(where == null ? "head" : where.coach())
                .build());
    }

    static Instant at(TrainingClass c, int minutesIn) {
        return c.date().atTime(c.start()).plusMinutes(minutesIn).toInstant(ZoneOffset.UTC);
    }
}
