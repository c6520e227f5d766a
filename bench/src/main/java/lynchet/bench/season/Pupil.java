package lynchet.bench.season;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import lynchet.core.pair.Partner;
import lynchet.core.people.Fading;
import lynchet.core.people.Lead;
import lynchet.core.term.AskedOf;
import lynchet.core.term.TermPlan;
import lynchet.core.term.tonight.Here;

/**
 * Somebody in a played season: how they remember, how they come, and what the club's books say of them.
 *
 * @param comes chance of coming, by weekly time
 * @param books what has been practised, as Lynchet reckons it
 */
record Pupil(String id, Memory memory, Map<String, Double> comes, Map<String, Fading> books) {

    /** Chances of coming to a class of one's own, spread as the demo's people are. */
    private static final double[] COMES = {0.45, 0.5, 0.55, 0.6, 0.65, 0.7, 0.7, 0.75, 0.8, 0.85, 0.9};

    /** One in six never comes on one of the weekdays. */
    private static final int NOT_ON_ONE = 6;

    static Pupil drawn(int n, Iterable<String> slots, Random random) {
        double own = COMES[random.nextInt(COMES.length)];
        Map<String, Double> comes = new TreeMap<>();
        slots.forEach(slot -> comes.put(slot, own));
        if (random.nextInt(NOT_ON_ONE) == 0) {
            comes.put(
                    comes.keySet().stream()
                            .skip(random.nextInt(comes.size()))
                            .findFirst()
                            .orElseThrow(),
                    0.0);
        }
        return new Pupil("p%02d".formatted(n), Memory.drawn(random), comes, new HashMap<>());
    }

    void meets(String subject, LocalDate day, boolean shown) {
        memory.meet(subject, (int) day.toEpochDay(), shown);
        books.compute(subject, (id, was) -> Fading.again(was, day));
    }

    /** As tonight's proposals see them: a grown-up with nothing that limits them, who lacks the whole syllabus. */
    Here here(Set<TermPlan.Goal> syllabus, Set<String> falls) {
        return new Here(
                id,
                new Partner(
                        id,
                        30,
                        null,
                        null,
                        Lead.RIGHT,
                        null,
                        0,
                        400,
                        true,
                        falls,
                        Set.of(),
                        Set.of(),
                        false,
                        Set.of(),
                        Set.of()),
                new AskedOf(syllabus.stream()
                        .collect(Collectors.toMap(
                                TermPlan.Goal::subject, goal -> new AskedOf.Line(goal, "white", true, null)))),
                Map.copyOf(books),
                Set.copyOf(books.keySet()));
    }
}
