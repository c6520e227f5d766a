package lynchet.format.csv;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.MapData;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.Mark;
import lynchet.core.mat.MarkBuilder;
import lynchet.core.mat.Standard;
import lynchet.core.mat.TrainingClass;
import lynchet.core.mat.TrainingClassBuilder;
import lynchet.core.people.HeldRank;
import lynchet.core.people.MarkBook;
import lynchet.core.people.Student;
import lynchet.core.rank.Ladder;
import lynchet.format.ArchiveRefused;
import lynchet.format.Json;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SheetsTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 24);

    private static Student student(String id, String name, String card, String born) {
        return Json.read(
                "{\"id\":\"%s\",\"name\":\"%s\",\"card\":\"%s\",\"born\":\"%s\",\"joined\":\"2026-01-05\"}"
                        .formatted(id, name, card, born),
                Student.class);
    }

    private static final List<Student> PEOPLE = List.of(
            student("ana-test", "Ana Test", "11", "1990-03-04"), student("bo-test", "Bo Test", "12", "1991-05-06"));

    private static final List<Ladder> LADDERS = List.of(ladder("adult", "white", "yellow"), ladder("exam", "sixth"));

    private static Ladder ladder(String id, String... ranks) {
        String listed = Stream.of(ranks)
                .map(rank -> "{\"id\":\"%s\",\"name\":\"%s belt\",\"colours\":[\"white\"]}".formatted(rank, rank))
                .collect(Collectors.joining(","));
        return Json.read(
                "{\"id\":\"%s\",\"name\":\"The %s\",\"policy\":{},\"ranks\":[%s]}".formatted(id, id, listed),
                Ladder.class);
    }

    private static final List<Member> MEMBERS =
            PEOPLE.stream().map(student -> new Member(student, List.of())).toList();

    private static Plan<Member> roster(byte[] csv, List<Member> people) {
        AtomicInteger made = new AtomicInteger();
        return RosterCsv.plan(
                csv, Roll.of(people), LADDERS, Set.of("throws"), () -> "random-" + made.incrementAndGet(), null, TODAY);
    }

    private static Plan<Member> roster(String csv) {
        return roster(sheet(csv), MEMBERS);
    }

    private static byte[] written(List<Member> people) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        RosterCsv.write(out, people::forEach);
        return out.toByteArray();
    }

    @Test
    void whatIsWrittenIsReadAsTheSame() {
        Preview preview = roster(written(MEMBERS), MEMBERS).preview();
        assertThat(preview.same()).isEqualTo(2);
        assertThat(preview.add() + preview.change() + preview.bad()).isZero();
    }

    @ParameterizedTest(name = "{0} with {1}")
    @CsvSource({"UTF-8, ','", "UTF-8, ;", "UTF-16LE, ;", "windows-1252, ;", "UTF-8, tab"})
    void encodingAndDelimiterAreRecognised(String encoding, String delimiter) {
        String d = delimiter.equals("tab") ? "\t" : delimiter;
        String bom = encoding.startsWith("UTF") ? "\uFEFF" : "";
        String csv = bom + "Name" + d + "Born" + d + "Weight kg\r\n\"Zoë" + d + "\nMüller\"" + d + "24.11.2000" + d
                + "\"61,5\"\r\n";
        Plan<Member> plan = roster(csv.getBytes(Charset.forName(encoding)), MEMBERS);
        assertThat(plan.preview().bad()).as(plan.preview().toString()).isZero();
        assertThat(plan.preview().encoding()).isEqualTo(encoding);
        assertThat(plan.preview().delimiter()).isEqualTo(delimiter);
        assertThat(plan.preview().dates()).isEqualTo("24.11.2026");
        Student read = plan.add().get(0).student();
        String oneLine = ("Zoë" + d + "\nMüller").replaceAll("[\t\n]+", " ");
        assertThat(read.name()).isEqualTo(oneLine);
        assertThat(read.weightKg()).isEqualTo(61.5);
        assertThat(read.id()).as("an id says nothing about anybody").isEqualTo("random-1");
    }

    @Test
    void datesThatFitTwoWaysAreShownAsDoubtful() {
        Preview either = roster("name,born\nX Y,03/04/2001\n").preview();
        assertThat(either.datesAmbiguous()).isTrue();
        assertThat(either.dates()).isEqualTo("24/11/2026");
        Preview clear = roster("name,born\nX Y,03/04/2001\nZ Y,03/25/2001\n").preview();
        assertThat(clear.datesAmbiguous()).isFalse();
        assertThat(clear.dates()).isEqualTo("11/24/2026");
    }

    @ParameterizedTest(name = "{0} → {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "Cy New,2001-02-30,             | born 2001-02-30 is not a day of the calendar",
                "Cy New,2030-01-01,             | joined before being born",
                "Cy New,2001-02-03,11           | card 11 belongs to Ana Test",
                ",2001-02-03,                   | name is empty",
                "Cy New,2001-02-03,77           | card 77 is on line 2 too",
                "Ana Test,1990-03-04,12         | card 12 belongs to Bo Test",
            })
    void badLinesSayWhy(String line, String why) {
        Preview preview = roster("name,born,card\nOk Person,1999-01-02,77\n" + line + "\n")
                .preview();
        assertThat(preview.add()).isEqualTo(1);
        assertThat(preview.bad()).isEqualTo(1);
        assertThat(preview.lines())
                .filteredOn(l -> l.what() == Preview.What.BAD)
                .allMatch(l -> l.line() == 3 && l.why().contains(why));
    }

    @Test
    void theSamePersonTwiceIsSaidWithTheOtherLine() {
        Preview preview = roster("name,born\nCy New,2001-02-03\nCy  new,2001-02-03\nAna Test,1990-03-04\nana test,\n")
                .preview();
        assertThat(preview.lines())
                .extracting(l -> l.line() + " " + l.what() + " " + l.why())
                .containsExactly("2 ADD ", "3 BAD the same person as on line 2", "5 BAD the same person as on line 4");
    }

    @Test
    void aChangeSaysWhatBecomesWhat() {
        Plan<Member> plan = roster("id;card;name;height_cm\nana-test;15;Ana Test;170\n");
        assertThat(plan.preview().lines().get(0).why()).isEqualTo("card 11 to 15, height_cm none to 170");
        assertThat(plan.change().get(0).student().born())
                .isEqualTo(PEOPLE.get(0).born());
    }

    @ParameterizedTest(name = "{0}: {1} → {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "rank,stripes               | yellow,2     | ladder none to adult, rank none to yellow, stripes none to 2, rank_since none to 2026-01-05",
                "rank,ladder,rank_since     | Sixth belt,The exam,2026-03-01 | ladder none to exam, rank none to sixth, stripes none to 0, rank_since none to 2026-03-01",
                "lead,tracks,member_until   | left,Throws,2027-01-31 | lead right to left, tracks none to throws, member_until none to 2027-01-31",
                "weight_kg,prior_classes    | 61.50,12     | weight_kg none to 61.5, prior_classes 0 to 12",
            })
    void whatIsGivenInAColumnIsSaidAndTaken(String columns, String cells, String changes) {
        Plan<Member> plan = roster("name," + columns + "\nAna Test," + cells + "\n");
        assertThat(plan.preview().lines()).extracting(Preview.Line::why).containsExactly(changes);
        List<Member> after = List.of(plan.change().get(0), MEMBERS.get(1));
        assertThat(roster(written(after), after).preview().same()).isEqualTo(2);
    }

    @ParameterizedTest(name = "{0}: {1} → {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "rank,ladder   | black,      | there is no rank black",
                "rank,ladder   | sixth,adult | there is no rank sixth on the ladder adult",
                "lead          | up          | lead up is none of right, left",
                "tracks        | throws chess | there is no track chess",
                "stripes,rank  | two,white   | stripes two is not a whole number",
                "weight_kg     | heavy       | weight_kg heavy is not a number",
                "weight_kg     | 900         | must be 10 to 300 kg, not 900.0",
                "id            | Not A Slug  | needs an id of lower-case letters",
            })
    void aCellThatCannotBeSaysWhy(String columns, String cells, String why) {
        assertThat(roster("name," + columns + "\nCy New," + cells + "\n")
                        .preview()
                        .lines())
                .singleElement()
                .returns(Preview.What.BAD, Preview.Line::what)
                .satisfies(line -> assertThat(line.why()).contains(why));
    }

    /** Somebody on two ladders: a rank given on the second one is seen, not lost behind the first. */
    @Test
    void aRankOnTheSecondLadderIsAChangeToo() {
        Member both = roster("name,rank\nAna Test,white\n").change().get(0);
        both = roster(sheet("name,rank\nAna Test,sixth\n"), List.of(both))
                .change()
                .get(0);
        assertThat(both.held()).extracting(HeldRank::rank).containsExactly("white", "sixth");
        Preview preview = roster(sheet("name,rank,stripes\nAna Test,sixth,1\n"), List.of(both))
                .preview();
        assertThat(preview.lines()).extracting(Preview.Line::why).containsExactly("stripes 0 to 1");
    }

    /** A rank that the club gave stands in its records; a sheet may give a later one, and correct what they came with. */
    @Test
    void aSheetDoesNotRewriteWhatTheClubGave() {
        HeldRank given = new HeldRank("adult", "white", 0, TODAY.minusDays(9), false);
        List<Member> people = List.of(new Member(PEOPLE.get(0), List.of(given)));
        String other = "name,rank,rank_since\nAna Test,white,2026-10-01\n";
        assertThat(roster(sheet(other), people).preview().lines().get(0).why())
                .isEqualTo("the rank white was given on 2026-11-15; a sheet does not change that");
        assertThat(roster(sheet("name,rank,rank_since\nAna Test,yellow,2026-10-01\n"), people)
                        .preview()
                        .lines()
                        .get(0)
                        .why())
                .isEqualTo("the rank white was given later, on 2026-11-15");
        Member later =
                roster(sheet("name,rank\nAna Test,yellow\n"), people).change().get(0);
        assertThat(later.held()).containsExactly(new HeldRank("adult", "yellow", 0, TODAY, false));
        HeldRank came = new HeldRank("adult", "white", 0, TODAY.minusDays(9), true);
        assertThat(roster(sheet(other), List.of(new Member(PEOPLE.get(0), List.of(came))))
                        .change()
                        .get(0)
                        .held())
                .containsExactly(new HeldRank("adult", "white", 0, LocalDate.of(2026, 10, 1), true));
    }

    @Test
    void whatIsTooLongForAPersonIsSaidOnItsLine() {
        assertThat(roster("name,called_by\nCy New," + "x".repeat(41) + "\n")
                        .preview()
                        .lines()
                        .get(0)
                        .why())
                .isEqualTo("calledBy has 41 characters and at most 40 fit");
    }

    @Test
    void anIdThatTwoNewPeopleShareIsTakenOnce() {
        Preview preview = roster("id,name\ncy,Cy New\ncy,Di New\n").preview();
        assertThat(preview.add()).isEqualTo(1);
        assertThat(preview.lines().get(1).why()).isEqualTo("the id cy is on another line too");
    }

    private static byte[] sheet(String csv) {
        return csv.getBytes(StandardCharsets.UTF_8);
    }

    @ParameterizedTest
    @ValueSource(strings = {"=1+1", "+49", "-x", "@a", "'=b", "''", "'s", "plain", "=", "\ttab"})
    void theGuardAgainstFormulasComesOffAgain(String text) {
        String guarded = Formulas.guard(text);
        assertThat(Formulas.unguard(guarded)).isEqualTo(text);
        assertThat(guarded).doesNotMatch("(?s)[=+\\-@\\t].*");
    }

    @Test
    void aNameThatLooksLikeAFormulaGoesOutGuardedAndComesBack() {
        List<Member> odd = List.of(new Member(student("odd", "=HYPERLINK(1)", "13", "1990-01-01"), List.of()));
        assertThat(new String(written(odd), StandardCharsets.UTF_8)).contains("'=HYPERLINK(1)");
        assertThat(roster(written(odd), odd).preview().same()).isEqualTo(1);
    }

    @Test
    void twentyThousandLinesAreReadAndOnlySomeAreShown() {
        String csv = IntStream.range(0, 20_000)
                .mapToObj(i -> "Person " + i + "," + (i % 100 == 0 ? "31.02.2001" : "01.02.2001"))
                .collect(Collectors.joining("\n", "name,born\n", "\n"));
        Preview preview = roster(csv).preview();
        assertThat(preview.add()).isEqualTo(19_800);
        assertThat(preview.bad()).isEqualTo(200);
        assertThat(preview.lines()).hasSize(2 * Preview.MOST_SHOWN);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "''                  | CSV_EMPTY",
                "'surname,born'      | CSV_HEADER",
                "'name,name'         | CSV_HEADER",
                "'name,born\n\"Open' | CSV_READABLE",
            })
    void whatIsNoSheetIsRefused(String csv, String rule) {
        assertThatThrownBy(() -> roster(csv)).isInstanceOfSatisfying(ArchiveRefused.class, refused -> assertThat(
                        refused.breaches().get(0).rule())
                .isEqualTo(rule));
    }

    @Test
    void aHeaderThatIsTooLongIsRefusedBeforeItIsLookedThrough() {
        assertThatThrownBy(() -> roster("name," + "x,".repeat(500) + "y\n"))
                .hasMessageContaining("more than 500 columns");
        assertThatThrownBy(() -> roster("x".repeat(3_000_000) + "\n")).hasMessageContaining("none called name");
    }

    @Test
    void aFileThatIsNoTextIsRefused() {
        assertThatThrownBy(() -> roster(new byte[] {'P', 'K', 3, 4, 0, 0, 'x'}, MEMBERS))
                .hasMessageContaining("not a text file");
    }

    @Test
    void attendanceFindsTheClassByDateAndTrackAndNeverTakesItTwice() {
        List<TrainingClass> classes = List.of(
                trained("throws-1", "throws", LocalTime.of(19, 0)), trained("ground-1", "ground", LocalTime.of(20, 0)));
        Attendance there = new Attendance("a1", "bo-test", "throws-1", null, Instant.EPOCH, "head");
        String csv = "student,date,track\nAna Test,03.02.2026,throws\n11,03.02.2026,\n12,03.02.2026,throws\n"
                + "ana-test,03.02.2026,throws\nNobody,03.02.2026,throws\nana-test,04.02.2026,throws\n";
        Plan<Attendance> plan = attendance(sheet(csv), classes, there);
        assertThat(plan.add()).singleElement().satisfies(a -> {
            assertThat(a.student()).isEqualTo("ana-test");
            assertThat(a.classId()).isEqualTo("throws-1");
        });
        assertThat(plan.preview().same()).isEqualTo(1);
        assertThat(plan.preview().lines())
                .filteredOn(l -> l.what() == Preview.What.BAD)
                .extracting(Preview.Line::why)
                .containsExactly(
                        "there were 2 classes on 2026-02-03; give the track or the start",
                        "the same attendance as on line 2",
                        "nobody here is called Nobody, nor carries it as id or card",
                        "there was no such class on 2026-02-04");
    }

    @Test
    void attendanceGoesThroughASheetWithItsMomentAndItsWay() {
        List<TrainingClass> classes = List.of(trained("throws-1", "throws", LocalTime.of(19, 0)));
        Attendance there = new Attendance(
                "a1", "bo-test", "throws-1", Attendance.How.CARD, Instant.parse("2026-02-03T18:58:11Z"), "coach");
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        AttendanceCsv.write(out, to -> to.accept(new AttendanceCsv.Line(there, "Bo Test", classes.get(0))));
        byte[] csv = out.toByteArray();
        assertThat(attendance(csv, classes, null).add())
                .singleElement()
                .returns("bo-test", Attendance::student)
                .returns(Attendance.How.CARD, Attendance::how)
                .returns(there.at(), Attendance::at)
                .returns("head", Attendance::by);
        assertThat(attendance(csv, classes, there).preview().same()).isEqualTo(1);
        String early = "student,class\nbo-test,throws-0\n11,\n";
        assertThat(attendance(sheet(early), classes, null).preview().lines())
                .extracting(Preview.Line::why)
                .containsExactly("there is no class throws-0", "neither class nor date is given");
    }

    private static Plan<Attendance> attendance(byte[] csv, List<TrainingClass> classes, Attendance there) {
        AttendanceCsv.Classes lookUp = new AttendanceCsv.Classes() {
            @Override
            public Optional<TrainingClass> trained(String id) {
                return classes.stream().filter(c -> c.id().equals(id)).findFirst();
            }

            @Override
            public List<TrainingClass> on(LocalDate day) {
                return classes.stream().filter(c -> c.date().equals(day)).toList();
            }
        };
        return AttendanceCsv.plan(
                csv,
                Roll.of(MEMBERS),
                lookUp,
                (student, trained) -> there != null
                        && there.student().equals(student)
                        && there.classId().equals(trained),
                null,
                "head");
    }

    private static TrainingClass trained(String id, String track, LocalTime start) {
        LocalDate day = LocalDate.of(2026, 2, 3);
        return TrainingClassBuilder.builder()
                .id(id)
                .date(day)
                .start(start)
                .minutes(60)
                .track(track)
                .build();
    }

    private static final GrapplingMap MAP = GrapplingMap.of(Json.read(
            "{\"techniques\":[{\"id\":\"body-drop\",\"name\":\"Body drop\",\"family\":\"THROW\",\"learn\":3,"
                    + "\"master\":3,\"aliases\":[{\"text\":\"tai-otoshi\",\"tongue\":\"Japanese\"}],"
                    + "\"faults\":[{\"id\":\"fault-1\",\"see\":\"s\",\"because\":\"b\",\"fix\":\"f\"}]}]}",
            MapData.class));

    @Test
    void marksNameATechniqueInAnyTongueAndAreTheSameWhenReadAgain() {
        String csv = "student,technique,standard,passed,date,faults\n11,Tai-Otoshi,shown,yes,2026-02-03,\n"
                + "11,Tai-Otoshi,shown,no,2026-02-03,fault-9\n11,cartwheel,shown,yes,2026-02-03,\n"
                + "11,body drop,shown,maybe,2026-02-03,\n11,body drop,shown,yes,2026-12-24,\n";
        Plan<Mark> plan = marks(csv, List.of());
        assertThat(plan.add()).singleElement().satisfies(m -> {
            assertThat(m.subject()).isEqualTo("body-drop");
            assertThat(m.standard()).isEqualTo(Standard.SHOWN);
        });
        assertThat(plan.preview().lines())
                .filteredOn(l -> l.what() == Preview.What.BAD)
                .extracting(Preview.Line::why)
                .containsExactly(
                        "Body drop has no fault called fault-9",
                        "there is no technique, chain or item called cartwheel",
                        "passed maybe is neither yes nor no",
                        "the date 2026-12-24 has not come yet");
        assertThat(marks(csv, plan.add()).preview().same()).isEqualTo(1);
        String written = written(plan.add().stream());
        assertThat(marks(written, plan.add()).preview().same()).isEqualTo(1);
    }

    /** A pass on a better day, a failure that was taken back: what stands must be the same after the way through a sheet. */
    @Test
    void whatStandsIsTheSameAfterTheWayThroughASheet() {
        List<Mark> marks = List.of(
                mark("m-2", true, "2026-02-03T18:40:00Z", null),
                mark("m-1", false, "2026-02-03T18:30:00Z", null),
                mark("m-4", false, "2026-02-05T18:30:00Z", "m-3"),
                mark("m-3", false, "2026-02-04T18:30:00Z", null));
        String csv = written(marks.stream().sorted(Comparator.comparing(Mark::at)));
        List<Mark> read = marks(csv, List.of()).add();
        assertThat(read).extracting(Mark::id).containsExactly("m-1", "m-2", "m-3", "m-4");
        assertThat(read).extracting(Mark::at).isSorted();
        assertThat(MarkBook.of(read).standing().values())
                .extracting(MarkBook.Standing::mark)
                .containsOnly("m-2");
    }

    @ParameterizedTest(name = "{0} → {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "no,m-9,           | there is no mark m-9 to take back",
                "yes,m-1,          | what takes mark m-1 back is not passed",
                "no,m-8,           | mark m-8 is somebody else's",
                "no,,yesterday     | at yesterday is not a moment written like 2026-11-24T18:30:00Z",
                "no,,2026-11-27T18:00:00Z | has not come yet",
            })
    void marksThatCannotBeTakenSayWhy(String cells, String why) {
        String csv = "student,technique,passed,withdraws,at\n11,body drop," + cells + "\n";
        Mark hers = mark("m-1", false, "2026-02-03T18:30:00Z", null);
        Mark his = MarkBuilder.builder()
                .id("m-8")
                .student("bo-test")
                .subject("body-drop")
                .standard(Standard.SHOWN)
                .at(hers.at())
                .by("coach")
                .build();
        List<Mark> there = List.of(hers, his);
        assertThat(marks(csv, there).preview().lines()).singleElement().satisfies(line -> assertThat(
                        line.what() + ": " + line.why())
                .startsWith("BAD")
                .contains(why));
    }

    private static Mark mark(String id, boolean passed, String at, String withdraws) {
        return MarkBuilder.builder()
                .id(id)
                .student("ana-test")
                .subject("body-drop")
                .standard(Standard.SHOWN)
                .passed(passed)
                .at(Instant.parse(at))
                .by("coach")
                .withdraws(withdraws)
                .build();
    }

    private static String written(Stream<Mark> marks) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        MarksCsv.write(out, to -> marks.forEach(mark -> to.accept(new MarksCsv.Line(mark, "Ana Test", ""))));
        return out.toString(StandardCharsets.UTF_8);
    }

    private static Plan<Mark> marks(String csv, List<Mark> there) {
        return MarksCsv.plan(
                sheet(csv),
                Roll.of(MEMBERS),
                MAP,
                List.of(),
                Set.of(),
                id -> there.stream().filter(mark -> mark.id().equals(id)).findFirst(),
                null,
                TODAY,
                "head");
    }
}
