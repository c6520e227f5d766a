package lynchet.starter.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import lynchet.core.chain.Chain;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.term.Calendar;
import lynchet.core.term.Closure;
import lynchet.core.term.Teaching;
import lynchet.core.term.Term;
import lynchet.core.term.TermPlan;
import lynchet.core.term.TermQuestion;
import lynchet.core.term.plan.Planner;

/** The plans of the running term, planned by the planner from what was taught so far. */
final class DemoTerm {

    /** What comes if time allows, and is new: a chain for the grown-ups, a hold for the juniors. */
    private static final Map<String, List<TermPlan.Goal>> NEW = Map.of(
            "fundamentals",
            List.of(
                    new TermPlan.Goal(null, "out-of-mount", false, null, false),
                    new TermPlan.Goal("pendulum-sweep", null, false, null, false),
                    new TermPlan.Goal("sliding-collar-choke", null, false, null, false)),
            "juniors",
            List.of(new TermPlan.Goal("knee-wheel", null, false, null, false)));

    /** Items that have to be there; the rest comes if time allows. */
    private static final int MUST = 5;

    private DemoTerm() {}

    /** The tracks that have a plan: nobody makes the blocks of their classes by hand. */
    static boolean isPlanned(String track) {
        return NEW.containsKey(track);
    }

    static List<TermPlan> plans(
            LocalDate today,
            Term term,
            List<Closure> closures,
            List<TrainingClass> classes,
            List<PracticeEntry> practice,
            GrapplingMap map,
            List<Chain> chains) {
        Map<String, Set<String>> taught = new HashMap<>();
        practice.stream().filter(entry -> entry.technique() != null).forEach(entry -> taught.computeIfAbsent(
                        entry.classId(), id -> new HashSet<>())
                .add(entry.technique()));
        List<Track> tracks = DemoClasses.tracks(today);
        Teaching teaching = new Teaching(map, chains);
        return Stream.of("fundamentals", "juniors")
                .parallel()
                .map(track -> {
                    List<String> usual = DemoClasses.techniques(track);
                    List<TermPlan.Goal> goals = new ArrayList<>();
                    for (String technique : usual) {
                        goals.add(new TermPlan.Goal(technique, null, goals.size() < MUST, null, false));
                    }
                    goals.addAll(NEW.get(track));
                    TermPlan plan = new TermPlan(term.id() + "-" + track, term.id(), track, 2, 0, goals, List.of());
                    List<TermQuestion.TermClass> held =
                            Calendar.of(tracks, List.of(term), closures).between(term.from(), term.until()).stream()
                                    .filter(one -> one.track().equals(track))
                                    .map(one -> classes.stream()
                                            .filter(kept -> kept.id().equals(one.id()))
                                            .findFirst()
                                            .orElse(one))
                                    .map(one -> new TermQuestion.TermClass(
                                            one,
                                            one.date().isBefore(today),
                                            !one.blocks().isEmpty(),
                                            taught.getOrDefault(one.id(), Set.of())))
                                    .toList();
                    TermQuestion question = TermQuestion.of(
                            plan,
                            term.gradingDays().get(0),
                            held,
                            teaching,
                            usual::contains,
                            track.equals("juniors") ? ClubNumbers.USUAL.fewFalls() : ClubNumbers.USUAL.mostFalls());
                    return question.answered(Planner.quickly(question.asked()));
                })
                .toList();
    }
}
