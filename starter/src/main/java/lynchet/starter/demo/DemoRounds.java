package lynchet.starter.demo;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.mat.Side;
import lynchet.core.mat.TrainingClass;
import lynchet.core.rank.Ladder;
import lynchet.core.round.Round;
import lynchet.core.round.Round.Event;
import lynchet.core.round.Round.Intent;
import lynchet.core.round.Round.Outcome;
import lynchet.core.round.Round.Who;
import lynchet.core.round.RoundBuilder;
import lynchet.core.round.RoundEvidence;

/** Sixty rounds walked over the map: live ones in class, and an internal tournament in which many met one choke. */
final class DemoRounds {

    private static final int LIVE = 45;
    private static final int TOURNAMENT = 15;
    private static final int SECONDS = 240;
    private static final List<String> STARTS =
            List.of("even-grips", "standing-apart", "closed-guard", "half-guard-bottom", "turtle");

    private final GrapplingMap map;
    private final RoundEvidence usual;
    private final List<Ladder> ladders;
    private final Random random;
    private final Map<String, Set<String>> known = new HashMap<>();

    DemoRounds(GrapplingMap map, List<Ladder> ladders, Random random) {
        this.map = map;
        this.usual = RoundEvidence.withoutRounds(map);
        this.ladders = ladders;
        this.random = random;
    }

    /**
     * @param classes past classes, oldest first
     * @param attended student ids by class id
     */
    List<Round> of(
            List<DemoPeople.Person> people,
            List<TrainingClass> classes,
            Map<String, Set<String>> attended,
            Instant tournament) {
        List<Round> rounds = new ArrayList<>();
        List<TrainingClass> adult =
                classes.stream().filter(c -> !c.track().equals("juniors")).toList();
        List<TrainingClass> live = adult.subList(adult.size() / 2, adult.size());
        for (int i = 0; i < LIVE && !live.isEmpty(); i++) {
            TrainingClass c = live.get(live.size() - 1 - i % live.size());
            List<DemoPeople.Person> there = people.stream()
                    .filter(p -> !p.isJunior()
                            && attended.getOrDefault(c.id(), Set.of())
                                    .contains(p.student().id()))
                    .toList();
            if (there.size() > 1) {
                int a = random.nextInt(there.size());
                int b = (a + 1 + random.nextInt(there.size() - 1)) % there.size();
                Instant at = DemoClub.at(c, 60 + i % 20);
                String ruleset = c.track().equals("no-jacket") ? "no-jacket" : "jacket-ground";
                rounds.add(walk("spar" + (i + 1), at, Round.Kind.LIVE, there.get(a), there.get(b), c.id(), ruleset));
            }
        }
        List<DemoPeople.Person> fighters =
                people.stream().filter(p -> !p.isJunior() && p.gone() == 0).toList();
        for (int i = 0; i < TOURNAMENT; i++) {
            DemoPeople.Person a = fighters.get((3 * i) % fighters.size());
            DemoPeople.Person b = fighters.get((3 * i + 7) % fighters.size());
            Instant at = tournament.plusSeconds(600L * i);
            rounds.add(
                    i % 2 == 0
                            ? caught("bout" + (i + 1), at, a, b)
                            : walk("bout" + (i + 1), at, Round.Kind.COMPETITION, a, b, null, "jacket-ground"));
        }
        return rounds;
    }

    /** The way in which so many lost on that day: shot without a set-up, head caught, choke. */
    private Round caught(String id, Instant at, DemoPeople.Person winner, DemoPeople.Person loser) {
        int shot = 15 + random.nextInt(90);
        List<Event> events = List.of(
                event(shot, Who.SECOND, "double-leg-from-even-grips", null, Outcome.STOPPED),
                new Event(
                        shot + 3,
                        Who.FIRST,
                        null,
                        "front-headlock",
                        null,
                        Intent.TRY,
                        Outcome.WORKED,
                        Side.BOTH,
                        "snapped on the shot"),
                event(shot + 9, Who.FIRST, "front-choke-from-front-headlock", null, Outcome.WORKED),
                event(shot + 20, Who.FIRST, Holes.CAUGHT_BY, null, Outcome.WORKED));
        return RoundBuilder.builder()
                .id(id)
                .at(at)
                .kind(Round.Kind.COMPETITION)
                .first(winner.student().id())
                .second(loser.student().id())
                .ruleset("jacket-ground")
                .ended(new Round.Ended(Round.How.TAP, Who.FIRST, Holes.CAUGHT_AT, Holes.CAUGHT_BY))
                .events(events)
                .by("head")
                .build();
    }

    private Round walk(
            String id,
            Instant at,
            Round.Kind kind,
            DemoPeople.Person first,
            DemoPeople.Person second,
            String classId,
            String ruleset) {
        Ruleset rules = map.ruleset(ruleset).orElseThrow();
        String position = kind == Round.Kind.COMPETITION ? "even-grips" : STARTS.get(random.nextInt(STARTS.size()));
        double lead = 0.5 + 0.08 * (skill(first) - skill(second));
        List<Event> events = new ArrayList<>();
        Round.Ended ended = null;
        for (int second0 = 6; second0 < SECONDS && ended == null; second0 += 12 + random.nextInt(34)) {
            Who who = random.nextDouble() < lead ? Who.FIRST : Who.SECOND;
            String from = who == Who.FIRST ? position : mirror(position);
            Link link = choose(from, who == Who.FIRST ? first : second, rules);
            if (link == null) {
                continue;
            }
            Reaction reaction = reaction(link);
            boolean works = random.nextDouble() < usual.chance(link) + 0.12;
            events.add(event(
                    second0,
                    who,
                    link.id(),
                    works || reaction == null ? null : reaction.id(),
                    works ? Outcome.WORKED : random.nextInt(6) == 0 ? Outcome.COUNTERED : Outcome.STOPPED));
            if (works && link.endsInTap()) {
                ended = new Round.Ended(Round.How.TAP, who, from, link.id());
            } else if (works || reaction != null) {
                String next = works ? link.to() : reaction.leaves();
                position = who == Who.FIRST ? next : mirror(next);
            }
        }
        if (ended == null) {
            double control = map.position(position).orElseThrow().control();
            Who ahead = Math.abs(control) < 0.5 ? null : control > 0 ? Who.FIRST : Who.SECOND;
            ended = new Round.Ended(ahead == null ? Round.How.TIME : Round.How.POINTS, ahead, position, null);
        }
        return RoundBuilder.builder()
                .id(id)
                .at(at)
                .kind(kind)
                .first(first.student().id())
                .second(second.student().id())
                .classId(classId)
                .ruleset(ruleset)
                .ended(ended)
                .events(events)
                .by("head")
                .build();
    }

    private Event event(int second, Who who, String link, String reaction, Outcome outcome) {
        Side side = random.nextInt(4) == 0 ? Side.LEFT : Side.RIGHT;
        return new Event(second, who, link, null, reaction, Intent.TRY, outcome, side, null);
    }

    private Link choose(String from, DemoPeople.Person person, Ruleset rules) {
        Set<String> can = known.computeIfAbsent(person.student().id(), id -> knows(person));
        List<Link> links = map.linksFrom(from).stream()
                .filter(link -> !link.answersReaction() && can.contains(link.technique()))
                .filter(link -> rules.allows(map.technique(link.technique()).orElseThrow()))
                .toList();
        return links.isEmpty() ? null : links.get(random.nextInt(links.size()));
    }

    private Reaction reaction(Link link) {
        List<Reaction> all = List.copyOf(map.reactionsToLink(link.id()));
        return all.isEmpty() || random.nextInt(3) == 0 ? null : all.get(random.nextInt(all.size()));
    }

    private Set<String> knows(DemoPeople.Person person) {
        Ladder ladder = ladders.stream()
                .filter(l -> l.id().equals(person.held().ladder()))
                .findFirst()
                .orElseThrow();
        return ladder.knownBy(person.held().rank(), map);
    }

    private int skill(DemoPeople.Person person) {
        return ladders.stream()
                .filter(l -> l.id().equals(person.held().ladder()))
                .findFirst()
                .orElseThrow()
                .indexOf(person.held().rank());
    }

    private String mirror(String position) {
        return map.counterpart(position).id();
    }
}
