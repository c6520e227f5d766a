package lynchet.core.club;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import lynchet.core.club.ClubMerge.Count;
import lynchet.core.club.LibraryUpdate.Difference;
import lynchet.core.club.LibraryUpdate.Who;
import lynchet.core.rule.Breach;
import lynchet.core.words.Word;
import org.junit.jupiter.api.Test;

/** Taking another club's file in, and taking from the library, on the smallest club. */
class ClubMergeTest {

    private final TinyClub mine = new TinyClub();
    private final TinyClub theirs = new TinyClub();

    private static Word called(String id, String term) {
        return new Word(id, term, null, null, "what it means", null);
    }

    @Test
    void aClubTakesItselfInAndChangesNothing() {
        ClubMerge.Merged merged = ClubMerge.of(mine.club(), theirs.club());
        assertThat(merged.changesNothing()).isTrue();
        assertThat(merged.breaches()).isEmpty();
        assertThat(merged.club()).isEqualTo(mine.club());
        assertThat(merged.counts()).allMatch(count -> count.added() == 0 && count.changed() == 0 && count.same() >= 0);
    }

    @Test
    void whatIsTaughtComesFromTheFileAndWhatOnlyIHaveStays() {
        mine.words.add(called("mine", "Mine"));
        theirs.words.set(0, called("kuzushi", "Off-balancing"));
        theirs.words.add(called("theirs", "Theirs"));
        ClubMerge.Merged merged = ClubMerge.of(mine.club(), theirs.club());
        assertThat(merged.club().words())
                .extracting(Word::term)
                .containsExactlyInAnyOrder("Off-balancing", "Mine", "Theirs");
        assertThat(merged.counts()).contains(new Count("words", 1, 1, 0));
        assertThat(merged.changesNothing()).isFalse();
    }

    @Test
    void recordsAreAddedAndOneThatDiffersIsRefusedByItsId() {
        theirs.marks.add(TinyClub.mark("m2", "bo", "line", "c1", null));
        assertThat(ClubMerge.of(mine.club(), theirs.club()).club().marks()).hasSize(2);
        theirs.marks.set(0, TinyClub.mark("m1", "bo", "hip-bump", "c1", null));
        theirs.people.set(0, TinyClub.student("ana", "99"));
        assertThat(ClubMerge.of(mine.club(), theirs.club()).breaches())
                .extracting(Breach::rule, Breach::where, Breach::id)
                .containsExactly(
                        tuple("RECORD_DIFFERS", "/people/0", "ana"), tuple("RECORD_DIFFERS", "/marks/0", "m1"));
    }

    @Test
    void twoThatDoNotFitTogetherAreRefused() {
        theirs.people.add(TinyClub.student("cy", "13"));
        mine.people.add(TinyClub.student("di", "13"));
        assertThat(ClubMerge.of(mine.club(), theirs.club()).breaches())
                .extracting(Breach::rule)
                .containsExactly("CARD_UNIQUE");
    }

    @Test
    void anUpdateTellsWhoChangedWhat() {
        Map<String, String> taken = LibraryUpdate.things(mine.club()).entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey, thing -> thing.getValue().toString()));
        theirs.words.add(called("new", "New"));
        theirs.words.set(0, called("kuzushi", "Off-balancing"));
        theirs.chains.set(0, TinyClub.chain("line", "guard-x", "sweep"));
        mine.chains.set(0, TinyClub.chain("line", "s", "sweep"));
        mine.drills.set(0, TinyClub.drill("shrimps", null, null));
        mine.words.add(called("mine", "Mine"));
        assertThat(LibraryUpdate.between(mine.club(), theirs.club(), taken, Object::toString))
                .extracting(Difference::key, Difference::name, Difference::who)
                .containsExactly(
                        tuple("chains/line", "line", Who.BOTH),
                        tuple("words/kuzushi", "Off-balancing", Who.LIBRARY),
                        tuple("words/new", "New", Who.NEW),
                        tuple("drills/shrimps", "shrimps", Who.CLUB));
        Club after = LibraryUpdate.take(mine.club(), theirs.club(), Set.of("words/new"));
        assertThat(after.words()).extracting(Word::id).isEqualTo(List.of("kuzushi", "mine", "new"));
        assertThat(after.onMap(mine.map.data()).chains()).isEqualTo(mine.chains);
    }

    @Test
    void aClubWithoutPeopleIsWhatItSays() {
        Club club = mine.club();
        Club taught = club.withoutPeople();
        assertThat(taught.people()).isEmpty();
        assertThat(taught.marks()).isEmpty();
        assertThat(taught.words()).isEqualTo(club.words());
        assertThat(ClubCheck.check(taught)).isEmpty();
    }
}
