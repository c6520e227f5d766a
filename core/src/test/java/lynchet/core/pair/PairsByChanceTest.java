package lynchet.core.pair;

import static lynchet.core.pair.PairsTest.TOUCHED;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import lynchet.core.mat.Leads;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.people.Lead;
import lynchet.core.people.Restriction.Kind;
import org.junit.jupiter.api.Test;

/** Many evenings made by chance, each paired in another, slower way beside. */
class PairsByChanceTest {

    private static Partner anyone(Random random, int n) {
        boolean young = random.nextInt(3) == 0;
        Set<Kind> limits = EnumSet.noneOf(Kind.class);
        if (random.nextInt(3) == 0) {
            limits.add(Kind.values()[random.nextInt(Kind.values().length)]);
        }
        double kg = Math.round((young ? 25 + random.nextInt(25) : 55 + random.nextInt(50)) * 10 + random.nextInt(10))
                / 10.0;
        return new Partner(
                String.format("p%02d", n),
                random.nextInt(12) == 0 ? null : young ? 7 + random.nextInt(9) : 16 + random.nextInt(40),
                random.nextInt(10) == 0 ? null : kg,
                150 + random.nextInt(45),
                Lead.values()[random.nextInt(3)],
                "adult",
                random.nextInt(6),
                random.nextInt(300) - 20,
                random.nextInt(30) == 0,
                random.nextInt(4) == 0 ? Set.of() : Set.of("side-fall"),
                Set.of(),
                limits,
                limits.contains(Kind.HEAD_KNOCK) && random.nextBoolean(),
                random.nextInt(5) == 0 ? Set.of(String.format("p%02d", random.nextInt(8))) : Set.of(),
                random.nextInt(3) == 0 ? Set.of(String.format("p%02d", random.nextInt(8))) : Set.of());
    }

    private static Set<Kind> closing(Random random) {
        return random.nextBoolean() ? Set.of() : Set.of(TOUCHED.get(random.nextInt(3)));
    }

    private static Couples anyRoom(Random random, int most) {
        List<Partner> people = new ArrayList<>();
        int n = 1 + random.nextInt(most);
        for (int i = 0; i < n; i++) {
            people.add(anyone(random, i));
        }
        Work work = new Work(
                random.nextBoolean(),
                random.nextInt(3) == 0,
                closing(random),
                random.nextBoolean() ? Set.of("side-fall") : Set.of(),
                Leads.values()[random.nextInt(3)]);
        return new Couples(people, work, Before.NEVER, ClubNumbers.USUAL);
    }

    /** Fewest alone and least cost over every way to pair, tried one by one: alone first, then cost. */
    private static long[] best(List<String> left, Couples couples) {
        if (left.isEmpty()) {
            return new long[] {0, 0};
        }
        String first = left.get(0);
        long[] best = best(left.subList(1, left.size()), couples);
        best = new long[] {best[0] + 1, best[1]};
        for (String other : left.subList(1, left.size())) {
            if (couples.fit(first, other)) {
                List<String> rest = new ArrayList<>(left);
                rest.remove(first);
                rest.remove(other);
                long[] found = best(rest, couples);
                long cost = found[1] + couples.cost(first, other);
                if (found[0] < best[0] || (found[0] == best[0] && cost < best[1])) {
                    best = new long[] {found[0], cost};
                }
            }
        }
        return best;
    }

    @Test
    void pairingEqualsEveryWayTriedOneByOne() {
        Random random = new Random(11);
        int barredRooms = 0;
        for (int run = 0; run < 300; run++) {
            Couples couples = anyRoom(random, 8);
            List<String> here = couples.people().stream().map(Partner::id).toList();
            Pairs pairs = Pairs.of(here, couples);
            long[] best = best(here, couples);
            int alone = pairs.alone().size();
            long cost = 0;
            for (List<String> group : pairs.groups()) {
                alone += group.size() - 2;
                cost += couples.cost(group.get(0), group.get(1));
            }
            assertThat(new long[] {alone, cost}).as("room %s", run).isEqualTo(best);
            barredRooms += best[0] > here.size() % 2 ? 1 : 0;
        }
        assertThat(barredRooms).as("rooms where the rules bite").isGreaterThan(30);
    }

    /** The rules for two people, written out once more without the table. */
    private static boolean breaks(Partner a, Partner b, Work work, boolean mostYoung) {
        boolean youngA = a.age() == null ? mostYoung : a.age() < 16;
        boolean youngB = b.age() == null ? mostYoung : b.age() < 16;
        boolean unknown = a.age() == null || b.age() == null;
        boolean ages = youngA != youngB || (youngA && (unknown || Math.abs(a.age() - b.age()) > 2));
        boolean strange = isStrange(a) || isStrange(b);
        if (strange && (work.live() || youngA && (a.weightKg() == null || b.weightKg() == null))) {
            return true;
        }
        boolean weight = false;
        if (a.weightKg() != null && b.weightKg() != null && (youngA || work.throwing() || work.live())) {
            double least = Math.min(a.weightKg(), b.weightKg());
            double may = youngA ? work.live() ? Math.max(3, least / 10) : Math.max(4, least / 5) : least / 5;
            weight = Math.abs(a.weightKg() - b.weightKg()) > may + 1e-6;
        }
        boolean knock = a.knockedToday() || b.knockedToday();
        boolean nobodyFalls = work.throwing() && !falls(a, work) && !falls(b, work);
        boolean live =
                work.live() && (has(a, b, Kind.NO_LIVE) || has(a, b, Kind.HEAD_KNOCK) || has(a, b, Kind.LIGHT_ONLY));
        boolean thrownKnock = work.throwing() && (has(a, b, Kind.HEAD_KNOCK) || has(a, b, Kind.NO_THROWS));
        boolean necks = TOUCHED.stream()
                .anyMatch(kind -> work.closes().contains(kind)
                        && a.limits().contains(kind)
                        && b.limits().contains(kind));
        boolean apart = a.apart().contains(b.id()) || b.apart().contains(a.id());
        return ages || weight || knock || nobodyFalls || live || thrownKnock || necks || apart;
    }

    private static boolean isStrange(Partner p) {
        return p.days() < 0 && (p.age() == null || p.weightKg() == null);
    }

    private static boolean has(Partner a, Partner b, Kind kind) {
        return a.limits().contains(kind) || b.limits().contains(kind);
    }

    private static boolean falls(Partner p, Work work) {
        return !p.limits().contains(Kind.NO_THROWS_TAKEN)
                && !p.limits().contains(Kind.HEAD_KNOCK)
                && !p.limits().contains(Kind.NO_THROWS)
                && (p.fallsSeen() || work.falls().isEmpty() || p.falls().contains("side-fall"));
    }

    @Test
    void noEveningBreaksARuleAndNobodyIsLeftWhoCouldBePaired() {
        Random random = new Random(12);
        for (int run = 0; run < 1000; run++) {
            List<Partner> people = new ArrayList<>();
            for (int i = 0; i < 3 + random.nextInt(22); i++) {
                people.add(anyone(random, i));
            }
            Work work = new Work(
                    random.nextBoolean(), random.nextInt(3) == 0, closing(random), Set.of("side-fall"), Leads.ANY);
            Couples couples = new Couples(people, work, Before.NEVER, ClubNumbers.USUAL);
            List<String> here = new ArrayList<>(people.stream().map(Partner::id).toList());
            here.remove(random.nextInt(here.size()));
            mustBeSound(people, work, Pairs.of(here, couples), here);
        }
    }

    private static void mustBeSound(List<Partner> people, Work work, Pairs pairs, List<String> here) {
        long known = people.stream().filter(p -> p.age() != null).count();
        boolean mostYoung =
                people.stream().filter(p -> p.age() != null && p.age() < 16).count() * 2 > known;
        List<String> all = new ArrayList<>(pairs.alone());
        pairs.groups().forEach(all::addAll);
        assertThat(all).containsExactlyInAnyOrderElementsOf(here);
        for (List<String> group : pairs.groups()) {
            assertThat(group.size()).isBetween(2, 3);
            for (int i = 0; i < group.size(); i++) {
                for (int j = 0; j < i; j++) {
                    assertThat(breaks(of(people, group.get(i)), of(people, group.get(j)), work, mostYoung))
                            .as("%s with %s", group.get(i), group.get(j))
                            .isFalse();
                }
            }
        }
        for (String alone : pairs.alone()) {
            for (String other : pairs.alone()) {
                assertThat(alone.equals(other) || breaks(of(people, alone), of(people, other), work, mostYoung))
                        .as("%s and %s are both alone", alone, other)
                        .isTrue();
            }
            for (List<String> group : pairs.groups()) {
                assertThat(group.size() == 3
                                || group.stream()
                                        .anyMatch(p -> breaks(of(people, alone), of(people, p), work, mostYoung)))
                        .as("%s could join %s", alone, group)
                        .isTrue();
            }
        }
    }

    private static Partner of(List<Partner> people, String id) {
        return people.stream().filter(p -> p.id().equals(id)).findFirst().orElseThrow();
    }
}
