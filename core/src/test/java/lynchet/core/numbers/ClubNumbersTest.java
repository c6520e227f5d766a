package lynchet.core.numbers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import lynchet.core.card.Family;
import lynchet.core.card.Hazard;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.TinyMap;
import lynchet.core.rule.Nonsense;
import lynchet.core.safety.Caution;
import lynchet.core.safety.Cautions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The club's own numbers: within bounds, and only stricter where they protect. */
class ClubNumbersTest {

    private static Stream<ClubNumbers.Bound> bounds() {
        return ClubNumbers.bounds().stream();
    }

    /** The usual numbers with one of them changed. */
    private static ClubNumbers with(String field, double value) throws ReflectiveOperationException {
        RecordComponent[] components = ClubNumbers.class.getRecordComponents();
        Object[] values = new Object[components.length];
        for (int i = 0; i < values.length; i++) {
            Object usual = components[i].getAccessor().invoke(ClubNumbers.USUAL);
            boolean isIt = components[i].getName().equals(field);
            values[i] = !isIt ? usual : usual instanceof Integer ? (Object) (int) value : (Object) value;
        }
        Class<?>[] types = Stream.of(components).map(RecordComponent::getType).toArray(Class<?>[]::new);
        return (ClubNumbers) ClubNumbers.class.getDeclaredConstructor(types).newInstance(values);
    }

    @ParameterizedTest
    @MethodSource("bounds")
    void eachNumberIsTakenWithinItsBoundsAndRefusedBeyond(ClubNumbers.Bound bound) throws Exception {
        assertThat(bound.usual()).isBetween(bound.least(), bound.most());
        if (!bound.field().equals("mostFalls")) { // fewer than juniors fall is refused for itself
            assertThat(with(bound.field(), bound.least())).isNotNull();
        }
        assertThat(with(bound.field(), bound.most())).isNotNull();
        for (double wrong : new double[] {bound.least() - 1, bound.most() + 1}) {
            assertThatThrownBy(() -> with(bound.field(), wrong))
                    .isInstanceOf(InvocationTargetException.class)
                    .cause()
                    .isInstanceOfSatisfying(Nonsense.class, refused -> assertThat(refused.where())
                            .isEqualTo("/" + bound.field()));
        }
    }

    @Test
    void whatProtectsIsNeverLooserThanUsual() {
        assertThat(ClubNumbers.bounds())
                .filteredOn(bound -> List.of("weightGap", "juniorLiveGap", "juniorKg", "juniorLiveKg", "juniorYears")
                                .contains(bound.field())
                        || bound.field().endsWith("Falls"))
                .hasSize(7)
                .allSatisfy(bound -> assertThat(bound.most()).isEqualTo(bound.usual()));
        assertThatThrownBy(() -> with("throwMetres", Double.NaN)).isInstanceOf(InvocationTargetException.class);
        assertThatThrownBy(() -> with("mostFalls", 19)).cause().hasMessageContaining("more often");
    }

    @Test
    void agesOfAHazardRiseAndAreNeverLowered() throws Exception {
        ClubNumbers raised = raising(new ClubNumbers.Raised(Hazard.ARM_LOCK, 16, 18));
        assertThat(raised.ages(Hazard.ARM_LOCK)).isEqualTo(new Ages(16, 18, false));
        assertThat(raised.ages(Hazard.CHOKE)).as("others stay").isEqualTo(Ages.of(Hazard.CHOKE));
        assertThatThrownBy(() -> new ClubNumbers.Raised(Hazard.ARM_LOCK, 12, 16))
                .hasMessageContaining("from 13");
        assertThatThrownBy(() -> new ClubNumbers.Raised(Hazard.ARM_LOCK, 13, 15))
                .hasMessageContaining("from 16");
        assertThatThrownBy(() -> raising(
                        new ClubNumbers.Raised(Hazard.ARM_LOCK, 14, 16),
                        new ClubNumbers.Raised(Hazard.ARM_LOCK, 15, 16)))
                .hasMessageContaining("once");
        assertThat(raising(new ClubNumbers.Raised(Hazard.NECK_CRANK, 18, 0))
                        .ages(Hazard.NECK_CRANK)
                        .never())
                .isTrue();
    }

    private static ClubNumbers raising(ClubNumbers.Raised... ages) {
        ClubNumbers usual = ClubNumbers.USUAL;
        return new ClubNumbers(
                ClubNumbers.ID,
                16,
                18,
                13,
                4,
                4,
                2.5,
                20,
                10,
                4,
                3,
                2,
                usual.fewFalls(),
                usual.mostFalls(),
                List.of(ages));
    }

    @Test
    void cautionsSayTheAgesOfTheClub() {
        Technique lock = TinyMap.card("lock", Family.SUBMISSION, 2, 3, null, null, null, Set.of(Hazard.ARM_LOCK));
        TinyMap tiny = new TinyMap().add(lock);
        GrapplingMap usual = tiny.map();
        GrapplingMap strict = GrapplingMap.of(tiny.data(), raising(new ClubNumbers.Raised(Hazard.ARM_LOCK, 16, 18)));
        assertThat(Cautions.of(lock, usual))
                .extracting(Caution::text)
                .contains("Straighten slowly; not under 13, only shown up to 15.");
        assertThat(Cautions.of(lock, strict))
                .extracting(Caution::text)
                .contains("Straighten slowly; not under 16, only shown up to 17.");
    }
}
