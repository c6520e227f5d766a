package lynchet.format.csv;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.Student;

/** Attendance as a sheet: who was in which class. A class is named by its id, or by its date and track. */
public final class AttendanceCsv {

    private static final List<String> COLUMNS =
            List.of("student", "name", "class", "date", "track", "start", "how", "at", "by");

    private AttendanceCsv() {}

    /** Every attendance, by class and person. */
    public static byte[] write(List<Attendance> attendance, List<Student> people, List<TrainingClass> classes) {
        Map<String, Student> who = new HashMap<>();
        people.forEach(s -> who.put(s.id(), s));
        Map<String, TrainingClass> where = new HashMap<>();
        classes.forEach(c -> where.put(c.id(), c));
        Lines lines = new Lines(COLUMNS);
        for (Attendance a : attendance) {
            TrainingClass c = where.get(a.classId());
            lines.line(
                    a.student(),
                    who.containsKey(a.student()) ? who.get(a.student()).name() : "",
                    a.classId(),
                    c.date(),
                    c.track(),
                    c.start(),
                    a.how().name().toLowerCase(Locale.ROOT),
                    a.at(),
                    a.by());
        }
        return lines.bytes();
    }

    /**
     * What taking in this sheet would do; nothing is ever changed, only added.
     *
     * @param by account that takes it in
     */
    public static Plan<Attendance> plan(
            byte[] csv,
            List<Student> people,
            List<TrainingClass> classes,
            List<Attendance> there,
            String dates,
            String by) {
        Sheet sheet = Sheet.read(csv, Set.of("student"));
        Dates written = DateColumns.of(sheet, dates, "date");
        Roll roll = new Roll(people);
        Map<String, TrainingClass> byId = new HashMap<>();
        classes.forEach(c -> byId.put(c.id(), c));
        Set<String> taken = new HashSet<>();
        there.forEach(a -> taken.add(a.student() + " " + a.classId()));
        Map<String, Long> seen = new HashMap<>();
        Plan.Maker<Attendance> maker = new Plan.Maker<>();
        for (Sheet.Row row : sheet.rows()) {
            Cells cells = new Cells(row, written);
            String about = row.cell("name").or(() -> row.cell("student")).orElse("");
            maker.reading(row.line(), about, () -> {
                Student student = roll.whoever(cells.needed("student"));
                TrainingClass c = trained(cells, byId, classes);
                if (c.date().isBefore(student.joined())) {
                    throw new BadLine(student.name() + " joined on " + student.joined() + ", after this class");
                }
                String key = student.id() + " " + c.id();
                Long before = seen.putIfAbsent(key, row.line());
                if (before != null) {
                    throw new BadLine("the same attendance as on line " + before);
                }
                if (taken.contains(key)) {
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

    private static TrainingClass trained(Cells cells, Map<String, TrainingClass> byId, List<TrainingClass> classes) {
        if (cells.text("class").isPresent()) {
            TrainingClass c = byId.get(cells.needed("class"));
            if (c == null) {
                throw new BadLine("there is no class " + cells.needed("class"));
            }
            return c;
        }
        LocalDate day = cells.date("date").orElseThrow(() -> new BadLine("neither class nor date is given"));
        List<TrainingClass> fitting = classes.stream()
                .filter(c -> c.date().equals(day))
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
