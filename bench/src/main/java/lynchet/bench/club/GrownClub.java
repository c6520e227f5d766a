package lynchet.bench.club;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.Consumer;
import lynchet.core.card.Technique;
import lynchet.core.club.Club;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.MarkBuilder;
import lynchet.core.mat.PracticeEntryBuilder;
import lynchet.core.mat.Standard;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClassBuilder;
import lynchet.core.people.PromotionBuilder;
import lynchet.core.people.StudentBuilder;
import lynchet.core.rank.Ladder;
import lynchet.core.round.Round;
import lynchet.core.round.RoundBuilder;
import lynchet.format.ClubArchive;
import lynchet.starter.StarterLibrary;

/**
 * A made-up club that has grown for five years: the shipped library, four tracks with five weekly times each, and for each
 * student 400 attendances and about 167 marks. The same seed gives the same file to the last byte; nothing of it is held.
 */
public final class GrownClub implements ClubArchive.Source {

    static final int WEEKS = 260;
    private static final int ATTENDANCES = 400;
    private static final int MARKS = 167;
    static final List<String> TRACKS = List.of("fundamentals", "juniors", "no-jacket", "throws");

    private final int students;
    private final LocalDate today;
    private final Club library = StarterLibrary.club("Grown club");
    private final Ladder ladder = library.ladders().get(0);
    private final List<Technique> techniques = library.map().techniques().stream()
            .filter(technique -> technique.steps().size() > 2)
            .toList();

    public GrownClub(int students, LocalDate today) {
        this.students = students;
        this.today = today;
    }

    public void writeTo(Path file) throws IOException {
        try (OutputStream out = Files.newOutputStream(file)) {
            ClubArchive.write(out, "Grown club", Parts.ALL, this);
        }
    }

    static String student(int n) {
        return "s-%05d-%08x".formatted(n, new Random(n).nextInt());
    }

    private static String id(String kind, long n) {
        return "%s-%08d-%016x%08x".formatted(kind, n, new Random(n).nextLong(), new Random(~n).nextInt());
    }

    private String classId(int week, int track, int slot) {
        return "%s-%d-%s".formatted(TRACKS.get(track), slot, day(week, slot));
    }

    private LocalDate day(int week, int slot) {
        LocalDate monday = today.minusWeeks(WEEKS - (long) week).with(DayOfWeek.MONDAY);
        return monday.plusDays(slot);
    }

    @Override
    @SuppressWarnings("unchecked")
    public <T> void each(Part<T> part, Consumer<T> to) {
        if (!part.isRecord() && !part.equals(Parts.TRACKS)) {
            library.all(part).stream()
                    .sorted(java.util.Comparator.comparing(part::idOf))
                    .forEach(to);
            return;
        }
        Consumer<Object> any = (Consumer<Object>) to;
        switch (part.name()) {
            case "tracks" -> tracks(any);
            case "people" -> people(any);
            case "classes" -> classes(any);
            case "promotions" -> promotions(any);
            case "attendance" -> attendance(any);
            case "practice" -> practice(any);
            case "marks" -> marks(any);
            case "rounds" -> rounds(any);
            default -> {}
        }
    }

    private void tracks(Consumer<Object> to) {
        for (String track : TRACKS) {
            List<Track.Slot> slots = new ArrayList<>();
            for (int slot = 0; slot < 5; slot++) {
                slots.add(new Track.Slot(
                        track + "-" + slot,
                        null,
                        null,
                        DayOfWeek.of(slot + 1),
                        LocalTime.of(18, 0),
                        90,
                        "Mat",
                        "head",
                        0));
            }
            to.accept(new Track(track, track, null, slots, List.of()));
        }
    }

    private void people(Consumer<Object> to) {
        for (int n = 0; n < students; n++) {
            Random random = new Random(n);
            to.accept(StudentBuilder.builder()
                    .id(student(n))
                    .name("Member " + Integer.toString(n, 36) + " of " + (n % 17))
                    .card(String.valueOf(100_000 + n))
                    .born(today.minusYears(8 + random.nextInt(40)))
                    .joined(today.minusWeeks(WEEKS))
                    .weightKg((double) (30 + random.nextInt(70)))
                    .weighed(today.minusWeeks(5))
                    .heightCm(150)
                    .tracks(List.of(TRACKS.get(n % 4)))
                    .memberUntil(today.plusDays(random.nextInt(400)))
                    .build());
        }
    }

    private void classes(Consumer<Object> to) {
        for (int track = 0; track < 4; track++) {
            for (int slot = 0; slot < 5; slot++) {
                for (int week = 0; week < WEEKS; week++) {
                    to.accept(TrainingClassBuilder.builder()
                            .id(classId(week, track, slot))
                            .date(day(week, slot))
                            .start(LocalTime.of(18, 0))
                            .minutes(90)
                            .track(TRACKS.get(track))
                            .slot(TRACKS.get(track) + "-" + slot)
                            .coach("head")
                            .area("Mat")
                            .theme("Week " + week)
                            .build());
                }
            }
        }
    }

    private void promotions(Consumer<Object> to) {
        for (int n = 0; n < students; n++) {
            for (int i = 0; i <= n % 4; i++) {
                LocalDate given = today.minusWeeks(WEEKS - 60L * i);
                to.accept(PromotionBuilder.builder()
                        .id("pr-%05d-%d".formatted(n, i))
                        .student(student(n))
                        .ladder(ladder.id())
                        .from(i == 0 ? null : ladder.ranks().get(i - 1).id())
                        .to(ladder.ranks().get(i).id())
                        .date(given)
                        .fromBefore(i == 0)
                        .at(given.atTime(20, 0).toInstant(ZoneOffset.UTC))
                        .by("head")
                        .build());
            }
        }
    }

    /** Each comes to every third or fourth of the track's 1,300 classes, not all to the same ones. */
    private void attendance(Consumer<Object> to) {
        for (int n = 0; n < students; n++) {
            for (int i = 0; i < ATTENDANCES; i++) {
                int which = i * 13 / 4 + n % 3;
                int week = which / 5;
                int slot = which % 5;
                to.accept(new Attendance(
                        id("a", (long) n * ATTENDANCES + i),
                        student(n),
                        classId(week, n % 4, slot),
                        Attendance.How.CARD,
                        at(week, slot, 2),
                        "head"));
            }
        }
    }

    private Instant at(int week, int slot, int minute) {
        return day(week, slot).atTime(18, minute).toInstant(ZoneOffset.UTC);
    }

    private Technique technique(int week, int track, int i) {
        return techniques.get(Math.floorMod(week * 3 + track * 40 + i, 90) % techniques.size());
    }

    private void practice(Consumer<Object> to) {
        long count = 0;
        for (int week = 0; week < WEEKS; week++) {
            for (int track = 0; track < 4; track++) {
                for (int slot = 0; slot < 5; slot++) {
                    for (int i = 0; i < 3; i++) {
                        to.accept(PracticeEntryBuilder.builder()
                                .id(id("p", count++))
                                .classId(classId(week, track, slot))
                                .technique(technique(week, track, i).id())
                                .reps(8)
                                .at(at(week, slot, 50))
                                .by("head")
                                .build());
                    }
                }
            }
        }
    }

    private void marks(Consumer<Object> to) {
        for (int n = 0; n < students; n++) {
            for (int i = 0; i < MARKS; i++) {
                int week = i * WEEKS / MARKS;
                Technique technique = technique(week, n % 4, i % 3);
                boolean passed = (n + i) % 5 != 0;
                to.accept(MarkBuilder.builder()
                        .id(id("m", (long) n * MARKS + i))
                        .student(student(n))
                        .subject(technique.id())
                        .standard(Standard.values()[2 + (n + i) % 3])
                        .passed(passed)
                        .faults(
                                passed
                                        ? null
                                        : List.of(technique.faults().get(0).id()))
                        .classId(classId(week, n % 4, n % 5))
                        .at(at(week, n % 5, 55))
                        .by("head")
                        .build());
            }
        }
    }

    private void rounds(Consumer<Object> to) {
        String link = library.map().links().get(0).id();
        for (int n = 0; n < students; n++) {
            List<Round.Event> events = new ArrayList<>();
            for (int i = 0; i < 6; i++) {
                events.add(new Round.Event(
                        i * 20,
                        i % 2 == 0 ? Round.Who.FIRST : Round.Who.SECOND,
                        link,
                        null,
                        null,
                        null,
                        i % 3 == 0 ? Round.Outcome.WORKED : Round.Outcome.STOPPED,
                        null,
                        null));
            }
            to.accept(RoundBuilder.builder()
                    .id("r-%05d".formatted(n))
                    .at(at(WEEKS - 1 - n % 50, 1, 40))
                    .first(student(n))
                    .second(student((n + 1) % students))
                    .ended(new Round.Ended(Round.How.TIME, null, null, null))
                    .events(events)
                    .by("head")
                    .build());
        }
    }
}
