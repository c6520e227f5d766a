package lynchet.core.leak;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Block;
import lynchet.core.mat.BlockBuilder;
import lynchet.core.mat.DrillShape;
import lynchet.core.mat.TrainingClass;
import lynchet.core.mat.TrainingClassBuilder;
import org.junit.jupiter.api.Test;

class LeakBlockTest {

    private static final GrapplingMap MAP =
            new TinyMap().pair("mount", Stage.LEGS_CLEARED, 2.5).map();
    private static final String UNDER = MAP.counterpart("mount").id();

    private static DrillShape drill(String id, Block.Kind kind, String technique, String start) {
        return new DrillShape(id, "Drill " + id, kind, technique, 1, 2, start, List.of("out"), "the knee", 6, null);
    }

    private static Block block(String id, Block.Kind kind) {
        return BlockBuilder.builder().id(id).kind(kind).title(id).minutes(10).build();
    }

    @Test
    void roundsFromThereComeFirstThenADrillOfAnAnswer() {
        DrillShape whole = drill("whole", Block.Kind.WHOLE_DRILL, "bridge", null);
        DrillShape other = drill("other", Block.Kind.WHOLE_DRILL, "sweep", null);
        DrillShape elsewhere = drill("elsewhere", Block.Kind.POSITIONAL_ROUNDS, null, "guard");
        DrillShape there = drill("there", Block.Kind.POSITIONAL_ROUNDS, null, UNDER);
        DrillShape above = drill("above", Block.Kind.POSITIONAL_ROUNDS, null, "mount");
        Block rounds = LeakBlock.of("mount", List.of("bridge"), MAP, List.of(other, whole, elsewhere, there));
        assertThat(rounds.title()).isEqualTo("Drill there");
        assertThat(rounds.position()).isEqualTo(UNDER);
        assertThat(rounds.minutes()).isEqualTo(6);
        assertThat(rounds.watchCue()).isEqualTo("the knee");
        assertThat(LeakBlock.of("mount", List.of(), MAP, List.of(elsewhere, above))
                        .title())
                .isEqualTo("Drill above");
        Block drilled = LeakBlock.of("mount", List.of("slip", "bridge"), MAP, List.of(other, whole, elsewhere));
        assertThat(drilled.technique()).isEqualTo("bridge");
        assertThat(drilled.kind()).isEqualTo(Block.Kind.WHOLE_DRILL);
        assertThat(drilled.fromStep()).isEqualTo(1);
        assertThat(drilled.toStep()).isEqualTo(2);
        assertThat(drilled.position()).isNull();
    }

    @Test
    void withoutAnyItIsRoundsFromWhereTheyAreCaught() {
        Block block = LeakBlock.of("mount", List.of("bridge"), MAP, List.of());
        assertThat(block.kind()).isEqualTo(Block.Kind.POSITIONAL_ROUNDS);
        assertThat(block.position()).isEqualTo(UNDER);
        assertThat(block.title()).startsWith("Out of ");
        assertThat(block.rounds())
                .as("eight minutes of a minute and twenty seconds")
                .isEqualTo(6);
    }

    @Test
    void itComesOnceBeforeTheRoundsAndTheEnd() {
        TrainingClass training = TrainingClassBuilder.builder()
                .id("tue")
                .date(LocalDate.of(2026, 11, 24))
                .start(LocalTime.of(18, 0))
                .minutes(60)
                .track("all")
                .blocks(List.of(block("warm", Block.Kind.WARM_UP), block("free", Block.Kind.FREE_ROUNDS)))
                .build();
        Block block = LeakBlock.of("mount", List.of(), MAP, List.of());
        TrainingClass with = LeakBlock.into(training, block);
        assertThat(with.blocks()).extracting(Block::id).containsExactly("warm", "leak-mount", "free");
        assertThat(LeakBlock.into(with, block)).isSameAs(with);
        for (Block.Kind last : List.of(Block.Kind.TIMED_ROUNDS, Block.Kind.COOL_DOWN)) {
            TrainingClass other = TrainingClassBuilder.builder(training)
                    .blocks(List.of(block("drill", Block.Kind.WHOLE_DRILL), block("last", last)))
                    .build();
            assertThat(LeakBlock.into(other, block).blocks())
                    .extracting(Block::id)
                    .containsExactly("drill", "leak-mount", "last");
        }
        TrainingClass empty =
                TrainingClassBuilder.builder(training).blocks(List.of()).build();
        assertThat(LeakBlock.into(empty, block).blocks()).containsExactly(block);
    }

    @Test
    void aLongNameOfAPositionMakesAnIdThatIsOne() {
        assertThat(LeakBlock.idOf("mount")).isEqualTo("leak-mount");
        String id = LeakBlock.idOf("a".repeat(74) + "-bcdef");
        assertThat(id).hasSize(79).doesNotEndWith("-");
    }
}
