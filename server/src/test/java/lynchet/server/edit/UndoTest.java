package lynchet.server.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import lynchet.core.club.Club;
import lynchet.core.map.MapData;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Policy;
import lynchet.core.rank.Rank;
import lynchet.core.words.Word;
import lynchet.format.Json;
import lynchet.server.keep.Journal;
import lynchet.server.keep.Refusal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;

@Execution(ExecutionMode.CONCURRENT)
class UndoTest {

    private static final Word OLD = new Word("uke", "uke", "Japanese", null, "the receiver", null);
    private static final Word NEW = new Word("uke", "uke", "Japanese", null, "the one who receives", null);

    private static final Policy POLICY = new Policy(null, null, 0, false, null, 0, 0, 0, null, false, false, false);

    private static Club with(List<Word> words, Rank rank) {
        Ladder ladder = new Ladder("adult", "Adult", 0, 0, null, false, List.of(rank), POLICY, null, null, null, null);
        return Club.teaching("Tiny", new MapData(null, null, null, null, null), null, List.of(ladder), words, null);
    }

    private static Rank rank(String name) {
        return new Rank("white", name, List.of("white"), 0, 0, 0, null);
    }

    private static Journal.Line line(String kind, String target, Object before, Object after) {
        return new Journal.Line(1, "edit", Instant.EPOCH, "head", "change", kind, target, json(before), json(after));
    }

    private static String json(Object value) {
        return value == null ? null : Json.write(value);
    }

    @Test
    void whatWasChangedIsAsItWas() {
        Club club = with(List.of(NEW), rank("White"));
        assertThat(Undo.of(club, List.of(line("word", "uke", OLD, NEW))).words())
                .containsExactly(OLD);
    }

    @Test
    void whatWasAddedGoesAndWhatWasRemovedComesBack() {
        assertThat(Undo.of(with(List.of(NEW), rank("White")), List.of(line("word", "uke", null, NEW)))
                        .words())
                .isEmpty();
        assertThat(Undo.of(with(List.of(), rank("White")), List.of(line("word", "uke", OLD, null)))
                        .words())
                .containsExactly(OLD);
    }

    @Test
    void twoLinesAboutOneThingGoBackToTheFirst() {
        Word middle = new Word("uke", "uke", "Japanese", null, "who is thrown", null);
        List<Journal.Line> lines = List.of(line("word", "uke", OLD, middle), line("word", "uke", middle, NEW));
        assertThat(Undo.of(with(List.of(NEW), rank("White")), lines).words()).containsExactly(OLD);
    }

    @Test
    void aSyllabusGoesBackOnItsLadder() {
        Club club = with(List.of(OLD), rank("White, changed"));
        Club before = Undo.of(club, List.of(line("syllabus", "white", rank("White"), rank("White, changed"))));
        assertThat(before).isEqualTo(with(List.of(OLD), rank("White")));
    }

    @Test
    void whatWasChangedSinceIsNotOverwritten() {
        Club club = with(List.of(OLD), rank("White"));
        assertThatThrownBy(() -> Undo.of(club, List.of(line("word", "uke", null, NEW))))
                .isInstanceOfSatisfying(
                        Refusal.class, refusal -> assertThat(refusal.code()).isEqualTo("CHANGED_SINCE"));
        assertThatThrownBy(() -> Undo.of(club, List.of(line("syllabus", "white", rank("A"), rank("B")))))
                .hasMessageContaining("changed again");
    }

    @Test
    void aPersonIsNotPutBackFromTheTrail() {
        Club club = with(List.of(OLD), rank("White"));
        assertThatThrownBy(() -> Undo.of(club, List.of(line("student", "ana", null, null))))
                .isInstanceOfSatisfying(
                        Refusal.class, refusal -> assertThat(refusal.code()).isEqualTo("NOT_UNDOABLE"));
    }

    @Test
    void followingCountsWhatDiffersKindByKind() {
        Club before = with(List.of(OLD), rank("White"));
        Club after =
                with(List.of(NEW, new Word("tori", "tori", "Japanese", null, "the performer", null)), rank("White"));
        assertThat(Following.between(before, after)).containsOnly(java.util.Map.entry("word", 2));
        assertThat(Following.between(before, before)).isEmpty();
    }
}
