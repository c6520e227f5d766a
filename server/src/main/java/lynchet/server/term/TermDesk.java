package lynchet.server.term;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lynchet.core.club.Parts;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.core.numbers.Ages;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.people.Student;
import lynchet.core.people.StudentState;
import lynchet.core.term.Demand;
import lynchet.core.term.ExpectedRecall;
import lynchet.core.term.Exposure;
import lynchet.core.term.PlannedClasses;
import lynchet.core.term.Teaching;
import lynchet.core.term.Term;
import lynchet.core.term.TermPlan;
import lynchet.core.term.TermQuestion;
import lynchet.server.club.Snapshot;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Sql;
import lynchet.server.mat.ClassStore;
import lynchet.server.mat.StudentStates;
import lynchet.server.people.People;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads what planning a term asks: its classes as they stand, what was taught, and who comes. */
@Service
class TermDesk {

    private static final int WEEKS_LOOKED_BACK = 8;
    private static final int MOST_COUNTED = 80;
    private static final double USUAL = 0.6;

    private final ClassStore classes;
    private final People people;
    private final StudentStates states;
    private final TeachingSnapshots taught;
    private final JdbcTemplate jdbc;
    private final Clock clock;

    TermDesk(
            ClassStore classes,
            People people,
            StudentStates states,
            TeachingSnapshots taught,
            JdbcTemplate jdbc,
            Clock clock) {
        this.classes = classes;
        this.people = people;
        this.states = states;
        this.taught = taught;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * A term's plan with all it is asked about.
     *
     * @param people of the track who have come in the last weeks, or who have joined since
     * @param weeks how much those come, by person and weekly time
     * @param numbers the club's own
     */
    record Opened(
            TermPlan plan,
            Term term,
            @Nullable LocalDate grading,
            TermQuestion question,
            Teaching teaching,
            List<Student> people,
            Map<String, StudentState> states,
            Map<String, Map<String, Double>> weeks,
            LocalDate today,
            ClubNumbers numbers) {

        /** The people as the field counts them; of a large track every so many-th, which is as good for a mean. */
        List<ExpectedRecall.Learner> learners(String subject) {
            int each = 1 + people.size() / MOST_COUNTED;
            return IntStream.range(0, people.size())
                    .filter(n -> n % each == 0)
                    .mapToObj(people::get)
                    .map(student -> new ExpectedRecall.Learner(
                            states.getOrDefault(student.id(), StudentState.empty())
                                    .on(subject, null)
                                    .orElse(null),
                            weeks.getOrDefault(student.id(), Map.of())))
                    .toList();
        }

        /** How many of them are younger than a goal is for. */
        long tooYoung(TermPlan.Goal goal) {
            int from =
                    teaching.technique(goal).map(numbers::ages).map(Ages::from).orElse(0);
            return people.stream()
                    .filter(student -> student.ageOn(today).orElse(numbers.juniorsBelow()) < from)
                    .count();
        }
    }

    Term term(String id) {
        return taught.now().taught().terms().stream()
                .filter(term -> term.id().equals(id))
                .findFirst()
                .orElseThrow(() -> Refusal.missing("term", id));
    }

    TermPlan plan(String id) {
        return taught.now().taught().all(Parts.PLANS).stream()
                .filter(plan -> plan.id().equals(id))
                .findFirst()
                .orElseThrow(() -> Refusal.missing("plan", id));
    }

    @Transactional(readOnly = true)
    public Opened open(TermPlan plan) {
        Snapshot now = taught.now();
        LocalDate today = LocalDate.now(clock);
        Term term = term(plan.term());
        List<TrainingClass> all = classesOf(plan.track(), term.from(), term.until());
        List<Student> onTrack = people.onTrack(plan.track()).stream()
                .filter(student -> student.left() == null && student.guest() == null)
                .sorted(Comparator.comparing(Student::id))
                .toList();
        Map<String, Map<String, Double>> weeks = weeks(plan.track(), onTrack, today);
        if (weeks.isEmpty()) {
            // A club that begins, or a new track: the person who is in it will come as people usually do.
            Map<String, Double> usual = new TreeMap<>();
            all.forEach(one -> usual.put(String.valueOf(one.slot()), USUAL));
            onTrack.forEach(student -> weeks.put(student.id(), usual));
        }
        List<Student> coming = onTrack.stream()
                .filter(student -> weeks.containsKey(student.id()))
                .toList();
        Map<String, Set<String>> taughtIn = taughtIn(all.stream()
                .filter(one -> !one.date().isAfter(today))
                .map(TrainingClass::id)
                .toList());
        Teaching teaching = now.teaching();
        PlannedClasses asPlanned = new PlannedClasses(List.of(plan), teaching);
        List<TermQuestion.TermClass> held = all.stream()
                .map(one -> new TermQuestion.TermClass(
                        one,
                        one.date().isBefore(today) || (one.date().isEqual(today) && taughtIn.containsKey(one.id())),
                        isOwn(one, asPlanned, now),
                        taughtIn.getOrDefault(one.id(), Set.of())))
                .toList();
        Map<String, StudentState> stand =
                states.of(coming.stream().map(Student::id).toList(), subjects(plan));
        LocalDate grading = grading(term, today).orElse(null);
        return new Opened(
                plan,
                term,
                grading,
                TermQuestion.of(
                        plan,
                        grading,
                        held,
                        teaching,
                        known(plan.track(), stand, term.from()),
                        mostFalls(coming, today)),
                teaching,
                coming,
                stand,
                weeks,
                today,
                now.numbers());
    }

    private static List<String> subjects(TermPlan plan) {
        return plan.goals().stream().map(TermPlan.Goal::subject).toList();
    }

    /** The next grading of the term, or its last. */
    private static Optional<LocalDate> grading(Term term, LocalDate today) {
        List<LocalDate> days = term.gradingDays().stream().sorted().toList();
        return days.stream().filter(day -> !day.isBefore(today)).findFirst().or(() -> days.stream()
                .reduce((one, other) -> other));
    }

    /** The track's classes in weekly times, as they are kept or as the calendar gives them. */
    private List<TrainingClass> classesOf(String track, LocalDate from, LocalDate to) {
        return ClassStore.together(
                        classes.between(from, to), taught.now().calendar().between(from, to))
                .stream()
                .filter(one -> one.track().equals(track) && one.slot() != null)
                .filter(one -> one.id().equals(one.slot() + "-" + one.date()))
                .toList();
    }

    /** Whether a coach has made its blocks: others than the plan has for it. */
    private static boolean isOwn(TrainingClass training, PlannedClasses asPlanned, Snapshot now) {
        if (training.blocks().isEmpty()) {
            return false;
        }
        TrainingClass bare = training.withBlocks(List.of());
        return !now.filled(bare).blocks().equals(training.blocks())
                && !asPlanned.filled(bare).blocks().equals(training.blocks());
    }

    private Map<String, Set<String>> taughtIn(Collection<String> ids) {
        Map<String, Set<String>> subjects = new HashMap<>();
        if (!ids.isEmpty()) {
            jdbc.query(
                    "select distinct class_id, technique, chain from practice where not withdrawn and class_id in ("
                            + Sql.marks(ids.size()) + ")",
                    row -> {
                        String subject = row.getString("technique") == null
                                ? row.getString("chain")
                                : row.getString("technique");
                        if (subject != null) {
                            subjects.computeIfAbsent(row.getString("class_id"), id -> new HashSet<>())
                                    .add(subject);
                        }
                    },
                    ids.toArray());
        }
        return subjects;
    }

    /** Whether the track was taught something in the year before a day, and at least half of those who come have had it. */
    private Predicate<String> known(String track, Map<String, StudentState> stand, LocalDate before) {
        Set<String> taughtBefore = taughtIn(classesOf(track, before.minusYears(1), before.minusDays(1)).stream()
                        .map(TrainingClass::id)
                        .toList())
                .values()
                .stream()
                .flatMap(Set::stream)
                .collect(Collectors.toSet());
        return subject -> TermQuestion.isKnownBefore(
                taughtBefore.contains(subject),
                stand.values().stream()
                        .filter(state -> state.introduced(subject))
                        .count(),
                stand.size());
    }

    /** Who has met what of an opened plan, and how often they are likely to meet it still. */
    @Transactional(readOnly = true)
    public Exposure exposure(Opened opened) {
        List<String> over = opened.question().classes().stream()
                .filter(TermQuestion.TermClass::over)
                .map(held -> held.training().id())
                .toList();
        Map<String, Set<String>> here = new HashMap<>();
        if (!over.isEmpty()) {
            jdbc.query(
                    "select class_id, student from attendance where class_id in (" + Sql.marks(over.size()) + ")",
                    row -> {
                        here.computeIfAbsent(row.getString("class_id"), id -> new HashSet<>())
                                .add(row.getString("student"));
                    },
                    over.toArray());
        }
        return Exposure.of(
                opened.plan(),
                opened.question().classes(),
                opened.question().standing(),
                opened.teaching(),
                here,
                opened.weeks());
    }

    /** How much of each weekly time everybody came to in the last weeks; those who came to none are left out. */
    private Map<String, Map<String, Double>> weeks(String track, List<Student> onTrack, LocalDate today) {
        LocalDate from = today.minusWeeks(WEEKS_LOOKED_BACK);
        List<TrainingClass> held = classesOf(track, from, today.minusDays(1)).stream()
                .filter(one -> !one.cancelled())
                .toList();
        Map<String, String> slots =
                held.stream().collect(Collectors.toMap(TrainingClass::id, one -> String.valueOf(one.slot())));
        Map<String, Map<String, Integer>> came = new HashMap<>();
        if (!slots.isEmpty()) {
            jdbc.query(
                    "select student, class_id from attendance where class_id in (" + Sql.marks(slots.size()) + ")",
                    row -> {
                        came.computeIfAbsent(row.getString("student"), one -> new HashMap<>())
                                .merge(slots.get(row.getString("class_id")), 1, Integer::sum);
                    },
                    slots.keySet().toArray());
        }
        Map<String, Map<String, Double>> weeks = new TreeMap<>();
        for (Student student : onTrack) {
            Map<String, Double> comes = new TreeMap<>();
            for (String slot : held.stream().map(TrainingClass::slot).collect(Collectors.toSet())) {
                long many = held.stream()
                        .filter(one -> slot.equals(one.slot()) && !one.date().isBefore(student.joined()))
                        .count();
                int there = came.getOrDefault(student.id(), Map.of()).getOrDefault(slot, 0);
                if (there > 0) {
                    comes.put(slot, Math.min(1.0, there / (double) Math.max(1, many)));
                }
            }
            if (!comes.isEmpty()) {
                weeks.put(student.id(), comes);
            }
        }
        return weeks;
    }

    static LocalDate mondayOf(LocalDate day) {
        return day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }

    /** Everybody of a track who has come lately, or all where nobody has yet, with how they stand: for what they need next. */
    @Transactional(readOnly = true)
    public Map<Student, StudentState> track(String track) {
        LocalDate today = LocalDate.now(clock);
        List<Student> onTrack = new ArrayList<>(people.onTrack(track).stream()
                .filter(student -> student.left() == null && student.guest() == null)
                .toList());
        onTrack.sort(Comparator.comparing(Student::id));
        Map<String, StudentState> stand =
                states.of(onTrack.stream().map(Student::id).toList());
        Map<Student, StudentState> everybody = new LinkedHashMap<>();
        onTrack.forEach(student -> everybody.put(student, stand.getOrDefault(student.id(), StudentState.empty())));
        Map<Student, StudentState> all = new LinkedHashMap<>(everybody);
        all.values()
                .removeIf(state ->
                        state.lastSeen() == null || state.lastSeen().isBefore(today.minusWeeks(WEEKS_LOOKED_BACK)));
        return all.isEmpty() ? everybody : all;
    }

    /**
     * What a track needs next, the most wanted first.
     *
     * @param term id of the term with the next exam; null: there is none
     */
    @Transactional(readOnly = true)
    public List<Demand> wanted(String track, @Nullable String term) {
        Snapshot now = taught.now();
        LocalDate today = LocalDate.now(clock);
        LocalDate exam = term == null
                ? null
                : grading(term(term), today).filter(day -> !day.isBefore(today)).orElse(null);
        Track about = now.taught().tracks().stream()
                .filter(one -> one.id().equals(track))
                .findFirst()
                .orElseThrow(() -> Refusal.missing("track", track));
        return Demand.of(about, track(track), now.ladders(), now.teaching(), today, exam);
    }

    /** Falls that a class of a track bears: few where more than half of it are juniors. */
    double mostFalls(String track) {
        LocalDate today = LocalDate.now(clock);
        List<Student> onTrack = people.onTrack(track).stream()
                .filter(student -> student.left() == null)
                .toList();
        return mostFalls(onTrack, today);
    }

    private double mostFalls(List<Student> coming, LocalDate today) {
        ClubNumbers numbers = taught.now().numbers();
        long young = coming.stream()
                .filter(student -> student.ageOn(today)
                        .filter(age -> age < numbers.juniorsBelow())
                        .isPresent())
                .count();
        return young * 2 > coming.size() ? numbers.fewFalls() : numbers.mostFalls();
    }

    LocalDate today() {
        return LocalDate.now(clock);
    }
}
