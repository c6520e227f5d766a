package lynchet.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import lynchet.core.card.Family;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Mark;
import lynchet.core.mat.MarkBuilder;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import lynchet.core.rank.Item;
import lynchet.core.rank.Rank;
import lynchet.core.rank.Sides;
import lynchet.core.rank.SyllabusGroup;
import org.junit.jupiter.api.Test;

class TouchedTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 24);

    private final GrapplingMap map = new TinyMap()
            .add(TinyMap.card("sweep", Family.THROW, 2, List.of(), List.of()))
            .add(TinyMap.card("drop", Family.THROW, 2, List.of(), List.of()))
            .add(TinyMap.card("wheel", Family.THROW, 2, List.of(), List.of()))
            .map();

    /** Ana has passed the sweep, Bo the drop, Cai nothing. */
    private final Map<String, StudentState> wearers =
            Map.of("ana", passed("ana", "sweep"), "bo", passed("bo", "drop"), "cai", StudentState.empty());

    private StudentState passed(String student, String technique) {
        Mark mark = MarkBuilder.builder()
                .id("m-" + student)
                .student(student)
                .subject(technique)
                .side(Side.BOTH)
                .standard(Standard.SHOWN)
                .passed(true)
                .at(Instant.EPOCH)
                .by("coach")
                .build();
        return new StudentRecord(
                        student,
                        List.of(),
                        List.of(),
                        List.of(),
                        List.of(mark),
                        Map.of(),
                        List.of(),
                        Map.of(),
                        List.of(),
                        List.of())
                .state(List.of(), map);
    }

    private static Item item(String technique, Standard standard) {
        return new Item(technique, Item.Kind.TECHNIQUE, technique, null, null, standard, Sides.BOTH, null, 0, 0);
    }

    private static Rank asking(int choose, String... techniques) {
        return new Rank(
                "white",
                "White",
                List.of("white"),
                0,
                0,
                0,
                List.of(new SyllabusGroup(
                        "All",
                        choose,
                        Stream.of(techniques)
                                .map(one -> item(one, Standard.SHOWN))
                                .toList())));
    }

    private Touched touched(Rank before, Rank after) {
        return Touched.by(before, after, wearers, map, TODAY);
    }

    @Test
    void whatIsAddedIsLackedByWhoHasNotPassedIt() {
        assertThat(touched(asking(0, "sweep"), asking(0, "sweep", "drop")))
                .isEqualTo(new Touched(3, List.of("ana", "cai"), List.of()));
    }

    @Test
    void whatIsTakenOutIsLackedNoMore() {
        assertThat(touched(asking(0, "sweep", "drop"), asking(0, "sweep")))
                .isEqualTo(new Touched(3, List.of(), List.of("ana", "cai")));
    }

    /** One for another: Cai lacks as many as before, and another one. */
    @Test
    void whatIsExchangedIsBoth() {
        assertThat(touched(asking(0, "sweep"), asking(0, "wheel")))
                .isEqualTo(new Touched(3, List.of("ana", "bo", "cai"), List.of("bo", "cai")));
    }

    /** One of the two is enough, then both; Ana and Bo had one. */
    @Test
    void whatIsChosenCounts() {
        assertThat(touched(asking(1, "sweep", "drop"), asking(2, "sweep", "drop")))
                .isEqualTo(new Touched(3, List.of("ana", "bo", "cai"), List.of()));
        assertThat(touched(asking(1, "sweep", "drop"), asking(1, "sweep", "drop", "wheel")))
                .isEqualTo(new Touched(3, List.of(), List.of()));
    }

    @Test
    void aHigherStandardIsLackedByWhoHadTheLowerOne() {
        Rank after = asking(0, "sweep")
                .withSyllabus(List.of(new SyllabusGroup("All", 0, List.of(item("sweep", Standard.LIVE)))));
        assertThat(touched(asking(0, "sweep"), after)).isEqualTo(new Touched(3, List.of("ana"), List.of()));
    }
}
