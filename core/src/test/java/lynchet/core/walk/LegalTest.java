package lynchet.core.walk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import lynchet.core.card.Jacket;
import lynchet.core.map.Position;
import lynchet.core.map.PositionPair;
import lynchet.core.map.Ruleset;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import org.junit.jupiter.api.Test;

class LegalTest {

    private final TinyMap tiny = new TinyMap()
            .pair("guard", Stage.LEGS_BETWEEN, 0.5)
            .pair("lock", Stage.FINISH, 2.5)
            .pair("belt", Stage.GRIPPED, 0.3)
            .link("sweep", "guard", "hip-bump", "s")
            .link("to-lock", "guard", "lock-it", "lock");

    private static Ruleset ruleset(List<String> illegal, List<String> entries) {
        return new Ruleset(
                "strict",
                "Strict",
                Jacket.NO_JACKET,
                illegal,
                null,
                entries,
                null,
                false,
                0,
                null,
                null,
                5,
                null,
                false,
                0,
                null);
    }

    @Test
    void whatOnlySomethingIllegalLeadsToIsOffTheMap() {
        Legal legal = Legal.under(tiny.map(), ruleset(List.of("lock-it"), List.of("s")));
        assertThat(legal.techniques()).containsExactly("hip-bump");
        assertThat(legal.positions()).containsExactly("guard", "guard-x", "s");
    }

    @Test
    void anEntryStaysThoughNothingLeadsThere() {
        Legal legal = Legal.under(tiny.map(), ruleset(List.of(), List.of("belt")));
        assertThat(legal.positions()).contains("belt", "belt-x", "lock", "lock-x");
    }

    @Test
    void aJacketPositionNeedsAJacket() {
        tiny.pairs.add(new PositionPair("sleeve", Stage.GRIPPED, worn("sleeve", 0.2), worn("sleeve-x", -0.2)));
        tiny.link("grip", "s", "take", "sleeve");
        assertThat(Legal.wearing(tiny.map(), Jacket.NO_JACKET).positions()).doesNotContain("sleeve");
        assertThat(Legal.wearing(tiny.map(), Jacket.JACKET).positions()).contains("sleeve", "sleeve-x");
    }

    private static Position worn(String id, double control) {
        return new Position(id, id, null, control, null, Jacket.JACKET, false, null, null, null, null, false);
    }
}
