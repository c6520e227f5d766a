package lynchet.core.chain;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import lynchet.core.card.Family;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.map.TinyMap;
import lynchet.core.walk.Evidence;

/** Follows every outcome of a chain from its start, adding up where it ends; it shares nothing with the check. */
final class SlowChain {

    private final GrapplingMap map;
    private final Ruleset ruleset;
    private final Evidence evidence;
    double finished;
    double settled;
    double everything;

    SlowChain(GrapplingMap map, Ruleset ruleset, Evidence evidence) {
        this.map = map;
        this.ruleset = ruleset;
        this.evidence = evidence;
    }

    /** A chain of up to seven steps, most of which fit: links that may be retired, reactions that may not belong. */
    static Chain random(GrapplingMap map, long seed) {
        Random random = new Random(seed * 7);
        ChainStep first = step(map, "s", random, 3);
        String start = map.link(first.link()).orElseThrow().from();
        return new Chain("c", "C", null, null, start, first, false);
    }

    private static ChainStep step(GrapplingMap map, String at, Random random, int deep) {
        List<Link> here = map.links().stream()
                .filter(link -> link.from().equals(at) && !link.answersReaction())
                .toList();
        Link link = TinyMap.pick(here.isEmpty() ? List.copyOf(map.links()) : here, random);
        List<Turn> next = new ArrayList<>();
        if (deep > 1 && !link.endsInTap() && random.nextInt(4) > 0) {
            next.add(new Turn(null, step(map, link.to(), random, deep - 1)));
        }
        for (Reaction reaction : map.reactions()) {
            boolean fits = link.id().equals(reaction.link())
                    || link.from().equals(reaction.position())
                    || link.to().equals(reaction.position());
            if (deep > 1 && (fits ? random.nextInt(3) > 0 : random.nextInt(12) == 0)) {
                next.add(new Turn(reaction.id(), step(map, reaction.leaves(), random, deep - 1)));
            }
        }
        return new ChainStep(link.id(), next);
    }

    void follow(ChainStep step, double here) {
        Link link = map.link(step.link()).orElseThrow();
        Set<String> turned = new HashSet<>();
        double left = here;
        for (Turn turn : step.turnOffs()) {
            Reaction reaction = map.reaction(turn.reaction()).orElseThrow();
            if (link.from().equals(reaction.position())
                    && !link.to().equals(reaction.position())
                    && turned.add(reaction.id())) {
                follow(turn.step(), here * evidence.share(reaction));
                left -= here * evidence.share(reaction);
            }
        }
        double works = left * evidence.chance(link);
        double fails = left - works;
        for (Turn turn : step.turnOffs()) {
            Reaction reaction = map.reaction(turn.reaction()).orElseThrow();
            if (link.id().equals(reaction.link()) && turned.add(reaction.id())) {
                follow(turn.step(), fails * evidence.share(reaction));
                everything -= fails * evidence.share(reaction);
            }
        }
        everything += fails;
        double on = works;
        for (Turn turn : step.turnOffs()) {
            Reaction reaction = map.reaction(turn.reaction()).orElseThrow();
            if (link.to().equals(reaction.position()) && turned.add(reaction.id())) {
                follow(turn.step(), works * evidence.share(reaction));
                on -= works * evidence.share(reaction);
            }
        }
        worked(step, link, on);
    }

    private void worked(ChainStep step, Link link, double chance) {
        boolean thrown = ruleset != null
                && ruleset.fullThrowEnds()
                && map.technique(link.technique()).orElseThrow().family() == Family.THROW;
        if (link.endsInTap() || thrown) {
            end(chance, 1, 1);
        } else if (step.mainLine() != null) {
            follow(step.mainLine(), chance);
        } else {
            boolean held = ruleset != null
                    && ruleset.pins().stream()
                            .anyMatch(pin -> pin.points() == 0 && pin.position().equals(link.to()));
            boolean ahead = map.position(link.to()).orElseThrow().control() >= 2;
            end(chance, held ? 1 : 0, held || ahead ? 1 : 0);
        }
    }

    private void end(double chance, int finish, int settle) {
        everything += chance;
        finished += chance * finish;
        settled += chance * settle;
    }
}
