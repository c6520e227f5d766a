package lynchet.core.club;

import static lynchet.core.club.References.block;
import static lynchet.core.club.References.each;
import static lynchet.core.club.References.of;
import static lynchet.core.club.References.step;
import static lynchet.core.club.Target.CHAIN;
import static lynchet.core.club.Target.CLASS;
import static lynchet.core.club.Target.FAULT;
import static lynchet.core.club.Target.GRADING;
import static lynchet.core.club.Target.LADDER;
import static lynchet.core.club.Target.LINK;
import static lynchet.core.club.Target.MARK;
import static lynchet.core.club.Target.POSITION;
import static lynchet.core.club.Target.PROMOTION;
import static lynchet.core.club.Target.RANK;
import static lynchet.core.club.Target.RANK_OF_LADDER;
import static lynchet.core.club.Target.REACTION;
import static lynchet.core.club.Target.RULESET;
import static lynchet.core.club.Target.SLOT;
import static lynchet.core.club.Target.STUDENT;
import static lynchet.core.club.Target.SUBJECT;
import static lynchet.core.club.Target.TECHNIQUE;
import static lynchet.core.club.Target.TERM;
import static lynchet.core.club.Target.TRACK;
import static lynchet.core.club.Target.VERSION;

import java.util.List;
import java.util.stream.Stream;
import lynchet.core.card.Technique;
import lynchet.core.chain.Chain;
import lynchet.core.grading.Grading;
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
            .pointingAt((chain, to) -> {
                to.refer("CHAIN_START", "start", POSITION, chain.start());
                if (chain.first() != null) {
                    step(chain.first(), "first", to);
                }
            })
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
            .pointingAt((plan, to) -> {
                to.refer("PLAN_TERM", "term", TERM, plan.term());
                to.refer("PLAN_TRACK", "track", TRACK, plan.track());
                each(plan.goals(), "goals", (goal, at) -> {
                    to.refer("PLAN_TECHNIQUE", at + "/technique", TECHNIQUE, goal.technique());
                    to.refer("PLAN_CHAIN", at + "/chain", CHAIN, goal.chain());
                });
                each(plan.placed(), "placed", (one, at) -> {
                    to.refer("PLAN_GOAL", at + "/goal", SUBJECT, one.goal());
                    to.refer("PLAN_SLOT", at + "/slot", SLOT, one.slot());
                });
            })
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
            .pointingAt((cycle, to) -> {
                to.refer("CYCLE_TRACK", "track", TRACK, cycle.track());
                each(
                        cycle.themes(),
                        "themes",
                        (theme, in) -> each(
                                theme.subjects(),
                                in + "/subjects",
                                (id, at) -> to.refer("CYCLE_SUBJECT", at, SUBJECT, id)));
            })
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

    public static final Part<ClubNumbers> NUMBERS = Part.taught(
                    "numbers", "numbers", ClubNumbers.class, ClubNumbers::id)
            .spokenOf("%s", "the club’s numbers")
            .withHistory();

    public static final Part<Student> PEOPLE = Part.record("people", "student", Student.class, Student::id)
            .offering((student, to) -> to.offer(STUDENT, student.id()))
            .pointingAt((student, to) -> {
                each(student.tracks(), "tracks", (id, at) -> to.refer("STUDENT_TRACK", at, TRACK, id));
                each(student.keepApart(), "keepApart", (id, at) -> to.refer("KEEP_APART", at, STUDENT, id));
                each(student.prefers(), "prefers", (id, at) -> to.refer("PREFERS", at, STUDENT, id));
            })
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
            .pointingAt((grading, to) -> {
                to.refer("GRADING_LADDER", "ladder", LADDER, grading.ladder());
                each(grading.candidates(), "candidates", (candidate, at) -> {
                    to.refer("RECORD_STUDENT", at + "/student", STUDENT, candidate.student());
                    to.refer("CANDIDATE_RANK", at + "/rank", RANK_OF_LADDER, grading.ladder() + "/" + candidate.rank());
                });
            });

    public static final Part<Promotion> PROMOTIONS = Part.record(
                    "promotions", "promotion", Promotion.class, Promotion::id)
            .pointingAt((given, to) -> {
                to.refer("RECORD_STUDENT", "student", STUDENT, given.student());
                to.refer("PROMOTION_LADDER", "ladder", LADDER, given.ladder());
                to.refer("PROMOTION_RANK", "from", RANK_OF_LADDER, of(given.ladder(), given.from()));
                to.refer("PROMOTION_RANK", "to", RANK_OF_LADDER, of(given.ladder(), given.to()));
                to.refer("PROMOTION_GRADING", "grading", GRADING, given.grading());
                to.refer("PROMOTION_CORRECTS", "corrects", PROMOTION, of(given.student(), given.corrects()));
            })
            .offering((given, to) -> to.offer(PROMOTION, of(given.student(), given.id())))
            .knownBy((one, names) -> names.of(STUDENT, one.student()))
            .spokenOf("a promotion of %s", "a promotion");

    public static final Part<Attendance> ATTENDANCE = Part.record(
                    "attendance", "attendance", Attendance.class, Attendance::id)
            .pointingAt((there, to) -> {
                to.refer("RECORD_STUDENT", "student", STUDENT, there.student());
                to.refer("RECORD_CLASS", "classId", CLASS, there.classId());
            })
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
            .pointingAt((entry, to) -> {
                to.refer("RECORD_STUDENT", "student", STUDENT, entry.student());
                to.refer("RECORD_CLASS", "classId", CLASS, entry.classId());
                to.refer("RECORD_SUBJECT", "technique", TECHNIQUE, entry.technique());
                to.refer("RECORD_SUBJECT", "chain", CHAIN, entry.chain());
                each(entry.except(), "except", (id, at) -> to.refer("RECORD_STUDENT", at, STUDENT, id));
            })
            .knownBy((one, names) -> names.of(STUDENT, one.student()))
            .spokenOf("what %s drilled", "what a class drilled")
            .undone()
            .ofCoaches();

    public static final Part<Mark> MARKS = Part.record("marks", "mark", Mark.class, Mark::id)
            .offering((mark, to) -> to.offer(MARK, of(mark.student(), mark.id())))
            .pointingAt((mark, to) -> {
                to.refer("RECORD_STUDENT", "student", STUDENT, mark.student());
                to.refer("RECORD_CLASS", "classId", CLASS, mark.classId());
                to.refer("RECORD_SUBJECT", "subject", SUBJECT, mark.subject());
                to.refer("MARK_VERSION", "version", VERSION, of(mark.subject(), mark.version()));
                each(mark.faults(), "faults", (id, at) -> to.refer("MARK_FAULT", at, FAULT, of(mark.subject(), id)));
                to.refer("MARK_WITHDRAWS", "withdraws", MARK, of(mark.student(), mark.withdraws()));
            })
            .knownBy((one, names) -> names.of(STUDENT, one.student()))
            .spokenOf("a mark of %s", "a mark")
            .undone()
            .ofCoaches();

    public static final Part<Round> ROUNDS = Part.record("rounds", "round", Round.class, Round::id)
            .pointingAt(References::round)
            .undone();

    public static final Part<IgnoredGap> IGNORED_GAPS = Part.record(
                    "ignoredGaps", "gap", IgnoredGap.class, IgnoredGap::id)
            .pointingAt((gap, to) -> {
                to.refer("GAP_RANK", "rank", RANK, gap.rank());
                to.refer("RECORD_STUDENT", "student", STUDENT, gap.student());
                to.refer("GAP_POSITION", "position", POSITION, gap.position());
                to.refer("GAP_TECHNIQUE", "technique", TECHNIQUE, gap.technique());
                to.refer("GAP_REACTION", "reaction", REACTION, gap.reaction());
            })
            .knownBy((gap, names) -> names.of(POSITION, gap.position()))
            .spokenOf("the gap at %s", "a gap")
            .undone()
            .goesWithItsPerson();

    public static final Part<Ask> ASKS = Part.record("asks", "ask", Ask.class, Ask::id)
            .pointingAt((ask, to) -> {
                to.refer("RECORD_STUDENT", "student", STUDENT, ask.student());
                to.refer("RECORD_SUBJECT", "subject", SUBJECT, ask.subject());
            })
            .knownBy((ask, names) ->
                    ask.words() == null || ask.words().isBlank() ? names.of(STUDENT, ask.student()) : ask.words())
            .spokenOf("what was asked: %s", "what was asked")
            .undone()
            .ofCoaches()
            .goesWithItsPerson();

    public static final Part<Incident> INCIDENTS = Part.record("incidents", "incident", Incident.class, Incident::id)
            .pointingAt((incident, to) -> {
                to.refer("RECORD_STUDENT", "student", STUDENT, incident.student());
                to.refer("RECORD_STUDENT", "partner", STUDENT, incident.partner());
                to.refer("RECORD_CLASS", "classId", CLASS, incident.classId());
            });

    public static final Part<Credit> CREDITS = Part.record("credits", "credit", Credit.class, Credit::id)
            .pointingAt((credit, to) -> {
                to.refer("RECORD_STUDENT", "student", STUDENT, credit.student());
                to.refer("RECORD_SUBJECT", "subject", SUBJECT, credit.subject());
            })
            .knownBy((one, names) -> names.of(STUDENT, one.student()))
            .spokenOf("work alone of %s", "work alone")
            .undone()
            .ofCoaches();

    /** What was asked on the day is kept as it stood; it points at nothing that it would keep from being changed. */
    public static final Part<Brought> BROUGHT = Part.record("brought", "brought", Brought.class, Brought::id)
            .pointingAt((brought, to) -> {
                to.refer("RECORD_STUDENT", "student", STUDENT, brought.student());
                to.refer("PROMOTION_LADDER", "ladder", LADDER, brought.ladder());
                to.refer("PROMOTION_RANK", "below", RANK_OF_LADDER, of(brought.ladder(), brought.below()));
            })
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
            .pointingAt((move, to) -> {
                to.refer("RECORD_STUDENT", "student", STUDENT, move.student());
                to.refer("PROMOTION_LADDER", "ladder", LADDER, move.ladder());
                to.refer("PROMOTION_RANK", "rank", RANK_OF_LADDER, of(move.ladder(), move.rank()));
            })
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
            .pointingAt((nomination, to) -> {
                to.refer("RECORD_STUDENT", "student", STUDENT, nomination.student());
                to.refer("PROMOTION_LADDER", "ladder", LADDER, nomination.ladder());
                to.refer("PROMOTION_RANK", "rank", RANK_OF_LADDER, of(nomination.ladder(), nomination.rank()));
            })
            .knownBy((one, names) -> names.of(STUDENT, one.student()))
            .spokenOf("a nomination of %s", "a nomination")
            .goesWithItsPerson();

    public static final Part<Merit> MERITS = Part.record("merits", "merit", Merit.class, Merit::id)
            .pointingAt((merit, to) -> to.refer("RECORD_STUDENT", "student", STUDENT, merit.student()))
            .knownBy((one, names) -> names.of(STUDENT, one.student()))
            .spokenOf("a merit of %s", "a merit");

    public static final Part<Belt> BELTS = Part.record("belts", "belt", Belt.class, Belt::id);

    public static final Part<Tally> TALLIES = Part.record("tallies", "tally", Tally.class, Tally::id)
            .pointingAt((tally, to) -> {
                to.refer("RECORD_CLASS", "classId", CLASS, tally.classId());
                to.refer("RECORD_SUBJECT", "technique", TECHNIQUE, tally.technique());
                to.refer("MARK_FAULT", "fault", FAULT, of(tally.technique(), tally.fault()));
            })
            .spokenOf("%s", "a fault of the room")
            .undone()
            .ofCoaches();

    public static final Part<Pairing> PAIRINGS = Part.record("pairings", "pairing", Pairing.class, Pairing::id)
            .pointingAt((pairing, to) -> {
                to.refer("RECORD_CLASS", "classId", CLASS, pairing.classId());
                each(
                        pairing.groups(),
                        "groups",
                        (group, at) -> each(
                                group.people(),
                                at + "/people",
                                (id, where) -> to.refer("RECORD_STUDENT", where, STUDENT, id)));
            });

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
