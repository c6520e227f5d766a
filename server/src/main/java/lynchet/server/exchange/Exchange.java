package lynchet.server.exchange;

import java.io.OutputStream;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import lynchet.core.card.Technique;
import lynchet.core.club.Club;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.Mark;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.core.rank.Item;
import lynchet.core.rank.Rank;
import lynchet.format.csv.AttendanceCsv;
import lynchet.format.csv.MarksCsv;
import lynchet.format.csv.Member;
import lynchet.format.csv.Plan;
import lynchet.format.csv.Preview;
import lynchet.format.csv.RosterCsv;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.Durable;
import lynchet.server.keep.Journal;
import lynchet.server.keep.Progress;
import lynchet.server.keep.Refusal;
import lynchet.server.mat.AttendanceDesk;
import lynchet.server.mat.ClassStore;
import lynchet.server.mat.MarkStore;
import lynchet.server.mat.SheetRecords;
import lynchet.server.people.People;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Sheets in and out: roster, attendance, marks. SheetLookups at first, then taken in whole or not at all. */
@Service
class Exchange {

    /** What a sheet is about. */
    enum Kind {
        ROSTER,
        ATTENDANCE,
        MARKS
    }

    private final SheetRecords records;
    private final AttendanceDesk attendance;
    private final TeachingSnapshots taught;
    private final ClassStore classes;
    private final People people;
    private final MarkStore marks;
    private final Journal journal;
    private final Durable durable;
    private final TransactionTemplate transaction;

    Exchange(
            SheetRecords records,
            AttendanceDesk attendance,
            TeachingSnapshots taught,
            ClassStore classes,
            People people,
            MarkStore marks,
            Journal journal,
            Durable durable,
            TransactionTemplate transaction) {
        this.records = records;
        this.attendance = attendance;
        this.taught = taught;
        this.classes = classes;
        this.people = people;
        this.marks = marks;
        this.journal = journal;
        this.durable = durable;
        this.transaction = transaction;
    }

    /** Writes a sheet as it is read. */
    void sheet(Kind kind, OutputStream out) {
        transaction.executeWithoutResult(status -> {
            switch (kind) {
                case ROSTER -> RosterCsv.write(out, people::each);
                case ATTENDANCE -> AttendanceCsv.write(out, this::attendance);
                case MARKS -> MarksCsv.write(out, this::marks);
            }
        });
    }

    /** Class by class, so that no more than one is held. */
    private void attendance(Consumer<AttendanceCsv.Line> to) {
        Map<String, String> names = names();
        classes.each(trained -> attendance
                .of(trained.id())
                .forEach(
                        one -> to.accept(new AttendanceCsv.Line(one, names.getOrDefault(one.student(), ""), trained))));
    }

    /** Student by student, each one's in the order they were given. */
    private void marks(Consumer<MarksCsv.Line> to) {
        GrapplingMap map = taught.now().map();
        names().forEach((student, name) -> marks.inTime(
                student,
                mark -> to.accept(new MarksCsv.Line(
                        mark,
                        name,
                        map.technique(mark.subject()).map(Technique::name).orElse("")))));
    }

    private Map<String, String> names() {
        Map<String, String> names = new LinkedHashMap<>();
        people.each(member -> names.put(member.student().id(), member.student().name()));
        return names;
    }

    Preview look(Kind kind, byte[] csv, String dates) {
        return plan(kind, csv, dates).preview();
    }

    /**
     * Takes a sheet in.
     *
     * @param skipBad whether lines that cannot be taken are left out; otherwise one of them refuses the sheet
     * @return the preview, with what was done
     */
    Preview take(Kind kind, byte[] csv, String dates, boolean skipBad, Progress progress) {
        progress.at("reading", 0, 1);
        return durable.writeAlone(() -> transaction.execute(status -> {
            Plan<?> plan = plan(kind, csv, dates);
            Preview preview = plan.preview();
            if (preview.bad() > 0 && !skipBad) {
                Preview.Line first = preview.lines().stream()
                        .filter(line -> line.what() == Preview.What.BAD)
                        .findFirst()
                        .orElseThrow();
                throw Refusal.bad(
                        "CSV_LINES",
                        "line " + first.line(),
                        "Line " + first.line() + ": " + first.why() + ". " + preview.bad()
                                + " lines cannot be taken; nothing was changed.");
            }
            keep(kind, plan, progress);
            // Numbers only: the lines of a sheet hold birth dates and weights, which are not for the trail.
            Map<String, Integer> counts =
                    Map.of("added", preview.add(), "changed", preview.change(), "leftOut", preview.bad());
            journal.write("import", "csv", kind.name().toLowerCase(Locale.ROOT), null, counts);
            return preview;
        }));
    }

    @SuppressWarnings("unchecked")
    private void keep(Kind kind, Plan<?> plan, Progress progress) {
        switch (kind) {
            case ROSTER -> people.take((List<Member>) plan.add(), (List<Member>) plan.change(), progress);
            case ATTENDANCE -> records.takeAttendance((List<Attendance>) plan.add(), progress);
            case MARKS -> records.takeMarks((List<Mark>) plan.add(), progress);
        }
    }

    private Plan<?> plan(Kind kind, byte[] csv, String dates) {
        LocalDate today = people.today();
        Club now = taught.now().taught();
        SheetLookups looked = new SheetLookups(people.roll(), lookUp, attendance::presentIn);
        return switch (kind) {
            case ROSTER ->
                RosterCsv.plan(
                        csv,
                        looked,
                        now.ladders(),
                        now.tracks().stream().map(Track::id).collect(Collectors.toSet()),
                        people::newId,
                        dates,
                        today);
            case ATTENDANCE -> AttendanceCsv.plan(csv, looked, looked, looked::isThere, dates, Journal.who());
            case MARKS ->
                MarksCsv.plan(
                        csv,
                        looked,
                        taught.now().map(),
                        now.chains(),
                        items(now),
                        marks::find,
                        dates,
                        today,
                        Journal.who());
        };
    }

    private final AttendanceCsv.Classes lookUp = new AttendanceCsv.Classes() {
        @Override
        public Optional<TrainingClass> trained(String id) {
            return classes.find(id);
        }

        @Override
        public List<TrainingClass> on(LocalDate day) {
            return classes.between(day, day);
        }
    };

    private static Set<String> items(Club club) {
        return club.ladders().stream()
                .flatMap(ladder -> ladder.ranks().stream())
                .flatMap(Rank::items)
                .map(Item::subject)
                .collect(Collectors.toSet());
    }
}
