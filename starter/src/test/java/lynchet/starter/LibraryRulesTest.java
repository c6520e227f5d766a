package lynchet.starter;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lynchet.core.card.Family;
import lynchet.core.card.Fault;
import lynchet.core.card.Group;
import lynchet.core.card.Hazard;
import lynchet.core.card.Jacket;
import lynchet.core.card.Need;
import lynchet.core.card.Step;
import lynchet.core.card.Technique;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainStep;
import lynchet.core.club.Club;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Position;
import lynchet.core.map.Ruleset;
import lynchet.core.map.Stage;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What two coaches found wrong in the first library, as rules that it keeps from now on. */
class LibraryRulesTest {

    private static final Club LIBRARY = StarterLibrary.club("Test");
    private static final GrapplingMap MAP = GrapplingMap.of(LIBRARY.map());

    private static Technique card(Link link) {
        return MAP.technique(link.technique()).orElseThrow();
    }

    private static Position at(String id) {
        return MAP.position(id).orElseThrow();
    }

    private static Stream<Link> goingOn() {
        return MAP.links().stream().filter(link -> !link.endsInTap());
    }

    @Test
    void whatWorksDoesNotLoseGroundOrSaysWhy() {
        assertThat(goingOn()
                        .filter(link -> link.note() == null)
                        .filter(link ->
                                at(link.to()).control() < at(link.from()).control() - 0.3 - 1e-9))
                .extracting(Link::id)
                .isEmpty();
    }

    @Test
    void withoutAJacketNobodyLandsInGripsOfOne() {
        assertThat(goingOn()
                        .filter(link -> card(link).jacket() == Jacket.EITHER
                                && at(link.from()).jacket() == Jacket.EITHER)
                        .filter(link -> Stream.of(link.to(), link.partial(), link.ifStopped())
                                .filter(Objects::nonNull)
                                .anyMatch(end -> at(end).jacket() == Jacket.JACKET)))
                .extracting(Link::id)
                .isEmpty();
    }

    @Test
    void whatMakesANeedEndsWhereItIsNeededOrIsAGripTakenThere() {
        for (Link link : MAP.links()) {
            for (Need need : link.needs()) {
                if (need.madeBy() != null) {
                    Link making = MAP.link(need.madeBy()).orElseThrow();
                    assertThat(making.to().equals(link.from())
                                    || card(making).family() == Family.GRIP
                                            && making.from().equals(link.from()))
                            .as(link.id())
                            .isTrue();
                }
            }
        }
    }

    private static Stream<String> texts(Technique card) {
        Stream<Step> steps =
                Stream.concat(card.steps().stream(), card.versions().stream().flatMap(v -> v.steps().stream()));
        Stream<Fault> faults =
                Stream.concat(card.faults().stream(), card.versions().stream().flatMap(v -> v.faults().stream()));
        return Stream.of(
                        Stream.of(card.summary()),
                        card.signs().stream(),
                        steps.flatMap(step -> Stream.of(step.text(), step.cue(), step.footwork())),
                        faults.flatMap(fault -> Stream.of(fault.see(), fault.because(), fault.fix())))
                .flatMap(part -> part)
                .filter(Objects::nonNull);
    }

    /** "The sleeve-hand side" is mine, "their sleeve side" is theirs; a bare side could be either. */
    @Test
    void sidesAreToldByOneVocabulary() {
        Pattern bare = Pattern.compile("(?<!\\btheir )\\b(sleeve|collar)[- ]sides?\\b");
        Set<String> slips = new TreeSet<>();
        MAP.techniques().forEach(card -> texts(card)
                .filter(text -> bare.matcher(text).find())
                .forEach(text -> slips.add(card.id() + ": " + text)));
        assertThat(slips).isEmpty();
    }

    private static Set<Hazard> following(Technique card) {
        Set<Hazard> all = new HashSet<>();
        Map<Group, Hazard> byGroup = Map.of(
                Group.ARM_LOCK, Hazard.ARM_LOCK,
                Group.SHOULDER_LOCK, Hazard.SHOULDER_LOCK,
                Group.LEG_LOCK, Hazard.LEG_LOCK);
        if (card.group() != null && byGroup.containsKey(card.group())) {
            all.add(byGroup.get(card.group()));
        }
        String steps = card.steps().stream()
                .map(Step::text)
                .collect(Collectors.joining(" "))
                .toLowerCase();
        if (card.family() == Family.ESCAPE && steps.contains("bridge")) {
            all.add(Hazard.NECK_LOAD);
        }
        if (steps.contains("belt with four fingers") || steps.contains("to the belt at the spine")) {
            all.add(Hazard.BELT_THUMB);
        }
        return all;
    }

    @Test
    void hazardsFollowFromFamilyGroupAndWords() {
        assertThat(MAP.techniques())
                .filteredOn(card -> !card.hazards().containsAll(following(card)))
                .extracting(Technique::id)
                .isEmpty();
        assertThat(MAP.techniques())
                .filteredOn(card -> card.group() == Group.CHOKE)
                .allMatch(card ->
                        card.hazards().contains(Hazard.CHOKE) || card.hazards().contains(Hazard.FRONT_CHOKE));
    }

    /** Anybody who is thrown to the mat has a fall for it; who stays on the feet needs none. */
    @Test
    void fallsMatchTheLanding() {
        List<Link> fromTheFeet = goingOn()
                .filter(link -> MAP.stageOf(link.from()).compareTo(Stage.GRIPPED) <= 0)
                .filter(link ->
                        card(link).family() == Family.THROW || card(link).family() == Family.TAKEDOWN)
                .toList();
        assertThat(fromTheFeet)
                .filteredOn(link -> (MAP.stageOf(link.to()).compareTo(Stage.GRIPPED) > 0)
                        == card(link).receiverFalls().isEmpty())
                .extracting(Link::id)
                .isEmpty();
    }

    @Test
    void movementsAndFallsComeBeforeWhatTheyServe() {
        for (Ladder ladder : LIBRARY.ladders()) {
            Set<String> known = new HashSet<>();
            for (Rank rank : ladder.ranks()) {
                List<Technique> here = rank.items()
                        .map(item -> MAP.technique(item.ref()).orElse(null))
                        .filter(Objects::nonNull)
                        .toList();
                here.forEach(card -> known.add(card.id()));
                for (Technique card : here) {
                    assertThat(Stream.concat(card.prerequisites().stream(), card.receiverFalls().stream())
                                    .filter(id -> MAP.technique(id)
                                            .orElseThrow()
                                            .family()
                                            .isSolo()))
                            .as(ladder.id() + ", " + rank.id() + ": " + card.id())
                            .allMatch(known::contains);
                }
            }
        }
    }

    @Test
    void aVersionHasSomethingOfItsOwn() {
        assertThat(MAP.techniques().stream().flatMap(card -> card.versions().stream()))
                .hasSizeGreaterThanOrEqualTo(23)
                .allMatch(v -> !v.steps().isEmpty()
                        || !v.faults().isEmpty()
                        || !v.needs().isEmpty());
    }

    /** What a chain's title and intent promise, as techniques and reactions that stand in it. */
    @ParameterizedTest(name = "{0}")
    @CsvSource({
        "three-from-guard, arm-lock triangle-choke leg-shoulder-lock ~arm-lock-they-posture ~arm-lock-they-stack ~arm-lock-they-pull-out",
        "knee-ride-three, switch-to-knee-ride arm-lock mount-over-from-knee-ride side-hold ~knee-ride-they-turn-in",
        "mount-climb, climb-high-mount cross-collar-choke arm-lock mount-to-back",
        "leg-then-knee, ankle-lock knee-bar knee-shield-roll ~entangle-they-kneel ~ankle-they-straighten-leg",
        "back-three-tilts, rear-choke trap-the-hand single-wing-choke ~choke-they-peel ~rear-choke-they-tuck",
        "out-of-back-two-ways, slide-out-of-back strip-and-turn-out elbow-escape",
        "side-arm-locks-apart, figure-four-lock double-wrist-lock figure-four-arm-lock ~figure-four-they-straighten ~side-they-underhook-far",
        "mat-return-or-back, mat-return rear-trip-down ~mat-return-they-stand-tall",
        "pass-in-series, posture-again side-step-pass knee-slide-pass seatbelt-and-hooks ~side-step-they-recover ~knee-slide-they-push-back",
        "neck-tie-three-ways, duck-under slide-by ankle-pick",
        "ride-breakdown-back, four-point-ride-hold four-point-breakdown seatbelt-and-hooks lift-and-turn-down",
        "late-headlock-choke, peel-and-look-up circle-out-of-front-choke walk-out-of-standing-choke ~headlock-choke-deep ~headlock-choke-standing",
        "turtle-three-doors, clock-choke knee-scoop-turn crucifix-entry",
        "pendulum-and-arm, pendulum-sweep arm-lock hip-bump-sweep",
        "clinch-inside-outside, inside-trip outside-trip",
        "sprawl-and-attack, sprawl go-behind snap-down",
        "turtle-attack, snap-down go-behind seatbelt-and-hooks rear-choke",
        "out-of-mount, bridge-and-roll elbow-escape",
        "hip-bump-answers, hip-bump-sweep double-wrist-lock front-choke",
        "throw-to-hold, major-hip-throw scarf-hold major-inner-reap body-drop",
        "grip-to-throw, win-strong-grip hip-sweep advancing-foot-sweep",
        "reap-both-ways, major-outer-reap body-drop major-inner-reap ~outer-reap-they-lean-forward ~outer-reap-they-step-back",
        "stand-up-safely, stand-from-turtle peel-and-face",
        "grip-take-rip-follow, take-sleeve-collar win-strong-grip advancing-foot-sweep ~strong-grip-they-rip",
        "opposite-stance-walk, opposite-lapel-grip inner-thigh-throw major-inner-reap",
        "sleeve-lift-and-hook, sleeve-hip-throw minor-outer-hook ~sleeve-hip-they-drop-elbow",
        "bend-them-and-turn, belt-over-back corner-reversal major-outer-reap ~belt-grip-they-push-up",
        "block-and-reap, lift-pull-foot-block minor-inner-reap ~foot-block-they-hang-back",
        "wheel-and-reap, knee-wheel major-outer-reap ~knee-wheel-they-step-over",
        "hip-and-follow, floating-hip-throw body-drop ~floating-hip-they-jump-round",
        "shoulder-throw-to-arm, two-hand-shoulder-throw arm-lock",
        "body-lock-two-corners, close-double-underhooks body-lock-drop outside-trip valley-drop ~body-lock-they-lean-back",
        "rear-clinch-by-weight, rear-trip-down mat-return ~rear-trip-they-lean-forward",
        "choke-lock-sweep, cross-collar-choke arm-lock double-ankle-sweep",
        "seated-lift-and-slide, elevator-sweep spin-under-hook-to-back ~elevator-they-post",
        "sleeves-to-lasso, wrap-the-lasso lasso-sweep leg-shoulder-lock ~lasso-they-stack",
        "half-guard-up-or-under, win-the-underhook underhook-come-up hook-half-sweep ~come-up-they-clamp",
        "drag-then-back, leg-drag-pass drag-to-back knee-slide-pass ~leg-drag-they-turn-away ~leg-drag-they-turn-in",
        "split-then-choose, split-the-legs knee-slide-pass smash-the-shield",
        "crucifix-to-wing, crucifix-entry rear-choke seatbelt-and-hooks single-wing-choke ~crucifix-they-free-arm",
        "out-of-scarf-two-ways, scarf-bridge-roll hook-the-leg ~scarf-bridge-they-base",
        "stand-up-from-under, stand-in-base overhead-balloon ~stand-in-base-they-press",
    })
    void aChainHoldsWhatItPromises(String id, String promised) {
        Chain chain = LIBRARY.chains().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow();
        Set<String> held = new HashSet<>();
        collect(chain.first(), held);
        assertThat(held).containsAll(Arrays.asList(promised.split(" ")));
    }

    @Test
    void everyChainIsHeldToSomething() throws Exception {
        String[] held = LibraryRulesTest.class
                .getDeclaredMethod("aChainHoldsWhatItPromises", String.class, String.class)
                .getAnnotation(CsvSource.class)
                .value();
        assertThat(LIBRARY.chains())
                .extracting(Chain::id)
                .containsExactlyInAnyOrderElementsOf(
                        Arrays.stream(held).map(row -> row.split(",")[0]).toList());
    }

    private static void collect(ChainStep step, Set<String> held) {
        held.add(MAP.link(step.link()).orElseThrow().technique());
        step.next().forEach(turn -> {
            if (turn.reaction() != null) {
                held.add("~" + turn.reaction());
            }
            collect(turn.step(), held);
        });
    }

    /** No ladder hands a junior to a rank whose age they have not, or past locks that they never had. */
    @ParameterizedTest
    @EnumSource(
            value = Group.class,
            names = {"ARM_LOCK", "SHOULDER_LOCK", "CHOKE"})
    void aJuniorIsHandedOverBeforeTheLocksTheyNeverHad(Group group) {
        Ladder junior = ladder("junior");
        Ladder adult = ladder("adult");
        List<String> ranks = adult.ranks().stream().map(Rank::id).toList();
        junior.handOver().forEach((from, to) -> {
            Rank landing = adult.rank(to).orElseThrow();
            assertThat(landing.minAge()).as(to).isLessThanOrEqualTo(junior.toAge());
            List<String> done = ranks.subList(0, ranks.indexOf(to));
            long locks = done.stream()
                    .flatMap(rank -> adult.rank(rank).orElseThrow().items())
                    .map(item -> MAP.technique(item.ref()).orElse(null))
                    .filter(Objects::nonNull)
                    .filter(card -> card.group() == group)
                    .count();
            assertThat(locks).as(from + " to " + to).isLessThanOrEqualTo(3);
        });
    }

    /** A card that carries over to another is the easier of the two: no ladder asks for it later. */
    @Test
    void theEasierRelativeComesFirst() {
        for (Ladder ladder : LIBRARY.ladders()) {
            for (Technique card : MAP.techniques()) {
                for (String harder : card.carriesOverTo()) {
                    boolean isMutual =
                            MAP.technique(harder).orElseThrow().carriesOverTo().contains(card.id());
                    int first = firstIn(ladder, card.id());
                    int second = firstIn(ladder, harder);
                    if (!isMutual && first >= 0 && second >= 0) {
                        assertThat(first)
                                .as(ladder.id() + ": " + card.id() + " before " + harder)
                                .isLessThanOrEqualTo(second);
                    }
                }
            }
        }
    }

    /** What frees somebody is asked no later than what catches them, and who controls a leg comes before who finishes on it. */
    @ParameterizedTest
    @CsvSource({
        "peel-the-choke, rear-choke",
        "stack-the-arm-lock, arm-lock",
        "bent-arm-hide, figure-four-lock",
        "posture-out-of-triangle, triangle-choke",
        "open-the-collar-hand, cross-collar-choke",
        "circle-out-of-front-choke, front-choke",
        "walk-to-the-held-arm, arm-in-front-choke",
        "hide-the-knee, knee-bar",
        "boot-and-stand, ankle-lock",
        "entangle-the-leg, ankle-lock",
        "posture-out-of-leg-shoulder-lock, leg-shoulder-lock",
        "win-the-underhook, underhook-to-back",
        "underhook-come-up, half-guard-roll-sweep",
        "front-fall, forward-roll-fall",
        "recover-knees, knee-slide-pass",
        "front-headlock-tie, front-choke",
    })
    void onTheAdultLadderComesBefore(String first, String then) {
        Ladder adult = ladder("adult");
        assertThat(firstIn(adult, first)).isNotNegative().isLessThanOrEqualTo(firstIn(adult, then));
    }

    /** A junior ladder asks for nothing that its own ruleset forbids, and for nothing that levers a head below ten. */
    @Test
    void aJuniorIsAskedForNothingThatIsNotForThem() {
        Ladder junior = ladder("junior");
        Ruleset rules = MAP.ruleset(junior.ruleset()).orElseThrow();
        for (Rank rank : junior.ranks()) {
            List<Technique> cards = rank.items()
                    .map(item -> MAP.technique(item.ref()).orElse(null))
                    .filter(Objects::nonNull)
                    .toList();
            assertThat(cards).as(rank.id()).allMatch(rules::allows);
            assertThat(cards)
                    .extracting(Technique::id)
                    .as(rank.id())
                    .doesNotContainAnyElementsOf(
                            rank.minAge() >= 13
                                    ? List.of("none")
                                    : rank.minAge() >= 10
                                            ? List.of(
                                                    "sleeve-hip-throw",
                                                    "hip-wheel",
                                                    "head-and-arm-tie",
                                                    "corner-reversal")
                                            : List.of(
                                                    "half-lever-turn",
                                                    "snap-down",
                                                    "cross-face-cradle",
                                                    "sleeve-hip-throw",
                                                    "hip-wheel",
                                                    "head-and-arm-tie",
                                                    "corner-reversal"));
        }
    }

    /** Standing arm locks wait for one age on every ladder that has them. */
    @Test
    void standingArmLocksWaitForOneAge() {
        assertThat(LIBRARY.ladders().stream().flatMap(ladder -> ladder.ranks().stream()
                        .filter(rank -> rank.items().anyMatch(item -> "armpit-arm-lock".equals(item.ref())))
                        .map(Rank::minAge)))
                .hasSize(2)
                .containsOnly(16);
    }

    private static int firstIn(Ladder ladder, String technique) {
        for (int n = 0; n < ladder.ranks().size(); n++) {
            if (ladder.ranks().get(n).items().anyMatch(item -> technique.equals(item.ref()))) {
                return n;
            }
        }
        return -1;
    }

    private static Ladder ladder(String id) {
        return LIBRARY.ladders().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow();
    }
}
