package lynchet.format.csv;

import java.io.OutputStream;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Stream;
import lynchet.core.card.Alias;
import lynchet.core.card.Technique;
import lynchet.core.chain.Chain;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.Mark;
import lynchet.core.mat.MarkBuilder;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import lynchet.core.people.Student;
import lynchet.core.rule.Limits;
import lynchet.format.Digest;

/** Marks as a sheet. A technique is named by its id or any of its names; the same line read twice is one mark. */
public final class MarksCsv {

    private static final List<String> COLUMNS = List.of(
            "id",
            "student",
            "name",
            "subject",
            "technique",
            "standard",
            "passed",
            "side",
            "role",
            "version",
            "faults",
            "date",
            "at",
            "by",
            "withdraws");

    private final Map<String, String> subjects = new HashMap<>();
    private final GrapplingMap map;

    private MarksCsv(GrapplingMap map, List<Chain> chains, Set<String> items) {
        this.map = map;
        items.forEach(item -> subjects.put(item, item));
        chains.forEach(chain -> {
            subjects.put(chain.id(), chain.id());
            subjects.put(Roll.fold(chain.name()), chain.id());
        });
        for (Technique technique : map.techniques()) {
            subjects.put(technique.id(), technique.id());
            Stream.concat(
                            Stream.of(technique.name()),
                            technique.aliases().stream().map(Alias::text))
                    .forEach(name -> subjects.put(Roll.fold(name), technique.id()));
        }
    }

    /** One mark with the names of whom and what it is about; either may be empty. */
    public record Line(Mark mark, String student, String technique) {}

    /** Every mark as it comes, one line each. */
    public static void write(OutputStream out, Consumer<Consumer<Line>> marks) {
        try (Lines lines = new Lines(out, COLUMNS)) {
            marks.accept(line -> {
                Mark m = line.mark();
                lines.line(
                        m.id(),
                        m.student(),
                        line.student(),
                        m.subject(),
                        line.technique(),
                        m.standard().name().toLowerCase(Locale.ROOT),
                        m.passed() ? "yes" : "no",
                        m.side().name().toLowerCase(Locale.ROOT),
                        m.role().name().toLowerCase(Locale.ROOT),
                        m.version(),
                        String.join(" ", m.faults()),
                        m.at().atZone(ZoneOffset.UTC).toLocalDate(),
                        m.at(),
                        m.by(),
                        m.withdraws());
            });
        }
    }

    /**
     * What taking in this sheet would do; marks are only ever added.
     *
     * @param there the mark kept under an id
     * @param items ids of syllabus items that are marked themselves: words, forms
     * @param by account that takes it in
     */
    public static Plan<Mark> plan(
            byte[] csv,
            Roll roll,
            GrapplingMap map,
            List<Chain> chains,
            Set<String> items,
            Function<String, Optional<Mark>> there,
            String dates,
            LocalDate today,
            String by) {
        Sheet sheet = Sheet.read(csv, Set.of("student", "passed"));
        Dates written = DateColumns.of(sheet, dates, "date");
        MarksCsv reading = new MarksCsv(map, chains, items);
        Map<String, Long> seen = new HashMap<>();
        Map<String, String> plannedOf = new HashMap<>();
        Plan.Maker<Mark> maker = new Plan.Maker<>();
        for (Sheet.Row row : sheet.rows()) {
            Cells cells = new Cells(row, written);
            String about = row.cell("name").or(() -> row.cell("student")).orElse("");
            maker.reading(row.line(), about, () -> {
                Mark mark = reading.mark(cells, roll, today, by);
                takesBack(mark, there, plannedOf);
                Long before = seen.putIfAbsent(mark.id(), row.line());
                if (before != null) {
                    throw new BadLine("the same mark as on line " + before);
                }
                Optional<Mark> kept = there.apply(mark.id());
                if (kept.isEmpty()) {
                    plannedOf.put(mark.id(), mark.student());
                    maker.add(row.line(), about + ", " + reading.name(mark.subject()), mark);
                } else if (isSame(kept.get(), mark)) {
                    maker.same(row.line(), about);
                } else {
                    throw new BadLine(
                            "mark " + mark.id() + " is kept with something else in it; marks are never changed");
                }
            });
        }
        return maker.plan(sheet, written, new HashSet<>(COLUMNS));
    }

    private static void takesBack(Mark mark, Function<String, Optional<Mark>> there, Map<String, String> plannedOf) {
        String withdrawn = mark.withdraws();
        if (withdrawn == null) {
            return;
        }
        String whose = there.apply(withdrawn).map(Mark::student).orElse(plannedOf.get(withdrawn));
        if (whose == null) {
            throw new BadLine("there is no mark " + withdrawn + " to take back");
        }
        if (!whose.equals(mark.student())) {
            throw new BadLine("mark " + withdrawn + " is somebody else's");
        }
    }

    private static boolean isSame(Mark kept, Mark read) {
        return kept.student().equals(read.student())
                && kept.subject().equals(read.subject())
                && kept.standard() == read.standard()
                && kept.passed() == read.passed()
                && kept.side() == read.side()
                && Objects.equals(kept.withdraws(), read.withdraws());
    }

    private String name(String subject) {
        return map.technique(subject).map(Technique::name).orElse(subject);
    }

    private Mark mark(Cells cells, Roll roll, LocalDate today, String by) {
        Student student = roll.whoever(cells.needed("student")).student();
        String named = cells.text("subject")
                .or(() -> cells.text("technique"))
                .orElseThrow(() -> new BadLine("neither subject nor technique is given"));
        String subject = subjects.getOrDefault(named, subjects.get(Roll.fold(named)));
        if (subject == null) {
            throw new BadLine("there is no technique, chain or item called " + named);
        }
        LocalDate day = cells.date("date").orElse(today);
        Instant at = cells.moment(day);
        if (hasNotCome(cells, day, at, today)) {
            throw new BadLine("the date " + day + " has not come yet");
        }
        Standard standard = cells.oneOf("standard", Standard.class).orElse(Standard.SHOWN);
        boolean passed = cells.yes("passed").orElseThrow(() -> new BadLine("passed is empty"));
        Side side = cells.oneOf("side", Side.class).orElse(Side.BOTH);
        List<String> faults = cells.text("faults")
                .map(text -> List.of(text.split("[\\s,;]+")))
                .orElse(List.of());
        faults(subject, faults);
        String withdraws = cells.text("withdraws").orElse(null);
        if (withdraws != null && passed) {
            throw new BadLine("what takes mark " + withdraws + " back is not passed");
        }
        String made = "m-"
                + Digest.of(String.join(
                        "|",
                        student.id(),
                        subject,
                        standard.name(),
                        side.name(),
                        "" + passed,
                        "" + day,
                        "" + withdraws));
        return Limits.kept(MarkBuilder.builder()
                .id(cells.text("id").orElse(made))
                .student(student.id())
                .subject(subject)
                .role(cells.oneOf("role", Role.class).orElse(Role.PERFORMER))
                .side(side)
                .version(cells.text("version").orElse(null))
                .standard(standard)
                .passed(passed)
                .faults(faults)
                .at(at)
                .by(by)
                .withdraws(withdraws)
                .build());
    }

    /** A moment is in UTC, where the day of today may already be over. */
    private static boolean hasNotCome(Cells cells, LocalDate day, Instant at, LocalDate today) {
        return cells.text("at").isEmpty()
                ? day.isAfter(today)
                : at.isAfter(today.plusDays(2).atStartOfDay(ZoneOffset.UTC).toInstant());
    }

    private void faults(String subject, List<String> faults) {
        map.technique(subject)
                .ifPresent(technique -> faults.forEach(fault -> {
                    boolean there = technique.faults().stream().anyMatch(f -> f.id().equals(fault))
                            || technique.versions().stream()
                                    .flatMap(v -> v.faults().stream())
                                    .anyMatch(f -> f.id().equals(fault));
                    if (!there) {
                        throw new BadLine(technique.name() + " has no fault called " + fault);
                    }
                }));
    }
}
