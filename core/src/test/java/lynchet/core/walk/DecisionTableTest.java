package lynchet.core.walk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import lynchet.core.map.Link;
import lynchet.core.map.Ruleset;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import org.junit.jupiter.api.Test;

class DecisionTableTest {

    private static final Map<String, Double> CHANCES = Map.of("often", 0.6, "seldom", 0.2, "as-often", 0.6);

    private final TinyMap tiny = new TinyMap()
            .pair("guard", Stage.LEGS_BETWEEN, 0.5)
            .pair("mount", Stage.LEGS_CLEARED, 2.5)
            .cost("hip-bump", 2)
            .cost("scissor", 1)
            .link("seldom", "guard", "arm-lock", Link.TAP)
            .link("often", "guard", "hip-bump", "mount")
            .link("as-often", "guard", "scissor", "mount")
            .link("pass", "guard-x", "knee-slide", "mount")
            .reaction("post", "often", "guard")
            .reaction("drive", "often", "guard")
            .reactionAt("stand-up", "guard", "s")
            .answer("lock", "post", "guard", "wrist-lock", Link.TAP);

    private DecisionTable table(String position, Ruleset ruleset) {
        return DecisionTable.of(
                tiny.map(),
                position,
                ruleset,
                GivenEvidence.of(tiny.map(), link -> CHANCES.getOrDefault(link.id(), 0.3)));
    }

    @Test
    void theLikeliestComesFirstAndOfTwoTheOneThatIsEasierToLearn() {
        DecisionTable table = table("guard", null);
        assertThat(table.own()).extracting(DecisionTable.Row::link).containsExactly("as-often", "often", "seldom");
        assertThat(table.own()).extracting(DecisionTable.Row::lands).containsExactly("mount", "mount", null);
        assertThat(table.own().get(0).chance().estimate()).isEqualTo(0.6);
    }

    @Test
    void whatTheyDoIsToldWithItsAnswersOrAsOpen() {
        DecisionTable table = table("guard", null);
        assertThat(table.answers()).singleElement().satisfies(answers -> {
            assertThat(answers.reaction()).isEqualTo("post");
            assertThat(answers.rows()).extracting(DecisionTable.Row::link).containsExactly("lock");
        });
        assertThat(table.unanswered())
                .extracting(DecisionTable.Open::reaction)
                .containsExactlyInAnyOrder("drive", "stand-up");
    }

    @Test
    void theirLinksLandWhereTheyLeaveMe() {
        assertThat(table("guard", null).theirs())
                .singleElement()
                .returns("pass", DecisionTable.Row::link)
                .returns("mount", DecisionTable.Row::to)
                .returns("mount-x", DecisionTable.Row::lands);
    }

    private static Ruleset forbidding(String... techniques) {
        return new Ruleset(
                "r", "R", null, List.of(techniques), null, null, null, false, 0, null, null, 5, null, false, 0, null);
    }

    @Test
    void whatIsNotAllowedIsNotInItNorWhatTheyWouldDoAboutIt() {
        DecisionTable table = table("guard", forbidding("hip-bump"));
        assertThat(table.own()).extracting(DecisionTable.Row::link).containsExactly("as-often", "seldom");
        assertThat(table.answers()).isEmpty();
        assertThat(table.unanswered()).extracting(DecisionTable.Open::reaction).containsExactly("stand-up");
        assertThatThrownBy(() -> table("nowhere", null)).isInstanceOf(java.util.NoSuchElementException.class);
    }

    @Test
    void anAnswerThatIsNotAllowedLeavesItOpen() {
        DecisionTable table = table("guard", forbidding("wrist-lock"));
        assertThat(table.answers()).isEmpty();
        assertThat(table.unanswered())
                .extracting(DecisionTable.Open::reaction)
                .containsExactlyInAnyOrder("post", "drive", "stand-up");
    }
}
