package lynchet.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import lynchet.core.card.Family;
import lynchet.core.club.TinyClub;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Mark;
import lynchet.core.mat.MarkBuilder;
import lynchet.core.mat.Standard;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Policy;
import lynchet.core.rank.Rank;
import lynchet.core.rank.SyllabusGroup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which version of a syllabus is asked of whom, and that everything that is read of it reads that one. */
class SyllabusMoveTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 12, 1);
    private static final LocalDate NEW = LocalDate.of(2026, 9, 1);
    private static final List<String> RANKS = List.of("white", "yellow", "green");
    private static final List<String> SUBJECTS = List.of("a", "b", "c", "d", "e", "f");
    private static final List<Standard> STANDARDS = List.of(Standard.SHOWN, Standard.LIVE);
    private static final Policy POLICY = new Policy(null, null, 0, false, null, 0, 0, 0, null, false, false, false);

    private final GrapplingMap map = map();

    private static GrapplingMap map() {
        TinyMap tiny = new TinyMap();
        SUBJECTS.forEach(id -> tiny.add(TinyMap.card(id, Family.SWEEP, 1, List.of(), List.of())));
        return tiny.map();
    }

    private static Item item(String ref, Standard standard) {
        return new Item("i-" + ref, Item.Kind.TECHNIQUE, ref, null, null, standard, null, null, 0, 0);
    }

    private static List<SyllabusGroup> asks(String... refs) {
        List<Item> items = new ArrayList<>();
        for (String ref : refs) {
            items.add(item(ref, Standard.SHOWN));
        }
        return List.of(new SyllabusGroup("G", 0, items));
    }

    private static Ladder ladder(List<List<SyllabusGroup>> syllabuses) {
        List<Rank> ranks = new ArrayList<>();
        for (int i = 0; i < syllabuses.size(); i++) {
            ranks.add(new Rank(RANKS.get(i), RANKS.get(i), List.of("white"), 4, 0, 0, syllabuses.get(i)));
        }
        return new Ladder("adult", "Adult", 0, 0, null, false, ranks, POLICY, null, null, null, null);
    }

    private static HeldRank white(LocalDate since, boolean fromBefore) {
        return new HeldRank("adult", "white", 0, since, fromBefore);
    }

    private static List<String> asked(Ladder ladder) {
        return ladder.ranks().get(0).items().map(Item::ref).toList();
    }

    @ParameterizedTest
    @CsvSource({
        "2026-08-31, false, 2020-01-01, a",
        "2026-09-01, false, 2020-01-01, b",
        "2019-05-05, true, 2026-08-31, a", // came with a belt, and joined under the old one
        "2019-05-05, true, 2026-09-01, b",
        "2026-09-01, true, 2026-08-31, b" // joined first, and the belt was written down as of later
    })
    void theVersionIsThatOfTheDayTheRankWasGivenHere(LocalDate since, boolean before, LocalDate joined, String ref) {
        Ladder ladder = ladder(List.of(asks("a"))).publishing(NEW);
        ladder = ladder.withRank(ladder.ranks().get(0).withSyllabus(asks("b")));

        assertThat(asked(SyllabusMove.asked(ladder, white(since, before), joined, null)))
                .containsExactly(ref);
    }

    @Test
    void aMoveHoldsForTheRankThatWasWornThen() {
        Ladder ladder = ladder(List.of(asks("a"))).publishing(NEW);
        ladder = ladder.withRank(ladder.ranks().get(0).withSyllabus(asks("b")));
        SyllabusMove move = new SyllabusMove("m", "ana", "adult", "white", NEW);
        SyllabusMove older = new SyllabusMove("m", "ana", "adult", "yellow", NEW);

        assertThat(asked(SyllabusMove.asked(ladder, white(NEW.minusDays(9), false), NEW, move)))
                .containsExactly("b");
        assertThat(asked(SyllabusMove.asked(ladder, white(NEW.minusDays(9), false), NEW, older)))
                .containsExactly("a");
        assertThat(asked(SyllabusMove.asked(
                        ladder,
                        white(NEW, false),
                        NEW,
                        new SyllabusMove("m", "ana", "adult", "white", NEW.minusDays(1)))))
                .containsExactly("a");
    }

    /** A club of one random ladder: what is asked from which day on, kept as a list of whole syllabuses beside the ladder. */
    private record Era(LocalDate from, List<List<SyllabusGroup>> asks) {}

    private static List<SyllabusGroup> random(Random random) {
        List<SyllabusGroup> groups = new ArrayList<>();
        for (int g = random.nextInt(3); g >= 0; g--) {
            List<Item> items = new ArrayList<>();
            for (String subject : SUBJECTS) {
                if (random.nextInt(3) == 0) {
                    Standard standard = STANDARDS.get(random.nextInt(2));
                    items.add(new Item(
                            "i-" + g + subject + random.nextInt(1_000_000_000),
                            Item.Kind.TECHNIQUE,
                            subject,
                            null,
                            null,
                            standard,
                            null,
                            null,
                            0,
                            0));
                }
            }
            int choose = items.isEmpty() || random.nextBoolean() ? 0 : 1 + random.nextInt(items.size());
            groups.add(new SyllabusGroup("G" + g, choose, items));
        }
        return groups;
    }

    private static List<List<SyllabusGroup>> randomly(Random random) {
        return List.of(random(random), random(random), random(random));
    }

    @Test
    void readinessOfEachEqualsASlowSecondWayOnThreeHundredLadders() {
        int older = 0;
        for (int seed = 0; seed < 300; seed++) {
            Random random = new Random(seed);
            List<Era> eras = new ArrayList<>(List.of(new Era(LocalDate.MIN, randomly(random))));
            Ladder ladder = ladder(eras.get(0).asks());
            LocalDate from = TODAY.minusDays(400);
            for (int n = random.nextInt(4); n > 0; n--) {
                from = from.plusDays(1 + random.nextInt(180));
                Era era = new Era(from, randomly(random));
                eras.add(era);
                ladder = ladder.publishing(from);
                for (int i = 0; i < RANKS.size(); i++) {
                    ladder = ladder.withRank(
                            ladder.ranks().get(i).withSyllabus(era.asks().get(i)));
                }
            }
            for (int who = 0; who < 5; who++) {
                older += equal(seed + "/" + who, random, ladder, eras) ? 1 : 0;
            }
        }
        assertThat(older).as("who stood on an older one").isBetween(300, 1200);
    }

    /** @return whether they stood on an older version */
    private boolean equal(String seed, Random random, Ladder ladder, List<Era> eras) {
        LocalDate joined = TODAY.minusDays(random.nextInt(420));
        List<Promotion> promotions = promotions(random, joined);
        List<Mark> marks = new ArrayList<>();
        Map<String, Standard> passed = new TreeMap<>();
        for (String subject : SUBJECTS) {
            if (random.nextInt(3) > 0) {
                Standard standard = STANDARDS.get(random.nextInt(2));
                passed.put(subject, standard);
                marks.add(MarkBuilder.builder()
                        .id("m-" + subject)
                        .student("ana")
                        .subject(subject)
                        .side(lynchet.core.mat.Side.BOTH)
                        .standard(standard)
                        .passed(true)
                        .at(Instant.EPOCH)
                        .by("coach")
                        .build());
            }
        }
        SyllabusMove move = random.nextInt(3) > 0
                ? null
                : new SyllabusMove(
                        "x", "ana", "adult", RANKS.get(random.nextInt(3)), TODAY.minusDays(random.nextInt(500)));
        StudentState state = new StudentRecord(
                        "ana", promotions, List.of(), List.of(), marks, Map.of(), null, Map.of(), null, List.of())
                .state(List.of(ladder), map);
        Ladder asked = SyllabusMove.asked(ladder, state.heldOn("adult").orElseThrow(), joined, move);
        List<String> conditions = Readiness.of(new Readiness.Question(
                        TinyClub.student("ana", null),
                        state,
                        Recent.NONE,
                        asked,
                        map,
                        Map.of(),
                        ClubPace.of(List.of(), List.of()),
                        TODAY,
                        Readiness.Eyes.COACH,
                        Readiness.Besides.NOTHING))
                .orElseThrow()
                .conditions()
                .stream()
                .filter(one -> one.code() == Condition.Code.SYLLABUS)
                .map(one -> one.label() + " " + one.have() + "/" + one.need() + " " + one.met())
                .toList();

        Slow slow = slow(promotions, joined, move, eras, passed);
        assertThat(conditions).as("ladder and student %s", seed).isEqualTo(slow.conditions());
        Rank rank = asked.rank(state.heldOn("adult").orElseThrow().rank()).orElseThrow();
        assertThat(new Progress(state, map).open(rank)).isEqualTo((int)
                slow.conditions().stream().filter(one -> one.endsWith("false")).count());
        return !slow.isNewest();
    }

    private static List<Promotion> promotions(Random random, LocalDate joined) {
        List<Promotion> all = new ArrayList<>();
        LocalDate day = joined;
        boolean came = random.nextInt(4) == 0;
        int at = random.nextInt(2);
        all.add(
                came
                        ? Promotion.fromBefore("p0", "ana", "adult", RANKS.get(at), 0, joined.minusDays(300))
                        : given("p0", null, RANKS.get(at), 0, day));
        int stripes = 0;
        for (int n = random.nextInt(4); n > 0; n--) {
            day = day.plusDays(random.nextInt(120));
            boolean isStripe = at == 2 || random.nextBoolean();
            stripes = isStripe ? stripes + 1 : 0;
            String before = RANKS.get(at);
            at = isStripe ? at : at + 1;
            all.add(given("p" + all.size(), before, RANKS.get(at), stripes, day));
        }
        return all;
    }

    private static Promotion given(String id, String from, String to, int stripes, LocalDate day) {
        return PromotionBuilder.builder()
                .id(id)
                .student("ana")
                .ladder("adult")
                .from(from)
                .to(to)
                .stripes(stripes)
                .date(day)
                .at(Instant.EPOCH)
                .by("c")
                .build();
    }

    private record Slow(List<String> conditions, boolean isNewest) {}

    /** By hand: which day, which era, which items, one after the other. */
    private static Slow slow(
            List<Promotion> promotions,
            LocalDate joined,
            SyllabusMove move,
            List<Era> eras,
            Map<String, Standard> passed) {
        String held = null;
        LocalDate day = null;
        for (Promotion one : promotions) {
            if (!one.to().equals(held)) {
                held = one.to();
                day = one.date();
                if (one.fromBefore() && joined.isAfter(day)) {
                    day = joined;
                }
            }
        }
        if (move != null && move.rank().equals(held)) {
            day = move.to();
        }
        Era in = null;
        for (Era era : eras) {
            if (!era.from().isAfter(day)) {
                in = era;
            }
        }
        List<String> conditions = new ArrayList<>();
        for (SyllabusGroup group : in.asks().get(RANKS.indexOf(held))) {
            int met = 0;
            for (Item item : group.items()) {
                Standard has = passed.get(item.ref());
                met += has != null && (has == Standard.LIVE || item.standard() == Standard.SHOWN) ? 1 : 0;
            }
            int need = group.choose() == 0 ? group.items().size() : group.choose();
            conditions.add(group.name() + " " + met + "/" + need + " " + (met >= need));
        }
        return new Slow(conditions, in == eras.get(eras.size() - 1));
    }
}
