package lynchet.core.walk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import lynchet.core.map.Family;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import org.junit.jupiter.api.Test;

class SuggestionsTest {

    private final TinyMap tiny = new TinyMap()
            .pair("guard", Stage.LEGS_BETWEEN, 0.5)
            .pair("half", Stage.LEGS_BETWEEN, -0.3)
            .pair("mount", Stage.LEGS_CLEARED, 2.4)
            .add(TinyMap.card("hip-bump", Family.SWEEP, 1, List.of(), List.of()))
            .add(TinyMap.card("scissor", Family.SWEEP, 1, List.of(), List.of()))
            .add(TinyMap.card("choke", Family.SUBMISSION, 1, List.of(), List.of()))
            .add(TinyMap.card("shrimp", Family.MOVEMENT, 1, List.of(), List.of()))
            .add(TinyMap.card("throw", Family.THROW, 1, List.of(), List.of()))
            .link("bump", "guard", "hip-bump", "mount");

    @Test
    void offersWhatStartsNearAtTheSameStageAndThenItsFamily() {
        List<String> fits = Suggestions.techniques(tiny.map(), "half");
        assertThat(fits.get(0)).isEqualTo("hip-bump");
        assertThat(fits).contains("scissor", "choke").doesNotContain("shrimp", "throw");
        assertThat(Suggestions.techniques(tiny.map(), "s")).contains("throw").doesNotContain("hip-bump", "scissor");
    }

    @Test
    void whatIsOnTheTableAlreadyComesLast() {
        assertThat(Suggestions.techniques(tiny.map(), "guard")).last().isEqualTo("hip-bump");
    }

    @Test
    void leadsWhereItLeadsElsewhereElseWhereItsFamilyWould() {
        GrapplingMap map = tiny.map();
        assertThat(Suggestions.targets(map, "half", "hip-bump")).containsExactly("mount");
        assertThat(Suggestions.targets(map, "half", "choke")).containsExactly(Link.TAP);
        assertThat(Suggestions.targets(map, "half", "scissor"))
                .contains("guard", "half-x")
                .doesNotContain("half", "guard-x", "s");
    }
}
