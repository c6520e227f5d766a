package lynchet.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import java.util.stream.LongStream;
import lynchet.core.club.TinyClub;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.TrainingClass;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Policy;
import lynchet.core.rank.Rank;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The rank held is what the promotions that stand say, whatever was corrected and in whatever order it came in. */
class HeldRankTest {

    private static final LocalDate DAY = LocalDate.of(2026, 1, 5);
    private static final int PER_STRIPE = 3;
    private static final int MIN_WEEKS = 2;
    private static final List<String> RANKS = List.of("white", "yellow", "orange");

    private static Promotion given(String id, String to, int stripes, LocalDate day, int second, String corrects) {
        return PromotionBuilder.builder()
                .id(id)
                .student("ana")
                .ladder("adult")
                .to(to)
                .stripes(stripes)
                .date(day)
                .at(Instant.EPOCH.plusSeconds(second))
                .by("head")
                .corrects(corrects)
                .build();
    }

    @Test
    void aCorrectionStandsInThePlaceOfWhatItCorrects() {
        List<Promotion> all = new ArrayList<>(
                List.of(given("a", "white", 0, DAY, 0, null), given("b", "orange", 0, DAY.plusDays(10), 1, null)));
        assertThat(HeldRank.of(all).get("adult").rank()).isEqualTo("orange");
        all.add(given("c", "yellow", 1, DAY.plusDays(9), 2, "b"));
        assertThat(HeldRank.of(all).get("adult")).isEqualTo(new HeldRank("adult", "yellow", 1, DAY.plusDays(9), false));
        all.add(given("d", "yellow", 2, DAY.plusDays(9), 3, "c"));
        assertThat(HeldRank.of(all).get("adult").stripes()).isEqualTo(2);
        assertThat(HeldRank.standing(all)).extracting(Promotion::id).containsExactly("a", "d");
    }

    static LongStream seeds() {
        return LongStream.range(0, 500);
    }

    /** Given, corrected, taken back, in any order: the state says what plain loops over the records say. */
    @ParameterizedTest
    @MethodSource("seeds")
    void theStateEqualsASlowFold(long seed) {
        Random random = new Random(seed);
        List<Promotion> promotions = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            String corrects = promotions.isEmpty() || random.nextInt(3) > 0
                    ? null
                    : promotions.get(random.nextInt(promotions.size())).id();
            promotions.add(given(
                    "p" + i,
                    RANKS.get(random.nextInt(3)),
                    random.nextInt(2),
                    DAY.plusDays(random.nextInt(40)),
                    random.nextInt(5),
                    corrects));
            if (random.nextInt(5) == 0) {
                promotions.remove(random.nextInt(promotions.size()));
            }
        }
        List<TrainingClass> classes = new ArrayList<>();
        for (int i = 0; i < 25; i++) {
            classes.add(
                    TinyClub.trained("c" + i, DAY.plusDays(random.nextInt(60)), "all", null, random.nextInt(8) == 0));
        }
        boolean oneADay = random.nextBoolean();
        Policy policy = new Policy(
                Policy.Stripes.BY_CLASSES, null, PER_STRIPE, oneADay, null, 0, 0, 0, null, false, false, false);
        List<Rank> ranks = RANKS.stream()
                .map(id -> new Rank(id, id, List.of("white"), 1, 0, MIN_WEEKS, List.of()))
                .toList();
        Ladder ladder = new Ladder("adult", "Adult", 0, 0, null, false, ranks, policy, null, null, null, null);
        StudentRecord record = new StudentRecord(
                "ana", promotions, classes, null, null, java.util.Map.of(), null, java.util.Map.of(), null, List.of());
        isAsPlainLoopsSay(
                record.state(List.of(ladder), new TinyMap().map()), promotions, classes, ladder, DAY.plusDays(60));

        LocalDate window = DAY.plusDays(random.nextInt(60));
        List<String> corrected = promotions.stream()
                .map(Promotion::corrects)
                .filter(java.util.Objects::nonNull)
                .toList();
        isAsPlainLoopsSay(
                record.until(window, java.time.ZoneOffset.UTC).state(List.of(ladder), new TinyMap().map()),
                promotions.stream()
                        .filter(p -> !corrected.contains(p.id()) && !p.date().isAfter(window))
                        .toList(),
                classes.stream().filter(c -> !c.date().isAfter(window)).toList(),
                ladder,
                window);
    }

    private static void isAsPlainLoopsSay(
            StudentState state,
            List<Promotion> promotions,
            List<TrainingClass> classes,
            Ladder ladder,
            LocalDate today) {
        boolean oneADay = ladder.policy().oneClassADay();
        Promotion last = null;
        LocalDate since = null;
        List<Promotion> left = new ArrayList<>(promotions);
        left.removeIf(p -> promotions.stream().anyMatch(q -> p.id().equals(q.corrects())));
        while (!left.isEmpty()) {
            Promotion first = left.get(0);
            for (Promotion p : left) {
                if (p.date().isBefore(first.date())
                        || p.date().equals(first.date())
                                && (p.at().isBefore(first.at())
                                        || p.at().equals(first.at()) && p.id().compareTo(first.id()) < 0)) {
                    first = p;
                }
            }
            left.remove(first);
            since = last != null && last.to().equals(first.to()) ? since : first.date();
            last = first;
        }
        if (last == null) {
            assertThat(state.ladders()).isEmpty();
            return;
        }
        LadderCount count = state.ladders().get("adult");
        assertThat(count.held()).isEqualTo(new HeldRank("adult", last.to(), last.stripes(), since, false));
        TreeSet<String> counted = new TreeSet<>();
        for (TrainingClass c : classes) {
            if (!c.cancelled() && !c.date().isBefore(since)) {
                counted.add(oneADay ? c.date().toString() : c.id());
            }
        }
        assertThat(count.classes()).isEqualTo(counted.size());
        readinessIs(state, ladder, today, last.to(), since, counted.size());
    }

    /** What is told on that day is what was counted by hand: classes, weeks, and whether both are enough. */
    private static void readinessIs(
            StudentState state, Ladder ladder, LocalDate today, String rank, LocalDate since, int classes) {
        Student ana = Student.erased("ana", nobody(), today);
        Readiness readiness = Readiness.of(new Readiness.Question(
                        ana,
                        state,
                        Recent.NONE,
                        ladder,
                        new TinyMap().map(),
                        java.util.Map.of(),
                        new ClubPace(java.util.Set.of(), 1),
                        today,
                        Readiness.Eyes.COACH,
                        Readiness.Besides.NOTHING))
                .orElseThrow();
        long weeks = java.time.temporal.ChronoUnit.DAYS.between(since, today) / 7;
        int need = 2 * PER_STRIPE;
        assertThat(readiness.conditions())
                .extracting(Condition::code, Condition::have, Condition::met)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(
                                Condition.Code.CLASSES, String.valueOf(classes), classes >= need),
                        org.assertj.core.groups.Tuple.tuple(
                                Condition.Code.TIME_IN_RANK, weeks + " weeks", weeks >= MIN_WEEKS));
        boolean isReady = classes >= need && weeks >= MIN_WEEKS && !rank.equals("orange");
        assertThat(readiness.verdict() == Readiness.Verdict.ELIGIBLE).isEqualTo(isReady);
    }

    private static Student nobody() {
        return StudentBuilder.builder()
                .id("ana")
                .name("Ana")
                .joined(DAY.minusDays(1))
                .build();
    }
}
