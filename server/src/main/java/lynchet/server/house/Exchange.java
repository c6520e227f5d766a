package lynchet.server.house;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.Mark;
import lynchet.core.mat.Track;
import lynchet.core.people.Student;
import lynchet.core.rank.Item;
import lynchet.core.rank.Rank;
import lynchet.format.csv.AttendanceCsv;
import lynchet.format.csv.MarksCsv;
import lynchet.format.csv.Plan;
import lynchet.format.csv.Preview;
import lynchet.format.csv.RosterCsv;
import lynchet.server.chain.ChainStore;
import lynchet.server.keep.Durable;
import lynchet.server.keep.Journal;
import lynchet.server.keep.Progress;
import lynchet.server.keep.Refusal;
import lynchet.server.map.MapStore;
import lynchet.server.mat.ClassStore;
import lynchet.server.mat.RecordStore;
import lynchet.server.people.PeopleStore;
import lynchet.server.rank.LadderStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Sheets in and out: roster, attendance, marks. Looked at first, then taken in whole or not at all. */
@Service
class Exchange {

    /** What a sheet is about. */
    enum Kind {
        ROSTER,
        ATTENDANCE,
        MARKS
    }

    private final MapStore maps;
    private final ChainStore chains;
    private final LadderStore ladders;
    private final ClassStore classes;
    private final PeopleStore people;
    private final RecordStore records;
    private final Journal journal;
    private final Durable durable;
    private final TransactionTemplate transaction;

    Exchange(
            MapStore maps,
            ChainStore chains,
            LadderStore ladders,
            ClassStore classes,
            PeopleStore people,
            RecordStore records,
            Journal journal,
            Durable durable,
            TransactionTemplate transaction) {
        this.maps = maps;
        this.chains = chains;
        this.ladders = ladders;
        this.classes = classes;
        this.people = people;
        this.records = records;
        this.journal = journal;
        this.durable = durable;
        this.transaction = transaction;
    }

    byte[] sheet(Kind kind) {
        return switch (kind) {
            case ROSTER -> RosterCsv.write(people.all());
            case ATTENDANCE -> AttendanceCsv.write(records.allAttendance(), people.all(), classes.all());
            case MARKS ->
                MarksCsv.write(records.allMarks(), people.all(), maps.snapshot().map());
        };
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
            case ROSTER -> people.take((List<Student>) plan.add(), (List<Student>) plan.change(), progress);
            case ATTENDANCE -> records.fill((List<Attendance>) plan.add(), List.of(), List.of(), progress);
            case MARKS -> records.fill(List.of(), List.of(), (List<Mark>) plan.add(), progress);
        }
    }

    private Plan<?> plan(Kind kind, byte[] csv, String dates) {
        LocalDate today = people.today();
        return switch (kind) {
            case ROSTER ->
                RosterCsv.plan(
                        csv,
                        people.all(),
                        ladders.all(),
                        classes.tracks().stream().map(Track::id).collect(Collectors.toSet()),
                        dates,
                        today);
            case ATTENDANCE ->
                AttendanceCsv.plan(csv, people.all(), classes.all(), records.allAttendance(), dates, Journal.who());
            case MARKS ->
                MarksCsv.plan(
                        csv,
                        people.all(),
                        maps.snapshot().map(),
                        chains.all(),
                        items(),
                        records.allMarks(),
                        dates,
                        today,
                        Journal.who());
        };
    }

    private Set<String> items() {
        return ladders.all().stream()
                .flatMap(ladder -> ladder.ranks().stream())
                .flatMap(Rank::items)
                .map(Item::subject)
                .collect(Collectors.toSet());
    }
}
