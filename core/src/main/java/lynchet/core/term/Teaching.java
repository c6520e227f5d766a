package lynchet.core.term;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lynchet.core.card.Technique;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainStep;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Position;
import lynchet.core.map.Stage;

/**
 * What it takes to teach a technique or a chain in a class: minutes, falls, what comes before and what stands beside it.
 */
public final class Teaching {

    /** Minutes to show something for the first time, by how hard it is to learn, with its first drill. */
    private static final int[] FIRST = {12, 16, 20, 24, 29};

    private static final int CHAIN = 12;
    private static final int TURN_OFF = 6;
    private static final int LONGEST_CHAIN = 30;
    private static final int AGAIN = 10;

    /** Repetitions of each person on each side; fewer where somebody is thrown. */
    static final int REPS = 8;

    static final int THROWN = 5;

    /** Seconds of one repetition. */
    static final int PACE = 8;

    private static final int MINUTE = 60;

    private final GrapplingMap map;
    private final Map<String, Chain> chains = new HashMap<>();
    private final Map<String, List<Link>> links;

    public Teaching(GrapplingMap map, Collection<Chain> chains) {
        this.map = map;
        chains.forEach(chain -> this.chains.put(chain.id(), chain));
        links = map.links().stream().filter(link -> !link.retired()).collect(Collectors.groupingBy(Link::technique));
    }

    public GrapplingMap map() {
        return map;
    }

    /** A technique or a chain, by its id, as something that has to be taught. */
    public TermPlan.Goal goal(String subject) {
        return chains.containsKey(subject) && map.technique(subject).isEmpty()
                ? new TermPlan.Goal(null, subject, true, null, false)
                : new TermPlan.Goal(subject, null, true, null, false);
    }

    public Optional<Chain> chain(TermPlan.Goal goal) {
        return Optional.ofNullable(chains.get(goal.chain()));
    }

    public Optional<Technique> technique(TermPlan.Goal goal) {
        return goal.technique() == null ? Optional.empty() : map.technique(goal.technique());
    }

    /** Its techniques: the one, or those of the chain. */
    public List<Technique> techniques(TermPlan.Goal goal) {
        return chain(goal)
                .map(chain -> chain.techniques(map))
                .orElseGet(() -> technique(goal).stream())
                .toList();
    }

    public String name(TermPlan.Goal goal) {
        return technique(goal)
                .map(Technique::name)
                .or(() -> chain(goal).map(Chain::name))
                .orElse(goal.subject());
    }

    /** Where it mostly begins on the hillside, the later of two; half down where nobody knows. */
    public Stage stage(TermPlan.Goal goal) {
        return from(goal).map(map::stageOf).orElse(Stage.HALF_DOWN);
    }

    /** The position it mostly begins in; empty where it begins in none, as a fall does. */
    public Optional<Position> place(TermPlan.Goal goal) {
        return from(goal).flatMap(map::position);
    }

    private Optional<String> from(TermPlan.Goal goal) {
        if (goal.chain() != null) {
            return chain(goal).map(Chain::start).filter(position -> map.position(position)
                    .isPresent());
        }
        List<Link> its = links.getOrDefault(goal.technique(), List.of());
        Map<Stage, Long> many =
                its.stream().collect(Collectors.groupingBy(link -> map.stageOf(link.from()), Collectors.counting()));
        return many.entrySet().stream()
                .max(Map.Entry.<Stage, Long>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                .flatMap(most -> its.stream()
                        .map(Link::from)
                        .filter(position -> map.stageOf(position) == most.getKey())
                        .findFirst());
    }

    public boolean standing(TermPlan.Goal goal) {
        return stage(goal).compareTo(Stage.GRIPPED) <= 0;
    }

    /** Where positional rounds for it begin; empty where it starts on the feet, or in a finish: no round begins in a choke. */
    Optional<String> roundsFrom(TermPlan.Goal goal) {
        return standing(goal) ? Optional.empty() : from(goal).filter(position -> map.stageOf(position) != Stage.FINISH);
    }

    /** Minutes when it is shown for the first time. */
    public int first(TermPlan.Goal goal) {
        return chain(goal)
                .map(chain -> chain.first() == null
                        ? CHAIN
                        : Math.min(
                                LONGEST_CHAIN,
                                CHAIN
                                        + TURN_OFF
                                                * (int) chain.first()
                                                        .all()
                                                        .mapToInt(step ->
                                                                step.turnOffs().size())
                                                        .sum()))
                .or(() -> technique(goal).map(technique -> FIRST[technique.learn() - 1]))
                .orElse(CHAIN);
    }

    /** Minutes when it is met again: 10 · (0.7 + 0.1 · master). */
    public int again(TermPlan.Goal goal) {
        int hardest =
                techniques(goal).stream().mapToInt(Technique::master).max().orElse(3);
        return (int) Math.round(AGAIN * (0.7 + 0.1 * hardest));
    }

    /** Repetitions of each person on each side. */
    int reps(TermPlan.Goal goal) {
        return falls(goal) > 0 ? THROWN : REPS;
    }

    /**
     * Minutes more where the mat has not room for everybody at once: each further wave drills after the one before.
     *
     * @param waves 1: all at once
     */
    public int waiting(TermPlan.Goal goal, int waves) {
        int seconds = 2 * 2 * reps(goal) * PACE;
        return (waves - 1) * ((seconds + MINUTE - 1) / MINUTE);
    }

    /** Falls of each person when it is drilled in a class. */
    public double falls(TermPlan.Goal goal) {
        int once = chain(goal)
                .map(chain -> chain.falls(map))
                .orElseGet(() -> technique(goal)
                                .filter(one -> !one.receiverFalls().isEmpty())
                                .isPresent()
                        ? 1
                        : 0);
        return 2.0 * THROWN * once;
    }

    /** Subjects that come before it: what it builds on, and the falls of the person who is thrown. */
    public Set<String> needs(TermPlan.Goal goal) {
        Set<String> needs = new TreeSet<>();
        techniques(goal).forEach(technique -> {
            needs.addAll(technique.prerequisites());
            needs.addAll(technique.receiverFalls());
        });
        if (goal.chain() != null) {
            techniques(goal).forEach(technique -> needs.add(technique.id()));
        }
        needs.remove(goal.subject());
        return needs;
    }

    /** Techniques that come right before or after it in one of the club's chains. */
    public Set<String> beside(TermPlan.Goal goal) {
        return chains.values().stream()
                .filter(chain -> chain.first() != null)
                .flatMap(chain -> chain.first().all())
                .flatMap(step -> step.next().stream().flatMap(turn -> Stream.of(pair(step, turn.step()))))
                .filter(pair -> pair.contains(goal.subject()))
                .flatMap(Set::stream)
                .filter(id -> !id.equals(goal.subject()))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private Set<String> pair(ChainStep one, ChainStep other) {
        return Stream.of(one, other)
                .flatMap(step -> map.link(step.link()).stream())
                .map(Link::technique)
                .collect(Collectors.toSet());
    }
}
