package lynchet.core.leak;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.Block;
import lynchet.core.mat.BlockBuilder;
import lynchet.core.mat.DrillShape;
import lynchet.core.mat.TrainingClass;
import lynchet.core.mat.TrainingClassBuilder;

/** What is drilled against a leak: the way of drilling that fits, else rounds from where they are caught. */
public final class LeakBlock {

    private static final int MINUTES = 8;
    private static final int WORK = 60;
    private static final int REST = 20;
    private static final int LONGEST_ID = 80;

    private LeakBlock() {}

    /** The id of the block, the same for the same leak, so that it comes into a class once. */
    public static String idOf(String position) {
        String id = "leak-" + position;
        return id.length() <= LONGEST_ID ? id : id.substring(0, LONGEST_ID).replaceFirst("-+$", "");
    }

    /**
     * @param position id of the position of the one who finishes
     * @param answers ids of the techniques that answer it, the best known first
     */
    public static Block of(String position, List<String> answers, GrapplingMap map, List<DrillShape> drills) {
        String caughtAt = map.counterpart(position).id();
        Optional<DrillShape> fits = Stream.concat(
                        drills.stream()
                                .filter(drill -> drill.kind() == Block.Kind.POSITIONAL_ROUNDS
                                        && (caughtAt.equals(drill.start()) || position.equals(drill.start()))),
                        answers.stream()
                                .flatMap(answer -> drills.stream().filter(drill -> answer.equals(drill.technique()))))
                .findFirst();
        BlockBuilder block = BlockBuilder.builder().id(idOf(position));
        return fits.map(drill -> block.kind(drill.kind())
                        .title(drill.name())
                        .minutes(drill.minutes())
                        .technique(drill.technique())
                        .fromStep(drill.fromStep())
                        .toStep(drill.toStep())
                        .dose(drill.dose())
                        .watchCue(drill.watch())
                        .position(drill.kind() == Block.Kind.POSITIONAL_ROUNDS ? drill.start() : null))
                .orElseGet(() -> block.kind(Block.Kind.POSITIONAL_ROUNDS)
                        .title("Out of "
                                + map.position(caughtAt).orElseThrow().name().toLowerCase(java.util.Locale.ROOT))
                        .minutes(MINUTES)
                        .position(caughtAt)
                        .work(WORK)
                        .rest(REST))
                .build();
    }

    /** The class with a block before its rounds and its end; the same class where it has that block already. */
    public static TrainingClass into(TrainingClass training, Block block) {
        if (training.block(block.id()).isPresent()) {
            return training;
        }
        List<Block> blocks = new ArrayList<>(training.blocks());
        int at = 0;
        while (at < blocks.size() && !isLate(blocks.get(at))) {
            at++;
        }
        blocks.add(at, block);
        return TrainingClassBuilder.builder(training).blocks(blocks).build();
    }

    private static boolean isLate(Block block) {
        return block.kind() == Block.Kind.FREE_ROUNDS
                || block.kind() == Block.Kind.TIMED_ROUNDS
                || block.kind() == Block.Kind.COOL_DOWN;
    }
}
