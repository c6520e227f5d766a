package lynchet.core.club;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
import lynchet.core.grading.Grading;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.Track;
import lynchet.core.rule.Breach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class ClubCheckTest {

    @Test
    void aSoundClubHasNoBreach() {
        assertThat(ClubCheck.check(new TinyClub().club())).isEmpty();
    }

    static Stream<Arguments> breaches() {
        return Stream.of(
                breach("ID_UNIQUE", "/chains/1/id", c -> c.chains.add(TinyClub.chain("line", "guard", "sweep"))),
                breach("CHAIN_START", "/chains/1/start", c -> c.chains.add(TinyClub.chain("x", "no", "sweep"))),
                breach("CHAIN_LINK", "/chains/1/first/link", c -> c.chains.add(TinyClub.chain("x", "guard", "no"))),
                breach(
                        "LADDER_RULESET",
                        "/ladders/1/ruleset",
                        c -> c.ladders.add(TinyClub.ladder("x", "no", null, "hip-bump"))),
                breach(
                        "LADDER_NEXT",
                        "/ladders/1/nextLadder",
                        c -> c.ladders.add(TinyClub.ladder("x", null, "no", "hip-bump"))),
                breach(
                        "SYLLABUS_ITEM",
                        "/ladders/1/ranks/0/syllabus/0/items/0/ref",
                        c -> c.ladders.add(TinyClub.ladder("x", null, null, "no"))),
                breach("WORD_TECHNIQUE", "/words/1/techniques/0", c -> c.words.add(TinyClub.word("x", "no"))),
                breach("DRILL_TECHNIQUE", "/drills/1/technique", c -> c.drills.add(TinyClub.drill("x", "no", null))),
                breach("DRILL_START", "/drills/1/start", c -> c.drills.add(TinyClub.drill("x", null, "no"))),
                breach(
                        "RECORD_STUDENT",
                        "/ignoredGaps/1/student",
                        c -> c.ignoredGaps.add(TinyClub.gap("x", "no", "guard", null))),
                breach(
                        "GAP_POSITION",
                        "/ignoredGaps/1/position",
                        c -> c.ignoredGaps.add(TinyClub.gap("x", null, "no", null))),
                breach(
                        "GAP_TECHNIQUE",
                        "/ignoredGaps/1/technique",
                        c -> c.ignoredGaps.add(TinyClub.gap("x", null, "guard", "no"))),
                breach(
                        "ID_UNIQUE",
                        "/tracks/1/id",
                        c -> c.tracks.add(new Track("all", "Again", null, null, List.of()))),
                breach("TERM_SLOT", "/terms/1/slots/0", c -> c.terms.add(TinyClub.term("x", "no"))),
                breach("CARD_UNIQUE", "/people/2/card", c -> c.people.add(TinyClub.student("x", "11"))),
                breach("ID_UNIQUE", "/tracks/1", c -> c.tracks.add(TinyClub.track("x", "mondays"))),
                breach("ID_UNIQUE", "/ladders/1", c -> c.ladders.add(TinyClub.likeWith("x", c.ladders.get(0)))),
                breach(
                        "PROMOTION_RANK",
                        "/promotions/1/to",
                        c -> c.promotions.add(TinyClub.given("x", "ana", "adult", "no"))),
                breach(
                        "RECORD_STUDENT",
                        "/promotions/1/student",
                        c -> c.promotions.add(TinyClub.given("x", "no", "adult", "white"))),
                breach("CLASS_TRACK", "/classes/1/track", c -> c.classes.add(TinyClub.trained("x", "no", null))),
                breach(
                        "BLOCK_TECHNIQUE",
                        "/classes/1/blocks/0/technique",
                        c -> c.classes.add(TinyClub.trained("x", "all", "no"))),
                breach("RECORD_STUDENT", "/attendance/1/student", c -> c.attendance.add(there("x", "no", "c1"))),
                breach("RECORD_CLASS", "/attendance/1/classId", c -> c.attendance.add(there("x", "bo", "no"))),
                breach("ATTENDANCE_ONCE", "/attendance/1/student", c -> c.attendance.add(there("x", "ana", "c1"))),
                breach(
                        "RECORD_STUDENT",
                        "/practice/1/student",
                        c -> c.practice.add(TinyClub.practice("x", "c1", "no", "hip-bump"))),
                breach(
                        "RECORD_CLASS",
                        "/practice/1/classId",
                        c -> c.practice.add(TinyClub.practice("x", "no", null, "hip-bump"))),
                breach(
                        "RECORD_SUBJECT",
                        "/practice/1/technique",
                        c -> c.practice.add(TinyClub.practice("x", "c1", null, "no"))),
                breach(
                        "RECORD_STUDENT",
                        "/marks/1/student",
                        c -> c.marks.add(TinyClub.mark("x", "no", "hip-bump", null, null))),
                breach(
                        "RECORD_SUBJECT",
                        "/marks/1/subject",
                        c -> c.marks.add(TinyClub.mark("x", "ana", "no", null, null))),
                breach(
                        "RECORD_CLASS",
                        "/marks/1/classId",
                        c -> c.marks.add(TinyClub.mark("x", "ana", "line", "no", null))),
                breach(
                        "MARK_WITHDRAWS",
                        "/marks/1/withdraws",
                        c -> c.marks.add(TinyClub.mark("x", "ana", "line", null, "no"))),
                breach(
                        "RECORD_STUDENT",
                        "/gradings/1/candidates/0/student",
                        c -> c.gradings.add(TinyClub.grading("x", "adult", "no", "white"))),
                breach(
                        "CANDIDATE_RANK",
                        "/gradings/1/candidates/0/rank",
                        c -> c.gradings.add(TinyClub.grading("x", "adult", "ana", "no"))),
                breach(
                        "GRADING_LADDER",
                        "/gradings/1/ladder",
                        c -> c.gradings.add(new Grading("x", "X", TinyClub.DAY, "no", null, null))),
                breach(
                        "RECORD_STUDENT",
                        "/rounds/1/second",
                        c -> c.rounds.add(TinyClub.round("x", "no", null, null, "sweep", null))),
                breach(
                        "RECORD_CLASS",
                        "/rounds/1/classId",
                        c -> c.rounds.add(TinyClub.round("x", "bo", "no", null, "sweep", null))),
                breach(
                        "ROUND_RULESET",
                        "/rounds/1/ruleset",
                        c -> c.rounds.add(TinyClub.round("x", "bo", null, "no", "sweep", null))),
                breach(
                        "ROUND_LINK",
                        "/rounds/1/events/0/link",
                        c -> c.rounds.add(TinyClub.round("x", "bo", null, null, "no", null))),
                breach(
                        "ROUND_POSITION",
                        "/rounds/1/events/0/position",
                        c -> c.rounds.add(TinyClub.round("x", "bo", null, null, null, "no"))));
    }

    private static Arguments breach(String rule, String where, Consumer<TinyClub> change) {
        return Arguments.of(rule, where, change);
    }

    private static Attendance there(String id, String student, String classId) {
        return new Attendance(id, student, classId, null, TinyClub.AT, "coach");
    }

    @ParameterizedTest(name = "{0} at {1}")
    @MethodSource("breaches")
    void whatPointsAtNothingIsNamedWithItsRuleAndPlace(String rule, String where, Consumer<TinyClub> change) {
        TinyClub tiny = new TinyClub();
        change.accept(tiny);
        assertThat(ClubCheck.check(tiny.club()))
                .singleElement()
                .returns(rule, Breach::rule)
                .returns(where, Breach::where);
    }

    @Test
    void aMapThatIsNotWellFormedIsSaidBeforeAnythingElse() {
        TinyClub tiny = new TinyClub();
        tiny.chains.add(TinyClub.chain("x", "no", "no"));
        tiny.map.link("bad", "guard", "hip-bump", "nowhere");
        assertThat(ClubCheck.check(tiny.club())).extracting(Breach::rule).isEqualTo(List.of("LINK_ENDS"));
    }
}
