package lynchet.core.rank;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import lynchet.core.map.Family;
import lynchet.core.map.Link;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Standard;
import lynchet.core.walk.Finding;
import org.junit.jupiter.api.Test;

class SyllabusCheckTest {

    private final TinyMap tiny = new TinyMap()
            .pair("mount", Stage.LEGS_CLEARED, 2.5)
            .add(TinyMap.card("back-fall", Family.BREAKFALL, 1, List.of(), List.of()))
            .add(TinyMap.card("hip-throw", Family.THROW, 3, List.of("back-fall"), List.of("back-fall")))
            .link("throw", "s", "hip-throw", "mount")
            .link("out", "mount-x", "bridge", "s")
            .link("end", "mount", "arm-lock", Link.TAP);

    static Item item(String technique, Standard standard, Sides sides) {
        return new Item(technique + "-item", Item.Kind.TECHNIQUE, technique, null, null, standard, sides, null, 0, 0);
    }

    static Ladder ladder(List<List<Item>> ranks) {
        List<Rank> all = new ArrayList<>();
        for (int i = 0; i < ranks.size(); i++) {
            all.add(new Rank(
                    "r" + i, "R" + i, List.of("white"), 2, 0, 10, List.of(new SyllabusGroup("All", 0, ranks.get(i)))));
        }
        Policy policy =
                new Policy(Policy.Stripes.BY_CLASSES, Policy.Belt.BY_COACH, 10, true, List.of(3, 7, 11), 40, 2, 0.6);
        return new Ladder("adult", "Adult", 0, 0, null, false, all, policy, null, null, null);
    }

    private List<Finding> check(Ladder ladder, String rank) {
        return new SyllabusCheck(tiny.graph(), Map.of()).of(ladder, rank, false);
    }

    @Test
    void theFallComesBeforeTheThrowAndTheMendRemovesIt() {
        Item hipThrow = item("hip-throw", Standard.SHOWN, Sides.BOTH);
        Item bridge = item("bridge", Standard.SHOWN, Sides.EITHER);
        Item fall = item("back-fall", Standard.SHOWN, Sides.EITHER);

        Finding found = check(ladder(List.of(List.of(hipThrow, bridge), List.of(fall))), "r0").stream()
                .filter(f -> f.code() == Finding.Code.FALL_ORDER)
                .findFirst()
                .orElseThrow();
        assertThat(found.severity()).isEqualTo(3);
        assertThat(found.mend().techniques()).containsExactly("back-fall");

        assertThat(check(ladder(List.of(List.of(hipThrow, bridge, fall))), "r0"))
                .extracting(Finding::code)
                .doesNotContain(Finding.Code.FALL_ORDER, Finding.Code.ORDER);
    }

    @Test
    void everyBlockingFindingOfTheMapCarriesItsMend() {
        Ladder ladder = ladder(List.of(List.of(
                item("hip-throw", Standard.SHOWN, Sides.RIGHT), item("back-fall", Standard.SHOWN, Sides.EITHER))));
        List<Finding> findings = check(ladder, "r0");
        assertThat(findings.get(0).code()).isEqualTo(Finding.Code.NO_ANSWER);
        assertThat(findings.get(0).mend().techniques()).containsExactly("bridge");
        assertThat(findings).extracting(Finding::code).contains(Finding.Code.ONE_SIDED);
    }

    @Test
    void choosingMoreThanThereIsCannotBeMet() {
        Rank rank = new Rank(
                "r0",
                "R0",
                List.of("white"),
                0,
                0,
                0,
                List.of(new SyllabusGroup("Free choice", 3, List.of(item("bridge", Standard.SHOWN, Sides.EITHER)))));
        Ladder ladder = ladder(List.of(List.of()));
        assertThat(check(ladder.withRank(rank), "r0"))
                .extracting(Finding::code)
                .contains(Finding.Code.CHOOSE_IMPOSSIBLE);
    }

    @Test
    void loadIsMinutesNeededOverMinutesThereAre() {
        Ladder ladder = ladder(List.of(List.of(item("hip-throw", Standard.SHOWN, Sides.BOTH))));
        TeachingLoad.Load load = TeachingLoad.of(ladder, ladder.ranks().get(0), tiny.map());
        // learn 3: 16, both sides 6, SHOWN 30 · (0.7 + 0.3) = 52 of 10 · 3 · 40.
        assertThat(load.needed()).isEqualTo(52);
        assertThat(load.available()).isEqualTo(1200);
    }
}
