package lynchet.format.csv;

import java.io.OutputStream;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.function.Consumer;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.Student;
import lynchet.format.Digest;

/** Attendance as a sheet: who was in which class. A class is named by its id, or by its date and track. */
public final class AttendanceCsv {

    private static final List<String> COLUMNS =
            List.of("student", "name", "class", "date", "track", "start", "how", "at", "by");

    private AttendanceCsv() {}

    /** One attendance with who and which class it is about. */
    public record Line(Attendance attendance, String name, TrainingClass trained) {}

    /** Every attendance as it comes, one line each. */
    public static void write(OutputStream out, Consumer<Consumer<Line>> attendance) {
        try (Lines lines = new Lines(out, COLUMNS)) {
            attendance.accept(line -> lines.line(
                    line.attendance().student(),
                    line.name(),
                    line.attendance().classId(),
                    line.trained().date(),
                    line.trained().track(),
                    line.trained().start(),
                    line.attendance().how().name().toLowerCase(Locale.ROOT),
                    line.attendance().at(),
                    line.attendance().by()));
        }
    }

    /** The classes of a club as a sheet names them; they are looked up one by one. */
    public interface Classes {
        Optional<TrainingClass> trained(String id);

        List<TrainingClass> on(LocalDate day);
    }

    /**
     * What taking in this sheet would do; nothing is ever changed, only added.
     *
     * @param isThere whether a student, the first, is in a class, the second, already
     * @param by account that takes it in
     */
    public static Plan<Attendance> plan(
            byte[] csv, Roll roll, Classes classes, BiPredicate<String, String> isThere, String dates, String by) {
        Sheet sheet = Sheet.read(csv, Set.of("student"));
        Dates written = DateColumns.of(sheet, dates, "date");
        Map<String, Long> seen = new HashMap<>();
        Plan.Maker<Attendance> maker = new Plan.Maker<>();
        for (Sheet.Row row : sheet.rows()) {
            Cells cells = new Cells(row, written);
            String about = row.cell("name").or(() -> row.cell("student")).orElse("");
            maker.reading(row.line(), about, () -> {
                Student student = roll.whoever(cells.needed("student")).student();
                TrainingClass c = trained(cells, classes);
                if (c.date().isBefore(student.joined())) {
                    throw new BadLine(student.name() + " joined on " + student.joined() + ", after this class");
                }
                String key = student.id() + " " + c.id();
                Long before = seen.putIfAbsent(key, row.line());
                if (before != null) {
                    throw new BadLine("the same attendance as on line " + before);
                }
                if (isThere.test(student.id(), c.id())) {
                    maker.same(row.line(), about);
                } else {
                    maker.add(row.line(), student.name() + ", " + c.id(), attendance(cells, student, c, by));
                }
            });
        }
        return maker.plan(sheet, written, new HashSet<>(COLUMNS));
    }

    private static Attendance attendance(Cells cells, Student student, TrainingClass c, String by) {
        String id = "a-" + c.id() + "-" + student.id();
        return new Attendance(
                id.length() <= 80 ? id : "a-" + Digest.of(id),
                student.id(),
                c.id(),
                cells.oneOf("how", Attendance.How.class).orElse(Attendance.How.BULK),
                cells.moment(c.date()),
                by);
    }

    private static TrainingClass trained(Cells cells, Classes classes) {
        if (cells.text("class").isPresent()) {
            return classes.trained(cells.needed("class"))
                    .orElseThrow(() -> new BadLine("there is no class " + cells.needed("class")));
        }
        LocalDate day = cells.date("date").orElseThrow(() -> new BadLine("neither class nor date is given"));
        List<TrainingClass> fitting = classes.on(day).stream()
                .filter(c -> cells.text("track").map(c.track()::equals).orElse(true))
                .filter(c -> cells.text("start")
                        .map(start -> c.start().toString().startsWith(start))
                        .orElse(true))
                .toList();
        if (fitting.isEmpty()) {
            throw new BadLine("there was no such class on " + day);
        }
        if (fitting.size() > 1) {
            throw new BadLine("there were " + fitting.size() + " classes on " + day + "; give the track or the start");
        }
        return fitting.get(0);
    }
}
