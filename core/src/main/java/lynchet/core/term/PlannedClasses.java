package lynchet.core.term;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import lynchet.core.card.Family;
import lynchet.core.card.Technique;
import lynchet.core.map.Position;
import lynchet.core.mat.Block;
import lynchet.core.mat.BlockBuilder;
import lynchet.core.mat.Dose;
import lynchet.core.mat.Side;
import lynchet.core.mat.TrainingClass;

/** The classes that the terms' plans fill: a class for which nobody has made blocks has those of the plan. */
public final class PlannedClasses {

    /** Ids are cut to what an id may be. */
    private static final int ID = 60;

    private static final int WARM_UP = 10;
    private static final int BREAKFALLS = 8;
    private static final int SHORTEST_ROUNDS = 5;
    private static final int ROUND = 180;
    private static final int REST = 30;
    private static final int SHOWN = 180;
    private static final int SHOWN_AGAIN = 60;

    /**
     * Something that a class is to teach.
     *
     * @param isFirst whether it is shown for the first time
     * @param minutes how long it takes
     */
    public record Stands(TermPlan.Goal goal, boolean isFirst, int minutes) {}

    private final Teaching teaching;
    private final Map<String, List<Stands>> byClass = new HashMap<>();
    private final Map<String, TermPlan> byTerm = new HashMap<>();

    public PlannedClasses(List<TermPlan> plans, Teaching teaching) {
        this.teaching = teaching;
        for (TermPlan plan : plans) {
            byTerm.put(plan.term() + " " + plan.track(), plan);
            Set<String> met = new HashSet<>();
            plan.placed().stream()
                    .sorted(Comparator.comparing(TermPlan.Placed::on).thenComparing(TermPlan.Placed::slot))
                    .forEach(one -> plan.goal(one.goal())
                            .ifPresent(goal -> byClass.computeIfAbsent(one.classId(), id -> new ArrayList<>())
                                    .add(stands(goal, met.add(one.goal()) && !goal.known()))));
        }
    }

    private Stands stands(TermPlan.Goal goal, boolean isFirst) {
        return new Stands(goal, isFirst, isFirst ? teaching.first(goal) : teaching.again(goal));
    }

    /** Ids of the blocks of a class about something that its term's plan has only if time allows. */
    public List<String> ifTime(TrainingClass training) {
        TermPlan plan = byTerm.get(training.term() + " " + training.track());
        return plan == null
                ? List.of()
                : training.blocks().stream()
                        .filter(block -> Stream.of(block.technique(), block.chain())
                                .filter(Objects::nonNull)
                                .flatMap(subject -> plan.goal(subject).stream())
                                .anyMatch(goal -> !goal.must()))
                        .map(Block::id)
                        .toList();
    }

    /** The class with the blocks of its plan; as it is where it has blocks, or where no plan has anything for it. */
    public TrainingClass filled(TrainingClass training) {
        List<Stands> stands = byClass.getOrDefault(training.id(), List.of());
        return stands.isEmpty() || !training.blocks().isEmpty() || training.cancelled()
                ? training
                : made(training, stands, teaching);
    }

    /** A class made of what it is to teach: warm-up, falls where somebody is thrown, drills with falls and standing first, rounds. */
    public static TrainingClass made(TrainingClass training, List<Stands> stands, Teaching teaching) {
        List<Stands> order = stands.stream()
                .sorted(Comparator.comparing((Stands one) -> !isFall(one, teaching))
                        .thenComparing(one -> !teaching.standing(one.goal()))
                        .thenComparing(Stands::isFirst)
                        .thenComparing(one -> one.goal().subject()))
                .toList();
        List<Block> blocks = new ArrayList<>();
        blocks.add(bare("warm-up", Block.Kind.WARM_UP, "Warm-up", WARM_UP));
        order.stream()
                .flatMap(one -> teaching.techniques(one.goal()).stream())
                .flatMap(technique -> technique.receiverFalls().stream())
                .filter(fall ->
                        order.stream().noneMatch(one -> one.goal().subject().equals(fall)))
                .flatMap(fall -> teaching.map().technique(fall).stream())
                .findFirst()
                .ifPresent(fall -> blocks.add(falls(fall)));
        order.forEach(one -> blocks.add(drill(one, teaching)));
        int used = blocks.stream().mapToInt(Block::minutes).sum();
        int left = training.minutes() - used - (blocks.size() + 1) / 2 - training.minutes() / 45 * 2;
        if (left >= SHORTEST_ROUNDS) {
            blocks.add(rounds(order, left, teaching));
        }
        String theme = String.join(
                " · ", order.stream().map(one -> teaching.name(one.goal())).toList());
        return training.withBlocks(blocks).about(theme.substring(0, Math.min(theme.length(), 200)));
    }

    private static boolean isFall(Stands one, Teaching teaching) {
        return teaching.technique(one.goal())
                .filter(card -> card.family() == Family.BREAKFALL)
                .isPresent();
    }

    private static Block bare(String id, Block.Kind kind, String title, int minutes) {
        return BlockBuilder.builder()
                .id(id)
                .kind(kind)
                .title(title)
                .minutes(minutes)
                .build();
    }

    private static Block falls(Technique fall) {
        Dose dose = new Dose(6, Side.BOTH, 0, Dose.Tempo.SLOW, 0, null, SHOWN_AGAIN, 5, null);
        return BlockBuilder.builder()
                .id("falls")
                .kind(Block.Kind.BREAKFALLS)
                .title(fall.name())
                .minutes(BREAKFALLS)
                .technique(fall.id())
                .dose(dose)
                .watchCue(cue(fall))
                .build();
    }

    private static Block drill(Stands one, Teaching teaching) {
        TermPlan.Goal goal = one.goal();
        Dose dose = new Dose(
                teaching.reps(goal),
                Side.BOTH,
                one.isFirst() ? 1 : 2,
                one.isFirst() ? Dose.Tempo.SLOW : Dose.Tempo.BUILDING,
                one.isFirst() ? 0 : 1,
                null,
                one.isFirst() ? SHOWN : SHOWN_AGAIN,
                Teaching.PACE,
                null);
        Technique card = teaching.technique(goal).orElse(null);
        String subject = goal.subject();
        return BlockBuilder.builder()
                .id(subject.substring(0, Math.min(ID, subject.length())))
                .kind(isFall(one, teaching) ? Block.Kind.BREAKFALLS : Block.Kind.WHOLE_DRILL)
                .title(teaching.name(goal))
                .minutes(one.minutes())
                .technique(goal.technique())
                .chain(goal.chain())
                .dose(dose)
                .watchCue(card == null ? null : cue(card))
                .watchFault(
                        card == null || card.faults().isEmpty()
                                ? null
                                : card.faults().get(0).id())
                .build();
    }

    private static String cue(Technique card) {
        return card.steps().stream()
                .map(step -> step.cue())
                .filter(one -> one != null && !one.isBlank())
                .findFirst()
                .orElse(null);
    }

    /** Rounds from where the last of the ground items begins; free ones where everything starts on the feet. */
    private static Block rounds(List<Stands> order, int minutes, Teaching teaching) {
        Position from = order.stream()
                .flatMap(one -> teaching.roundsFrom(one.goal()).stream())
                .reduce((one, other) -> other)
                .flatMap(teaching.map()::position)
                .orElse(null);
        return BlockBuilder.builder()
                .id("rounds")
                .kind(from == null ? Block.Kind.FREE_ROUNDS : Block.Kind.POSITIONAL_ROUNDS)
                .title(from == null ? "Free rounds" : "Rounds: " + from.name())
                .minutes(minutes)
                .position(from == null ? null : from.id())
                .work(minutes * 60 >= ROUND ? ROUND : 0)
                .rest(minutes * 60 >= ROUND ? REST : 0)
                .build();
    }
}
