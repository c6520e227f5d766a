package lynchet.core.club;

import static lynchet.core.club.References.block;
import static lynchet.core.club.References.each;
import static lynchet.core.club.References.of;
import static lynchet.core.club.Target.CHAIN;
import static lynchet.core.club.Target.CLASS;
import static lynchet.core.club.Target.GRADING;
import static lynchet.core.club.Target.LINK;
import static lynchet.core.club.Target.MARK;
import static lynchet.core.club.Target.POSITION;
import static lynchet.core.club.Target.PROMOTION;
import static lynchet.core.club.Target.REACTION;
import static lynchet.core.club.Target.RULESET;
import static lynchet.core.club.Target.SLOT;
import static lynchet.core.club.Target.STUDENT;
import static lynchet.core.club.Target.SUBJECT;
import static lynchet.core.club.Target.TECHNIQUE;
import static lynchet.core.club.Target.TERM;
import static lynchet.core.club.Target.TRACK;

import java.util.List;
import java.util.stream.Stream;
import lynchet.core.card.Technique;
import lynchet.core.chain.Chain;
import lynchet.core.grading.Grading;
import lynchet.core.leak.IgnoredLeak;
import lynchet.core.map.Link;
import lynchet.core.map.PositionPair;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.ClassPattern;
import lynchet.core.mat.Credit;
import lynchet.core.mat.DrillShape;
import lynchet.core.mat.Mark;
import lynchet.core.mat.Pairing;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.Start;
import lynchet.core.mat.Tally;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.people.Ask;
import lynchet.core.people.Brought;
import lynchet.core.people.Promotion;
import lynchet.core.people.Student;
import lynchet.core.people.SyllabusMove;
import lynchet.core.promote.Belt;
import lynchet.core.promote.Merit;
import lynchet.core.promote.Nomination;
import lynchet.core.rank.Ladder;
import lynchet.core.round.Round;
import lynchet.core.safety.Incident;
import lynchet.core.term.Closure;
import lynchet.core.term.Term;
import lynchet.core.term.TermPlan;
import lynchet.core.term.cycle.ThemeCycle;
import lynchet.core.walk.IgnoredGap;
import lynchet.core.words.Word;

/**
 * Every part of a club, in an order in which what is pointed at comes before what points at it. A new part is a line here
 * and a table. What the parts of the map point at among themselves is {@link lynchet.core.map.WellFormed}'s.
 */
public final class Parts {

    public static final Part<PositionPair> PAIRS = Part.taught("pairs", "pair", PositionPair.class, PositionPair::id)
            .offering((pair, to) -> pair.positions().forEach(position -> to.offer(POSITION, position.id())))
            .called(pair -> pair.first().name())
            .spokenOf("the position %s", "a position")
            .withHistory()
            .retired();

    public static final Part<Technique> TECHNIQUES = Part.taught(
                    "techniques", "technique", Technique.class, Technique::id)
            .offering(References::card)
            .called(Technique::name)
            .spokenOf("%s", "a technique")
            .withHistory()
            .retired();

    public static final Part<Ruleset> RULESETS = Part.taught("rulesets", "ruleset", Ruleset.class, Ruleset::id)
            .offering((rules, to) -> to.offer(RULESET, rules.id()))
            .called(Ruleset::name)
            .spokenOf("the rules %s", "some rules")
            .withHistory();

    public static final Part<Reaction> REACTIONS = Part.taught("reactions", "reaction", Reaction.class, Reaction::id)
            .offering((r, to) -> to.offer(REACTION, r.id()))
            .called(Reaction::text)
            .spokenOf("the reaction “%s”", "a reaction")
            .withHistory()
            .retired();

    public static final Part<Link> LINKS = Part.taught("links", "link", Link.class, Link::id)
            .offering((link, to) -> to.offer(LINK, link.id()))
            .knownBy((link, names) -> way(names.of(TECHNIQUE, link.technique()), names.of(POSITION, link.from())))
            .spokenOf("the way %s", "a way")
            .withHistory()
            .retired();

    public static final Part<Chain> CHAINS = Part.taught("chains", "chain", Chain.class, Chain::id)
            .offering((chain, to) -> {
                to.offer(CHAIN, chain.id());
                to.offer(SUBJECT, chain.id());
            })
            .pointingAt(References::chain)
            .called(Chain::name)
            .ofCoaches()
            .withHistory();

    public static final Part<Track> TRACKS = Part.taught("tracks", "track", Track.class, Track::id)
            .offering((track, to) -> {
                to.offer(TRACK, track.id());
                track.slots().forEach(slot -> to.offer(SLOT, slot.id()));
            })
            .called(Track::name);

    public static final Part<Ladder> LADDERS = Part.taught("ladders", "ladder", Ladder.class, Ladder::id)
            .offering(References::ranks)
            .pointingAt(References::ladder)
            .called(Ladder::name)
            .withHistory();

    public static final Part<Word> WORDS = Part.taught("words", "word", Word.class, Word::id)
            .pointingAt((word, to) ->
                    each(word.techniques(), "techniques", (id, at) -> to.refer("WORD_TECHNIQUE", at, TECHNIQUE, id)))
            .called(Word::term);

    public static final Part<DrillShape> DRILLS = Part.taught("drills", "drill", DrillShape.class, DrillShape::id)
            .pointingAt((drill, to) -> {
                to.refer("DRILL_START", "start", POSITION, drill.start());
                to.refer("DRILL_TECHNIQUE", "technique", TECHNIQUE, drill.technique());
            })
            .called(DrillShape::name);

    public static final Part<Term> TERMS = Part.taught("terms", "term", Term.class, Term::id)
            .offering((term, to) -> to.offer(TERM, term.id()))
            .pointingAt((term, to) -> each(term.slots(), "slots", (id, at) -> to.refer("TERM_SLOT", at, SLOT, id)))
            .called(Term::name);

    public static final Part<Closure> CLOSURES = Part.taught("closures", "closure", Closure.class, Closure::id)
            .pointingAt((closure, to) ->
                    each(closure.tracks(), "tracks", (id, at) -> to.refer("CLOSURE_TRACK", at, TRACK, id)))
            .called(Closure::name)
            .spokenOf("the closed days %s", "closed days")
            .inWords("closed days")
            .notUndone();

    public static final Part<TermPlan> PLANS = Part.taught("plans", "plan", TermPlan.class, TermPlan::id)
            .knownBy((plan, names) -> names.of(TRACK, plan.track()))
            .spokenOf("the plan of %s", "a plan")
            .ofCoaches()
            .pointingAt(References::plan)
            .noTwo(new Part.Unique<>(
                    "PLAN_TWICE",
                    "track",
                    TermPlan::term,
                    TermPlan::track,
                    plan -> "this track has a plan for this term already"));

    public static final Part<ThemeCycle> CYCLES = Part.taught("cycles", "cycle", ThemeCycle.class, ThemeCycle::id)
            .knownBy((cycle, names) -> names.of(TRACK, cycle.track()))
            .spokenOf("the theme weeks of %s", "theme weeks")
            .ofCoaches()
            .pointingAt(References::cycle)
            .noTwo(new Part.Unique<>(
                    "CYCLE_TWICE",
                    "track",
                    cycle -> null,
                    ThemeCycle::track,
                    cycle -> "this track has theme weeks already"));

    public static final Part<ClassPattern> PATTERNS = Part.taught(
                    "patterns", "pattern", ClassPattern.class, ClassPattern::id)
            .pointingAt((pattern, to) -> each(pattern.blocks(), "blocks", (block, at) -> block(block, at, to)))
            .called(ClassPattern::name)
            .spokenOf("the class pattern %s", "a class pattern")
            .inWords("kept class")
            .ofCoaches();

    public static final Part<IgnoredLeak> IGNORED_LEAKS = Part.taught(
                    "ignoredLeaks", "ignoredLeak", IgnoredLeak.class, IgnoredLeak::id)
            .pointingAt((leak, to) -> to.refer("LEAK_POSITION", "position", POSITION, leak.position()))
            .knownBy((leak, names) -> names.of(POSITION, leak.position()))
            .spokenOf("that being caught from %s is left for now", "a leak left for now")
            .inWords("leak left for now")
            .ofCoaches();

    public static final Part<ClubNumbers> NUMBERS = Part.taught(
                    "numbers", "numbers", ClubNumbers.class, ClubNumbers::id)
            .spokenOf("%s", "the club’s numbers")
            .withHistory();

    public static final Part<Student> PEOPLE = Part.record("people", "student", Student.class, Student::id)
            .offering((student, to) -> to.offer(STUDENT, student.id()))
            .pointingAt(References::mates)
            .noTwo(new Part.Unique<>(
                    "CARD_UNIQUE",
                    "card",
                    s -> null,
                    Student::card,
                    s -> "the card " + s.card() + " belongs to two people"))
            .called(Student::name)
            .spokenOf("%s", "somebody")
            .inWords("person");

    public static final Part<TrainingClass> CLASSES = Part.record(
                    "classes", "class", TrainingClass.class, TrainingClass::id)
            .offering((trained, to) -> to.offer(CLASS, trained.id()))
            .pointingAt(References::trained)
            .knownBy((trained, names) -> names.of(TRACK, trained.track()))
            .spokenOf("the class %s", "a class")
            .undone()
            .ofCoaches();

    public static final Part<Grading> GRADINGS = Part.record("gradings", "grading", Grading.class, Grading::id)
            .offering((grading, to) -> to.offer(GRADING, grading.id()))
            .pointingAt(References::grading);

    public static final Part<Promotion> PROMOTIONS = Part.record(
                    "promotions", "promotion", Promotion.class, Promotion::id)
            .pointingAt(References::promotion)
            .offering((given, to) -> to.offer(PROMOTION, of(given.student(), given.id())))
            .knownBy((one, names) -> names.of(STUDENT, one.student()))
            .spokenOf("a promotion of %s", "a promotion");

    public static final Part<Attendance> ATTENDANCE = Part.record(
                    "attendance", "attendance", Attendance.class, Attendance::id)
            .pointingAt(References::attendance)
            .noTwo(new Part.Unique<>(
                    "ATTENDANCE_ONCE",
                    "student",
                    Attendance::classId,
                    Attendance::student,
                    there -> "somebody is twice in one class"))
            .knownBy((one, names) -> names.of(STUDENT, one.student()))
            .spokenOf("that %s was here", "that somebody was here");

    public static final Part<PracticeEntry> PRACTICE = Part.record(
                    "practice", "practice", PracticeEntry.class, PracticeEntry::id)
            .pointingAt(References::practice)
            .knownBy((one, names) -> names.of(STUDENT, one.student()))
            .spokenOf("what %s drilled", "what a class drilled")
            .undone()
            .ofCoaches();

    public static final Part<Mark> MARKS = Part.record("marks", "mark", Mark.class, Mark::id)
            .offering((mark, to) -> to.offer(MARK, of(mark.student(), mark.id())))
            .pointingAt(References::mark)
            .knownBy((one, names) -> names.of(STUDENT, one.student()))
            .spokenOf("a mark of %s", "a mark")
            .undone()
            .ofCoaches();

    public static final Part<Round> ROUNDS = Part.record("rounds", "round", Round.class, Round::id)
            .pointingAt(References::round)
            .knownBy((round, names) -> names.of(STUDENT, round.first()))
            .spokenOf("a round of %s", "a round")
            .undone()
            .ofCoaches();

    public static final Part<IgnoredGap> IGNORED_GAPS = Part.record(
                    "ignoredGaps", "gap", IgnoredGap.class, IgnoredGap::id)
            .pointingAt(References::gap)
            .knownBy((gap, names) -> names.of(POSITION, gap.position()))
            .spokenOf("the gap at %s", "a gap")
            .undone()
            .goesWithItsPerson();

    public static final Part<Ask> ASKS = Part.record("asks", "ask", Ask.class, Ask::id)
            .pointingAt(References::ask)
            .knownBy((ask, names) ->
                    ask.words() == null || ask.words().isBlank() ? names.of(STUDENT, ask.student()) : ask.words())
            .spokenOf("what was asked: %s", "what was asked")
            .undone()
            .ofCoaches()
            .goesWithItsPerson();

    public static final Part<Incident> INCIDENTS =
            Part.record("incidents", "incident", Incident.class, Incident::id).pointingAt(References::incident);

    public static final Part<Credit> CREDITS = Part.record("credits", "credit", Credit.class, Credit::id)
            .pointingAt(References::credit)
            .knownBy((one, names) -> names.of(STUDENT, one.student()))
            .spokenOf("work alone of %s", "work alone")
            .undone()
            .ofCoaches();

    /** What was asked on the day is kept as it stood; it points at nothing that it would keep from being changed. */
    public static final Part<Brought> BROUGHT = Part.record("brought", "brought", Brought.class, Brought::id)
            .pointingAt(References::brought)
            .noTwo(new Part.Unique<>(
                    "BROUGHT_TWICE",
                    "ladder",
                    Brought::student,
                    Brought::ladder,
                    brought -> "it is said already what they brought to this ladder"))
            .knownBy((one, names) -> names.of(STUDENT, one.student()))
            .spokenOf("what %s brought", "what somebody brought")
            .undone()
            .ofCoaches()
            .goesWithItsPerson();

    public static final Part<SyllabusMove> SYLLABUS_MOVES = Part.record(
                    "syllabusMoves", "syllabusMove", SyllabusMove.class, SyllabusMove::id)
            .pointingAt(References::move)
            .noTwo(new Part.Unique<>(
                    "MOVED_TWICE",
                    "ladder",
                    SyllabusMove::student,
                    SyllabusMove::ladder,
                    move -> "it is said already which syllabus they stand on"))
            .knownBy((one, names) -> names.of(STUDENT, one.student()))
            .spokenOf("which syllabus %s stands on", "which syllabus somebody stands on")
            .undone()
            .goesWithItsPerson();

    public static final Part<Nomination> NOMINATIONS = Part.record(
                    "nominations", "nomination", Nomination.class, Nomination::id)
            .pointingAt(References::nomination)
            .knownBy((one, names) -> names.of(STUDENT, one.student()))
            .spokenOf("a nomination of %s", "a nomination")
            .goesWithItsPerson();

    public static final Part<Merit> MERITS = Part.record("merits", "merit", Merit.class, Merit::id)
            .pointingAt((merit, to) -> to.refer("RECORD_STUDENT", "student", STUDENT, merit.student()))
            .knownBy((one, names) -> names.of(STUDENT, one.student()))
            .spokenOf("a merit of %s", "a merit");

    public static final Part<Belt> BELTS = Part.record("belts", "belt", Belt.class, Belt::id);

    public static final Part<Tally> TALLIES = Part.record("tallies", "tally", Tally.class, Tally::id)
            .pointingAt(References::tally)
            .spokenOf("%s", "a fault of the room")
            .undone()
            .ofCoaches();

    public static final Part<Pairing> PAIRINGS =
            Part.record("pairings", "pairing", Pairing.class, Pairing::id).pointingAt(References::pairing);

    public static final Part<Start> STARTS = Part.record("starts", "start", Start.class, Start::id)
            .pointingAt((start, to) -> {
                to.refer("RECORD_CLASS", "classId", CLASS, start.classId());
                to.refer("START_POSITION", "position", POSITION, start.position());
            });

    /** All of them, each after what it points at. */
    public static final List<Part<?>> ALL = List.of(
            PAIRS,
            TECHNIQUES,
            RULESETS,
            REACTIONS,
            LINKS,
            CHAINS,
            TRACKS,
            LADDERS,
            WORDS,
            DRILLS,
            TERMS,
            CLOSURES,
            PATTERNS,
            PLANS,
            CYCLES,
            IGNORED_LEAKS,
            NUMBERS,
            PEOPLE,
            CLASSES,
            GRADINGS,
            PROMOTIONS,
            ATTENDANCE,
            PRACTICE,
            MARKS,
            ROUNDS,
            IGNORED_GAPS,
            ASKS,
            INCIDENTS,
            CREDITS,
            BROUGHT,
            SYLLABUS_MOVES,
            NOMINATIONS,
            MERITS,
            BELTS,
            TALLIES,
            PAIRINGS,
            STARTS);

    /** Those that stand inside the archive's {@code map}. */
    public static final List<Part<?>> MAP = List.of(PAIRS, TECHNIQUES, LINKS, REACTIONS, RULESETS);

    /** Those that the shipped library has something of. */
    public static final List<Part<?>> LIBRARY =
            List.of(PAIRS, TECHNIQUES, LINKS, REACTIONS, RULESETS, CHAINS, LADDERS, WORDS, DRILLS);

    private Parts() {}

    /** Those that are read all at once: the map, what is taught and the calendar. */
    public static Stream<Part<?>> taught() {
        return ALL.stream().filter(part -> !part.isRecord());
    }

    /** Those that record what happened. */
    public static Stream<Part<?>> records() {
        return ALL.stream().filter(Part::isRecord);
    }

    private static String way(String technique, String from) {
        return technique == null || from == null ? technique : technique + " from " + from;
    }
}
