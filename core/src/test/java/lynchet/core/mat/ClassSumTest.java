package lynchet.core.mat;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import lynchet.core.card.Family;
import lynchet.core.card.Technique;
import lynchet.core.card.TechniqueBuilder;
import lynchet.core.numbers.ClubNumbers;
import org.junit.jupiter.api.Test;

/** Doses, falls and minutes of a class against worked figures. */
class ClassSumTest {

    private static Dose dose(int reps, Side sides, int swaps, Dose.Surface surface, int explain, int pace) {
        return new Dose(reps, sides, swaps, null, 0, surface, explain, pace, null);
    }

    @Test
    void aDoseFitsIntoItsMinutes() {
        Dose worked = dose(15, Side.BOTH, 4, null, 60, 6);
        assertThat(DoseSum.of(8, worked, 2)).isEqualTo(new DoseSum(372, 62, 15, 2, 8));
        assertThat(DoseSum.of(8, worked, 1)).isEqualTo(new DoseSum(372, 62, 31, 0, 5));
        assertThat(DoseSum.of(8, dose(16, Side.RIGHT, 0, null, 0, 0), 2))
                .as("six seconds where nobody says")
                .isEqualTo(new DoseSum(480, 80, 40, 0, 4));
        assertThat(DoseSum.of(1, dose(1, Side.BOTH, 0, null, 90, 6), 2)).isEqualTo(new DoseSum(0, 0, 0, 0, 2));
    }

    private static Block block(String id, Block.Kind kind, int minutes, String technique, Dose dose) {
        return BlockBuilder.builder()
                .id(id)
                .kind(kind)
                .title(id)
                .minutes(minutes)
                .technique(technique)
                .dose(dose)
                .build();
    }

    private static Optional<Technique> technique(String id) {
        boolean falls = id.equals("hip-throw");
        return Optional.of(TechniqueBuilder.builder()
                .id(id)
                .name(id)
                .family(id.equals("side-fall") ? Family.BREAKFALL : falls ? Family.THROW : Family.SWEEP)
                .sided(true)
                .summary("")
                .receiverFalls(falls ? List.of("side-fall") : List.of())
                .hazards(Set.of())
                .learn(2)
                .master(2)
                .build());
    }

    private static ClassSum sum(int minutes, Block... blocks) {
        return ClassSum.of(
                TrainingClassBuilder.builder()
                        .id("c")
                        .date(LocalDate.of(2026, 5, 5))
                        .start(LocalTime.of(18, 30))
                        .minutes(minutes)
                        .track("all")
                        .blocks(Arrays.asList(blocks))
                        .build(),
                ClassSumTest::technique,
                chain -> chain.equals("throw-and-throw-again") ? 2 : 0);
    }

    @Test
    void fallsAreCountedOverTheWholeClass() {
        ClassSum five = sum(
                60,
                block("falls", Block.Kind.BREAKFALLS, 8, "side-fall", dose(10, Side.BOTH, 0, null, 0, 3)),
                block("a", Block.Kind.WHOLE_DRILL, 10, "hip-throw", dose(6, Side.BOTH, 1, null, 60, 8)),
                block(
                        "b",
                        Block.Kind.WHOLE_DRILL,
                        10,
                        "hip-throw",
                        dose(8, Side.RIGHT, 0, Dose.Surface.CRASH_MAT, 0, 8)),
                block("c", Block.Kind.PART_DRILL, 10, "hip-throw", dose(5, Side.LEFT, 0, Dose.Surface.CRASH_MAT, 0, 8)),
                block("d", Block.Kind.WHOLE_DRILL, 10, "sweep", dose(10, Side.BOTH, 0, null, 0, 6)));
        assertThat(five.blocks()).extracting(ClassSum.OfBlock::falls).containsExactly(0.0, 12.0, 4.0, 2.5, 0.0);
        assertThat(five.falls()).isEqualTo(18.5).isLessThan(ClubNumbers.USUAL.fewFalls());
        assertThat(five.blocks().get(0).dose().each())
                .as("everybody falls at once")
                .isEqualTo(80);
    }

    @Test
    void aChainThrowsAsOftenAsItsHardestLine() {
        Block chain = BlockBuilder.builder()
                .id("e")
                .kind(Block.Kind.WHOLE_DRILL)
                .title("e")
                .minutes(10)
                .chain("throw-and-throw-again")
                .dose(dose(5, Side.BOTH, 1, Dose.Surface.CRASH_MAT, 0, 10))
                .build();
        assertThat(sum(60, chain).falls()).isEqualTo(10);
    }

    @Test
    void roundsFitWithRestBetweenThem() {
        assertThat(rounds(17, 300, 60)).as("three times five, two rests").isEqualTo(3);
        assertThat(rounds(16, 300, 60)).isEqualTo(2);
        assertThat(rounds(15, 300, 0)).isEqualTo(3);
        assertThat(rounds(15, 0, 60)).as("the block is one round").isEqualTo(1);
        assertThat(rounds(4, 300, 60)).as("not one fits").isZero();
        assertThat(sum(60, block("x", Block.Kind.WARM_UP, 10, null, null))
                        .blocks()
                        .get(0)
                        .rounds())
                .isZero();
    }

    private static int rounds(int minutes, int work, int rest) {
        Block block = BlockBuilder.builder()
                .id("r")
                .kind(Block.Kind.TIMED_ROUNDS)
                .title("r")
                .minutes(minutes)
                .work(work)
                .rest(rest)
                .build();
        return sum(60, block).blocks().get(0).rounds();
    }

    @Test
    void aClassHoldsItsChangesAndItsWater() {
        Block ten = block("x", Block.Kind.WARM_UP, 10, null, null);
        ClassSum four = sum(
                60,
                ten,
                block("y", Block.Kind.FREE_ROUNDS, 20, null, null),
                block("z", Block.Kind.COOL_DOWN, 25, null, null),
                block("w", Block.Kind.EXPLAIN, 2, "sweep", null));
        assertThat(four.minutes()).isEqualTo(57);
        assertThat(four.changes()).as("three changes of half a minute").isEqualTo(2);
        assertThat(four.water()).isEqualTo(2);
        assertThat(four.left(60)).isEqualTo(-1);
        assertThat(sum(90, ten).water()).isEqualTo(4);
        assertThat(sum(44, ten).water()).isZero();
        assertThat(sum(60)).isEqualTo(new ClassSum(List.of(), 0, 0, 0, 0));
    }
}
