package lynchet.starter.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lynchet.core.club.Club;
import lynchet.core.map.GrapplingMap;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Sides;
import lynchet.core.rank.SyllabusCheck;
import lynchet.core.walk.Centrality;
import lynchet.core.walk.Finding;
import lynchet.core.walk.MoveGraph;
import lynchet.starter.StarterLibrary;
import org.assertj.core.groups.Tuple;
import org.junit.jupiter.api.Test;

/** Each hole of the demo club is found by what looks for such holes, and by nothing else than that rank's own doing. */
class HolesTest {

    private static final Club DEMO = DemoClub.on(LocalDate.of(2026, 11, 24));

    /** What a rank of the adult ladder opens itself. */
    private record FindingAt(String rank, Finding finding) {}

    private static List<FindingAt> found(Club club) {
        GrapplingMap map = GrapplingMap.of(club.map());
        Ladder adult = club.ladders().stream()
                .filter(ladder -> ladder.id().equals("adult"))
                .findFirst()
                .orElseThrow();
        MoveGraph graph = MoveGraph.under(map, map.ruleset(adult.ruleset()).orElseThrow());
        List<List<Finding>> all = new SyllabusCheck(graph, Centrality.of(map), club.chains()).of(adult);
        List<FindingAt> found = new ArrayList<>();
        for (int at = 0; at < all.size(); at++) {
            String rank = adult.ranks().get(at).id();
            all.get(at).stream()
                    .filter(finding -> finding.since() == null)
                    .forEach(finding -> found.add(new FindingAt(rank, finding)));
        }
        return found;
    }

    private static List<Tuple> ofCode(Club club, Finding.Code code) {
        return found(club).stream()
                .filter(one -> one.finding().code() == code)
                .map(one -> Tuple.tuple(
                        one.rank(),
                        Optional.ofNullable(one.finding().position())
                                .orElse(one.finding().technique()),
                        one.finding().mend() == null
                                ? List.of()
                                : one.finding().mend().techniques()))
                .toList();
    }

    @Test
    void theForgottenFallIsMissedByTheFirstThrowsThatNeedIt() {
        assertThat(ofCode(DEMO, Finding.Code.FALL_ORDER)).isNotEmpty().allSatisfy(at -> {
            assertThat(at.toList().get(0)).isIn("white", "yellow", "orange");
            assertThat(at.toList().get(2)).isEqualTo(List.of("front-fall"));
        });
    }

    @Test
    void theForgottenWayOutIsMissedWhereTheHeadIsCaught() {
        assertThat(ofCode(DEMO, Finding.Code.NO_ANSWER))
                .contains(Tuple.tuple("orange", "head-caught-standing", List.of("duck-out-of-headlock")));
    }

    @Test
    void theThrowAskedForOnTheRightOnlyIsNamed() {
        assertThat(ofCode(DEMO, Finding.Code.ONE_SIDED)).contains(Tuple.tuple("yellow", "body-drop", List.of()));
    }

    @Test
    void theLibraryHasNoneOfIt() {
        Club library = StarterLibrary.club("Test");
        assertThat(ofCode(library, Finding.Code.FALL_ORDER)).isEmpty();
        assertThat(ofCode(library, Finding.Code.NO_ANSWER))
                .extracting(at -> at.toList().get(1))
                .doesNotContain("head-caught-standing");
        assertThat(ofCode(library, Finding.Code.ONE_SIDED))
                .doesNotContain(Tuple.tuple("yellow", "body-drop", List.of()));
        assertThat(items(library).map(Item::id)).containsAll(Holes.FORGOTTEN).containsAll(Holes.ONE_SIDED);
        assertThat(items(DEMO).map(Item::id)).doesNotContainAnyElementsOf(Holes.FORGOTTEN);
        assertThat(items(DEMO).filter(item -> Holes.ONE_SIDED.contains(item.id())))
                .isNotEmpty()
                .allMatch(item -> item.sides() == Sides.RIGHT);
    }

    private static Stream<Item> items(Club club) {
        return club.ladders().stream()
                .flatMap(ladder -> ladder.ranks().stream())
                .flatMap(rank -> rank.items());
    }

    /** Seven of those who lost were caught the same way, and so are more than were caught in any other. */
    @Test
    void theLeakIsHowMostWereCaught() {
        var ways = DEMO.rounds().stream()
                .filter(round ->
                        round.ended().position() != null && round.ended().link() != null)
                .collect(Collectors.groupingBy(
                        round -> round.ended().position() + " " + round.ended().link(), Collectors.counting()));
        String leak = Holes.CAUGHT_AT + " " + Holes.CAUGHT_BY;
        assertThat(ways.get(leak)).isGreaterThanOrEqualTo(7);
        ways.remove(leak);
        assertThat(ways.values()).allMatch(often -> often < 7);
    }

    @Test
    void halfTheRoomDoesTheSameThingWrong() {
        assertThat(DEMO.marks())
                .filteredOn(mark -> mark.subject().equals(Holes.ROOM_TECHNIQUE)
                        && mark.faults().contains(Holes.ROOM_FAULT))
                .hasSizeGreaterThanOrEqualTo(7);
    }
}
