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
    /** What all of it pays me less them, in a bout that ends where the ruleset ends it. */
    double points;

    SlowChain(GrapplingMap map, Ruleset ruleset, Evidence evidence) {
        this.map = map;
        this.ruleset = ruleset;
        this.evidence = evidence;
    }

    /** A chain of up to seven steps, most of which fit: links that may be retired, reactions that may not belong. */
    static Chain random(GrapplingMap map, long seed) {
        Random random = new Random(seed * 7);
        ChainStep first = step(map, "s", random, 3);
        String start = random.nextInt(8) == 0
                ? "s"
                : map.link(first.link()).orElseThrow().from();
        return new Chain("c", "C", null, null, start, first, false);
    }

    private static ChainStep step(GrapplingMap map, String at, Random random, int deep) {
        boolean isBroken = random.nextInt(6) == 0;
        List<Link> here = map.links().stream()
                .filter(link -> isBroken || link.from().equals(at) && !link.answersReaction())
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

    void follow(Chain chain) {
        follow(chain.first(), 1, chain.start(), null);
    }

    private void follow(ChainStep step, double here, String at, Reaction through) {
        Link link = map.link(step.link()).orElseThrow();
        boolean isThere = link.from().equals(at)
                && (link.when() == null || through != null && link.when().equals(through.id()));
        if (!isThere) {
            everything += here;
            return;
        }
        Set<String> turned = new HashSet<>();
        double left = here;
        for (Turn turn : step.turnOffs()) {
            Reaction reaction = map.reaction(turn.reaction()).orElseThrow();
            if (link.from().equals(reaction.position())
                    && !link.to().equals(reaction.position())
                    && turned.add(reaction.id())) {
                follow(turn.step(), here * evidence.share(reaction), reaction.leaves(), reaction);
                left -= here * evidence.share(reaction);
            }
        }
        double works = left * evidence.chance(link);
        double fails = left - works;
        pay(link, works, fails);
        for (Turn turn : step.turnOffs()) {
            Reaction reaction = map.reaction(turn.reaction()).orElseThrow();
            if (link.id().equals(reaction.link()) && turned.add(reaction.id())) {
                follow(turn.step(), fails * evidence.share(reaction), reaction.leaves(), reaction);
                everything -= fails * evidence.share(reaction);
            }
        }
        everything += fails;
        double on = works;
        for (Turn turn : step.turnOffs()) {
            Reaction reaction = map.reaction(turn.reaction()).orElseThrow();
            if (!isOver(link) && link.to().equals(reaction.position()) && turned.add(reaction.id())) {
                follow(turn.step(), works * evidence.share(reaction), reaction.leaves(), reaction);
                on -= works * evidence.share(reaction);
            }
        }
        worked(step, link, on);
    }

    private void pay(Link link, double works, double fails) {
        if (ruleset == null) {
            return;
        }
        if (!link.endsInTap()) {
            Ruleset.Score score = ruleset.score(
                    map.technique(link.technique()).orElseThrow().family(),
                    new Ruleset.Landing(link.from(), map.stageOf(link.from())),
                    new Ruleset.Landing(link.to(), map.stageOf(link.to())),
                    true);
            points += works * score.points();
        }
        if (link.ifStopped() != null) {
            points -= fails * evidence.none(link) * paid(link.from(), link.ifStopped());
        }
        for (Reaction reaction : map.reactions()) {
            if (!reaction.retired() && link.id().equals(reaction.link())) {
                points -= fails * evidence.share(reaction) * paid(link.from(), reaction.leaves());
            }
        }
    }

    private int paid(String from, String leaves) {
        return ruleset.paidFor(
                map.counterpart(from).id(), map.counterpart(leaves).id());
    }

    private boolean isOver(Link link) {
        return link.endsInTap()
                || ruleset != null
                        && ruleset.fullThrowEnds()
                        && map.technique(link.technique()).orElseThrow().family() == Family.THROW;
    }

    private void worked(ChainStep step, Link link, double chance) {
        if (isOver(link)) {
            end(chance, 1, 1);
        } else if (step.mainLine() != null) {
            follow(step.mainLine(), chance, link.to(), null);
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
