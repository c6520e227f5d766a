package lynchet.core.club;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.stream.Stream;
import lynchet.core.grading.Grading;
import lynchet.core.mat.Block;
import lynchet.core.mat.BlockBuilder;
import lynchet.core.mat.ClassPattern;
import lynchet.core.mat.DrillShape;
import lynchet.core.mat.MarkBuilder;
import lynchet.core.mat.PracticeEntryBuilder;
import lynchet.core.mat.Standard;
import lynchet.core.mat.Track;
import lynchet.core.people.Contacts;
import lynchet.core.people.Student;
import lynchet.core.people.StudentBuilder;
import lynchet.core.rank.Policy;
import lynchet.core.rank.Rank;
import lynchet.core.round.Round;
import lynchet.core.round.RoundBuilder;
import lynchet.core.rule.Phrases;
import lynchet.core.rule.Require;
import lynchet.core.term.Closure;
import lynchet.core.term.Term;
import lynchet.core.words.Word;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What makes no sense does not become a value: it is refused at the door in a sentence that names the thing. */
class RefusedValuesTest {

    private static final LocalDate DAY = TinyClub.DAY;

    private static Round round(String second, Round.Ended ended, Round.Event... events) {
        return RoundBuilder.builder()
                .id("r")
                .at(TinyClub.AT)
                .first("ana")
                .second(second)
                .ended(ended)
                .events(List.of(events))
                .by("coach")
                .build();
    }

    private static Round.Event event(int second, String link) {
        return new Round.Event(second, Round.Who.FIRST, link, null, null, null, null, null, null);
    }

    private static Student student(LocalDate born, Double weight, Integer height) {
        return StudentBuilder.builder()
                .id("ana")
                .name("Ana")
                .born(born)
                .joined(DAY)
                .weightKg(weight)
                .heightCm(height)
                .build();
    }

    static Stream<Arguments> refused() {
        Round.Ended time = new Round.Ended(Round.How.TIME, null, null, null);
        Block block = BlockBuilder.builder()
                .id("b")
                .kind(Block.Kind.EXPLAIN)
                .title("B")
                .minutes(5)
                .build();
        return Stream.of(
                refused("this round needs two different people", () -> round("ana", time)),
                refused("the end of this round is missing", () -> round("bo", null)),
                refused(
                        "the events of this round go back in time at number 1",
                        () -> round("bo", time, event(9, "a"), event(8, "b"))),
                refused("an event names a link or the position it leads to", () -> event(5, null)),
                refused("the second of an event must be from 0 to 3600, not -1", () -> event(-1, "a")),
                refused("how a round ended is missing", () -> new Round.Ended(null, null, null, null)),
                refused(
                        "this term ends before it begins",
                        () -> new Term("t", "T", DAY, DAY.minusDays(1), null, null, null)),
                refused("this closure ends before it begins", () -> new Closure("c", "C", DAY, DAY.minusDays(1), null)),
                refused(
                        "this closure is longer than a year",
                        () -> new Closure("c", "C", DAY, DAY.plusYears(1).plusDays(1), null)),
                refused("this pattern has no block", () -> new ClassPattern("p", "P", List.of())),
                refused(
                        "the guardian's e-mail address “a@b, c@d.example” is not one",
                        () -> new Contacts(null, null, null, null, "a@b, c@d.example", null, null)),
                refused(
                        "the minutes of this slot must be from 5 to 480, not 3",
                        () -> new Track.Slot("s", null, null, DayOfWeek.MONDAY, LocalTime.NOON, 3, null, null, 0)),
                refused(
                        "this slot ends before it begins",
                        () -> new Track.Slot(
                                "s", DAY, DAY.minusDays(1), DayOfWeek.MONDAY, LocalTime.NOON, 60, null, null, 0)),
                refused(
                        "this grading names a candidate twice",
                        () -> new Grading(
                                "g",
                                "G",
                                DAY,
                                "adult",
                                null,
                                List.of(
                                        new Grading.Candidate("ana", "white", null, null),
                                        new Grading.Candidate("ana", "yellow", null, null)))),
                refused("the rank of a candidate is missing", () -> new Grading.Candidate("ana", null, null, null)),
                refused(
                        "this drill is played from a position",
                        () -> new DrillShape(
                                "d", "D", Block.Kind.POSITIONAL_ROUNDS, null, 0, 0, "guard", null, "w", 5, null)),
                refused(
                        "the last step of this drill must be from 3 to 20, not 2",
                        () -> new DrillShape("d", "D", Block.Kind.PART_DRILL, "t", 3, 2, null, null, "w", 5, null)),
                refused("the meaning of this word must not be empty", () -> new Word("w", "W", null, null, " ", null)),
                refused("the meaning of the part soto must not be empty", () -> new Word.Part("soto", "")),
                refused("this student joined before being born", () -> student(DAY.plusDays(1), null, null)),
                refused(
                        "the weight of this student must be 10 to 300 kg, not NaN",
                        () -> student(null, Double.NaN, null)),
                refused(
                        "the height in cm of this student must be from 60 to 250, not 300",
                        () -> student(null, null, 300)),
                refused("this practice entry names a technique or a chain", () -> PracticeEntryBuilder.builder()
                        .id("p")
                        .classId("c")
                        .technique("t")
                        .chain("line")
                        .reps(5)
                        .build()),
                refused(
                        "the reps of this practice entry must be from 1 to 1000, not 0",
                        () -> PracticeEntryBuilder.builder()
                                .id("p")
                                .classId("c")
                                .technique("t")
                                .build()),
                refused("this mark: DRILLED is computed from practice, not marked", () -> MarkBuilder.builder()
                        .id("m")
                        .student("ana")
                        .subject("t")
                        .standard(Standard.DRILLED)
                        .passed(true)
                        .build()),
                refused(
                        "this class names a block twice",
                        () -> TinyClub.trained("c", DAY, "all", List.of(block, block), false)),
                refused(
                        "the colours of this rank must be from 1 to 2, not 0",
                        () -> new Rank("r", "R", List.of(), 0, 0, 0, null)),
                refused(
                        "a promotion month must be from 1 to 12, not 13",
                        () -> new Policy(null, null, 0, false, List.of(13), 0, 0, 0, null, false, false, false)),
                refused(
                        "classes a week are 0 to 30 and the attendance share 0 to 1",
                        () -> new Policy(null, null, 0, false, null, 0, 2, 1.5, null, false, false, false)));
    }

    private static Arguments refused(String sentence, ThrowingCallable making) {
        return Arguments.of(sentence, making);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("refused")
    void isRefusedInASentence(String sentence, ThrowingCallable making) {
        assertThatThrownBy(making).isInstanceOf(IllegalArgumentException.class).hasMessageContaining(sentence);
    }

    @Test
    void smallSentencesArePutTogether() {
        assertThat(Phrases.and(List.of())).isEmpty();
        assertThat(Phrases.and(List.of("a"))).isEqualTo("a");
        assertThat(Phrases.and(List.of("a", "b", "c"))).isEqualTo("a, b and c");
        assertThat(Phrases.count(1, "class", "classes")).isEqualTo("1 class");
        assertThat(Phrases.count(0, "class", "classes")).isEqualTo("0 classes");
        assertThat(Phrases.signed(-2.0)).isEqualTo("−2");
        assertThat(Phrases.signed(0.60)).isEqualTo("+0.6");
        assertThat(Phrases.signed(-0.0)).isEqualTo("0");
        assertThatThrownBy(() -> Require.id("a card", "a--b")).hasMessageContaining("a--b");
        assertThatThrownBy(() -> Require.id("a card", "x".repeat(81))).hasMessageContaining("a card needs an id");
    }
}
