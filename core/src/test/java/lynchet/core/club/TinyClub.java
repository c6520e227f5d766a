package lynchet.core.club;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainStep;
import lynchet.core.grading.Grading;
import lynchet.core.leak.IgnoredLeak;
import lynchet.core.map.MapData;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.Block;
import lynchet.core.mat.BlockBuilder;
import lynchet.core.mat.ClassPattern;
import lynchet.core.mat.Credit;
import lynchet.core.mat.DrillShape;
import lynchet.core.mat.Mark;
import lynchet.core.mat.MarkBuilder;
import lynchet.core.mat.Pairing;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.PracticeEntryBuilder;
import lynchet.core.mat.Standard;
import lynchet.core.mat.Start;
import lynchet.core.mat.Tally;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.core.mat.TrainingClassBuilder;
import lynchet.core.people.Ask;
import lynchet.core.people.Brought;
import lynchet.core.people.Promotion;
import lynchet.core.people.Student;
import lynchet.core.people.StudentBuilder;
import lynchet.core.people.SyllabusMove;
import lynchet.core.promote.Belt;
import lynchet.core.promote.Merit;
import lynchet.core.promote.Nomination;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Policy;
import lynchet.core.rank.Rank;
import lynchet.core.rank.SyllabusGroup;
import lynchet.core.round.Round;
import lynchet.core.round.RoundBuilder;
import lynchet.core.safety.Incident;
import lynchet.core.safety.IncidentBuilder;
import lynchet.core.term.Closure;
import lynchet.core.term.Term;
import lynchet.core.term.TermPlan;
import lynchet.core.term.cycle.ThemeCycle;
import lynchet.core.walk.Finding;
import lynchet.core.walk.IgnoredGap;
import lynchet.core.words.Word;

/** The smallest club that has one sound thing of each kind; tests change one of them. */
public final class TinyClub {

    static final LocalDate DAY = LocalDate.of(2026, 3, 2);
    static final Instant AT = Instant.parse("2026-03-02T18:30:00Z");

    final TinyMap map = new TinyMap().pair("guard", Stage.LEGS_BETWEEN, 0.5).link("sweep", "guard", "hip-bump", "s");
    final List<Chain> chains = one(chain("line", "guard", "sweep"));
    final List<Ladder> ladders = one(ladder("adult", null, null, "hip-bump").publishing(DAY.minusYears(5)));
    final List<Word> words = one(word("kuzushi", "hip-bump"));
    final List<DrillShape> drills = one(drill("shrimps", "hip-bump", "guard"));
    final List<Track> tracks = one(track("all", "mondays"));
    final List<Term> terms = one(term("spring", "mondays"));
    final List<Closure> closures =
            one(new Closure("easter", "Easter", DAY.plusDays(30), DAY.plusDays(33), List.of("all")));
    final List<ClassPattern> patterns = one(
            new ClassPattern("usual", "Usual", trained("c0", "all", "hip-bump").blocks()));
    final List<IgnoredLeak> ignoredLeaks = one(new IgnoredLeak("leak", "guard", "taught in March", DAY));
    final List<Student> people = one(student("ana", "11"));
    final List<Promotion> promotions = one(given("gave", "ana", "adult", "white"));
    final List<TrainingClass> classes = one(trained("c1", "all", "hip-bump"));
    final List<Attendance> attendance = one(new Attendance("a1", "ana", "c1", null, AT, "coach"));
    final List<PracticeEntry> practice = one(practice("p1", "c1", "ana", "hip-bump"));
    final List<Mark> marks = one(mark("m1", "ana", "hip-bump", "c1", null));
    final List<Grading> gradings = one(grading("g1", "adult", "ana", "white"));
    final List<Round> rounds = one(round("r1", "bo", "c1", null, "sweep", null));

    final List<Ask> asks = one(new Ask("ask1", "ana", DAY, "coach", "how to get up", "hip-bump", null));
    final List<Incident> incidents = one(IncidentBuilder.builder()
            .id("inc1")
            .student("ana")
            .partner("bo")
            .classId("c1")
            .on(DAY)
            .kind(Incident.Kind.INJURY)
            .what("fell on the elbow")
            .done("ice")
            .by("coach")
            .build());
    final List<Credit> credits =
            one(new Credit("cr1", "ana", "hip-bump", null, 200, DAY, "from before", null, "coach"));
    final List<Brought> brought =
            one(new Brought("br1", "ana", "adult", "white", Brought.Answer.NOTHING, List.of(), DAY, null, "coach"));
    final List<SyllabusMove> syllabusMoves = one(new SyllabusMove("sm1", "ana", "adult", "white", DAY));
    final List<Nomination> nominations =
            one(new Nomination("n1", "ana", "adult", "white", DAY.withDayOfMonth(1), null, null, null, "coach"));
    final List<Merit> merits = one(new Merit("me1", "ana", Merit.Kind.SEMINAR, DAY, 3, "summer", null, "coach"));
    final List<Belt> belts = one(new Belt("yellow-260", List.of("yellow"), "260", 2));
    final List<Tally> tallies = new ArrayList<>();
    final List<TermPlan> plans = one(new TermPlan(
            "p1",
            "spring",
            "all",
            2,
            0,
            List.of(new TermPlan.Goal("hip-bump", null, true, null, false)),
            List.of(new TermPlan.Placed("hip-bump", "mondays", DAY, false))));
    final List<ThemeCycle> cycles =
            one(new ThemeCycle("cy1", "all", DAY, 30, List.of(new ThemeCycle.Theme("Bumps", List.of("hip-bump")))));
    final List<Start> starts = one(new Start("st1", "c1", "b", "guard", true, null, "coach"));
    final List<Pairing> pairings =
            one(new Pairing("pr1", "c1", null, 1, List.of(new Pairing.Together(List.of("ana", "bo"))), null, "coach"));
    final List<IgnoredGap> ignoredGaps = one(gap("leave", null, "guard", "hip-bump"));

    TinyClub() {
        people.add(student("bo", "12"));
    }

    @SafeVarargs
    private static <T> List<T> one(T... things) {
        return new ArrayList<>(List.of(things));
    }

    Club club() {
        return club(map.data());
    }

    Club club(MapData on) {
        return Club.teaching("Tiny", on, chains, ladders, words, drills)
                .with(Parts.TRACKS, tracks)
                .with(Parts.TERMS, terms)
                .with(Parts.CLOSURES, closures)
                .with(Parts.PATTERNS, patterns)
                .with(Parts.IGNORED_LEAKS, ignoredLeaks)
                .with(Parts.PLANS, plans)
                .with(Parts.CYCLES, cycles)
                .with(Parts.PEOPLE, people)
                .with(Parts.PROMOTIONS, promotions)
                .with(Parts.CLASSES, classes)
                .with(Parts.ATTENDANCE, attendance)
                .with(Parts.PRACTICE, practice)
                .with(Parts.MARKS, marks)
                .with(Parts.GRADINGS, gradings)
                .with(Parts.ROUNDS, rounds)
                .with(Parts.IGNORED_GAPS, ignoredGaps)
                .with(Parts.ASKS, asks)
                .with(Parts.INCIDENTS, incidents)
                .with(Parts.CREDITS, credits)
                .with(Parts.BROUGHT, brought)
                .with(Parts.SYLLABUS_MOVES, syllabusMoves)
                .with(Parts.NOMINATIONS, nominations)
                .with(Parts.MERITS, merits)
                .with(Parts.BELTS, belts)
                .with(Parts.TALLIES, tallies)
                .with(Parts.PAIRINGS, pairings)
                .with(Parts.STARTS, starts);
    }

    static Chain chain(String id, String start, String link) {
        return new Chain(id, id, null, null, start, new ChainStep(link, null), false);
    }

    static Ladder ladder(String id, String ruleset, String next, String technique) {
        Item item = new Item("i-" + id, Item.Kind.TECHNIQUE, technique, null, null, null, null, null, 0, 0);
        Rank white = new Rank(
                id.equals("adult") ? "white" : id + "-white",
                "White",
                List.of("white"),
                0,
                0,
                0,
                List.of(new SyllabusGroup("All", 0, List.of(item))));
        Policy policy = new Policy(null, null, 0, false, null, 0, 0, 0, null, false, false, false);
        return new Ladder(id, id, 0, 0, ruleset, false, List.of(white), policy, next, null, null, null);
    }

    /** Another ladder with the same ranks. */
    static Ladder likeWith(String id, Ladder other) {
        return new Ladder(id, id, 0, 0, null, false, other.ranks(), other.policy(), null, null, null, null);
    }

    static Word word(String id, String technique) {
        return new Word(id, id, "Japanese", null, "what it means", List.of(technique));
    }

    static DrillShape drill(String id, String technique, String start) {
        return new DrillShape(id, id, Block.Kind.WHOLE_DRILL, technique, 0, 0, start, null, "heels", 5, null);
    }

    static Track track(String id, String slot) {
        return new Track(
                id,
                id,
                null,
                List.of(new Track.Slot(slot, null, null, DAY.getDayOfWeek(), LocalTime.of(18, 30), 60, null, null, 0)),
                List.of());
    }

    static Term term(String id, String slot) {
        return new Term(id, id, DAY, DAY.plusWeeks(10), List.of(slot), null, null);
    }

    /** Every other part of a student is left out. */
    public static Student student(String id, String card) {
        return StudentBuilder.builder().id(id).name(id).card(card).joined(DAY).build();
    }

    static Promotion given(String id, String student, String ladder, String rank) {
        return Promotion.fromBefore(id, student, ladder, rank, 0, DAY);
    }

    static TrainingClass trained(String id, String track, String technique) {
        Block block = BlockBuilder.builder()
                .id("b1")
                .kind(Block.Kind.WHOLE_DRILL)
                .title("Drill")
                .minutes(20)
                .technique(technique)
                .build();
        return trained(id, DAY, track, List.of(block), false);
    }

    /** A class at half past six. */
    public static TrainingClass trained(String id, LocalDate day, String track, List<Block> blocks, boolean cancelled) {
        return TrainingClassBuilder.builder()
                .id(id)
                .date(day)
                .start(LocalTime.of(18, 30))
                .minutes(60)
                .track(track)
                .blocks(blocks)
                .cancelled(cancelled)
                .build();
    }

    static PracticeEntry practice(String id, String classId, String student, String technique) {
        return PracticeEntryBuilder.builder()
                .id(id)
                .classId(classId)
                .student(student)
                .technique(technique)
                .reps(10)
                .at(AT)
                .by("coach")
                .build();
    }

    static Mark mark(String id, String student, String subject, String classId, String withdraws) {
        return MarkBuilder.builder()
                .id(id)
                .student(student)
                .subject(subject)
                .standard(Standard.SHOWN)
                .classId(classId)
                .at(AT)
                .by("coach")
                .withdraws(withdraws)
                .build();
    }

    static Grading grading(String id, String ladder, String student, String rank) {
        return new Grading(id, id, DAY, ladder, null, List.of(new Grading.Candidate(student, rank, null, null)));
    }

    static IgnoredGap gap(String id, String student, String position, String technique) {
        return new IgnoredGap(
                id, "white", student, Finding.Code.ONE_ANSWER, position, technique, null, "later", AT, "head");
    }

    static Round round(String id, String second, String classId, String ruleset, String link, String position) {
        Round.Event event = new Round.Event(5, Round.Who.FIRST, link, position, null, null, null, null, null);
        Round.Ended ended = new Round.Ended(Round.How.TIME, null, null, null);
        return RoundBuilder.builder()
                .id(id)
                .at(AT)
                .first("ana")
                .second(second)
                .classId(classId)
                .ruleset(ruleset)
                .ended(ended)
                .events(List.of(event))
                .by("coach")
                .build();
    }
}
