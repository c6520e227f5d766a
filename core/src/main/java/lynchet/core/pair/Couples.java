package lynchet.core.pair;

import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import lynchet.core.mat.Leads;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.people.Lead;
import lynchet.core.people.Restriction;

/**
 * What any two of a room cost as a pair, and what stands against them (design: pairs, safety rules). Costs are hundredths;
 * the least sum is the best pairing.
 */
public final class Couples {

    private static final int LATELY = 3;
    private static final int PREFERRED = 5;

    private final List<Partner> people;
    private final Map<String, Integer> places = new HashMap<>();
    private final Work work;
    private final Before before;
    private final ClubNumbers numbers;
    private final boolean isJuniors;

    /**
     * @param people those who may be paired, in any order
     * @param numbers the club's
     */
    public Couples(List<Partner> people, Work work, Before before, ClubNumbers numbers) {
        this.people = people.stream().sorted(Comparator.comparing(Partner::id)).toList();
        this.work = work;
        this.before = before;
        this.numbers = numbers;
        for (Partner partner : this.people) {
            places.put(partner.id(), places.size());
        }
        long known = people.stream().filter(p -> p.age() != null).count();
        long young = people.stream().filter(p -> p.isJunior(numbers)).count();
        isJuniors = young * 2 > known;
    }

    /** Everybody, in order of id. */
    public List<Partner> people() {
        return people;
    }

    /** Those who sit this work out, and why. */
    public Map<String, Why> sitOut() {
        Map<String, Why> out = new TreeMap<>();
        for (Partner partner : people) {
            Why why = partner.sitsOut(work);
            if (why != null) {
                out.put(partner.id(), why);
            }
        }
        return out;
    }

    /** Whether the rules leave two of them together. */
    public boolean fit(String one, String other) {
        return why(one, other).stream().noneMatch(Why::bars);
    }

    /** What stands against two of them, or is to be minded; what bars comes first. */
    public Set<Why> why(String one, String other) {
        Partner a = of(one);
        Partner b = of(other);
        Set<Why> why = EnumSet.noneOf(Why.class);
        for (Partner each : List.of(a, b)) {
            Why out = each.sitsOut(work);
            if (out != null) {
                why.add(out);
            }
        }
        if (a.apart().contains(b.id()) || b.apart().contains(a.id())) {
            why.add(Why.APART);
        }
        ages(a, b, why);
        weights(a, b, why);
        if (work.throwing()) {
            one(a.mayBeThrown(work), b.mayBeThrown(work), neitherIsThrown(a, b), Why.ONE_FALLS, why);
        } else if (work.live()) {
            minded(Restriction.Kind.NO_THROWS_TAKEN, Why.ONE_FALLS, a, b, why);
            minded(Restriction.Kind.NO_THROWS, Why.ONE_FALLS, a, b, why);
        }
        closed(Restriction.Kind.NO_NECK, Why.NO_NECK, Why.ONE_NECK, a, b, why);
        closed(Restriction.Kind.NO_ARM_LOCKS, Why.NO_ARM, Why.ONE_ARM, a, b, why);
        closed(Restriction.Kind.NO_LEG_LOCKS, Why.NO_LEG, Why.ONE_LEG, a, b, why);
        minded(Restriction.Kind.ONE_SIDE_ONLY, Why.ONE_SIDE, a, b, why);
        minded(Restriction.Kind.LIGHT_ONLY, Why.ONE_LIGHT, a, b, why);
        if (work.drills() && (a.skipsLive(work) || b.skipsLive(work))) {
            why.add(Why.ONE_LIVE);
        } else if (work.live() && (a.days() < numbers.liveDays() || b.days() < numbers.liveDays())) {
            why.add(Why.LIVE_EARLY);
        }
        if (before.tonight(one, other) > 0) {
            why.add(Why.TONIGHT);
        } else if (before.ago(one, other) == 0) {
            why.add(Why.LAST_CLASS);
        }
        return why;
    }

    /** Two whom no touch of anybody puts together, and why. */
    public record Barred(String one, String other, Why why) {}

    /** The first two of a group whom no touch puts together; empty where there are none. */
    public Optional<Barred> barred(List<String> group) {
        for (String one : group) {
            for (String other : group.subList(group.indexOf(one) + 1, group.size())) {
                Optional<Why> never =
                        why(one, other).stream().filter(Why::isFinal).findFirst();
                if (never.isPresent()) {
                    return Optional.of(new Barred(one, other, never.get()));
                }
            }
        }
        return Optional.empty();
    }

    /** What two of them cost as a pair, in hundredths; only said of those who fit. */
    public int cost(String one, String other) {
        Partner a = of(one);
        Partner b = of(other);
        double sum = 0;
        if (a.weightKg() != null && b.weightKg() != null) {
            sum += 40 * Math.abs(a.weightKg() - b.weightKg()) / Math.min(a.weightKg(), b.weightKg());
        }
        if (a.ladder() != null && a.ladder().equals(b.ladder())) {
            sum += 3 * Math.max(0, Math.abs(a.place() - b.place()) - 1);
        }
        if (a.isNew(numbers) && b.isNew(numbers) && (work.throwing() || work.live())) {
            sum += 20;
        }
        int ago = before.ago(one, other);
        sum += ago == 0 ? 15 : ago < LATELY ? 8 : 0;
        if (!meet(a.lead(), b.lead())) {
            sum += 6;
        }
        if (work.throwing() && a.heightCm() != null && b.heightCm() != null) {
            sum += 4 * Math.abs(a.heightCm() - b.heightCm()) / 10.0;
        }
        sum += 25 * before.tonight(one, other);
        if (a.prefers().contains(b.id()) || b.prefers().contains(a.id())) {
            sum -= PREFERRED;
        }
        return (int) Math.round(100 * sum);
    }

    /** Where some of the evening is without throws they work together all the same. */
    private Why neitherIsThrown(Partner a, Partner b) {
        if (work.grounds()) {
            return Why.NEITHER_FALLS;
        }
        return a.takesNoThrows() && b.takesNoThrows() ? Why.NO_THROWS_TAKEN : Why.NO_FALLS;
    }

    private Partner of(String id) {
        Integer place = places.get(id);
        if (place == null) {
            throw new IllegalArgumentException("somebody who is not in the room is in a pair");
        }
        return people.get(place);
    }

    private boolean isJunior(Partner partner) {
        return partner.age() == null ? isJuniors : partner.isJunior(numbers);
    }

    private void ages(Partner a, Partner b, Set<Why> why) {
        boolean young = isJunior(a);
        if (young != isJunior(b)) {
            why.add(Why.AGES);
        } else if (a.age() == null || b.age() == null) {
            why.add(young ? Why.AGE_NEEDED : Why.AGE_UNKNOWN);
        } else if (young && Math.abs(a.age() - b.age()) > numbers.juniorYears()) {
            why.add(Why.AGES);
        }
    }

    private void weights(Partner a, Partner b, Set<Why> why) {
        boolean young = isJunior(a) || isJunior(b);
        if (!young && !work.throwing() && !work.live()) {
            return;
        }
        if (a.weightKg() == null || b.weightKg() == null) {
            why.add(young && (a.isUnknownGuest() || b.isUnknownGuest()) ? Why.GUEST_UNKNOWN : Why.WEIGHT_UNKNOWN);
            return;
        }
        double lighter = Math.min(a.weightKg(), b.weightKg());
        double most = !young
                ? share(numbers.weightGap(), lighter)
                : work.live()
                        ? Math.max(share(numbers.juniorLiveGap(), lighter), numbers.juniorLiveKg())
                        : Math.max(share(numbers.weightGap(), lighter), numbers.juniorKg());
        // A hair's breadth for 20 % that is no round number of grams.
        if (Math.abs(a.weightKg() - b.weightKg()) > most + 1e-9) {
            why.add(young && work.live() ? Why.JUNIOR_WEIGHT : Why.WEIGHT);
        }
    }

    private static double share(int percent, double of) {
        return percent * of / 100;
    }

    /** A drill that a limit closes needs somebody to do it to; in a round it is minded. */
    private void closed(Restriction.Kind kind, Why neither, Why onlyOne, Partner a, Partner b, Set<Why> why) {
        if (work.closes().contains(kind)) {
            one(!a.is(kind), !b.is(kind), neither, onlyOne, why);
        } else if (work.live()) {
            minded(kind, onlyOne, a, b, why);
        }
    }

    private static void minded(Restriction.Kind kind, Why minded, Partner a, Partner b, Set<Why> why) {
        if (a.is(kind) || b.is(kind)) {
            why.add(minded);
        }
    }

    private static void one(boolean a, boolean b, Why neither, Why onlyOne, Set<Why> why) {
        if (!a && !b) {
            why.add(neither);
        } else if (a != b) {
            why.add(onlyOne);
        }
    }

    private boolean meet(Lead a, Lead b) {
        if (work.leads() == Leads.ANY || a == Lead.BOTH || b == Lead.BOTH) {
            return true;
        }
        return (a == b) == (work.leads() == Leads.ALIKE);
    }
}
