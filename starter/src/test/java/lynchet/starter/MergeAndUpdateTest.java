package lynchet.starter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.HashMap;
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
import lynchet.core.club.Parts;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.rank.SyllabusGroup;
import lynchet.format.ClubArchive;
import lynchet.format.Json;
import lynchet.starter.demo.DemoClub;
import org.assertj.core.groups.Tuple;
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
                        Tuple.tuple("links/mat-return-from-rear-clinch", Who.LIBRARY),
                        Tuple.tuple("links/belt-and-knee-turn-from-head-of-turtle", Who.NEW),
                        Tuple.tuple("links/belt-and-knee-turn-from-behind-turtle", Who.GONE),
                        Tuple.tuple("links/double-leg-from-head-caught", Who.GONE),
                        Tuple.tuple("chains/three-from-guard", Who.LIBRARY),
                        Tuple.tuple("techniques/valley-drop", Who.BOTH),
                        Tuple.tuple("techniques/clock-choke", Who.CLUB));
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

    /** Whichever one thing is ticked, what it needs comes along, and the club holds together. */
    @Test
    void eachOfferCanBeTakenAlone() throws Exception {
        Club old = before();
        Map<String, String> taken = digests(LibraryUpdate.things(old));
        List<Difference> all = LibraryUpdate.between(old, LIBRARY, taken, Json::write);
        List<Difference> offered = all.stream()
                .filter(one -> one.who() != Who.GONE && !one.part().matches("pairs|words|drills"))
                .toList();
        assertThat(offered).extracting(Difference::part).contains("ladders", "techniques", "links", "reactions");
        int step = Math.max(1, offered.size() / 60);
        for (int i = 0; i < offered.size(); i += step) {
            String key = offered.get(i).key();
            Set<String> whole = LibraryUpdate.complete(old, LIBRARY, all, Set.of(key));
            assertThat(ClubCheck.check(LibraryUpdate.take(old, LIBRARY, whole)))
                    .as(key)
                    .isEmpty();
        }
    }

    /** What a rank asks for is taken rank by rank; the rest of the ladder stays the club's. */
    @Test
    void aLadderIsTakenRankByRank() {
        Map<String, String> taken = digests(LibraryUpdate.things(LIBRARY));
        Club newer = without(without(LIBRARY, "yellow-knee-wheel"), "orange-single-leg");
        Club mine = without(LIBRARY, "yellow-body-drop");
        List<Difference> offered = LibraryUpdate.between(mine, newer, taken, Json::write);
        assertThat(offered)
                .extracting(Difference::key, Difference::name, Difference::who)
                .containsExactly(
                        Tuple.tuple("ladders/adult/yellow", "Adult ladder: Yellow", Who.BOTH),
                        Tuple.tuple("ladders/adult/orange", "Adult ladder: Orange", Who.LIBRARY));
        assertThat(offered.get(0).says()).containsExactly("Asks for Body drop.", "No longer asks for Knee wheel.");
        Club after = LibraryUpdate.take(mine, newer, Set.of("ladders/adult/orange"));
        assertThat(items(after))
                .doesNotContain("orange-single-leg", "yellow-body-drop")
                .contains("yellow-knee-wheel");
    }

    /** Clubs that began before ranks were told apart have one digest a ladder. */
    @Test
    void aLadderThatWasTakenWholeIsKnownRankByRank() {
        Map<String, String> whole = digests(LibraryUpdate.things(LIBRARY));
        whole.keySet().removeIf(key -> key.startsWith("ladders/"));
        LIBRARY.ladders().forEach(ladder -> whole.put("ladders/" + ladder.id(), Json.write(ladder)));
        Club newer = without(LIBRARY, "orange-single-leg");
        assertThat(LibraryUpdate.between(LIBRARY, newer, whole, Json::write))
                .extracting(Difference::key, Difference::who)
                .containsExactly(Tuple.tuple("ladders/adult/orange", Who.LIBRARY));
        Club mine = without(LIBRARY, "yellow-body-drop");
        assertThat(LibraryUpdate.between(mine, LIBRARY, whole, Json::write))
                .extracting(Difference::key, Difference::who)
                .containsExactly(Tuple.tuple("ladders/adult/yellow", Who.CLUB));
    }

    /** Hazards, ages and rulesets come before all else and say for whom. */
    @Test
    void whatBearsOnSafetyComesFirstAndIsExplained() {
        Map<String, String> taken = digests(LibraryUpdate.things(LIBRARY));
        Club older = edited(
                edited(LIBRARY, "\"hazards\" : [ \"FRONT_CHOKE\" ]", "\"hazards\" : [ ]"),
                "\"hazard\" : \"CHOKE\",\n        \"belowAge\" : 16",
                "\"hazard\" : \"CHOKE\",\n        \"belowAge\" : 13");
        older = edited(older, "\"name\" : \"Body drop\"", "\"name\" : \"Body drop, older\"");
        List<Difference> offered =
                LibraryUpdate.between(older, LIBRARY, digests(LibraryUpdate.things(older)), Json::write);
        assertThat(offered)
                .extracting(Difference::safety)
                .startsWith(true, true)
                .endsWith(false);
        assertThat(offered.stream().filter(Difference::safety).flatMap(one -> one.says().stream()))
                .contains(
                        "15-year-olds may no longer do it: from 16 on.",
                        "New caution: Squeeze slowly, no jerk; not under 16.",
                        "Choke: 15-year-olds may no longer: legal from 16 on.");
        assertThat(offered.get(offered.size() - 1))
                .extracting(Difference::key, Difference::says)
                .containsExactly("techniques/body-drop", List.of());
        assertThat(LibraryUpdate.between(older, LIBRARY, taken, Json::write))
                .as("what the club itself took back is not urged on it")
                .allMatch(one -> one.who() == Who.CLUB && !one.safety());
    }

    private static Map<String, String> digests(Map<String, Object> things) {
        Map<String, String> digests = new HashMap<>();
        things.forEach((key, thing) -> digests.put(key, Json.write(thing)));
        return digests;
    }

    private static List<String> items(Club club) {
        return club.ladders().stream()
                .flatMap(ladder -> ladder.ranks().stream())
                .flatMap(rank -> rank.items())
                .map(Item::id)
                .toList();
    }

    private static Club without(Club club, String item) {
        assertThat(items(club)).contains(item);
        return club.changing(Parts.LADDERS, all -> all.stream()
                .map(ladder -> {
                    Ladder less = ladder;
                    for (Rank rank : ladder.ranks()) {
                        less = less.withRank(rank.withSyllabus(rank.syllabus().stream()
                                .map(group -> new SyllabusGroup(
                                        group.name(),
                                        group.choose(),
                                        group.items().stream()
                                                .filter(one -> !one.id().equals(item))
                                                .toList()))
                                .toList()));
                    }
                    return less;
                })
                .toList());
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
                        Tuple.tuple("techniques/body-drop", Who.LIBRARY),
                        Tuple.tuple("techniques/rear-choke", Who.BOTH),
                        Tuple.tuple("techniques/sprawl", Who.CLUB),
                        Tuple.tuple("words/uke", Who.NEW));

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
