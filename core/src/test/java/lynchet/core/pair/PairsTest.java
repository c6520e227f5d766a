package lynchet.core.pair;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import lynchet.core.card.Family;
import lynchet.core.card.Hazard;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Block;
import lynchet.core.mat.BlockBuilder;
import lynchet.core.mat.Dose;
import lynchet.core.mat.Leads;
import lynchet.core.mat.Pairing;
import lynchet.core.mat.Side;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.people.Lead;
import lynchet.core.people.Restriction.Kind;
import org.junit.jupiter.api.Test;

/** Pairs against worked figures, all matchings of small rooms, and the safety rules in plain loops over whole evenings. */
class PairsTest {

    private static final Work THROWS = new Work(true, false, Set.of(), Set.of("side-fall"), Leads.OPPOSED);
    static final List<Kind> TOUCHED = List.of(Kind.NO_NECK, Kind.NO_ARM_LOCKS, Kind.NO_LEG_LOCKS);
    private static final Work LIVE = new Work(false, true, Set.of(), Set.of(), Leads.ANY);

    static Partner adult(String id, double kg, int cm, Lead lead, int place, int days) {
        return new Partner(
                id,
                30,
                kg,
                cm,
                lead,
                "adult",
                place,
                days,
                false,
                Set.of("side-fall"),
                Set.of(),
                Set.of(),
                false,
                Set.of(),
                Set.of());
    }

    private static Partner limited(Partner p, Kind... limits) {
        return with(p, p.age(), p.weightKg(), Set.of(limits), p.falls(), p.apart());
    }

    static Partner with(Partner p, Integer age, Double kg, Set<Kind> limits, Set<String> falls, Set<String> apart) {
        return new Partner(
                p.id(),
                age,
                kg,
                p.heightCm(),
                p.lead(),
                p.ladder(),
                p.place(),
                p.days(),
                false,
                falls,
                Set.of(),
                limits,
                false,
                apart,
                p.prefers());
    }

    private static Partner preferring(Partner p, String other) {
        return new Partner(
                p.id(),
                p.age(),
                p.weightKg(),
                p.heightCm(),
                p.lead(),
                p.ladder(),
                p.place(),
                p.days(),
                false,
                p.falls(),
                Set.of(),
                p.limits(),
                false,
                p.apart(),
                Set.of(other));
    }

    static Couples room(Work work, Before before, Partner... people) {
        return new Couples(List.of(people), work, before, ClubNumbers.USUAL);
    }

    @Test
    void aPairCostsWhatTheFormulaSays() {
        Partner a = adult("a", 60, 170, Lead.RIGHT, 1, 400);
        Partner b = adult("b", 66, 185, Lead.LEFT, 4, 400);
        assertThat(room(THROWS, Before.NEVER, a, b).cost("a", "b"))
                .as("4 for the weight, 6 for three ranks, 6 for the height")
                .isEqualTo(400 + 600 + 600);
        assertThat(room(Work.EASY, Before.NEVER, a, b).cost("b", "a")).isEqualTo(400 + 600);
        Partner alike = adult("b", 60, 170, Lead.RIGHT, 2, 400);
        assertThat(room(THROWS, Before.NEVER, a, alike).cost("a", "b"))
                .as("the wanted match-up fails; one rank apart costs nothing")
                .isEqualTo(600);
        Partner fresh = adult("n", 60, 170, Lead.BOTH, 1, 90);
        Partner second = adult("o", 60, 170, Lead.BOTH, 1, 0);
        assertThat(room(THROWS, Before.NEVER, fresh, second).cost("n", "o")).isEqualTo(2000);
        assertThat(room(THROWS, Before.NEVER, fresh, preferring(second, "n")).cost("n", "o"))
                .as("one of them works best with the other")
                .isEqualTo(1500);
        assertThat(room(Work.EASY, Before.NEVER, fresh, second).cost("n", "o")).isZero();
        assertThat(room(THROWS, Before.NEVER, fresh, adult("o", 60, 170, Lead.BOTH, 1, 91))
                        .cost("n", "o"))
                .as("three months are over")
                .isZero();
    }

    @Test
    void whoWorkedTogetherLatelyCostsMore() {
        Couples couples = room(
                Work.EASY,
                new Before(
                        "now",
                        List.of(
                                made("now", 9, "a", "b"),
                                made("now", 9, "a", "b"),
                                made("one", 8, "a", "c"),
                                made("two", 7, "a", "d"),
                                made("three", 6, "a", "e"),
                                made("four", 5, "a", "f"))),
                List.of("a", "b", "c", "d", "e", "f").stream()
                        .map(id -> adult(id, 60, 170, Lead.RIGHT, 1, 400))
                        .toArray(Partner[]::new));
        assertThat(couples.cost("a", "b")).as("two rounds tonight").isEqualTo(5000);
        assertThat(couples.cost("c", "a")).as("last class").isEqualTo(1500);
        assertThat(couples.cost("a", "e")).as("the last class of e").isEqualTo(1500);
        assertThat(couples.cost("b", "c")).isZero();
        assertThat(couples.why("a", "b")).containsExactly(Why.TONIGHT);
        Before ofBoth = new Before(
                "now",
                List.of(
                        made("one", 8, "a", "x"),
                        made("two", 8, "b", "y"),
                        made("three", 7, "a", "b"),
                        made("four", 6, "c", "x"),
                        made("five", 5, "c", "y"),
                        made("six", 4, "c", "z"),
                        made("seven", 3, "a", "c")));
        assertThat(ofBoth.ago("a", "b")).as("the class before the last").isEqualTo(1);
        assertThat(ofBoth.ago("a", "c")).as("the third of a").isEqualTo(2);
    }

    private static Before.DatedPairing made(String classId, int day, String... group) {
        return new Before.DatedPairing(
                new Pairing("p", classId, null, 1, List.of(new Pairing.Together(List.of(group))), null, null),
                LocalDate.of(2026, 5, day));
    }

    @Test
    void whatStandsAgainstAPairIsSaid() {
        Partner a = adult("a", 60, 170, Lead.RIGHT, 1, 400);
        Partner b = adult("b", 72, 170, Lead.RIGHT, 1, 400);
        assertThat(room(LIVE, Before.NEVER, a, b).why("a", "b")).as("20 % just").isEmpty();
        assertThat(room(LIVE, Before.NEVER, a, adult("b", 72.1, 170, Lead.RIGHT, 1, 400))
                        .why("a", "b"))
                .containsExactly(Why.WEIGHT);
        assertThat(room(Work.EASY, Before.NEVER, a, adult("b", 120, 170, Lead.RIGHT, 1, 400))
                        .why("a", "b"))
                .isEmpty();
        assertThat(room(THROWS, Before.NEVER, a, limited(b, Kind.NO_THROWS_TAKEN))
                        .why("a", "b"))
                .containsExactly(Why.ONE_FALLS);
        assertThat(room(
                                THROWS,
                                Before.NEVER,
                                limited(a, Kind.NO_THROWS_TAKEN),
                                with(b, 30, 72.0, Set.of(), Set.of(), Set.of()))
                        .why("a", "b"))
                .as("one is limited, the other has not the fall")
                .containsExactly(Why.NO_FALLS);
        assertThat(room(LIVE, Before.NEVER, a, limited(b, Kind.HEAD_KNOCK)).why("a", "b"))
                .containsExactly(Why.NO_LIVE);
        assertThat(room(LIVE, Before.NEVER, a, adult("b", 60, 170, Lead.RIGHT, 1, 27))
                        .why("a", "b"))
                .containsExactly(Why.LIVE_EARLY);
        assertThat(room(LIVE, Before.NEVER, a, adult("b", 60, 170, Lead.RIGHT, 1, 28))
                        .why("a", "b"))
                .isEmpty();
        Work neck = new Work(false, false, Set.of(Kind.NO_NECK), Set.of(), Leads.ANY);
        assertThat(room(neck, Before.NEVER, limited(a, Kind.NO_NECK), limited(b, Kind.NO_NECK))
                        .why("a", "b"))
                .containsExactly(Why.NO_NECK);
        assertThat(room(neck, Before.NEVER, a, limited(b, Kind.NO_NECK, Kind.ONE_SIDE_ONLY))
                        .why("a", "b"))
                .containsExactly(Why.ONE_NECK, Why.ONE_SIDE);
        assertThat(room(Work.EASY, Before.NEVER, a, with(b, 30, null, Set.of(), Set.of(), Set.of("a")))
                        .why("a", "b"))
                .containsExactly(Why.APART);
        assertThat(room(LIVE, Before.NEVER, a, with(b, null, null, Set.of(), Set.of(), Set.of()))
                        .why("a", "b"))
                .containsExactly(Why.WEIGHT_UNKNOWN, Why.AGE_UNKNOWN);
    }

    private static Partner guest(String id, Integer age, Double kg) {
        return with(adult(id, 60, 170, Lead.LEFT, 0, -1), age, kg, Set.of(), Set.of("side-fall"), Set.of());
    }

    @Test
    void aGuestOfUnknownAgeOrWeightWaitsForTheCoachsWord() {
        Partner child = with(adult("a", 30, 130, Lead.RIGHT, 1, 400), 12, 30.0, Set.of(), Set.of(), Set.of());
        Partner mate = with(adult("m", 30, 130, Lead.RIGHT, 1, 400), 12, 30.0, Set.of(), Set.of(), Set.of());
        assertThat(room(Work.EASY, Before.NEVER, child, mate, guest("g", null, null))
                        .fit("a", "g"))
                .isFalse();
        assertThat(room(Work.EASY, Before.NEVER, child, mate, guest("g", null, 30.0))
                        .fit("a", "g"))
                .isFalse();
        assertThat(room(Work.EASY, Before.NEVER, child, mate, guest("g", 12, null))
                        .why("a", "g"))
                .containsExactly(Why.GUEST_UNKNOWN);
        assertThat(room(Work.EASY, Before.NEVER, child, mate, guest("g", 12, 30.0))
                        .why("a", "g"))
                .isEmpty();
        Partner member = with(mate, null, 30.0, Set.of(), Set.of(), Set.of());
        assertThat(room(Work.EASY, Before.NEVER, child, member).why("a", "m"))
                .as("nobody of unknown age beside a junior, guest or not")
                .containsExactly(Why.AGE_NEEDED);
        Partner adult = adult("b", 60, 170, Lead.RIGHT, 1, 400);
        for (Partner guest : List.of(guest("g", null, 60.0), guest("g", 30, null))) {
            assertThat(room(LIVE, Before.NEVER, adult, guest).sitOut()).containsOnly(Map.entry("g", Why.GUEST_UNKNOWN));
            assertThat(room(Work.EASY, Before.NEVER, adult, guest).fit("b", "g"))
                    .isTrue();
        }
        assertThat(room(LIVE, Before.NEVER, adult, guest("g", 30, 60.0)).sitOut())
                .isEmpty();
    }

    @Test
    void eachLimitStopsWhatItNames() {
        Partner a = adult("a", 60, 170, Lead.RIGHT, 1, 400);
        Partner b = adult("b", 60, 170, Lead.LEFT, 1, 400);
        assertThat(room(THROWS, Before.NEVER, a, limited(b, Kind.NO_THROWS)).sitOut())
                .containsOnly(Map.entry("b", Why.NO_THROWS));
        assertThat(room(LIVE, Before.NEVER, a, limited(b, Kind.LIGHT_ONLY)).sitOut())
                .containsOnly(Map.entry("b", Why.NO_LIVE));
        assertThat(room(Work.EASY, Before.NEVER, a, limited(b, Kind.LIGHT_ONLY)).why("a", "b"))
                .containsExactly(Why.ONE_LIGHT);
        for (Kind kind : TOUCHED) {
            Work closing = new Work(false, false, Set.of(kind), Set.of(), Leads.ANY);
            assertThat(room(closing, Before.NEVER, limited(a, kind), limited(b, kind))
                            .fit("a", "b"))
                    .isFalse();
            assertThat(room(closing, Before.NEVER, a, limited(b, kind)).why("a", "b"))
                    .hasSize(1);
            assertThat(room(closing, Before.NEVER, a, limited(b, kind)).fit("a", "b"))
                    .isTrue();
            assertThat(room(LIVE, Before.NEVER, limited(a, kind), limited(b, kind))
                            .why("a", "b"))
                    .as("in a round %s is minded", kind)
                    .isEqualTo(room(closing, Before.NEVER, a, limited(b, kind)).why("a", "b"));
        }
        assertThat(room(LIVE, Before.NEVER, a, limited(b, Kind.NO_THROWS_TAKEN)).why("a", "b"))
                .containsExactly(Why.ONE_FALLS);
    }

    @Test
    void whoGoesNotLiveDrillsOnAnEveningOfBoth() {
        Partner a = adult("a", 60, 170, Lead.RIGHT, 1, 400);
        Partner b = limited(adult("b", 60, 170, Lead.LEFT, 1, 400), Kind.NO_LIVE);
        Work both = new Work(false, true, Set.of(), Set.of(), Set.of(), Leads.ANY, true, true);
        assertThat(room(both, Before.NEVER, a, b).why("a", "b")).containsExactly(Why.ONE_LIVE);
        assertThat(room(both, Before.NEVER, a, b).sitOut()).isEmpty();
        assertThat(room(both, Before.NEVER, a, limited(a, Kind.HEAD_KNOCK)).sitOut())
                .isEmpty();
    }

    /** A throw and then rounds: who may not be thrown has somebody for the rounds; a throw alone leaves them out. */
    @Test
    void whoMayNotBeThrownIsPairedForTheRestOfTheEvening() {
        Partner a = with(adult("a", 60, 170, Lead.RIGHT, 1, 400), 30, 60.0, Set.of(), Set.of(), Set.of());
        Partner b = with(adult("b", 60, 170, Lead.RIGHT, 1, 400), 30, 60.0, Set.of(), Set.of(), Set.of());
        Work evening = new Work(true, true, Set.of(), Set.of("side-fall"), Set.of(), Leads.ANY, true, true);
        assertThat(room(evening, Before.NEVER, a, b).why("a", "b")).containsExactly(Why.NEITHER_FALLS);
        assertThat(room(evening, Before.NEVER, a, b).fit("a", "b")).isTrue();
        assertThat(room(evening, Before.NEVER, a, limited(b, Kind.NO_THROWS)).sitOut())
                .isEmpty();
        assertThat(room(THROWS, Before.NEVER, a, limited(b, Kind.NO_THROWS)).sitOut())
                .containsExactly(Map.entry("b", Why.NO_THROWS));
        assertThat(a.lacks(THROWS)).containsExactly("side-fall");
        assertThat(adult("c", 60, 170, Lead.RIGHT, 1, 400).lacks(THROWS)).isEmpty();
    }

    /** A fall that is seen lifts the one; nothing lifts a limit. */
    @Test
    void whetherTheFallOrALimitStandsAgainstThemIsToldApart() {
        Partner a = adult("a", 60, 170, Lead.RIGHT, 1, 400);
        Partner b = adult("b", 60, 170, Lead.RIGHT, 1, 400);
        Partner fallless = with(b, 30, 60.0, Set.of(), Set.of(), Set.of());
        assertThat(room(THROWS, Before.NEVER, limited(a, Kind.NO_THROWS_TAKEN), limited(b, Kind.NO_THROWS_TAKEN))
                        .why("a", "b"))
                .containsExactly(Why.NO_THROWS_TAKEN);
        assertThat(room(THROWS, Before.NEVER, limited(a, Kind.NO_THROWS_TAKEN), fallless)
                        .why("a", "b"))
                .containsExactly(Why.NO_FALLS);
        Couples three = room(
                THROWS,
                Before.NEVER,
                a,
                fallless,
                with(adult("c", 60, 170, Lead.RIGHT, 1, 400), 12, 60.0, Set.of(), Set.of(), Set.of()));
        assertThat(three.barred(List.of("a", "b"))).isEmpty();
        assertThat(three.barred(List.of("a", "b", "c"))).hasValue(new Couples.Barred("a", "c", Why.AGES));
        assertThat(Stream.of(Why.values()).filter(Why::bars).filter(why -> !why.isFinal()))
                .as("what a coach can lift")
                .containsExactly(Why.WEIGHT, Why.NO_FALLS);
    }

    private static Block block(Block.Kind kind, String technique, int resistance) {
        Dose dose = new Dose(5, Side.BOTH, 0, null, resistance, null, 0, 0, null);
        return BlockBuilder.builder()
                .id("x")
                .kind(kind)
                .title("x")
                .minutes(10)
                .technique(technique)
                .dose(dose)
                .build();
    }

    @Test
    void anEveningAsksAllThatItsBlocksAsk() {
        GrapplingMap map = GrapplingMap.of(new TinyMap()
                .pair("guard", Stage.LEGS_BETWEEN, 0.5)
                .link("sweep", "guard", "hip-bump", "s")
                .data());
        Block rounds = block(Block.Kind.FREE_ROUNDS, null, 0);
        Block drill = block(Block.Kind.WHOLE_DRILL, "hip-bump", 1);
        assertThat(Work.of(List.of(block(Block.Kind.WARM_UP, null, 3)), map)).isEqualTo(Work.EASY);
        assertThat(Work.of(List.of(rounds), map)).isEqualTo(LIVE);
        assertThat(Work.of(List.of(drill), map)).isEqualTo(Work.EASY);
        assertThat(Work.of(List.of(block(Block.Kind.WHOLE_DRILL, "hip-bump", 3)), map)
                        .live())
                .isTrue();
        assertThat(Work.of(List.of(drill, rounds), map))
                .isEqualTo(new Work(false, true, Set.of(), Set.of(), Set.of(), Leads.ANY, true, true));
    }

    @Test
    void whatALimitClosesIsToldByTheHazardsOfTheCards() {
        Map<Hazard, Set<Kind>> closed = new EnumMap<>(Hazard.class);
        for (Hazard hazard : Hazard.values()) {
            closed.put(
                    hazard,
                    Work.drilling(List.of(
                                    TinyMap.card("card", Family.SUBMISSION, 1, 3, null, null, null, Set.of(hazard))))
                            .closes());
        }
        assertThat(closed.get(Hazard.FRONT_CHOKE)).containsExactly(Kind.NO_NECK);
        assertThat(closed.get(Hazard.NECK_LOAD)).containsExactly(Kind.NO_NECK);
        assertThat(closed.get(Hazard.SHOULDER_LOCK)).containsExactly(Kind.NO_ARM_LOCKS);
        assertThat(closed.get(Hazard.TWISTING_LEG_LOCK)).containsExactly(Kind.NO_LEG_LOCKS);
        assertThat(closed.get(Hazard.KNEE_SIDE_FALL)).containsExactly(Kind.NO_LEG_LOCKS);
        assertThat(closed.get(Hazard.BELT_THUMB)).isEmpty();
    }

    @Test
    void juniorsWorkWithJuniorsOfTheirAgeAndWeight() {
        Partner nine = with(adult("a", 30, 130, Lead.RIGHT, 1, 400), 9, 30.0, Set.of(), Set.of(), Set.of());
        Partner eleven = with(adult("b", 36, 140, Lead.RIGHT, 1, 400), 11, 36.0, Set.of(), Set.of(), Set.of());
        Partner twelve = with(adult("c", 30, 140, Lead.RIGHT, 1, 400), 12, 30.0, Set.of(), Set.of(), Set.of());
        Partner unknown = with(adult("d", 30, 140, Lead.RIGHT, 1, 400), null, 30.0, Set.of(), Set.of(), Set.of());
        Couples easy = room(Work.EASY, Before.NEVER, nine, eleven, twelve, unknown);
        assertThat(easy.why("a", "b")).as("two years, 20 %").isEmpty();
        assertThat(easy.why("a", "c")).containsExactly(Why.AGES);
        assertThat(easy.why("a", "d")).as("most here are juniors").containsExactly(Why.AGE_NEEDED);
        assertThat(room(LIVE, Before.NEVER, nine, eleven).why("a", "b")).containsExactly(Why.JUNIOR_WEIGHT);
        Partner fifteen = with(adult("e", 60, 170, Lead.RIGHT, 1, 400), 15, 60.0, Set.of(), Set.of(), Set.of());
        Partner sixteen = with(adult("f", 60, 170, Lead.RIGHT, 1, 400), 16, 60.0, Set.of(), Set.of(), Set.of());
        assertThat(room(Work.EASY, Before.NEVER, fifteen, sixteen).why("e", "f"))
                .containsExactly(Why.AGES);
        Partner small = with(adult("g", 20, 120, Lead.RIGHT, 1, 400), 8, 20.0, Set.of(), Set.of(), Set.of());
        Partner bigger = with(adult("h", 24, 120, Lead.RIGHT, 1, 400), 8, 24.0, Set.of(), Set.of(), Set.of());
        assertThat(room(Work.EASY, Before.NEVER, small, bigger).why("g", "h"))
                .as("4 kg")
                .isEmpty();
        assertThat(room(LIVE, Before.NEVER, small, bigger).why("g", "h"))
                .as("3 kg live")
                .containsExactly(Why.JUNIOR_WEIGHT);
        Partner heavy = with(adult("i", 26, 120, Lead.RIGHT, 1, 400), 8, 26.0, Set.of(), Set.of(), Set.of());
        assertThat(room(Work.EASY, Before.NEVER, small, heavy).why("g", "i"))
                .as("6 kg on easy terms: a coach may say so")
                .containsExactly(Why.WEIGHT);
    }

    @Test
    void whoCannotTakePartIsSaidAndLeft() {
        Couples couples = room(
                LIVE,
                Before.NEVER,
                adult("a", 60, 170, Lead.RIGHT, 1, 400),
                adult("b", 60, 170, Lead.LEFT, 1, 400),
                limited(adult("c", 60, 170, Lead.LEFT, 1, 400), Kind.NO_LIVE));
        assertThat(Pairs.of(List.of("c", "b", "a"), couples))
                .isEqualTo(new Pairs(List.of(List.of("a", "b")), List.of("c")));
        assertThat(couples.sitOut()).containsOnly(Map.entry("c", Why.NO_LIVE));
        assertThat(Pairs.of(List.of("a"), couples).alone()).containsExactly("a");
        assertThat(Pairs.of(List.of(), couples).groups()).isEmpty();
    }
}
