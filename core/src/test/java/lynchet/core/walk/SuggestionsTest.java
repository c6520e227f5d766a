package lynchet.core.walk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import lynchet.core.card.Family;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

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

    /** A technique that is on no link yet is offered where its family is done. */
    @ParameterizedTest
    @CsvSource({
        "GRIP, LEGS_CLEARED, 1, true",
        "GRIP, FINISH, 1, false",
        "THROW, APART, 0.1, true",
        "TAKEDOWN, GRIPPED, 0.1, true",
        "TAKEDOWN, HALF_DOWN, 0.1, false",
        "TURNOVER, HALF_DOWN, 0.1, true",
        "TURNOVER, HALF_DOWN, 0, false",
        "TURNOVER, LEGS_BETWEEN, 0.1, false",
        "PASS, LEGS_BETWEEN, -1.4, true",
        "PASS, LEGS_BETWEEN, -1.5, false",
        "PASS, LEGS_CLEARED, 0, false",
        "SWEEP, LEGS_BETWEEN, 1.4, true",
        "SWEEP, LEGS_BETWEEN, 1.5, false",
        "SWEEP, LEGS_CLEARED, 0, false",
        "ESCAPE, LEGS_CLEARED, -0.1, true",
        "ESCAPE, LEGS_CLEARED, 0, false",
        "PIN, LEGS_CLEARED, 0.1, true",
        "PIN, LEGS_CLEARED, 0, false",
        "TRANSITION, HALF_DOWN, 0.1, true",
        "SUBMISSION, GRIPPED, 0, true",
        "SUBMISSION, APART, 0.1, false",
        "BREAKFALL, HALF_DOWN, 0.1, false",
        "MOVEMENT, HALF_DOWN, 0.1, false",
    })
    void aNewTechniqueIsOfferedWhereItsFamilyIsDone(Family family, Stage stage, double control, boolean fits) {
        GrapplingMap map = new TinyMap()
                .pair("here", stage, control)
                .add(TinyMap.card("new-one", family, 1, List.of(), List.of()))
                .map();
        assertThat(Suggestions.techniques(map, "here").contains("new-one")).isEqualTo(fits);
    }

    /** A start one step of control away is near, more is not; what needs a jacket is not offered without one. */
    @Test
    void nearIsOneStepOfControl() {
        TinyMap near = new TinyMap()
                .pair("start", Stage.LEGS_BETWEEN, 1)
                .pair("near", Stage.LEGS_BETWEEN, 0)
                .pair("far", Stage.LEGS_BETWEEN, -0.1)
                .pair("lead", Stage.LEGS_CLEARED, 2)
                .pair("too-far", Stage.FINISH, 2.1)
                .pair("above", Stage.GRIPPED, 1)
                .cost("turn", 1)
                .link("turned", "start", "turn", "s");
        assertThat(Suggestions.techniques(near.map(), "near")).contains("turn");
        assertThat(Suggestions.techniques(near.map(), "far")).doesNotContain("turn");
        near.cost("rise", 1);
        assertThat(Suggestions.targets(near.map(), "near", "rise"))
                .as("ahead by two at most, and not up the hill")
                .contains("start", "lead", "far-x")
                .doesNotContain("near", "too-far", "above", "far");
    }
}
