package lynchet.starter;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lynchet.core.card.Alias;
import lynchet.core.card.Family;
import lynchet.core.card.Group;
import lynchet.core.card.Hazard;
import lynchet.core.card.Technique;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainCheck;
import lynchet.core.club.Club;
import lynchet.core.club.ClubCheck;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Position;
import lynchet.core.map.Reaction;
import lynchet.core.map.Stage;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.rank.SyllabusCheck;
import lynchet.core.round.RoundEvidence;
import lynchet.core.safety.Caution;
import lynchet.core.safety.Cautions;
import lynchet.core.walk.Centrality;
import lynchet.core.walk.Finding;
import lynchet.core.walk.Knowledge;
import lynchet.core.walk.MoveGraph;
import lynchet.core.walk.Reach;
import lynchet.core.walk.Routes;
import lynchet.core.words.Word;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class StarterLibraryTest {

    private static final Club LIBRARY = StarterLibrary.club("Test");
    private static final GrapplingMap MAP = GrapplingMap.of(LIBRARY.map());

    @Test
    void isWellFormedAndLargeEnough() {
        assertThat(ClubCheck.check(LIBRARY)).isEmpty();
        assertThat(LIBRARY.map().pairs()).hasSizeGreaterThanOrEqualTo(40);
        assertThat(LIBRARY.map().pairs()).extracting(p -> p.stage()).contains(Stage.values());
        assertThat(MAP.techniques()).hasSizeGreaterThanOrEqualTo(200);
        assertThat(MAP.techniques()).extracting(Technique::family).contains(Family.values());
        assertThat(MAP.techniques()).extracting(Technique::group).contains(Group.values());
        assertThat(MAP.links()).hasSizeGreaterThanOrEqualTo(450);
        assertThat(MAP.reactions()).hasSizeGreaterThanOrEqualTo(150);
        assertThat(LIBRARY.chains()).hasSizeGreaterThanOrEqualTo(30);
        assertThat(LIBRARY.words()).hasSizeGreaterThanOrEqualTo(160);
        assertThat(LIBRARY.map().rulesets()).hasSize(4);
        assertThat(LIBRARY.ladders()).hasSize(3);
    }

    static List<Technique> techniques() {
        return List.copyOf(MAP.techniques());
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("techniques")
    void aCardTeaches(Technique technique) {
        assertThat(technique.summary()).endsWith(".");
        assertThat(technique.steps()).hasSizeBetween(3, 7);
        assertThat(technique.steps()).anyMatch(step -> step.cue() != null);
        assertThat(technique.signs()).isNotEmpty();
        assertThat(technique.faults()).hasSizeGreaterThanOrEqualTo(2);
        if (technique.family() == Family.THROW) {
            assertThat(technique.group()).isNotNull();
            assertThat(technique.directions()).isNotEmpty();
            assertThat(technique.receiverFalls()).isNotEmpty();
        }
        if (technique.family() == Family.SUBMISSION) {
            assertThat(technique.hazards()).isNotEmpty();
            assertThat(Cautions.of(technique, MAP)).extracting(Caution::code).contains("TAP");
        }
    }

    /** Sides are told by hands and by near and far; what has no side must not name one. */
    @ParameterizedTest(name = "{0}")
    @MethodSource("techniques")
    void stepsNameNoSideThatTheCardForbids(Technique technique) {
        String steps = technique.steps().stream()
                .map(step -> step.text() + " " + (step.footwork() == null ? "" : step.footwork()))
                .collect(Collectors.joining(" "))
                .toLowerCase(Locale.ROOT);
        assertThat(steps).doesNotContainPattern("\\b(left|right)\\b(?! angle)");
        if (!technique.sided()) {
            assertThat(steps).doesNotContainPattern("(sleeve|collar)-(hand|side)");
        }
    }

    @Test
    void noTwoCardsShareASentence() {
        Map<String, String> seen = new HashMap<>();
        for (Technique technique : MAP.techniques()) {
            Set<String> own = new HashSet<>();
            own.add(technique.summary());
            technique.steps().forEach(step -> own.add(step.text()));
            own.addAll(technique.signs());
            technique.faults().forEach(fault -> own.addAll(List.of(fault.see(), fault.because(), fault.fix())));
            own.stream()
                    .filter(s -> s.split(" ").length >= 5)
                    .forEach(s -> assertThat(seen.put(s, technique.id())).as(s).isNull());
        }
    }

    @Test
    void everyNameLeadsToOneTechnique() {
        Map<String, String> owner = new HashMap<>();
        for (Technique technique : MAP.techniques()) {
            Stream.concat(
                            Stream.of(technique.name()),
                            technique.aliases().stream().map(Alias::text))
                    .map(name -> name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]", ""))
                    .distinct()
                    .forEach(name ->
                            assertThat(owner.put(name, technique.id())).as(name).isNull());
        }
        for (Word term : LIBRARY.words()) {
            String named = owner.get(term.term().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]", ""));
            if (named != null) {
                assertThat(term.techniques()).as(term.id()).contains(named);
            }
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"first", "second", "third", "fourth", "fifth"})
    void aClassicalSetHasItsEightThrows(String set) {
        List<Technique> eight = MAP.techniques().stream()
                .filter(t -> t.tags().contains(set + "-set-of-eight"))
                .toList();
        assertThat(eight).hasSize(8).allMatch(t -> t.family() == Family.THROW);
        assertThat(eight)
                .allMatch(t -> t.aliases().stream().anyMatch(a -> a.tongue().equals("Japanese")));
    }

    @Test
    void whereSchoolsDifferBothReasonsAreGivenAndOneIsTheHouses() {
        assertThat(MAP.techniques())
                .filteredOn(t -> !t.versions().isEmpty())
                .hasSizeGreaterThanOrEqualTo(10)
                .allMatch(t -> t.houseVersion() != null && t.versions().size() >= 2)
                .allMatch(t -> t.versions().stream().noneMatch(v -> v.because().isBlank()));
    }

    @Test
    void juniorsMeetNothingThatIsNotForThem() {
        Ladder junior = LIBRARY.ladders().stream()
                .filter(l -> l.id().equals("junior"))
                .findFirst()
                .orElseThrow();
        Rank last = junior.ranks().get(junior.ranks().size() - 1);
        assertThat(junior.knownBy(last.id(), MAP))
                .map(id -> MAP.technique(id).orElseThrow())
                .filteredOn(t -> t.family() == Family.SUBMISSION
                        || t.hazards().stream()
                                .anyMatch(hazard -> Cautions.of(hazard).level() == Caution.Level.FORBID))
                .extracting(Technique::id)
                .isEmpty();
    }

    @Test
    void everyTechniqueIsTaughtAndEveryThrowGroupComesWhereACoachExpectsIt() {
        Ladder adult = LIBRARY.ladders().stream()
                .filter(l -> l.id().equals("adult"))
                .findFirst()
                .orElseThrow();
        assertThat(adult.knownBy("black", MAP))
                .containsAll(MAP.techniques().stream().map(Technique::id).toList());
        assertThat(groupsBy(adult, "white")).contains(Group.HIP, Group.FOOT_AND_LEG, Group.SHOULDER_LOCK);
        assertThat(groupsBy(adult, "yellow")).contains(Group.HAND, Group.ARM_LOCK, Group.CHOKE);
        assertThat(groupsBy(adult, "white")).doesNotContain(Group.LEG_LOCK, Group.REAR_SACRIFICE, Group.SIDE_SACRIFICE);
        assertThat(groupsBy(adult, "green")).contains(Group.LEG_LOCK, Group.REAR_SACRIFICE, Group.SIDE_SACRIFICE);
    }

    private static Set<Group> groupsBy(Ladder ladder, String rank) {
        return ladder.knownBy(rank, MAP).stream()
                .map(id -> MAP.technique(id).orElseThrow().group())
                .filter(group -> group != null)
                .collect(Collectors.toSet());
    }

    @Test
    void everyPositionHasAWayInAndTwoWaysOutOrSaysWhyNot() {
        Set<String> entered = MAP.links().stream()
                .flatMap(link -> link.endsInTap()
                        ? Stream.empty()
                        : Stream.of(link.to(), MAP.counterpart(link.to()).id()))
                .collect(Collectors.toSet());
        MAP.positions().forEach(position -> {
            assertThat(entered).as(position.id()).contains(position.id());
            long waysOut = MAP.linksFrom(position.id()).stream()
                    .filter(link -> !link.answersReaction())
                    .count();
            assertThat(waysOut).as(position.id()).isGreaterThanOrEqualTo(position.fewWaysBecause() == null ? 2 : 1);
        });
        Set<String> used = MAP.links().stream().map(Link::technique).collect(Collectors.toSet());
        assertThat(MAP.techniques())
                .filteredOn(t -> !t.family().isSolo())
                .extracting(Technique::id)
                .isSubsetOf(used);
    }

    @Test
    void everyPositionIsReachedFromStandingApart() {
        MoveGraph graph = MoveGraph.from(MAP, List.of("standing-apart"));
        Set<String> everything = MAP.techniques().stream().map(Technique::id).collect(Collectors.toSet());
        Reach reach = Reach.of(graph, Knowledge.sameLevel(graph, everything));
        assertThat(MAP.positions())
                .filteredOn(position -> !reach.reached(position.id()))
                .extracting(Position::id)
                .isEmpty();
    }

    /** What they do is answered in the next leg, and no route comes back to where it was. */
    @Test
    void noRouteHasALegThatGoesNowhere() {
        MoveGraph graph = MoveGraph.from(MAP, List.of("standing-apart"));
        Set<String> everything = MAP.techniques().stream().map(Technique::id).collect(Collectors.toSet());
        Knowledge all = Knowledge.sameLevel(graph, everything);
        RoundEvidence usual = RoundEvidence.withoutRounds(MAP);
        int answered = 0;
        for (Position from : MAP.positions()) {
            for (Routes.Route route : Routes.find(graph, all, usual, from.id(), null, 2, 10)) {
                List<Routes.Leg> legs = route.legs();
                for (int n = 0; n < legs.size(); n++) {
                    String drawn = n == 0 ? null : legs.get(n - 1).reaction();
                    String when = legs.get(n).link() == null
                            ? null
                            : MAP.link(legs.get(n).link()).orElseThrow().when();
                    assertThat(when).as("%s: %s", from.id(), legs).isEqualTo(drawn);
                    answered += drawn == null ? 0 : 1;
                }
                List<String> stood = legs.stream().map(Routes.Leg::from).toList();
                assertThat(stood.stream().distinct().count())
                        .as("%s: %s", from.id(), stood)
                        .isEqualTo(1
                                + IntStream.range(1, stood.size())
                                        .filter(n -> !stood.get(n).equals(stood.get(n - 1)))
                                        .count());
            }
        }
        assertThat(answered).as("routes over what they do").isGreaterThan(40);
    }

    /** An answer is the same technique from the same place, so what it needs is the same, or the reaction makes it. */
    @Test
    void anAnswerKeepsTheNeedsOfItsBaseLinkOrSaysWhyNot() {
        assertThat(MAP.links())
                .filteredOn(Link::answersReaction)
                .filteredOn(answer -> answer.note() == null)
                .filteredOn(answer -> MAP.linksFrom(answer.from()).stream()
                        .filter(base -> !base.answersReaction())
                        .filter(base -> base.technique().equals(answer.technique()))
                        .anyMatch(base -> !answer.needs().containsAll(base.needs())
                                || !answer.meantFor().containsAll(base.meantFor())))
                .extracting(Link::id)
                .isEmpty();
    }

    @Test
    void nobodyJumpsToGuardOnAStandingPartnerNorRollsFromTheAir() {
        assertThat(MAP.links())
                .filteredOn(link -> MAP.stageOf(link.from()).compareTo(Stage.GRIPPED) <= 0)
                .extracting(Link::technique)
                .doesNotContain("close-the-guard", "roll-to-guard", "sit-out");
    }

    @ParameterizedTest
    @CsvSource({
        "arm-lock, LIFTED",
        "double-ankle-sweep, LIFTED",
        "armpit-arm-lock, ARM_STANDING_FALL",
        "inner-thigh-throw, HEAD_DIVE",
        "sleeve-hip-throw, ARMS_HELD",
        "stack-pass, NECK_LOAD",
        "roll-to-guard, NECK_LOAD",
        "shoulder-roll-movement, NECK_LOAD",
    })
    void whatCanHurtIsNamed(String technique, Hazard hazard) {
        assertThat(MAP.technique(technique).orElseThrow().hazards()).contains(hazard);
    }

    @Test
    void mostReactionsAreAnswered() {
        List<Reaction> reactions = List.copyOf(MAP.reactions());
        long answered =
                reactions.stream().filter(r -> !MAP.answersTo(r).isEmpty()).count();
        assertThat((double) answered / reactions.size()).isGreaterThanOrEqualTo(0.8);
    }

    @ParameterizedTest
    @MethodSource("chains")
    void everyChainHoldsTogether(Chain chain) {
        assertThat(ChainCheck.check(MAP, chain, null, RoundEvidence.withoutRounds(MAP), LIBRARY.chains())
                        .findings())
                .filteredOn(f -> f.severity() == 3)
                .isEmpty();
    }

    static List<Chain> chains() {
        return LIBRARY.chains();
    }

    private static final List<Finding.Code> OF_THE_SYLLABUS = List.of(
            Finding.Code.ORDER,
            Finding.Code.TOO_EARLY,
            Finding.Code.CHAIN_ORPHAN,
            Finding.Code.DUPLICATE,
            Finding.Code.STANDARD_DROP,
            Finding.Code.LADDER_GAP,
            Finding.Code.OVERLOAD);

    /** However a club begins: a part of the library hangs together as the whole does. */
    @ParameterizedTest
    @EnumSource(value = StarterChoice.class, mode = EnumSource.Mode.EXCLUDE, names = "EMPTY")
    void noRankHasABlockingFindingNorOneOfItsOrder(StarterChoice choice) {
        Club library = StarterLibrary.club("Test", choice);
        GrapplingMap map = GrapplingMap.of(library.map());
        SoftAssertions every = new SoftAssertions();
        for (Ladder ladder : library.ladders()) {
            MoveGraph graph = MoveGraph.under(map, map.ruleset(ladder.ruleset()).orElseThrow());
            List<List<Finding>> all = new SyllabusCheck(graph, Centrality.of(map), library.chains()).of(ladder);
            for (int rank = 0; rank < all.size(); rank++) {
                every.assertThat(all.get(rank))
                        .filteredOn(f -> f.severity() == 3 || OF_THE_SYLLABUS.contains(f.code()))
                        .extracting(
                                Finding::sentence,
                                f -> f.mend() == null
                                        ? "none"
                                        : f.mend().techniques().toString())
                        .as(ladder.ranks().get(rank).id())
                        .isEmpty();
            }
        }
        every.assertAll();
    }
}
