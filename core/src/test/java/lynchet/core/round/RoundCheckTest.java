package lynchet.core.round;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import lynchet.core.card.Family;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import lynchet.core.rule.Breach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RoundCheckTest {

    private static final GrapplingMap MAP = new TinyMap()
            .pair("grips", Stage.GRIPPED, 0)
            .pair("mount", Stage.LEGS_CLEARED, 2.5)
            .add(TinyMap.card("hip-throw", Family.THROW, 1, 3, null, null, null, null))
            .link("thrown", "grips", "hip-throw", "mount")
            .link("choked", "mount", "choke", Link.TAP)
            .map();

    private static Round round(Round.Ended ended) {
        return RoundBuilder.builder()
                .id("r")
                .first("ana")
                .second("bo")
                .ended(ended)
                .build();
    }

    /** An end that can have been, and every way in which it cannot. */
    @ParameterizedTest
    @CsvSource({
        "TAP, FIRST, mount, choked, ''",
        "TAP, FIRST, mount, , ''",
        "TAP, FIRST, , choked, ''",
        "TAP, SECOND, , , ''",
        "THROW, FIRST, grips, thrown, ''",
        "POINTS, FIRST, grips, thrown, ''",
        "PIN, FIRST, mount, , ''",
        "TIME, , mount, , ''",
        "STOPPED, , , , ''",
        "TAP, , mount, choked, WINNER",
        "THROW, , , , WINNER",
        "PIN, , , , WINNER",
        "POINTS, , , , WINNER",
        "TIME, FIRST, , , WINNER",
        "STOPPED, SECOND, , , WINNER",
        "TIME, , mount, choked, WINNER",
        "TAP, FIRST, grips, choked, END_FROM_THERE",
        "TAP, FIRST, grips, thrown, END_FROM_THERE",
        "THROW, FIRST, mount, choked, END_FROM_THERE",
        "PIN, FIRST, mount, choked, END_FROM_THERE",
        "POINTS, FIRST, mount, choked, END_FROM_THERE"
    })
    void onlyWhatCanHaveBeenIsTaken(Round.How how, Round.Who winner, String position, String link, String rule) {
        Optional<String> said = RoundCheck.of(round(new Round.Ended(how, winner, position, link)), MAP)
                .map(Breach::rule);
        assertThat(said.orElse("")).isEqualTo(rule);
    }

    @Test
    void whatIsRetiredEndsNoRoundAnyMore() {
        GrapplingMap later = GrapplingMap.of(new lynchet.core.map.MapData(
                MAP.data().pairs().stream()
                        .map(pair -> pair.first().id().equals("mount") ? pair.asRetired() : pair)
                        .toList(),
                MAP.data().techniques(),
                MAP.data().links(),
                List.of(),
                List.of()));
        Round.Ended there = new Round.Ended(Round.How.TAP, Round.Who.FIRST, "mount", null);
        assertThat(RoundCheck.of(round(there), later)).map(Breach::rule).contains("RETIRED");
        assertThat(RoundCheck.of(round(there), later)).map(Breach::where).contains("/ended/position");
        assertThat(RoundCheck.of(round(there), later))
                .map(Breach::sentence)
                .contains("mount is retired; choose another position");
        GrapplingMap without = GrapplingMap.of(new lynchet.core.map.MapData(
                MAP.data().pairs(),
                MAP.data().techniques(),
                MAP.data().links().stream().map(Link::asRetired).toList(),
                List.of(),
                List.of()));
        Round.Ended done = new Round.Ended(Round.How.TAP, Round.Who.FIRST, "mount", "choked");
        assertThat(RoundCheck.of(round(done), without)).map(Breach::where).contains("/ended/link");
    }

    @Test
    void whereItEndedIsReadOffItsTechnique() {
        Round.Ended end = new Round.Ended(Round.How.TAP, Round.Who.FIRST, null, "choked");
        assertThat(RoundCheck.completed(round(end), MAP).ended().position()).isEqualTo("mount");
        Round.Ended said = new Round.Ended(Round.How.TAP, Round.Who.FIRST, "grips", null);
        assertThat(RoundCheck.completed(round(said), MAP).ended()).isEqualTo(said);
        Round.Ended both = new Round.Ended(Round.How.TAP, Round.Who.FIRST, "grips", "choked");
        assertThat(RoundCheck.completed(round(both), MAP).ended())
                .as("it is said, and refused")
                .isEqualTo(both);
    }
}
