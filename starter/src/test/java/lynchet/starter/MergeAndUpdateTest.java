package lynchet.starter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.zip.GZIPInputStream;
import lynchet.core.card.Jacket;
import lynchet.core.club.Club;
import lynchet.core.club.ClubCheck;
import lynchet.core.club.ClubMerge;
import lynchet.core.club.LibraryUpdate;
import lynchet.core.club.LibraryUpdate.Difference;
import lynchet.core.club.LibraryUpdate.Who;
import lynchet.format.ClubArchive;
import lynchet.format.Json;
import lynchet.starter.demo.DemoClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Merging and updating, tried on the real library and the demo club. */
class MergeAndUpdateTest {

    private static final Club LIBRARY = StarterLibrary.club("Library");
    private static final Club DEMO = DemoClub.on(LocalDate.of(2026, 11, 24));

    /** The club with one text in its file replaced by another. */
    private static Club edited(Club club, String text, String by) {
        String json = new String(ClubArchive.write(club), StandardCharsets.UTF_8);
        assertThat(json).contains(text);
        return ClubArchive.read(new ByteArrayInputStream(json.replace(text, by).getBytes(StandardCharsets.UTF_8)));
    }

    @Test
    void mergingTheSameFileChangesNothing() {
        ClubMerge.Merged merged = ClubMerge.of(DEMO, DEMO);
        assertThat(merged.breaches()).isEmpty();
        assertThat(merged.changesNothing()).isTrue();
        assertThat(ClubArchive.write(merged.club())).isEqualTo(ClubArchive.write(DEMO));
    }

    @Test
    void whatIsTaughtComesFromTheFileAndRecordsAreAdded() {
        Club theirs = edited(LIBRARY, "Body drop\"", "Body drop, ours\"");
        ClubMerge.Merged merged = ClubMerge.of(theirs, DEMO);
        assertThat(merged.breaches()).isEmpty();
        assertThat(merged.club().map().techniques())
                .filteredOn(t -> t.id().equals("body-drop"))
                .allMatch(t -> t.name().equals("Body drop"));
        assertThat(merged.club().marks()).hasSameSizeAs(DEMO.marks());
        assertThat(merged.club().name()).isEqualTo("Library");
    }

    @Test
    void aRecordThatDiffersRefusesTheWholeFileByItsId() {
        Club other = edited(DEMO, "\"name\" : \"Orla Fenwick\"", "\"name\" : \"Orla Fenwicke\"");
        ClubMerge.Merged merged = ClubMerge.of(DEMO, other);
        assertThat(merged.breaches()).extracting(b -> b.rule() + " " + b.id()).contains("RECORD_DIFFERS orla-fenwick");
    }

    @ParameterizedTest
    @EnumSource(StarterChoice.class)
    void everyChoiceHoldsTogetherAndComesBackToTheSameBytes(StarterChoice choice) {
        Club club = StarterLibrary.club("New", choice);
        assertThat(ClubCheck.check(club)).isEmpty();
        byte[] once = ClubArchive.write(club);
        assertThat(ClubArchive.write(ClubArchive.read(new ByteArrayInputStream(once))))
                .isEqualTo(once);
        if (choice == StarterChoice.NO_JACKET) {
            assertThat(club.map().techniques()).hasSizeGreaterThan(120).noneMatch(t -> t.jacket() == Jacket.JACKET);
            assertThat(club.chains()).hasSizeGreaterThan(10);
        }
    }

    private static Club before() throws Exception {
        try (var file = MergeAndUpdateTest.class.getResourceAsStream("/released/library-1.json.gz")) {
            return ClubArchive.read(new GZIPInputStream(file));
        }
    }

    /** A club that began with the library as it was, and changed a card of it, is offered the mends and keeps its own. */
    @Test
    void aClubMadeFromTheLibraryBeforeIsOfferedTheMends() throws Exception {
        Club old = before();
        Map<String, String> taken = LibraryUpdate.things(old).entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, thing -> Json.write(thing.getValue())));
        Club mine = edited(
                edited(old, "\"name\" : \"Valley drop\"", "\"name\" : \"Valley drop, ours\""),
                "\"name\" : \"Clock choke\"",
                "\"name\" : \"Clock choke, ours\"");
        List<Difference> offered = LibraryUpdate.between(mine, LIBRARY, taken, Json::write);
        assertThat(offered)
                .extracting(Difference::key, Difference::who)
                .contains(
                        org.assertj.core.groups.Tuple.tuple("links/mat-return-from-rear-clinch", Who.LIBRARY),
                        org.assertj.core.groups.Tuple.tuple("links/belt-and-knee-turn-from-head-of-turtle", Who.NEW),
                        org.assertj.core.groups.Tuple.tuple("links/belt-and-knee-turn-from-behind-turtle", Who.GONE),
                        org.assertj.core.groups.Tuple.tuple("links/double-leg-from-head-caught", Who.GONE),
                        org.assertj.core.groups.Tuple.tuple("chains/three-from-guard", Who.LIBRARY),
                        org.assertj.core.groups.Tuple.tuple("techniques/valley-drop", Who.BOTH),
                        org.assertj.core.groups.Tuple.tuple("techniques/clock-choke", Who.CLUB));
        Set<String> easy = offered.stream()
                .filter(one -> one.who() != Who.CLUB && one.who() != Who.BOTH)
                .map(Difference::key)
                .collect(Collectors.toSet());
        Club after = LibraryUpdate.take(mine, LIBRARY, easy);
        assertThat(ClubCheck.check(after)).isEmpty();
        assertThat(after.map().techniques())
                .extracting(t -> t.name())
                .contains("Valley drop, ours", "Clock choke, ours");
        assertThat(LibraryUpdate.between(after, LIBRARY, Map.of(), Json::write))
                .extracting(Difference::key)
                .containsExactlyInAnyOrder("techniques/valley-drop", "techniques/clock-choke");
    }

    @Test
    void anUpdateKeepsWhatTheClubChangedAndTakesWhatIsTicked() {
        Map<String, String> taken = LibraryUpdate.things(LIBRARY).entrySet().stream()
                .filter(thing -> !thing.getKey().equals("words/uke"))
                .collect(Collectors.toMap(Map.Entry::getKey, thing -> Json.write(thing.getValue())));
        Club newer = edited(
                edited(LIBRARY, "\"name\" : \"Body drop\"", "\"name\" : \"Body drop, newer\""),
                "\"name\" : \"Rear choke\"",
                "\"name\" : \"Rear choke, newer\"");
        Club mine = edited(
                edited(LIBRARY, "\"name\" : \"Rear choke\"", "\"name\" : \"Rear choke, mine\""),
                "\"name\" : \"Sprawl\"",
                "\"name\" : \"Sprawl, mine\"");
        mine = Club.teaching(
                mine.name(),
                mine.map(),
                mine.chains(),
                mine.ladders(),
                mine.words().stream().filter(w -> !w.id().equals("uke")).toList(),
                mine.drills());
        assertThat(LibraryUpdate.between(mine, newer, taken, Json::write))
                .extracting(Difference::key, Difference::who)
                .containsExactlyInAnyOrder(
                        org.assertj.core.groups.Tuple.tuple("techniques/body-drop", Who.LIBRARY),
                        org.assertj.core.groups.Tuple.tuple("techniques/rear-choke", Who.BOTH),
                        org.assertj.core.groups.Tuple.tuple("techniques/sprawl", Who.CLUB),
                        org.assertj.core.groups.Tuple.tuple("words/uke", Who.NEW));

        Club after = LibraryUpdate.take(mine, newer, Set.of("techniques/body-drop", "words/uke"));
        assertThat(after.map().techniques())
                .extracting(t -> t.name())
                .contains("Body drop, newer", "Rear choke, mine", "Sprawl, mine");
        assertThat(after.words()).hasSameSizeAs(LIBRARY.words());
        Club kept = mine;
        assertThatThrownBy(() -> LibraryUpdate.take(kept, newer, Set.of("techniques/flying")))
                .hasMessageContaining("techniques/flying");
    }
}
