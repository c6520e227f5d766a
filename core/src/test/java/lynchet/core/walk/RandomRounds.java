package lynchet.core.walk;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Reaction;
import lynchet.core.map.TinyMap;
import lynchet.core.round.Logged;
import lynchet.core.round.Round;
import lynchet.core.round.RoundBuilder;
import lynchet.core.round.RoundEvidence;
import lynchet.core.round.RoundFilter;

/** Made-up rounds on a made-up map. */
public final class RandomRounds {

    private RandomRounds() {}

    public static Evidence evidence(GrapplingMap map, long seed) {
        return RoundEvidence.of(map, Logged.count(rounds(map, seed), RoundFilter.ALL), true);
    }

    /** Up to six rounds of six events between a and b, or a and c: tries, threats, halves, reactions, changes. */
    public static List<Round> rounds(GrapplingMap map, long seed) {
        Random random = new Random(seed * 17);
        List<Link> links = List.copyOf(map.links());
        List<Reaction> reactions = List.copyOf(map.reactions());
        List<String> places = map.positions().stream().map(p -> p.id()).toList();
        List<Round> rounds = new ArrayList<>();
        for (int r = 0; r < random.nextInt(7); r++) {
            List<Round.Event> events = new ArrayList<>();
            for (int e = 0; e < 6; e++) {
                Link link = random.nextInt(6) == 0 ? null : TinyMap.pick(links, random);
                events.add(new Round.Event(
                        e,
                        TinyMap.pick(List.of(Round.Who.values()), random),
                        link == null ? null : link.id(),
                        link == null || random.nextInt(4) == 0 ? TinyMap.pick(places, random) : null,
                        random.nextInt(3) == 0 ? TinyMap.pick(reactions, random).id() : null,
                        random.nextInt(4) == 0 ? Round.Intent.THREAT : Round.Intent.TRY,
                        TinyMap.pick(List.of(Round.Outcome.values()), random),
                        null,
                        null));
            }
            rounds.add(RoundBuilder.builder()
                    .id("r" + r)
                    .at(Instant.EPOCH.plusSeconds(r))
                    .kind(TinyMap.pick(List.of(Round.Kind.values()), random))
                    .first("a")
                    .second(random.nextBoolean() ? "b" : "c")
                    .ruleset(random.nextBoolean() ? "r" : null)
                    .ended(new Round.Ended(Round.How.TIME, null, null, null))
                    .events(events)
                    .build());
        }
        return rounds;
    }
}
