package lynchet.core.rank;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import lynchet.core.card.Family;
import lynchet.core.card.Technique;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainStep;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Ruleset;
import lynchet.core.mat.Standard;
import lynchet.core.numbers.Ages;
import lynchet.core.rule.Phrases;
import lynchet.core.walk.Finding;
import lynchet.core.walk.Mend;

/** Whether what a rank teaches comes after what it needs: falls, prerequisites, the parts of chains, and years. */
final class TeachingOrder {

    private final GrapplingMap map;
    private final Map<String, Chain> chains;
    private final Ladder ladder;
    private final Rank rank;
    private final Set<String> known;
    private final Set<String> falls;

    TeachingOrder(GrapplingMap map, Map<String, Chain> chains, Ladder ladder, String rankId) {
        this.map = map;
        this.chains = chains;
        this.ladder = ladder;
        this.rank = ladder.rank(rankId).orElseThrow();
        this.known = ladder.knownBy(rankId, map);
        this.falls = new HashSet<>(known);
        for (int i = 0; i <= ladder.indexOf(rankId); i++) {
            ladder.ranks()
                    .get(i)
                    .items()
                    .filter(item -> item.kind() == Item.Kind.TECHNIQUE)
                    .forEach(item -> falls.add(item.ref()));
        }
    }

    /** Of all that is taught up to this rank. */
    List<Finding> ofAllTaught() {
        List<Finding> findings = new ArrayList<>();
        for (String id : known) {
            Technique technique = map.technique(id).orElseThrow();
            if (bringsDown(technique)) {
                missing(technique.receiverFalls(), falls, technique, Finding.Code.FALL_ORDER, 3, "the receiver needs")
                        .ifPresent(findings::add);
            }
            missing(technique.prerequisites(), known, technique, Finding.Code.ORDER, 2, "it builds on")
                    .ifPresent(findings::add);
        }
        return findings;
    }

    /** Of what this rank itself asks for. */
    List<Finding> ofItems() {
        List<Finding> findings = new ArrayList<>();
        rank.items().forEach(item -> {
            if (item.kind() == Item.Kind.CHAIN) {
                orphan(chains.get(item.ref()), item).ifPresent(findings::add);
            }
            techniques(item).forEach(id -> tooEarly(map.technique(id).orElseThrow(), item)
                    .ifPresent(findings::add));
        });
        return findings;
    }

    private static boolean bringsDown(Technique technique) {
        return technique.family().bringsDown()
                || technique.family() == Family.SWEEP
                || technique.family() == Family.TURNOVER;
    }

    private Optional<Finding> missing(
            List<String> needed, Set<String> there, Technique technique, Finding.Code code, int severity, String verb) {
        Set<String> missing = new TreeSet<>(needed);
        missing.removeAll(there);
        if (missing.isEmpty()) {
            return Optional.empty();
        }
        String sentence = technique.name() + ": " + verb + " "
                + Phrases.and(names(missing)).toLowerCase(Locale.ROOT) + ", which "
                + (missing.size() == 1 ? "is" : "are") + " not taught by this rank.";
        return Optional.of(new Finding(code, severity, null, technique.id(), null, sentence, teach(missing, there)));
    }

    /** Teaching what is missing with all that it builds on. */
    private Mend teach(Set<String> missing, Set<String> there) {
        Set<String> toAdd = new TreeSet<>();
        missing.forEach(id -> toAdd.addAll(map.withPrerequisites(id)));
        toAdd.removeAll(there);
        int cost = toAdd.stream()
                .mapToInt(id -> map.technique(id).orElseThrow().learn())
                .sum();
        return new Mend(
                List.copyOf(toAdd), cost, true, List.of("Teach " + Phrases.and(names(missing)) + " first"), List.of());
    }

    private List<String> names(Set<String> techniques) {
        return techniques.stream()
                .map(id -> map.technique(id).orElseThrow().name())
                .toList();
    }

    private Optional<Finding> orphan(Chain chain, Item item) {
        if (chain == null || chain.first() == null) {
            return Optional.empty();
        }
        Set<String> missing = new TreeSet<>();
        collect(chain.first(), missing);
        missing.removeAll(known);
        if (missing.isEmpty()) {
            return Optional.empty();
        }
        String sentence = chain.name() + ": uses " + Phrases.and(names(missing)).toLowerCase(Locale.ROOT) + ", which "
                + (missing.size() == 1 ? "is" : "are") + " not taught by this rank.";
        return Optional.of(Finding.ofItem(
                Finding.Code.CHAIN_ORPHAN, 2, missing.iterator().next(), item.id(), sentence, teach(missing, known)));
    }

    private void collect(ChainStep step, Set<String> techniques) {
        map.link(step.link()).map(Link::technique).ifPresent(techniques::add);
        step.next().forEach(turn -> collect(turn.step(), techniques));
    }

    /** What an item has somebody do, as performer or receiver. */
    private Set<String> techniques(Item item) {
        Set<String> all = new TreeSet<>();
        switch (item.kind()) {
            case TECHNIQUE -> all.add(item.ref());
            case COUNTER -> map.link(item.ref()).map(Link::technique).ifPresent(all::add);
            case CHAIN ->
                Optional.ofNullable(chains.get(item.ref())).map(Chain::first).ifPresent(step -> collect(step, all));
            case WORDS, FORM, POSITION_GOAL, LIVE_ROUNDS, HELPING_HOURS -> {}
        }
        return all;
    }

    private Optional<Ruleset> rules() {
        return map.ruleset(ladder.ruleset());
    }

    private int legalFrom(Technique technique) {
        return rules().map(rules -> rules.legalFrom(technique)).orElse(0);
    }

    /** The youngest who may wear the rank are as old as it asks, or as the ladder does; 0: nobody has said. */
    private Optional<Finding> tooEarly(Technique technique, Item item) {
        Standard standard = item.standard();
        Ages ages = map.numbers().ages(technique);
        int youngest = Math.max(ladder.fromAge(), rank.minAge());
        String why;
        int severity = 3;
        if (ages.never()) {
            why = "not for training, at any age.";
        } else if (youngest > 0 && youngest < ages.from()) {
            why = "not under " + ages.from() + ", and this rank is worn from " + youngest + ".";
        } else if (youngest > 0 && youngest < ages.shownBelow() && standard.compareTo(Standard.SHOWN) > 0) {
            why = "only shown under " + ages.shownBelow() + ", and this rank is worn from " + youngest + ".";
            severity = 2;
        } else if (youngest > 0 && youngest < legalFrom(technique) && standard.compareTo(Standard.SHOWN) > 0) {
            why = "under " + rules().orElseThrow().name() + " not legal before " + legalFrom(technique)
                    + ", which is stricter, and this rank is worn from " + youngest + ".";
            severity = 2;
        } else {
            return Optional.empty();
        }
        return Optional.of(Finding.ofItem(
                Finding.Code.TOO_EARLY, severity, technique.id(), item.id(), technique.name() + ": " + why, null));
    }
}
