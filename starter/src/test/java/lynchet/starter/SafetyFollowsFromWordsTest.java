package lynchet.starter;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lynchet.core.card.Family;
import lynchet.core.card.Fault;
import lynchet.core.card.Hazard;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Position;
import lynchet.core.map.Stage;
import lynchet.core.pair.Work;
import lynchet.core.people.Restriction;
import org.junit.jupiter.api.Test;

/** What the cards say can hurt is what the rules of safety see: the words and the hazards of the library agree. */
class SafetyFollowsFromWordsTest {

    private static final GrapplingMap MAP =
            GrapplingMap.of(StarterLibrary.club("Test").map());

    private static final Set<Hazard> NECK =
            EnumSet.of(Hazard.CHOKE, Hazard.FRONT_CHOKE, Hazard.NECK_CRANK, Hazard.NECK_LOAD, Hazard.HEAD_DIVE);
    private static final Set<Hazard> KNEE = EnumSet.of(
            Hazard.LEG_LOCK, Hazard.TWISTING_LEG_LOCK, Hazard.KNEE_SIDE_FALL, Hazard.KNEE_LOAD, Hazard.REAR_SIT);

    /** What in a fault tells of a neck: the head that is struck, thrown or twisted counts. */
    private static final Pattern OF_THE_NECK = Pattern.compile("\\b(neck|head|throat|windpipe)\\b");

    /** A knee that is bent the wrong way, pressed or turned; not one that only stands in the way. */
    private static final Pattern OF_THE_KNEE =
            Pattern.compile("\\bknees? (twists?|is wrung|is pressed|is turned|is bent|break)|"
                    + "(side|outside|across|pushes|press(es)? the|bends? the|wrong) .*\\b(knee|joint|way)\\b");

    private static final Pattern OF_HELD_ARMS =
            Pattern.compile("arms? held|no hand for the fall|sleeves? .* until they land");

    private static Stream<Fault> thatHurt(Technique card) {
        return Stream.concat(
                        card.faults().stream(), card.versions().stream().flatMap(version -> version.faults().stream()))
                .filter(Fault::canHurt);
    }

    private static String said(Fault fault) {
        return (fault.see() + ": " + fault.because()).toLowerCase(Locale.ROOT);
    }

    private static List<String> without(Set<Hazard> hazards, Pattern words) {
        List<String> lacking = new ArrayList<>();
        MAP.techniques().stream()
                .filter(card -> card.hazards().stream().noneMatch(hazards::contains))
                .forEach(card -> thatHurt(card)
                        .map(SafetyFollowsFromWordsTest::said)
                        .filter(text -> words.matcher(text).find())
                        .forEach(text -> lacking.add(card.id() + ": " + text)));
        return lacking;
    }

    @Test
    void aFaultThatHurtsANeckAKneeOrHeldArmsHasItsHazard() {
        assertThat(without(NECK, OF_THE_NECK)).isEmpty();
        assertThat(without(KNEE, OF_THE_KNEE)).isEmpty();
        assertThat(without(EnumSet.of(Hazard.ARMS_HELD), OF_HELD_ARMS)).isEmpty();
    }

    @Test
    void everySubmissionSaysWhatHurts() {
        assertThat(MAP.techniques())
                .filteredOn(card -> card.family() == Family.SUBMISSION)
                .hasSizeGreaterThanOrEqualTo(28)
                .allMatch(card -> thatHurt(card).findAny().isPresent());
    }

    /** Of each place in which somebody is caught: what is done on top, what underneath, and that one taps; each way out says until when. */
    @Test
    void everyCaughtPlaceIsSettledForBothSides() {
        List<Position> caught = MAP.positions().stream()
                .filter(position -> MAP.stageOf(position.id()) == Stage.FINISH && position.control() < 0)
                .toList();
        assertThat(caught).hasSizeGreaterThanOrEqualTo(9);
        for (Position position : caught) {
            assertThat(position.cautions()).as(position.id()).hasSize(3);
            assertThat(position.cautions().get(2)).startsWith("Locked: tap");
            assertThat(MAP.linksFrom(position.id()))
                    .as(position.id())
                    .isNotEmpty()
                    .allMatch(way -> !way.needs().isEmpty() || way.answersReaction() && way.note() != null);
        }
    }

    /** In a choke the first hand goes to the choking hand; a card that posts or pushes instead frees no neck. */
    @Test
    void theFirstHandIsOnTheChoke() {
        Set<String> ways = MAP.links().stream()
                .filter(link -> Set.of(
                                "front-choke-on-me",
                                "in-arm-in-choke",
                                "rear-choke-on-me",
                                "head-caught",
                                "head-under-standing")
                        .contains(link.from()))
                .filter(link -> link.needs().stream()
                        .noneMatch(need -> String.valueOf(need.text()).contains("off the neck")
                                || String.valueOf(need.text()).contains("already on your chest")))
                .map(Link::technique)
                .collect(Collectors.toSet());
        assertThat(ways).isNotEmpty().allSatisfy(id -> assertThat(MAP.technique(id).orElseThrow().steps().stream()
                        .limit(2)
                        .map(step -> step.text().toLowerCase(Locale.ROOT))
                        .collect(Collectors.joining(" ")))
                .as(id)
                .containsPattern("wrist|hand behind your head"));
    }

    private static final Map<String, Restriction.Kind> CAUGHT = Map.of(
            "arm-caught", Restriction.Kind.NO_ARM_LOCKS,
            "shoulder-lock-caught", Restriction.Kind.NO_ARM_LOCKS,
            "caught-by-legs", Restriction.Kind.NO_ARM_LOCKS,
            "rear-choke-on-me", Restriction.Kind.NO_NECK,
            "in-triangle", Restriction.Kind.NO_NECK,
            "front-choke-on-me", Restriction.Kind.NO_NECK,
            "in-arm-in-choke", Restriction.Kind.NO_NECK,
            "ankle-caught", Restriction.Kind.NO_LEG_LOCKS,
            "knee-caught", Restriction.Kind.NO_LEG_LOCKS);

    private static boolean closes(Restriction.Kind kind, String technique) {
        return Work.drilling(List.of(MAP.technique(technique).orElseThrow()))
                .closes()
                .contains(kind);
    }

    /** Somebody with a limit is paired neither for what hurts there nor for the way out of it: the way out begins in it. */
    @Test
    void aLimitClosesEveryCardThatItMeans() {
        Map<Restriction.Kind, Pattern> means =
                Map.of(Restriction.Kind.NO_NECK, OF_THE_NECK, Restriction.Kind.NO_LEG_LOCKS, OF_THE_KNEE);
        means.forEach((kind, words) -> assertThat(MAP.techniques())
                .filteredOn(card -> thatHurt(card)
                        .map(SafetyFollowsFromWordsTest::said)
                        .anyMatch(text -> words.matcher(text).find()))
                .hasSizeGreaterThan(10)
                .filteredOn(card -> !closes(kind, card.id()))
                .extracting(Technique::id)
                .as(kind.name())
                .isEmpty());
        CAUGHT.forEach((place, kind) -> assertThat(Stream.concat(
                                MAP.linksFrom(place).stream(),
                                MAP.linksFrom(MAP.counterpart(place).id()).stream())
                        .filter(link -> link.endsInTap() || link.from().equals(place))
                        .map(Link::technique)
                        .distinct())
                .as(place)
                .isNotEmpty()
                .allMatch(technique -> closes(kind, technique)));
        assertThat(CAUGHT.keySet())
                .as("every place in which somebody is caught")
                .isEqualTo(MAP.positions().stream()
                        .filter(position -> MAP.stageOf(position.id()) == Stage.FINISH && position.control() < 0)
                        .map(Position::id)
                        .collect(Collectors.toSet()));
    }
}
