package lynchet.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lynchet.core.card.Family;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Standard;
import lynchet.core.rank.Item;
import lynchet.core.rank.Rank;
import lynchet.core.rank.SyllabusGroup;
import org.junit.jupiter.api.Test;

class SyllabusTouchesTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 24);

    private final GrapplingMap map = new TinyMap()
            .add(TinyMap.card("one", Family.SWEEP, 1, List.of(), List.of()))
            .add(TinyMap.card("two", Family.SWEEP, 1, List.of(), List.of()))
            .add(TinyMap.card("three", Family.SWEEP, 1, List.of(), List.of()))
            .map();

    private static Item item(String ref, Standard standard) {
        return new Item("i-" + ref, Item.Kind.TECHNIQUE, ref, null, null, standard, null, null, 0, 0);
    }

    private static Rank rank(int choose, Item... items) {
        return new Rank(
                "white", "White", List.of("white"), 0, 0, 0, List.of(new SyllabusGroup("G", choose, List.of(items))));
    }

    /** Ana has passed one and two, Bo one, Cy nothing. */
    private Map<String, Progress> wearers() {
        Map<String, Progress> all = new LinkedHashMap<>();
        all.put("cy", progress());
        all.put("bo", progress("one"));
        all.put("ana", progress("one", "two"));
        return all;
    }

    private Progress progress(String... passed) {
        Training training = new Training();
        for (String technique : passed) {
            training.pass(technique);
        }
        return new Progress(training.record().state(List.of(), map), map);
    }

    private List<String> told(Rank before, Rank after) {
        return SyllabusTouches.of(before, after, wearers(), TODAY).stream()
                .map(touch -> (touch.gives() ? "+" : "-") + touch.item().ref() + touch.students())
                .toList();
    }

    @Test
    void whatIsAddedIsLackedByWhomeverHasNotPassedIt() {
        Rank before = rank(0, item("one", Standard.SHOWN));
        assertThat(told(before, rank(0, item("one", Standard.SHOWN), item("two", Standard.SHOWN))))
                .containsExactly("+two[cy, bo]");
        assertThat(told(before, before)).isEmpty();
    }

    @Test
    void whatGoesIsNoLongerLacked() {
        Rank before = rank(0, item("one", Standard.SHOWN), item("two", Standard.SHOWN));
        assertThat(told(before, rank(0, item("one", Standard.SHOWN)))).containsExactly("-two[cy, bo]");
    }

    @Test
    void aHigherStandardIsTheSameItemAndLackedByThoseWhoHadIt() {
        Rank before = rank(0, item("one", Standard.SHOWN));
        assertThat(told(before, rank(0, item("one", Standard.LIVE)))).containsExactly("+one[bo, ana]");
        assertThat(told(rank(0, item("one", Standard.LIVE)), before)).containsExactly("-one[bo, ana]");
    }

    @Test
    void whatIsLeftOfAChoiceIsNotLackedOnceEnoughIsThere() {
        Rank all = rank(0, item("one", Standard.SHOWN), item("two", Standard.SHOWN), item("three", Standard.SHOWN));
        Rank two = rank(2, item("one", Standard.SHOWN), item("two", Standard.SHOWN), item("three", Standard.SHOWN));
        assertThat(told(all, two)).containsExactly("-three[ana]");
        assertThat(SyllabusTouches.everybody(SyllabusTouches.of(two, rank(0), wearers(), TODAY)))
                .containsExactly("bo", "cy");
    }
}
