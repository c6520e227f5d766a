package lynchet.core.round;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import lynchet.core.card.Family;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Reaction;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import lynchet.core.round.Round.Event;
import lynchet.core.round.Round.Intent;
import lynchet.core.round.Round.Outcome;
import lynchet.core.round.Round.Who;
import lynchet.core.walk.Chance;
import lynchet.core.walk.Evidence;
import lynchet.core.walk.RandomRounds;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class RoundEvidenceTest {

    private static final GrapplingMap MAP = new TinyMap()
            .pair("guard", Stage.LEGS_BETWEEN, 0.5)
            .pair("mount", Stage.LEGS_CLEARED, 2.5)
            .pair("hold", Stage.FINISH, 2.8)
            .add(TinyMap.card("one", Family.SWEEP, 1, 3, null, null, null, null))
            .add(TinyMap.card("other", Family.SWEEP, 1, 5, null, null, null, null))
            .link("tried", "guard", "one", "mount")
            .link("rest", "guard", "one", "mount")
            .link("hard", "guard", "other", "mount")
            .link("standing", "s", "one", "mount")
            .link("choke-hold", "hold", "choke", Link.TAP)
            .link("choke-mount", "mount", "choke", Link.TAP)
            .link("choke-guard", "guard", "choke", Link.TAP)
            .link("choke-s", "s", "choke", Link.TAP)
            .link("to-hold", "mount", "choke", "hold")
            .reaction("post", "tried", "guard")
            .reaction("drive", "tried", "s")
            .reactionAt("shove", "mount", "guard")
            .map();

    private static List<Event> events(String link, Outcome outcome, int n) {
        return Collections.nCopies(n, event(link, null, null, Intent.TRY, outcome));
    }

    private static Event event(String link, String position, String reaction, Intent intent, Outcome outcome) {
        return new Event(1, Who.FIRST, link, position, reaction, intent, outcome, null, null);
    }

    private static Round round(List<Event> events) {
        Round.Ended ended = new Round.Ended(Round.How.TIME, null, null, null);
        return RoundBuilder.builder()
                .id("r")
                .at(Instant.EPOCH)
                .first("a")
                .second("b")
                .ended(ended)
                .events(events)
                .build();
    }

    private static RoundEvidence evidence(List<Event> events) {
        return RoundEvidence.of(MAP, Logged.count(List.of(round(events)), RoundFilter.ALL), true);
    }

    private static RoundEvidence evidence(Event... events) {
        return evidence(List.of(events));
    }

    private static Link link(String id) {
        return MAP.link(id).orElseThrow();
    }

    private static double share(RoundEvidence evidence, String reaction) {
        return evidence.share(MAP.reaction(reaction).orElseThrow());
    }

    /** The design's figures: a family with 18 of 40 works in 0.43; 9 of 12 with master 3 is 0.622. */
    @Test
    void theWorkedFigures() {
        List<Event> events = new ArrayList<>(events("tried", Outcome.WORKED, 9));
        events.addAll(events("tried", Outcome.STOPPED, 3));
        events.addAll(events("rest", Outcome.WORKED, 9));
        events.addAll(events("rest", Outcome.COUNTERED, 19));
        Chance chance = evidence(events).works(link("tried"));
        assertThat(chance.estimate()).isCloseTo(0.622, within(1e-9));
        assertThat(chance.tries()).isEqualTo(12);
        assertThat(evidence(events).chance(link("tried"))).isEqualTo(chance.estimate());
        assertThat(chance.low()).isBetween(0.45, 0.50);
        assertThat(chance.high()).isBetween(0.74, 0.78);
        assertThat(evidence(events).chance(link("hard"))).isCloseTo(0.43 * 0.7, within(1e-9));
        assertThat(evidence(events).chance(link("standing")))
                .as("the same family from another stage is another thing")
                .isCloseTo(0.35, within(1e-9));
    }

    @Test
    void withoutRoundsItIsWhatIsUsualForTheFamily() {
        Chance chance = evidence().works(link("tried"));
        assertThat(chance.estimate()).isCloseTo(0.35, within(1e-9));
        assertThat(chance.isTooFew()).isTrue();
        assertThat(RoundEvidence.withoutRounds(MAP).chance(link("tried"))).isEqualTo(chance.estimate());
    }

    /** A tap straight from a place that does not hold is rare: 0.5, 0.2, 0.1, 0.05; getting to the hold is no tap. */
    @Test
    void aTapIsLikelierTheBetterThePlaceHolds() {
        RoundEvidence none = RoundEvidence.withoutRounds(MAP);
        assertThat(List.of("choke-hold", "choke-mount", "choke-guard", "choke-s", "to-hold"))
                .extracting(id -> none.chance(link(id)))
                .usingElementComparator((x, y) -> Math.abs(x - y) < 1e-9 ? 0 : Double.compare(x, y))
                .containsExactly(0.5, 0.2, 0.1, 0.05, 0.35);
    }

    /** 0.7 · 0.05 would be less than anybody should believe, 0.95 · 1.25 more. */
    @Test
    void noPriorIsBelowOneInTwentyOrAboveNineInTen() {
        GrapplingMap map = new TinyMap()
                .add(TinyMap.card("hard-choke", Family.SUBMISSION, 1, 5, null, null, null, null))
                .add(TinyMap.card("easy", Family.SWEEP, 1, 1, null, null, null, null))
                .link("hard", "s", "hard-choke", Link.TAP)
                .link("easy", "s", "easy", "s")
                .link("easier", "s", "easy", "s")
                .map();
        assertThat(RoundEvidence.withoutRounds(map).chance(map.link("hard").orElseThrow()))
                .isCloseTo(0.05, within(1e-9));
        List<Logged> always = Logged.count(List.of(round(events("easy", Outcome.WORKED, 500))), RoundFilter.ALL);
        assertThat(RoundEvidence.of(map, always, true).chance(map.link("easier").orElseThrow()))
                .isCloseTo(0.9, within(1e-9));
    }

    /** 0.35 · 1.25, 1.1, 1, 0.85, 0.7. */
    @ParameterizedTest
    @CsvSource({"1, 0.4375", "2, 0.385", "3, 0.35", "4, 0.2975", "5, 0.245"})
    void whatIsHardToMasterWorksLessOften(int master, double chance) {
        GrapplingMap map = new TinyMap()
                .add(TinyMap.card("one", Family.SWEEP, 1, master, null, null, null, null))
                .link("tried", "s", "one", "s")
                .map();
        assertThat(RoundEvidence.withoutRounds(map).chance(map.link("tried").orElseThrow()))
                .isCloseTo(chance, within(1e-9));
    }

    @Test
    void aPartialIsHalfAndAThreatIsNothing() {
        List<Event> half = events("tried", Outcome.PARTIAL, 4);
        double mean = (2 + 3.5) / 14;
        assertThat(evidence(half).chance(link("tried"))).isCloseTo((8 * mean + 2) / 12, within(1e-9));
        Event threat = event("tried", null, "post", Intent.THREAT, Outcome.STOPPED);
        assertThat(evidence(threat).works(link("tried")).tries()).isZero();
        assertThat(share(evidence(threat), "post")).isCloseTo(1.0 / 3, within(1e-9));
    }

    /** Four failures, three of them met by a post: 4/7, 1/7 and for none 2/7. What worked says nothing of reactions. */
    @Test
    void sharesOfReactionsAreCountedOverWhatDidNotWork() {
        assertThat(share(evidence(), "post")).isCloseTo(1.0 / 3, within(1e-9));
        Event met = event("tried", null, "post", Intent.TRY, Outcome.STOPPED);
        RoundEvidence evidence = evidence(
                met,
                met,
                event("tried", null, "post", Intent.TRY, Outcome.COUNTERED),
                event("tried", null, null, Intent.TRY, Outcome.STOPPED),
                event("tried", null, "post", Intent.TRY, Outcome.WORKED),
                event("tried", null, "post", Intent.TRY, Outcome.PARTIAL));
        assertThat(share(evidence, "post")).isCloseTo(4.0 / 7, within(1e-9));
        assertThat(share(evidence, "drive")).isCloseTo(1.0 / 7, within(1e-9));
        assertThat(evidence.none(link("tried"))).isCloseTo(2.0 / 7, within(1e-9));
    }

    /** At mount five times, shoved twice: (1 + 2)/(1 + 1 + 5). */
    @Test
    void whatTheyDoAtAPositionIsCountedOverTheTimesThere() {
        List<Event> events = new ArrayList<>(events("tried", Outcome.WORKED, 3));
        events.addAll(Collections.nCopies(2, event("rest", null, "shove", Intent.TRY, Outcome.WORKED)));
        assertThat(evidence(events).visits("mount")).isEqualTo(5);
        assertThat(share(evidence(events), "shove")).isCloseTo(3.0 / 7, within(1e-9));
        assertThat(share(evidence(), "shove")).isCloseTo(0.5, within(1e-9));
    }

    /** Where a round begins, where a link leads, half leads, is stopped, what it says itself; each for both of them. */
    @Test
    void aVisitIsAnArrivalAndABeginning() {
        RoundEvidence evidence = evidence(
                event("tried", null, null, Intent.TRY, Outcome.WORKED),
                event("to-hold", "guard", null, Intent.TRY, Outcome.WORKED),
                event("choke-guard", null, null, Intent.TRY, Outcome.WORKED),
                event("tried", null, "drive", Intent.TRY, Outcome.STOPPED),
                event(null, "hold", null, Intent.TRY, Outcome.WORKED),
                event("choke-mount", null, null, Intent.TRY, Outcome.STOPPED));
        assertThat(evidence.visits("guard")).as("begun there, and came back").isEqualTo(2);
        assertThat(evidence.visits("guard-x")).isEqualTo(2);
        assertThat(evidence.visits("mount")).isEqualTo(1);
        assertThat(evidence.visits("s")).as("once for each of the two").isEqualTo(2);
        assertThat(evidence.visits("hold")).isEqualTo(1);
    }

    /** Of one student: the tries are theirs, and where the other one gets to is where they are from the other side. */
    @Test
    void aFilterAsksForSomebodySomewhen() {
        Event hers = new Event(2, Who.SECOND, "standing", null, null, Intent.TRY, Outcome.WORKED, null, null);
        Round round = round(List.of(event("tried", null, null, Intent.TRY, Outcome.WORKED), hers));
        RoundFilter second = new RoundFilter("b", null, null, null, null);
        RoundEvidence evidence = RoundEvidence.of(MAP, Logged.count(List.of(round), second), false);
        assertThat(evidence.works(link("tried")).tries()).isZero();
        assertThat(evidence.works(link("standing")).tries()).isEqualTo(1);
        assertThat(evidence.visits("mount")).isEqualTo(1);
        assertThat(evidence.visits("mount-x")).isEqualTo(1);
        assertThat(evidence.visits("guard-x")).isEqualTo(1);
        assertThat(evidence.visits("guard")).isZero();

        Instant then = Instant.EPOCH;
        assertThat(List.of(
                        new RoundFilter("c", null, null, null, null),
                        new RoundFilter(null, then.plusSeconds(1), null, null, null),
                        new RoundFilter(null, null, then, null, null),
                        new RoundFilter(null, null, null, "r", null),
                        new RoundFilter(null, null, null, null, Round.Kind.COMPETITION)))
                .noneMatch(filter -> filter.takes(round));
        assertThat(List.of(
                        new RoundFilter("a", then, then.plusSeconds(1), null, Round.Kind.LIVE),
                        second,
                        RoundFilter.ALL))
                .allMatch(filter -> filter.takes(round));
    }

    /** Whatever was logged: a chance is a chance, and what they do makes one with doing nothing. */
    @ParameterizedTest
    @MethodSource("lynchet.core.map.TinyMap#threeHundredSeeds")
    void sharesMakeOne(long seed) {
        GrapplingMap map = TinyMap.randomWithRules(seed).map();
        Evidence evidence = RandomRounds.evidence(map, seed);
        for (Link link : map.links()) {
            List<Reaction> known = map.reactionsToLink(link.id());
            assertThat(evidence.none(link)
                            + known.stream().mapToDouble(evidence::share).sum())
                    .isCloseTo(1, within(1e-9));
            assertThat(evidence.none(link)).isBetween(0.0, 1.0);
            assertThat(evidence.chance(link)).isBetween(0.0, 1.0);
        }
        map.positions().forEach(position -> assertThat(map.reactionsAt(position.id()).stream()
                        .mapToDouble(evidence::share)
                        .sum())
                .isLessThan(1));
        map.reactions().stream().filter(Reaction::retired).forEach(gone -> assertThat(evidence.share(gone))
                .isZero());
    }

    @Test
    void aRoundRefusesNonsense() {
        assertThatThrownBy(() -> new Event(1, Who.FIRST, null, null, null, null, null, null, null))
                .hasMessageContaining("names a link or the position");
        List<Event> backwards = new ArrayList<>(events("tried", Outcome.WORKED, 1));
        backwards.add(new Event(0, Who.FIRST, "tried", null, null, null, null, null, null));
        assertThatThrownBy(() -> evidence(backwards)).hasMessageContaining("go back in time");
    }

    /** What somebody meant, by name, and it worked: that is a success; of the other one, a threat or a half is none. */
    @Test
    void successesAreThoseOfThePerson() {
        Event worked = event("tried", null, null, Intent.TRY, Outcome.WORKED);
        Event theirs = new Event(2, Who.SECOND, "rest", null, null, Intent.TRY, Outcome.WORKED, null, null);
        Round round = round(List.of(
                worked,
                event("tried", null, null, Intent.TRY, Outcome.PARTIAL),
                event("tried", null, null, Intent.THREAT, Outcome.WORKED),
                event(null, "guard", null, Intent.TRY, Outcome.WORKED),
                theirs));
        assertThat(round.successesOf("a")).containsExactly(worked);
        assertThat(round.successesOf("b")).containsExactly(theirs);
        Round renamed = round.through(link -> link + "-new");
        assertThat(renamed.events())
                .extracting(Event::link)
                .containsExactly("tried-new", "tried-new", "tried-new", null, "rest-new");
        assertThat(renamed.events().get(4).who()).isEqualTo(Who.SECOND);
    }

    /** A half leads where the link says; a threat leads nowhere unless they do something; tries are told by their start. */
    @Test
    void whereAHalfAndAThreatLead() {
        GrapplingMap map = new TinyMap()
                .pair("a", Stage.GRIPPED, 0.5)
                .pair("b", Stage.HALF_DOWN, 0.5)
                .pair("c", Stage.HALF_DOWN, 1)
                .cost("one", 1)
                .map();
        Link half = new Link("half", "a", "one", null, null, null, null, "c", "b", "s", null, false);
        GrapplingMap with = GrapplingMap.of(map.data().with(lynchet.core.map.MapData.only(half)));
        List<Logged> logged = Logged.count(
                List.of(round(List.of(
                        event("half", null, null, Intent.TRY, Outcome.PARTIAL),
                        event("half", null, null, Intent.TRY, Outcome.STOPPED),
                        event("half", null, null, Intent.THREAT, Outcome.WORKED),
                        event("half", null, null, Intent.THREAT, Outcome.STOPPED)))),
                RoundFilter.ALL);
        RoundEvidence evidence = RoundEvidence.of(with, logged, true);
        assertThat(evidence.visits("b")).isEqualTo(1);
        assertThat(evidence.visits("s")).as("stopped once, for both of them").isEqualTo(2);
        assertThat(evidence.visits("c")).isZero();
        assertThat(evidence.triesByPosition()).containsExactly(java.util.Map.entry("a", 2));
    }

    /** What they do where a link leads counts though the link worked; at a place the link does not touch it does not. */
    @Test
    void aReactionAtAPositionIsCountedWhereTheLinkTouchesIt() {
        RoundEvidence there = evidence(event("rest", null, "shove", Intent.TRY, Outcome.WORKED));
        RoundEvidence elsewhere = evidence(event("choke-s", null, "shove", Intent.TRY, Outcome.WORKED));
        assertThat(share(there, "shove")).isCloseTo(2.0 / 3, within(1e-9));
        assertThat(share(elsewhere, "shove")).isCloseTo(0.5, within(1e-9));
    }

    /** What was tried before is not on a card: it says where rounds end, and no rate comes of what it ended with. */
    @Test
    void aCardIsAVisitAndNoTry() {
        Round.Ended ended = new Round.Ended(Round.How.TAP, Who.SECOND, "mount", "choke-mount");
        Round card = RoundBuilder.builder(round(List.of())).ended(ended).build();
        RoundEvidence all = RoundEvidence.of(MAP, Logged.count(List.of(card, card), RoundFilter.ALL), true);
        assertThat(all.works(link("choke-mount")).tries()).isZero();
        assertThat(all.chance(link("choke-mount"))).isEqualTo(evidence().chance(link("choke-mount")));
        assertThat(all.finishes("choke-mount")).isEqualTo(2);
        assertThat(all.finishes("choke-guard")).isZero();
        assertThat(all.visits("mount")).isEqualTo(2);
        assertThat(all.visits(MAP.counterpart("mount").id())).isEqualTo(2);
        RoundFilter loser = new RoundFilter("a", null, null, null, null);
        RoundEvidence his = RoundEvidence.of(MAP, Logged.count(List.of(card), loser), false);
        assertThat(his.finishes("choke-mount"))
                .as("the other one finished with it")
                .isZero();
        assertThat(his.visits("mount")).isZero();
        assertThat(his.visits(MAP.counterpart("mount").id())).isEqualTo(1);
    }

    /** What a card ended with worked for the one who won; in a log what worked stands among its events. */
    @Test
    void theEndOfACardIsASuccessOfTheWinner() {
        Round.Ended ended = new Round.Ended(Round.How.TAP, Who.SECOND, "mount", "choke-mount");
        Round card = RoundBuilder.builder(round(List.of())).ended(ended).build();
        assertThat(card.successesOf("b")).extracting(Event::link).containsExactly("choke-mount");
        assertThat(card.successesOf("a")).isEmpty();
        assertThat(card.stamped(null, "coach").by()).isEqualTo("coach");
        Round log = RoundBuilder.builder(card)
                .events(List.of(event("tried", null, null, Intent.TRY, Outcome.WORKED)))
                .build();
        assertThat(log.successesOf("b")).isEmpty();
        assertThat(log.successesOf("a")).extracting(Event::link).containsExactly("tried");
        Round notSeen = RoundBuilder.builder(card)
                .ended(new Round.Ended(Round.How.TAP, Who.SECOND, "mount", null))
                .build();
        assertThat(notSeen.successesOf("b")).isEmpty();
        Round outside = RoundBuilder.builder(card).second(null).build();
        assertThat(outside.members()).containsExactly("a");
        assertThat(outside.loser()).isEqualTo("a");
        assertThat(outside.successesOf("a")).isEmpty();
    }
}
